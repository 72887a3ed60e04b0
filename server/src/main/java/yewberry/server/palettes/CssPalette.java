package yewberry.server.palettes;

import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import yewberry.core.color.Color;
import yewberry.core.color.Definition;
import yewberry.core.color.Lab;
import yewberry.core.color.PressCondition;
import yewberry.core.color.WrittenColor;
import yewberry.core.publication.Palette;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Swatch;
import yewberry.server.palettes.PaletteEntry.Wanted;

/**
 * CSS custom properties (CSS Custom Properties 1): {@code --night: #0b1a2f;}. It is for screens: a
 * colour in ink is written as it is seen, with its ink in a comment.
 */
final class CssPalette {
    private static final Pattern DECLARATION =
            Pattern.compile("(--[^\\s:;{}]+)\\s*:\\s*([^;{}]*)(;|}|$)");
    private static final Pattern ALIAS = Pattern.compile("var\\(\\s*(--[^\\s,)]+)\\s*\\)");
    private static final Pattern COMMENT = Pattern.compile("(?s)/\\*.*?\\*/");

    private CssPalette() {}

    static PaletteText read(String text) {
        PaletteText palette = new PaletteText();
        String plain = COMMENT.matcher(text).replaceAll(comment -> blank(comment.group()));
        Matcher found = DECLARATION.matcher(plain);
        while (found.find()) {
            int line =
                    1
                            + (int)
                                    plain.substring(0, found.start())
                                            .chars()
                                            .filter(c -> c == '\n')
                                            .count();
            String value = found.group(2).strip();
            palette.take(line, name(found.group(1)), found.group(), () -> wanted(value));
        }
        if (palette.entries().isEmpty() && palette.unread().isEmpty()) {
            palette.leave(
                    1,
                    plain.lines().findFirst().orElse(""),
                    "There is no custom property here, such as --night: #0b1a2f;");
        }
        return palette;
    }

    /** Spaces instead of a comment, its line breaks kept. */
    private static String blank(String comment) {
        return comment.replaceAll("[^\n]", " ");
    }

    private static Wanted wanted(String value) {
        Matcher alias = ALIAS.matcher(value);
        return alias.matches()
                ? new Wanted.TintOf(name(alias.group(1)), 100)
                : new Wanted.Values(WrittenColor.read(value));
    }

    /** {@code --night-sky} is “Night sky”. */
    private static String name(String property) {
        String words = property.substring(2).replace('-', ' ').replace('_', ' ').strip();
        return words.isEmpty()
                ? property
                : words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }

    static String write(Publication publication, PressCondition press) {
        StringBuilder css = new StringBuilder(":root {\n");
        Palette palette = new Palette(publication::swatch, press);
        List<Swatch> swatches = PaletteValues.of(publication);
        for (Swatch swatch : swatches) {
            Color color = palette.color(swatch);
            css.append("  --").append(property(swatch.name())).append(": ");
            if (swatch.definition() instanceof Definition.Plain(Color plain)
                    && plain instanceof Lab lab) {
                css.append(PaletteValues.written(lab)).append(";\n");
            } else {
                css.append(press.toScreen(color).hex()).append("; /* ");
                css.append(color.toString().replace("*/", "* /")).append(" */\n");
            }
        }
        return css.append("}\n").toString();
    }

    private static String property(String name) {
        return name.toLowerCase(Locale.ROOT).strip().replaceAll("[^\\p{L}\\p{N}_-]+", "-");
    }
}
