package yewberry.core.compose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static yewberry.core.compose.WrittenFile.AA;
import static yewberry.core.compose.WrittenFile.BLACK;
import static yewberry.core.compose.WrittenFile.COATED;
import static yewberry.core.compose.WrittenFile.FILE;
import static yewberry.core.compose.WrittenFile.OWN;
import static yewberry.core.compose.WrittenFile.PAGE;
import static yewberry.core.compose.WrittenFile.PALE;
import static yewberry.core.compose.WrittenFile.WHITE;
import static yewberry.core.compose.WrittenFile.after;
import static yewberry.core.compose.WrittenFile.annotated;
import static yewberry.core.compose.WrittenFile.composer;
import static yewberry.core.compose.WrittenFile.contrast;
import static yewberry.core.compose.WrittenFile.night;
import static yewberry.core.compose.WrittenFile.ratio;
import static yewberry.core.compose.WrittenFile.remedies;
import static yewberry.core.compose.WrittenFile.set;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yewberry.core.Progress;
import yewberry.core.Refused;
import yewberry.core.Sample;
import yewberry.core.asset.PageText;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Rgb;
import yewberry.core.edit.AssetEdit;
import yewberry.core.edit.BackgroundEdit;
import yewberry.core.edit.SwatchEdit;
import yewberry.core.findings.Finding;
import yewberry.core.findings.Findings;
import yewberry.core.findings.FrontFinding;
import yewberry.core.findings.Hiding;
import yewberry.core.findings.Offer;
import yewberry.core.legibility.RunContrast;
import yewberry.core.mends.FileMend;
import yewberry.core.mends.FindingMend;
import yewberry.core.mends.Remedy;
import yewberry.core.mends.WholeMend;
import yewberry.core.publication.Area;
import yewberry.core.publication.Background;
import yewberry.core.publication.Backing;
import yewberry.core.publication.Box;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Palette;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recolor;
import yewberry.core.publication.Uses;
import yewberry.core.scene.Rect;

/** What mends text in the page of a file comes to what was said before. */
class FileTextMendsTest {
    @Test
    void words_of_an_annotation_get_no_other_colour_but_what_lies_behind_them() {
        PageText.Ground bare = new PageText.Ground.Bare();
        Composer composer = annotated(bare, bare, PALE);
        Publication set = set();
        RunContrast pale = contrast(composer, set, 4).contrast();
        assertThat(pale.passes()).isFalse();
        assertThat(FileMend.of(pale, new Imported(FILE, 1), set, COATED)).isEmpty();
        assertThat(
                        FileMend.of(
                                contrast(composer(bare, PALE), set, 4).contrast(),
                                new Imported(FILE, 1),
                                set,
                                COATED))
                .isNotEmpty();
    }

    @Test
    void a_shading_behind_its_lines_shows_where_the_page_is_bare_and_comes_to_what_was_predicted() {
        Publication dark = after(set(), new BackgroundEdit.AddBackground(OWN, night(false)));
        Composer bare = composer(new PageText.Ground.Bare(), BLACK);
        Remedy shading = remedies(bare, dark, Remedy.Kind.SHADING).getFirst();
        Publication mended = after(dark, shading.edit());
        RunContrast then = AA.judge(bare.compose(mended, 4)).getFirst();
        assertThat(then.passes()).isTrue();
        assertThat(then.worst().ratio()).isEqualTo(shading.ratio());

        Background made = mended.page(PAGE).layer().backgrounds().getLast();
        Rect words = then.run().bounds();
        assertThat(made.area())
                .isInstanceOfSatisfying(
                        Area.Rectangle.class,
                        area -> {
                            // 0.4 em aside and 0.25 em above and below, of 10 pt
                            assertThat(area.width().points())
                                    .isCloseTo(words.width() + 8, within(0.03));
                            assertThat(area.height().points())
                                    .isCloseTo(words.height() + 5, within(0.03));
                        });
    }

