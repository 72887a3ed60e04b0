package yewberry.core.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import yewberry.core.publication.TextSetting;

/** Against every way there is to break a short paragraph. */
class BestLinesTest {
    private static final double SPACE = 3;

    private final Random random = new Random(20261126);

    /** Words of so many points, at character positions ten apart, each followed by a space. */
    private record Sample(double[] words, boolean[] hyphens, double first, double others) {
        double width(int start, Breaks.Break end) {
            double width = 0;
            for (int word = start; word < end.at(); word++) {
                width += words[word];
                width += word + 1 < end.at() && !hyphens[word] ? SPACE : 0;
            }
            return width + (end.hyphenated() ? 2 : 0);
        }

        double spaces(int start, Breaks.Break end) {
            int count = 0;
            for (int word = start; word + 1 < end.at(); word++) {
                count += hyphens[word] ? 0 : 1;
            }
            return count;
        }

        List<Breaks.Break> places() {
            List<Breaks.Break> places = new ArrayList<>();
            for (int word = 0; word < words.length; word++) {
                boolean last = word == words.length - 1;
                places.add(new Breaks.Break(word + 1, hyphens[word] && !last, last));
            }
            return places;
        }
    }

    private Sample sample() {
        int count = 4 + random.nextInt(9);
        double[] words = new double[count];
        boolean[] hyphens = new boolean[count];
        for (int i = 0; i < count; i++) {
            words[i] = 4 + random.nextInt(22);
            hyphens[i] = random.nextInt(4) == 0;
        }
        return new Sample(words, hyphens, 30 + random.nextInt(50), 30 + random.nextInt(50));
    }

    private static BestLines lines(Sample sample) {
        return new BestLines(
                sample::width,
                sample::spaces,
                isFirst -> isFirst ? sample.first() : sample.others(),
                SPACE,
                TextSetting.WordSpaces.USUAL);
    }

    private static double cost(BestLines lines, List<Breaks.Break> places, List<Integer> ends) {
        double sum = 0;
        int before = 0;
        for (int end : ends) {
            sum += lines.cost(places, 0, before, end);
            before = end;
        }
        return sum;
    }

    @Test
    void no_other_way_to_break_a_paragraph_costs_less() {
        for (int paragraph = 0; paragraph < 500; paragraph++) {
            Sample sample = sample();
            BestLines lines = lines(sample);
            List<Breaks.Break> places = sample.places();
            double least = Double.POSITIVE_INFINITY;
            for (int set = 0; set < 1 << (places.size() - 1); set++) {
                List<Integer> ends = new ArrayList<>();
                for (int i = 0; i < places.size() - 1; i++) {
                    if ((set >> i & 1) == 1) {
                        ends.add(i + 1);
                    }
                }
                ends.add(places.size());
                least = Math.min(least, cost(lines, places, ends));
            }
            List<Integer> chosen =
                    lines.of(places, 0).stream().map(each -> places.indexOf(each) + 1).toList();
            assertThat(cost(lines, places, chosen)).as("%s", sample).isEqualTo(least);
        }
    }

    /**
     * Knuth and Plass, 1981: badness is 100 times the cube of how far a line's spaces are
     * stretched.
     */
    @Test
    void what_a_line_costs_is_what_the_paper_says() {
        Sample sample = new Sample(new double[] {20, 20, 20}, new boolean[3], 46.5, 46.5);
        // two words and a space are 43 wide: 3.5 more on one space that may grow by 1.5
        double ratio = 3.5 / 1.5;
        double badness = 100 * ratio * ratio * ratio;
        assertThat(lines(sample).cost(sample.places(), 0, 0, 2))
                .isCloseTo((10 + badness) * (10 + badness), within(1e-6));
        assertThat(lines(sample).cost(sample.places(), 0, 2, 3)).isEqualTo(100);
    }
}
