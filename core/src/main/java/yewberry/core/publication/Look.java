package yewberry.core.publication;

import java.util.List;
import java.util.UUID;
import yewberry.core.Names;
import yewberry.core.Refused;

/**
 * A paragraph look: a named set of properties of paragraphs.
 *
 * @param family name of a shipped font family; {@code text.FontLibrary} knows them
 * @param leading from baseline to baseline
 * @param before space above a paragraph, but not above the first of a frame
 * @param overprint whether its text prints over what is below it
 * @param weight on the scale of OpenType's usWeightClass, 100 to 900
 * @throws Refused if the size is not within 2 to 1000 pt, the leading not within 2 to 2000 pt, or
 *     the space above is negative
 */
public record Look(
        UUID id,
        String name,
        String family,
        int weight,
        Length size,
        Length leading,
        Length before,
        Alignment alignment,
        Tinted color,
        Overprint overprint)
        implements Element {
    /** Whether text prints over what is below it. Light text never does, whatever is set. */
    public enum Overprint {
        /** Only plain black does, 100 % of the black ink. */
        BLACK,
        ALWAYS,
        NEVER
    }

    public enum Alignment {
        LEFT,
        CENTER,
        RIGHT,
        JUSTIFIED
    }

    public Look {
        name = Names.checked("look", name);
        if (!(size.points() >= 2 && size.points() <= 1000)) {
            throw new Refused(
                    "Type of %s is not possible; choose a size from 2 pt to 1000 pt."
                            .formatted(size));
        }
        if (!(leading.points() >= 2 && leading.points() <= 2000)) {
            throw new Refused(
                    "Leading of %s is not possible; choose from 2 pt to 2000 pt."
                            .formatted(leading));
        }
        if (before.value() < 0) {
            throw new Refused(
                    "Space of %s above a paragraph is negative; use 0 mm or more."
                            .formatted(before));
        }
    }

    public Look withColor(Tinted changed) {
        return new Look(
                id, name, family, weight, size, leading, before, alignment, changed, overprint);
    }

    public Look withSize(Length changed) {
        return new Look(
                id, name, family, weight, changed, leading, before, alignment, color, overprint);
    }

    public Look withOverprint(Overprint changed) {
        return new Look(id, name, family, weight, size, leading, before, alignment, color, changed);
    }

    @Override
    public List<Reference> references() {
        return List.of(Reference.swatch(color.swatch()));
    }

    @Override
    public Look withReference(UUID old, UUID replacement) {
        return color.swatch().equals(old) ? withColor(color.withSwatch(replacement)) : this;
    }
}
