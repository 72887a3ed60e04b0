package yewberry.core.asset;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ConcurrentHashMap;
import yewberry.core.Refused;
import yewberry.core.Sha256;
import yewberry.core.color.Color;
import yewberry.core.color.Medium;
import yewberry.core.color.PlaneTable;
import yewberry.core.color.PressCondition;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Backing;
import yewberry.core.publication.Recolor;
import yewberry.core.publication.SeeThrough;

/**
 * Gives pictures, drawings and pages of PDFs in what they are mixed in, as fine as they are wanted,
 * and remembers as many as a part of the memory holds. A picture that is decoded is made at all
 * halving sizes from there down, and those are kept for the next start. One file is decoded at a
 * time, so that the memory it takes is that of one. Thread-safe.
 */
public final class Pictures {
    /** For where there are none. */
    public static final Pictures NONE =
            new Pictures(
                    sha256 -> {
                        throw new IllegalStateException("No file is kept here.");
                    },
                    Documents.NONE);

    /** Part of the name of all that is kept; goes up whenever the same file gives other pixels. */
    private static final int MAKING = 3;

    /** The part of the heap that pictures are remembered in. */
    private static final int PART = 8;

    /** Above it only each second pixel is read, or fewer, for what is not wanted whole. */
    private static final long DECODED = 40_000_000;

    /** Fine enough to see whether a picture can be drawn; checks look at it as fine. */
    private static final int LOOKED_AT = 300;

    /** Pixels across that a spread on a screen shows of a picture at least; made from the first. */
    private static final int SHOWN = 1024;

    /** Half of the black ink, or of the light. */
    private static final byte HALF = (byte) 128;

    /** What is drawn from lines and shapes, across, for the screen. */
    private static final int WIDEST_DRAWING = 4096;

    /** The same of a page of a PDF, which is painted plane by plane. */
    private static final int WIDEST_PAGE = 2048;

    /** Pages whose text is remembered. */
    private static final int MOST_TEXTS = 40;

    private final Files files;
    private final FileReader reader;
    private final MadeImages kept;
    private final Map<Failure, String> failures = new ConcurrentHashMap<>();
    private final PlaneImageCache<Key> known = PlaneImageCache.ofMemory(PART);
    private final Cache<TextKey, PageText> texts =
            Caffeine.newBuilder().maximumSize(MOST_TEXTS).executor(Runnable::run).build();
    private final Map<Key, CompletableFuture<PlaneImage>> making = new ConcurrentHashMap<>();

    /** Reads files in this process. */
    public Pictures(Files files, Documents documents) {
        this(files, FileReader.here(documents), MadeImages.NONE);
    }

    public Pictures(Files files, FileReader reader, MadeImages kept) {
        this.files = files;
        this.reader = reader;
        this.kept = kept;
    }

    /** What of a file could not be read. */
    private record Failure(String sha256, int page) {}

    private record Key(String sha256, FilePage view, int step, Optional<SeeThrough> seeThrough) {
        Key at(int other) {
            return new Key(sha256, view, other, seeThrough);
        }

        int page() {
            return view.number();
        }

        PressCondition condition() {
            return view.condition();
        }

        Medium medium() {
            return view.medium();
        }

        /** What it is kept under: the file, and a sum of all that its pixels follow from. */
        String name() {
            String all =
                    String.join(
                            " ",
                            String.valueOf(MAKING),
                            String.valueOf(page()),
                            view.part().toString(),
                            view.recolored().toString(),
                            view.backed().toString(),
                            String.valueOf(step),
                            condition().profileSum(),
                            medium().toString(),
                            seeThrough.toString());
            return sha256 + "-" + Sha256.of(all.getBytes(StandardCharsets.UTF_8));
        }
    }

    /** One picture or page in what it is mixed in on a medium. */
    public interface Placeable {
        /**
         * Fit for the screen.
         *
         * @param width pixels that are wanted across; there are no more than the file has, and at
         *     times more than wanted
         */
        PlaneImage about(int width);

        /**
         * All there is of it.
         *
         * @param width pixels across for what has no pixels of its own
         */
        PlaneImage whole(int width);

        /** The file it is from. */
        KnownFile file();

        /** What it is mixed on. */
        Medium medium();

        /** Why it cannot be drawn, if it cannot; something grey stands for it then. */
        Optional<String> problem();

        /** The same on another medium. */
        Placeable on(Medium medium);

        /** The colours of a page of a PDF that are others, on its medium. */
        List<Recoloring> recolored();

        /** What lies behind words of a page of a PDF, on its medium. */
        List<Backed> backed();

