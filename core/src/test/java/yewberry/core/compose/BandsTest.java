package yewberry.core.compose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import yewberry.core.Refused;
import yewberry.core.Sample;
import yewberry.core.color.PressCondition;
import yewberry.core.edit.Edit;
import yewberry.core.edit.Editing;
import yewberry.core.edit.FrameEdit;
import yewberry.core.edit.PageEdit;
import yewberry.core.edit.PublicationEdit;
import yewberry.core.publication.Distance;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Field;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Padding;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Parent;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Side;
import yewberry.core.publication.Sides;
import yewberry.core.publication.TextBand;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;
import yewberry.core.text.StoryPlace;

/** Bands with text, and what the text says of its page. */
class BandsTest {
    private static final double MM = 72 / 25.4;
    private static final PressCondition COATED = PressCondition.coated();
    private static final Look LOOK = Sample.look("Running", 400, 8, Sample.WHITE);
    private static final Padding PADDING =
            new Padding(
                    Distance.of(Length.mm(2)),
                    Distance.of(Length.mm(20)),
                    Distance.of(Length.mm(1)),
                    Distance.em(2));

    private final Composer composer = new Composer(COATED);

    private static UUID id(String name) {
        return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8));
    }

    private static Fill fill() {
        return new Fill.Gradient(
                Fill.Gradient.Kind.LINEAR,
                0,
                false,
                List.of(
                        new Fill.Gradient.Stop(0, Tinted.full(Sample.NIGHT.id()), 100),
                        new Fill.Gradient.Stop(100, new Tinted(Sample.NIGHT.id(), 60), 100)));
    }

    /** Facing pages on one parent, which has a band with text at an edge. */
    private static Publication guide(int pages, Edge edge, String text) {
        Parent parent = new Parent(id("parent"), "Night", Layer.EMPTY);
        Publication bare =
                new Publication(
                        id("publication"),
                        "Season guide",
                        Setup.of(new PageSize(Length.mm(148), Length.mm(210)), true),
                        List.of(Sample.NIGHT, Sample.WHITE),
                        List.of(LOOK),
                        List.of(parent),
                        IntStream.rangeClosed(1, pages)
                                .mapToObj(number ->
                                        new Page(
                                                id("page" + number),
                                                Optional.of(parent.id()),
                                                true,
                                                Layer.EMPTY))
                                .toList());
        Publication banded =
                edited(
                        bare,
                        new FrameEdit.AddBand(
                                new Owner.OnParent(parent.id()),
                                id("band"),
                                Sides.BOTH,
                                new TextBand(edge, Length.mm(12), PADDING, fill()),
                                id("story"),
                                id("paragraph"),
                                LOOK.id()));
        return banded.withStories(
                banded.stories()
                        .mapped(story ->
                                story.withParagraph(
                                        id("paragraph"),
                                        each ->
                                                each.withRuns(
                                                        List.of(
                                                                new Run(
                                                                        id("run"),
                                                                        text,
                                                                        Optional.empty()))))));
    }

    private static Publication edited(Publication on, Edit edit) {
        return Editing.edit(on, edit).publication();
    }

    private static String character(Field field) {
        return String.valueOf(field.character());
    }

    private String text(Publication in, int page) {
        return composer.compose(in, page).text().getFirst().text();
    }

    private static Item.TextFill band(PageScene scene) {
        List<Item.TextFill> bands = new ArrayList<>();
        for (Item item : scene.items()) {
            if (item instanceof Item.TextFill fill && fill.kind() == Item.TextFill.Kind.BAND) {
                bands.add(fill);
            }
        }
        assertThat(bands).hasSize(1);
        return bands.getFirst();
    }

    /** What finds no room within the padding is what is told to have none. */
    @Test
    void the_room_of_a_band_is_what_its_padding_leaves() {
        for (int words = 1; words <= 60; words++) {
            Publication in = guide(2, Edge.TOP, "Reeds ".repeat(words).strip());
            PageScene scene = composer.compose(in, 0);
            String rest =
                    scene.overset().stream().map(PageScene.Overset::text).findFirst().orElse("");
            StoryPlace end = composer.places(id("story"), in).getLast();
            assertThat(end.paragraph() == 1).as("%d words", words).isEqualTo(rest.isEmpty());
            if (!rest.isEmpty()) {
                String text = in.story(id("story")).paragraphs().getFirst().text();
                assertThat(text.substring(end.character()).strip()).isEqualTo(rest);
            }
        }
    }

    /** Whether somebody else changes the pages' size before or after: the same is kept. */
    @ParameterizedTest
    @EnumSource(Edge.class)
    void a_band_and_another_page_size_come_in_either_order(Edge edge) {
        Publication bare = guide(2, Edge.TOP, "Tides");
        Edit band =
                new FrameEdit.AddBand(
                        new Owner.OnPage(id("page1")),
                        id("own"),
                        Sides.BOTH,
                        new TextBand(edge, Length.mm(9), PADDING, fill()),
                        id("its story"),
                        id("its paragraph"),
                        LOOK.id());
        Edit size =
                new PublicationEdit.ChangeSetup(
                        bare.setup().withTrim(new PageSize(Length.mm(139), Length.mm(287))));
        assertThat(edited(edited(bare, band), size)).isEqualTo(edited(edited(bare, size), band));
    }

    @Test
    void fields_say_what_their_page_is() {
        String text =
                "%s of %s, %s, %s"
                        .formatted(
                                character(Field.PAGE),
                                character(Field.PAGES),
                                character(Field.PART),
                                character(Field.PUBLICATION));
        Publication plain = guide(12, Edge.TOP, text);
        Publication guide =
                edited(plain, new PageEdit.NamePart(id("page3"), Optional.of("Summer")));
        Publication more =
                edited(guide, new PageEdit.NamePart(id("page11"), Optional.of("Winter")));
        assertThat(text(plain, 4)).isEqualTo("5 of 12, , Season guide");
        assertThat(text(more, 1)).isEqualTo("2 of 12, , Season guide");
        assertThat(text(more, 2)).isEqualTo("3 of 12, Summer, Season guide");
        assertThat(text(more, 9)).isEqualTo("10 of 12, Summer, Season guide");
        assertThat(text(more, 11)).isEqualTo("12 of 12, Winter, Season guide");
        Publication renamed = edited(more, new PublicationEdit.RenamePublication("Tide tables"));
        assertThat(text(renamed, 11)).isEqualTo("12 of 12, Winter, Tide tables");
    }

    @Test
    void only_pages_that_read_otherwise_are_made_anew() {
        Publication guide = guide(8, Edge.TOP, character(Field.PART));
        Publication summer =
                edited(guide, new PageEdit.NamePart(id("page5"), Optional.of("Summer")));
        for (int i = 0; i < 8; i++) {
            boolean same = composer.key(guide, i) == composer.key(summer, i);
            assertThat(same).as("page %d", i + 1).isEqualTo(i < 4);
        }
    }

    /** The band reaches the bleed on three sides; the text keeps the padding from the trim. */
    @ParameterizedTest
    @EnumSource(Edge.class)
    void a_band_reaches_the_bleed_and_its_text_keeps_the_padding(Edge edge) {
        Publication guide = guide(3, edge, "Tides");
        for (int i = 1; i <= 2; i++) {
            PageScene scene = composer.compose(guide, i);
            Side side = scene.boxes().side();
            Rect trim = scene.boxes().trim();
            Rect bleed = scene.boxes().bleed();
            Rect found = band(scene).bounds();
            Edge seen =
                    switch (edge) {
                        case INSIDE -> side == Side.LEFT ? Edge.RIGHT : Edge.LEFT;
                        case OUTSIDE -> side == Side.LEFT ? Edge.LEFT : Edge.RIGHT;
                        case TOP, BOTTOM, LEFT, RIGHT -> edge;
                    };
            double depth = 12 * MM;
            Rect wanted =
                    switch (seen) {
                        case TOP -> rect(bleed.x(), bleed.y(), bleed.right(), depth);
                        case BOTTOM ->
                                rect(
                                        bleed.x(),
                                        trim.bottom() - depth,
                                        bleed.right(),
                                        bleed.bottom());
                        case LEFT -> rect(bleed.x(), bleed.y(), depth, bleed.bottom());
                        default ->
                                rect(
                                        trim.right() - depth,
                                        bleed.y(),
                                        bleed.right(),
                                        bleed.bottom());
                    };
            assertThat(found.x()).isCloseTo(wanted.x(), within(1e-6));
            assertThat(found.y()).isCloseTo(wanted.y(), within(1e-6));
            assertThat(found.right()).isCloseTo(wanted.right(), within(1e-6));
            assertThat(found.bottom()).isCloseTo(wanted.bottom(), within(1e-6));
            if (edge == Edge.TOP || edge == Edge.BOTTOM) {
                Rect box = scene.frames().getFirst().where();
                double inner = 2 * 8; // 2 em of 8 pt
                double outer = 20 * MM;
                assertThat(box.x()).isCloseTo(side == Side.RIGHT ? inner : outer, within(1e-6));
                assertThat(trim.right() - box.right())
                        .isCloseTo(side == Side.RIGHT ? outer : inner, within(1e-6));
                assertThat(box.height()).isCloseTo(9 * MM, within(1e-6));
            }
        }
    }

    private static Rect rect(double left, double top, double right, double bottom) {
        return new Rect(left, top, right - left, bottom - top);
    }

    @Test
    void a_band_is_as_wide_as_its_page() {
        Publication guide = guide(3, Edge.BOTTOM, character(Field.PAGE));
        Publication wide =
                edited(
                        guide,
                        new PageEdit.SizePages(
                                List.of(id("page2")),
                                Optional.of(new PageSize(Length.mm(240), Length.mm(210)))));
        assertThat(band(composer.compose(wide, 1)).bounds().width())
                .isCloseTo((240 + 3) * MM, within(1e-6));
        assertThat(composer.compose(wide, 1).frames().getFirst().where().width())
                .isCloseTo(240 * MM - 20 * MM - 16, within(1e-6));
        assertThat(text(wide, 1)).isEqualTo("2");
    }

    @Test
    void a_padding_with_no_room_for_text_gives_way() {
        Publication guide = guide(2, Edge.TOP, "Tides");
        TextBand band =
                guide.layer(new Owner.OnParent(id("parent")))
                        .textFrames()
                        .getFirst()
                        .band()
                        .orElseThrow();
        Padding huge = Padding.all(Distance.of(Length.mm(90)));
        Publication tight =
                edited(
                        guide,
                        new FrameEdit.ChangeBand(
                                id("band"),
                                new TextBand(band.edge(), band.depth(), huge, band.fill()),
                                Optional.of(band)));
        assertThat(composer.compose(tight, 0).text().getFirst().text()).isEqualTo("Tides");
    }

    @Test
    void a_band_without_a_colour_or_depth_is_refused() {
        assertThatThrownBy(() -> new TextBand(Edge.TOP, Length.mm(0), PADDING, fill()))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("deeper than 0 mm");
        assertThatThrownBy(() -> new TextBand(Edge.TOP, Length.mm(9), PADDING, new Fill.None()))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("colour or a gradient");
    }
}
