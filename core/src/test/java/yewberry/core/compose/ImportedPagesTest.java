package yewberry.core.compose;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Duration;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yewberry.core.Refused;
import yewberry.core.Sample;
import yewberry.core.asset.Documents;
import yewberry.core.asset.FilePage;
import yewberry.core.asset.KnownFile;
import yewberry.core.asset.PageText;
import yewberry.core.asset.Pictures;
import yewberry.core.asset.PlaneImage;
import yewberry.core.color.BlendMode;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.edit.AssetEdit;
import yewberry.core.edit.BackgroundEdit;
import yewberry.core.edit.Edit;
import yewberry.core.edit.Editing;
import yewberry.core.edit.FrameEdit;
import yewberry.core.edit.PageEdit;
import yewberry.core.edit.ParentEdit;
import yewberry.core.findings.Checked;
import yewberry.core.findings.Finding;
import yewberry.core.findings.Findings;
import yewberry.core.findings.FrontFinding;
import yewberry.core.findings.NotJudged;
import yewberry.core.findings.Offer;
import yewberry.core.findings.OnPageContent;
import yewberry.core.legibility.Legibility;
import yewberry.core.press.FreePlaces;
import yewberry.core.publication.AsItCame;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Box;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Field;
import yewberry.core.publication.Fill;
import yewberry.core.publication.FrameSetting;
import yewberry.core.publication.Hold;
import yewberry.core.publication.Language;
import yewberry.core.publication.Length;
import yewberry.core.publication.Level;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recolor;
import yewberry.core.publication.RunningFields;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;

