package yewberry.pdf;

import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.graphics.state.PDExtendedGraphicsState;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Inks;
import yewberry.core.color.Overprint;
import yewberry.core.color.Rgb;
import yewberry.core.output.Node;
import yewberry.core.output.ScreenAndPaper;
import yewberry.core.output.Structure;
import yewberry.core.publication.Outline;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Cubics;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.Paint;
import yewberry.core.scene.Rect;
import yewberry.core.scene.Turn;
import yewberry.core.text.Face;
import yewberry.core.text.Segment;
import yewberry.core.text.WordShape;

/**
 * Items as operators, one after the other, of a page or a form; its resources get what they name.
 */
final class Sheet {
    private final Materials materials;
    private final PDResources resources;
    private final Rect bleed;
    private final ContentWriter content = new ContentWriter();
    private final Shadings shadings;
    private boolean overprinting;
    private Optional<List<Inks.Spot>> shown = Optional.empty();

    /**
     * @param bleed whose bottom left corner is the origin
     */
    Sheet(Materials materials, PDResources resources, Rect bleed) {
        this.materials = materials;
        this.resources = resources;
        this.bleed = bleed;
        this.shadings = new Shadings(materials.document(), materials.spaces(), resources, bleed);
    }

    /** Text of a page that overprints is blended, to the same ink on each plate. */
    void showOverprint(MediumScene scene) {
        List<Inks.Spot> spots = scene.planes().spots();
        shown = Optional.of(spots);
        boolean takesAway =
                scene.text().stream()
                        .map(Item.GlyphRun::paint)
                        .filter(Paint::overprints)
                        .anyMatch(paint ->
                                Overprint.takenAway(paint.color(), spots, materials.condition())
                                        .isPresent());
        if (takesAway) {
            // where there is nothing at all, a blend mode shows what it is given
            content.beginArtifact();
            content.fillColor(Cmyk.NONE);
            content.fillRectangle(0, 0, bleed.width(), bleed.height());
            content.endMarkedContent();
        }
    }

    /** What follows ends at the bleed, until {@link #endPage}. */
    void beginPage() {
        content.save();
        content.clipRectangle(0, 0, bleed.width(), bleed.height());
    }

    void endPage() {
        content.restore();
        overprinting = false; // as before
    }

    byte[] bytes() {
        return content.bytes();
    }

    /** Of a file without structure. */
    void draw(Item item) throws IOException {
        draw(item, Optional.empty(), ScreenAndPaper.Where.BOTH);
    }

    /**
     * @param place what it is to whoever reads; nothing in a file without structure
     * @param where it is seen; a run that is on paper only is a copy of one that is read, and drawn
     *     as shapes
     */
    void draw(Item item, Optional<Structure.Place> place, ScreenAndPaper.Where where)
            throws IOException {
        if (where != ScreenAndPaper.Where.BOTH) {
            content.beginOptional(SwitchedLayers.name(where));
        }
        draw(item, place, item instanceof Item.GlyphRun && where == ScreenAndPaper.Where.PAPER);
        if (where != ScreenAndPaper.Where.BOTH) {
            content.endMarkedContent();
        }
    }

    private void draw(Item item, Optional<Structure.Place> place, boolean asShapes)
            throws IOException {
        boolean overprints = item instanceof Item.GlyphRun run && run.paint().overprints();
        if (overprints && shown.isPresent()) {
            takeAway((Item.GlyphRun) item);
            content.save();
            blend(BlendMode.DARKEN);
        } else if (overprints != overprinting) {
            overprinting = overprints;
            String state = overprinting ? "Over" : "Out";
            resources.put(COSName.getPDFName(state), overprint(overprinting));
            content.graphicsState(state);
        }
        boolean marked = place.isPresent() || !(item instanceof Item.GlyphRun);
        if (place.isPresent()) {
            begin(place.get());
        } else {
            begin(item);
        }
        switch (item) {
            case Item.AreaFill fill -> area(fill);
            case Item.TextFill fill -> formed(fill);
            case Item.FrontFill fill -> formed(fill);
            case Item.GlyphStroke line -> stroke(line);
            case Item.GlyphRun run -> {
                fillColor(run.paint().color());
                if (asShapes) {
                    shapes(run);
                    break;
                }
                EmbeddedFont font = materials.font(run.face());
                resources.put(COSName.getPDFName(font.name()), font.font());
                boolean read = place.filter(Structure.Place.Read.class::isInstance).isPresent();
                text(
                        run,
                        font,
                        read && !run.type().leftward()
                                ? ((Structure.Place.Read) place.get()).spaced()
                                : List.of());
            }
        }
        if (marked) {
            content.endMarkedContent();
        }
        if (overprints && shown.isPresent()) {
            content.restore();
        }
    }

