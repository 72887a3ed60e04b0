package yewberry.core.publication;

import java.util.Optional;
import java.util.stream.Stream;
import yewberry.core.Refused;

/**
 * How a paragraph differs from its look; what is not set is as that has it.
 *
 * @param before space above it
 * @param after space below it
 * @param first how far its first line is indented; it never hangs out of its frame
 * @param left how far all its lines are indented at the left
 * @param right how far all its lines are indented at the right
 * @param hyphenated whether words are divided other than at soft hyphens
 * @throws Refused if a value is one that no {@link Look} has
 */
public record LocalSetting(
        Optional<Length> size,
        Optional<Leading> leading,
        Optional<Look.Alignment> alignment,
        Optional<Length> before,
        Optional<Length> after,
        Optional<Length> first,
        Optional<Length> left,
        Optional<Length> right,
        Optional<Boolean> hyphenated) {
    /** No difference. */
    public static final LocalSetting NONE =
            new LocalSetting(
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty());

    public LocalSetting {
        size.ifPresent(Look::checkSize);
        before.ifPresent(Look::checkBefore);
        after.ifPresent(TextSetting::checkAfter);
        left.ifPresent(TextSetting::checkLeft);
        right.ifPresent(TextSetting::checkRight);
    }

    /** Whether it sets nothing. */
    public boolean setsNothing() {
        return Stream.of(size, leading, alignment, before, after, first, left, right, hyphenated)
                .allMatch(Optional::isEmpty);
    }

    public LocalSetting withSize(Length changed) {
        return new LocalSetting(
                Optional.of(changed),
                leading,
                alignment,
                before,
                after,
                first,
                left,
                right,
                hyphenated);
    }

    public LocalSetting withAlignment(Look.Alignment changed) {
        return new LocalSetting(
                size, leading, Optional.of(changed), before, after, first, left, right, hyphenated);
    }

    /** A look with these differences. */
    public Look on(Look look) {
        TextSetting setting = look.setting();
        Length indent = left.orElse(setting.left());
        Length beginning = first.orElse(setting.first());
        // what hangs out as far as the look's indent allows hangs no further than this one does
        Length hanging = TextSetting.hangsOut(beginning, indent) ? indent.negative() : beginning;
        return look.withSize(size.orElse(look.size()))
                .withLeading(leading.orElse(look.leading()))
                .withAlignment(alignment.orElse(look.alignment()))
                .withBefore(before.orElse(look.before()))
                .withSetting(
                        setting.withSpaces(
                                after.orElse(setting.after()),
                                hanging,
                                indent,
                                right.orElse(setting.right()),
                                hyphenated.orElse(setting.hyphenated())));
    }
}
