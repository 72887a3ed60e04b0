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
import static yewberry.core.compose.WrittenFile.judged;
import static yewberry.core.compose.WrittenFile.night;
import static yewberry.core.compose.WrittenFile.ratio;
import static yewberry.core.compose.WrittenFile.set;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import yewberry.core.Refused;
import yewberry.core.Sample;
import yewberry.core.asset.PageText;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Medium;
import yewberry.core.color.View;
import yewberry.core.edit.BackgroundEdit;
import yewberry.core.edit.ExemptionEdit;
import yewberry.core.edit.PageEdit;
import yewberry.core.findings.Exemptions;
import yewberry.core.findings.Finding;
import yewberry.core.findings.Identity;
import yewberry.core.legibility.RunContrast;
import yewberry.core.mends.ColorMend;
import yewberry.core.picture.SvgPicture;
import yewberry.core.publication.Exemption;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Publication;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;
import yewberry.core.strata.Strata;
import yewberry.core.strata.Stratum;

/** What is written in the page of a file is judged on all that lies behind it and over it. */
class FileTextTest {
    @Test
    void on_nothing_of_its_own_it_stands_on_what_lies_behind_the_page() {
        RunContrast onStock = judged(set(), new PageText.Ground.Bare(), PALE);
        assertThat(onStock.run().text()).isEqualTo("log");
        assertThat(onStock.worst().name()).isEqualTo("bare stock");
        assertThat(onStock.passes()).isFalse();
        Publication dark = after(set(), new BackgroundEdit.AddBackground(OWN, night(false)));
        RunContrast onNight = judged(dark, new PageText.Ground.Bare(), PALE);
        assertThat(onNight.worst().ratio())
                .isCloseTo(ratio(PALE, new Cmyk(100, 86, 42, 52)), within(0.02));
        assertThat(onNight.passes()).isTrue();
        assertThat(onNight.onPicture()).isFalse();
    }

    @Test
    void on_a_box_of_its_own_it_stands_on_that_whatever_lies_behind_the_page() {
        Publication dark = after(set(), new BackgroundEdit.AddBackground(OWN, night(false)));
        RunContrast judged = judged(dark, new PageText.Ground.Flat(WHITE), BLACK);
        assertThat(judged.against()).hasSize(1);
        assertThat(judged.worst().ratio()).isCloseTo(ratio(BLACK, WHITE), within(0.02));
        assertThat(judged.worst().behind().orElseThrow().words())
                .isEqualTo("page of the file “Log”");
    }

    @Test
    void a_point_of_its_words_tells_them_with_their_contrast_there() {
        Publication dark = after(set(), new BackgroundEdit.AddBackground(OWN, night(false)));
        PageScene scene = composer(new PageText.Ground.Bare(), PALE).compose(dark, 4);
        View designed = View.designed(Medium.PAPER, COATED);
        assertThat(Strata.at(scene, 32, 46, designed).getFirst())
                .isInstanceOfSatisfying(
                        Stratum.Text.class,
                        text -> {
                            assertThat(text.run().text()).isEqualTo("log");
                            assertThat(text.ratio())
                                    .isCloseTo(
                                            ratio(PALE, new Cmyk(100, 86, 42, 52)), within(0.02));
                        });
        assertThat(Strata.at(scene, 5, 5, designed).getFirst()).isInstanceOf(Stratum.Front.class);
    }

    @Test
    void on_several_things_the_worst_of_all_pixels_counts() {
        RunContrast judged = judged(set(), new PageText.Ground.Mixed(false), BLACK);
        assertThat(judged.worst().ratio()).isCloseTo(1, within(0.01));
        assertThat(judged.failing()).isBetween(0.3, 0.8);
        assertThat(judged.onPicture()).isFalse();
        assertThat(judged(set(), new PageText.Ground.Mixed(true), BLACK).onPicture()).isTrue();
    }

