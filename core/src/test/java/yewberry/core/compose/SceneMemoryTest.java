package yewberry.core.compose;

import static org.assertj.core.api.Assertions.assertThat;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.NIGHT;
import static yewberry.core.Sample.SIGNAL;
import static yewberry.core.Sample.frame;
import static yewberry.core.Sample.id;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import yewberry.core.Sample;
import yewberry.core.asset.Pictures;
import yewberry.core.color.PressCondition;
import yewberry.core.edit.Editing;
import yewberry.core.edit.SwatchEdit;
import yewberry.core.findings.Checked;
import yewberry.core.findings.CheckedPages;
import yewberry.core.findings.Finding;
import yewberry.core.findings.Findings;
import yewberry.core.legibility.Legibility;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Page;
import yewberry.core.publication.Publication;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.SceneKey;

class SceneMemoryTest {
    private static final int PAGES = 300;

    /** Far less than so many pages of text take. */
    private static final long ROOM = 2_000_000;

    private final PressCondition condition = PressCondition.coated();
    private final SceneMemory memory = new SceneMemory(ROOM);
    private final Composer composer = new Composer(condition, Pictures.NONE, memory);
    private final Publication publication = pagesOfText();

    private static Publication pagesOfText() {
        String words = "No street lamp stands where the reeds begin. ".repeat(10);
        List<Page> pages =
                IntStream.range(0, PAGES)
                        .mapToObj(i ->
                                new Page(
                                        id("page " + i),
                                        Optional.of(Sample.PARENT),
                                        true,
                                        new Layer(
                                                List.of(),
                                                List.of(
                                                        frame(
                                                                "frame " + i,
                                                                10,
                                                                10,
                                                                100,
                                                                150,
                                                                BODY,
                                                                words)))))
                        .toList();
        return Sample.withText(Sample.publication().withPages(pages));
    }

    private List<SceneKey> keys(Publication of) {
        return composer.composeAll(of).stream().map(PageScene::key).toList();
    }

    @Test
    void scenes_and_set_text_take_no_more_room_than_they_are_given() {
        for (PageScene scene : composer.composeAll(publication)) {
            assertThat(scene.text()).isNotEmpty();
            assertThat(memory.size()).isPositive().isLessThanOrEqualTo(ROOM);
        }
        assertThat(memory.count())
                .as("some are kept, most were forgotten")
                .isBetween(1L, PAGES / 2L);
    }

    @Test
    void a_page_that_was_forgotten_is_the_same_when_it_is_composed_again() {
        PageScene first = composer.compose(publication, 0);
        assertThat(composer.compose(publication, 0)).isSameAs(first);
        keys(publication);
        memory.forget();
        PageScene again = composer.compose(publication, 0);
        assertThat(again).isNotSameAs(first);
        assertThat(again.key()).isSameAs(first.key());
        assertThat(again.items()).isEqualTo(first.items());
        assertThat(composer.known(publication, 0)).contains(first.key());
    }

    @Test
    void a_page_that_is_made_from_something_else_has_another_key() {
        List<SceneKey> before = keys(publication);
        Publication after =
                Editing.edit(
                                publication,
                                new SwatchEdit.ChangeSwatch(NIGHT.id(), SIGNAL.definition()))
                        .publication();
        assertThat(keys(after)).doesNotContainAnyElementsOf(before);
        assertThat(keys(publication)).as("both are known").isEqualTo(before);
    }

    @Test
    void what_was_found_outlives_the_scenes() {
        Legibility legibility =
                new Legibility(
                        condition, publication.setup().level(), publication.setup().destination());
        CheckedPages checked = new CheckedPages();
        for (PageScene scene : composer.composeAll(publication)) {
            checked.of(
                    scene.key(),
                    Optional.empty(),
                    () ->
                            new Checked(
                                    Findings.of(scene, legibility, publication.setup(), condition),
                                    List.of()));
        }
        memory.forget();
        List<List<Finding>> known =
                IntStream.range(0, PAGES)
                        .mapToObj(at -> composer.known(publication, at).orElseThrow())
                        .map(key -> checked.known(key, Optional.empty()).orElseThrow().findings())
                        .toList();
        assertThat(known).hasSize(PAGES);
        assertThat(known.getFirst())
                .as("black text on the night sky")
                .anySatisfy(finding ->
                        assertThat(finding)
                                .isInstanceOfSatisfying(
                                        Finding.TooLittleContrast.class,
                                        low -> {
                                            assertThat(low.text()).startsWith("No street lamp");
                                            assertThat(low.contrast().run().lines())
                                                    .allMatch(line -> line.glyphs().isEmpty());
                                        }));
    }
}
