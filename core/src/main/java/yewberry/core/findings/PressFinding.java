package yewberry.core.findings;

import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import yewberry.core.color.Medium;
import yewberry.core.color.Numbers;
import yewberry.core.press.InkPlace;
import yewberry.core.press.TrimEdge;
import yewberry.core.publication.PressChecks;
import yewberry.core.scene.Item;
import yewberry.core.scene.Origin;
import yewberry.core.scene.Rect;

/** What a press cannot print well. */
public sealed interface PressFinding extends Finding {
    /** More ink in one place than the press condition takes. */
    record TooMuchInk(UUID page, InkPlace place, double limit) implements PressFinding {
        @Override
        public Origin origin() {
            return place.item().origin();
        }

        @Override
        public Rect where() {
            return place.where();
        }

        @Override
        public String text() {
            return words(place.item());
        }

        @Override
        public String message() {
            String over =
                    place.backdrop()
                            .map(backdrop -> " over “%s”".formatted(named(backdrop)))
                            .orElse("");
            return "“%s”%s puts %s %% of ink in one place; the press condition takes %s %%. More sets off on the next sheet and does not dry."
                    .formatted(
                            named(place.item()),
                            over,
                            Numbers.plain(place.total()),
                            Numbers.plain(limit));
        }

        @Override
        public Severity severity() {
            return Severity.WRONG;
        }

        @Override
        public String rule() {
            return "At most %s %% of ink in one place: the limit of the press condition."
                    .formatted(Numbers.plain(limit));
        }
    }

    /** Small type made of more inks than is safe. */
    record SmallTypeInInks(UUID page, Item.GlyphRun run, Set<String> inks, PressChecks checks)
            implements OfText {
        public SmallTypeInInks {
            run = run.withoutGlyphs();
        }

        @Override
        public String message() {
            return "Type of %s pt is made of %d inks (%s); where the plates do not meet exactly, it gets coloured edges. Set it in one ink, or larger."
                    .formatted(Numbers.plain(run.size()), inks.size(), String.join(", ", inks));
        }

        @Override
        public String rule() {
            return "Type under %s in at most %d %s: common practice; the bounds are in the setup."
                    .formatted(
                            checks.smallType(),
                            checks.smallTypeInks(),
                            checks.smallTypeInks() == 1 ? "ink" : "inks");
        }
    }

    /** Small type left open in too many inks. */
    record SmallTypeReversed(
            UUID page, Item.GlyphRun run, String backdrop, Set<String> inks, PressChecks checks)
            implements OfText {
        public SmallTypeReversed {
            run = run.withoutGlyphs();
        }

        @Override
        public String message() {
            return "Type of %s pt is reversed out of “%s” in %d inks (%s); where the plates do not meet exactly, it fills in. Set it larger, or reverse it out of fewer inks."
                    .formatted(
                            Numbers.plain(run.size()),
                            backdrop,
                            inks.size(),
                            String.join(", ", inks));
        }

        @Override
        public String rule() {
            return "Type under %s not reversed out of %d inks or more: common practice; the bounds are in the setup."
                    .formatted(checks.smallType(), checks.reversedInks());
        }
    }

    /** Text on a picture that is light and dark by turns behind its letters. */
    record TextOnBusy(UUID page, Item.GlyphRun run, double variation) implements OfText {
        /** The standard deviation of L* behind a letter from which on eyes are led astray. */
        static final double BUSY = 12;

        public TextOnBusy {
            run = run.withoutGlyphs();
        }

        @Override
        public String message() {
            return "The picture behind this text is restless: its lightness L* changes by %s within a letter. Put a veil or a shading between them, or move the text to a calm part."
                    .formatted(Numbers.plain(Math.rint(variation)));
        }

        @Override
        public String rule() {
            return "The lightness L* behind a letter varies by less than %s (standard deviation): common practice, no source."
                    .formatted(Numbers.plain(BUSY));
        }
    }

    /**
     * A thin line in a tint, which is printed as a row of dots.
     *
     * @param item a border, or the line around letters
     * @param line how wide it is, in points
     * @param inks that are screened
     */
    record Hairline(UUID page, Item item, double line, Set<String> inks) implements PressFinding {
        /** In points; a line this wide has enough dots to hold together. */
        static final double WIDE = 0.5;

        public Hairline {
            item = item.withoutGlyphs();
        }

        @Override
        public Origin origin() {
            return item.origin();
        }

        @Override
        public Rect where() {
            return item.bounds();
        }

        @Override
        public String text() {
            return words(item);
        }

