package yewberry.server.store;

import static yewberry.server.store.db.Tables.ASSET;
import static yewberry.server.store.db.Tables.BACKGROUND;
import static yewberry.server.store.db.Tables.FRAME;
import static yewberry.server.store.db.Tables.LOOK;
import static yewberry.server.store.db.Tables.PAGE;
import static yewberry.server.store.db.Tables.PARENT;
import static yewberry.server.store.db.Tables.PUBLICATION;
import static yewberry.server.store.db.Tables.RECIPE;
import static yewberry.server.store.db.Tables.SWATCH;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import java.util.function.Function;
import org.jooq.DSLContext;
import org.jooq.Query;
import org.jooq.Record;
import org.jooq.Table;
import org.jooq.TableField;
import org.jooq.TableRecord;
import yewberry.core.color.Color;
import yewberry.core.color.Definition;
import yewberry.core.color.Swatch;
import yewberry.core.edit.Change;
import yewberry.core.edit.Element;
import yewberry.core.edit.Element.OneAsset;
import yewberry.core.edit.Element.OneBackground;
import yewberry.core.edit.Element.OneFrame;
import yewberry.core.edit.Element.OneLook;
import yewberry.core.edit.Element.OnePage;
import yewberry.core.edit.Element.OneParent;
import yewberry.core.edit.Element.OneRecipe;
import yewberry.core.edit.Element.OneSwatch;
import yewberry.core.edit.Element.WholePublication;
import yewberry.core.edit.Patch;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Look;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Parent;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recipe;
import yewberry.core.publication.Setup;
import yewberry.core.publication.TextFrame;
import yewberry.server.store.db.tables.records.SwatchRecord;

/** Writes what a patch changed, row by row, within the transaction of its context. */
final class PatchWriter {
    private final DSLContext db;
    private final Columns columns;
    private final Publication after;
    private final List<Query> queries = new ArrayList<>();

    PatchWriter(DSLContext db, Columns columns, Publication after) {
        this.db = db;
        this.columns = columns;
        this.after = after;
    }

    void write(Patch patch) {
        patch.changes().stream()
                .filter(change -> change.after().isPresent())
                .sorted(
                        Comparator.comparingInt((Change change) -> rank(change.element()))
                                .thenComparingInt(change -> depth(change.element())))
                .forEach(this::save);
        patch.changes().stream()
                .filter(change -> change.after().isEmpty())
                .forEach(change -> setFree(change.element()));
        patch.changes().stream()
                .filter(change -> change.after().isEmpty())
                .sorted(Comparator.comparingInt(change -> -rank(change.element())))
                .forEach(change -> remove(change.element()));
        order(patch);
        db.batch(queries).execute();
    }

    /** What is referred to comes before what refers to it. */
    private static int rank(Element element) {
        return switch (element) {
            case WholePublication whole -> 0;
            case OneSwatch swatch -> 1;
            case OneLook look -> 2;
            case OneAsset asset -> 3;
            case OneRecipe recipe -> 4;
            case OneParent parent -> 5;
            case OnePage page -> 6;
            case OneBackground background -> 7;
            case OneFrame frame -> 8;
        };
    }

    private void save(Change change) {
        int position = change.after().orElseThrow().index();
        switch (change.element()) {
            case WholePublication whole -> {
                var row = db.newRecord(PUBLICATION);
                row.setName(whole.name());
                row.setSetup(columns.write(whole.setup(), Setup.class));
                queries.add(db.update(PUBLICATION).set(row).where(PUBLICATION.ID.eq(whole.id())));
            }
            case OneSwatch(Swatch swatch) -> {
                var row = db.newRecord(SWATCH);
                row.setId(swatch.id());
                row.setPosition(position);
                row.setName(swatch.name());
                row.setPublication(after.id());
                define(row, swatch.definition());
                upsert(SWATCH, row);
            }
            case OneLook(Look look) -> saveLook(look, position);
            case OneAsset(Asset asset) -> {
                var row = db.newRecord(ASSET);
                row.setPublication(after.id());
                row.setId(asset.id());
                row.setPosition(position);
                row.setName(asset.name());
                row.setSha256(asset.sha256());
                upsert(ASSET, row);
            }
            case OneRecipe recipe -> {
                var row = db.newRecord(RECIPE);
                row.setPublication(after.id());
                row.setId(recipe.id());
                row.setPosition(position);
                row.setName(recipe.name());
                row.setTrim(columns.write(recipe.trim(), PageSize.class));
                upsert(RECIPE, row);
            }
            case OneParent parent -> {
                var row = db.newRecord(PARENT);
                row.setPublication(after.id());
                row.setId(parent.id());
                row.setPosition(position);
                row.setName(parent.name());
                row.setBase(parent.base().orElse(null));
                upsert(PARENT, row);
            }
            case OnePage page -> {
                var row = db.newRecord(PAGE);
                row.setPublication(after.id());
                row.setId(page.id());
                row.setPosition(position);
                row.setParent(page.parent().orElse(null));
                row.setParentShown(page.parentShown());
                row.setPart(page.part().orElse(null));
                upsert(PAGE, row);
            }
            case OneBackground(Owner owner, Background background) ->
                    queries.addAll(
                            new BackgroundRows(db, columns, after.id())
                                    .save(owner, background, position));
            case OneFrame(Owner owner, TextFrame frame) ->
                    queries.addAll(
                            new FrameRows(db, columns, after.id())
                                    .save(owner, frame, position, textBefore(change)));
        }
    }

