package yewberry.core.picture;

import java.awt.image.BufferedImage;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import yewberry.core.Refused;
import yewberry.core.asset.PlaneImage;
import yewberry.core.color.Color;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Outline;
import yewberry.core.publication.RunOut;
import yewberry.core.raster.ChosenPixels;
import yewberry.core.raster.PageRaster;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.Overlay;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Paint;
import yewberry.core.scene.PicturePlace;
import yewberry.core.scene.Rect;
import yewberry.core.text.Segment;

/**
 * The picture of a page or a spread as SVG 1.1 with presentation attributes only. One user unit is
 * one point. Trim, bleed and safe area are drawn when asked for.
 */
public final class SvgPicture {
    /** Fine enough for a page at 200 %; what areas mix has no edges finer than that. */
    public static final int USUAL_PPI = 144;

    private static final int LEAST_PPI = 18;

    private static final int FINE_PPI = 288;

    /** Of more places one around them all is painted. */
    private static final int MOST_PLACES = 40;

    /** What of a file cannot be drawn as shapes is at most so many pixels a page. */
    private static final double MOST_PIXELS = 16e6;

    private final View view;
    private final boolean guides;
    private final boolean annotated;
    private final PictureLinks links;
    private final int ppi;
    private final SvgLetters letters;
    private final StringBuilder clips = new StringBuilder();
    private final StringBuilder body = new StringBuilder();
    private int parts;
    private int gradients;
    private int pictures;

    /**
     * @param annotated whether the annotations of the pages of files are seen
     */
    private SvgPicture(
            View view,
            boolean guides,
            boolean annotated,
            PictureLinks links,
            int ppi,
            SvgLetters letters) {
        this.view = view;
        this.guides = guides;
        this.annotated = annotated;
        this.links = links;
        this.ppi = ppi;
        this.letters = letters;
    }

    /** A page alone, out to its bleed on every side. */
    public static String page(PageScene scene, View view, boolean guides) {
        SvgPicture picture =
                new SvgPicture(
                        view, guides, true, PictureLinks.NONE, USUAL_PPI, new SvgLetters.Shared());
        picture.draw(scene, 0, scene.boxes().bleed());
        return picture.document(scene.boxes().bleed());
    }

    /**
     * A part of a page, without guides.
     *
     * @param region in the space of the page; what lies beyond the bleed stays empty
     */
    public static String region(PageScene scene, Rect region, View view) {
        return region(scene, region, view, Optional.empty());
    }

    /** An image that lies over a part of a page. */
    public record Marks(BufferedImage image, Rect region) {}

    /**
     * The same.
     *
     * @param marks that lie over it
     */
    public static String region(PageScene scene, Rect region, View view, Optional<Marks> marks) {
        SvgPicture picture =
                new SvgPicture(
                        view, false, true, PictureLinks.NONE, USUAL_PPI, new SvgLetters.Whole());
        picture.draw(scene, 0, scene.boxes().bleed().intersection(region));
        marks.ifPresent(picture::marks);
        return picture.document(region);
    }

    /**
     * Where a page stands in a spread: its trim begins at {@code x}; {@code visible} is its part.
     */
    public record PlacedScene(PageScene scene, double x, Rect visible) {}

    /**
     * One page or two that face each other, meeting at the spine: neither goes beyond it.
     *
     * @param scenes from left to right
     */
    public static String spread(List<PageScene> scenes, View view, boolean guides) {
        return spread(scenes, view, guides, PictureLinks.NONE, USUAL_PPI);
    }

    /**
     * The same for a document that can read pixels from elsewhere: a picture that covers, and that
     * nothing is mixed with, is read from there, so that moving it makes no new pixels.
     *
     * @param ppi how fine what cannot be drawn as shapes is painted, in pixels per inch
     * @throws Refused if that is not within 18 to 288
     */
    public static String spread(
            List<PageScene> scenes, View view, boolean guides, PictureLinks links, int ppi) {
        if (ppi < LEAST_PPI || ppi > FINE_PPI) {
            throw new Refused(
                    "A picture of a spread has %d to %d pixels per inch."
                            .formatted(LEAST_PPI, FINE_PPI));
        }
        return new SvgPicture(view, guides, true, links, ppi, new SvgLetters.Whole())
                .arranged(arrange(scenes));
    }

    /** Pages beside each other as a file of its own, without guides, and fine enough for print. */
    public static String file(List<PlacedScene> pages, View view) {
        return new SvgPicture(
                        view, false, false, PictureLinks.NONE, ppi(pages), new SvgLetters.Shared())
                .arranged(pages);
    }

