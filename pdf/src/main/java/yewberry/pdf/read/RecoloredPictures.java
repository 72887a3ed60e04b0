package yewberry.pdf.read;

import java.awt.geom.Point2D;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.cos.COSString;
import org.apache.pdfbox.pdmodel.graphics.color.PDColorSpace;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceCMYK;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceGray;
import org.apache.pdfbox.pdmodel.graphics.color.PDDeviceRGB;
import org.apache.pdfbox.pdmodel.graphics.color.PDICCBased;
import org.apache.pdfbox.pdmodel.graphics.color.PDIndexed;
import org.apache.pdfbox.pdmodel.graphics.image.PDImage;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import yewberry.core.Cancellation;
import yewberry.core.asset.Recoloring;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.publication.Recolor;

/**
 * Pictures of a file (ISO 32000-1, 8.9) with some of their colours changed. All other pixels are
 * what they were: a picture of one component gets a table of colours, and its samples stay; in one
 * of light or ink the pixels that change are written anew. What takes their place is in the colours
 * that the picture has: light in light, inks in inks, and in a grey one those of the medium.
 */
public final class RecoloredPictures {
    private static final Set<COSName> WRITTEN_ANEW =
            Set.of(
                    COSName.LENGTH,
                    COSName.FILTER,
                    COSName.DECODE_PARMS,
                    COSName.DECODE,
                    COSName.BITS_PER_COMPONENT,
                    COSName.COLORSPACE);

    /** What keeps every sample as it is. */
    private static final Set<COSBase> LOSSLESS =
            Set.of(
                    COSName.FLATE_DECODE,
                    COSName.LZW_DECODE,
                    COSName.RUN_LENGTH_DECODE,
                    COSName.CCITTFAX_DECODE,
                    COSName.JBIG2_DECODE,
                    COSName.ASCII85_DECODE,
                    COSName.ASCII_HEX_DECODE);

    private static final COSName MATTE = COSName.getPDFName("Matte");
    private static final COSName PREDICTOR = COSName.getPDFName("Predictor");

    private static final int MOST_PIXELS = 1_000_000_000;

    /** Pixels that stay as they are. */
    private static final int SAME = -1;

    private final DeviceColors colors;
    private final Supplier<COSStream> streams;

    /**
     * @param colors that say what changes
     * @param streams makes an empty one
     */
    public RecoloredPictures(DeviceColors colors, Supplier<COSStream> streams) {
        this.colors = colors;
        this.streams = streams;
    }

    /**
     * What changes in a picture: nothing where none of it can.
     *
     * @param at the middle of the picture, in points from the top left of the page as it is seen
     */
    public List<Recoloring> changes(PDImage image, Point2D at) throws IOException {
        List<Recoloring> all = colors.pictures(at);
        return all.isEmpty() || !canChange(image, colors) ? List.of() : all;
    }

    /**
     * Whether colours of a picture can be others. They cannot in spot inks, Lab and profiles of
     * their own, in more than 8 bits, where the content of the page holds it, or where colours or a
     * matte say what of it shows.
     */
    static boolean canChange(PDImage image, DeviceColors colors) throws IOException {
        if (!(image instanceof PDImageXObject object)
                || image.isStencil()
                || has(object, COSName.JPX_DECODE::equals)
                || image.getBitsPerComponent() > 8
                || (long) image.getWidth() * image.getHeight() > MOST_PIXELS
                || object.getColorKeyMask() != null
                || object.getCOSObject().containsKey(COSName.SMASK_IN_DATA)
                || object.getSoftMask() != null
                        && object.getSoftMask().getCOSObject().containsKey(MATTE)) {
            return false;
        }
        try {
            return base(image.getColorSpace(), colors) != Base.OTHER;
        } catch (IOException broken) {
            return false;
        }
    }

    /** Whether one of its filters is such. */
    private static boolean has(PDImageXObject picture, Predicate<COSBase> such) {
        COSBase filter = picture.getCOSObject().getDictionaryObject(COSName.FILTER);
        return switch (filter) {
            case COSName one -> such.test(one);
            case COSArray several -> several.toList().stream().anyMatch(such);
            case null, default -> false;
        };
    }