    @Test
    void what_lies_over_the_page_is_seen_on_letters_and_ground() {
        Publication veiled =
                after(set(), new BackgroundEdit.AddBackground(OWN, night(true).withOpacity(60)));
        RunContrast judged = judged(veiled, new PageText.Ground.Bare(), BLACK);
        assertThat(judged.veiled()).isTrue();
        assertThat(judged.worst().ratio()).isLessThan(ratio(BLACK, WHITE) / 2);
    }

    @Test
    void words_of_an_annotation_stand_over_all_that_is_put_on_the_page() {
        Publication covered = after(set(), new BackgroundEdit.AddBackground(OWN, night(true)));
        PageText.Ground bare = new PageText.Ground.Bare();
        PageScene scene = annotated(bare, bare, PALE).compose(covered, 4);
        RunContrast onNight = AA.judge(scene).getFirst();
        assertThat(onNight.run().origin().inWords())
                .isEqualTo("an annotation or a form field of “Log”");
        assertThat(onNight.veiled()).isFalse();
        assertThat(onNight.worst().ratio())
                .isCloseTo(ratio(PALE, new Cmyk(100, 86, 42, 52)), within(0.02));
        PageText.Ground paper = new PageText.Ground.Flat(WHITE);
        RunContrast onPaper = AA.judge(annotated(bare, paper, PALE).compose(covered, 4)).getFirst();
        assertThat(onPaper.worst().ratio()).isCloseTo(ratio(PALE, WHITE), within(0.02));
        assertThat(onPaper.worst().behind().orElseThrow().words())
                .isEqualTo("an annotation or a form field of “Log”");
        assertThat(SvgPicture.spread(List.of(scene), View.designed(Medium.PAPER, COATED), false))
                .as("painted where it is, over the background")
                .contains("<image x=\"25\" y=\"40\"");
        Rect trim = scene.boxes().trim();
        assertThat(
                        SvgPicture.file(
                                List.of(new SvgPicture.PlacedScene(scene, 0, trim)),
                                View.designed(Medium.PAPER, COATED)))
                .as("no other file takes it along")
                .doesNotContain("<image x=\"25\" y=\"40\"");
    }

    @Test
    void
            a_finding_stays_the_same_after_other_edits_and_offers_no_edit_of_a_text_that_is_not_ours() {
        Composer composer = composer(new PageText.Ground.Bare(), PALE);
        Publication set = set();
        Identity before = Identity.of(contrast(composer, set, 4));
        Publication moved = after(set, new PageEdit.MovePages(List.of(PAGE), Optional.empty()));
        assertThat(Identity.of(contrast(composer, moved, 0))).isEqualTo(before);
        UUID run = contrast(composer, set, 4).contrast().run().run();
        assertThat(ColorMend.of(run, set, composer.composeAll(set), AA, COATED, Sample.id("new")))
                .isEmpty();
    }

    @Test
    void it_can_be_excepted_as_long_as_its_page_is_there() {
        Composer composer = composer(new PageText.Ground.Bare(), PALE);
        Publication set = set();
        Finding.TooLittleContrast finding = contrast(composer, set, 4);
        Exemption exemption =
                new Exemption(
                        Sample.id("exception"),
                        finding.contrast().run().run(),
                        Optional.of(new Imported(FILE, 1)),
                        Exemption.Why.DECORATION,
                        "A stamp",
                        "log",
                        finding.contrast().worst().ratio());
        Publication excepted = after(set, new ExemptionEdit.AddExemption(exemption));
        assertThat(Exemptions.of(excepted).isOpen(finding)).isFalse();
        Publication gone = after(excepted, new PageEdit.RemovePages(List.of(PAGE)));
        assertThat(Exemptions.of(gone).all(gone, Stream.of()))
                .singleElement()
                .satisfies(
                        each -> assertThat(each.ended()).hasValue("The page of the file is gone."));
        assertThatThrownBy(() -> after(gone, new ExemptionEdit.AddExemption(exemption)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("gone");
    }
}