    /** What lies behind an opaque page does not show. */
    @Test
    void a_shading_goes_over_what_the_file_paints_there_and_comes_to_what_was_predicted() {
        Publication dark = after(set(), new BackgroundEdit.AddBackground(OWN, night(false)));
        Composer opaque = composer(new PageText.Ground.Flat(new Cmyk(0, 0, 0, 90)), BLACK);
        Remedy shading = remedies(opaque, dark, Remedy.Kind.SHADING).getFirst();
        assertThat(shading.detail())
                .isEqualTo("Over what the file has there, which stays as it is");
        assertThat(shading.pages()).containsExactly(PAGE);
        Publication mended = after(dark, shading.edit());
        RunContrast then = AA.judge(opaque.compose(mended, 4)).getFirst();
        assertThat(then.passes()).isTrue();
        assertThat(then.worst().ratio()).isEqualTo(shading.ratio());
        Rect words = then.run().bounds();
        assertThat(mended.asset(FILE).backings())
                .singleElement()
                .satisfies(each -> {
                    assertThat(each.page()).isEqualTo(1);
                    assertThat(each.opacity()).isEqualTo(100);
                    // 0.4 em aside and 0.25 em above and below, of 10 pt
                    assertThat(each.area().x().points()).isCloseTo(words.x() - 4, within(0.02));
                    assertThat(each.area().width().points())
                            .isCloseTo(words.width() + 8, within(0.03));
                    assertThat(each.area().height().points())
                            .isCloseTo(words.height() + 5, within(0.03));
                });
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void a_veil_over_the_files_picture_is_as_strong_as_needed_and_no_stronger(boolean pictured) {
        Composer composer = composer(new PageText.Ground.Mixed(pictured), BLACK);
        Publication set = set();
        Remedy veil = remedies(composer, set, Remedy.Kind.VEIL).getFirst();
        AssetEdit.BackWords edit = (AssetEdit.BackWords) veil.edit();
        Publication mended = after(set, edit);
        RunContrast then = AA.judge(composer.compose(mended, 4)).getFirst();
        assertThat(then.passes()).isTrue();
        assertThat(then.worst().ratio()).isEqualTo(veil.ratio());
        Backing made = edit.backing();
        assertThat(made.opacity()).isBetween(1.0, 99.0);
        assertThat(veil.words()).contains(" at %.0f %%".formatted(made.opacity()));
        Backing weaker = made.withOpacity(made.opacity() - 1);
        Publication less = after(set, new AssetEdit.BackWords(FILE, weaker));
        assertThat(AA.judge(composer.compose(less, 4)).getFirst().passes()).isFalse();
    }

    @Test
    void nothing_goes_behind_words_of_annotations() {
        PageText.Ground box = new PageText.Ground.Flat(new Cmyk(0, 0, 0, 90));
        Composer words = annotated(new PageText.Ground.Bare(), box, BLACK);
        assertThat(remedies(words, set(), Remedy.Kind.SHADING)).isEmpty();
    }

    @Test
    void under_a_veil_it_gets_a_veil_that_lets_more_through() {
        Publication veiled =
                after(set(), new BackgroundEdit.AddBackground(OWN, night(true).withOpacity(70)));
        Composer composer = composer(new PageText.Ground.Bare(), BLACK);
        Remedy weaker = remedies(composer, veiled, Remedy.Kind.OPACITY).getFirst();
        Publication mended = after(veiled, weaker.edit());
        assertThat(mended.page(PAGE).layer().backgrounds().getLast().opacity())
                .isBetween(1.0, 69.0);
        assertThat(AA.judge(composer.compose(mended, 4)).getFirst().passes()).isTrue();
    }

    @Test
    void a_legible_colour_is_offered_for_these_words_only_too() {
        Composer composer = composer(new PageText.Ground.Bare(), PALE);
        Publication set = set();
        Finding.TooLittleContrast finding = contrast(composer, set, 4);
        Offer only = FindingMend.offers(finding, set, COATED).getLast();
        assertThat(only.label()).startsWith("Paint these words only in “");
        Recolor recolor = after(set, only.edit()).asset(FILE).recolored().getFirst();
        assertThat(recolor.pages()).containsExactly(1);
        Rect words = finding.contrast().run().bounds();
        Box area = recolor.area().orElseThrow();
        assertThat(area.x().points()).isCloseTo(words.x(), within(0.11));
        assertThat(area.height().points()).isCloseTo(words.height(), within(0.21));
        assertThatThrownBy(() ->
                        new Recolor(
                                Rgb.BLACK,
                                0,
                                Set.of(Recolor.What.TEXT),
                                List.of(),
                                recolor.to(),
                                recolor.area()))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("Choose the pages");
    }

    @Test
    void a_colour_of_the_file_that_is_legible_is_offered_for_all_of_its_text() {
        Composer composer = composer(new PageText.Ground.Bare(), PALE);
        Publication set = set();
        List<Offer> offers = FindingMend.offers(contrast(composer, set, 4), set, COATED);
        assertThat(offers).hasSizeBetween(2, 4);
        Publication after = after(set, offers.getFirst().edit());
        Recolor recolor = after.asset(FILE).recolored().getFirst();
        assertThat(recolor.from()).isEqualTo(COATED.toScreen(PALE));
        assertThat(recolor.what()).containsExactly(Recolor.What.TEXT);
        UUID swatch = recolor.to().orElseThrow().swatch();
        Color to = new Palette(after::swatch, COATED).color(swatch);
        assertThat(ratio(to, WHITE)).isGreaterThan(4.5);
        assertThatThrownBy(
                        () -> after(after, new SwatchEdit.RemoveSwatch(swatch, Optional.empty())))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("choose the swatch that takes its place");
        assertThat(Uses.where(after, swatch)).contains("the colours of “Log”");
        Publication replaced =
                after(after, new SwatchEdit.RemoveSwatch(swatch, Optional.of(Sample.WHITE.id())));
        assertThat(replaced.asset(FILE).recolored().getFirst().to().orElseThrow().swatch())
                .isEqualTo(Sample.WHITE.id());
    }

    @Test
    void white_fills_that_hide_a_background_are_made_see_through_and_the_rest_is_named() {
        Composer composer = composer(new PageText.Ground.Flat(WHITE), BLACK);
        Publication dark = after(set(), new BackgroundEdit.AddBackground(OWN, night(false)));
        Finding hidden =
                Findings.of(composer.compose(dark, 4), AA, dark.setup(), COATED).stream()
                        .filter(FrontFinding.HidesBackground.class::isInstance)
                        .findFirst()
                        .orElseThrow();
        List<Offer> offers = Offer.of(hidden, dark, COATED);
        Offer offer = offers.get(offers.size() - 2);
        assertThat(offer.label())
                .isEqualTo("Make 3 white fills of page 1 of “Log” see-through; its picture stays");
        Publication after = after(dark, offer.edit());
        assertThat(after.asset(FILE).recolored().getFirst().to()).isEmpty();
        assertThat(Offer.of(hidden, after, COATED)).as("it is done").doesNotContain(offer);
        Offer pictures = offers.getLast();
        assertThat(pictures.label())
                .isEqualTo(
                        "Make all that is nearly white on page 1 of “Log” see-through, its picture included");
        Publication scanned = after(after, pictures.edit());
        assertThat(scanned.asset(FILE).recolored())
                .extracting(Recolor::what)
                .containsExactly(
                        Set.of(Recolor.What.FILLS, Recolor.What.PICTURES),
                        Set.of(Recolor.What.FILLS));
        assertThat(Offer.of(hidden, scanned, COATED)).doesNotContain(pictures);
    }

    /** As all other text is, with one change for all that is written in that colour. */
    @Test
    void text_of_files_is_among_what_is_mended_all_at_once() {
        Publication set = set();
        Composer composer = composer(new PageText.Ground.Flat(WHITE), PALE);
        WholeMend mend =
                WholeMend.of(set, composer, AA, COATED, Set.of(), UUID::randomUUID, Progress.NONE);
        assertThat(mend.left()).extracting(WholeMend.Left::text).doesNotContain("log");
        assertThat(mend.changes())
                .filteredOn(change -> change.edit() instanceof AssetEdit.RecolorAsset)
                .singleElement()
                .satisfies(change -> assertThat(change.pages()).containsExactly(PAGE));
        Publication after = after(set, WholeMend.together(mend.changes()));
        assertThat(AA.judge(composer.compose(after, 4))).allMatch(RunContrast::passes);
    }

    /** Before there is a background, and told by the same rule as when there is one. */
    @Test
    void what_would_hide_a_background_is_known_before_there_is_one() {
        Composer composer = composer(new PageText.Ground.Flat(WHITE), BLACK);
        Publication set = set();
        Hiding hiding = Hiding.of(composer.compose(set, 4), set).orElseThrow();
        assertThat(hiding.page()).isEqualTo(PAGE);
        assertThat(hiding.white()).isEqualTo(3);
        assertThat(hiding.pictures()).isEqualTo(1);
        Publication dark = after(set, new BackgroundEdit.AddBackground(OWN, night(false)));
        assertThat(FrontFinding.in(composer.compose(dark, 4)))
                .filteredOn(FrontFinding.HidesBackground.class::isInstance)
                .extracting(each -> ((FrontFinding.HidesBackground) each).parts().share())
                .containsExactly(hiding.share());
        Publication after = after(set, hiding.seeThrough().orElseThrow());
        assertThat(after.asset(FILE).recolored().getFirst().to()).isEmpty();
        assertThat(Hiding.of(composer.compose(set, 0), set)).as("a page of no file").isEmpty();
    }
}
