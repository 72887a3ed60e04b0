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

    /** Each pixel the mean of those it stands for, those that let through counting less. */
    Reduction by(int factor) {
        return alpha.isPresent() || factor > LARGEST ? weighed(factor) : plain(factor);
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
            Arrays.fill(sums, 0);
            for (int from = top * row; from < bottom * row; from += row) {
                for (int i = 0; i < row; i++) {
                    sums[i] += samples[from + i] & 0xff;
                }
            }
            for (int x = 0; x < w; x++) {
                int left = (int) ((long) x * width / w);
                int right = Math.max(left + 1, (int) ((long) (x + 1) * width / w));
                int of = (bottom - top) * (right - left);
                long inverse = inverses[of];
                for (int i = 0; i < components; i++) {
                    int sum = 0;
                    for (int at = left * components + i;
                            at < right * components;
                            at += components) {
                        sum += sums[at];
                    }
                    mean[to++] = (byte) ((sum + of / 2) * inverse >>> 32);
                }
            }
        }
        return new Reduction(w, h, components, mean, Optional.empty());
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
