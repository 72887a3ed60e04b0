package yewberry.server.store;

import static java.util.stream.Collectors.groupingBy;
import static java.util.stream.Collectors.mapping;
import static java.util.stream.Collectors.toList;
import static yewberry.server.store.db.Tables.ASSET;
import static yewberry.server.store.db.Tables.ASSET_FILE;
import static yewberry.server.store.db.Tables.BACKGROUND;
import static yewberry.server.store.db.Tables.FRAME;
import static yewberry.server.store.db.Tables.LOOK;
import static yewberry.server.store.db.Tables.PAGE;
import static yewberry.server.store.db.Tables.PARAGRAPH;
import static yewberry.server.store.db.Tables.PARENT;
import static yewberry.server.store.db.Tables.PUBLICATION;
import static yewberry.server.store.db.Tables.RECIPE;
import static yewberry.server.store.db.Tables.RUN;
import static yewberry.server.store.db.Tables.SWATCH;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import org.jooq.DSLContext;
import org.jooq.TableField;
import org.springframework.stereotype.Component;
import yewberry.core.color.Color;
import yewberry.core.color.Definition;
import yewberry.core.color.Swatch;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Box;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Parent;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recipe;
import yewberry.core.publication.Run;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Sides;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;
import yewberry.server.store.db.tables.records.BackgroundRecord;
import yewberry.server.store.db.tables.records.FrameRecord;
import yewberry.server.store.db.tables.records.ParagraphRecord;
import yewberry.server.store.db.tables.records.RunRecord;
import yewberry.server.store.db.tables.records.SwatchRecord;

/** Builds a publication from its rows. */
@Component
class PublicationReader {
    private final DSLContext db;
    private final Columns columns;

    PublicationReader(DSLContext db, Columns columns) {
        this.db = db;
        this.columns = columns;
    }

    Optional<PublicationStore.Stored> read(UUID id) {
        return db.fetchOptional(PUBLICATION, PUBLICATION.ID.eq(id))
                .map(row ->
                        new PublicationStore.Stored(
                                new Publication(
                                        id,
                                        row.getName(),
                                        columns.read(row.getSetup(), Setup.class),
                                        swatches(id),
                                        looks(id),
                                        assets(id),
                                        recipes(id, layers(id, BACKGROUND.RECIPE)),
                                        parents(id, layers(id, BACKGROUND.PARENT)),
                                        pages(id, layers(id, BACKGROUND.PAGE))),
                                row.getRevision()));
    }

    private List<Swatch> swatches(UUID id) {
        return db.selectFrom(SWATCH)
                .where(SWATCH.PUBLICATION.eq(id))
                .orderBy(SWATCH.POSITION)
                .fetch(row -> new Swatch(row.getId(), row.getName(), definition(row)));
    }

    private Definition definition(SwatchRecord row) {
        return switch (row.getKind()) {
            case "spot" -> new Definition.SpotInk(columns.read(row.getColor(), Color.class));
            case "tint" -> new Definition.Tint(row.getBase(), row.getPercent());
            case "lighter" -> new Definition.Lighter(row.getBase(), row.getPercent());
            case "mix" -> new Definition.Mix(row.getBase(), row.getOther(), row.getPercent());
            case "plain" -> new Definition.Plain(columns.read(row.getColor(), Color.class));
            default -> throw new UnknownKind("swatch", row.getKind());
        };
    }

    private List<Look> looks(UUID id) {
        return db.selectFrom(LOOK)
                .where(LOOK.PUBLICATION.eq(id))
                .orderBy(LOOK.POSITION)
                .fetch(row ->
                        new Look(
                                row.getId(),
                                row.getName(),
                                row.getFamily(),
                                row.getWeight(),
                                Length.parse(row.getSize()),
                                Length.parse(row.getLeading()),
                                Length.parse(row.getSpaceBefore()),
                                Look.Alignment.valueOf(row.getAlignment()),
                                new Tinted(row.getSwatch(), row.getTint()),
                                Look.Overprint.valueOf(row.getOverprint())));
    }

    private List<Asset> assets(UUID id) {
        return db.select(ASSET.ID, ASSET.NAME, ASSET.SHA256, ASSET_FILE.CONTENT)
                .from(ASSET)
                .join(ASSET_FILE)
                .on(ASSET_FILE.SHA256.eq(ASSET.SHA256))
                .where(ASSET.PUBLICATION.eq(id))
                .orderBy(ASSET.POSITION)
                .fetch(row ->
                        new Asset(
                                row.value1(),
                                row.value2(),
                                row.value3(),
                                columns.read(row.value4(), Asset.Content.class)));
    }