        /** What is written on a page of a PDF; elsewhere nothing. */
        PageText text();

        /**
         * A page of a PDF without its text, as what lies behind that.
         *
         * @param withPictures whether pictures are part of it
         */
        Placeable withoutText(boolean withPictures);

        /**
         * What the annotations and form fields of a page of a PDF paint, without their text.
         *
         * @param withPictures whether pictures are part of it
         */
        Placeable annotations(boolean withPictures);

        /** A page of a PDF with its annotations and form fields over it. */
        Placeable annotated();

        /** Whether it shows a picture, or may. */
        boolean isPicture();
    }

    /**
     * @param page of a document, from 1; else 1
     * @param seeThrough a colour of it that is made transparent
     */
    public Placeable of(
            Asset asset,
            int page,
            Optional<SeeThrough> seeThrough,
            PressCondition condition,
            Medium medium) {
        return new Placed(
                asset, FilePage.of(page, condition, medium), Changes.NONE, false, seeThrough);
    }

    /**
     * A page of a PDF with the colours that are others here.
     *
     * @param page from 1
     */
    public Placeable of(
            Asset asset, int page, Changes changes, PressCondition condition, Medium medium) {
        return new Placed(
                asset,
                changes.on(FilePage.of(page, condition, medium)),
                changes,
                false,
                Optional.empty());
    }

    /**
     * @param to the colour that takes the place of one, as it is defined; nothing for none
     */
    public record Recolored(Recolor recolor, Optional<Color> to) {}

    /**
     * @param color as it is defined
     */
    public record Laid(Backing backing, Color color) {}

    /**
     * What of a page of a PDF is otherwise here.
     *
     * @param backed what lies behind its words
     */
    public record Changes(List<Recolored> recolored, List<Laid> backed) {
        public static final Changes NONE = new Changes(List.of(), List.of());

        FilePage on(FilePage page) {
            return new FilePage(
                    page.number(),
                    page.part(),
                    page.medium(),
                    recolored.stream()
                            .map(each ->
                                    Recoloring.of(
                                            each.recolor(),
                                            each.to(),
                                            page.condition(),
                                            page.medium()))
                            .toList(),
                    backed.stream()
                            .map(each ->
                                    Backed.of(
                                            each.backing(),
                                            each.color(),
                                            page.condition(),
                                            page.medium()))
                            .toList(),
                    page.condition());
        }
    }

    /** One picture or page, of a file. */
    private final class Placed implements Placeable {
        private final Asset asset;
        private final FilePage view;
        private final Changes changes;
        private final boolean pictured;
        private final Optional<SeeThrough> seeThrough;

        /**
         * @param view the page; of what is no PDF its number is 1
         * @param pictured whether pictures are part of it, where its text is left out
         */
        Placed(
                Asset asset,
                FilePage view,
                Changes changes,
                boolean pictured,
                Optional<SeeThrough> seeThrough) {
            this.asset = asset;
            this.view = view;
            this.changes = changes;
            this.pictured = pictured;
            this.seeThrough = seeThrough;
        }

        private Key key(int step) {
            return new Key(asset.sha256(), view, step, seeThrough);
        }

        @Override
        public PlaneImage about(int width) {
            return remembered(asset, key(step(asset, width)));
        }

        @Override
        public PlaneImage whole(int width) {
            return fresh(asset, key(asset.content() instanceof Asset.Pixels ? 1 : width));
        }

        @Override
        public KnownFile file() {
            return known(asset.sha256());
        }

        @Override
        public Medium medium() {
            return view.medium();
        }

        @Override
        public Optional<String> problem() {
            about(LOOKED_AT);
            return Optional.ofNullable(failures.get(new Failure(asset.sha256(), view.number())));
        }

        @Override
        public Placeable on(Medium other) {
            FilePage there =
                    new FilePage(
                            view.number(),
                            view.part(),
                            other,
                            List.of(),
                            List.of(),
                            view.condition());
            return other == medium()
                    ? this
                    : new Placed(asset, changes.on(there), changes, pictured, seeThrough);
        }

        @Override
        public List<Recoloring> recolored() {
            return view.recolored();
        }

        @Override
        public List<Backed> backed() {
            return view.backed();
        }

        @Override
        public PageText text() {
            return asset.content() instanceof Asset.Document
                    ? texts.get(new TextKey(asset.sha256(), view), Pictures.this::read)
                    : PageText.NONE;
        }

        @Override
        public Placeable withoutText(boolean withPictures) {
            return only(FilePage.Part.WITHOUT_TEXT, withPictures);
        }

