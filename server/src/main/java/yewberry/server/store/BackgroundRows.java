package yewberry.server.store;

import static yewberry.server.store.db.Tables.BACKGROUND;
import static yewberry.server.store.db.Tables.GRADIENT_STOP;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jooq.DSLContext;
import org.jooq.Query;
import org.jooq.TableRecord;
import yewberry.core.color.BlendMode;
import yewberry.core.publication.Area;
import yewberry.core.publication.Background;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Placing;
import yewberry.core.publication.RunOut;
import yewberry.core.publication.SeeThrough;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Tinted;
import yewberry.server.store.db.tables.records.BackgroundRecord;
import yewberry.server.store.db.tables.records.GradientStopRecord;

/** A background and the stops of its gradient as rows, there and back. */
final class BackgroundRows {
    private final DSLContext db;
    private final Columns columns;
    private final UUID publication;

    BackgroundRows(DSLContext db, Columns columns, UUID publication) {
        this.db = db;
        this.columns = columns;
        this.publication = publication;
    }

    /** What a gradient is besides its stops. */
    record GradientShape(Fill.Gradient.Kind kind, double angle, boolean reversed) {}

    /** How a picture is placed. */
    record PictureShape(Placing placing, RunOut runOut, Optional<SeeThrough> seeThrough) {}

    /** Which page of a PDF is placed, and how. */
    record PageShape(int number, Placing placing) {}

    /** What writes it, in order. */
    List<Query> save(Owner owner, Background background, int position) {
        var row = db.newRecord(BACKGROUND);
        row.setPublication(publication);
        row.setId(background.id());
        row.setPosition(position);
        row.setPage(owner instanceof Owner.OnPage(UUID page) ? page : null);
        row.setParent(owner instanceof Owner.OnParent(UUID parent) ? parent : null);
        row.setRecipe(owner instanceof Owner.OnRecipe(UUID recipe) ? recipe : null);
        row.setMadeBy(background.madeBy().map(Background.Made::recipe).orElse(null));
        row.setMadeFrom(background.madeBy().map(Background.Made::background).orElse(null));
        row.setSides(background.sides().name());
        row.setArea(columns.write(background.area(), Area.class));
        row.setOpacity(background.opacity());
        row.setBlend(background.blend().name());
        row.setOnScreen(background.goesTo().screen());
        row.setOnPaper(background.goesTo().paper());
        row.setSwatch(null);
        row.setTint(null);
        row.setGradient(null);
        row.setAsset(background.fill().madeFrom().orElse(null));
        row.setPlacing(null);
        List<Fill.Gradient.Stop> stops = List.of();
        switch (background.fill()) {
            case Fill.None none -> row.setFill("none");
            case Fill.Solid(Tinted color) -> {
                row.setFill("solid");
                row.setSwatch(color.swatch());
                row.setTint(color.tint());
            }
            case Fill.Picture picture -> {
                row.setFill("picture");
                row.setPlacing(
                        columns.write(
                                new PictureShape(
                                        picture.placing(), picture.runOut(), picture.seeThrough()),
                                PictureShape.class));
            }
            case Fill.PdfPage page -> {
                row.setFill("pdfPage");
                row.setPlacing(
                        columns.write(
                                new PageShape(page.number(), page.placing()), PageShape.class));
            }
            case Fill.Gradient gradient -> {
                row.setFill("gradient");
                row.setGradient(
                        columns.write(
                                new GradientShape(
                                        gradient.kind(), gradient.angle(), gradient.reversed()),
                                GradientShape.class));
                stops = gradient.stops();
            }
        }
        List<Query> queries = new ArrayList<>();
        queries.add(upsert(row));
        queries.add(
                db.deleteFrom(GRADIENT_STOP)
                        .where(
                                GRADIENT_STOP
                                        .PUBLICATION
                                        .eq(publication)
                                        .and(GRADIENT_STOP.BACKGROUND.eq(background.id()))));
        for (int i = 0; i < stops.size(); i++) {
            queries.add(insert(background.id(), i, stops.get(i)));
        }
        return queries;
    }

    private Query upsert(BackgroundRecord row) {
        return db.insertInto(BACKGROUND).set(row).onDuplicateKeyUpdate().set(row);
    }

    private Query insert(UUID background, int position, Fill.Gradient.Stop stop) {
        GradientStopRecord row = db.newRecord(GRADIENT_STOP);
        row.setPublication(publication);
        row.setBackground(background);
        row.setPosition(position);
        row.setPlace(stop.position());
        row.setSwatch(stop.color().swatch());
        row.setTint(stop.color().tint());
        row.setOpacity(stop.opacity());
        return db.insertInto(GRADIENT_STOP).set((TableRecord<?>) row);
    }

    /** The stops of all gradients, by their backgrounds, in order. */
    Map<UUID, List<Fill.Gradient.Stop>> stops() {
        return db.selectFrom(GRADIENT_STOP)
                .where(GRADIENT_STOP.PUBLICATION.eq(publication))
                .orderBy(GRADIENT_STOP.POSITION)
                .collect(
                        Collectors.groupingBy(
                                GradientStopRecord::getBackground,
                                Collectors.mapping(
                                        stop ->
                                                new Fill.Gradient.Stop(
                                                        stop.getPlace(),
                                                        new Tinted(
                                                                stop.getSwatch(), stop.getTint()),
                                                        stop.getOpacity()),
                                        Collectors.toList())));
    }

    Background read(BackgroundRecord row, Map<UUID, List<Fill.Gradient.Stop>> stops) {
        return new Background(
                row.getId(),
                Sides.valueOf(row.getSides()),
                columns.read(row.getArea(), Area.class),
                fill(row, stops),
                row.getOpacity(),
                BlendMode.valueOf(row.getBlend()),
                new Background.GoesTo(row.getOnScreen(), row.getOnPaper()),
                Optional.ofNullable(row.getMadeBy())
                        .map(recipe -> new Background.Made(recipe, row.getMadeFrom())));
    }

    private Fill fill(BackgroundRecord row, Map<UUID, List<Fill.Gradient.Stop>> stops) {
        return switch (row.getFill()) {
            case "solid" -> new Fill.Solid(new Tinted(row.getSwatch(), row.getTint()));
            case "gradient" -> {
                GradientShape shape = columns.read(row.getGradient(), GradientShape.class);
                yield new Fill.Gradient(
                        shape.kind(), shape.angle(), shape.reversed(), stops.get(row.getId()));
            }
            case "picture" -> {
                PictureShape shape = columns.read(row.getPlacing(), PictureShape.class);
                yield new Fill.Picture(
                        row.getAsset(), shape.placing(), shape.runOut(), shape.seeThrough());
            }
            case "pdfPage" -> {
                PageShape shape = columns.read(row.getPlacing(), PageShape.class);
                yield new Fill.PdfPage(row.getAsset(), shape.number(), shape.placing());
            }
            case "none" -> new Fill.None();
            default -> throw new UnknownKind("background", row.getFill());
        };
    }
}
