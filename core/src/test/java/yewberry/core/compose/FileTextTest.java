package yewberry.core.compose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yewberry.core.Progress;
import yewberry.core.Refused;
import yewberry.core.Sample;
import yewberry.core.asset.Backed;
import yewberry.core.asset.Documents;
import yewberry.core.asset.FilePage;
import yewberry.core.asset.KnownFile;
import yewberry.core.asset.PageText;
import yewberry.core.asset.Pictures;
import yewberry.core.asset.PlaneImage;
import yewberry.core.asset.Recoloring;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.edit.AssetEdit;
import yewberry.core.edit.BackgroundEdit;
import yewberry.core.edit.Edit;
import yewberry.core.edit.Editing;
import yewberry.core.edit.ExemptionEdit;
import yewberry.core.edit.PageEdit;
import yewberry.core.edit.SwatchEdit;
import yewberry.core.findings.Exemptions;
import yewberry.core.findings.Finding;
import yewberry.core.findings.Findings;
import yewberry.core.findings.FrontFinding;
import yewberry.core.findings.Hiding;
import yewberry.core.findings.Identity;
import yewberry.core.findings.Offer;
import yewberry.core.legibility.Legibility;
import yewberry.core.legibility.RunContrast;
import yewberry.core.mends.ColorMend;
import yewberry.core.mends.FileMend;
import yewberry.core.mends.FindingMend;
import yewberry.core.mends.Remedy;
import yewberry.core.mends.WholeMend;
import yewberry.core.picture.SvgPicture;
import yewberry.core.publication.Area;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Backing;
import yewberry.core.publication.Box;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Exemption;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Length;
import yewberry.core.publication.Level;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Palette;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recolor;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Tinted;
import yewberry.core.publication.Uses;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;
import yewberry.core.strata.Strata;
import yewberry.core.strata.Stratum;