    /** What is more of the inks of a run below it than it has. */
    private void takeAway(Item.GlyphRun run) throws IOException {
        Optional<Color> least =
                Overprint.takenAway(
                        run.paint().color(), shown.orElseThrow(), materials.condition());
        if (least.isPresent()) {
            content.beginArtifact();
            content.save();
            blend(BlendMode.LIGHTEN);
            fillColor(least.get());
            shapes(run);
            content.restore();
            content.endMarkedContent();
        }
    }

    private void blend(BlendMode mode) {
        PDExtendedGraphicsState state = new PDExtendedGraphicsState();
        state.getCOSObject().setName(COSName.BM, mode.standardName());
        resources.put(COSName.getPDFName(mode.standardName()), state);
        content.graphicsState(mode.standardName());
    }

    /** What is printed around the page follows, in all inks. */
    void beginMarks(double weight) throws IOException {
        content.beginArtifact(Structure.Artifact.SHEET);
        InkSpaces.Space all = materials.spaces().all();
        named(all);
        content.lines(weight, 0, Outline.MITER_LIMIT);
        content.strokeColor(all.resource().getName(), new double[] {1});
        content.fillColor(all.resource().getName(), new double[] {1});
    }

    /** Draws a line of the marks. */
    void mark(Path2D path) {
        Path2D moved = new Path2D.Double(path);
        moved.transform(new AffineTransform(1, 0, 0, -1, -bleed.x(), bleed.bottom()));
        content.stroke(moved);
    }

    /** Fills a field of the marks. */
    void patch(Cmyk ink, Rect rect) throws IOException {
        content.save();
        content.fillColor(ink);
        content.fillRectangle(
                rect.x() - bleed.x(), bleed.bottom() - rect.bottom(), rect.width(), rect.height());
        content.restore();
    }

    /** Draws a line of text of the marks, as shapes, as far as there is room. */
    void line(String text, Face face, double size, double x, double baseline, double width) {
        Path2D shape = Cubics.of(WordShape.of(text, face));
        double scale = Math.min(size, width / shape.getBounds2D().getWidth());
        shape.transform(
                new AffineTransform(scale, 0, 0, -scale, x - bleed.x(), bleed.bottom() - baseline));
        content.fill(shape);
    }

    void endMarks() {
        content.endMarkedContent();
    }

    private void begin(Structure.Place place) {
        switch (place) {
            case Structure.Place.Read(Node node, int number, List<Boolean> spaced) ->
                    content.beginRead(Tags.type(node), number);
            case Structure.Place.Beside(Structure.Artifact kind) -> content.beginArtifact(kind);
        }
    }

    private void begin(Item item) {
        switch (item) {
            case Item.AreaFill fill -> content.beginBackgroundArtifact();
            case Item.TextFill fill -> content.beginArtifact();
            case Item.FrontFill fill -> {
                if (fill.source().isRunningItem()) {
                    content.beginWatermarkArtifact();
                } else if (fill.source().meaning().text().isEmpty() || !fill.source().isRead()) {
                    content.beginArtifact();
                } else {
                    content.beginPicture(fill.source().meaning().text());
                }
            }
            case Item.GlyphStroke line -> content.beginArtifact();
            case Item.GlyphRun run -> {}
        }
    }

