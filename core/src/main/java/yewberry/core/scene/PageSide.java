package yewberry.core.scene;

import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.NoninvertibleTransformException;
import java.awt.geom.Rectangle2D;
import java.util.List;
import java.util.Optional;
import yewberry.core.publication.Side;
import yewberry.core.text.Segment;

/**
 * One of two pages that are seen together as one: what is on it ends where it is not seen any more,
 * and lies farther to the right.
 *
 * @param scene of the page
 * @param seen what is seen of it, in its own space
 * @param by how far to the right it lies, in points
 */
record PageSide(PageScene scene, Rect seen, double by) {
    /** What is seen of an item; nothing where that is nothing. */
    Optional<Item> item(Item item) {
        return switch (item) {
            case Item.AreaFill fill -> area(fill);
            case Item.TextFill fill -> form(fill).map(form -> moved(fill, form));
            case Item.FrontFill fill -> form(fill).map(form -> moved(fill, form));
            case Item.GlyphRun run -> run(run).map(Item.class::cast);
            case Item.GlyphStroke line ->
                    run(line.letters())
                            .map(letters ->
                                    new Item.GlyphStroke(
                                            letters, line.paint(), line.width(), line.join()));
        };
    }

    PageScene.Part part() {
        return new PageScene.Part(scene.page(), seen.movedBy(by, 0));
    }

    PageScene.PlacedFrame frame(PageScene.PlacedFrame frame) {
        return new PageScene.PlacedFrame(
                frame.place(),
                frame.origin(),
                frame.frame(),
                frame.story(),
                frame.where().movedBy(by, 0),
                moved(frame.turn()));
    }

    PageScene.PlacedPicture picture(PageScene.PlacedPicture picture) {
        return new PageScene.PlacedPicture(
                picture.place(),
                picture.origin(),
                picture.frame(),
                picture.where().movedBy(by, 0),
                moved(picture.turn()));
    }

    PageScene.Overset overset(PageScene.Overset overset) {
        return new PageScene.Overset(
                overset.origin(),
                overset.frame(),
                overset.story(),
                overset.where().movedBy(by, 0),
                overset.text());
    }

    PageScene.Link link(PageScene.Link link) {
        List<Rect> where = link.where().stream().map(line -> line.movedBy(by, 0)).toList();
        return new PageScene.Link(
                link.origin(),
                link.run(),
                link.to(),
                link.leads(),
                link.text(),
                where,
                moved(link.turn()));
    }

    private Optional<Item> area(Item.AreaFill fill) {
        Rect rect = fill.rect().intersection(seen);
        return rect.isEmpty()
                ? Optional.empty()
                : Optional.of(
                        new Item.AreaFill(
                                fill.origin(),
                                fill.background(),
                                moved(fill.paint()),
                                rect.movedBy(by, 0),
                                fill.frame().movedBy(by, 0),
                                fill.opacity(),
                                fill.blend(),
                                fill.goesTo()));
    }

    private Item.TextFill moved(Item.TextFill fill, Form form) {
        return new Item.TextFill(
                fill.origin(),
                fill.kind(),
                fill.textFrame(),
                fill.paragraph(),
                fill.run(),
                fill.look(),
                fill.lookName(),
                moved(fill.paint()),
                moved(form),
                fill.frame().movedBy(by, 0),
                moved(fill.turn()),
                fill.border());
    }

    private Item.FrontFill moved(Item.FrontFill fill, Form form) {
        return new Item.FrontFill(
                fill.origin(),
                fill.source(),
                moved(fill.paint()),
                moved(form),
                fill.reaches(),
                fill.frame().movedBy(by, 0));
    }

    /** What is seen of a form, before it is rotated. */
    private Optional<Form> form(Item.Formed fill) {
        if (fill.bounds().intersection(seen).isEmpty()) {
            return Optional.empty();
        }
        if (seen.contains(fill.bounds())) {
            return Optional.of(fill.form());
        }
        Optional<Rect> plain = fill.form().rectangle().filter(_ -> fill.turn().isNone());
        if (plain.isPresent()) {
            return plain.map(rect -> Form.of(rect.intersection(seen)));
        }
        Area left = new Area(fill.shape().orElse(fill.bounds().shape()));
        left.intersect(new Area(seen.shape()));
        return Optional.of(left).filter(it -> !it.isEmpty()).map(it -> back(it, fill.turn()));
    }

    private static Form back(Area turned, Turn turn) {
        try {
            return Form.of(turn.transform().createInverse().createTransformedShape(turned));
        } catch (NoninvertibleTransformException impossible) {
            throw new IllegalStateException("A rotation can be undone", impossible);
        }
    }

    /**
     * Letters are there as a whole or not at all; those beyond the other edges stay, since they are
     * read.
     */
    private Optional<Item.GlyphRun> run(Item.GlyphRun run) {
        boolean beyond = goesBeyondSpine(run.inkBounds());
        List<Item.Line> lines =
                run.lines().stream()
                        .map(line -> beyond ? line.only(glyph -> isHere(run, line, glyph)) : line)
                        .filter(line -> !line.glyphs().isEmpty())
                        .map(line ->
                                new Item.Line(
                                        line.text(),
                                        line.x() + by,
                                        line.baseline(),
                                        line.width(),
                                        line.glyphs()))
                        .toList();
        return lines.isEmpty()
                ? Optional.empty()
                : Optional.of(
                        new Item.GlyphRun(
                                run.origin(),
                                run.frame(),
                                run.paragraph(),
                                run.run(),
                                run.look(),
                                run.characters(),
                                run.type(),
                                run.paint(),
                                run.choice(),
                                moved(run.turn()),
                                lines));
    }

    private boolean goesBeyondSpine(Rect bounds) {
        return isLeft() ? bounds.right() > seen.right() : bounds.x() < seen.x();
    }

    /** Whether any of a letter is on this side of the spine. */
    private boolean isHere(Item.GlyphRun run, Item.Line line, Segment.Glyph glyph) {
        Rectangle2D ink = run.shape(line, glyph).getBounds2D();
        double x = run.place(line, glyph).getTranslateX();
        return isLeft()
                ? (ink.isEmpty() ? x : ink.getMinX()) < seen.right()
                : (ink.isEmpty() ? x : ink.getMaxX()) > seen.x();
    }

    private boolean isLeft() {
        return scene.boxes().side() == Side.LEFT;
    }

    private Form moved(Form form) {
        return form.rectangle()
                .map(rect -> Form.of(rect.movedBy(by, 0)))
                .orElseGet(() ->
                        Form.of(
                                AffineTransform.getTranslateInstance(by, 0)
                                        .createTransformedShape(form.path())));
    }

    private Turn moved(Turn turn) {
        return turn.isNone() ? turn : new Turn(turn.degrees(), turn.x() + by, turn.y());
    }

    private AreaPaint moved(AreaPaint paint) {
        return paint instanceof AreaPaint.Picture picture
                ? new AreaPaint.Picture(
                        picture.asset(),
                        picture.page(),
                        picture.pixels(),
                        picture.place().movedBy(by),
                        picture.tiled(),
                        picture.runOut(),
                        picture.seeThrough())
                : paint;
    }
}