        @Override
        public Placeable annotations(boolean withPictures) {
            return only(FilePage.Part.ANNOTATIONS, withPictures);
        }

        @Override
        public Placeable annotated() {
            return only(FilePage.Part.ANNOTATED, true);
        }

        private Placeable only(FilePage.Part part, boolean withPictures) {
            return new Placed(asset, view.only(part), changes, withPictures, seeThrough);
        }

        @Override
        public boolean isPicture() {
            return view.part() == FilePage.Part.ALL || pictured;
        }
    }

    private record TextKey(String sha256, FilePage page) {}

    private PageText read(TextKey key) {
        try {
            return reader.text(known(key.sha256()), key.page());
        } catch (Refused refused) {
            return new PageText(
                    List.of(),
                    List.of(),
                    List.of(new PageText.Unread(PageText.Why.UNREADABLE, 1, Optional.empty())),
                    List.of(),
                    List.of(),
                    List.of());
        }
    }

    /** Of pixels the factor they are reduced by; of what is drawn the pixels across. */
    private static int step(Asset asset, int width) {
        return switch (asset.content()) {
            case Asset.Pixels pixels -> PlaneImage.factor(pixels.width(), width);
            case Asset.Drawing drawing -> drawn(width, WIDEST_DRAWING);
            case Asset.Document document -> drawn(width, WIDEST_PAGE);
        };
    }

    private static int drawn(int wanted, int widest) {
        return Math.min(widest, Integer.highestOneBit(Math.max(15, wanted - 1)) * 2);
    }

    /**
     * Made once, however many ask for it; no lock is held meanwhile, and others wait for nothing.
     */
    private PlaneImage remembered(Asset asset, Key key) {
        PlaneImage image = known.get(key);
        if (image != null) {
            return image;
        }
        CompletableFuture<PlaneImage> mine = new CompletableFuture<>();
        CompletableFuture<PlaneImage> others = this.making.putIfAbsent(key, mine);
        if (others != null) {
            try {
                return others.join();
            } catch (CompletionException failed) {
                if (failed.getCause() instanceof CancellationException) {
                    return remembered(asset, key); // that one was not wanted any more, this is
                }
                if (failed.getCause() instanceof RuntimeException own) {
                    throw own;
                }
                throw failed;
            }
        }
        try {
            PlaneImage made = kept.find(key.name()).orElseGet(() -> made(asset, key));
            known.put(key, made);
            mine.complete(made);
            return made;
        } catch (Throwable failure) {
            mine.completeExceptionally(failure);
            throw failure;
        } finally {
            this.making.remove(key);
        }
    }

    /** What cannot be read once is not tried again: a grey that covers stands for it. */
    private PlaneImage made(Asset asset, Key key) {
        Failure failure = new Failure(key.sha256(), key.page());
        if (!failures.containsKey(failure)) {
            try {
                return asset.content() instanceof Asset.Pixels pixels
                        ? halved(pixels, key)
                        : keep(key, fresh(asset, key));
            } catch (Refused refused) {
                failures.put(failure, refused.getMessage());
            }
        }
        byte[] grey = new byte[key.medium() == Medium.PAPER ? 4 : 3];
        Arrays.fill(grey, key.medium() == Medium.PAPER ? 3 : 0, grey.length, HALF);
        return new PlaneImage(1, 1, grey.length, grey, Optional.empty());
    }

    private PlaneImage keep(Key key, PlaneImage image) {
        known.put(key, image);
        kept.keep(key.name(), image);
        return image;
    }

    /** At the size of the key, and at all halving sizes below the one that a spread shows. */
    private PlaneImage halved(Asset.Pixels of, Key key) {
        int finest = Math.min(key.step(), PlaneImage.factor(of.width(), SHOWN));
        int coarsest = Math.max(key.step(), PlaneImage.factor(of.width(), LOOKED_AT));
        int every = every(of, key.step());
        PixelArray pixels = reader.pixels(of.format(), files.read(key.sha256()), every);
        PlaneImage wanted = null;
        for (int step = every; step <= coarsest && every(of, step) == every; step *= 2) {
            // each from the one before, so that they are the same, whichever is asked for first
            pixels = pixels.reduced(step == every ? 1 : 2);
            if (step < finest) {
                continue;
            }
            PlaneImage image =
                    cut(
                            planes(pixels, key.condition(), key.medium()),
                            key.seeThrough(),
                            key.condition(),
                            key.medium());
            keep(key.at(step), image);
            wanted = step == key.step() ? image : wanted;
        }
        return wanted;
    }