    /** What the colours of a picture are made of. */
    private enum Base {
        GREY,
        LIGHT,
        INK,
        OTHER
    }

    private static Base base(PDColorSpace space, DeviceColors colors) throws IOException {
        return switch (space) {
            case PDIndexed indexed -> base(indexed.getBaseColorSpace(), colors);
            case PDDeviceGray grey -> Base.GREY;
            case PDDeviceRGB rgb -> Base.LIGHT;
            case PDDeviceCMYK cmyk -> Base.INK;
            case PDICCBased icc when colors.table(icc).isEmpty() ->
                    switch (icc.getNumberOfComponents()) {
                        case 1 -> Base.GREY;
                        case 4 -> Base.INK;
                        default -> Base.LIGHT;
                    };
            default -> Base.OTHER;
        };
    }

    /**
     * The same picture in other colours.
     *
     * @param at its middle, in points from the top left of the page as it is seen
     * @return nothing where no pixel of it changes
     * @throws IOException if it cannot be decoded
     */
    public Optional<COSStream> of(PDImage image, Point2D at) throws IOException {
        List<Recoloring> changes = changes(image, at);
        if (changes.isEmpty()) {
            return Optional.empty();
        }
        PDImageXObject picture = (PDImageXObject) image;
        Base base = base(picture.getColorSpace(), colors);
        return picture.getColorSpace().getNumberOfComponents() == 1
                ? tabled(picture, base, changes, at)
                : pixels(picture, base, changes, at);
    }

    /** Which of the changes is for a colour; remembers what it found. */
    private final class Matching {
        private static final int UNKNOWN = 0;

        /** Fewer pixels than these are compared sooner than what was found is kept. */
        private static final int MANY = 50_000;

        private final List<Recoloring> changes;
        private final Point2D at;
        private final byte[] known;

        Matching(List<Recoloring> changes, Point2D at, int pixels) {
            this.changes = changes;
            this.at = at;
            this.known = pixels > MANY ? new byte[1 << 24] : new byte[0];
        }

        int of(Rgb seen) {
            if (known.length == 0) {
                return find(seen);
            }
            int key = seen.packed() & 0xffffff;
            if (known[key] == UNKNOWN) {
                known[key] = (byte) (find(seen) + 2);
            }
            return known[key] - 2;
        }

        private int find(Rgb seen) {
            for (int i = 0; i < changes.size(); i++) {
                if (changes.get(i).changes(seen, Recolor.What.PICTURES, at, colors.condition())) {
                    return i;
                }
            }
            return SAME;
        }
    }

    // one component: the table of its colours changes

    private Optional<COSStream> tabled(
            PDImageXObject picture, Base base, List<Recoloring> changes, Point2D at)
            throws IOException {
        int bits = picture.getBitsPerComponent();
        int count = 1 << bits;
        PDColorSpace space = picture.getColorSpace();
        float[] decoded = ImageReader.decoded(picture, space, 1)[0];
        Matching matching = new Matching(changes, at, count);
        int[] changed = new int[count];
        for (int i = 0; i < count; i++) {
            changed[i] = matching.of(colors.seen(space, new float[] {decoded[i]}));
        }
        boolean[] used = new boolean[count];
        ImageReader.rows(
                picture,
                1,
                (y, row) -> {
                    for (int sample : row) {
                        used[sample] = true;
                    }
                });
        if (IntStream.range(0, count).noneMatch(each -> used[each] && changed[each] != SAME)) {
            return Optional.empty();
        }
        boolean ink = base == Base.INK || base == Base.GREY && colors.medium() == Medium.PAPER;
        int components = ink ? 4 : 3;
        byte[] table = new byte[count * components];
        for (int i = 0; i < count; i++) {
            byte[] entry =
                    changed[i] == SAME
                            ? entry(space, base, decoded[i], ink)
                            : target(changes.get(changed[i]), ink);
            System.arraycopy(entry, 0, table, i * components, components);
        }
        COSArray indexed = new COSArray();
        indexed.add(COSName.INDEXED);
        indexed.add(
                base == Base.GREY
                        ? ink ? COSName.DEVICECMYK : COSName.DEVICERGB
                        : ((PDIndexed) space).getBaseColorSpace().getCOSObject());
        indexed.add(COSInteger.get(count - 1));
        indexed.add(new COSString(table, true));
        COSStream copy = begun(picture);
        copy.setItem(COSName.COLORSPACE, indexed);
        copy.setInt(COSName.BITS_PER_COMPONENT, bits);
        if (!has(picture, each -> !LOSSLESS.contains(each))) {
            copy.setItem(COSName.FILTER, picture.getCOSObject().getItem(COSName.FILTER));
            COSBase how = picture.getCOSObject().getItem(COSName.DECODE_PARMS);
            if (how != null) {
                copy.setItem(COSName.DECODE_PARMS, how);
            }
            try (InputStream from = picture.getCOSObject().createRawInputStream();
                    OutputStream to = copy.createRawOutputStream()) {
                from.transferTo(to);
            }
        } else {
            try (InputStream from = picture.createInputStream();
                    OutputStream to = copy.createOutputStream(COSName.FLATE_DECODE)) {
                from.transferTo(to);
            }
        }
        if (changes.stream().anyMatch(each -> each.to().isEmpty())) {
            Through through = new Through(picture);
            ImageReader.rows(
                    picture,
                    1,
                    (y, row) -> {
                        for (int x = 0; x < row.length; x++) {
                            through.set(y, x, isThrough(changes, changed[row[x]]));
                        }
                    });
            through.to(copy);
        }
        return Optional.of(copy);
    }

