package yewberry.core.asset;

import java.util.Arrays;
import java.util.Optional;

/**
 * Pixels of some components, and fewer of them that stand for the same.
 *
 * @param samples a byte for each component of each pixel
 * @param alpha a byte a pixel, 255 where it covers
 */
record Reduction(int width, int height, int components, byte[] samples, Optional<byte[]> alpha) {
    /** Up to it sums are divided by so many samples by multiplying, exactly. */
    private static final int LARGEST = 16;

    /** Up to it the bytes of all that a pixel stands for add up to less than two bytes hold. */
    private static final int LARGEST_OF_FOUR = 8;

    private static final int EVERY_OTHER = 0xff00ff;

    /** Each pixel the mean of those it stands for, those that let through counting less. */
    Reduction by(int factor) {
        if (alpha.isPresent() || factor > LARGEST) {
            return weighed(factor);
        }
        return components == Integer.BYTES && factor <= LARGEST_OF_FOUR
                ? ofFour(factor)
                : plain(factor);
    }

    /** Four components at once, two in the halves of each sum. */
    private Reduction ofFour(int factor) {
        int w = Math.max(1, width / factor);
        int h = Math.max(1, height / factor);
        int[] lefts = starts(width, w);
        int[] tops = starts(height, h);
        byte[] mean = new byte[w * h * Integer.BYTES];
        long[] inverses = inverses(4 * factor * factor);
        int to = 0;
        for (int y = 0; y < h; y++) {
            int rows = tops[y + 1] - tops[y];
            for (int x = 0; x < w; x++) {
                int columns = lefts[x + 1] - lefts[x];
                int even = 0;
                int odd = 0;
                int row = (tops[y] * width + lefts[x]) * Integer.BYTES;
                for (int i = 0; i < rows; i++) {
                    for (int j = 0; j < columns; j++) {
                        int pixel = (int) PlaneSampler.FOUR.get(samples, row + j * Integer.BYTES);
                        even += pixel & EVERY_OTHER;
                        odd += pixel >>> Byte.SIZE & EVERY_OTHER;
                    }
                    row += width * Integer.BYTES;
                }
                int of = rows * columns;
                int pixel = means(even, of / 2, inverses[of]);
                pixel |= means(odd, of / 2, inverses[of]) << Byte.SIZE;
                PlaneSampler.FOUR.set(mean, to, pixel);
                to += Integer.BYTES;
            }
        }
        return new Reduction(w, h, Integer.BYTES, mean, Optional.empty());
    }

    private static int means(int sums, int half, long inverse) {
        int lower = (int) (((sums & 0xffff) + half) * inverse >>> Integer.SIZE);
        int upper = (int) (((sums >>> Short.SIZE) + half) * inverse >>> Integer.SIZE);
        return lower | upper << Short.SIZE;
    }

    /** Where each of some stretches that a length is divided into begins, and the last one ends. */
    private static int[] starts(int length, int count) {
        int[] starts = new int[count + 1];
        for (int i = 0; i <= count; i++) {
            starts[i] = (int) ((long) i * length / count);
        }
        return starts;
    }

    /** Where all of them count the same: rows are added up first. */
    private Reduction plain(int factor) {
        int w = Math.max(1, width / factor);
        int h = Math.max(1, height / factor);
        int row = width * components;
        byte[] mean = new byte[w * h * components];
        int[] sums = new int[row];
        long[] inverses = inverses(4 * factor * factor);
        int to = 0;
        for (int y = 0; y < h; y++) {
            int top = (int) ((long) y * height / h);
            int bottom = Math.max(top + 1, (int) ((long) (y + 1) * height / h));
            set(sums, samples, top * row);
            for (int from = (top + 1) * row; from < bottom * row; from += row) {
                add(sums, samples, from);
            }
            for (int x = 0; x < w; x++) {
                int left = (int) ((long) x * width / w);
                int right = Math.max(left + 1, (int) ((long) (x + 1) * width / w));
                int of = (bottom - top) * (right - left);
                mean(sums, left, right, mean, to, of / 2, inverses[of]);
                to += components;
            }
        }
        return new Reduction(w, h, components, mean, Optional.empty());
    }

    private static void set(int[] sums, byte[] samples, int from) {
        for (int i = 0; i < sums.length; i++) {
            sums[i] = samples[from + i] & 0xff;
        }
    }

    private static void add(int[] sums, byte[] samples, int from) {
        for (int i = 0; i < sums.length; i++) {
            sums[i] += samples[from + i] & 0xff;
        }
    }

    /** Of a pixel, from the sums of some columns. */
    private void mean(
            int[] sums, int left, int right, byte[] mean, int to, int half, long inverse) {
        int first = left * components;
        int end = right * components;
        if (right - left == 2) { // most often
            for (int i = 0; i < components; i++) {
                int sum = half + sums[first + i] + sums[first + components + i];
                mean[to + i] = (byte) (sum * inverse >>> 32);
            }
            return;
        }
        for (int i = 0; i < components; i++) {
            int sum = half;
            for (int at = first + i; at < end; at += components) {
                sum += sums[at];
            }
            mean[to + i] = (byte) (sum * inverse >>> 32);
        }
    }

    /** Of each number what to multiply by, and then to take the upper half of 64 bits. */
    private static long[] inverses(int most) {
        long[] inverses = new long[most + 1];
        for (int of = 1; of <= most; of++) {
            inverses[of] = (1L << 32) / of + 1;
        }
        return inverses;
    }

    private Reduction weighed(int factor) {
        int w = Math.max(1, width / factor);
        int h = Math.max(1, height / factor);
        byte[] mean = new byte[w * h * components];
        byte[] covering = alpha.isPresent() ? new byte[w * h] : null;
        long[] sums = new long[components];
        for (int y = 0; y < h; y++) {
            int top = (int) ((long) y * height / h);
            int bottom = Math.max(top + 1, (int) ((long) (y + 1) * height / h));
            for (int x = 0; x < w; x++) {
                int left = (int) ((long) x * width / w);
                int right = Math.max(left + 1, (int) ((long) (x + 1) * width / w));
                Arrays.fill(sums, 0);
                long weights = 0;
                for (int row = top; row < bottom; row++) {
                    for (int column = left; column < right; column++) {
                        int at = row * width + column;
                        int weight = covering == null ? 1 : alpha.get()[at] & 0xff;
                        weights += weight;
                        for (int i = 0; i < components; i++) {
                            sums[i] += (long) weight * (samples[at * components + i] & 0xff);
                        }
                    }
                }
                int to = y * w + x;
                for (int i = 0; i < components && weights > 0; i++) {
                    mean[to * components + i] = (byte) ((sums[i] + weights / 2) / weights);
                }
                if (covering != null) {
                    long of = (long) (bottom - top) * (right - left);
                    covering[to] = (byte) ((weights + of / 2) / of);
                }
            }
        }
        return new Reduction(w, h, components, mean, Optional.ofNullable(covering));
    }

    PlaneImage image() {
        return new PlaneImage(width, height, components, samples, alpha);
    }
}
