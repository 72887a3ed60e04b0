package yewberry.server.store;

import static yewberry.server.store.db.Tables.BACKGROUND;
import static yewberry.server.store.db.Tables.GRADIENT_STOP;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jooq.DSLContext;
import org.jooq.impl.DSL;
import yewberry.core.color.BlendMode;
import yewberry.core.publication.Area;
import yewberry.core.publication.Background;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Holder;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Placing;
import yewberry.core.publication.Publication;
import yewberry.core.publication.RunOut;
import yewberry.core.publication.SeeThrough;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Tinted;
import yewberry.server.store.db.tables.records.BackgroundRecord;
import yewberry.server.store.db.tables.records.GradientStopRecord;

/** A background and the stops of its gradient as rows, there and back. */
final class BackgroundRows extends Rows<Background, BackgroundRecord> {
    private final Columns columns;

    BackgroundRows(Columns columns) {
        super(
                Background.class,
                BACKGROUND,
                BACKGROUND.PUBLICATION,
                BACKGROUND.ID,
                BACKGROUND.POSITION);
        this.columns = columns;
    }

    @Override
    List<Background> list(Publication in, Optional<Holder> owner) {
        return in.layer((Owner) owner.orElseThrow()).backgrounds();
    }

    /** What a gradient is besides its stops. */
    record GradientShape(Fill.Gradient.Kind kind, double angle, boolean reversed) {}

    /** How a picture is placed. */
    record PictureShape(Placing placing, RunOut runOut, Optional<SeeThrough> seeThrough) {}

    /** Which page of a PDF is placed, and how. */
    record PageShape(int number, Placing placing) {}

    @Override
    void fill(BackgroundRecord row, Background background, Optional<Holder> on) {
        Holder owner = on.orElseThrow();
        row.setPage(owner instanceof Owner.OnPage(UUID page) ? page : null);
        row.setParent(owner instanceof Owner.OnParent(UUID parent) ? parent : null);
        row.setRecipe(owner instanceof Owner.OnRecipe(UUID recipe) ? recipe : null);
        row.setMadeBy(background.madeBy().map(Background.RecipeUse::recipe).orElse(null));
        row.setMadeFrom(background.madeBy().map(Background.RecipeUse::background).orElse(null));
        row.setSides(background.sides().name());
        row.setArea(columns.write(background.area(), Area.class));
        row.setOpacity(background.opacity());
        row.setBlend(background.blend().name());
        row.setOnScreen(background.goesTo().screen());
        row.setOnPaper(background.goesTo().paper());
        row.setOverPage(background.over());
        row.setSwatch(null);
        row.setTint(null);
        row.setGradient(null);
        row.setAsset(background.fill().madeFrom().orElse(null));
        row.setPlacing(null);
        switch (background.fill()) {
            case Fill.None none -> row.setFill("none");
            case Fill.Word word -> throw new IllegalArgumentException("A word as a background");
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
            }
        }
    }

    @Override
    void fillParts(RowBatch batch, UUID in, Background background, Optional<Background> before) {
        if (before.isPresent()) {
            batch.clear(
                    DSL.deleteFrom(GRADIENT_STOP)
                            .where(
                                    GRADIENT_STOP
                                            .PUBLICATION
                                            .eq(in)
                                            .and(GRADIENT_STOP.BACKGROUND.eq(background.id()))));
        }
        if (background.fill() instanceof Fill.Gradient gradient) {
            for (int i = 0; i < gradient.stops().size(); i++) {
                batch.insert(stop(in, background.id(), i, gradient.stops().get(i)));
            }
        }
    }

    private static GradientStopRecord stop(
            UUID publication, UUID background, int position, Fill.Gradient.Stop stop) {
        GradientStopRecord row = new GradientStopRecord();
        row.setPublication(publication);
        row.setBackground(background);
        row.setPosition(position);
        row.setPlace(stop.position());
        row.setSwatch(stop.color().swatch());
        row.setTint(stop.color().tint());
        row.setOpacity(stop.opacity());
        return row;
    }

    /** The stops of all gradients, by their backgrounds, in order. */
    private static Map<UUID, List<Fill.Gradient.Stop>> stops(DSLContext db, UUID publication) {
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

    /** All backgrounds of a publication in order, by the page, parent or recipe they lie on. */
    Map<UUID, List<Background>> read(DSLContext db, UUID in) {
        Map<UUID, List<Fill.Gradient.Stop>> stops = stops(db, in);
        return fetch(db, in).stream()
                .collect(
                        Collectors.groupingBy(
                                BackgroundRows::owner,
                                Collectors.mapping(
                                        row -> background(row, stops), Collectors.toList())));
    }

    private static UUID owner(BackgroundRecord row) {
        return Stream.of(row.getPage(), row.getParent(), row.getRecipe())
                .filter(Objects::nonNull)
                .findFirst()
                .orElseThrow();
    }

    private Background background(BackgroundRecord row, Map<UUID, List<Fill.Gradient.Stop>> stops) {
        return new Background(
                row.getId(),
                Sides.valueOf(row.getSides()),
                columns.read(row.getArea(), Area.class),
                fill(row, stops),
                row.getOpacity(),
                BlendMode.valueOf(row.getBlend()),
                new Background.GoesTo(row.getOnScreen(), row.getOnPaper()),
                Optional.ofNullable(row.getMadeBy())
                        .map(recipe -> new Background.RecipeUse(recipe, row.getMadeFrom())),
                row.getOverPage());
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