    private static byte[] entry(PDColorSpace space, Base base, float value, boolean ink)
            throws IOException {
        float[] values =
                space instanceof PDIndexed indexed
                        ? IndexedTable.of(indexed).entry(Math.round(value))
                        : new float[] {value};
        if (base == Base.GREY) {
            // ISO 32000-1, 10.3.3: grey is black ink alone
            float grey = Math.clamp(values[0], 0f, 1f);
            values = ink ? new float[] {0, 0, 0, 1 - grey} : new float[] {grey, grey, grey};
        }
        byte[] entry = new byte[values.length];
        for (int i = 0; i < entry.length; i++) {
            entry[i] = level(values[i]);
        }
        return entry;
    }

    private static byte level(double part) {
        return (byte) Math.round(Math.clamp(part, 0, 1) * 255);
    }

    /** What takes the place of a colour, in bytes; what is see-through stays white below. */
    private byte[] target(Recoloring change, boolean ink) {
        PressCondition condition = colors.condition();
        Color to = change.to().orElse(ink ? new Cmyk(0, 0, 0, 0) : Rgb.WHITE);
        if (ink) {
            Cmyk inks = to instanceof Cmyk given ? given : condition.toInk(to);
            return new byte[] {
                level(inks.cyan() / 100),
                level(inks.magenta() / 100),
                level(inks.yellow() / 100),
                level(inks.black() / 100)
            };
        }
        Rgb light = to instanceof Rgb given ? given : condition.toScreen(to);
        return new byte[] {(byte) light.red(), (byte) light.green(), (byte) light.blue()};
    }

    private static boolean isThrough(List<Recoloring> changes, int change) {
        return change != SAME && changes.get(change).to().isEmpty();
    }

    // several components: the pixels change

    private Optional<COSStream> pixels(
            PDImageXObject picture, Base base, List<Recoloring> changes, Point2D at)
            throws IOException {
        PDColorSpace space = picture.getColorSpace();
        int components = space.getNumberOfComponents();
        int width = picture.getWidth();
        // what light is taken away, as a screen shows it
        ImageReader light = new ImageReader(colors.asTheyAre().inLight());
        float[][] decoded = ImageReader.decoded(picture, space, components);
        Matching matching = new Matching(changes, at, width * picture.getHeight());
        Through through = new Through(picture);
        byte[] made = new byte[width * components];
        boolean[] any = {false};
        COSStream copy = begun(picture);
        copy.setItem(COSName.COLORSPACE, space.getCOSObject());
        copy.setInt(COSName.BITS_PER_COMPONENT, 8);
        try (WrittenRows out = new WrittenRows(copy, width, components)) {
            ImageReader.rows(
                    picture,
                    components,
                    (y, row) -> {
                        Cancellation.check();
                        byte[] taken = light.planes(picture, row, width);
                        for (int x = 0; x < width; x++) {
                            int change = matching.of(seen(taken, 3 * x));
                            int to = x * components;
                            if (change == SAME) {
                                for (int i = 0; i < components; i++) {
                                    int most = decoded[i].length - 1;
                                    made[to + i] = level(decoded[i][Math.min(row[to + i], most)]);
                                }
                            } else {
                                any[0] = true;
                                byte[] other = target(changes.get(change), base == Base.INK);
                                System.arraycopy(other, 0, made, to, components);
                                through.set(y, x, isThrough(changes, change));
                            }
                        }
                        out.row(made);
                    });
        }
        if (!any[0]) {
            return Optional.empty();
        }
        through.to(copy);
        return Optional.of(copy);
    }

