package yewberry.pdf;

import java.awt.image.BufferedImage;
import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Deque;
import java.util.List;
import java.util.stream.IntStream;
import yewberry.core.color.Contrast;
import yewberry.core.legibility.Demand;

/**
 * The definition, read literally.
 *
 * @param ratio of the worst letter, with a twentieth of what is behind and around it left out
 * @param least the share of all that is behind and around the letters, that the text does not stand
 *     out from; where a field is even, it goes by a hundredth of the ratio, and the drawing's
 *     colours are up to 2 of 255 off: so the least that it may be
 * @param most likewise
 */
record Brute(int letters, double ratio, double least, double most) {
    static Brute of(
            BufferedImage alone,
            BufferedImage with,
            BufferedImage without,
            double size,
            double required) {
        int[] letters = letters(alone);
        int count = Arrays.stream(letters).max().orElse(0);
        double text = inside(letters, alone.getWidth(), with);
        double around = Math.max(0.1 / 25.4, 0.05 * size / 72) * FieldTest.PPI;
        double least = Double.MAX_VALUE;
        long all = 0;
        long fewest = 0;
        long most = 0;
        for (int letter = 1; letter <= count; letter++) {
            double[] ratios =
                    region(letters, letter, alone.getWidth(), around)
                            .mapToDouble(at ->
                                    Contrast.ratio(
                                            text,
                                            Contrast.luminance(
                                                    without.getRGB(
                                                                    at % alone.getWidth(),
                                                                    at / alone.getWidth())
                                                            & 0xffffff)))
                            .sorted()
                            .toArray();
            least = Math.min(least, ratios[(int) (ratios.length * Demand.LEFT_OUT)]);
            all += ratios.length;
            fewest += Arrays.stream(ratios).filter(each -> each < 0.98 * required).count();
            most += Arrays.stream(ratios).filter(each -> each < 1.02 * required).count();
        }
        return new Brute(count, least, (double) fewest / all, (double) most / all);
    }

    /** Held against the line around the letters, a little away from the edges of both. */
    static Brute outlined(BufferedImage alone, BufferedImage with, double size, double required) {
        int[] letters = letters(alone);
        int width = alone.getWidth();
        double text = inside(letters, width, with);
        double to = Math.max(1.5, 0.1 * size) / 72 * FieldTest.PPI - 2;
        double sum = 0;
        int count = 0;
        for (int letter = 1; letter <= Arrays.stream(letters).max().orElse(0); letter++) {
            int[] close = region(letters, letter, width, 2.5).toArray();
            Arrays.sort(close);
            for (int at : region(letters, letter, width, to).toArray()) {
                if (Arrays.binarySearch(close, at) < 0) {
                    sum += Contrast.luminance(with.getRGB(at % width, at / width) & 0xffffff);
                    count++;
                }
            }
        }
        double ratio = Contrast.ratio(text, sum / count);
        double share = ratio < required ? 1 : 0;
        return new Brute(Arrays.stream(letters).max().orElse(0), ratio, share, share);
    }

    /** The light of pixels that lie well within letters. */
    private static double inside(int[] letters, int width, BufferedImage drawn) {
        double[] lights =
                IntStream.range(2 * width + 2, letters.length - 2 * width - 2)
                        .filter(at -> letters[at] > 0)
                        .filter(at ->
                                IntStream.of(at, at - 2, at + 2, at - 2 * width, at + 2 * width)
                                        .allMatch(each -> letters[each] > 0))
                        .mapToDouble(at ->
                                Contrast.luminance(drawn.getRGB(at % width, at / width) & 0xffffff))
                        .sorted()
                        .toArray();
        return lights[lights.length / 2];
    }

    /** Of each pixel the number of the letter that covers it, from 1; 0 for none. */
    private static int[] letters(BufferedImage alone) {
        int width = alone.getWidth();
        int[] pixels = alone.getRGB(0, 0, width, alone.getHeight(), null, 0, width);
        int[] letters = new int[pixels.length];
        int count = 0;
        for (int start = 0; start < letters.length; start++) {
            if (letters[start] != 0 || !isInk(pixels[start])) {
                continue;
            }
            count++;
            Deque<Integer> open = new ArrayDeque<>(List.of(start));
            letters[start] = count;
            while (!open.isEmpty()) {
                int at = open.pop();
                for (int next :
                        new int[] {
                            at - 1,
                            at + 1,
                            at - width,
                            at + width,
                            at - width - 1,
                            at - width + 1,
                            at + width - 1,
                            at + width + 1
                        }) {
                    if (next >= 0
                            && next < letters.length
                            && letters[next] == 0
                            && isInk(pixels[next])) {
                        letters[next] = count;
                        open.push(next);
                    }
                }
            }
        }
        return letters;
    }

    private static boolean isInk(int pixel) {
        return (pixel & 0xffffff) != 0xffffff;
    }

    /** The pixels of a letter and those within a distance of it. */
    private static IntStream region(int[] letters, int letter, int width, double around) {
        BitSet in = new BitSet(letters.length);
        int reach = (int) Math.ceil(around);
        for (int at = 0; at < letters.length; at++) {
            if (letters[at] != letter) {
                continue;
            }
            in.set(at);
            boolean isEdge =
                    letters[at - 1] != letter
                            || letters[at + 1] != letter
                            || letters[at - width] != letter
                            || letters[at + width] != letter;
            for (int dy = -reach; isEdge && dy <= reach; dy++) {
                for (int dx = -reach; dx <= reach; dx++) {
                    if (dx * dx + dy * dy <= around * around) {
                        in.set(at + dy * width + dx);
                    }
                }
            }
        }
        return in.stream();
    }
}
