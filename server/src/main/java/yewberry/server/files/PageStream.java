package yewberry.server.files;

import java.awt.geom.Path2D;
import java.awt.geom.PathIterator;
import java.awt.geom.Rectangle2D;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import yewberry.core.asset.Backed;
import yewberry.core.asset.FilePage;
import yewberry.core.asset.PageText;
import yewberry.core.asset.Recoloring;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.publication.Recolor;

/** A page that is wanted, and what is written on it, on their way between processes. */
final class PageStream {
    private static final int END = -1;

    private static final int BARE = 0;
    private static final int FLAT = 1;
    private static final int MIXED = 2;
    private static final int PICTURED = 3;

    private PageStream() {}

    /**
     * @param withProfile whether the profile of its condition comes along
     */
    static void write(DataOutputStream out, FilePage page, boolean withProfile) throws IOException {
        out.writeInt(page.number());
        out.writeUTF(page.part().name());
        out.writeUTF(page.medium().name());
        list(
                out,
                page.recolored(),
                (to, each) -> {
                    color(to, each.from());
                    to.writeDouble(each.within());
                    for (Recolor.What what : Recolor.What.values()) {
                        to.writeBoolean(each.what().contains(what));
                    }
                    to.writeBoolean(each.to().isPresent());
                    if (each.to().isPresent()) {
                        color(to, each.to().get());
                    }
                    to.writeBoolean(each.area().isPresent());
                    if (each.area().isPresent()) {
                        Rectangle2D area = each.area().get();
                        to.writeDouble(area.getX());
                        to.writeDouble(area.getY());
                        to.writeDouble(area.getWidth());
                        to.writeDouble(area.getHeight());
                    }
                });
        list(
                out,
                page.backed(),
                (to, each) -> {
                    to.writeDouble(each.x());
                    to.writeDouble(each.y());
                    to.writeDouble(each.width());
                    to.writeDouble(each.height());
                    to.writeDouble(each.radius());
                    color(to, each.color());
                    to.writeDouble(each.opacity());
                });
        PressCondition condition = page.condition();
        out.writeUTF(condition.id());
        out.writeUTF(condition.name());
        out.writeDouble(condition.inkLimit());
        out.writeBoolean(withProfile);
        if (withProfile) {
            FileWorker.write(out, condition.profile());
        }
    }

    /**
     * @param condition reads what is written of it
     */
    static FilePage page(DataInputStream in, Reads<PressCondition> condition) throws IOException {
        return new FilePage(
                in.readInt(),
                FilePage.Part.valueOf(in.readUTF()),
                Medium.valueOf(in.readUTF()),
                list(in, PageStream::recoloring),
                list(
                        in,
                        from ->
                                new Backed(
                                        from.readDouble(),
                                        from.readDouble(),
                                        from.readDouble(),
                                        from.readDouble(),
                                        from.readDouble(),
                                        color(from),
                                        from.readDouble())),
                condition.read(in));
    }

    private static Recoloring recoloring(DataInputStream in) throws IOException {
        Rgb from = (Rgb) color(in);
        double within = in.readDouble();
        Set<Recolor.What> what = EnumSet.noneOf(Recolor.What.class);
        for (Recolor.What each : Recolor.What.values()) {
            if (in.readBoolean()) {
                what.add(each);
            }
        }
        Optional<Color> to = in.readBoolean() ? Optional.of(color(in)) : Optional.empty();
        Optional<Rectangle2D> area =
                in.readBoolean()
                        ? Optional.of(
                                new Rectangle2D.Double(
                                        in.readDouble(),
                                        in.readDouble(),
                                        in.readDouble(),
                                        in.readDouble()))
                        : Optional.empty();
        return new Recoloring(from, within, what, to, area);
    }

    private interface Writes<T> {
        void write(DataOutputStream out, T value) throws IOException;
    }

    interface Reads<T> {
        T read(DataInputStream in) throws IOException;
    }

    private static <T> void list(DataOutputStream out, List<T> values, Writes<T> each)
            throws IOException {
        out.writeInt(values.size());
        for (T value : values) {
            each.write(out, value);
        }
    }

