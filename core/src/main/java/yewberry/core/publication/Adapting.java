package yewberry.core.publication;

/** Fits what was made for pages of one size to pages of another. */
public final class Adapting {
    private final double across;
    private final double down;

    private Adapting(PageSize from, PageSize to) {
        this.across = to.width().points() / from.width().points();
        this.down = to.height().points() / from.height().points();
    }

    /**
     * A background with its measures in proportion: those across by the widths, those down by the
     * heights. What follows the page by itself, and what the binding swallows, stays as it is.
     */
    public static Background fit(Background background, PageSize from, PageSize to) {
        if (from.equals(to)) {
            return background;
        }
        Adapting adapting = new Adapting(from, to);
        return background
                .withArea(adapting.area(background.area()))
                .withFill(adapting.fill(background.fill()));
    }

    private Area area(Area area) {
        return switch (area) {
            case Area.WholePage whole -> whole;
            case Area.WholeSpread spread -> spread;
            case Area.SafeArea safe -> safe;
            case Area.Band(Edge edge, Length depth) ->
                    new Area.Band(
                            edge,
                            depth.times(
                                    switch (edge) {
                                        case TOP, BOTTOM -> down;
                                        case LEFT, RIGHT, INSIDE, OUTSIDE -> across;
                                    }));
            case Area.Rectangle rectangle ->
                    new Area.Rectangle(
                            rectangle.anchor(),
                            rectangle.across().times(across),
                            rectangle.down().times(down),
                            rectangle.width().times(across),
                            rectangle.height().times(down),
                            rectangle.bleeds());
        };
    }

    private Fill fill(Fill fill) {
        return switch (fill) {
            case Fill.None none -> none;
            case Fill.Solid solid -> solid;
            case Fill.Gradient gradient -> gradient;
            case Fill.Word word -> word;
            case Fill.Picture picture -> picture.withPlacing(placing(picture.placing()));
            case Fill.PdfPage page ->
                    new Fill.PdfPage(page.asset(), page.number(), placing(page.placing()));
        };
    }

    private Placing placing(Placing placing) {
        return new Placing(
                placing.fit(),
                placing.percent(),
                placing.base(),
                placing.rotation(),
                placing.anchor(),
                placing.across().times(across),
                placing.down().times(down),
                placing.focus());
    }
}