    private List<Recipe> recipes(UUID id, Function<UUID, Layer> layers) {
        return db.selectFrom(RECIPE)
                .where(RECIPE.PUBLICATION.eq(id))
                .orderBy(RECIPE.POSITION)
                .fetch(row ->
                        new Recipe(
                                row.getId(),
                                row.getName(),
                                columns.read(row.getTrim(), PageSize.class),
                                layers.apply(row.getId())));
    }

    private List<Parent> parents(UUID id, Function<UUID, Layer> layers) {
        return db.selectFrom(PARENT)
                .where(PARENT.PUBLICATION.eq(id))
                .orderBy(PARENT.POSITION)
                .fetch(row ->
                        new Parent(
                                row.getId(),
                                row.getName(),
                                Optional.ofNullable(row.getBase()),
                                layers.apply(row.getId())));
    }

    private List<Page> pages(UUID id, Function<UUID, Layer> layers) {
        return db.selectFrom(PAGE)
                .where(PAGE.PUBLICATION.eq(id))
                .orderBy(PAGE.POSITION)
                .fetch(row ->
                        new Page(
                                row.getId(),
                                Optional.ofNullable(row.getParent()),
                                row.getParentShown(),
                                Optional.ofNullable(row.getPart()),
                                layers.apply(row.getId())));
    }

    /**
     * What lies on each page, parent or recipe.
     *
     * @param backgroundOwner which of them
     */
    private Function<UUID, Layer> layers(
            UUID id, TableField<BackgroundRecord, UUID> backgroundOwner) {
        BackgroundRows rows = new BackgroundRows(db, columns, id);
        Map<UUID, List<Fill.Gradient.Stop>> stops = rows.stops();
        Map<UUID, List<Background>> backgrounds =
                db.selectFrom(BACKGROUND)
                        .where(BACKGROUND.PUBLICATION.eq(id).and(backgroundOwner.isNotNull()))
                        .orderBy(BACKGROUND.POSITION)
                        .collect(
                                groupingBy(
                                        row -> row.get(backgroundOwner),
                                        mapping(row -> rows.read(row, stops), toList())));
        Map<UUID, List<Paragraph>> text = paragraphs(id);
        Map<UUID, List<TextFrame>> frames =
                db.selectFrom(FRAME)
                        .where(FRAME.PUBLICATION.eq(id))
                        .orderBy(FRAME.POSITION)
                        .collect(
                                groupingBy(
                                        row ->
                                                row.getPage() == null
                                                        ? row.getParent()
                                                        : row.getPage(),
                                        mapping(row -> frame(row, text), toList())));
        return owner ->
                new Layer(
                        backgrounds.getOrDefault(owner, List.of()),
                        frames.getOrDefault(owner, List.of()));
    }

    private TextFrame frame(FrameRecord row, Map<UUID, List<Paragraph>> text) {
        return new TextFrame(
                row.getId(),
                Sides.valueOf(row.getSides()),
                columns.read(row.getBox(), Box.class),
                text.getOrDefault(row.getId(), List.of()));
    }

    /** By frame. */
    private Map<UUID, List<Paragraph>> paragraphs(UUID id) {
        Map<UUID, List<Run>> runs =
                db.selectFrom(RUN)
                        .where(RUN.PUBLICATION.eq(id))
                        .orderBy(RUN.POSITION)
                        .collect(
                                groupingBy(
                                        RunRecord::getParagraph,
                                        mapping(PublicationReader::run, toList())));
        return db.selectFrom(PARAGRAPH)
                .where(PARAGRAPH.PUBLICATION.eq(id))
                .orderBy(PARAGRAPH.POSITION)
                .collect(
                        groupingBy(
                                ParagraphRecord::getFrame,
                                mapping(
                                        row ->
                                                new Paragraph(
                                                        row.getId(),
                                                        row.getLook(),
                                                        runs.getOrDefault(row.getId(), List.of())),
                                        toList())));
    }

    private static Run run(RunRecord row) {
        return new Run(
                row.getId(),
                row.getText(),
                Optional.ofNullable(row.getSwatch())
                        .map(swatch -> new Tinted(swatch, row.getTint())));
    }
}
