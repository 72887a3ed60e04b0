package yewberry.core.scene;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.HEADING;
import static yewberry.core.Sample.INK;
import static yewberry.core.Sample.NIGHT;
import static yewberry.core.Sample.WHITE;
import static yewberry.core.Sample.band;
import static yewberry.core.Sample.frame;
import static yewberry.core.Sample.wholePage;

import java.util.List;
import org.junit.jupiter.api.Test;
import yewberry.core.Sample;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.publication.Background;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Look;
import yewberry.core.publication.Publication;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;

class OverlayTest {
    private static final Cmyk BLACK = new Cmyk(0, 0, 0, 100);
    private static final Cmyk BLACK_ON_NIGHT = new Cmyk(100, 86, 42, 100);

    private static PageScene scene(Look look, List<Background> backgrounds, TextFrame... frames) {
        Publication publication = Sample.withPage(new Layer(backgrounds, List.of(frames)));
        return new Composer(PressCondition.coated())
                .compose(
                        publication.withLooks(
                                publication.looks().stream()
                                        .map(each -> each.id().equals(look.id()) ? look : each)
                                        .toList()),
                        0);
    }

    /**
     * @param run of the scene as it was composed
     */
    private static List<Overlay.Part> parts(PageScene scene, Item.GlyphRun run) {
        MediumScene paper = scene.on(Medium.PAPER);
        return Overlay.of(paper, paper.text().get(scene.text().indexOf(run)));
    }

    private static PageScene black(List<Background> backgrounds) {
        return scene(BODY, backgrounds, frame("f", 10, 10, 100, 20, BODY, "Dark"));
    }

    @Test
    void plain_black_overprints_and_every_other_colour_knocks_out() {
        assertThat(black(List.of()).text().getFirst().paint().overprints()).isTrue();
        for (var swatch : List.of(NIGHT, WHITE)) {
            Look look = BODY.withColor(Tinted.full(swatch.id()));
            PageScene scene = scene(look, List.of(), frame("f", 10, 10, 99, 20, BODY, "x"));
            assertThat(scene.text().getFirst().paint().overprints()).isFalse();
        }
        Look tint = BODY.withColor(new Tinted(INK.id(), 90));
        PageScene scene = scene(tint, List.of(), frame("f", 10, 10, 99, 20, BODY, "x"));
        assertThat(scene.text().getFirst().paint().overprints()).isFalse();
    }

    @Test
    void a_look_can_have_it_always_or_never_but_light_text_never_does() {
        Look never = BODY.withOverprint(Look.Overprint.NEVER);
        TextFrame frame = frame("f", 10, 10, 99, 20, BODY, "x");
        assertThat(scene(never, List.of(), frame).text().getFirst().paint().overprints()).isFalse();
        Look always = BODY.withOverprint(Look.Overprint.ALWAYS).withColor(Tinted.full(NIGHT.id()));
        assertThat(scene(always, List.of(), frame).text().getFirst().paint().overprints()).isTrue();
        Look light = always.withColor(Tinted.full(WHITE.id()));
        assertThat(scene(light, List.of(), frame).text().getFirst().paint().overprints()).isFalse();
    }

    @Test
    void on_bare_stock_black_is_black_and_on_a_ground_it_keeps_the_grounds_inks() {
        PageScene bare = black(List.of());
        assertThat(parts(bare, bare.text().getFirst()))
                .singleElement()
                .satisfies(part -> assertThat(part.color()).isEqualTo(BLACK));
        PageScene night = black(List.of(wholePage("g", NIGHT)));
        assertThat(parts(night, night.text().getFirst()))
                .singleElement()
                .satisfies(part -> assertThat(part.color()).isEqualTo(BLACK_ON_NIGHT));
    }

    @Test
    void text_across_the_edge_of_a_band_has_a_part_on_each_side_that_meet_there() {
        PageScene scene =
                scene(
                        BODY,
                        List.of(band("b", Edge.LEFT, 14, NIGHT)),
                        frame("f", 10, 10, 100, 20, BODY, "Dark skies over the marsh"));
        List<Overlay.Part> parts = parts(scene, scene.text().getFirst());
        assertThat(parts).extracting(Overlay.Part::color).containsExactly(BLACK_ON_NIGHT, BLACK);
        assertThat(parts.get(0).rect().right()).isCloseTo(14 * 72 / 25.4, within(1e-6));
        assertThat(parts.get(1).rect().x()).isCloseTo(14 * 72 / 25.4, within(1e-6));
    }

    @Test
    void a_ground_that_another_one_covers_adds_nothing() {
        PageScene scene = black(List.of(wholePage("low", NIGHT), wholePage("high", WHITE)));
        assertThat(parts(scene, scene.text().getFirst()))
                .singleElement()
                .satisfies(part -> assertThat(part.color()).isEqualTo(BLACK));
    }

    @Test
    void text_of_another_frame_below_keeps_its_inks_within_its_glyphs() {
        Look large = HEADING.withColor(Tinted.full(NIGHT.id()));
        PageScene scene =
                scene(
                        large,
                        List.of(),
                        frame("low", 10, 10, 100, 20, large, "MARSH"),
                        frame("high", 10, 12, 100, 20, BODY, "Dark"));
        List<Overlay.Part> parts = parts(scene, scene.text().getLast());
        assertThat(parts).hasSize(2);
        assertThat(parts.getFirst().color()).isEqualTo(BLACK);
        assertThat(parts.getLast().within()).contains(scene.on(Medium.PAPER).text().getFirst());
        assertThat(parts.getLast().color()).isEqualTo(BLACK_ON_NIGHT);
    }
}