    /** How fine what cannot be drawn as shapes is in such a file, in pixels per inch. */
    public static int ppi(List<PlacedScene> pages) {
        double largest =
                pages.stream()
                        .mapToDouble(page -> page.visible().width() * page.visible().height())
                        .max()
                        .orElseThrow();
        return (int) Math.clamp(72 * Math.sqrt(MOST_PIXELS / largest), LEAST_PPI, FINE_PPI);
    }

    private String arranged(List<PlacedScene> pages) {
        Optional<Rect> whole = Optional.empty();
        for (PlacedScene placed : pages) {
            draw(placed.scene(), placed.x(), placed.visible());
            Rect moved = placed.visible().movedBy(placed.x(), 0);
            whole = Optional.of(whole.map(moved::union).orElse(moved));
        }
        return document(whole.orElseThrow());
    }

    /** The places of a spread's pages: x from the left edge of the leftmost trim, in points. */
    public static List<PlacedScene> arrange(List<PageScene> scenes) {
        if (scenes.size() == 1) {
            PageScene only = scenes.getFirst();
            return List.of(new PlacedScene(only, 0, only.boxes().bleed()));
        }
        PageScene left = scenes.getFirst();
        PageScene right = scenes.getLast();
        return List.of(
                new PlacedScene(left, 0, left.boxes().upToSpine()),
                new PlacedScene(right, left.boxes().trim().width(), right.boxes().upToSpine()));
    }

    private void draw(PageScene scene, double x, Rect visible) {
        String clip = "page-" + scene.page();
        clips.append("<clipPath id=\"").append(clip).append("\"><rect");
        box(clips, visible);
        clips.append("/></clipPath>");
        body.append("<g transform=\"translate(").append(SvgMarkup.number(x)).append(" 0)\">");
        body.append("<g clip-path=\"url(#").append(clip).append(")\">");
        rect(visible, view.bare());
        areas(scene, visible);
        MediumScene shown = scene.on(view);
        List<Item> above = shown.items().subList(shown.lower().size(), shown.items().size());
        for (Item item : above) {
            switch (item) {
                case Item.AreaFill fill -> over(shown, fill);
                case Item.Formed fill -> fill(shown, fill);
                case Item.Lettering text -> letters(shown, text);
            }
        }
        if (annotated) {
            annotations(shown);
        }
        body.append("</g>");
        if (guides) {
            guide("bleed", visible, "1 3");
            guide("trim", scene.boxes().trim().intersection(visible), "");
            guide("safe", scene.boxes().safe(), "4 4");
        }
        body.append("</g>");
    }

    /**
     * Colours and gradients that cover are drawn as they are; where one lets through what is below,
     * a browser would mix the colours of the screen and not the inks, and it would show a picture
     * in the colours of its file, so then all areas are painted here.
     */
    private void areas(PageScene scene, Rect visible) {
        MediumScene shown = scene.on(view);
        if (shown.lower().stream().allMatch(fill -> isPlain(fill) || link(fill).isPresent())) {
            for (Item.AreaFill fill : shown.lower()) {
                switch (fill.paint()) {
                    case AreaPaint.Gradient gradient ->
                            filled(
                                    fill.rect(),
                                    "url(#%s)".formatted(gradient(shown, fill.frame(), gradient)));
                    case AreaPaint.Solid(Paint paint) -> rect(fill.rect(), view.see(paint.color()));
                    case AreaPaint.Picture picture ->
                            placed(fill.rect(), picture.place(), link(fill).orElseThrow());
                }
            }
            return;
        }
        image(PaintedAreas.of(scene, view, visible, ppi), visible);
    }

    /**
     * @param region that it was painted for; its sides were rounded up to whole pixels
     */
    private void image(PaintedAreas.Picture painted, Rect region) {
        double pixel = 72.0 / ppi;
        image(
                painted.base64(),
                new Rect(
                        region.x(), region.y(), painted.width() * pixel, painted.height() * pixel));
    }

    private void marks(Marks marks) {
        image(Base64.getEncoder().encodeToString(Png.of(marks.image())), marks.region());
    }

    /**
     * @param png in Base64
     */
    private void image(String png, Rect box) {
        body.append("<image");
        box(body, box);
        body.append(" preserveAspectRatio=\"none\" href=\"data:image/png;base64,");
        body.append(png).append("\"/>");
    }