/** Pages that are those of a file; what they look like is the business of who reads them. */
class ImportedPagesTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final UUID FILE = new UUID(7, 1);
    private static final UUID PAGE = new UUID(7, 2);
    private static final Owner OWN = new Owner.OnPage(PAGE);

    /** 200 pt wide and 100 pt high, with an opaque part of it. */
    private record Boxed(double share) implements Documents {
        @Override
        public Asset.Document read(KnownFile file) {
            return pages(200, 100);
        }

        @Override
        public PlaneImage draw(KnownFile file, FilePage page, int width, int height) {
            byte[] alpha = new byte[width * height];
            for (int at = 0; at < alpha.length; at++) {
                boolean line = at / width == height / 2; // hides nothing that anyone would miss
                alpha[at] = (byte) (at % width < share * width || line ? 255 : 0);
            }
            return new PlaneImage(width, height, 4, new byte[4 * alpha.length], Optional.of(alpha));
        }

        @Override
        public PageText text(KnownFile file, FilePage page) {
            return PageText.NONE;
        }
    }

    private static Asset.Document pages(double width, double height) {
        return pages(width, height, 2);
    }

    private static Asset.Document pages(double width, double height, int count) {
        Asset.Leaf leaf = new Asset.Leaf(width, height, false, List.of());
        return new Asset.Document(Collections.nCopies(count, leaf));
    }

    private static Publication after(Publication in, Edit... edits) {
        Publication now = in;
        for (Edit edit : edits) {
            now = Editing.edit(now, edit).publication();
        }
        return now;
    }

    /** Four pages with a dark parent, and behind them the first page of a file. */
    private static Publication set() {
        return after(
                Sample.publication(),
                new AssetEdit.AddAsset(new Asset(FILE, "Log", "any", pages(200, 100))),
                new PageEdit.AddImported(
                        FILE,
                        1,
                        List.of(PAGE),
                        Optional.of(Sample.page(4)),
                        Optional.of(Sample.PARENT)));
    }

    /** Something everywhere but in the right fifth of the page. */
    private static final class Noisy implements Documents {
        @Override
        public Asset.Document read(KnownFile file) {
            return pages(200, 100);
        }

        @Override
        public PlaneImage draw(KnownFile file, FilePage page, int width, int height) {
            byte[] samples = new byte[4 * width * height];
            for (int at = 0; at < width * height; at++) {
                boolean black = at % width < 0.8 * width && (at % width + at / width) % 2 == 0;
                samples[4 * at + 3] = (byte) (black ? 255 : 0);
            }
            return new PlaneImage(width, height, 4, samples, Optional.empty());
        }

        @Override
        public PageText text(KnownFile file, FilePage page) {
            return PageText.NONE;
        }
    }

    private static PageScene scene(Publication in, double share) {
        return scene(in, new Boxed(share));
    }

    private static PageScene scene(Publication in, Documents documents) {
        return new Composer(COATED, new Pictures(sha256 -> new byte[0], documents)).compose(in, 4);
    }

    private static Edit add(String name, boolean over) {
        return new BackgroundEdit.AddBackground(
                OWN, Sample.wholePage(name, Sample.SIGNAL).withOver(over));
    }

    private static PictureFrame word(String name, PictureFrame.Level level) {
        return new PictureFrame(
                Sample.id(name),
                Sides.BOTH,
                new Box(Length.mm(10), Length.mm(5), Length.mm(40), Length.mm(10)),
                0,
                level,
                new Fill.Word(
                        name,
                        "Source Serif 4",
                        400,
                        false,
                        Optional.empty(),
                        Tinted.full(Sample.INK.id())),
                100,
                BlendMode.NORMAL,
                Background.GoesTo.BOTH,
                new PictureFrame.Meaning(true, ""),
                List.of(),
                false);
    }

    private static UUID element(Item item) {
        return switch (item) {
            case Item.AreaFill fill -> fill.background();
            case Item.FrontFill fill -> fill.element();
            case Item.TextFill fill -> fill.textFrame();
            case Item.Lettering letters -> letters.letters().frame();
        };
    }

    @Test
    void the_page_of_a_file_lies_between_what_is_behind_and_what_is_over_it() {
        Publication set =
                after(
                        set(),
                        add("over", true),
                        add("behind", false),
                        new FrameEdit.AddPicture(OWN, word("Top", PictureFrame.Level.OVER)),
                        new FrameEdit.AddPicture(OWN, word("Low", PictureFrame.Level.BEHIND)));
        assertThat(scene(set, 0).items())
                .extracting(ImportedPagesTest::element)
                .containsExactly(
                        Sample.id("dark background"),
                        Sample.id("behind"),
                        Sample.id("Low"),
                        PAGE,
                        Sample.id("over"),
                        Sample.id("Top"));
        // where nothing lies between, the order is that of the stack
        Publication made =
                after(
                        Sample.publication(),
                        new BackgroundEdit.AddBackground(
                                new Owner.OnPage(Sample.page(1)),
                                Sample.wholePage("over", Sample.SIGNAL).withOver(true)));
        assertThat(new Composer(COATED).compose(made, 0).items())
                .extracting(ImportedPagesTest::element)
                .containsExactly(Sample.id("dark background"), Sample.id("over"));
    }

    @Test
    void it_is_as_large_as_it_is_in_its_file_and_stays_so() {
        Publication set = set();
        Page page = set.page(PAGE);
        // 200 pt by 100 pt, at 72 to the inch
        assertThat(page.size().orElseThrow())
                .isEqualTo(new PageSize(Length.mm(70.56), Length.mm(35.28)));
        assertThat(scene(set, 0).boxes().trim().width()).isCloseTo(200, within(0.02));
        assertThatThrownBy(
                        () -> after(set, new PageEdit.SizePages(List.of(PAGE), Optional.empty())))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("its size is not changed here");
        assertThatThrownBy(
                        () -> after(set, new AssetEdit.ReplaceAsset(FILE, "other", pages(90, 90))))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("as large as that");
        assertThatThrownBy(() ->
                        after(
                                set,
                                new PageEdit.AddImported(
                                        FILE,
                                        3,
                                        List.of(new UUID(7, 3)),
                                        Optional.empty(),
                                        Optional.empty())))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("has no page 3; it has pages 1 to 2");
        assertThatThrownBy(() -> after(set, new AssetEdit.RemoveAsset(FILE, Optional.empty())))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("placed in 1 place");
    }

    private static Optional<FrontFinding.HidesBackground> hidden(Publication in, double share) {
        PageScene scene = scene(in, share);
        List<Finding> all =
                Findings.of(
                        scene,
                        new Legibility(COATED, Level.AA, Destination.PAPER),
                        in.setup(),
                        COATED);
        return all.stream()
                .filter(FrontFinding.HidesBackground.class::isInstance)
                .map(FrontFinding.HidesBackground.class::cast)
                .findFirst();
    }

    @ParameterizedTest
    @CsvSource({"0, 0", "0.01, 0", "0.18, 0.18", "0.5, 0.5", "1, 1"})
    void what_hides_a_background_is_told_with_its_share_of_the_page(double share, double told) {
        Optional<FrontFinding.HidesBackground> found = hidden(set(), share);
        assertThat(found.map(each -> each.parts().share()).orElse(0.0))
                .isCloseTo(told, within(0.01));
        found.ifPresent(
                each -> assertThat(each.where().width()).isCloseTo(200 * share, within(2.0)));
        Publication bare = after(set(), new PageEdit.ShowParent(List.of(PAGE), false));
        assertThat(hidden(bare, share)).as("nothing lies behind it").isEmpty();
    }

    @Test
    void laid_over_the_page_nothing_hides_it() {
        Publication set = set();
        for (Offer offer : Offer.of(hidden(set, 1).orElseThrow(), set, COATED)) {
            Publication mended = after(set, offer.edit());
            assertThat(hidden(mended, 1)).as(offer.label()).isEmpty();
            assertThat(scene(mended, 1).items())
                    .extracting(ImportedPagesTest::element)
                    .containsExactly(PAGE, Sample.id("dark background"));
        }
    }

    /** 20 mm from both sides and 12 mm from the bottom of the usual page. */
    @Test
    void what_is_on_a_parent_is_fitted_to_pages_of_files_of_any_size() {
        UUID frame = new UUID(7, 4);
        PageSize usual = Sample.publication().setup().trim();
        Publication set =
                after(
                        set(),
                        new FrameEdit.AddFrame(
                                new Owner.OnParent(Sample.PARENT),
                                frame,
                                Sides.BOTH,
                                new Box(
                                        Length.mm(20),
                                        Length.mm(usual.height().millimetres() - 27),
                                        Length.mm(usual.width().millimetres() - 40),
                                        Length.mm(15)),
                                new UUID(7, 5),
                                new UUID(7, 6),
                                Sample.BODY.id()));
        assertThat(placed(set).y()).as("off the page").isGreaterThan(100);
        Publication held =
                after(
                        set,
                        new FrameEdit.HoldFrame(
                                frame, new Hold(Hold.Way.BOTH, Hold.Way.FAR), Optional.empty()));
        Rect there = placed(held);
        PageSize trim = held.setup(held.page(PAGE)).trim();
        assertThat(trim.width().points() - there.right()).isCloseTo(20 * 72 / 25.4, within(1e-6));
        assertThat(trim.height().points() - there.bottom()).isCloseTo(12 * 72 / 25.4, within(1e-6));
        assertThat(scene(held, 0).text()).as("nothing is written yet").isEmpty();
        Publication written =
                held.withStories(
                        held.stories()
                                .mapped(story ->
                                        story.withParagraphs(
                                                List.of(
                                                        Sample.paragraph(
                                                                "words",
                                                                Sample.BODY,
                                                                "Dew on the corrector all night long")))));
        List<Item.Line> lines = scene(written, 0).text().getFirst().lines();
        assertThat(lines).as("it runs within what it is there").hasSizeGreaterThan(1);
        assertThat(lines).allMatch(line -> line.width() <= there.width() + 1e-6);
    }

    private static Rect placed(Publication in) {
        return scene(in, 0).frames().getFirst().where();
    }

    /** With a number over its page, so many points from its left and top. */
    private static Publication numbered(double x, double y) {
        return numbered(x, y, "07");
    }

    private static Publication numbered(double x, double y, String number) {
        UUID frame = new UUID(7, 4);
        Publication set =
                after(
                        set(),
                        new FrameEdit.AddFrame(
                                OWN,
                                frame,
                                Sides.BOTH,
                                new Box(Length.pt(x), Length.pt(y), Length.pt(90), Length.pt(30)),
                                new UUID(7, 5),
                                new UUID(7, 6),
                                Sample.BODY.id()));
        return set.withStories(
                set.stories()
                        .mapped(story ->
                                story.withParagraphs(
                                        List.of(Sample.paragraph("number", Sample.BODY, number)))));
    }

    private static Optional<OnPageContent> onContent(Publication in, double share) {
        return OnPageContent.in(scene(in, share)).stream()
                .map(OnPageContent.class::cast)
                .findFirst();
    }

    /** The page has a line across its middle, 50 pt down. */
    @Test
    void a_number_on_what_is_there_is_told_and_moves_to_the_nearest_free_place() {
        Publication set = numbered(100, 44);
        OnPageContent found = onContent(set, 0).orElseThrow();
        assertThat(found.text()).isEqualTo("07");
        assertThat(found.where().y()).isLessThan(50);
        assertThat(found.where().bottom()).isGreaterThan(50);
        List<Offer> offers = Offer.of(found, set, COATED);
        assertThat(offers).hasSize(1);
        assertThat(offers.getFirst().label()).startsWith("Move its frame ");
        Publication moved = after(set, offers.getFirst().edit());
        assertThat(onContent(moved, 0)).isEmpty();
        double far = moved.page(PAGE).layer().textFrames().getFirst().box().y().points() - 44;
        // to below the line, or above it, and no further than a step and 3 pt of air
        double below = 50 - found.where().y();
        double above = found.where().bottom() - 50;
        assertThat(Math.abs(far)).isBetween(3.0, Math.min(below, above) + 9);
        assertThat(
                        Offer.of(
                                found,
                                after(set, new FrameEdit.LockFrame(new UUID(7, 4), true)),
                                COATED))
                .as("locked")
                .isEmpty();
    }

    /** Pages that have a line each, 12 pt further down from one to the next. */
    private static final class Lined implements Documents {
        @Override
        public Asset.Document read(KnownFile file) {
            return pages(200, 100, 4);
        }

        @Override
        public PlaneImage draw(KnownFile file, FilePage page, int width, int height) {
            byte[] alpha = new byte[width * height];
            int row = height * (30 + 12 * page.number()) / 100;
            Arrays.fill(alpha, row * width, (row + 1) * width, (byte) 255);
            return new PlaneImage(width, height, 4, new byte[4 * alpha.length], Optional.of(alpha));
        }

        @Override
        public PageText text(KnownFile file, FilePage page) {
            return PageText.NONE;
        }
    }

    /** A number that a parent has on four pages. */
    private static Publication onParent(double y) {
        UUID parent = new UUID(8, 1);
        List<UUID> ids = IntStream.range(0, 4).mapToObj(i -> new UUID(8, 10 + i)).toList();
        Publication set =
                after(
                        Sample.publication(),
                        new AssetEdit.AddAsset(new Asset(FILE, "Log", "any", pages(200, 100, 4))),
                        new PageEdit.AddImported(FILE, 1, ids, Optional.empty(), Optional.empty()),
                        new ParentEdit.AddParent(parent, "Numbers", Optional.empty()),
                        new PageEdit.AssignParent(ids, Optional.of(parent)),
                        new FrameEdit.AddFrame(
                                new Owner.OnParent(parent),
                                new UUID(7, 4),
                                Sides.BOTH,
                                new Box(Length.pt(100), Length.pt(y), Length.pt(60), Length.pt(30)),
                                new UUID(7, 5),
                                new UUID(7, 6),
                                Sample.BODY.id()));
        return set.withStories(
                set.stories()
                        .mapped(story ->
                                story.id().equals(new UUID(7, 5))
                                        ? story.withParagraphs(
                                                List.of(
                                                        Sample.paragraph(
                                                                "number", Sample.BODY, "07")))
                                        : story));
    }

    private static List<OnPageContent> onContent(Publication in, Composer composer) {
        return IntStream.range(0, 4)
                .mapToObj(i -> OnPageContent.in(composer.compose(in, i)))
                .flatMap(List::stream)
                .map(OnPageContent.class::cast)
                .toList();
    }

    /** Lines at 42, 54, 66 and 78 pt: what is free of the first is on the next ones. */
    @Test
    void a_number_on_a_parent_moves_to_where_nothing_is_on_any_page() {
        Composer composer = new Composer(COATED, new Pictures(sha256 -> new byte[0], new Lined()));
        Publication set = onParent(60);
        List<OnPageContent> found = onContent(set, composer);
        assertThat(found).isNotEmpty();
        Offer onThisPage = Offer.of(found.getFirst(), set, COATED).getFirst();
        assertThat(onContent(after(set, onThisPage.edit()), composer))
                .as("free on the page looked at only")
                .isNotEmpty();
        Offer onAll =
                found.getFirst().freeOnAll(set, composer, Duration.ofSeconds(60)).orElseThrow();
        assertThat(onAll.label()).endsWith(", where nothing is on any page of “Numbers”");
        assertThat(onContent(after(set, onAll.edit()), composer)).isEmpty();
        assertThat(new FreePlaces(14_400).nearest())
                .as("as many positions as on any other page")
                .isPresent();
        assertThat(found.getFirst().freeOnAll(set, composer, Duration.ZERO))
                .as("nothing is said of pages that nobody looked at")
                .isEmpty();
    }

    /** A bare page, the left half of which an annotation covers with one colour. */
    private static final class Annotated implements Documents {
        @Override
        public Asset.Document read(KnownFile file) {
            return pages(200, 100);
        }

        @Override
        public PlaneImage draw(KnownFile file, FilePage page, int width, int height) {
            byte[] alpha = new byte[width * height];
            for (int at = 0; at < alpha.length; at++) {
                boolean covered = page.part() == FilePage.Part.ANNOTATED && at % width < width / 2;
                alpha[at] = (byte) (covered ? 255 : 0);
            }
            return new PlaneImage(width, height, 4, new byte[4 * alpha.length], Optional.of(alpha));
        }

        @Override
        public PageText text(KnownFile file, FilePage page) {
            PageText.Place left = new PageText.Place(0, 0, 100, 100);
            return new PageText(
                    List.of(), List.of(), List.of(), List.of(), List.of(left), List.of());
        }
    }

    @Test
    void a_number_below_an_annotation_is_told_and_moves_away_from_it() {
        Publication set = numbered(60, 44);
        Optional<OnPageContent> found =
                OnPageContent.in(scene(set, new Annotated())).stream()
                        .map(OnPageContent.class::cast)
                        .findFirst();
        assertThat(found.orElseThrow().free().orElseThrow().across()).isBetween(40.0, 50.0);
        assertThat(OnPageContent.in(scene(numbered(110, 44), new Annotated()))).isEmpty();
    }

    /** Flat ground is free, whatever its colour: only what can be made out counts. */
    @ParameterizedTest
    @CsvSource({"20, 10, 0.5, true", "150, 10, 0.5, true", "96, 10, 0.5, false", "20, 10, 1, true"})
    void a_number_on_flat_ground_lies_free(double x, double y, double share, boolean free) {
        assertThat(onContent(numbered(x, y), share).isEmpty()).isEqualTo(free);
    }

    /** 160 pt to its free fifth, in which a word of more than 40 pt has no room. */
    @Test
    void where_no_place_is_free_that_is_said() {
        OnPageContent small =
                (OnPageContent) OnPageContent.in(scene(numbered(60, 44), new Noisy())).getFirst();
        assertThat(small.where().x() + small.free().orElseThrow().across()).isBetween(160.0, 170.0);
        Publication wide = numbered(60, 44, "0000000007");
        OnPageContent none = (OnPageContent) OnPageContent.in(scene(wide, new Noisy())).getFirst();
        assertThat(none.where().width()).isGreaterThan(40);
        assertThat(none.free()).isEmpty();
        assertThat(none.message()).contains("no place of its size is free");
        assertThat(Offer.of(none, wide, COATED)).isEmpty();
    }

    /** What covers the page there, such as the ground of a band, is what it lies on then. */
    @Test
    void text_on_a_ground_of_its_own_does_not_lie_on_the_page() {
        Publication set = numbered(100, 44);
        assertThat(onContent(set, 0)).isPresent();
        Publication covered = after(set, add("plate", true));
        assertThat(onContent(covered, 0)).isEmpty();
        Publication veiled =
                after(
                        set,
                        new BackgroundEdit.AddBackground(
                                OWN,
                                Sample.wholePage("plate", Sample.SIGNAL)
                                        .withOver(true)
                                        .withOpacity(50)));
        assertThat(onContent(veiled, 0)).as("the page is seen through it").isPresent();
    }

    /** Text keeps its frame where the page leaves no room for it. */
    @Test
    void what_would_have_no_room_on_a_small_page_stays_as_it_is() {
        UUID frame = new UUID(7, 4);
        Publication set =
                after(
                        set(),
                        new FrameEdit.AddFrame(
                                new Owner.OnParent(Sample.PARENT),
                                frame,
                                Sides.BOTH,
                                new Box(Length.mm(5), Length.mm(5), Length.mm(60), Length.mm(60)),
                                new UUID(7, 5),
                                new UUID(7, 6),
                                Sample.BODY.id()),
                        new FrameEdit.ArrangeFrame(
                                frame,
                                new FrameSetting(
                                        Length.mm(4),
                                        3,
                                        Length.mm(5),
                                        FrameSetting.Vertical.TOP,
                                        0),
                                Optional.empty()),
                        new FrameEdit.HoldFrame(
                                frame, new Hold(Hold.Way.BOTH, Hold.Way.BOTH), Optional.empty()));
        Publication written =
                set.withStories(
                        set.stories()
                                .mapped(story ->
                                        story.withParagraphs(
                                                List.of(
                                                        Sample.paragraph(
                                                                "words", Sample.BODY, "Dew")))));
        assertThat(placed(written).width()).isCloseTo(60 * 72 / 25.4, within(1e-6));
        assertThat(scene(written, 0).text()).hasSize(1);
    }

    @Test
    void a_page_is_seen_as_it_came_and_the_others_as_they_are() {
        Publication set =
                after(
                        set(),
                        add("over", true),
                        new FrameEdit.AddPicture(OWN, word("Top", PictureFrame.Level.OVER)),
                        new AssetEdit.RecolorAsset(
                                FILE,
                                new Recolor(
                                        Rgb.WHITE,
                                        0,
                                        Set.of(Recolor.What.FILLS),
                                        List.of(),
                                        Optional.empty())));
        Publication bare = AsItCame.of(set, List.of(PAGE));
        assertThat(scene(bare, 0).items())
                .extracting(ImportedPagesTest::element)
                .containsExactly(PAGE);
        assertThat(scene(bare, 0).filePage().orElseThrow().pixels().recolored()).isEmpty();
        assertThat(scene(set, 0).filePage().orElseThrow().pixels().recolored()).hasSize(1);
        assertThat(bare.pages().get(0)).isSameAs(set.pages().get(0));
    }

    /** Numbers go on through all files, or begin anew with each. */
    @Test
    void fields_say_which_page_of_which_file_it_is() {
        UUID second = new UUID(7, 3);
        Publication set =
                after(
                        set(),
                        new PageEdit.AddImported(
                                FILE, 2, List.of(second), Optional.of(PAGE), Optional.empty()),
                        new AssetEdit.RenameAsset(FILE, "Winter log"),
                        new FrameEdit.AddFrame(
                                new Owner.OnPage(second),
                                new UUID(7, 4),
                                Sides.BOTH,
                                new Box(Length.ZERO, Length.ZERO, Length.mm(70), Length.mm(20)),
                                new UUID(7, 5),
                                new UUID(7, 6),
                                Sample.BODY.id()));
        String text =
                Stream.of(Field.FILE, Field.FILE_PAGE, Field.FILE_PAGES, Field.RUNNING_NUMBER)
                        .map(field -> String.valueOf(field.character()))
                        .collect(Collectors.joining(", "));
        Publication written =
                set.withStories(
                        set.stories()
                                .mapped(story ->
                                        story.withParagraphs(
                                                List.of(
                                                        Sample.paragraph(
                                                                "number", Sample.BODY, text)))));
        assertThat(read(written)).isEqualTo("Winter log, 2, 2, 000006");
        RunningFields own =
                new RunningFields(
                        4,
                        100,
                        false,
                        Optional.of(LocalDate.of(2026, 3, 5)),
                        RunningFields.DateForm.LONG);
        assertThat(read(written.withSetup(written.setup().withRunning(own))))
                .isEqualTo("Winter log, 2, 2, 0105");
        RunningFields each =
                new RunningFields(3, 1, true, Optional.empty(), RunningFields.DateForm.ISO);
        assertThat(read(written.withSetup(written.setup().withRunning(each))))
                .as("the second page of its file")
                .isEqualTo("Winter log, 2, 2, 002");
    }

    private static String read(Publication in) {
        return new Composer(COATED, new Pictures(sha256 -> new byte[0], new Boxed(0)))
                .compose(in, 5)
                .text()
                .getFirst()
                .text();
    }

    /** Months as the Unicode CLDR has them. */
    @Test
    void a_date_reads_in_the_language_of_the_publication() {
        RunningFields inWords = dated(RunningFields.DateForm.LONG);
        assertThat(inWords.date(Language.ENGLISH_BRITISH)).isEqualTo("5 March 2026");
        assertThat(inWords.date(Language.GERMAN)).isEqualTo("5. März 2026");
        assertThat(dated(RunningFields.DateForm.SHORT).date(Language.GERMAN)).isEqualTo("5.3.2026");
        assertThat(dated(RunningFields.DateForm.ISO).date(Language.GERMAN)).isEqualTo("2026-03-05");
        assertThat(dated(RunningFields.DateForm.MONTH).date(Language.FRENCH))
                .isEqualTo("mars 2026");
        assertThat(RunningFields.USUAL.date(Language.GERMAN)).isEmpty();
        assertThatThrownBy(() ->
                        new RunningFields(
                                0, 1, false, Optional.empty(), RunningFields.DateForm.ISO))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("digits");
    }

    private static RunningFields dated(RunningFields.DateForm form) {
        return new RunningFields(6, 1, false, Optional.of(LocalDate.of(2026, 3, 5)), form);
    }

    @Test
    void what_of_it_was_not_judged_is_told_with_the_reason_once_it_was_looked_at() {
        PageText.Unread picture = new PageText.Unread(PageText.Why.PICTURE, 2, Optional.empty());
        Checked page = new Checked(List.of(), List.of(picture));
        assertThat(NotJudged.of(set(), Map.of(0, new Checked(List.of(), List.of())))).isEmpty();
        assertThat(NotJudged.of(set(), Map.of(4, page)))
                .singleElement()
                .satisfies(each -> {
                    assertThat(each.name()).isEqualTo("Log");
                    assertThat(each.where().pages()).containsExactly(5);
                    assertThat(each.why()).containsExactly(PageText.Why.PICTURE);
                });
    }
}
