package yewberry.core.findings;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.color.Contrast;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.View;
import yewberry.core.edit.LookEdit;
import yewberry.core.legibility.GraphicContrast;
import yewberry.core.publication.Border;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Publication;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.Origin;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;

/**
 * Something that carries meaning and is no text, and does not stand out from what is next to it: as
 * designed, on what the publication goes to.
 */
public sealed interface GraphicFinding extends Finding {
    GraphicContrast contrast();

    static List<Finding> in(PageScene scene, Destination destination, PressCondition condition) {
        Map<UUID, GraphicFinding> worst = new LinkedHashMap<>();
        for (Medium medium : destination.media()) {
            View view = View.designed(medium, condition);
            MediumScene on = scene.on(view);
            for (Item item : on.items()) {
                Optional<? extends GraphicFinding> found =
                        switch (item) {
                            case Item.TextFill fill -> border(on, fill, view);
                            case Item.FrontFill fill -> picture(on, fill, view);
                            default -> Optional.empty();
                        };
                found.ifPresent(each -> worst.merge(each.element(), each, GraphicFinding::worse));
            }
        }
        return List.copyOf(worst.values());
    }

    private static Optional<FaintBorder> border(MediumScene scene, Item.TextFill fill, View view) {
        return fill.border()
                .filter(Border::carriesMeaning)
                .flatMap(border -> GraphicContrast.of(scene, fill, view))
                .filter(contrast -> !contrast.passes())
                .map(contrast -> new FaintBorder(scene.page(), fill, contrast));
    }

    private static Optional<FaintPicture> picture(
            MediumScene scene, Item.FrontFill fill, View view) {
        return Optional.of(fill.source())
                .filter(frame -> frame.isRead() && !frame.meaning().decoration())
                .flatMap(frame -> GraphicContrast.of(scene, fill, view))
                .filter(contrast -> contrast.failing() > FaintPicture.MUCH)
                .map(contrast -> new FaintPicture(scene.page(), fill, contrast));
    }

    private static GraphicFinding worse(GraphicFinding one, GraphicFinding other) {
        return one.contrast().ratio() <= other.contrast().ratio() ? one : other;
    }

    /** What is hard to tell from the rest. */
    Item.Filled fill();

    @Override
    default Origin origin() {
        return fill().origin();
    }

    @Override
    default Rect where() {
        return fill().bounds();
    }

    /** What it is about. */
    UUID element();

    /** What would mend it. */
    List<Offer> offers(Publication publication);

    @Override
    default String rule() {
        return "WCAG 2.2, 1.4.11: 3 : 1 for graphics that carry meaning, against what is next to them.";
    }

    /** A border that carries meaning. */
    record FaintBorder(UUID page, Item.TextFill fill, GraphicContrast contrast)
            implements GraphicFinding {
        @Override
        public UUID element() {
            return fill.paragraph();
        }

        @Override
        public List<Offer> offers(Publication publication) {
            return Offer.bordered(fill, publication).stream()
                    .map(look ->
                            new Offer(
                                    "The border is there for its looks",
                                    new LookEdit.ChangeLook(
                                            look.withBorder(
                                                    fill.border()
                                                            .map(each ->
                                                                    each.withMeaning(false))))))
                    .toList();
        }

        @Override
        public String text() {
            return "Border of “%s”".formatted(fill.lookName());
        }

        @Override
        public String message() {
            return "The border in %s stands out by %s : 1 from what is beside it, and carries meaning. Give it a colour that differs more in lightness, or say in the look that it is there for its looks."
                    .formatted(fill.inWords(), Contrast.cut(contrast.ratio()));
        }
    }

    /**
     * A picture that lets through what is below it, and whose own colours are hard to tell from
     * that.
     */
    record FaintPicture(UUID page, Item.FrontFill fill, GraphicContrast contrast)
            implements GraphicFinding {
        /** The part of it that has to fail: common practice, no source. */
        static final double MUCH = 0.5;

        @Override
        public UUID element() {
            return fill.element();
        }

        @Override
        public List<Offer> offers(Publication publication) {
            return List.of(FrontFinding.decoration(fill));
        }

        @Override
        public String text() {
            return "%s %s".formatted(fill.kind(), fill.named());
        }

        @Override
        public Severity severity() {
            return Severity.DOUBTFUL;
        }

        @Override
        public String message() {
            return "%d %% of what is seen of %s stands out by less than 3 : 1 from what lies below it. Put it on another background, use another version of it, or say that it is decoration."
                    .formatted(Math.round(100 * contrast.failing()), fill.named());
        }
    }
}
