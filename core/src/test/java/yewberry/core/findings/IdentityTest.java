package yewberry.core.findings;

import static org.assertj.core.api.Assertions.assertThat;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.HEADING;
import static yewberry.core.Sample.NIGHT;
import static yewberry.core.Sample.WHITE;
import static yewberry.core.Sample.band;
import static yewberry.core.Sample.frame;
import static yewberry.core.Sample.id;
import static yewberry.core.Sample.page;
import static yewberry.core.Sample.wholePage;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import yewberry.core.Sample;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Definition;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.edit.BackgroundEdit;
import yewberry.core.edit.Edit;
import yewberry.core.edit.Editing;
import yewberry.core.edit.FrameEdit;
import yewberry.core.edit.LookEdit;
import yewberry.core.edit.PageEdit;
import yewberry.core.edit.PublicationEdit;
import yewberry.core.edit.SwatchEdit;
import yewberry.core.legibility.Demand;
import yewberry.core.legibility.Legibility;
import yewberry.core.publication.Box;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;

/** Findings stay the same ones, and stand together by what would mend them. */
class IdentityTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final Composer COMPOSER = new Composer(COATED);

    /** Many paragraphs on one dark ground, and a band that ends at the trim's side. */
    private static Publication dark() {
        return Sample.withPage(
                new Layer(
                        List.of(wholePage("g", NIGHT), band("b", Edge.BOTTOM, 20, WHITE)),
                        List.of(
                                frame("f", 10, 10, 100, 60, BODY, "One", "Two", "Three", "Four"),
                                frame("h", 10, 90, 100, 30, HEADING, "Five"))));
    }

    private static List<Finding> found(Publication in, UUID on) {
        return Findings.of(
                COMPOSER.compose(in, in.indexOf(on)),
                new Legibility(COATED, Demand.of(in.setup()), in.setup().destination()),
                in.setup(),
                COATED);
    }

    private static Set<UUID> keys(Publication in) {
        return found(in, page(1)).stream()
                .map(Identity::of)
                .map(Identity::key)
                .collect(Collectors.toSet());
    }

    /** Edits of anything but what the findings of page 1 are about. */
    private static final List<Function<Integer, Edit>> OTHERS =
            List.of(
                    n -> new PublicationEdit.RenamePublication("Name " + n),
                    n ->
                            new PageEdit.AddPages(
                                    List.of(id("new page " + n)),
                                    Optional.empty(),
                                    Optional.empty()),
                    n -> new PageEdit.MovePages(List.of(page(1)), Optional.of(page(2 + n % 3))),
                    n ->
                            new SwatchEdit.AddSwatch(
                                    new Swatch(id("s" + n), "S" + n, new Cmyk(n % 100, 0, 0, 0))),
                    n -> new SwatchEdit.RenameSwatch(Sample.SIGNAL.id(), "Signal " + n),
                    n ->
                            new LookEdit.AddLook(
                                    Sample.look("Look " + n, 400, 5 + n % 50, Sample.SIGNAL)),
                    n ->
                            new BackgroundEdit.AddBackground(
                                    new Owner.OnPage(page(2 + n % 3)),
                                    wholePage("other " + n, WHITE)),
                    n ->
                            new FrameEdit.PlaceFrame(
                                    id("h"),
                                    Sides.BOTH,
                                    new Box(
                                            Length.mm(10 + n % 20),
                                            Length.mm(90),
                                            Length.mm(100),
                                            Length.mm(30))));

    @Property(tries = 60)
    void edits_of_other_things_leave_every_finding_what_it_was(
            @ForAll @Size(min = 1, max = 8) List<Integer> choices) {
        Publication publication = dark();
        Set<UUID> before = keys(publication);
        assertThat(before).hasSizeGreaterThan(4);
        Random random = new Random(choices.hashCode());
        for (int choice : choices) {
            Edit edit =
                    OTHERS.get(Math.floorMod(choice, OTHERS.size())).apply(random.nextInt(100_000));
            publication = Editing.edit(publication, edit).publication();
        }
        assertThat(keys(publication)).isEqualTo(before);
    }

    /** Each about something else than the others; most of them change what is found. */
    private static final List<Function<Integer, Edit>> ALONE =
            Stream.concat(
                            OTHERS.stream(),
                            Stream.<Function<Integer, Edit>>of(
                                    n ->
                                            new BackgroundEdit.ChangeBackground(
                                                    wholePage("g", NIGHT)
                                                            .withFill(
                                                                    new Fill.Solid(
                                                                            new Tinted(
                                                                                    NIGHT.id(),
                                                                                    1 + n % 100)))),
                                    n ->
                                            new BackgroundEdit.ChangeBackground(
                                                    band("b", Edge.BOTTOM, 5 + n % 60, WHITE)),
                                    n ->
                                            new LookEdit.ChangeLook(
                                                    BODY.withSize(Length.pt(6 + n % 20))),
                                    n ->
                                            new LookEdit.ChangeLook(
                                                    HEADING.withColor(
                                                            Tinted.full(
                                                                    n % 2 == 0
                                                                            ? WHITE.id()
                                                                            : NIGHT.id()))),
                                    n ->
                                            new SwatchEdit.ChangeSwatch(
                                                    NIGHT.id(),
                                                    new Definition.Plain(
                                                            new Cmyk(100, 86, 42, n % 100)))))
                    .toList();

    @Property(tries = 100)
    void edits_of_different_things_lead_to_the_same_findings_in_either_order(
            @ForAll int one, @ForAll int other, @ForAll int seed) {
        int first = Math.floorMod(one, ALONE.size());
        int second =
                Math.floorMod(first + 1 + Math.floorMod(other, ALONE.size() - 1), ALONE.size());
        Random random = new Random(seed);
        Edit a = ALONE.get(first).apply(random.nextInt(100_000));
        Edit b = ALONE.get(second).apply(random.nextInt(100_000));
        Publication here = Editing.edit(Editing.edit(dark(), a).publication(), b).publication();
        Publication there = Editing.edit(Editing.edit(dark(), b).publication(), a).publication();
        assertThat(told(here)).isEqualTo(told(there));
    }

    private static Map<UUID, String> told(Publication in) {
        return found(in, page(1)).stream()
                .collect(Collectors.toMap(each -> Identity.of(each).key(), Finding::message));
    }

    /** A moon is two chars; half of one could not be written down. */
    @Test
    void what_is_remembered_is_never_cut_within_a_character() {
        String moons = "x" + "\uD83C\uDF19".repeat(2000);
        KnownFinding known =
                new KnownFinding(
                        id("key"),
                        "contrast",
                        page(1),
                        Optional.empty(),
                        moons,
                        moons,
                        Optional.empty());
        assertThat(known.text()).hasSize(299).endsWith("\uDF19");
        assertThat(known.message()).hasSize(1999).endsWith("\uDF19");
    }

    @Test
    void no_two_findings_of_a_page_are_the_same_one() {
        assertThat(keys(dark())).hasSize(found(dark(), page(1)).size());
    }

    @Test
    void one_ground_behind_many_paragraphs_is_one_cause() {
        Map<UUID, Long> causes =
                found(dark(), page(1)).stream()
                        .filter(Finding.TooLittleContrast.class::isInstance)
                        .map(Identity::of)
                        .collect(Collectors.groupingBy(Identity::cause, Collectors.counting()));
        assertThat(causes).hasSize(1).containsValue(5L);
        assertThat(Identity.of(found(dark(), page(1)).getFirst()).words())
                .contains("Ink", "Night", "background");
    }

    @Test
    void the_same_text_on_two_grounds_has_two_causes() {
        Publication two =
                Sample.withPage(
                        new Layer(
                                List.of(wholePage("g", NIGHT), band("b", Edge.BOTTOM, 120, NIGHT)),
                                List.of(
                                        frame("f", 10, 10, 100, 40, BODY, "One"),
                                        frame("h", 10, 150, 100, 30, BODY, "Two"))));
        assertThat(
                        IntStream.range(0, 2)
                                .mapToObj(found(two, page(1))::get)
                                .map(Identity::of)
                                .map(Identity::cause))
                .doesNotHaveDuplicates();
    }
}