    private static List<Paragraph> textBefore(Change change) {
        return change.before()
                .map(placed -> ((OneFrame) placed.element()).frame().paragraphs())
                .orElse(List.of());
    }

    private void define(SwatchRecord row, Definition definition) {
        row.setColor(null);
        row.setBase(null);
        row.setOther(null);
        row.setPercent(null);
        switch (definition) {
            case Definition.Plain(Color color) -> {
                row.setKind("plain");
                row.setColor(columns.write(color, Color.class));
            }
            case Definition.SpotInk(Color equivalent) -> {
                row.setKind("spot");
                row.setColor(columns.write(equivalent, Color.class));
            }
            case Definition.Tint(UUID base, double percent) -> {
                row.setKind("tint");
                row.setBase(base);
                row.setPercent(percent);
            }
            case Definition.Lighter(UUID base, double percent) -> {
                row.setKind("lighter");
                row.setBase(base);
                row.setPercent(percent);
            }
            case Definition.Mix(UUID one, UUID other, double percent) -> {
                row.setKind("mix");
                row.setBase(one);
                row.setOther(other);
                row.setPercent(percent);
            }
        }
    }

    /** How many swatches deep an element derives; what is derived from is written first. */
    private int depth(Element element) {
        return switch (element) {
            case OneSwatch(Swatch swatch) -> depth(swatch);
            case OneParent parent -> after.chain(parent.base()).size();
            default -> 0;
        };
    }

    private int depth(Swatch swatch) {
        return swatch.definition().bases().stream()
                .map(after::swatch)
                .mapToInt(base -> depth(base) + 1)
                .max()
                .orElse(0);
    }

    private void saveLook(Look look, int position) {
        var row = db.newRecord(LOOK);
        row.setPublication(after.id());
        row.setId(look.id());
        row.setPosition(position);
        row.setName(look.name());
        row.setFamily(look.family());
        row.setWeight(look.weight());
        row.setSize(look.size().toString());
        row.setLeading(look.leading().toString());
        row.setSpaceBefore(look.before().toString());
        row.setAlignment(look.alignment().name());
        row.setOverprint(look.overprint().name());
        row.setSwatch(look.color().swatch());
        row.setTint(look.color().tint());
        upsert(LOOK, row);
    }

    /** What goes together may be based on one another; the order must not matter. */
    private void setFree(Element element) {
        if (element instanceof OneSwatch) {
            queries.add(
                    db.update(SWATCH)
                            .setNull(SWATCH.BASE)
                            .setNull(SWATCH.OTHER)
                            .where(
                                    SWATCH.PUBLICATION
                                            .eq(after.id())
                                            .and(SWATCH.ID.eq(element.id()))));
        } else if (element instanceof OneParent) {
            queries.add(
                    db.update(PARENT)
                            .setNull(PARENT.BASE)
                            .where(
                                    PARENT.PUBLICATION
                                            .eq(after.id())
                                            .and(PARENT.ID.eq(element.id()))));
        }
    }

    private <R extends TableRecord<R>> void upsert(Table<R> table, R row) {
        queries.add(db.insertInto(table).set(row).onDuplicateKeyUpdate().set(row));
    }

