package yewberry.core.scene;

import java.util.Optional;
import java.util.UUID;
import yewberry.core.color.Color;
import yewberry.core.color.Medium;
import yewberry.core.color.Numbers;
import yewberry.core.color.Overprint;
import yewberry.core.color.PressCondition;
import yewberry.core.publication.Palette;
import yewberry.core.publication.Swatch;

/**
 * The colour something is painted in, and the swatch that gave it.
 *
 * @param color in a scene on a medium what the colour becomes there
 * @param defined the colour as it was defined
 * @param swatch nothing for the colour of a picture
 * @param tint of the swatch in this use, in percent
 * @param sampled whether it is one of many colours that something comes to
 * @param overprints whether it prints over what is below it instead of knocking it out
 */
public record Paint(
        Color color,
        Color defined,
        Optional<UUID> swatch,
        String name,
        double tint,
        boolean overprints,
        boolean sampled) {
    /** A swatch as it is, in text where it is plain black overprinting. */
    public static Paint of(Swatch swatch, Palette palette) {
        Color color = palette.color(swatch);
        return new Paint(
                color,
                color,
                Optional.of(swatch.id()),
                swatch.name(),
                100,
                TextOverprint.isPlainBlack(color),
                false);
    }

    /** What it comes to on a backdrop; nothing is the bare stock. */
    public Color over(Optional<Color> backdrop, PressCondition condition) {
        return overprints && backdrop.isPresent()
                ? Overprint.over(color, backdrop.get(), condition)
                : color;
    }

    /** Whether both are the same use of the same swatch. */
    public boolean looksLike(Paint other) {
        return swatch.equals(other.swatch) && tint == other.tint && name.equals(other.name);
    }

    /** A colour that no swatch has. */
    public static Paint plain(Color color, String name) {
        return new Paint(color, color, Optional.empty(), name, 100, false, false);
    }

    public Paint withColor(Color changed) {
        return new Paint(changed, defined, swatch, name, tint, overprints, sampled);
    }

    /** As it is on a medium; a screen knows no overprinting. */
    public Paint on(Medium medium, PressCondition condition) {
        return new Paint(
                condition.device(color, medium),
                defined,
                swatch,
                name,
                tint,
                overprints && medium == Medium.PAPER,
                sampled);
    }

    /**
     * One of the colours that an area comes to; it has the area's first swatch, if there is any.
     */
    public static Paint sampled(Color color, Item.Filled fill) {
        Optional<UUID> first = fill.paints().stream().findFirst().flatMap(Paint::swatch);
        return new Paint(color, color, first, fill.inWords(), 100, false, true);
    }

    /** The swatch's name, with the tint where it is not full. */
    public String inWords() {
        return tint == 100 ? name : "%s, %s %%".formatted(name, Numbers.plain(tint));
    }
}
