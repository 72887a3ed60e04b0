package yewberry.core.mends;

import static org.assertj.core.api.Assertions.assertThat;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.INK;
import static yewberry.core.Sample.NIGHT;
import static yewberry.core.Sample.WHITE;
import static yewberry.core.Sample.frame;
import static yewberry.core.Sample.id;
import static yewberry.core.Sample.wholePage;

import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import yewberry.core.Sample;
import yewberry.core.color.Cmyk;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.edit.Edit;
import yewberry.core.edit.Editing;
import yewberry.core.edit.SwatchEdit;
import yewberry.core.findings.Finding;
import yewberry.core.findings.Findings;
import yewberry.core.findings.Identity;
import yewberry.core.findings.Offer;
import yewberry.core.findings.PressFinding;
import yewberry.core.legibility.Legibility;
import yewberry.core.publication.Background;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Level;
import yewberry.core.publication.Look;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.PageScene;

/** What mends a finding says what would come of it, and that is what comes. */
class FindingMendTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final Legibility AA = new Legibility(COATED, Level.AA, Destination.PAPER);

    /**
     * Small white type that just fits, near the trim, on a heavy colour; grey type that passes on
     * nothing but that colour; and a background that is left out in print.
     */
    private static Publication wrong() {
        Look small =
                BODY.copy(id("small"), "Small")
                        .withSize(Length.pt(8))
                        .withColor(Tinted.full(WHITE.id()));
        Look faint =
                BODY.copy(id("faint"), "Faint")
                        .withSize(Length.pt(12))
                        .withColor(new Tinted(INK.id(), 46));
        Background night = wholePage("night", NIGHT);
        Background shown = wholePage("shown", WHITE).withGoesTo(new Background.GoesTo(true, false));
        Publication made =
                Sample.withPage(
                        new Layer(
                                List.of(night, shown),
                                List.of(
                                        frame("tight", 2, 20, 21, 6, small, "Small and tight"),
                                        frame(
                                                "grey",
                                                40,
                                                60,
                                                80,
                                                20,
                                                faint,
                                                "Only just legible"))));
        return Sample.withColor(
                made.withLooks(List.of(BODY, small, faint)), NIGHT, new Cmyk(100, 90, 80, 95));
    }

    private static PageScene scene(Publication of) {
        return new Composer(COATED).compose(of, 0);
    }

    private static List<Finding> found(Publication in) {
        return Findings.of(scene(in), AA, in.setup(), COATED);
    }

    private static List<FindingMend> mends(Finding finding, List<Offer> offers, Publication in) {
        return FindingMend.of(finding, offers, found(in), in, new Composer(COATED), AA, COATED);
    }

    private static Set<UUID> keys(List<Finding> of) {
        return of.stream().map(each -> Identity.of(each).key()).collect(Collectors.toSet());
    }

    private static Set<String> failing(Publication in) {
        return AA.judge(scene(in)).stream()
                .filter(each -> !each.passes())
                .map(each -> each.run().text())
                .collect(Collectors.toCollection(TreeSet::new));
    }

    @Test
    void what_it_says_comes_of_it_is_what_comes() {
        Publication before = wrong();
        assertThat(scene(before).overset()).isEmpty();
        List<Finding> there = found(before);
        Set<Class<?>> kinds = new HashSet<>();
        boolean takesRoom = false;
        for (Finding finding : there) {
            List<Offer> offers = FindingMend.offers(finding, before, COATED);
            List<FindingMend> mends = mends(finding, offers, before);
            assertThat(mends).hasSameSizeAs(offers);
            for (FindingMend mend : mends) {
                kinds.add(finding.getClass());
                Publication after = Editing.edit(before, mend.edit()).publication();
                List<Finding> then = found(after);
                assertThat(mend.stays().isPresent())
                        .as(mend.words())
                        .isEqualTo(keys(then).contains(Identity.of(finding).key()));
                List<String> comes = new ArrayList<>();
                for (Finding each : then) {
                    if (!(each instanceof Finding.TooLittleContrast)
                            && !keys(there).contains(Identity.of(each).key())) {
                        comes.add(each.message());
                    }
                }
                assertThat(mend.comes()).as(mend.words()).isEqualTo(comes);
                Set<String> worse = failing(after);
                worse.removeAll(failing(before));
                assertThat(mend.worse()).as(mend.words()).containsExactlyElementsOf(worse);
                assertThat(mend.overset()).isEqualTo(!scene(after).overset().isEmpty());
                assertThat(mend.pages()).contains(finding.page());
                takesRoom |= mend.overset();
            }
        }
        assertThat(takesRoom).as("one leaves text without room").isTrue();
        assertThat(kinds)
                .contains(
                        PressFinding.SmallTypeReversed.class,
                        PressFinding.TooMuchInk.class,
                        PressFinding.TextNearTrim.class,
                        PressFinding.BackgroundLeftOut.class);
    }

    @Test
    void what_does_not_help_says_what_stays_and_what_cannot_be_done_is_no_mend() {
        Publication before = wrong();
        Finding heavy =
                found(before).stream()
                        .filter(PressFinding.TooMuchInk.class::isInstance)
                        .findFirst()
                        .orElseThrow();
        Offer nothing = new Offer("Leave it", new Edit.Several(List.of()));
        Offer refused =
                new Offer("Remove it", new SwatchEdit.RemoveSwatch(NIGHT.id(), Optional.empty()));
        assertThat(mends(heavy, List.of(refused, nothing), before))
                .singleElement()
                .satisfies(mend -> {
                    assertThat(mend.stays()).contains(heavy.message());
                    assertThat(mend.comes()).isEmpty();
                    assertThat(mend.pages()).isEmpty();
                });
    }

    /** Whoever waits gets what there is, and what was not looked at is not said to be well. */
    @Test
    void where_there_is_no_time_it_says_that_it_was_not_tried() {
        Publication before = wrong();
        for (Finding finding : found(before)) {
            List<Offer> offers = FindingMend.offers(finding, before, COATED);
            Legibility afresh = new Legibility(COATED, Level.AA, Destination.PAPER);
            List<FindingMend> mends =
                    FindingMend.of(
                            finding,
                            offers,
                            found(before),
                            before,
                            new Composer(COATED),
                            afresh,
                            COATED,
                            Duration.ZERO);
            assertThat(mends).extracting(FindingMend::offer).isEqualTo(offers);
            assertThat(mends).noneMatch(FindingMend::isTried);
        }
    }
}
