package yewberry.core.asset;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;
import yewberry.core.Refused;
import yewberry.core.publication.Asset;

/** Looks into a file that is to be placed and says what it holds, or why it cannot be used. */
public final class Intake {
    /** A picture of a hundred megapixels fills an A1 page at 300 pixels per inch. */
    private static final long MOST_PIXELS = 100_000_000;

    /** What is read to see whether a file is whole, at most; the rest is read and passed over. */
    private static final long READ_PIXELS = 4_000_000;

    private final Documents documents;

    public Intake(Documents documents) {
        this.documents = documents;
    }

    /**
     * @param name of the file, as it came
     * @throws Refused if it is of another kind than placed here or than its name says, damaged, too
     *     large, animated, encrypted, or reaches out for something else
     */
    public Asset.Content look(String name, byte[] file) {
        return look(name, KnownFile.of(file));
    }

    /**
     * The same of a file that may need a password.
     *
     * @throws yewberry.core.Locked if it needs one, and has not come with it
     */
    public Asset.Content look(String name, KnownFile known) {
        byte[] file = known.bytes().get();
        if (file.length == 0) {
            throw new Refused("“%s” is empty; export it again.".formatted(name));
        }
        String kind = kind(file);
        refuseOtherName(name, kind);
        return switch (kind) {
            case "PNG" -> pixels(Asset.Format.PNG, file);
            case "JPEG" -> pixels(Asset.Format.JPEG, file);
            case "TIFF" -> pixels(Asset.Format.TIFF, file);
            case "SVG" -> Drawings.look(file);
            case "PDF" -> documents.read(known);
            default ->
                    throw new Refused(
                            "“%s” is %s; pictures are placed as PNG, JPEG, TIFF, SVG or PDF. Export it as one of these."
                                    .formatted(name, kind));
        };
    }

    private static Asset.Content pixels(Asset.Format format, byte[] file) {
        PictureHead head = PictureHead.of(format, file);
        if (head.width() < 1 || head.height() < 1) {
            throw PictureHead.damaged(format);
        }
        long pixels = (long) head.width() * head.height();
        if (pixels > MOST_PIXELS) {
            throw new Refused(
                    "A picture of %d × %d pixels is too large to be placed (at most %d million pixels); make it smaller."
                            .formatted(head.width(), head.height(), MOST_PIXELS / 1_000_000));
        }
        if (head.pictures() > 1) {
            throw new Refused(
                    "This %s file holds %d pictures or the frames of an animation; export the one that is to be placed."
                            .formatted(format, head.pictures()));
        }
        int every = (int) Math.ceil(Math.sqrt((double) pixels / READ_PIXELS));
        PixelArray read = Decoder.read(format, file, every);
        boolean turned = head.orientation() >= 5;
        return new Asset.Pixels(
                format,
                turned ? head.height() : head.width(),
                turned ? head.width() : head.height(),
                head.ppi().orElse(72.0),
                read.colors(),
                usable(read).map(ProfileName::of),
                read.alpha().isPresent());
    }

    /** A profile that is for other colours than the picture's counts as none. */
    private static Optional<byte[]> usable(PixelArray read) {
        return read.profile().filter(profile -> ProfileName.fits(profile, read.colors()));
    }

    /** By its first bytes; another kind in words. */
    private static String kind(byte[] file) {
        if (starts(file, 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n')) {
            return "PNG";
        }
        if (starts(file, 0xff, 0xd8, 0xff)) {
            return "JPEG";
        }
        if (starts(file, 'I', 'I', 42, 0) || starts(file, 'M', 'M', 0, 42)) {
            return "TIFF";
        }
        String head = new String(file, 0, Math.min(file.length, 2048), StandardCharsets.ISO_8859_1);
        if (head.contains("%PDF-")) {
            return "PDF";
        }
        if (head.stripLeading().startsWith("<") || head.contains("<svg")) {
            return "SVG";
        }
        if (head.startsWith("GIF8")) {
            return "a GIF";
        }
        return head.startsWith("RIFF") && head.startsWith("WEBP", 8)
                ? "a WebP picture"
                : "of an unknown kind";
    }

    private static boolean starts(byte[] file, int... with) {
        return file.length >= with.length
                && IntStream.range(0, with.length).allMatch(i -> file[i] == (byte) with[i]);
    }

    private static final List<List<String>> ENDINGS =
            List.of(
                    List.of("PNG", ".png"),
                    List.of("JPEG", ".jpg", ".jpeg", ".jpe"),
                    List.of("TIFF", ".tif", ".tiff"),
                    List.of("SVG", ".svg"),
                    List.of("PDF", ".pdf"));

    private static void refuseOtherName(String name, String kind) {
        String lower = name.toLowerCase(Locale.ROOT);
        for (List<String> each : ENDINGS) {
            boolean named = each.stream().skip(1).anyMatch(lower::endsWith);
            if (named && !each.getFirst().equals(kind) && !kind.contains(" ")) {
                throw new Refused(
                        "“%s” is named like a %s file and is a %s file inside; rename it or export it again."
                                .formatted(name, each.getFirst(), kind));
            }
        }
    }
}
