package yewberry.core.asset;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import yewberry.core.color.InkTable;
import yewberry.core.color.PressCondition;
import yewberry.core.publication.Asset;
import yewberry.core.publication.SeeThrough;

/**
 * Gives pictures, drawings and pages of PDFs in the inks of a press condition, as fine as they are
 * wanted, and remembers as many as a part of the memory holds. One file is decoded at a time, so
 * that the memory it takes is that of one. Thread-safe.
 */
public final class Pictures {
    /** For where there are none. */
    public static final Pictures NONE =
            new Pictures(
                    sha256 -> {
                        throw new IllegalStateException("No file is kept here.");
                    },
                    Documents.NONE);

    /** The part of the heap that pictures are remembered in. */
    private static final int PART = 8;

    /** Above it only each second pixel is read, or fewer, for what is not wanted whole. */
    private static final long DECODED = 40_000_000;

    /** What is drawn from lines and shapes, across, for the screen. */
    private static final int WIDEST_DRAWING = 4096;

    private final Files files;
    private final Documents documents;
    private final long capacity = Runtime.getRuntime().maxMemory() / PART;
    private final Map<Key, InkImage> known = new LinkedHashMap<>(64, 0.75f, true);
    private final Object decoding = new Object();
    private long held;

    public Pictures(Files files, Documents documents) {
        this.files = files;
        this.documents = documents;
    }

    private record Key(
            String sha256,
            int page,
            int step,
            PressCondition condition,
            Optional<SeeThrough> seeThrough) {}

    /** One picture or page under a press condition. */
    public interface InInk {
        /**
         * Fit for the screen.
         *
         * @param width pixels that are wanted across; there are no more than the file has, and at
         *     times more than wanted
         */
        InkImage about(int width);

        /**
         * All there is of it.
         *
         * @param width pixels across for what has no pixels of its own
         */
        InkImage whole(int width);

        /** The file it is from. */
        byte[] file();
    }

    /**
     * @param page of a document, from 1; else 1
     * @param seeThrough a colour of it that is made transparent
     */
    public InInk of(
            Asset asset, int page, Optional<SeeThrough> seeThrough, PressCondition condition) {
        return new InInk() {
            @Override
            public InkImage about(int width) {
                int step = step(asset, width);
                return remembered(
                        new Key(asset.sha256(), page, step, condition, seeThrough),
                        () -> fresh(asset, page, step, seeThrough, condition));
            }

            @Override
            public InkImage whole(int width) {
                return fresh(
                        asset,
                        page,
                        asset.content() instanceof Asset.Pixels ? 1 : width,
                        seeThrough,
                        condition);
            }

            @Override
            public byte[] file() {
                return files.read(asset.sha256());
            }
        };
    }

    /** Of pixels the factor they are reduced by; of what is drawn the pixels across. */
    private static int step(Asset asset, int width) {
        int wanted = Math.max(16, width);
        return switch (asset.content()) {
            case Asset.Pixels pixels -> Integer.highestOneBit(Math.max(1, pixels.width() / wanted));
            case Asset.Drawing drawing -> drawn(wanted);
            case Asset.Document document -> drawn(wanted);
        };
    }

    private static int drawn(int wanted) {
        return Math.min(WIDEST_DRAWING, Integer.highestOneBit(Math.max(1, wanted - 1)) * 2);
    }

    private interface Making {
        InkImage make();
    }

    private InkImage remembered(Key key, Making making) {
        synchronized (known) {
            InkImage image = known.get(key);
            if (image != null) {
                return image;
            }
        }
        InkImage made;
        synchronized (decoding) {
            synchronized (known) {
                InkImage image = known.get(key);
                if (image != null) {
                    return image;
                }
            }
            made = making.make();
        }
        synchronized (known) {
            known.put(key, made);
            held += made.size();
            var oldest = known.entrySet().iterator();
            while (held > capacity && known.size() > 1) {
                held -= oldest.next().getValue().size();
                oldest.remove();
            }
        }
        return made;
    }

    private InkImage fresh(
            Asset asset,
            int page,
            int step,
            Optional<SeeThrough> seeThrough,
            PressCondition condition) {
        byte[] file = files.read(asset.sha256());
        PixelArray pixels =
                switch (asset.content()) {
                    case Asset.Pixels of -> reduced(of, file, step);
                    case Asset.Drawing drawing ->
                            Drawings.draw(
                                    file, step, height(step, drawing.width(), drawing.height()));
                    case Asset.Document document -> {
                        Asset.Extent size = asset.extent(page);
                        yield Argb.pixels(
                                documents.draw(
                                        file,
                                        page,
                                        step,
                                        height(step, size.width(), size.height()),
                                        condition));
                    }
                };
        InkImage image = ink(pixels, condition);
        return seeThrough.map(color -> Cutting.out(image, color, condition)).orElse(image);
    }

    private static int height(int width, double across, double down) {
        return Math.clamp(Math.round(width * down / across), 1, 4 * WIDEST_DRAWING);
    }

    private static PixelArray reduced(Asset.Pixels of, byte[] file, int factor) {
        long pixels = (long) of.width() * of.height();
        int every = 1;
        while (every * 2 <= factor && pixels / ((long) every * every) > DECODED) {
            every *= 2;
        }
        return Decoder.read(of.format(), file, every).reduced(factor / every);
    }

    private static InkImage ink(PixelArray pixels, PressCondition condition) {
        int count = pixels.width() * pixels.height();
        byte[] ink =
                switch (pixels.colors()) {
                    case GREY -> black(pixels.samples());
                    case RGB -> converted(pixels, condition, count);
                    case CMYK -> converted(pixels, condition, count);
                };
        return new InkImage(pixels.width(), pixels.height(), ink, pixels.alpha());
    }

    /** Grey is printed in black ink alone. */
    private static byte[] black(byte[] light) {
        byte[] ink = new byte[light.length * 4];
        for (int i = 0; i < light.length; i++) {
            ink[i * 4 + 3] = (byte) ~light[i];
        }
        return ink;
    }

    private static byte[] converted(PixelArray pixels, PressCondition condition, int count) {
        Optional<InkTable> table = table(pixels, condition);
        if (table.isEmpty()) {
            return pixels.samples();
        }
        byte[] ink = new byte[count * 4];
        table.get().convert(pixels.samples(), ink);
        return ink;
    }

    /** Untagged RGB counts as sRGB, untagged CMYK as the inks of the press condition. */
    private static Optional<InkTable> table(PixelArray pixels, PressCondition condition) {
        Optional<byte[]> profile =
                pixels.profile().filter(each -> ProfileName.fits(each, pixels.colors()));
        if (profile.isPresent()) {
            return condition.inkTable(profile.get());
        }
        return pixels.colors() == Asset.Colors.RGB
                ? Optional.of(condition.inkTable())
                : Optional.empty();
    }
}
