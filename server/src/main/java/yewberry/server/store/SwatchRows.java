package yewberry.server.store;

import static yewberry.server.store.db.Tables.SWATCH;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jooq.DSLContext;
import org.jooq.TableField;
import yewberry.core.color.Color;
import yewberry.core.color.Definition;
import yewberry.core.publication.Holder;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Swatch;
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
        }
    }

    List<Swatch> read(DSLContext db, UUID in) {
        return fetch(db, in).stream()
                .map(row -> new Swatch(row.getId(), row.getName(), definition(row)))
                .toList();
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
}