        @Override
        public String message() {
            return "A line of %s pt is in a tint of %s; it is printed as dots and breaks up. Make it wider, or of inks in full strength."
                    .formatted(Numbers.plain(Math.rint(line * 100) / 100), String.join(", ", inks));
        }

        @Override
        public String rule() {
            return "Lines under %s pt are of inks in full strength: common practice, no source."
                    .formatted(Numbers.plain(WIDE));
        }
    }

    /** A large area of black ink alone. */
    record PlainBlackArea(
            UUID page, InkPlace place, Item.AreaFill fill, double limit, PressChecks checks)
            implements OfArea {
        @Override
        public Rect where() {
            return place.where();
        }

        @Override
        public String message() {
            return "%s cm² of black ink alone looks thin and spotty in print; a richer black within the limit of %s %% covers better."
                    .formatted(Numbers.plain(Math.rint(place.area())), Numbers.plain(limit));
        }

        @Override
        public String rule() {
            return "Plain black on at most %s cm²: common practice; the bound is in the setup."
                    .formatted(Numbers.plain(checks.plainBlack()));
        }
    }

    /** Light text that is set to overprint, which would lose it. */
    record LightOverprint(UUID page, Item.GlyphRun run) implements OfText {
        public LightOverprint {
            run = run.withoutGlyphs();
        }

        @Override
        public String message() {
            return "The look “%s” is set to overprint, but this text is light and would vanish in what is below it; it is knocked out instead."
                    .formatted(run.look().name());
        }

        @Override
        public String rule() {
            return "White and light text never overprints: common practice, no source.";
        }
    }

    /** An area, or a picture in front, whose edge the knife may miss. */
    record EndsAtTrim(UUID page, Item.Filled fill, TrimEdge edge) implements OfArea {
        @Override
        public String message() {
            String name = edge.edge().name().toLowerCase(Locale.ROOT);
            String distance = Numbers.plain(Math.rint(Math.abs(edge.millimetres()) * 100) / 100);
            return edge.beyond() > 0
                    ? "At the %s it ends %s mm beyond the trim, short of the bleed; where the knife is off, a white line is left. Let it bleed off there."
                            .formatted(name, distance)
                    : "At the %s it ends %s mm inside the trim, which the knife may miss. Let it bleed off, or end it clearly inside."
                            .formatted(name, distance);
        }

        @Override
        public Severity severity() {
            return Severity.WRONG;
        }

        @Override
        public String rule() {
            return "What touches the trim goes on to the bleed; the knife may be off by 0.5 mm: common practice, no source.";
        }
    }

    /** Text outside the safe area. */
    record TextNearTrim(UUID page, Item.GlyphRun run) implements OfText {
        public TextNearTrim {
            run = run.withoutGlyphs();
        }

        @Override
        public String message() {
            return "This text leaves the safe area and may be cut into. Move its frame inwards.";
        }

        @Override
        public String rule() {
            return "Text stays in the safe area of the setup.";
        }
    }

    /**
     * A background that does not go where the publication goes.
     *
     * @param medium that it is left out on
     */
    record BackgroundLeftOut(UUID page, Item.AreaFill fill, Medium medium) implements OfArea {
        @Override
        public String message() {
            return switch (medium) {
                case PAPER -> "This background goes to the screen only; it will not be printed.";
                case SCREEN ->
                        "This background goes to paper only; it will not be in the file for the screen.";
            };
        }

        @Override
        public String rule() {
            return "A background is everywhere where the publication goes, unless it is switched off there.";
        }
    }

    /** A finding about one area. */
    sealed interface OfArea extends PressFinding, AreaFinding {}

    /** A finding about one run of text. */
    sealed interface OfText extends PressFinding {
        Item.GlyphRun run();

        @Override
        default Origin origin() {
            return run().origin();
        }

        @Override
        default Rect where() {
            return run().bounds();
        }

        @Override
        default String text() {
            return run().text();
        }
    }

    @Override
    default Severity severity() {
        return Severity.DOUBTFUL;
    }

    private static String words(Item item) {
        return switch (item) {
            case Item.AreaFill fill -> "Background in " + fill.inWords();
            case Item.FrontFill fill -> "%s %s".formatted(fill.kind(), fill.named());
            case Item.TextFill fill -> "%s in %s".formatted(fill.kind().inWords(), fill.inWords());
            case Item.GlyphStroke line -> "Outline of “%s”".formatted(line.letters().text());
            case Item.GlyphRun run -> run.text();
        };
    }

    private static String named(Item item) {
        return switch (item) {
            case Item.Filled fill -> fill.inWords();
            case Item.Lettering text -> text.paint().inWords();
        };
    }
}