    /** Where the pixels of an area are that is all covered by a part of one picture. */
    private Optional<String> link(Item.AreaFill fill) {
        return fill.paint() instanceof AreaPaint.Picture picture
                        && picture.place().covers(fill.rect())
                ? link(fill, picture)
                : Optional.empty();
    }

    private Optional<String> link(Item.Filled fill, AreaPaint.Picture picture) {
        if (!(picture.asset().content() instanceof Asset.Pixels pixels)
                || !fill.covers()
                || picture.tiled()) {
            return Optional.empty();
        }
        int wanted = PlaneImage.wanted(picture.place().width() / 72 * ppi);
        return links.of(picture, PlaneImage.factor(pixels.width(), wanted));
    }

    private void placed(Rect rect, PicturePlace place, String link) {
        String id = "picture-" + ++pictures;
        clips.append("<clipPath id=\"").append(id).append("\"><rect");
        box(clips, rect);
        clips.append("/></clipPath>");
        placed(id, place, link);
    }

    private void placed(String id, PicturePlace place, String link) {
        body.append("<g clip-path=\"url(#").append(id).append(")\">");
        body.append(
                "<image width=\"1\" height=\"1\" preserveAspectRatio=\"none\" transform=\"matrix(");
        body.append(
                Stream.of(
                                place.acrossX(),
                                place.acrossY(),
                                place.downX(),
                                place.downY(),
                                place.x(),
                                place.y())
                        .map(SvgMarkup::number)
                        .collect(Collectors.joining(" ")));
        body.append(")\" href=\"").append(link).append("\"/></g>");
    }

    private static boolean isPlain(Item.AreaFill fill) {
        return fill.covers() && !(fill.paint() instanceof AreaPaint.Picture);
    }

    /** A background over the page of a file, with what it comes to there. */
    private void over(MediumScene scene, Item.AreaFill fill) {
        Rect region = fill.bounds().intersection(scene.boxes().bleed());
        if (!region.isEmpty()) {
            image(
                    PaintedAreas.picture(
                            PageRaster.of(scene, scene.upTo(fill), region, ppi).image(view)),
                    region);
        }
    }

    /** Those of the page of a file, with what they come to on what they lie on. */
    private void annotations(MediumScene scene) {
        List<Rect> places = scene.annotations();
        Optional<Rect> around = places.stream().reduce(Rect::union);
        for (Rect place : places.size() > MOST_PLACES ? around.stream().toList() : places) {
            Rect region = place.intersection(scene.boxes().bleed());
            if (!region.isEmpty()) {
                image(
                        PaintedAreas.picture(
                                PageRaster.of(scene, scene.annotated(), region, ppi).image(view)),
                        region);
            }
        }
    }

    /** What has a form of its own; where it lets through what is below, as it comes to. */
    private void fill(MediumScene scene, Item.Formed fill) {
        Optional<String> elsewhere =
                fill.paint() instanceof AreaPaint.Picture picture && picture.runOut() == RunOut.NONE
                        ? link(fill, picture)
                        : Optional.empty();
        if (!fill.covers() || fill.paint() instanceof AreaPaint.Picture && elsewhere.isEmpty()) {
            Rect region = fill.bounds().intersection(scene.boxes().bleed());
            if (region.isEmpty()) {
                return;
            }
            String id = "over-" + ++parts;
            clips.append("<clipPath id=\"").append(id).append("\">");
            path(clips, fill, "");
            clips.append("</clipPath>");
            body.append("<g clip-path=\"url(#").append(id).append(")\">");
            image(
                    PaintedAreas.picture(
                            PageRaster.of(scene, scene.upTo(fill), region, ppi).image(view)),
                    region);
            body.append("</g>");
            return;
        }
        String color =
                switch (fill.paint()) {
                    case AreaPaint.Gradient gradient ->
                            "url(#%s)".formatted(gradient(scene, fill.frame(), gradient));
                    case AreaPaint.Solid(Paint paint) -> view.see(paint.color()).hex();
                    case AreaPaint.Picture picture -> {
                        String id = "picture-" + ++pictures;
                        clips.append("<clipPath id=\"").append(id).append("\">");
                        path(clips, fill, "");
                        clips.append("</clipPath>");
                        placed(id, picture.place(), elsewhere.orElseThrow());
                        yield "none";
                    }
                };
        if (fill.paint() instanceof AreaPaint.Picture) {
            return;
        }
        path(body, fill, " fill=\"%s\"".formatted(color));
    }

