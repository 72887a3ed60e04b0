package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.output.Loss;
import yewberry.core.output.OutputKind;
import yewberry.core.output.OutputSettings;
import yewberry.core.publication.Publication;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;

/** What is said before an output is written, against what is on the pages. */
class LossTest {
    private static final PressCondition COATED = PressCondition.coated();

    private static List<String> texts(List<Loss> losses, String part) {
        return losses.stream()
                .filter(loss -> loss.text().contains(part))
                .map(loss -> loss.text() + " " + loss.pages())
                .toList();
    }

    /** Two to other pages and one away on the first page, one away on the third; none leads off. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            nullValues = "nothing",
            value = {
                "PRESS_PDF | all | 4 links will not work. [1, 3]",
                "ALL_PDF | all | 4 links will not work: PDF/X-4 allows nothing over the page. [1, 3]",
                "PNG | 3 | 1 link will not work. [3]",
                "SVG | 2 | nothing",
                "READING_PDF | all | nothing",
                "READING_PDF | 1-2 | 1 link leads to pages that are not in it. [1]",
                "WEB | 1 | 2 links lead to pages that are not in it. [1]"
            })
    void links_that_will_not_work_are_counted(OutputKind kind, String pages, String said) {
        Publication publication = LinksAndListsTest.publication();
        OutputSettings settings = OutputSettings.of(kind).withPages(pages);
        List<PageScene> all = new Composer(COATED).composeAll(publication);
        List<PageScene> scenes = settings.pages(publication).stream().map(all::get).toList();
        List<String> found = texts(Loss.of(publication, scenes, settings), "link");
        assertThat(found).isEqualTo(said == null ? List.of() : List.of(said));
    }

    @ParameterizedTest
    @EnumSource(
            value = OutputKind.class,
            names = {"PRESS_PDF", "READING_PDF", "ALL_PDF", "SCREEN_AND_PAPER_PDF"})
    void backgrounds_that_stay_behind_are_counted(OutputKind kind) {
        int seen = 0;
        for (long seed = 1; seed <= 20; seed++) {
            SeededGuide guide = new SeededGuide(seed);
            Publication publication = guide.publication();
            List<PageScene> scenes = guide.scenes(publication);
            int left = 0;
            for (PageScene scene : scenes) {
                Medium other = kind == OutputKind.READING_PDF ? Medium.SCREEN : Medium.PAPER;
                left += (int) areas(scene.items()) - (int) areas(scene.on(other).items());
            }
            String part =
                    kind == OutputKind.SCREEN_AND_PAPER_PDF
                            ? "to the screen only, and not onto paper"
                            : " only: not in this output";
            List<String> counts =
                    texts(Loss.of(publication, scenes, OutputSettings.of(kind)), part).stream()
                            .filter(text -> text.contains("background"))
                            .map(text -> text.split(" ")[0])
                            .toList();
            seen += left;
            assertThat(counts)
                    .as("seed %d", seed)
                    .isEqualTo(left == 0 ? List.of() : List.of(Integer.toString(left)));
        }
        assertThat(seen).isPositive();
    }

    private static long areas(List<Item> items) {
        return items.stream().filter(Item.AreaFill.class::isInstance).count();
    }
}
