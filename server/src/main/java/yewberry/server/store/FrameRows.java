package yewberry.server.store;

import static yewberry.server.store.db.Tables.FRAME;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jooq.DSLContext;
import yewberry.core.color.BlendMode;
import yewberry.core.publication.Background;
import yewberry.core.publication.Box;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Frame;
import yewberry.core.publication.FrameSetting;
import yewberry.core.publication.Hold;
import yewberry.core.publication.Holder;
import yewberry.core.publication.Length;
import yewberry.core.publication.Owner;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Placing;
import yewberry.core.publication.Publication;
import yewberry.core.publication.RunOut;
import yewberry.core.publication.SeeThrough;
import yewberry.core.publication.Sides;
import yewberry.core.publication.TextBand;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;
import yewberry.server.store.db.tables.records.FrameRecord;

/**
 * Frames as rows, of text, pictures and words. Which story runs through those of text is told by
 * the links of that.
 */
final class FrameRows extends Rows<Frame, FrameRecord> {
    private static final String TEXT = "text";
    private static final String PICTURE = "picture";
    private static final String PDF_PAGE = "pdfPage";
    static final String WORD = "word";

    private final Columns columns;

    FrameRows(Columns columns) {
        super(Frame.class, FRAME, FRAME.PUBLICATION, FRAME.ID, FRAME.POSITION);
        this.columns = columns;
    }

    /** What a picture frame is besides its columns: what it is filled with refers to nothing. */
    record PictureShape(
            PictureFrame.Level level,
            double rotation,
            double opacity,
            BlendMode blend,
            Background.GoesTo goesTo,
            PictureFrame.Meaning meaning,
            List<PictureFrame.Clear> clear,
            Optional<Placing> placing,
            Optional<RunOut> runOut,
            Optional<SeeThrough> seeThrough,
            Optional<Integer> number,
            Optional<WordShape> word) {}

    /** A word without its colour. */
    record WordShape(
            String text,
            String family,
            int weight,
            boolean italic,
            Optional<Length> size,
            Optional<Fill.Word.Repeat> repeat) {}

    @Override
    List<Frame> list(Publication in, Optional<Holder> owner) {
        return in.layer((Owner) owner.orElseThrow()).frames();
    }

    @Override
    void fill(FrameRecord row, Frame frame, Optional<Holder> on) {
        Holder owner = on.orElseThrow();
        row.setPage(owner instanceof Owner.OnPage(UUID page) ? page : null);
        row.setParent(owner instanceof Owner.OnParent(UUID parent) ? parent : null);
        row.setSides(frame.sides().name());
        row.setBox(columns.write(frame.box(), Box.class));
        row.setLocked(frame.locked());
        row.setHoldAcross(frame.hold().across().name());
        row.setHoldDown(frame.hold().down().name());
        row.setSetting(null);
        row.setAsset(null);
        row.setSwatch(null);
        row.setTint(null);
        row.setPicture(null);
        row.setBand(null);
        switch (frame) {
            case TextFrame text -> {
                row.setKind(TEXT);
                row.setSetting(columns.write(text.setting(), FrameSetting.class));
                row.setBand(
                        text.band().map(band -> columns.write(band, TextBand.class)).orElse(null));
            }
            case PictureFrame picture -> fill(row, picture);
        }
    }

    private void fill(FrameRecord row, PictureFrame frame) {
        row.setAsset(frame.fill().madeFrom().orElse(null));
        switch (frame.fill()) {
            case Fill.Picture picture -> {
                row.setKind(PICTURE);
                write(
                        row,
                        frame,
                        Optional.of(picture.placing()),
                        Optional.of(picture.runOut()),
                        picture.seeThrough(),
                        Optional.empty(),
                        Optional.empty());
            }
            case Fill.PdfPage page -> {
                row.setKind(PDF_PAGE);
                write(
                        row,
                        frame,
                        Optional.of(page.placing()),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.of(page.number()),
                        Optional.empty());
            }
            case Fill.Word word -> {
                row.setKind(WORD);
                row.setSwatch(word.color().swatch());
                row.setTint(word.color().tint());
                write(
                        row,
                        frame,
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.of(
                                new WordShape(
                                        word.text(),
                                        word.family(),
                                        word.weight(),
                                        word.italic(),
                                        word.size(),
                                        word.repeat())));
            }
            case Fill.None _, Fill.Solid _, Fill.Gradient _ ->
                    throw new IllegalArgumentException("No picture: " + frame.fill());
        }
    }

