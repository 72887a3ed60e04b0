package yewberry.core.findings;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import yewberry.core.Refused;
import yewberry.core.Sample;
import yewberry.core.asset.Documents;
import yewberry.core.asset.FilePage;
import yewberry.core.asset.KnownFile;
import yewberry.core.asset.PageText;
import yewberry.core.asset.Pictures;
import yewberry.core.asset.PlaneImage;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.edit.AssetEdit;
import yewberry.core.edit.BackgroundEdit;
import yewberry.core.edit.Editing;
import yewberry.core.legibility.Legibility;
import yewberry.core.publication.Area;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Level;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Placing;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Sides;

/** Pages of a PDF as fills; what they look like is the business of the module that reads them. */
class PlacedPagesTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final UUID MAP = new UUID(7, 1);
    private static final Asset.Document TWO_PAGES =
            new Asset.Document(
                    List.of(
                            new Asset.Leaf(300, 400, false, List.of()),
                            new Asset.Leaf(300, 400, true, List.of("Helvetica"))));

    private static Publication with(int page) {
        Publication publication =
                Sample.publication().withAssets(List.of(new Asset(MAP, "Map", "any", TWO_PAGES)));
        Background background =
                new Background(
                        new UUID(7, 2),
                        Sides.BOTH,
                        new Area.WholePage(),
                        new Fill.PdfPage(MAP, page, Placing.COVER));
        return Editing.edit(
                        publication,
                        new BackgroundEdit.AddBackground(
                                new Owner.OnPage(publication.pages().getFirst().id()), background))
                .publication();
    }

    private static List<String> messages(Publication publication) {
        // nothing here is drawn: there is no text on the page, and a PDF page has no edges to judge
        Composer composer = new Composer(COATED, new Pictures(sha256 -> new byte[0], new Blank()));
        return Findings.of(
                        composer.compose(publication, 0),
                        new Legibility(COATED, Level.AA, Destination.PAPER),
                        publication.setup(),
                        COATED)
                .stream()
                .filter(PictureFinding.class::isInstance)
                .map(Finding::message)
                .toList();
    }

    /** Draws every page as bare stock. */
    private static final class Blank implements Documents {
        @Override
        public Asset.Document read(KnownFile file) {
            return TWO_PAGES;
        }

        @Override
        public PlaneImage draw(KnownFile file, FilePage page, int width, int height) {
            int pixels = width * height;
            return new PlaneImage(
                    width, height, 4, new byte[4 * pixels], Optional.of(new byte[pixels]));
        }

        @Override
        public PageText text(KnownFile file, FilePage page) {
            return PageText.NONE;
        }
    }

    @Test
    void what_a_page_brings_along_that_the_press_must_not_have_is_a_finding() {
        assertThat(messages(with(2)))
                .singleElement()
                .asString()
                .contains("“Map, page 2”")
                .contains("colours of the screen (device RGB)")
                .contains("the font Helvetica is not embedded");
        assertThat(messages(with(1))).isEmpty();
    }

    @Test
    void a_page_that_does_not_exist_is_refused() {
        assertThatThrownBy(() -> with(3))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("has no page 3; it has pages 1 to 2");
    }

    @Test
    void a_file_with_fewer_pages_does_not_take_the_place_of_one_whose_last_is_placed() {
        Asset.Document one = new Asset.Document(TWO_PAGES.pages().subList(0, 1));
        assertThatThrownBy(
                        () -> Editing.edit(with(2), new AssetEdit.ReplaceAsset(MAP, "other", one)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("has no page 2");
    }

    @Test
    void a_picture_does_not_take_the_place_of_a_pdf() {
        assertThatThrownBy(() ->
                        Editing.edit(
                                with(1),
                                new AssetEdit.ReplaceAsset(
                                        MAP, "other", new Asset.Drawing(10, 10))))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("is a picture and has no pages");
    }
}
