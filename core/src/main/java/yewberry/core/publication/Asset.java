package yewberry.core.publication;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import yewberry.core.Names;
import yewberry.core.Refused;

/**
 * A file that fills are made from. The publication knows it by its id, so that another file can
 * take its place everywhere at once.
 *
 * @param sha256 of the file's bytes, in hexadecimal: what it is stored under
 * @param recolored colours of its pages that are others here; the first that changes one counts
 * @param backings what lies behind words of its pages here, those that came first below
 */
public record Asset(
        UUID id,
        String name,
        String sha256,
        Content content,
        List<Recolor> recolored,
        List<Backing> backings)
        implements Element {
    /** So many colours of one are changed at most. */
    private static final int MOST_COLORS = 200;

    /** Colours lie behind so many places of one at most. */
    private static final int MOST_BACKINGS = 2000;

    public Asset {
        name = Names.checked("picture", name);
        recolored = List.copyOf(recolored);
        backings = List.copyOf(backings);
        boolean changes = !recolored.isEmpty() || !backings.isEmpty();
        if (changes && !(content instanceof Document)) {
            throw new Refused(
                    "Only colours of PDFs whose pages are pages here can be changed; “%s” is not one."
                            .formatted(name));
        }
        if (recolored.size() > MOST_COLORS) {
            throw new Refused(
                    "Of one file at most %d colours are changed; take one back first."
                            .formatted(MOST_COLORS));
        }
        if (backings.size() > MOST_BACKINGS) {
            throw new Refused(
                    "Colours lie behind words of one file in %d places at most; take one back first."
                            .formatted(MOST_BACKINGS));
        }
    }

    /** One with the colours that it has. */
    public Asset(UUID id, String name, String sha256, Content content) {
        this(id, name, sha256, content, List.of(), List.of());
    }

    public Asset withName(String changed) {
        return new Asset(id, changed, sha256, content, recolored, backings);
    }

    public Asset withRecolored(List<Recolor> changed) {
        return new Asset(id, name, sha256, content, changed, backings);
    }

    public Asset withBackings(List<Backing> changed) {
        return new Asset(id, name, sha256, content, recolored, changed);
    }

    /** The colours that are others on one of its pages. */
    public Stream<Recolor> recoloredOn(int page) {
        return recolored.stream().filter(each -> each.isOn(page));
    }

    /** What lies behind words of one of its pages. */
    public Stream<Backing> backingsOn(int page) {
        return backings.stream().filter(each -> each.page() == page);
    }

    /** Whether one of its pages looks as it does in another state of it. */
    public boolean isSameOn(int page, Asset other) {
        return this == other
                || name.equals(other.name)
                        && sha256.equals(other.sha256)
                        && content.equals(other.content)
                        && recoloredOn(page).toList().equals(other.recoloredOn(page).toList())
                        && backingsOn(page).toList().equals(other.backingsOn(page).toList());
    }

    /** What the file was found to hold when it came in. */
    public sealed interface Content {}

    /**
     * A picture of pixels, turned the right way up.
     *
     * @param width pixels
     * @param height pixels
     * @param ppi pixels per inch, as the file says; 72 where it says nothing
     * @param profile the name of the embedded ICC profile; nothing means that the colours are taken
     *     for sRGB, or for those of the press condition if they are CMYK
     * @param transparent whether some of it may let through what is below
     */
    public record Pixels(
            Format format,
            int width,
            int height,
            double ppi,
            Colors colors,
            Optional<String> profile,
            boolean transparent)
            implements Content {}

    public enum Format {
        PNG,
        JPEG,
        TIFF
    }

    public enum Colors {
        RGB,
        CMYK,
        GREY
    }

    /** A drawing of lines and shapes, in points. */
    public record Drawing(double width, double height) implements Content {}

    /**
     * The pages of a PDF.
     *
     * @param encrypted whether it is, so that its pages go nowhere but into that file
     */
    public record Document(List<Leaf> pages, boolean encrypted) implements Content {
        public Document {
            pages = List.copyOf(pages);
        }

        /** One that is not encrypted. */
        public Document(List<Leaf> pages) {
            this(pages, false);
        }
    }

    /**
     * A page of a PDF, as it is seen: cropped and turned.
     *
     * @param width points
     * @param height points
     * @param screenColor whether it is painted in colours of the screen anywhere
     * @param missingFonts the names of fonts that are not embedded
     */
    public record Leaf(
            double width, double height, boolean screenColor, List<String> missingFonts) {
        public Leaf {
            missingFonts = List.copyOf(missingFonts);
        }
    }

    /** A size in points. */
    public record Extent(double width, double height) {}

    /**
     * How large it is by itself, in points.
     *
     * @param page of a document, from 1
     */
    public Extent extent(int page) {
        return switch (content) {
            case Pixels pixels ->
                    new Extent(
                            pixels.width() * 72 / pixels.ppi(),
                            pixels.height() * 72 / pixels.ppi());
            case Drawing drawing -> new Extent(drawing.width(), drawing.height());
            case Document document -> {
                Leaf leaf = document.pages().get(page - 1);
                yield new Extent(leaf.width(), leaf.height());
            }
        };
    }

    @Override
    public List<Reference> references() {
        return Stream.concat(
                        recolored.stream().flatMap(each -> each.to().stream()),
                        backings.stream().map(Backing::color))
                .map(each -> Reference.swatch(each.swatch()))
                .toList();
    }

    @Override
    public Asset withReference(UUID old, UUID replacement) {
        return references().stream().noneMatch(each -> each.id().equals(old))
                ? this
                : withRecolored(
                                recolored.stream()
                                        .map(each -> each.withReference(old, replacement))
                                        .toList())
                        .withBackings(
                                backings.stream()
                                        .map(each -> each.withReference(old, replacement))
                                        .toList());
    }
}
