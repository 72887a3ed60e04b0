package yewberry.server.store;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import org.jooq.DSLContext;
import org.springframework.stereotype.Component;
import yewberry.core.publication.Background;
import yewberry.core.publication.Element;
import yewberry.core.publication.Frame;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Story;
import yewberry.server.store.db.tables.records.PublicationRecord;

/** How elements of all kinds are stored: what is referred to comes before what refers to it. */
@Component
class AllRows {
    private final Columns columns;
    private final SwatchRows swatches;
    private final LookRows looks;
    private final CharacterLookRows characterLooks;
    private final AssetRows assets;
    private final RecipeRows recipes;
    private final ParentRows parents = new ParentRows();
    private final PageRows pages;
    private final BackgroundRows backgrounds;
    private final FrameRows frames;
    private final StoryRows stories = new StoryRows();
    private final ParagraphRows paragraphs;
    private final ExemptionRows exemptions = new ExemptionRows();

    AllRows(Columns columns) {
        this.columns = columns;
        this.paragraphs = new ParagraphRows(columns);
        this.swatches = new SwatchRows(columns);
        this.looks = new LookRows(columns);
        this.characterLooks = new CharacterLookRows(columns);
        this.assets = new AssetRows(columns);
        this.recipes = new RecipeRows(columns);
        this.pages = new PageRows(columns);
        this.backgrounds = new BackgroundRows(columns);
        this.frames = new FrameRows(columns);
    }

    Columns columns() {
        return columns;
    }

    List<Rows<? extends Element, ?>> inOrder() {
        return List.of(
                swatches,
                looks,
                characterLooks,
                assets,
                recipes,
                parents,
                pages,
                backgrounds,
                frames,
                stories,
                paragraphs,
                exemptions);
    }

    /** A publication from its rows. */
    Publication read(DSLContext db, PublicationRecord row) {
        UUID id = row.getId();
        Map<UUID, List<Background>> areas = backgrounds.read(db, id);
        Map<UUID, List<Story.Link>> chains = StoryRows.chains(db, id);
        Map<UUID, List<Frame>> text = frames.read(db, id, storyOfFrames(chains));
        Function<UUID, Layer> layers =
                owner ->
                        new Layer(
                                areas.getOrDefault(owner, List.of()),
                                text.getOrDefault(owner, List.of()));
        Publication read =
                new Publication(
                        id,
                        row.getName(),
                        columns.read(row.getSetup(), Setup.class),
                        swatches.read(db, id),
                        looks.read(db, id),
                        assets.read(db, id),
                        recipes.read(db, id, layers),
                        parents.read(db, id, layers),
                        pages.read(db, id, layers),
                        stories.read(db, id, chains, paragraphs.read(db, id)));
        return read.withCharacterLooks(characterLooks.read(db, id))
                .withExemptions(exemptions.read(db, id));
    }

    private static Map<UUID, UUID> storyOfFrames(Map<UUID, List<Story.Link>> chains) {
        Map<UUID, UUID> stories = new HashMap<>();
        chains.forEach((story, chain) -> chain.forEach(link -> stories.put(link.frame(), story)));
        return stories;
    }
}