    private static Rgb seen(byte[] taken, int at) {
        return new Rgb(
                255 - (taken[at] & 0xff),
                255 - (taken[at + 1] & 0xff),
                255 - (taken[at + 2] & 0xff));
    }

    /** Writes each row as its differences from one pixel to the next: ISO 32000-1, 7.4.4.4. */
    private static final class WrittenRows implements AutoCloseable {
        private final OutputStream out;
        private final COSStream to;
        private final int components;
        private final byte[] row;

        WrittenRows(COSStream to, int width, int components) throws IOException {
            this.to = to;
            this.components = components;
            this.row = new byte[width * components + 1];
            row[0] = 1;
            this.out = to.createOutputStream(COSName.FLATE_DECODE);
        }

        void row(byte[] bytes) throws IOException {
            for (int i = 0; i < bytes.length; i++) {
                int before = i < components ? 0 : bytes[i - components];
                row[i + 1] = (byte) (bytes[i] - before);
            }
            out.write(row);
        }

        @Override
        public void close() throws IOException {
            out.close();
            COSDictionary how = new COSDictionary();
            how.setInt(PREDICTOR, 15);
            how.setInt(COSName.COLORS, components);
            how.setInt(COSName.BITS_PER_COMPONENT, 8);
            how.setInt(COSName.COLUMNS, (row.length - 1) / components);
            to.setItem(COSName.DECODE_PARMS, how);
        }
    }

    // what both are

    private COSStream begun(PDImageXObject picture) {
        COSStream copy = streams.get();
        for (Map.Entry<COSName, COSBase> each : picture.getCOSObject().entrySet()) {
            if (!WRITTEN_ANEW.contains(each.getKey())) {
                copy.setItem(each.getKey(), each.getValue());
            }
        }
        return copy;
    }

    /** The pixels that let through what is below, besides what the masks of a picture do. */
    private final class Through {
        private final PDImageXObject picture;
        private final BitSet pixels = new BitSet();
        private final int width;

        Through(PDImageXObject picture) {
            this.picture = picture;
            this.width = picture.getWidth();
        }

        void set(int y, int x, boolean through) {
            if (through) {
                pixels.set(y * width + x);
            }
        }

        /** Nothing where there are none. */
        void to(COSStream copy) throws IOException {
            if (pixels.isEmpty()) {
                return;
            }
            int height = picture.getHeight();
            Optional<byte[]> before = ImageReader.alpha(picture, new int[0], width, height);
            COSStream mask = streams.get();
            mask.setItem(COSName.TYPE, COSName.XOBJECT);
            mask.setItem(COSName.SUBTYPE, COSName.IMAGE);
            mask.setInt(COSName.WIDTH, width);
            mask.setInt(COSName.HEIGHT, height);
            mask.setItem(COSName.COLORSPACE, COSName.DEVICEGRAY);
            mask.setInt(COSName.BITS_PER_COMPONENT, 8);
            byte[] row = new byte[width];
            try (WrittenRows out = new WrittenRows(mask, width, 1)) {
                for (int y = 0; y < height; y++) {
                    for (int x = 0; x < width; x++) {
                        int at = y * width + x;
                        byte covers = before.isPresent() ? before.get()[at] : (byte) 255;
                        row[x] = pixels.get(at) ? 0 : covers;
                    }
                    out.row(row);
                }
            }
            copy.removeItem(COSName.MASK);
            copy.setItem(COSName.SMASK, mask);
        }
    }
}