    private void area(Item.AreaFill fill) throws IOException {
        Rect rect = fill.rect();
        double x = rect.x() - bleed.x();
        double y = bleed.bottom() - rect.bottom();
        boolean mixes = Shadings.mixes(fill);
        boolean own = mixes || !(fill.paint() instanceof AreaPaint.Solid);
        if (own) {
            content.save();
        }
        if (mixes) {
            content.graphicsState(shadings.state(fill));
        }
        switch (fill.paint()) {
            case AreaPaint.Solid(Paint paint) -> {
                fillColor(paint.color());
                content.fillRectangle(x, y, rect.width(), rect.height());
            }
            case AreaPaint.Gradient gradient -> {
                content.clipRectangle(x, y, rect.width(), rect.height());
                content.shading(shadings.shading(gradient, fill.frame()));
            }
            case AreaPaint.Picture picture ->
                    materials.placed().paint(content, resources, picture, rect, bleed, !mixes);
        }
        if (own) {
            content.restore();
        }
    }

    /** What has a form of its own, as a path or within it. */
    private void formed(Item.Formed fill) throws IOException {
        Path2D path = Cubics.of(fill.shape().orElse(fill.bounds().shape()));
        path.transform(new AffineTransform(1, 0, 0, -1, -bleed.x(), bleed.bottom()));
        switch (fill.paint()) {
            case AreaPaint.Solid(Paint paint) -> {
                if (Shadings.mixes(fill)) {
                    content.save();
                    content.graphicsState(shadings.state(fill));
                }
                fillColor(paint.color());
                content.fill(path);
                if (Shadings.mixes(fill)) {
                    content.restore();
                }
            }
            case AreaPaint.Gradient gradient -> {
                content.save();
                content.clip(path);
                if (!fill.turn().isNone()) {
                    AffineTransform turned = turned(fill.turn());
                    double[] matrix = new double[6];
                    turned.getMatrix(matrix);
                    content.rotate(matrix);
                }
                if (Shadings.mixes(fill)) {
                    content.graphicsState(shadings.state(fill));
                }
                content.shading(shadings.shading(gradient, fill.frame()));
                content.restore();
            }
            case AreaPaint.Picture picture -> {
                content.save();
                if (Shadings.mixes(fill)) {
                    content.graphicsState(shadings.state(fill));
                }
                content.clip(path);
                materials
                        .placed()
                        .paint(
                                content,
                                resources,
                                picture,
                                fill.bounds(),
                                bleed,
                                !Shadings.mixes(fill));
                content.restore();
            }
        }
    }

    /** A rotation in the space of the file, where y goes up. */
    private AffineTransform turned(Turn turn) {
        return AffineTransform.getRotateInstance(
                Math.toRadians(-turn.degrees()), turn.x() - bleed.x(), bleed.bottom() - turn.y());
    }

    /** ISO 32000-1, 8.6.7: with mode 1, process inks at zero leave what is below. */
    private static PDExtendedGraphicsState overprint(boolean on) {
        PDExtendedGraphicsState state = new PDExtendedGraphicsState();
        state.setStrokingOverprintControl(on);
        state.setNonStrokingOverprintControl(on);
        state.setOverprintMode(on ? 1 : 0);
        return state;
    }

    /** Letters, glyph by glyph, as shapes, which do not read as text. */
    private void shapes(Item.GlyphRun run) {
        AffineTransform up = new AffineTransform(1, 0, 0, -1, -bleed.x(), bleed.bottom());
        for (Item.Line line : run.lines()) {
            for (Segment.Glyph glyph : line.glyphs()) {
                if (!run.face().outline(glyph.id()).ink().isEmpty()) {
                    Path2D path = Cubics.of(run.shape(line, glyph));
                    path.transform(up);
                    content.fill(path);
                }
            }
        }
    }

    /** The line around letters, glyph by glyph, as paths, which do not read as text again. */
    private void stroke(Item.GlyphStroke line) throws IOException {
        strokeColor(line.paint().color());
        int join =
                switch (line.join()) {
                    case MITER -> 0;
                    case ROUND -> 1;
                    case BEVEL -> 2;
                };
        content.lines(line.width(), join, Outline.MITER_LIMIT);
        Item.GlyphRun run = line.letters();
        AffineTransform up = new AffineTransform(1, 0, 0, -1, -bleed.x(), bleed.bottom());
        for (Item.Line each : run.lines()) {
            for (Segment.Glyph glyph : each.glyphs()) {
                if (!run.face().outline(glyph.id()).ink().isEmpty()) {
                    Path2D path = line.path(each, glyph);
                    path.transform(up);
                    content.stroke(path);
                }
            }
        }
    }

