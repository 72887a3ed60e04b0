package yewberry.core.mends;

import static org.assertj.core.api.Assertions.assertThat;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.NIGHT;
import static yewberry.core.Sample.WHITE;
import static yewberry.core.Sample.band;
import static yewberry.core.Sample.frame;
import static yewberry.core.Sample.id;
import static yewberry.core.Sample.wholePage;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import yewberry.core.Sample;
import yewberry.core.color.Cmyk;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.edit.BackgroundEdit;
import yewberry.core.edit.Editing;
import yewberry.core.legibility.Demand;
import yewberry.core.legibility.Legibility;
import yewberry.core.legibility.RunContrast;
import yewberry.core.publication.Background;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.LocalSetting;
import yewberry.core.publication.LocalType;
import yewberry.core.publication.Look;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;
import yewberry.core.publication.Story;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;

/** What makes text legible other than a colour of its own, each as it was predicted. */
class RemedyTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final Composer COMPOSER = new Composer(COATED);
    private static final UUID RUN = id("run f 0");
    private static final Set<Remedy.Kind> ALL = EnumSet.allOf(Remedy.Kind.class);

    private static Legibility legibility(Publication in) {
        return new Legibility(COATED, Demand.of(in.setup()), in.setup().destination());
    }

    private static List<Remedy> remedies(Publication in) {
        Supplier<UUID> ids = UUID::randomUUID;
        return Remedy.of(RUN, ALL, in, COMPOSER, legibility(in), COATED, ids);
    }

    private static List<RunContrast> judged(Publication in) {
        return legibility(in).judge(COMPOSER.compose(in, 0));
    }

    private static RunContrast run(Publication in) {
        return judged(in).stream()
                .filter(each -> each.run().run().equals(RUN))
                .findFirst()
                .orElseThrow();
    }

    private static Publication with(Layer layer, Look... looks) {
        Publication page = Sample.withPage(layer);
        return page.withLooks(Stream.concat(page.looks().stream(), Stream.of(looks)).toList());
    }

    /** Black on a dark page. */
    private static Publication dark() {
        return with(
                new Layer(
                        List.of(wholePage("g", NIGHT)),
                        List.of(frame("f", 10, 10, 100, 40, BODY, "One", "Two"))));
    }

    /** From dark to light behind one line. */
    private static Publication fading() {
        Fill fade =
                new Fill.Gradient(
                        Fill.Gradient.Kind.LINEAR,
                        0,
                        false,
                        List.of(
                                new Fill.Gradient.Stop(0, Tinted.full(NIGHT.id()), 100),
                                new Fill.Gradient.Stop(100, Tinted.full(WHITE.id()), 100)));
        return with(
                new Layer(
                        List.of(wholePage("g", NIGHT).withFill(fade)),
                        List.of(
                                frame(
                                        "f",
                                        10,
                                        10,
                                        120,
                                        40,
                                        BODY,
                                        "Words from the dark to the light and on"))));
    }

    /** In a grey that is enough for large text, and not for this. */
    private static Publication nearlyLarge() {
        Swatch grey = new Swatch(id("grey"), "Grey", new Cmyk(0, 0, 0, 55));
        Look look = Sample.look("Nearly large", 400, 16, grey).withOverprint(Look.Overprint.NEVER);
        Publication page =
                with(
                        new Layer(
                                List.of(wholePage("g", WHITE)),
                                List.of(frame("f", 10, 10, 100, 40, look, "Sixteen points"))),
                        look);
        return page.withSwatches(Stream.concat(page.swatches().stream(), Stream.of(grey)).toList());
    }

    /** The same, where the paragraph or its words say the size, not the look. */
    private static Publication nearlyLargeByItself(Optional<Length> paragraph, double percent) {
        Publication page = nearlyLarge();
        Story story = page.stories().getFirst();
        Paragraph text = story.paragraphs().getFirst();
        Optional<LocalSetting> local = paragraph.map(LocalSetting.NONE::withSize);
        Run run = text.runs().getFirst();
        Paragraph changed =
                percent == 100
                        ? text.withLocal(local)
                        : text.withLocal(local)
                                .withRuns(
                                        List.of(
                                                run.withLocal(
                                                        Optional.of(
                                                                LocalType.NONE.withSize(
                                                                        percent)))));
        return page.withStories(
                List.of(story.withParagraphs(story.paragraphs().mapped(_ -> changed))));
    }

    static Stream<Publication> all() {
        return Stream.of(dark(), fading(), nearlyLarge(), ofParagraph(), ofWords());
    }

    private static Publication ofParagraph() {
        return nearlyLargeByItself(Optional.of(Length.pt(15)), 100);
    }

    private static Publication ofWords() {
        return nearlyLargeByItself(Optional.empty(), 80);
    }

    @Test
    void text_is_made_larger_where_its_size_is_said() {
        assertThat(larger(nearlyLarge()).detail()).startsWith("All text of the look");
        assertThat(larger(ofParagraph()).detail()).startsWith("Of this paragraph only");
        assertThat(larger(ofWords()).detail()).startsWith("Of these words only");
        Publication then = Editing.edit(ofParagraph(), larger(ofParagraph()).edit()).publication();
        assertThat(then.looks()).isEqualTo(nearlyLarge().looks());
        assertThat(run(then).run().size()).isEqualTo(18);
    }

    private static Remedy larger(Publication in) {
        return remedies(in).stream()
                .filter(each -> each.kind() == Remedy.Kind.LARGER)
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest
    @MethodSource("all")
    void each_comes_out_as_predicted_and_passes(Publication before) {
        assertThat(run(before).passes()).isFalse();
        List<Remedy> remedies = remedies(before);
        assertThat(remedies).isNotEmpty();
        for (Remedy remedy : remedies) {
            Publication after = Editing.edit(before, remedy.edit()).publication();
            RunContrast then = run(after);
            assertThat(then.worst().ratio()).as(remedy.words()).isEqualTo(remedy.ratio());
            assertThat(then.passes()).as(remedy.words()).isTrue();
            assertThat(then.required()).as(remedy.words()).isEqualTo(remedy.required());
            long failing =
                    judged(after).stream()
                            .filter(each -> !each.passes())
                            .filter(each ->
                                    judged(before).stream()
                                            .anyMatch(was ->
                                                    was.run().run().equals(each.run().run())
                                                            && was.passes()))
                            .count();
            assertThat(remedy.worse()).as(remedy.words()).hasSize((int) failing);
        }
    }

    @Test
    void every_kind_is_found_where_it_fits() {
        assertThat(
                        Stream.of(dark(), fading(), nearlyLarge())
                                .flatMap(each -> remedies(each).stream()))
                .extracting(Remedy::kind)
                .as("COLOR is for letters that something lies over: VeiledTextTest")
                .containsAll(EnumSet.complementOf(EnumSet.of(Remedy.Kind.COLOR)));
    }

    @Test
    void a_veil_is_as_strong_as_needed_and_no_stronger() {
        Remedy veil =
                remedies(fading()).stream()
                        .filter(each -> each.kind() == Remedy.Kind.VEIL)
                        .findFirst()
                        .orElseThrow();
        var add = (BackgroundEdit.AddBackground) veil.edit();
        var weaker =
                new BackgroundEdit.AddBackground(
                        add.owner(), add.background().withOpacity(add.background().opacity() - 1));
        assertThat(run(Editing.edit(fading(), weaker).publication()).passes()).isFalse();
    }

    @ParameterizedTest
    @EnumSource(names = {"TINT", "OPACITY"})
    void a_background_stays_as_near_to_what_it_was_as_it_can(Remedy.Kind kind) {
        Remedy remedy =
                remedies(dark()).stream()
                        .filter(each -> each.kind() == kind)
                        .findFirst()
                        .orElseThrow();
        Background paler = ((BackgroundEdit.ChangeBackground) remedy.edit()).background();
        Tinted color = ((Fill.Solid) paler.fill()).color();
        Background nearer =
                kind == Remedy.Kind.TINT
                        ? paler.withFill(
                                new Fill.Solid(new Tinted(color.swatch(), color.tint() + 1)))
                        : paler.withOpacity(paler.opacity() + 1);
        var edit = new BackgroundEdit.ChangeBackground(nearer);
        assertThat(run(Editing.edit(dark(), edit).publication()).passes()).isFalse();
        assertThat(remedy.words()).contains("%").contains("of the background");
    }

    /** White on a pale tint of a dark colour reads on more of it. */
    @Test
    void a_background_gets_stronger_where_that_helps() {
        Look white = Sample.look("White", 400, 10, WHITE);
        Publication pale =
                with(
                        new Layer(
                                List.of(
                                        wholePage("g", NIGHT)
                                                .withFill(
                                                        new Fill.Solid(
                                                                new Tinted(NIGHT.id(), 30)))),
                                List.of(frame("f", 10, 10, 100, 40, white, "One"))),
                        white);
        Remedy tint =
                remedies(pale).stream()
                        .filter(each -> each.kind() == Remedy.Kind.TINT)
                        .findFirst()
                        .orElseThrow();
        Background stronger = ((BackgroundEdit.ChangeBackground) tint.edit()).background();
        double percent = ((Fill.Solid) stronger.fill()).color().tint();
        assertThat(percent).isBetween(31.0, 100.0);
        assertThat(run(Editing.edit(pale, tint.edit()).publication()).passes()).isTrue();
    }

    /** White words on the same ground would not read on a light one. */
    @Test
    void what_makes_other_text_fail_says_so() {
        Look white = Sample.look("White", 400, 10, WHITE);
        Publication both =
                with(
                        new Layer(
                                List.of(wholePage("g", NIGHT), band("b", Edge.BOTTOM, 20, NIGHT)),
                                List.of(
                                        frame("f", 10, 10, 100, 40, BODY, "One"),
                                        frame("w", 10, 60, 100, 40, white, "In white"))),
                        white);
        Remedy ground =
                remedies(both).stream()
                        .filter(each -> each.kind() == Remedy.Kind.GROUND)
                        .findFirst()
                        .orElseThrow();
        assertThat(ground.worse()).containsExactly("In white");
    }

    @Test
    void text_that_passes_or_is_gone_needs_none() {
        Publication fine =
                with(new Layer(List.of(), List.of(frame("f", 10, 10, 100, 40, BODY, "One"))));
        assertThat(remedies(fine)).isEmpty();
        assertThat(
                        Remedy.of(
                                id("nobody"),
                                ALL,
                                dark(),
                                COMPOSER,
                                legibility(dark()),
                                COATED,
                                UUID::randomUUID))
                .isEmpty();
    }
}
