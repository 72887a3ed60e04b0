package yewberry.core.publication;

/**
 * What a frame of a parent keeps to on pages that are of another size than the publication: a
 * distance, the middle, or its share of the page.
 */
public record Hold(Way across, Way down) {
    /** The distances from the left and the top, and its size. */
    public static final Hold TOP_LEFT = new Hold(Way.NEAR, Way.NEAR);

    /** Its share of the page in both directions. */
    public static final Hold SHARE = new Hold(Way.SHARE, Way.SHARE);

    /** The least that is left of a side that gets smaller with the page, in points. */
    private static final double LEAST = 1;

    /** Of one direction. */
    public enum Way {
        /** Its distance from the left or the top. */
        NEAR,
        /** Its distance from the middle of the page. */
        MIDDLE,
        /** Its distance from the right or the bottom. */
        FAR,
        /** Both distances: it grows with the page. */
        BOTH,
        /** Its share of the page. */
        SHARE
    }

    private record Extent(Length at, Length size) {}

    /**
     * Where a frame lies on a page.
     *
     * @param box where it lies on pages of the usual size
     * @return this very box where the page has the usual size, or nothing moves
     */
    public Box on(Box box, PageSize usual, PageSize page) {
        if (page.equals(usual)) {
            return box;
        }
        Extent x = along(across, new Extent(box.x(), box.width()), usual.width(), page.width());
        Extent y = along(down, new Extent(box.y(), box.height()), usual.height(), page.height());
        Box there = new Box(x.at(), y.at(), x.size(), y.size());
        return there.equals(box) ? box : there;
    }

    private static Extent along(Way way, Extent is, Length usual, Length page) {
        double more = page.points() - usual.points();
        double times = page.points() / usual.points();
        return switch (way) {
            case NEAR -> is;
            case MIDDLE -> new Extent(Length.pt(is.at().points() + more / 2), is.size());
            case FAR -> new Extent(Length.pt(is.at().points() + more), is.size());
            case BOTH -> new Extent(is.at(), Length.pt(Math.max(LEAST, is.size().points() + more)));
            case SHARE -> new Extent(is.at().times(times), is.size().times(times));
        };
    }
}
