package yewberry.server.demo;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Definition;
import yewberry.core.color.Rgb;
import yewberry.core.publication.Basis;
import yewberry.core.publication.Keeps;
import yewberry.core.publication.Length;
import yewberry.core.publication.Letters;
import yewberry.core.publication.ListMark;
import yewberry.core.publication.Look;
import yewberry.core.publication.Outline;
import yewberry.core.publication.Role;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.TabStop;
import yewberry.core.publication.TextSetting;
import yewberry.core.publication.Tinted;

/** The swatches of the season guide, and the looks of its paragraphs. */
final class DemoLooks {
    final Swatch black = swatch("Black", new Cmyk(0, 0, 0, 100));
    final Swatch white = swatch("White", new Cmyk(0, 0, 0, 0));
    final Swatch midnight = swatch("Midnight", new Cmyk(100, 86, 42, 52));
    final Swatch dusk = swatch("Dusk", new Cmyk(82, 64, 22, 12));
    final Swatch moonlight = swatch("Moonlight", new Cmyk(5, 3, 12, 0));
    final Swatch sand = swatch("Sand", new Cmyk(3, 6, 18, 0));
    final Swatch slate = swatch("Slate", new Cmyk(62, 46, 36, 28));
    final Swatch lantern = defined("Lantern", new Definition.SpotInk(new Cmyk(0, 48, 92, 0)));
    final Swatch haze = defined("Haze", new Definition.Tint(dusk.id(), 40));
    final Swatch afterglow = defined("Afterglow", new Definition.Mix(lantern.id(), dusk.id(), 35));
    final Swatch shingle = defined("Shingle", new Definition.Lighter(sand.id(), 45));
    final Swatch reading =
            defined(
                    "Reading",
                    new Definition.Legible(List.of(black.id(), moonlight.id()), List.of()));
    final Swatch beacon = swatch("Beacon", new Rgb(0xd9, 0x4f, 0x2b));

    final Look title =
            followed("Title", 700, 46, 48, moonlight, "Subtitle").withRole(Optional.of(Role.TITLE));
    final Look subtitle = look("Subtitle", "Source Sans 3", 600, 15, 19, 8, moonlight);
    final Look heading =
            followed("Heading", 600, 23, 27, black, "Body").withRole(Optional.of(Role.HEADING_1));
    final Look body =
            look("Body", "Source Serif 4", 400, 9.5, 13.5, 6, black)
                    .withRole(Optional.of(Role.BODY));
    final Look nightHeading =
            followed("Night heading", 600, 23, 27, moonlight, "Night body")
                    .withRole(Optional.of(Role.HEADING_1))
                    .withBasis(
                            Optional.of(new Basis(heading.id(), Set.of("color", "setting.keeps"))))
                    .withSetting(beginning());
    final Look nightBody =
            look("Night body", "Source Serif 4", 400, 9.5, 13.5, 6, reading)
                    .withRole(Optional.of(Role.BODY))
                    .withBasis(Optional.of(new Basis(body.id(), Set.of("color"))));
    final Look caption =
            look("Caption", "Source Sans 3", 400, 7.5, 10, 0, black)
                    .withColor(new Tinted(black.id(), 80))
                    .withRole(Optional.of(Role.CAPTION));
    final Look nightCaption = look("Night caption", "Source Sans 3", 400, 9, 11.5, 0, moonlight);
    final Look smallPrint = look("Small print", "Source Sans 3", 400, 7, 9, 10, moonlight);

    final Look call =
            look("Call", "Fraunces", 700, 21, 24, 0, lantern)
                    .withItalic(true)
                    .withAlignment(Look.Alignment.CENTER)
                    .withOutline(
                            Optional.of(
                                    new Outline(
                                            Tinted.full(midnight.id()),
                                            Length.pt(1.2),
                                            Outline.Join.ROUND,
                                            false)));

    /** Of an article that goes on from the page before. */
    final Look nextArticle =
            followed("Next article", 600, 23, 27, black, "Body")
                    .withRole(Optional.of(Role.HEADING_1))
                    .withBasis(Optional.of(new Basis(heading.id(), Set.of("setting.keeps"))))
                    .withSetting(beginning());

    final Look contents =
            look("Contents", "Source Serif 4", 400, 9.5, 13.5, 0, black)
                    .withBasis(
                            Optional.of(
                                    new Basis(
                                            body.id(),
                                            Set.of(
                                                    "before",
                                                    "setting.tabs",
                                                    "setting.letters.figures"))))
                    .withSetting(
                            TextSetting.USUAL
                                    .withLetters(
                                            new Letters(
                                                    Letters.Capitals.AS_TYPED,
                                                    Letters.Figures.OLD_STYLE_TABLE))
                                    .withTabs(
                                            List.of(
                                                    new TabStop(
                                                            Optional.empty(),
                                                            TabStop.Side.RIGHT,
                                                            ". "))));

    final Look list = listed("List", new ListMark.Bullet("–"));
    final Look steps =
            listed(
                    "Steps",
                    new ListMark.Numbered(ListMark.NumberStyle.FIGURES, "", ".", false, false));

    private static Swatch defined(String name, Definition definition) {
        return new Swatch(DemoPublication.id("swatch " + name), name, definition);
    }

    private static Swatch swatch(String name, Color color) {
        return new Swatch(DemoPublication.id("swatch " + name), name, color);
    }

    static Look look(
            String name,
            String family,
            int weight,
            double size,
            double leading,
            double before,
            Swatch color) {
        return new Look(
                DemoPublication.id("look " + name),
                name,
                family,
                weight,
                Length.pt(size),
                Length.pt(leading),
                Length.pt(before),
                Look.Alignment.LEFT,
                Tinted.full(color.id()),
                Look.Overprint.BLACK);
    }

    /** That an article begins in the next frame. */
    private static TextSetting beginning() {
        return TextSetting.USUAL.withKeeps(Keeps.USUAL.withBegin(Keeps.Begin.FRAME));
    }

    /** The looks of lists are body text with a mark that hangs before it. */
    private Look listed(String name, ListMark.Mark mark) {
        return look(name, "Source Serif 4", 400, 9.5, 13.5, 3, black)
                .withList(Optional.of(new ListMark(mark, 1, Optional.empty())))
                .withSetting(TextSetting.USUAL.withIndents(Length.mm(-5), Length.mm(5)))
                .withBasis(
                        Optional.of(
                                new Basis(
                                        body.id(),
                                        Set.of(
                                                "before",
                                                "list",
                                                "setting.first",
                                                "setting.left"))));
    }

    /**
     * A look of headings.
     *
     * @param next the name of the look of what is begun after it
     */
    private static Look followed(
            String name, int weight, double size, double leading, Swatch color, String next) {
        return look(name, "Fraunces", weight, size, leading, 0, color)
                .withNext(Optional.of(DemoPublication.id("look " + next)));
    }

    List<Swatch> swatches() {
        return List.of(
                black, white, midnight, dusk, moonlight, sand, slate, beacon, lantern, haze,
                afterglow, shingle, reading);
    }

    List<Look> all() {
        return List.of(
                title,
                subtitle,
                heading,
                body,
                nightHeading,
                nightBody,
                caption,
                nightCaption,
                smallPrint,
                call,
                nextArticle,
                contents,
                list,
                steps);
    }
}
