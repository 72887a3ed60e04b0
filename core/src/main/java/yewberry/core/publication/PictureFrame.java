package yewberry.core.publication;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.function.UnaryOperator;
import yewberry.core.Refused;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Definition;
import yewberry.core.color.Numbers;

/**
 * A picture, a page of a PDF or a word in front of the backgrounds. As content it stands among the
 * text frames; as a running item it lies behind all content or over it, and says nothing to whoever
 * reads.
 *
 * @param rotation of the frame with what is in it about its middle, in degrees clockwise
 * @param fill a picture, a page or a word
 * @param opacity in percent; 100 covers
 * @param meaning what it says to those who do not see it
 * @param clear parts of the picture that text keeps off, such as a face
 * @param hold what it keeps to on pages of another size, where it is on a parent
 */
public record PictureFrame(
        UUID id,
        Sides sides,
        Box box,
        double rotation,
        Level level,
        Fill fill,
        double opacity,
        BlendMode blend,
        Background.GoesTo goesTo,
        Meaning meaning,
        List<Clear> clear,
        boolean locked,
        Hold hold)
        implements Frame {
    private static final int MOST_CLEAR = 20;

    /** Where it lies among the others. */
    public enum Level {
        /** Above the backgrounds, below all frames. */
        BEHIND,
        /** Among the text frames, in their order. */
        CONTENT,
        /** Above all frames. */
        OVER
    }

    /**
     * What a picture says.
     *
     * @param decoration whether it says nothing
     * @param text in place of the picture, for those who do not see it; empty if nothing is said
     *     yet
     * @throws Refused if the text is longer than 1000 characters
     */
    public record Meaning(boolean decoration, String text) {
        public static final Meaning OPEN = new Meaning(false, "");

        private static final int MOST = 1000;

        public Meaning {
            text = text.strip();
            if (text.length() > MOST) {
                throw new Refused(
                        "An alternative text has at most %d characters; this one has %d. Make it shorter, or say it in the text beside it."
                                .formatted(MOST, text.length()));
            }
        }

        /** Whether neither is said. */
        public boolean isOpen() {
            return !decoration && text.isEmpty();
        }
    }

    /**
     * A part of a picture, in percent of its width and height from the top left.
     *
     * @throws Refused if it does not lie within the picture, or holds nothing
     */
    public record Clear(double left, double top, double width, double height) {
        public Clear {
            if (!(left >= 0 && top >= 0 && width > 0 && height > 0)
                    || left + width > 100 + 1e-9
                    || top + height > 100 + 1e-9) {
                throw new Refused(
                        "A part to keep clear lies within the picture, from 0 % to 100 % of its width and height.");
            }
        }
    }

    public PictureFrame {
        clear = List.copyOf(clear);
        Definition.checkPercent("An opacity", opacity);
        if (!(Math.abs(rotation) <= 360)) {
            throw new Refused(
                    "A rotation of %s° is not possible; choose from -360° to 360°."
                            .formatted(Numbers.plain(rotation)));
        }
        switch (fill) {
            case Fill.Picture picture -> {}
            case Fill.PdfPage page -> {}
            case Fill.Word word -> {}
            case Fill.None none -> throw unfit();
            case Fill.Solid solid -> throw unfit();
            case Fill.Gradient gradient -> throw unfit();
        }
        if (clear.size() > MOST_CLEAR) {
            throw new Refused(
                    "A picture has at most %d parts to keep clear.".formatted(MOST_CLEAR));
        }
    }

    private static Refused unfit() {
        return new Refused(
                "In front of the backgrounds stands a picture, a page of a PDF or a word; for a colour, add a background.");
    }

    /** One that covers and goes everywhere, about which nothing is said yet. */
    public PictureFrame(UUID id, Sides sides, Box box, Level level, Fill fill) {
        this(
                id,
                sides,
                box,
                0,
                level,
                fill,
                100,
                BlendMode.NORMAL,
                Background.GoesTo.BOTH,
                Meaning.OPEN,
                List.of(),
                false,
                Hold.TOP_LEFT);
    }

    @Override
    public PictureFrame withHold(Hold changed) {
        return new PictureFrame(
                id, sides, box, rotation, level, fill, opacity, blend, goesTo, meaning, clear,
                locked, changed);
    }

    /** One that keeps to the top left. */
    public PictureFrame(
            UUID id,
            Sides sides,
            Box box,
            double rotation,
            Level level,
            Fill fill,
            double opacity,
            BlendMode blend,
            Background.GoesTo goesTo,
            Meaning meaning,
            List<Clear> clear,
            boolean locked) {
        this(
                id,
                sides,
                box,
                rotation,
                level,
                fill,
                opacity,
                blend,
                goesTo,
                meaning,
                clear,
                locked,
                Hold.TOP_LEFT);
    }

    @Override
    public PictureFrame withPlace(Sides changed, Box to) {
        return new PictureFrame(
                id, changed, to, rotation, level, fill, opacity, blend, goesTo, meaning, clear,
                locked, hold);
    }

    @Override
    public PictureFrame withLocked(boolean changed) {
        return new PictureFrame(
                id, sides, box, rotation, level, fill, opacity, blend, goesTo, meaning, clear,
                changed, hold);
    }

    public PictureFrame withRotation(double changed) {
        return new PictureFrame(
                id, sides, box, changed, level, fill, opacity, blend, goesTo, meaning, clear,
                locked, hold);
    }

    public PictureFrame withFill(Fill changed) {
        return new PictureFrame(
                id, sides, box, rotation, level, changed, opacity, blend, goesTo, meaning, clear,
                locked, hold);
    }

    public PictureFrame withOpacity(double changed) {
        return new PictureFrame(
                id, sides, box, rotation, level, fill, changed, blend, goesTo, meaning, clear,
                locked, hold);
    }

    public PictureFrame withBlend(BlendMode changed) {
        return new PictureFrame(
                id, sides, box, rotation, level, fill, opacity, changed, goesTo, meaning, clear,
                locked, hold);
    }

    public PictureFrame withGoesTo(Background.GoesTo changed) {
        return new PictureFrame(
                id, sides, box, rotation, level, fill, opacity, blend, changed, meaning, clear,
                locked, hold);
    }

    public PictureFrame withMeaning(Meaning changed) {
        return new PictureFrame(
                id, sides, box, rotation, level, fill, opacity, blend, goesTo, changed, clear,
                locked, hold);
    }

    public PictureFrame withClear(List<Clear> changed) {
        return new PictureFrame(
                id, sides, box, rotation, level, fill, opacity, blend, goesTo, meaning, changed,
                locked, hold);
    }

    /** Whether it repeats over pages beside the content. */
    public boolean isRunningItem() {
        return level != Level.CONTENT;
    }

    /** Whether whoever reads is told of it. */
    public boolean isRead() {
        return !isRunningItem() && !meaning.decoration();
    }

    @Override
    public List<Reference> references() {
        List<Reference> references = new ArrayList<>();
        fill.colors().forEach(color -> references.add(Reference.swatch(color.swatch())));
        fill.madeFrom().ifPresent(asset -> references.add(Reference.asset(asset)));
        return references;
    }

    @Override
    public PictureFrame withReference(UUID old, UUID replacement) {
        if (references().stream().noneMatch(each -> each.id().equals(old))) {
            return this;
        }
        UnaryOperator<UUID> exchange = id -> id.equals(old) ? replacement : id;
        return withFill(fill.withSwatches(exchange).withAsset(exchange));
    }
}