    private static void path(StringBuilder to, Item.Formed fill, String attributes) {
        if (fill.form().rectangle().isPresent()) {
            to.append("<rect");
            box(to, fill.form().bounds());
        } else {
            to.append("<path d=\"");
            SvgMarkup.path(to, fill.form().path());
            to.append('"');
        }
        fill.turn()
                .ifAny()
                .ifPresent(turn ->
                        to.append(" transform=\"").append(SvgMarkup.rotate(turn)).append('"'));
        to.append(attributes).append("/>");
    }

    /** Defines a gradient, whose name it gives. */
    private String gradient(MediumScene scene, Rect frame, AreaPaint.Gradient gradient) {
        String id = "gradient-" + ++gradients;
        double x = frame.x() + frame.width() / 2;
        double y = frame.y() + frame.height() / 2;
        String element =
                switch (gradient.kind()) {
                    case LINEAR -> "linearGradient";
                    case RADIAL -> "radialGradient";
                };
        clips.append('<').append(element).append(" id=\"").append(id);
        clips.append("\" gradientUnits=\"userSpaceOnUse\"");
        switch (gradient.kind()) {
            case LINEAR -> {
                double radians = Math.toRadians(gradient.angle());
                double dx = gradient.length(frame) / 2 * Math.cos(radians);
                double dy = gradient.length(frame) / 2 * Math.sin(radians);
                attribute("x1", x - dx);
                attribute("y1", y + dy);
                attribute("x2", x + dx);
                attribute("y2", y - dy);
            }
            case RADIAL -> {
                attribute("cx", x);
                attribute("cy", y);
                attribute("r", gradient.radius(frame));
            }
        }
        clips.append('>');
        for (GradientStops.Stop stop : GradientStops.of(scene, gradient, view)) {
            clips.append("<stop offset=\"").append(SvgMarkup.number(stop.position()));
            clips.append("\" stop-color=\"").append(stop.color().hex()).append("\"/>");
        }
        clips.append("</").append(element).append('>');
        return id;
    }

    private void attribute(String name, double value) {
        clips.append(' ').append(name).append("=\"").append(SvgMarkup.number(value)).append('"');
    }

    private void rect(Rect rect, Rgb color) {
        filled(rect, color.hex());
    }

    private void filled(Rect rect, String with) {
        body.append("<rect");
        box(body, rect);
        body.append(" fill=\"").append(with).append("\"/>");
    }

    private static void box(StringBuilder to, Rect rect) {
        to.append(" x=\"").append(SvgMarkup.number(rect.x()));
        to.append("\" y=\"").append(SvgMarkup.number(rect.y()));
        to.append("\" width=\"").append(SvgMarkup.number(rect.width()));
        to.append("\" height=\"").append(SvgMarkup.number(rect.height())).append('"');
    }

    private void letters(MediumScene scene, Item.Lettering text) {
        switch (text) {
            case Item.GlyphStroke stroke -> stroke(stroke);
            case Item.GlyphRun run -> text(scene, run);
        }
    }

    /** Text that overprints is drawn part by part, each in the colour it comes to there. */
    private void text(MediumScene scene, Item.GlyphRun run) {
        if (!run.paint().overprints()) {
            text(run, run.paint().color());
            return;
        }
        if (liesOnMixedInk(scene, run)) {
            overprinted(scene, run);
            return;
        }
        Optional<Color> first = Optional.empty();
        for (Overlay.Part part : Overlay.of(scene, run)) {
            if (first.isEmpty()) {
                // the first lies under all the others too, so that no seam shows between them
                first = Optional.of(part.color());
                text(run, part.color());
            } else if (part.within().isPresent() || !part.color().equals(first.get())) {
                body.append("<g clip-path=\"url(#").append(clip(part)).append(")\">");
                text(run, part.color());
                body.append("</g>");
            }
        }
    }

    /** Whether it lies on a ground that is not one colour. */
    private static boolean liesOnMixedInk(MediumScene scene, Item.GlyphRun run) {
        Rect bounds = run.bounds();
        for (Item item : scene.below(run).reversed()) {
            if (!(item instanceof Item.Filled fill) || !fill.touches(bounds)) {
                continue;
            }
            if (fill.solid().isPresent() && fill.holds(bounds)) {
                return false;
            }
            if (fill.solid().isEmpty() || fill.shape().isPresent()) {
                return true;
            }
        }
        return false;
    }

