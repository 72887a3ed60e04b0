package yewberry.bench;

import java.util.Arrays;
import java.util.Locale;

/** Times of one thing, in nanoseconds. */
final class Samples {
    private final String name;
    private final long[] nanos;
    private int count;

    Samples(String name, int size) {
        this.name = name;
        this.nanos = new long[size];
    }

    void add(long sample) {
        nanos[count++] = sample;
    }

    /** In milliseconds. */
    double quantile(double q) {
        long[] sorted = Arrays.copyOf(nanos, count);
        Arrays.sort(sorted);
        int index = (int) Math.ceil(q * count) - 1;
        return sorted[Math.clamp(index, 0, count - 1)] / 1e6;
    }

    @Override
    public String toString() {
        return String.format(
                Locale.ROOT,
                "%-12s median %7.1f ms   95th percentile %7.1f ms   (%d samples)",
                name,
                quantile(0.5),
                quantile(0.95),
                count);
    }
}
