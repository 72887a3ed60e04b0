package yewberry.core.publication;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import yewberry.core.Names;
import yewberry.core.Refused;
import yewberry.core.color.Numbers;

/**
 * A look of some characters: what of it is set takes the place of what their paragraph's look says,
 * the rest stays as that has it.
 *
 * @param family name of a shipped font family
 * @param weight on the scale of OpenType's usWeightClass, 100 to 900
 * @param size in percent of the paragraph's
 * @param tracking between characters, in thousandths of the type size
 * @param highlight colour behind them
 * @param capitals which of its letters are drawn as capitals
 * @param figures how its figures are drawn
 * @param emphasis what its characters are to whoever reads; nothing means no more than the rest
 * @param basis the look that it is based on
 * @throws Refused if the size is not within 10 to 400 %, the tracking not within -200 to 1000, or
 *     the weight not within 100 to 900
 */
public record CharacterLook(
        UUID id,
        String name,
        Optional<String> family,
        Optional<Integer> weight,
        Optional<Boolean> italic,
        Optional<Double> size,
        Optional<Double> tracking,
        Optional<Tinted> color,
        Optional<Outline> outline,
        Optional<Highlight> highlight,
        Optional<Letters.Capitals> capitals,
        Optional<Letters.Figures> figures,
        Optional<Emphasis> emphasis,
        Optional<Basis> basis)
        implements Element {
    /** What one that is based on another may have from that. */
    public static final Set<String> INHERITED =
            Set.of(
                    "family",
                    "weight",
                    "italic",
                    "size",
                    "tracking",
                    "color",
                    "outline",
                    "highlight",
                    "capitals",
                    "figures");

    /** The most that characters may have of their paragraph's size, in percent. */
    public static final int LARGEST = 400;

    /** What characters are to whoever reads, as in HTML. */
    public enum Emphasis {
        EMPHASIS,
        STRONG
    }

    public CharacterLook {
        name = Names.checked("look", name);
        check(weight, size, tracking);
    }

    /**
     * @throws Refused if a value is out of its range
     */
    static void check(Optional<Integer> weight, Optional<Double> size, Optional<Double> tracking) {
        if (size.filter(each -> !(each >= 10 && each <= LARGEST)).isPresent()) {
            throw new Refused(
                    "Characters of %s %% of their paragraph's size are not possible; choose from 10 to %d."
                            .formatted(Numbers.plain(size.get()), LARGEST));
        }
        if (weight.filter(each -> each < 100 || each > 900).isPresent()) {
            throw new Refused(
                    "A weight of %d is not possible; choose from 100 to 900."
                            .formatted(weight.get()));
        }
        tracking.ifPresent(TextSetting::checkTracking);
    }

    /** One in which nothing is set. */
    public CharacterLook(UUID id, String name) {
        this(
                id,
                name,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }

    /** Another one that looks the same. */
    public CharacterLook copy(UUID as, String named) {
        return new CharacterLook(
                as, named, family, weight, italic, size, tracking, color, outline, highlight,
                capitals, figures, emphasis, basis);
    }

    public CharacterLook withWeight(Optional<Integer> changed) {
        return new CharacterLook(
                id, name, family, changed, italic, size, tracking, color, outline, highlight,
                capitals, figures, emphasis, basis);
    }

    public CharacterLook withItalic(Optional<Boolean> changed) {
        return new CharacterLook(
                id, name, family, weight, changed, size, tracking, color, outline, highlight,
                capitals, figures, emphasis, basis);
    }

    public CharacterLook withSize(Optional<Double> changed) {
        return new CharacterLook(
                id, name, family, weight, italic, changed, tracking, color, outline, highlight,
                capitals, figures, emphasis, basis);
    }

    public CharacterLook withColor(Optional<Tinted> changed) {
        return new CharacterLook(
                id, name, family, weight, italic, size, tracking, changed, outline, highlight,
                capitals, figures, emphasis, basis);
    }

    public CharacterLook withOutline(Optional<Outline> changed) {
        return new CharacterLook(
                id, name, family, weight, italic, size, tracking, color, changed, highlight,
                capitals, figures, emphasis, basis);
    }

    public CharacterLook withHighlight(Optional<Highlight> changed) {
        return new CharacterLook(
                id, name, family, weight, italic, size, tracking, color, outline, changed, capitals,
                figures, emphasis, basis);
    }

    public CharacterLook withEmphasis(Optional<Emphasis> changed) {
        return new CharacterLook(
                id, name, family, weight, italic, size, tracking, color, outline, highlight,
                capitals, figures, changed, basis);
    }

    public CharacterLook withCapitals(Optional<Letters.Capitals> changed) {
        return new CharacterLook(
                id, name, family, weight, italic, size, tracking, color, outline, highlight,
                changed, figures, emphasis, basis);
    }

    public CharacterLook withFigures(Optional<Letters.Figures> changed) {
        return new CharacterLook(
                id, name, family, weight, italic, size, tracking, color, outline, highlight,
                capitals, changed, emphasis, basis);
    }

    public CharacterLook withBasis(Optional<Basis> changed) {
        return new CharacterLook(
                id, name, family, weight, italic, size, tracking, color, outline, highlight,
                capitals, figures, emphasis, changed);
    }

    @Override
    public List<Reference> references() {
        List<Reference> references = new ArrayList<>();
        color.ifPresent(each -> references.add(Reference.swatch(each.swatch())));
        outline.ifPresent(line -> references.add(Reference.swatch(line.color().swatch())));
        highlight.ifPresent(each -> references.add(Reference.swatch(each.color().swatch())));
        basis.ifPresent(each -> references.add(Reference.characterLook(each.look())));
        return references;
    }

    @Override
    public CharacterLook withReference(UUID old, UUID replacement) {
        if (references().stream().noneMatch(each -> each.id().equals(old))) {
            return this;
        }
        return withColor(color.map(each -> each.withReference(old, replacement)))
                .withOutline(outline.map(line -> line.withReference(old, replacement)))
                .withHighlight(highlight.map(each -> each.withReference(old, replacement)))
                .withBasis(basis.map(each -> each.withReference(old, replacement)));
    }
}
