package yewberry.pdf;

import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import yewberry.core.scene.Item;
import yewberry.core.scene.Origin;

/**
 * One thing that was added to a page of a file, as the file itself tells it.
 *
 * @param element what it was made from, in the publication that added it
 * @param name in words
 * @param behind whether it lies behind what was on the page; over it otherwise
 * @param resource the name of its form among the page's resources
 */
public record AddedItem(Kind kind, UUID element, String name, boolean behind, String resource) {
    private static final COSName KIND = COSName.getPDFName("Kind");
    private static final COSName ELEMENT = COSName.getPDFName("Element");
    private static final COSName CALLED = COSName.getPDFName("Called");
    private static final COSName BEHIND = COSName.getPDFName("Behind");
    private static final COSName FORM = COSName.getPDFName("Form");

    /** What can be taken off by itself; each is an artifact (ISO 32000-1, 14.8.2.2). */
    public enum Kind {
        BACKGROUND("/Type /Background"),
        WATERMARK("/Type /Pagination /Subtype /Watermark"),
        RUNNING_TEXT("/Type /Pagination"),
        TEXT("/Type /Layout"),
        PICTURE("/Type /Layout"),
        /**
         * Colours of the page itself that are others: its content changed, and nothing is added.
         */
        COLORS(""),
        /** What other programs put there and marked is left out: the content changed, too. */
        LEFT_OUT("");

        private final String artifact;

        Kind(String artifact) {
            this.artifact = artifact;
        }

        String artifact() {
            return artifact;
        }

        boolean isPainted() {
            return this != COLORS && this != LEFT_OUT;
        }
    }

    /** What other programs mark, and what can be told apart of it. */
    static final Set<Kind> BY_OTHERS = Set.of(Kind.BACKGROUND, Kind.WATERMARK, Kind.RUNNING_TEXT);

    /** That something of others is left out. */
    static AddedItem leftOut(Set<Kind> kinds) {
        String words =
                kinds.stream()
                        .sorted()
                        .map(kind -> kind.name().toLowerCase(Locale.ROOT).replace('_', ' '))
                        .collect(Collectors.joining(", "));
        UUID element = UUID.nameUUIDFromBytes(words.getBytes(StandardCharsets.UTF_8));
        return new AddedItem(Kind.LEFT_OUT, element, words + " of others", false, "Added0");
    }

    /** That colours of the page are others. */
    static AddedItem colors(UUID file, String words) {
        return new AddedItem(Kind.COLORS, file, words, false, "Added0");
    }

    static Kind kind(Item item) {
        return switch (item) {
            case Item.AreaFill fill -> Kind.BACKGROUND;
            case Item.FrontFill fill ->
                    fill.source().isRunningItem() ? Kind.WATERMARK : Kind.PICTURE;
            case Item.TextFill fill -> text(fill.origin());
            case Item.GlyphRun run -> text(run.origin());
            case Item.GlyphStroke line -> text(line.origin());
        };
    }

    private static Kind text(Origin origin) {
        return origin instanceof Origin.FromParent ? Kind.RUNNING_TEXT : Kind.TEXT;
    }

    static UUID element(Item item) {
        return switch (item) {
            case Item.AreaFill fill -> fill.background();
            case Item.FrontFill fill -> fill.element();
            case Item.TextFill fill -> fill.textFrame();
            case Item.GlyphRun run -> run.frame();
            case Item.GlyphStroke line -> line.letters().frame();
        };
    }

    static String name(Item item) {
        return switch (item) {
            case Item.AreaFill fill -> fill.inWords();
            case Item.FrontFill fill -> fill.named();
            case Item.TextFill fill -> fill.kind().inWords();
            case Item.GlyphRun run -> run.text();
            case Item.GlyphStroke line -> line.letters().text();
        };
    }

    COSDictionary dictionary() {
        COSDictionary item = new COSDictionary();
        item.setName(KIND, kind.name());
        item.setString(ELEMENT, element.toString());
        item.setString(CALLED, name);
        item.setBoolean(BEHIND, behind);
        item.setName(FORM, resource);
        return item;
    }

    /**
     * Nothing where it is not one that can be understood: a file may say anything, and the name of
     * the form goes into content.
     */
    static Optional<AddedItem> of(COSDictionary item) {
        String form = item.getNameAsString(FORM);
        if (form == null || !form.matches("Added[0-9]{1,9}")) {
            return Optional.empty();
        }
        try {
            return Optional.of(
                    new AddedItem(
                            Kind.valueOf(item.getNameAsString(KIND)),
                            UUID.fromString(item.getString(ELEMENT)),
                            item.getString(CALLED, ""),
                            item.getBoolean(BEHIND, false),
                            form));
        } catch (IllegalArgumentException | NullPointerException other) {
            return Optional.empty();
        }
    }
}