    private void strokeColor(Color color) throws IOException {
        if (color instanceof Rgb light) {
            content.strokeColor(light);
        } else if (color instanceof Inks inks) {
            InkSpaces.Use use = named(inks);
            content.strokeColor(use.space().resource().getName(), use.fractions());
        } else {
            content.strokeColor(materials.condition().toInk(color));
        }
    }

    private void fillColor(Color color) throws IOException {
        if (color instanceof Rgb light) {
            content.fillColor(light);
        } else if (color instanceof Inks inks) {
            InkSpaces.Use use = named(inks);
            content.fillColor(use.space().resource().getName(), use.fractions());
        } else {
            content.fillColor(materials.condition().toInk(color));
        }
    }

    /** A colour of inks, whose space the page's resources then have. */
    private InkSpaces.Use named(Inks inks) throws IOException {
        InkSpaces.Use use = materials.spaces().use(inks);
        named(use.space());
        return use;
    }

    private void named(InkSpaces.Space space) {
        COSDictionary named = resources.getCOSObject().getCOSDictionary(COSName.COLORSPACE);
        if (named == null) {
            named = new COSDictionary();
            resources.getCOSObject().setItem(COSName.COLORSPACE, named);
        }
        named.setItem(space.resource(), space.array());
    }

    private double[] textMatrix(Item.GlyphRun run, Item.Line line, Segment.Glyph glyph) {
        double angle = Math.toRadians(run.turn().degrees());
        AffineTransform place = run.place(line, glyph);
        return new double[] {
            Math.cos(angle),
            -Math.sin(angle),
            Math.sin(angle),
            Math.cos(angle),
            place.getTranslateX() - bleed.x(),
            bleed.bottom() - place.getTranslateY()
        };
    }

    /**
     * @param spaced for each line, whether a space goes on from it to the next; nothing for none
     */
    private void text(Item.GlyphRun run, EmbeddedFont font, List<Boolean> spaced)
            throws IOException {
        content.beginText(font.name(), run.size());
        for (int at = 0; at < run.lines().size(); at++) {
            Item.Line line = run.lines().get(at);
            double level = Double.NaN;
            double pen = 0;
            List<Segment.Glyph> glyphs = line.glyphs();
            boolean marked = false;
            for (int i = 0; i < glyphs.size(); i++) {
                Segment.Glyph glyph = glyphs.get(i);
                if (glyph.y() != level) {
                    if (!Double.isNaN(level)) {
                        content.endGlyphs();
                    }
                    content.textMatrix(textMatrix(run, line, glyph));
                    content.beginGlyphs();
                    level = glyph.y();
                    pen = glyph.x();
                }
                double behind = (pen - glyph.x()) * Face.UNITS / run.size();
                if (Math.abs(behind) > 0.01) {
                    content.adjust(behind);
                }
                // those that say nothing belong to the one before them
                boolean goesOn = i + 1 < glyphs.size() && glyphs.get(i + 1).text().isEmpty();
                boolean reads = font.reads(glyph.id(), glyph.text());
                if (!marked && (!reads || goesOn)) {
                    content.endGlyphs();
                    content.beginActualText(glyph.text());
                    content.beginGlyphs();
                    marked = true;
                }
                content.glyph(font.encode(glyph.id()));
                if (marked && !goesOn) {
                    content.endGlyphs();
                    content.endMarkedContent();
                    content.beginGlyphs();
                    marked = false;
                }
                pen = glyph.x() + font.width(glyph.id()) * run.size() / Face.UNITS;
            }
            if (!glyphs.isEmpty()) {
                if (!spaced.isEmpty() && spaced.get(at) && font.readsSpace()) {
                    content.glyph(font.encode(font.space()));
                }
                content.endGlyphs();
            }
        }
        content.endText();
    }
}
