package yewberry.core.asset;

/** Four planes in one number: a byte each, the first the highest, 255 for all of it. */
public final class InkBytes {
    private InkBytes() {}

    /**
     * @param planes 0 to 1 each
     * @param from where the first of the four is
     */
    public static int of(double[] planes, int from) {
        return level(planes[from]) << 24
                | level(planes[from + 1]) << 16
                | level(planes[from + 2]) << 8
                | level(planes[from + 3]);
    }

    private static int level(double value) {
        return (int) (value * 255 + 0.5);
    }
}