    private static <T> List<T> list(DataInputStream in, Reads<T> each) throws IOException {
        int count = in.readInt();
        List<T> values = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            values.add(each.read(in));
        }
        return values;
    }

    static void write(DataOutputStream out, PageText text) throws IOException {
        list(out, text.faces(), PageStream::face);
        list(out, text.stretches(), PageStream::stretch);
        list(out, text.unread(), PageStream::unread);
        list(out, text.colors(), PageStream::used);
        list(out, text.annotations(), PageStream::place);
        list(out, text.veils(), PageStream::veil);
    }

    static PageText text(DataInputStream in) throws IOException {
        return new PageText(
                list(in, PageStream::face),
                list(in, PageStream::stretch),
                list(in, PageStream::unread),
                list(in, PageStream::used),
                list(in, PageStream::place),
                list(in, PageStream::veil));
    }

    private static void veil(DataOutputStream out, PageText.Veil veil) throws IOException {
        path(out, veil.shape());
        color(out, veil.color());
        out.writeDouble(veil.opacity());
        out.writeUTF(veil.blend().name());
    }

    private static PageText.Veil veil(DataInputStream in) throws IOException {
        return new PageText.Veil(
                path(in), color(in), in.readDouble(), BlendMode.valueOf(in.readUTF()));
    }

    private static void used(DataOutputStream out, PageText.Used used) throws IOException {
        out.writeUTF(used.what().name());
        out.writeInt(used.count());
        out.writeInt(used.changed());
        out.writeBoolean(used.seen().isPresent());
        if (used.seen().isPresent()) {
            color(out, used.seen().get());
        }
    }

    private static PageText.Used used(DataInputStream in) throws IOException {
        PageText.Painted what = PageText.Painted.valueOf(in.readUTF());
        int count = in.readInt();
        int changed = in.readInt();
        return new PageText.Used(
                what,
                in.readBoolean() ? Optional.of((Rgb) color(in)) : Optional.empty(),
                count,
                changed);
    }

    private static void face(DataOutputStream out, PageText.FileFace face) throws IOException {
        out.writeUTF(face.family());
        out.writeInt(face.weight());
        out.writeBoolean(face.italic());
        out.writeDouble(face.ascent());
        out.writeDouble(face.descent());
        out.writeInt(face.outlines().size());
        for (Map.Entry<Integer, Path2D> each : face.outlines().entrySet()) {
            out.writeInt(each.getKey());
            path(out, each.getValue());
        }
    }

    private static PageText.FileFace face(DataInputStream in) throws IOException {
        String family = in.readUTF();
        int weight = in.readInt();
        boolean italic = in.readBoolean();
        double ascent = in.readDouble();
        double descent = in.readDouble();
        Map<Integer, Path2D> outlines = new HashMap<>();
        int count = in.readInt();
        for (int i = 0; i < count; i++) {
            int glyph = in.readInt();
            outlines.put(glyph, path(in));
        }
        return new PageText.FileFace(family, weight, italic, ascent, descent, outlines);
    }

    private static void path(DataOutputStream out, Path2D path) throws IOException {
        out.writeByte(path.getWindingRule());
        double[] at = new double[6];
        for (PathIterator each = path.getPathIterator(null); !each.isDone(); each.next()) {
            int kind = each.currentSegment(at);
            out.writeByte(kind);
            for (int i = 0; i < numbers(kind); i++) {
                out.writeDouble(at[i]);
            }
        }
        out.writeByte(END);
    }

    private static int numbers(int kind) {
        return switch (kind) {
            case PathIterator.SEG_MOVETO, PathIterator.SEG_LINETO -> 2;
            case PathIterator.SEG_QUADTO -> 4;
            case PathIterator.SEG_CUBICTO -> 6;
            default -> 0;
        };
    }

    private static Path2D path(DataInputStream in) throws IOException {
        Path2D path = new Path2D.Double(in.readByte());
        double[] at = new double[6];
        for (int kind = in.readByte(); kind != END; kind = in.readByte()) {
            for (int i = 0; i < numbers(kind); i++) {
                at[i] = in.readDouble();
            }
            switch (kind) {
                case PathIterator.SEG_MOVETO -> path.moveTo(at[0], at[1]);
                case PathIterator.SEG_LINETO -> path.lineTo(at[0], at[1]);
                case PathIterator.SEG_QUADTO -> path.quadTo(at[0], at[1], at[2], at[3]);
                case PathIterator.SEG_CUBICTO ->
                        path.curveTo(at[0], at[1], at[2], at[3], at[4], at[5]);
                default -> path.closePath();
            }
        }
        return path;
    }

    private static void stretch(DataOutputStream out, PageText.Stretch stretch) throws IOException {
        out.writeInt(stretch.number());
        out.writeInt(stretch.face());
        out.writeDouble(stretch.size());
        out.writeDouble(stretch.degrees());
        out.writeDouble(stretch.x());
        out.writeDouble(stretch.y());
        color(out, stretch.color());
        color(out, stretch.seen());
        out.writeBoolean(stretch.overprints());
        ground(out, stretch.ground());
        out.writeBoolean(stretch.annotation().isPresent());
        if (stretch.annotation().isPresent()) {
            ground(out, stretch.annotation().get());
        }
        list(out, stretch.lines(), PageStream::line);
    }

    private static void ground(DataOutputStream out, PageText.Ground ground) throws IOException {
        switch (ground) {
            case PageText.Ground.Bare bare -> out.writeByte(BARE);
            case PageText.Ground.Flat(Color color) -> {
                out.writeByte(FLAT);
                color(out, color);
            }
            case PageText.Ground.Mixed(boolean pictured) ->
                    out.writeByte(pictured ? PICTURED : MIXED);
        }
    }

    private static PageText.Stretch stretch(DataInputStream in) throws IOException {
        return new PageText.Stretch(
                in.readInt(),
                in.readInt(),
                in.readDouble(),
                in.readDouble(),
                in.readDouble(),
                in.readDouble(),
                color(in),
                (Rgb) color(in),
                in.readBoolean(),
                ground(in),
                in.readBoolean() ? Optional.of(ground(in)) : Optional.empty(),
                list(in, PageStream::line));
    }

    private static PageText.Ground ground(DataInputStream in) throws IOException {
        return switch (in.readByte()) {
            case FLAT -> new PageText.Ground.Flat(color(in));
            case MIXED -> new PageText.Ground.Mixed(false);
            case PICTURED -> new PageText.Ground.Mixed(true);
            default -> new PageText.Ground.Bare();
        };
    }

    private static void line(DataOutputStream out, PageText.Line line) throws IOException {
        out.writeDouble(line.x());
        out.writeDouble(line.baseline());
        out.writeDouble(line.width());
        list(
                out,
                line.glyphs(),
                (to, glyph) -> {
                    to.writeInt(glyph.id());
                    to.writeUTF(glyph.text());
                    to.writeDouble(glyph.x());
                });
    }

    private static PageText.Line line(DataInputStream in) throws IOException {
        return new PageText.Line(
                in.readDouble(),
                in.readDouble(),
                in.readDouble(),
                list(
                        in,
                        from ->
                                new PageText.Glyph(
                                        from.readInt(), from.readUTF(), from.readDouble())));
    }

    /** Ink or light: that is all that text comes to on a medium. */
    private static void color(DataOutputStream out, Color color) throws IOException {
        boolean isInk = color instanceof Cmyk;
        out.writeBoolean(isInk);
        if (color instanceof Cmyk ink) {
            out.writeDouble(ink.cyan());
            out.writeDouble(ink.magenta());
            out.writeDouble(ink.yellow());
            out.writeDouble(ink.black());
        } else if (color instanceof Rgb rgb) {
            out.writeInt(rgb.packed());
        } else {
            throw new IllegalArgumentException(color + " is neither ink nor light");
        }
    }

    private static Color color(DataInputStream in) throws IOException {
        if (in.readBoolean()) {
            return new Cmyk(in.readDouble(), in.readDouble(), in.readDouble(), in.readDouble());
        }
        int packed = in.readInt();
        return Rgb.of(packed);
    }

    private static void unread(DataOutputStream out, PageText.Unread unread) throws IOException {
        out.writeUTF(unread.why().name());
        out.writeInt(unread.count());
        out.writeBoolean(unread.where().isPresent());
        if (unread.where().isPresent()) {
            place(out, unread.where().get());
        }
    }

    private static void place(DataOutputStream out, PageText.Place place) throws IOException {
        out.writeDouble(place.x());
        out.writeDouble(place.y());
        out.writeDouble(place.width());
        out.writeDouble(place.height());
    }

    private static PageText.Place place(DataInputStream in) throws IOException {
        return new PageText.Place(
                in.readDouble(), in.readDouble(), in.readDouble(), in.readDouble());
    }

    private static PageText.Unread unread(DataInputStream in) throws IOException {
        return new PageText.Unread(
                PageText.Why.valueOf(in.readUTF()),
                in.readInt(),
                in.readBoolean() ? Optional.of(place(in)) : Optional.empty());
    }
}