    private void write(
            FrameRecord row,
            PictureFrame frame,
            Optional<Placing> placing,
            Optional<RunOut> runOut,
            Optional<SeeThrough> seeThrough,
            Optional<Integer> number,
            Optional<WordShape> word) {
        row.setPicture(
                columns.write(
                        new PictureShape(
                                frame.level(),
                                frame.rotation(),
                                frame.opacity(),
                                frame.blend(),
                                frame.goesTo(),
                                frame.meaning(),
                                frame.clear(),
                                placing,
                                runOut,
                                seeThrough,
                                number,
                                word),
                        PictureShape.class));
    }

    /**
     * All frames of a publication in order, by the page or parent they lie on.
     *
     * @param stories the story of each frame of text
     */
    Map<UUID, List<Frame>> read(DSLContext db, UUID in, Map<UUID, UUID> stories) {
        return fetch(db, in).stream()
                .collect(
                        Collectors.groupingBy(
                                row -> owner(row).id(),
                                Collectors.mapping(
                                        row -> frame(row, stories), Collectors.toList())));
    }

    private Frame frame(FrameRecord row, Map<UUID, UUID> stories) {
        Sides sides = Sides.valueOf(row.getSides());
        Box box = columns.read(row.getBox(), Box.class);
        Hold hold =
                new Hold(
                        Hold.Way.valueOf(row.getHoldAcross()), Hold.Way.valueOf(row.getHoldDown()));
        if (row.getKind().equals(TEXT)) {
            FrameSetting setting =
                    Optional.ofNullable(row.getSetting())
                            .map(stored -> columns.read(stored, FrameSetting.class))
                            .orElse(FrameSetting.USUAL);
            return new TextFrame(
                    row.getId(),
                    sides,
                    box,
                    setting,
                    stories.get(row.getId()),
                    row.getLocked(),
                    Optional.ofNullable(row.getBand())
                            .map(band -> columns.read(band, TextBand.class)),
                    hold);
        }
        PictureShape shape = columns.read(row.getPicture(), PictureShape.class);
        return new PictureFrame(
                row.getId(),
                sides,
                box,
                shape.rotation(),
                shape.level(),
                fill(row, shape),
                shape.opacity(),
                shape.blend(),
                shape.goesTo(),
                shape.meaning(),
                shape.clear(),
                row.getLocked(),
                hold);
    }

    private static Fill fill(FrameRecord row, PictureShape shape) {
        return switch (row.getKind()) {
            case PICTURE ->
                    new Fill.Picture(
                            row.getAsset(),
                            shape.placing().orElseThrow(),
                            shape.runOut().orElseThrow(),
                            shape.seeThrough());
            case PDF_PAGE ->
                    new Fill.PdfPage(
                            row.getAsset(),
                            shape.number().orElseThrow(),
                            shape.placing().orElseThrow());
            case WORD -> {
                WordShape word = shape.word().orElseThrow();
                yield new Fill.Word(
                        word.text(),
                        word.family(),
                        word.weight(),
                        word.italic(),
                        word.size(),
                        word.repeat(),
                        new Tinted(row.getSwatch(), row.getTint()));
            }
            default -> throw new UnknownKind("frame", row.getKind());
        };
    }

    static Owner owner(FrameRecord row) {
        return row.getPage() == null
                ? new Owner.OnParent(row.getParent())
                : new Owner.OnPage(row.getPage());
    }
}
