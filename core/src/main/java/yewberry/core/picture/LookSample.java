package yewberry.core.picture;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.asset.Pictures;
import yewberry.core.color.Contrast;
import yewberry.core.color.View;
import yewberry.core.compose.Composer;
import yewberry.core.publication.Area;
import yewberry.core.publication.Background;
import yewberry.core.publication.Box;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Fill;
import yewberry.core.publication.FrameSetting;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Page;
import yewberry.core.publication.Palette;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Role;
import yewberry.core.publication.Run;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Story;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;

/**
 * A line of text in a look, composed as any page is, on that swatch of the publication which it
 * stands out from the most.
 */
public final class LookSample {
    private static final double WIDTH = 130;
    private static final double LEAST = 9;
    private static final double MARGIN = 2;
    private static final double ABOVE = 1.9;
    private static final double MILLIMETRE = 72 / 25.4;
    private static final UUID ID = new UUID(0, 1);

    private LookSample() {}

    /**
     * An SVG of it.
     *
     * @param look of paragraphs or of characters
     */
    public static String of(Publication in, UUID look, View view) {
        Optional<Look> own = in.looks().find(look);
        Look paragraph = own.orElseGet(() -> body(in));
        Tinted text =
                own.isPresent()
                        ? paragraph.color()
                        : in.characterLook(look).color().orElse(paragraph.color());
        double height =
                Math.max(LEAST, paragraph.size().points() * ABOVE / MILLIMETRE + 2 * MARGIN);
        PageScene scene =
                new Composer(view.condition(), Pictures.NONE)
                        .compose(
                                page(
                                        in,
                                        paragraph,
                                        own.isPresent() ? null : look,
                                        text,
                                        view,
                                        height),
                                0);
        return SvgPicture.region(
                scene, new Rect(0, 0, WIDTH * MILLIMETRE, height * MILLIMETRE), view);
    }

    /** What words of a look of characters stand in. */
    private static Look body(Publication in) {
        return in.looks().stream()
                .filter(look -> look.role().filter(Role.BODY::equals).isPresent())
                .findFirst()
                .orElse(in.looks().getFirst());
    }

    private static Publication page(
            Publication in,
            Look paragraph,
            UUID characters,
            Tinted text,
            View view,
            double height) {
        Box box =
                new Box(
                        Length.mm(MARGIN),
                        Length.mm(MARGIN),
                        Length.mm(WIDTH - 2 * MARGIN),
                        Length.mm(height));
        Background ground =
                new Background(
                        ID,
                        Sides.BOTH,
                        new Area.WholePage(),
                        new Fill.Solid(Tinted.full(ground(in, text, view).id())));
        Page page =
                new Page(
                        ID,
                        Optional.empty(),
                        true,
                        new Layer(
                                List.of(ground),
                                List.of(
                                        new TextFrame(
                                                ID, Sides.BOTH, box, FrameSetting.USUAL, ID))));
        List<Run> runs =
                characters == null
                        ? List.of(run(1, paragraph.name() + ": the tide turns at 9.47"))
                        : List.of(
                                run(1, "The tide "),
                                run(2, name(in, characters) + ": turns at 9.47")
                                        .withLook(Optional.of(characters)),
                                run(3, " on the marsh"));
        Story story =
                new Story(
                        ID,
                        List.of(new Story.Link(page.asOwner(), ID)),
                        List.of(new Paragraph(ID, paragraph.id(), runs)));
        return in.withPages(List.of(page)).withStories(List.of(story));
    }

    private static Run run(long number, String text) {
        return new Run(new UUID(1, number), text, Optional.empty());
    }

    private static String name(Publication in, UUID characters) {
        CharacterLook look = in.characterLook(characters);
        return look.name();
    }

    private static Swatch ground(Publication in, Tinted text, View view) {
        Palette palette = new Palette(in::swatch, view.condition());
        var ink =
                view.condition().toScreen(Palette.tint(palette.color(text.swatch()), text.tint()));
        return in.swatches().stream()
                .max(
                        Comparator.comparing(swatch ->
                                Contrast.ratio(
                                        ink,
                                        view.condition().toScreen(palette.color(swatch.id())))))
                .orElseThrow();
    }
}
