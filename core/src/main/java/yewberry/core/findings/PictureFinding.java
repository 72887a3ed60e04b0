package yewberry.core.findings;

import java.util.List;
import java.util.Locale;
import java.util.UUID;
import yewberry.core.color.Numbers;
import yewberry.core.press.FlatBox;
import yewberry.core.publication.Asset;
import yewberry.core.scene.Item;

/** What is wrong with a picture or a page of a PDF that is placed. */
public sealed interface PictureFinding extends AreaFinding {
    /** What is wanted in print, in pixels per inch: common practice, no source. */
    double WANTED_PPI = 300;

    /** Below it pixels are seen: common practice, no source. */
    double LEAST_PPI = 150;

    /** Too few pixels for its size. */
    record TooCoarse(UUID page, Item.Filled fill, double ppi) implements PictureFinding {
        @Override
        public String message() {
            return ppi < LEAST_PPI
                    ? "At this size “%s” has %s pixels per inch, and they will be seen. Make it smaller on the page, or take one with more pixels."
                            .formatted(fill.inWords(), Numbers.plain(Math.floor(ppi + 1e-6)))
                    : "At this size “%s” has %s pixels per inch; 300 are wanted where fine detail matters."
                            .formatted(fill.inWords(), Numbers.plain(Math.floor(ppi + 1e-6)));
        }

        @Override
        public Severity severity() {
            return ppi < LEAST_PPI ? Severity.WRONG : Severity.DOUBTFUL;
        }

        @Override
        public String rule() {
            return "300 pixels per inch wanted in print, under 150 wrong: common practice, no source.";
        }
    }

    /** A file that cannot be drawn any more. */
    record Unreadable(UUID page, Item.Filled fill, String reason) implements PictureFinding {
        @Override
        public String message() {
            return "“%s” cannot be drawn, and grey stands for it: %s"
                    .formatted(fill.inWords(), reason);
        }

        @Override
        public Severity severity() {
            return Severity.WRONG;
        }

        @Override
        public String rule() {
            return "Every picture and every page that is placed can be drawn.";
        }
    }

    /** A flat box of one colour around what is meant. */
    record Boxed(UUID page, Item.AreaFill fill, FlatBox box) implements PictureFinding {
        @Override
        public String message() {
            String found =
                    "“%s” has a box around it in %s, which stands out from the background."
                            .formatted(fill.inWords(), box.color().hex());
            return box.comesOffCleanly()
                    ? found + " Make that colour see-through."
                    : "%s It is too uneven to come off cleanly: %s %% of its edge would remain. Take a picture with a transparent background."
                            .formatted(
                                    found,
                                    Numbers.plain(Math.max(1, Math.rint(box.remains() * 100))));
        }

        @Override
        public Severity severity() {
            return Severity.WRONG;
        }

        @Override
        public String rule() {
            return "A picture shows no box of its own on a coloured background: common practice, no source.";
        }
    }

    /** Something in a placed PDF that a file for the press must not have. */
    record NotForPress(UUID page, Item.Filled fill, Asset.Leaf leaf) implements PictureFinding {
        @Override
        public String message() {
            List<String> fonts = leaf.missingFonts();
            String missing =
                    "the %s %s not embedded"
                            .formatted(
                                    fonts.size() == 1 ? "font" : "fonts",
                                    String.join(", ", fonts)
                                            + (fonts.size() == 1 ? " is" : " are"));
            String screen = "it is painted in colours of the screen (device RGB)";
            String what =
                    !leaf.screenColor()
                            ? missing
                            : fonts.isEmpty() ? screen : screen + ", and " + missing;
            return "“%s” is kept as it is, and %s; the press file must not have that. Export the PDF again for print."
                    .formatted(fill.inWords(), what);
        }

        @Override
        public Severity severity() {
            return Severity.WRONG;
        }

        @Override
        public String rule() {
            return "ISO 15930-7: colours under the output intent are its inks, and all fonts are embedded.";
        }
    }

    /** A blend mode that a spot ink cannot take part in. */
    record SpotCannotBlend(UUID page, Item.AreaFill fill, List<String> inks)
            implements PictureFinding {
        @Override
        public String message() {
            return "“%s” is set to %s, which cannot act on the spot %s %s: %s as if the mode were normal."
                    .formatted(
                            fill.inWords(),
                            fill.blend().name().toLowerCase(Locale.ROOT).replace('_', ' '),
                            inks.size() == 1 ? "ink" : "inks",
                            String.join(", ", inks),
                            inks.size() == 1 ? "it stays" : "they stay");
        }

        @Override
        public Severity severity() {
            return Severity.DOUBTFUL;
        }

        @Override
        public String rule() {
            return "ISO 32000-1, 11.7.4.2: on spot inks only modes act that are separable and keep white.";
        }
    }
}