    private void remove(Element element) {
        switch (element) {
            case WholePublication whole ->
                    throw new IllegalStateException("A patch never removes its publication");
            case OneSwatch swatch -> remove(SWATCH, SWATCH.PUBLICATION, SWATCH.ID, element);
            case OneLook look -> remove(LOOK, LOOK.PUBLICATION, LOOK.ID, element);
            case OneAsset asset -> remove(ASSET, ASSET.PUBLICATION, ASSET.ID, element);
            case OneRecipe recipe -> remove(RECIPE, RECIPE.PUBLICATION, RECIPE.ID, element);
            case OneParent parent -> remove(PARENT, PARENT.PUBLICATION, PARENT.ID, element);
            case OnePage page -> remove(PAGE, PAGE.PUBLICATION, PAGE.ID, element);
            case OneBackground background ->
                    remove(BACKGROUND, BACKGROUND.PUBLICATION, BACKGROUND.ID, element);
            case OneFrame frame -> remove(FRAME, FRAME.PUBLICATION, FRAME.ID, element);
        }
    }

    private <R extends Record> void remove(
            Table<R> table,
            TableField<R, UUID> publication,
            TableField<R, UUID> id,
            Element element) {
        queries.add(
                db.deleteFrom(table).where(publication.eq(after.id()).and(id.eq(element.id()))));
    }

    /** Where something was added, removed or moved, its list is numbered anew. */
    private void order(Patch patch) {
        List<Element> placed =
                patch.changes().stream().filter(Change::placed).map(Change::element).toList();
        if (placed.stream().anyMatch(OneSwatch.class::isInstance)) {
            number(
                    SWATCH,
                    SWATCH.PUBLICATION,
                    SWATCH.ID,
                    SWATCH.POSITION,
                    after.swatches(),
                    Swatch::id);
        }
        if (placed.stream().anyMatch(OneLook.class::isInstance)) {
            number(LOOK, LOOK.PUBLICATION, LOOK.ID, LOOK.POSITION, after.looks(), Look::id);
        }
        if (placed.stream().anyMatch(OneAsset.class::isInstance)) {
            number(ASSET, ASSET.PUBLICATION, ASSET.ID, ASSET.POSITION, after.assets(), Asset::id);
        }
        if (placed.stream().anyMatch(OneRecipe.class::isInstance)) {
            number(
                    RECIPE,
                    RECIPE.PUBLICATION,
                    RECIPE.ID,
                    RECIPE.POSITION,
                    after.recipes(),
                    Recipe::id);
        }
        if (placed.stream().anyMatch(OneParent.class::isInstance)) {
            number(
                    PARENT,
                    PARENT.PUBLICATION,
                    PARENT.ID,
                    PARENT.POSITION,
                    after.parents(),
                    Parent::id);
        }
        if (placed.stream().anyMatch(OnePage.class::isInstance)) {
            number(PAGE, PAGE.PUBLICATION, PAGE.ID, PAGE.POSITION, after.pages(), Page::id);
        }
        placed.stream()
                .filter(OneBackground.class::isInstance)
                .map(element -> ((OneBackground) element).owner())
                .distinct()
                .forEach(owner ->
                        number(
                                BACKGROUND,
                                BACKGROUND.PUBLICATION,
                                BACKGROUND.ID,
                                BACKGROUND.POSITION,
                                layer(owner).backgrounds(),
                                Background::id));
        placed.stream()
                .filter(OneFrame.class::isInstance)
                .map(element -> ((OneFrame) element).owner())
                .distinct()
                .forEach(owner ->
                        number(
                                FRAME,
                                FRAME.PUBLICATION,
                                FRAME.ID,
                                FRAME.POSITION,
                                layer(owner).frames(),
                                TextFrame::id));
    }

    /** Empty where the page, parent or recipe has gone too. */
    private Layer layer(Owner owner) {
        return after.owners().contains(owner) ? after.layer(owner) : Layer.EMPTY;
    }

    private <R extends Record, T> void number(
            Table<R> table,
            TableField<R, UUID> publication,
            TableField<R, UUID> id,
            TableField<R, Integer> position,
            List<T> list,
            Function<T, UUID> idOf) {
        for (int i = 0; i < list.size(); i++) {
            queries.add(
                    db.update(table)
                            .set(position, i)
                            .where(
                                    publication
                                            .eq(after.id())
                                            .and(id.eq(idOf.apply(list.get(i))))
                                            .and(position.ne(i))));
        }
    }
}
