package yewberry.server.store;

import static yewberry.server.store.db.Tables.SWATCH;
import static yewberry.server.store.db.Tables.SWATCH_CHOICE;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jooq.DSLContext;
import org.jooq.TableField;
import org.jooq.impl.DSL;
import yewberry.core.color.Color;
import yewberry.core.color.Definition;
import yewberry.core.color.Viewing;
import yewberry.core.publication.Holder;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Swatch;
import yewberry.server.store.db.tables.records.SwatchChoiceRecord;
import yewberry.server.store.db.tables.records.SwatchRecord;

/** Swatches as rows. */
final class SwatchRows extends Rows<Swatch, SwatchRecord> {
    private final Columns columns;

    SwatchRows(Columns columns) {
        super(Swatch.class, SWATCH, SWATCH.PUBLICATION, SWATCH.ID, SWATCH.POSITION);
        this.columns = columns;
    }

    @Override
    List<Swatch> list(Publication in, Optional<Holder> owner) {
        return in.swatches();
    }

    @Override
    int depth(Swatch swatch, Publication in) {
        return swatch.definition().bases().stream()
                .mapToInt(base -> depth(in.swatch(base), in) + 1)
                .max()
                .orElse(0);
    }

    @Override
    List<TableField<SwatchRecord, UUID>> builtOn() {
        return List.of(SWATCH.BASE, SWATCH.OTHER);
    }

    @Override
    void fill(SwatchRecord row, Swatch swatch, Optional<Holder> owner) {
        row.setName(swatch.name());
        row.setColor(null);
        row.setBase(null);
        row.setOther(null);
        row.setPercent(null);
        row.setViewings(null);
        switch (swatch.definition()) {
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
            case Definition.Legible(List<UUID> swatches, List<Viewing> viewings) -> {
                row.setKind("legible");
                row.setViewings(columns.write(new Viewings(viewings), Viewings.class));
            }
        }
    }

    /** Those that a legible colour is to be legible under. */
    record Viewings(List<Viewing> viewings) {}

    @Override
    void fillParts(RowBatch batch, UUID in, Swatch swatch, Optional<Swatch> before) {
        if (before.isPresent()) {
            batch.clear(
                    DSL.deleteFrom(SWATCH_CHOICE)
                            .where(
                                    SWATCH_CHOICE
                                            .PUBLICATION
                                            .eq(in)
                                            .and(SWATCH_CHOICE.SWATCH.eq(swatch.id()))));
        }
        if (swatch.definition() instanceof Definition.Legible legible) {
            for (int i = 0; i < legible.swatches().size(); i++) {
                SwatchChoiceRecord row = new SwatchChoiceRecord();
                row.setPublication(in);
                row.setSwatch(swatch.id());
                row.setPosition(i);
                row.setChoice(legible.swatches().get(i));
                batch.insert(row);
            }
        }
    }

    @Override
    void unlink(DSLContext db, UUID in, Collection<UUID> ids) {
        db.deleteFrom(SWATCH_CHOICE)
                .where(SWATCH_CHOICE.PUBLICATION.eq(in).and(SWATCH_CHOICE.SWATCH.in(ids)))
                .execute();
    }

    List<Swatch> read(DSLContext db, UUID in) {
        Map<UUID, List<UUID>> choices =
                db.selectFrom(SWATCH_CHOICE)
                        .where(SWATCH_CHOICE.PUBLICATION.eq(in))
                        .orderBy(SWATCH_CHOICE.POSITION)
                        .collect(
                                Collectors.groupingBy(
                                        SwatchChoiceRecord::getSwatch,
                                        Collectors.mapping(
                                                SwatchChoiceRecord::getChoice,
                                                Collectors.toList())));
        return fetch(db, in).stream()
                .map(row ->
                        new Swatch(
                                row.getId(),
                                row.getName(),
                                definition(row, choices.getOrDefault(row.getId(), List.of()))))
                .toList();
    }

    private Definition definition(SwatchRecord row, List<UUID> choices) {
        return switch (row.getKind()) {
            case "spot" -> new Definition.SpotInk(columns.read(row.getColor(), Color.class));
            case "tint" -> new Definition.Tint(row.getBase(), row.getPercent());
            case "lighter" -> new Definition.Lighter(row.getBase(), row.getPercent());
            case "mix" -> new Definition.Mix(row.getBase(), row.getOther(), row.getPercent());
            case "plain" -> new Definition.Plain(columns.read(row.getColor(), Color.class));
            case "legible" ->
                    new Definition.Legible(
                            choices, columns.read(row.getViewings(), Viewings.class).viewings());
            default -> throw new UnknownKind("swatch", row.getKind());
        };
    }
}