    /** There it has as many colours as the ground: they are painted, and its glyphs cut out. */
    private void overprinted(MediumScene scene, Item.GlyphRun run) {
        Rect region = run.bounds().intersection(scene.boxes().bleed());
        if (region.isEmpty()) {
            return;
        }
        String id = "over-" + ++parts;
        glyphClip(id, run);
        body.append("<g clip-path=\"url(#").append(id).append(")\">");
        image(
                PaintedAreas.picture(
                        PageRaster.of(
                                        scene,
                                        scene.below(run),
                                        region,
                                        ppi,
                                        ChosenPixels.around(run, region, ppi))
                                .overprinted(run.paint())
                                .image(view)),
                region);
        body.append("</g>");
    }

    /** Makes a clip of the glyphs of a run. */
    private void glyphClip(String id, Item.Lettering text) {
        if (text instanceof Item.GlyphStroke stroke) {
            strokeClip(id, stroke);
            return;
        }
        clips.append("<clipPath id=\"").append(id).append("\">");
        letters.clip(clips, text.letters());
        clips.append("</clipPath>");
    }

    /** A clip is filled, so that a line in it stands as the shape that it has. */
    private void strokeClip(String id, Item.GlyphStroke stroke) {
        clips.append("<clipPath id=\"").append(id).append("\"><path d=\"");
        for (Item.Line line : stroke.letters().lines()) {
            for (Segment.Glyph glyph : line.glyphs()) {
                SvgMarkup.path(clips, stroke.shape(line, glyph));
            }
        }
        clips.append("\"/></clipPath>");
    }

    /** Makes a clip of a part: its rectangle, and of that the glyphs it is limited to. */
    private String clip(Overlay.Part part) {
        String id = "part-" + ++parts;
        clips.append("<clipPath id=\"").append(id).append("\"");
        part.within()
                .ifPresent(run -> {
                    String within = "within-" + parts;
                    clips.append(" clip-path=\"url(#").append(within).append(")\"");
                });
        clips.append("><rect");
        box(clips, part.rect());
        clips.append("/></clipPath>");
        part.within().ifPresent(run -> glyphClip("within-" + parts, run));
        return id;
    }

    private void stroke(Item.GlyphStroke stroke) {
        double width = stroke.width() / stroke.letters().scale();
        body.append("<g fill=\"none\" stroke=\"").append(view.see(stroke.paint().color()).hex());
        body.append("\" stroke-width=\"").append(SvgMarkup.number(width));
        body.append("\" stroke-linejoin=\"").append(join(stroke.join()));
        body.append("\" stroke-miterlimit=\"")
                .append(SvgMarkup.number(Outline.MITER_LIMIT))
                .append("\">");
        letters.draw(body, stroke.letters());
        body.append("</g>");
    }

    private static String join(Outline.Join join) {
        return join.name().toLowerCase(java.util.Locale.ROOT);
    }

    private void text(Item.GlyphRun run, Color ink) {
        body.append("<g fill=\"").append(view.see(ink).hex()).append("\">");
        letters.draw(body, run);
        body.append("</g>");
    }

    /** A light line under a dark one, so that it is seen on any colour and needs none itself. */
    private void guide(String name, Rect rect, String dashes) {
        for (String stroke : List.of("#ffffff", "#1c1c1c")) {
            body.append("<rect data-guide=\"").append(name).append('"');
            box(body, rect);
            body.append(" fill=\"none\" stroke=\"").append(stroke);
            body.append("\" stroke-width=\"1\" vector-effect=\"non-scaling-stroke\"");
            body.append(" stroke-opacity=\"").append(stroke.equals("#ffffff") ? "0.6" : "0.85");
            body.append('"');
            if (stroke.equals("#1c1c1c") && !dashes.isEmpty()) {
                body.append(" stroke-dasharray=\"").append(dashes).append('"');
            }
            body.append("/>");
        }
    }

    private String document(Rect shown) {
        StringBuilder svg = new StringBuilder(body.length() + 1000);
        svg.append("<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"");
        svg.append(SvgMarkup.number(shown.x()))
                .append(' ')
                .append(SvgMarkup.number(shown.y()))
                .append(' ');
        svg.append(SvgMarkup.number(shown.width()))
                .append(' ')
                .append(SvgMarkup.number(shown.height()));
        svg.append("\" width=\"").append(SvgMarkup.number(shown.width())).append("pt\" height=\"");
        svg.append(SvgMarkup.number(shown.height())).append("pt\"><defs>").append(clips);
        letters.define(svg);
        return svg.append("</defs>").append(body).append("</svg>").toString();
    }
}
