package yewberry.pdf.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yewberry.pdf.proof.PagePairs.Leaf;
import yewberry.pdf.proof.PagePairs.Pair;

/** Pages as words: which of one row are which of another. */
class PagePairsTest {
    private static List<Leaf> pages(String of) {
        String[] pages = of.split(",");
        return IntStream.range(0, pages.length)
                .mapToObj(at -> new Leaf(at + 1 + "", "A5", List.of(pages[at].strip().split(" "))))
                .toList();
    }

    private static String pairs(List<Leaf> first, List<Leaf> second) {
        return String.join(
                " ",
                PagePairs.of(first, second).stream()
                        .map(pair -> (pair.first() + 1) + "-" + (pair.second() + 1))
                        .toList());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "moon, sea, dome | moon, sea, dome | 1-1 2-2 3-3",
                "moon, sea, dome | moon, new, sea, dome | 1-1 2-3 3-4",
                "moon, sea, dome | moon, dome | 1-1 3-2",
                "moon, sea, dome | dome, moon, sea | 3-1 1-2 2-3",
                "page 7 moon, page 8 sea | page 1 x, page 8 moon, page 9 sea | 1-2 2-3",
                "moon and tide, sea | new, moon and reed, sea | 1-2 2-3",
                "moon, old text, sea | moon, all new, sea | 1-1 2-2 3-3",
                "empty, empty, empty | empty, empty, empty | 1-1 2-2 3-3",
                "empty, moon, empty | empty, empty, moon, empty | 1-1 2-3 3-4",
                "moon | sea | 1-1"
            })
    void a_page_is_known_again_by_what_it_says(String first, String second, String expected) {
        assertThat(pairs(pages(first), pages(second))).isEqualTo(expected);
    }

    @Test
    void another_size_is_another_page_only_where_there_is_a_better_one() {
        List<Leaf> first = List.of(new Leaf("1", "A5", List.of("moon")));
        List<Leaf> second =
                List.of(new Leaf("1", "A4", List.of("moon")), new Leaf("2", "A5", List.of("moon")));
        assertThat(pairs(first, second)).isEqualTo("1-2");
        assertThat(pairs(first, second.subList(0, 1))).isEqualTo("1-1");
    }

    /** However pages are put in and taken away, none is paired twice, and all known ones are. */
    @Test
    void each_page_is_in_one_pair_at_most() {
        for (long seed = 0; seed < 200; seed++) {
            Random random = new Random(seed);
            List<Leaf> first = made(random, 40);
            List<Leaf> second = new ArrayList<>(first);
            for (int i = 0; i < 8; i++) {
                second.remove(random.nextInt(second.size()));
                second.add(random.nextInt(second.size() + 1), made(random, 1).getFirst());
            }
            List<Pair> pairs = PagePairs.of(first, second);
            assertThat(pairs).extracting(Pair::first).doesNotHaveDuplicates();
            assertThat(pairs).extracting(Pair::second).doesNotHaveDuplicates();
            long same =
                    pairs.stream()
                            .filter(pair -> first.get(pair.first()) == second.get(pair.second()))
                            .count();
            assertThat(same).isEqualTo(second.stream().filter(first::contains).count());
        }
    }

    private static List<Leaf> made(Random random, int count) {
        return IntStream.range(0, count)
                .mapToObj(_ ->
                        new Leaf(
                                "p",
                                "A5",
                                random.ints(6, 'a', 'z' + 1)
                                        .mapToObj(letter -> (char) letter + "" + (char) letter)
                                        .toList()))
                .toList();
    }
}