    private PlaneImage fresh(Asset asset, Key key) {
        String sha256 = asset.sha256();
        int step = key.step();
        PressCondition condition = key.condition();
        Medium medium = key.medium();
        PlaneImage image =
                switch (asset.content()) {
                    case Asset.Pixels of ->
                            planes(decoded(of, files.read(sha256), step), condition, medium);
                    case Asset.Drawing drawing ->
                            planes(
                                    reader.drawing(
                                            files.read(sha256),
                                            step,
                                            height(step, drawing.width(), drawing.height())),
                                    condition,
                                    medium);
                    case Asset.Document document -> {
                        Asset.Extent size = asset.extent(key.page());
                        yield reader.page(
                                known(sha256),
                                key.view(),
                                step,
                                height(step, size.width(), size.height()));
                    }
                };
        return cut(image, key.seeThrough(), condition, medium);
    }

    private KnownFile known(String sha256) {
        return new KnownFile(sha256, () -> files.read(sha256), files.password(sha256));
    }

    private static PlaneImage cut(
            PlaneImage image,
            Optional<SeeThrough> seeThrough,
            PressCondition condition,
            Medium medium) {
        return seeThrough.map(color -> Cutting.out(image, color, condition, medium)).orElse(image);
    }

    private static int height(int width, double across, double down) {
        return Math.clamp(Math.round(width * down / across), 1, 4 * WIDEST_DRAWING);
    }

    private PixelArray decoded(Asset.Pixels of, byte[] file, int step) {
        int every = every(of, step);
        return reader.pixels(of.format(), file, every).reduced(step / every);
    }

    /** Of so many pixels of a file one is read. */
    private static int every(Asset.Pixels of, int step) {
        long pixels = (long) of.width() * of.height();
        int every = 1;
        while (every * 2 <= step && pixels / ((long) every * every) > DECODED) {
            every *= 2;
        }
        return every;
    }

    private static PlaneImage planes(PixelArray pixels, PressCondition condition, Medium medium) {
        byte[] samples =
                switch (medium) {
                    case PAPER -> ink(pixels, condition);
                    case SCREEN -> taken(pixels, condition);
                };
        return new PlaneImage(
                pixels.width(),
                pixels.height(),
                medium == Medium.PAPER ? 4 : 3,
                samples,
                pixels.alpha());
    }

    /** Untagged RGB counts as sRGB, untagged CMYK as the inks of the press condition. */
    private static byte[] ink(PixelArray pixels, PressCondition condition) {
        byte[] samples = pixels.samples();
        return switch (pixels.colors()) {
            case GREY -> {
                byte[] black = new byte[samples.length * 4]; // printed in black ink alone
                for (int i = 0; i < samples.length; i++) {
                    black[i * 4 + 3] = (byte) ~samples[i];
                }
                yield black;
            }
            case RGB ->
                    converted(
                            pixels,
                            4,
                            profiled(pixels, condition, Medium.PAPER)
                                    .orElseGet(condition::inkTable));
            case CMYK ->
                    profiled(pixels, condition, Medium.PAPER)
                            .map(table -> converted(pixels, 4, table))
                            .orElse(samples);
        };
    }

    /** What is taken from white light; untagged colours are as for {@link #ink}. */
    private static byte[] taken(PixelArray pixels, PressCondition condition) {
        byte[] samples = pixels.samples();
        int count = pixels.width() * pixels.height();
        Optional<byte[]> profiled =
                profiled(pixels, condition, Medium.SCREEN)
                        .map(table -> converted(pixels, 3, table));
        return profiled.orElseGet(() -> {
            byte[] light = new byte[count * 3];
            switch (pixels.colors()) {
                case GREY -> {
                    for (int i = 0; i < light.length; i++) {
                        light[i] = samples[i / 3];
                    }
                }
                case RGB -> System.arraycopy(samples, 0, light, 0, light.length);
                case CMYK -> condition.screenTable().convert(samples, light);
            }
            for (int i = 0; i < light.length; i++) {
                light[i] = (byte) ~light[i];
            }
            return light;
        });
    }

    private static byte[] converted(PixelArray pixels, int planes, PlaneTable table) {
        byte[] converted = new byte[pixels.width() * pixels.height() * planes];
        table.convert(pixels.samples(), converted);
        return converted;
    }

    /** By the profile of the picture, if it has one that is for its colours and not the press's. */
    private static Optional<PlaneTable> profiled(
            PixelArray pixels, PressCondition condition, Medium medium) {
        return pixels.colors() == Asset.Colors.GREY
                ? Optional.empty()
                : pixels.profile()
                        .filter(each -> ProfileName.fits(each, pixels.colors()))
                        .flatMap(each -> condition.planeTable(each, medium));
    }
}
