package yewberry.core.findings;

import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import yewberry.core.color.Contrast;
import yewberry.core.color.Lab;
import yewberry.core.color.Numbers;
import yewberry.core.legibility.RunContrast;
import yewberry.core.publication.LinkTo;
import yewberry.core.scene.Item;
import yewberry.core.scene.Origin;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;

/** One thing a check reports: where, what, how bad and why. */
public sealed interface Finding
        permits Finding.TooLittleContrast,
                Finding.TextOverflow,
                Finding.StockNotPrinted,
                Finding.OfCharacters,
                Finding.DeadLink,
                LooseLine,
                RunsIntoText,
                FrontFinding,
                OnPageContent,
                GraphicFinding,
                AreaFinding,
                PressFinding {
    UUID page();

    Origin origin();

    /** In the space of the page. */
    Rect where();

    /** The words or the thing it is about. */
    String text();

    /** What is wrong and why, for the person at the screen. */
    String message();

    /** The rule behind it, and where the rule comes from. */
    String rule();

    default Severity severity() {
        return Severity.WRONG;
    }

    /** How bad a finding is. */
    enum Severity {
        /** It will be seen, or lost. */
        WRONG,
        /** It may be meant, or may turn out well. */
        DOUBTFUL
    }

    /**
     * Text that does not stand out enough from something it lies on.
     *
     * @param circumstance that this is so under, in words, where there are several
     * @param isVerdict whether it is as designed, and not under another viewing
     */
    record TooLittleContrast(
            UUID page, RunContrast contrast, Optional<String> circumstance, boolean isVerdict)
            implements Finding {
        @Override
        public Origin origin() {
            return contrast.run().origin();
        }

        @Override
        public Rect where() {
            return contrast.run().bounds();
        }

        @Override
        public String text() {
            return contrast.run().text();
        }

        @Override
        public String message() {
            RunContrast.Against worst = contrast.worst();
            String several =
                    contrast.against().size() == 1
                            ? ""
                            : " It lies on %d colours; this is the worst of them%s, and %s %% of what is behind it fails."
                                    .formatted(
                                            contrast.against().size(),
                                            contrast.spot()
                                                    .map(spot -> ", at “%s”".formatted(spot.word()))
                                                    .orElse(""),
                                            percent(contrast.failing()));
            String chosen =
                    contrast.run()
                            .choice()
                            .filter(choice -> !choice.legible())
                            .map(choice ->
                                    " None of the swatches of “%s” is legible here; add one that is, or change what lies behind."
                                            .formatted(choice.name()))
                            .orElse("");
            String through =
                    worst.veiled()
                            ? " It is seen through what lies over it: make that fainter, move it, or put it behind the content."
                            : "";
            return "%s“%s” on %s has a contrast of %s : 1 and needs %s : 1 (%s).%s%s%s"
                    .formatted(
                            circumstance
                                    .map(words ->
                                            words.substring(0, 1).toUpperCase(Locale.ROOT)
                                                    + words.substring(1)
                                                    + ", ")
                                    .orElse(""),
                            contrast.run().paint().inWords(),
                            worst.name(),
                            Contrast.cut(worst.ratio()),
                            Numbers.plain(contrast.required()),
                            contrast.sizeClass().reason(),
                            several,
                            chosen,
                            through);
        }

        private static String percent(double share) {
            return share > 0 && share < 0.01 ? "under 1" : Long.toString(Math.round(100 * share));
        }

        @Override
        public String rule() {
            return "%s: %s : 1 for %s."
                    .formatted(
                            contrast.byOwnRule()
                                    ? "This publication's own rule"
                                    : "WCAG 2.2, contrast",
                            Numbers.plain(contrast.required()),
                            contrast.sizeClass().large() ? "large text" : "normal text");
        }
    }

    /** Text that found no room in its frame and is not printed. */
    record TextOverflow(UUID page, PageScene.Overset overset) implements Finding {
        @Override
        public Origin origin() {
            return overset.origin();
        }

        @Override
        public Rect where() {
            return overset.where();
        }

        @Override
        public String text() {
            return overset.text();
        }

        @Override
        public String message() {
            int characters = overset.text().codePointCount(0, overset.text().length());
            return "%d characters do not fit their frame and are left out; make the frame larger, the type smaller, or cut the text."
                    .formatted(characters);
        }

        @Override
        public String rule() {
            return "All text is printed.";
        }
    }

    /** Words that lead to what is not there. */
    record DeadLink(UUID page, PageScene.Link link) implements Finding {
        @Override
        public Origin origin() {
            return link.origin();
        }

        @Override
        public Rect where() {
            return link.around();
        }

        @Override
        public String text() {
            return link.text();
        }

        @Override
        public String message() {
            return "“%s” leads to a %s that is gone; choose where it leads, or take the link off."
                    .formatted(
                            link.text(), link.to() instanceof LinkTo.ToPage ? "page" : "paragraph");
        }

        @Override
        public String rule() {
            return "Every link leads somewhere.";
        }
    }

    /** A coloured stock that only the screen shows, on a page without a background. */
    record StockNotPrinted(UUID page, Rect where, Lab stock) implements Finding {
        @Override
        public Origin origin() {
            return new Origin.FromPage(page);
        }

        @Override
        public String text() {
            return "Stock, " + stock;
        }

        @Override
        public String message() {
            return "This is never printed: the stock is only simulated, and the page has no background. Make it a real background, or answer that the paper really is this colour.";
        }

        @Override
        public String rule() {
            return "A stock with a chroma over 8 or darker than L* 85 would pass for ink: common practice, no source.";
        }
    }

    /** Characters that are not set in the font they were meant for. */
    sealed interface OfCharacters extends Finding permits MissingCharacters, OtherFont {
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
        default String rule() {
            return "Every character has a shape in its font.";
        }
    }

    /**
     * Characters that the font does not have, and another has.
     *
     * @param wanted the family that does not have them
     */
    record OtherFont(UUID page, Item.GlyphRun run, String wanted) implements OfCharacters {
        public OtherFont {
            run = run.withoutGlyphs();
        }

        @Override
        public String message() {
            return "%s has no shape for “%s”, and %s stands in; choose a font that has, if it is to look alike."
                    .formatted(wanted, text(), run.face().family());
        }

        /** The characters, each once. */
        @Override
        public String text() {
            return run.text()
                    .codePoints()
                    .filter(each -> !Character.isWhitespace(each))
                    .distinct()
                    .limit(12)
                    .mapToObj(Character::toString)
                    .collect(Collectors.joining());
        }
    }

    /** Characters that no font here has. */
    record MissingCharacters(UUID page, Item.GlyphRun run, String text) implements OfCharacters {
        public MissingCharacters {
            run = run.withoutGlyphs();
        }

        @Override
        public String message() {
            return "%s has no shape for “%s”, nor has another font here; use other characters."
                    .formatted(run.face().family(), text);
        }
    }
}
