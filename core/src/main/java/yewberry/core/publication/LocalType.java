package yewberry.core.publication;

import java.util.Optional;
import java.util.stream.Stream;

/**
 * How characters differ from what their looks say; what is not set is as those have it.
 *
 * @param family name of a shipped font family
 * @param weight on the scale of OpenType's usWeightClass, 100 to 900
 * @param size in percent of the paragraph's
 * @param tracking between characters, in thousandths of the type size
 * @throws yewberry.core.Refused if a value is one that no {@link CharacterLook} has
 */
public record LocalType(
        Optional<String> family,
        Optional<Integer> weight,
        Optional<Boolean> italic,
        Optional<Double> size,
        Optional<Double> tracking,
        Optional<Letters.Capitals> capitals,
        Optional<Letters.Figures> figures) {
    /** No difference. */
    public static final LocalType NONE =
            new LocalType(
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty());

    public LocalType {
        CharacterLook.check(weight, size, tracking);
    }

    /** Whether it sets nothing. */
    public boolean setsNothing() {
        return Stream.of(family, weight, italic, size, tracking, capitals, figures)
                .allMatch(Optional::isEmpty);
    }

    public LocalType withWeight(int changed) {
        return new LocalType(
                family, Optional.of(changed), italic, size, tracking, capitals, figures);
    }

    /**
     * @param changed in percent of the paragraph's
     */
    public LocalType withSize(double changed) {
        return new LocalType(
                family, weight, italic, Optional.of(changed), tracking, capitals, figures);
    }

    public LocalType withoutFamily() {
        return new LocalType(Optional.empty(), weight, italic, size, tracking, capitals, figures);
    }

    /** A look of characters with these differences. */
    public CharacterLook on(CharacterLook look) {
        return new CharacterLook(
                look.id(),
                look.name(),
                family.or(look::family),
                weight.or(look::weight),
                italic.or(look::italic),
                size.or(look::size),
                tracking.or(look::tracking),
                look.color(),
                look.outline(),
                look.highlight(),
                capitals.or(look::capitals),
                figures.or(look::figures),
                look.emphasis(),
                look.basis());
    }

    /** A look of paragraphs with these differences. */
    public Look on(Look look) {
        TextSetting setting = look.setting();
        Look changed =
                look.withItalic(italic.orElse(look.italic()))
                        .withWeight(weight.orElse(look.weight()))
                        .withFamily(family.orElse(look.family()))
                        .withSetting(
                                setting.withTracking(tracking.orElse(setting.tracking()))
                                        .withLetters(
                                                new Letters(
                                                        capitals.orElse(
                                                                setting.letters().capitals()),
                                                        figures.orElse(
                                                                setting.letters().figures()))));
        return size.map(percent -> changed.withSize(look.size().times(percent / 100)))
                .orElse(changed);
    }
}
