package yewberry.server.palettes;

import java.util.List;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Definition;
import yewberry.core.color.Gray;
import yewberry.core.color.Inks;
import yewberry.core.color.Lab;
import yewberry.core.color.Numbers;
import yewberry.core.color.Rgb;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Swatch;

/** Values as {@link yewberry.core.color.WrittenColor} reads them back. */
final class PaletteValues {
    private PaletteValues() {}

    /** The swatches of a publication that have a value: a legible colour only chooses from them. */
    static List<Swatch> of(Publication publication) {
        return publication.swatches().stream()
                .filter(each -> !(each.definition() instanceof Definition.Legible))
                .toList();
    }

    static String written(Color color) {
        return switch (color) {
            case Cmyk ink ->
                    "cmyk(%s%% %s%% %s%% %s%%)"
                            .formatted(
                                    Numbers.plain(ink.cyan()),
                                    Numbers.plain(ink.magenta()),
                                    Numbers.plain(ink.yellow()),
                                    Numbers.plain(ink.black()));
            case Rgb rgb -> rgb.hex();
            case Lab lab ->
                    "lab(%s %s %s)"
                            .formatted(
                                    Numbers.plain(lab.lightness()),
                                    Numbers.plain(lab.a()),
                                    Numbers.plain(lab.b()));
            case Gray(double black) -> "gray(%s%%)".formatted(Numbers.plain(black));
            case Inks inks -> throw new IllegalArgumentException("Inks have names, not values");
        };
    }

    static String kind(Color color) {
        return switch (color) {
            case Cmyk ink -> "cmyk";
            case Rgb rgb -> "srgb";
            case Lab lab -> "lab";
            case Gray gray -> "grey";
            case Inks inks -> "spot";
        };
    }
}
