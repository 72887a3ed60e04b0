package yewberry.core.publication;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
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
 * @param italic whether it slants
 * @param setting how its lines are set
 * @param next the look of a paragraph begun after one of this; nothing means this look again
 * @param outline a line around its letters
 * @param list what stands before each of its paragraphs
 * @param panel what lies behind its paragraphs and around them
 * @param basis the look that it is based on
 * @param role what its paragraphs are to whoever reads; nothing means no more than text
 * @throws Refused if the size is not within 2 to 1000 pt, or the space above is negative
 */
public record Look(
        UUID id,
        String name,
        String family,
        int weight,
        boolean italic,
        Length size,
        Leading leading,
        Length before,
        Alignment alignment,
        Tinted color,
        Overprint overprint,
        TextSetting setting,
        Optional<UUID> next,
        Optional<Role> role,
        Optional<Outline> outline,
        Optional<ListMark> list,
        Optional<Panel> panel,
        Optional<Basis> basis)
        implements Element {
    /** What one that is based on another may have from that, each property by its way. */
    public static final Set<String> INHERITED =
            Set.of(
                    "family",
                    "weight",
                    "italic",
                    "size",
                    "leading",
                    "before",
                    "alignment",
                    "color",
                    "overprint",
                    "setting.after",
                    "setting.first",
                    "setting.left",
                    "setting.right",
                    "setting.tracking",
                    "setting.hyphenated",
                    "setting.language",
                    "setting.spaces",
                    "setting.keeps",
                    "setting.letters.capitals",
                    "setting.letters.figures",
                    "setting.tabs",
                    "outline",
                    "list",
                    "panel");

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
        JUSTIFIED,
        /** To the left on right-hand pages, to the right on left-hand ones. */
        TOWARD_SPINE,
        AWAY_FROM_SPINE
    }

    /** The largest type there is, in points. */
    public static final int LARGEST = 1000;

    public Look {
        name = Names.checked("look", name);
        checkSize(size);
        checkBefore(before);
        next = next.filter(other -> !other.equals(id));
    }

    static void checkSize(Length size) {
        if (!(size.points() >= 2 && size.points() <= LARGEST)) {
            throw new Refused(
                    "Type of %s is not possible; choose a size from 2 pt to %d pt."
                            .formatted(size, LARGEST));
        }
    }

    static void checkBefore(Length before) {
        if (before.value() < 0) {
            throw new Refused(
                    "Space of %s above a paragraph is negative; use 0 mm or more."
                            .formatted(before));
        }
    }

    /** One that is set as usual, and followed by paragraphs of the same look. */
    public Look(
            UUID id,
            String name,
            String family,
            int weight,
            Length size,
            Length leading,
            Length before,
            Alignment alignment,
            Tinted color,
            Overprint overprint) {
        this(
                id,
                name,
                family,
                weight,
                false,
                size,
                Leading.of(leading),
                before,
                alignment,
                color,
                overprint,
                TextSetting.USUAL,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    /** Another one that looks the same. */
    public Look copy(UUID as, String named) {
        return new Look(
                as, named, family, weight, italic, size, leading, before, alignment, color,
                overprint, setting, next, role, outline, list, panel, basis);
    }

    public Look withItalic(boolean changed) {
        return new Look(
                id, name, family, weight, changed, size, leading, before, alignment, color,
                overprint, setting, next, role, outline, list, panel, basis);
    }

    public Look withFamily(String changed) {
        return new Look(
                id, name, changed, weight, italic, size, leading, before, alignment, color,
                overprint, setting, next, role, outline, list, panel, basis);
    }

    public Look withBefore(Length changed) {
        return new Look(
                id, name, family, weight, italic, size, leading, changed, alignment, color,
                overprint, setting, next, role, outline, list, panel, basis);
    }

    public Look withColor(Tinted changed) {
        return new Look(
                id, name, family, weight, italic, size, leading, before, alignment, changed,
                overprint, setting, next, role, outline, list, panel, basis);
    }

    public Look withWeight(int changed) {
        return new Look(
                id, name, family, changed, italic, size, leading, before, alignment, color,
                overprint, setting, next, role, outline, list, panel, basis);
    }

    public Look withSize(Length changed) {
        return new Look(
                id, name, family, weight, italic, changed, leading, before, alignment, color,
                overprint, setting, next, role, outline, list, panel, basis);
    }

    public Look withAlignment(Alignment changed) {
        return new Look(
                id, name, family, weight, italic, size, leading, before, changed, color, overprint,
                setting, next, role, outline, list, panel, basis);
    }

    public Look withOverprint(Overprint changed) {
        return new Look(
                id, name, family, weight, italic, size, leading, before, alignment, color, changed,
                setting, next, role, outline, list, panel, basis);
    }

    public Look withSetting(TextSetting changed) {
        return new Look(
                id, name, family, weight, italic, size, leading, before, alignment, color,
                overprint, changed, next, role, outline, list, panel, basis);
    }

    public Look withNext(Optional<UUID> changed) {
        return new Look(
                id, name, family, weight, italic, size, leading, before, alignment, color,
                overprint, setting, changed, role, outline, list, panel, basis);
    }

    public Look withRole(Optional<Role> changed) {
        return new Look(
                id, name, family, weight, italic, size, leading, before, alignment, color,
                overprint, setting, next, changed, outline, list, panel, basis);
    }

    public Look withOutline(Optional<Outline> changed) {
        return new Look(
                id, name, family, weight, italic, size, leading, before, alignment, color,
                overprint, setting, next, role, changed, list, panel, basis);
    }

    public Look withList(Optional<ListMark> changed) {
        return new Look(
                id, name, family, weight, italic, size, leading, before, alignment, color,
                overprint, setting, next, role, outline, changed, panel, basis);
    }

    public Look withLeading(Leading changed) {
        return new Look(
                id, name, family, weight, italic, size, changed, before, alignment, color,
                overprint, setting, next, role, outline, list, panel, basis);
    }

    /** With another border in its panel. */
    public Look withBorder(Optional<Border> changed) {
        return withPanel(panel.map(each -> each.withBorder(changed)));
    }

    public Look withPanel(Optional<Panel> changed) {
        return new Look(
                id, name, family, weight, italic, size, leading, before, alignment, color,
                overprint, setting, next, role, outline, list, changed, basis);
    }

    public Look withBasis(Optional<Basis> changed) {
        return new Look(
                id, name, family, weight, italic, size, leading, before, alignment, color,
                overprint, setting, next, role, outline, list, panel, changed);
    }

    @Override
    public List<Reference> references() {
        List<Reference> references = new ArrayList<>();
        references.add(Reference.swatch(color.swatch()));
        outline.ifPresent(line -> references.add(Reference.swatch(line.color().swatch())));
        list.flatMap(ListMark::look)
                .ifPresent(look -> references.add(Reference.characterLook(look)));
        panel.ifPresent(each -> references.addAll(each.references()));
        next.ifPresent(look -> references.add(Reference.look(look)));
        basis.ifPresent(each -> references.add(Reference.look(each.look())));
        return references;
    }

    @Override
    public Look withReference(UUID old, UUID replacement) {
        if (references().stream().noneMatch(each -> each.id().equals(old))) {
            return this;
        }
        Look changed =
                withColor(color.withReference(old, replacement))
                        .withOutline(outline.map(line -> line.withReference(old, replacement)))
                        .withList(list.map(mark -> mark.withReference(old, replacement)))
                        .withPanel(panel.map(each -> each.withReference(old, replacement)))
                        .withBasis(basis.map(each -> each.withReference(old, replacement)));
        return next.equals(Optional.of(old)) ? changed.withNext(Optional.of(replacement)) : changed;
    }
}