/** What is written in the page of a file is judged on all that lies behind it and over it. */
class FileTextTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final UUID FILE = new UUID(7, 1);
    private static final UUID PAGE = new UUID(7, 2);
    private static final Owner OWN = new Owner.OnPage(PAGE);
    private static final Cmyk PALE = new Cmyk(0, 0, 0, 30);
    private static final Cmyk BLACK = new Cmyk(0, 0, 0, 100);
    private static final List<PageText.Used> COLORS =
            List.of(
                    new PageText.Used(PageText.Painted.FILLS, Optional.of(Rgb.WHITE), 3, 0),
                    new PageText.Used(PageText.Painted.PICTURES, Optional.empty(), 1, 0));
    private static final Cmyk WHITE = new Cmyk(0, 0, 0, 0);

    /** Three words of the size of 10 pt, one below the other, whose letters are boxes. */
    private record Written(
            PageText.Ground ground, Optional<PageText.Ground> annotation, Color color)
            implements Documents {
        Written(PageText.Ground ground, Color color) {
            this(ground, Optional.empty(), color);
        }

        @Override
        public Asset.Document read(KnownFile file) {
            Asset.Leaf leaf = new Asset.Leaf(200, 100, false, List.of());
            return new Asset.Document(List.of(leaf));
        }

        /**
         * Black on the right, nothing on the left; a word lies on both. What lies behind it is all
         * over the page.
         */
        @Override
        public PlaneImage draw(KnownFile file, FilePage page, int width, int height) {
            byte[] samples = new byte[4 * width * height];
            byte[] alpha = new byte[width * height];
            for (int at = 0; at < alpha.length; at++) {
                double there = at % width > width * 0.2 ? 1 : 0;
                double[] inks = {0, 0, 0, there};
                for (Backed each : page.backed()) {
                    double[] over = inks((Cmyk) each.color());
                    double all = there + each.opacity() - there * each.opacity();
                    for (int ink = 0; ink < 4; ink++) {
                        double below = inks[ink] * there * (1 - each.opacity());
                        inks[ink] = (below + over[ink] * each.opacity()) / all;
                    }
                    there = all;
                }
                alpha[at] = (byte) Math.round(255 * there);
                for (int ink = 0; ink < 4; ink++) {
                    samples[4 * at + ink] = (byte) Math.round(255 * inks[ink]);
                }
            }
            return new PlaneImage(width, height, 4, samples, Optional.of(alpha));
        }

        private static double[] inks(Cmyk color) {
            return new double[] {
                color.cyan() / 100, color.magenta() / 100, color.yellow() / 100, color.black() / 100
            };
        }

        private PageText.Ground ground(FilePage page) {
            return page.backed().isEmpty()
                    ? ground
                    : page.backed().getLast().opacity() == 1
                            ? new PageText.Ground.Flat(page.backed().getLast().color())
                            : new PageText.Ground.Mixed(true);
        }

        @Override
        public PageText text(KnownFile file, FilePage page) {
            Path2D box = new Path2D.Double(new Rectangle2D.Double(50, -700, 500, 700));
            PageText.FileFace face =
                    new PageText.FileFace("Plain", 400, false, 800, 200, Map.of(1, box));
            List<PageText.Glyph> glyphs =
                    List.of(
                            new PageText.Glyph(1, "l", 0),
                            new PageText.Glyph(1, "o", 6),
                            new PageText.Glyph(1, "g", 12));
            PageText.Stretch stretch =
                    new PageText.Stretch(
                            0,
                            0,
                            10,
                            0,
                            30,
                            50,
                            page.recolored().stream()
                                    .findFirst()
                                    .flatMap(Recoloring::to)
                                    .orElse(color),
                            COATED.toScreen(color),
                            false,
                            ground(page),
                            annotation,
                            List.of(new PageText.Line(30, 50, 18, glyphs)));
            return new PageText(
                    List.of(face),
                    List.of(stretch),
                    List.of(),
                    COLORS,
                    annotation.isPresent()
                            ? List.of(new PageText.Place(25, 40, 40, 15))
                            : List.of(),
                    List.of());
        }
    }

    private static Publication after(Publication in, Edit... edits) {
        Publication now = in;
        for (Edit edit : edits) {
            now = Editing.edit(now, edit).publication();
        }
        return now;
    }

    private static Publication set() {
        Asset.Document content =
                new Written(new PageText.Ground.Bare(), BLACK).read(KnownFile.of(new byte[0]));
        return after(
                Sample.publication(),
                new AssetEdit.AddAsset(new Asset(FILE, "Log", "any", content)),
                new PageEdit.AddImported(
                        FILE, 1, List.of(PAGE), Optional.of(Sample.page(4)), Optional.empty()));
    }

    private static Background night(boolean over) {
        return new Background(
                        Sample.id("behind"),
                        Sides.BOTH,
                        new Area.WholePage(),
                        new Fill.Solid(Tinted.full(Sample.NIGHT.id())))
                .withOver(over);
    }

    private static Composer composer(PageText.Ground ground, Color color) {
        return new Composer(
                COATED, new Pictures(sha256 -> new byte[0], new Written(ground, color)));
    }

    private static final Legibility AA = new Legibility(COATED, Level.AA, Destination.PAPER);

    /** The words are those of an annotation. */
    private static Composer annotated(
            PageText.Ground page, PageText.Ground annotation, Color color) {
        Written written = new Written(page, Optional.of(annotation), color);
        return new Composer(COATED, new Pictures(sha256 -> new byte[0], written));
    }

    private static RunContrast judged(Publication set, PageText.Ground ground, Color color) {
        PageScene scene = composer(ground, color).compose(set, 4);
        return AA.judge(scene).getFirst();
    }

    private static double ratio(Color text, Color ground) {
        double front = luminance(COATED.toScreen(text));
        double back = luminance(COATED.toScreen(ground));
        return (Math.max(front, back) + 0.05) / (Math.min(front, back) + 0.05);
    }

    /** WCAG 2.2, "relative luminance". */
    private static double luminance(Rgb rgb) {
        return 0.2126 * linear(rgb.red())
                + 0.7152 * linear(rgb.green())
                + 0.0722 * linear(rgb.blue());
    }

    private static double linear(int component) {
        double part = component / 255.0;
        return part <= 0.04045 ? part / 12.92 : Math.pow((part + 0.055) / 1.055, 2.4);
    }

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

    private static Finding.TooLittleContrast contrast(Composer composer, Publication in, int page) {
        return Findings.of(composer.compose(in, page), AA, in.setup(), COATED).stream()
                .filter(Finding.TooLittleContrast.class::isInstance)
                .map(Finding.TooLittleContrast.class::cast)
                .findFirst()
                .orElseThrow();
    }

    private static List<Remedy> remedies(Composer composer, Publication in, Remedy.Kind kind) {
        UUID run = AA.judge(composer.compose(in, 4)).getFirst().run().run();
        return Remedy.of(
                run, EnumSet.of(kind), in, composer, AA, COATED, () -> Sample.id("shading"));
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

    private static Backing backing(int page, double opacity) {
        return new Backing(
                Sample.id("backing"),
                page,
                new Box(Length.mm(8), Length.mm(12), Length.mm(20), Length.mm(8)),
                Length.mm(1),
                Tinted.full(Sample.NIGHT.id()),
                opacity);
    }

    @Test
    void what_lies_behind_words_is_changed_taken_back_and_follows_its_swatch() {
        Publication set = set();
        Publication one = after(set, new AssetEdit.BackWords(FILE, backing(1, 100)));
        Publication weaker = after(one, new AssetEdit.BackWords(FILE, backing(1, 40)));
        assertThat(weaker.asset(FILE).backings()).containsExactly(backing(1, 40));
        Backing moved =
                new Backing(
                        Sample.id("moved"),
                        1,
                        new Box(Length.mm(1), Length.mm(1), Length.mm(9), Length.mm(9)),
                        Length.ZERO,
                        Tinted.full(Sample.NIGHT.id()),
                        30);
        Publication two = after(weaker, new AssetEdit.BackWords(FILE, moved));
        Backing wider =
                new Backing(
                        Sample.id("backing"),
                        1,
                        new Box(Length.mm(8), Length.mm(12), Length.mm(30), Length.mm(8)),
                        Length.mm(1),
                        Tinted.full(Sample.NIGHT.id()),
                        70);
        assertThat(
                        after(two, new AssetEdit.ChangeBacking(FILE, backing(1, 40), wider))
                                .asset(FILE)
                                .backings())
                .as("in its place")
                .containsExactly(wider, moved);
        Backing round =
                new Backing(
                        Sample.id("backing"),
                        1,
                        backing(1, 40).area(),
                        Length.mm(3),
                        backing(1, 40).color(),
                        100);
        assertThat(
                        after(two, new AssetEdit.ChangeBacking(FILE, backing(1, 100), round))
                                .asset(FILE)
                                .backings()
                                .getFirst())
                .as("somebody else made it weaker meanwhile, which stays")
                .isEqualTo(round.withOpacity(40));
        Publication elsewhere =
                after(two, new AssetEdit.ChangeBacking(FILE, backing(1, 40), wider));
        Backing bolder = backing(1, 40).withOpacity(90);
        assertThat(
                        after(elsewhere, new AssetEdit.ChangeBacking(FILE, backing(1, 40), bolder))
                                .asset(FILE)
                                .backings()
                                .getFirst())
                .as("somebody else moved it meanwhile, where it stays")
                .isEqualTo(wider.withOpacity(90));
        Backing gone =
                new Backing(Sample.id("gone"), 1, round.area(), round.radius(), round.color(), 50);
        assertThatThrownBy(() -> after(two, new AssetEdit.ChangeBacking(FILE, gone, round)))
                .isInstanceOf(Refused.class)
                .hasMessageStartingWith("There is no such colour behind words");
        assertThat(after(weaker, new AssetEdit.TakeBackBacking(FILE, backing(1, 40))))
                .isEqualTo(set);
        assertThat(after(weaker, new AssetEdit.TakeBackBacking(FILE, backing(1, 100))))
                .as("whatever somebody made of it meanwhile")
                .isEqualTo(set);
        assertThatThrownBy(() -> after(weaker, new AssetEdit.TakeBackBacking(FILE, gone)))
                .isInstanceOf(Refused.class)
                .hasMessageStartingWith("There is no such colour behind words");
        Publication replaced =
                after(
                        weaker,
                        new SwatchEdit.RemoveSwatch(
                                Sample.NIGHT.id(), Optional.of(Sample.SIGNAL.id())));
        assertThat(replaced.asset(FILE).backings().getFirst().color().swatch())
                .isEqualTo(Sample.SIGNAL.id());
    }

    @Test
    void what_cannot_lie_behind_words_is_refused() {
        assertThatThrownBy(() -> after(set(), new AssetEdit.BackWords(FILE, backing(2, 100))))
                .isInstanceOf(Refused.class)
                .hasMessage("“Log” has no page 2; its last one is page 1.");
        assertThatThrownBy(() -> backing(0, 100)).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> backing(1, 0)).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> backing(1, 101)).isInstanceOf(Refused.class);
        Asset map =
                new Asset(
                        Sample.id("map"),
                        "Map",
                        "any",
                        new Asset.Pixels(
                                Asset.Format.PNG,
                                10,
                                10,
                                72,
                                Asset.Colors.RGB,
                                Optional.empty(),
                                false));
        assertThatThrownBy(() -> map.withBackings(List.of(backing(1, 100))))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("is not one");
    }

    @Test
    void pages_of_the_file_that_it_is_not_on_are_not_made_again() {
        Asset.Document two =
                new Asset.Document(
                        List.of(
                                new Asset.Leaf(200, 100, false, List.of()),
                                new Asset.Leaf(200, 100, false, List.of())));
        Publication set =
                after(
                        Sample.publication(),
                        new AssetEdit.AddAsset(new Asset(FILE, "Log", "any", two)),
                        new PageEdit.AddImported(
                                FILE,
                                1,
                                List.of(PAGE, Sample.id("second")),
                                Optional.of(Sample.page(4)),
                                Optional.empty()));
        Composer composer = composer(new PageText.Ground.Bare(), BLACK);
        Publication backed = after(set, new AssetEdit.BackWords(FILE, backing(2, 100)));
        assertThat(composer.key(backed, 4)).isSameAs(composer.key(set, 4));
        assertThat(composer.key(backed, 5)).isNotSameAs(composer.key(set, 5));
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

    /** Two offers made of one state are both kept: each carries what it changes, and no more. */
    @Test
    void a_colour_that_changes_leaves_what_changed_meanwhile() {
        Set<Recolor.What> text = Set.of(Recolor.What.TEXT);
        Optional<Tinted> night = Optional.of(Tinted.full(Sample.NIGHT.id()));
        Optional<Tinted> white = Optional.of(Tinted.full(Sample.WHITE.id()));
        Recolor black = new Recolor(Rgb.BLACK, 0, text, List.of(), night);
        Recolor pale = new Recolor(COATED.toScreen(PALE), 0, text, List.of(), night);
        Recolor again = new Recolor(Rgb.BLACK, 0, text, List.of(), white);
        Publication both =
                after(
                        set(),
                        new AssetEdit.RecolorAsset(FILE, black),
                        new AssetEdit.RecolorAsset(FILE, pale));
        assertThat(both.asset(FILE).recolored()).containsExactly(pale, black);
        Publication other = after(both, new AssetEdit.RecolorAsset(FILE, again));
        assertThat(other.asset(FILE).recolored()).containsExactly(again, pale);
        Publication back = after(other, new AssetEdit.TakeBackColor(FILE, again));
        assertThat(back.asset(FILE).recolored()).containsExactly(pale);
        assertThatThrownBy(() -> after(back, new AssetEdit.TakeBackColor(FILE, again)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("no such");
    }

    @Test
    void what_cannot_be_another_colour_is_refused() {
        Tinted night = Tinted.full(Sample.NIGHT.id());
        Set<Recolor.What> text = Set.of(Recolor.What.TEXT);
        assertThatThrownBy(() -> new Recolor(Rgb.BLACK, 0, text, List.of(), Optional.empty()))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("see-through");
        assertThatThrownBy(() -> new Recolor(Rgb.BLACK, 60, text, List.of(), Optional.of(night)))
                .isInstanceOf(Refused.class);
        assertThatThrownBy(() -> new Recolor(Rgb.BLACK, 0, Set.of(), List.of(), Optional.of(night)))
                .isInstanceOf(Refused.class);
        Recolor one = new Recolor(Rgb.BLACK, 0, text, List.of(), Optional.of(night));
        Asset.Pixels pixels =
                new Asset.Pixels(
                        Asset.Format.PNG, 1, 1, 72, Asset.Colors.RGB, Optional.empty(), false);
        assertThatThrownBy(() -> new Asset(FILE, "Map", "any", pixels, List.of(one), List.of()))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("PDF");
        Tinted gone = Tinted.full(Sample.id("nobody"));
        Recolor broken = new Recolor(Rgb.BLACK, 0, text, List.of(), Optional.of(gone));
        assertThatThrownBy(() -> after(set(), new AssetEdit.RecolorAsset(FILE, broken)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("swatch");
    }
}
