package yewberry.core.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import yewberry.core.Refused;

/** What edits do with lists and ids. */
final class Lists {
    private Lists() {}

    static <T> List<T> plus(List<T> list, Function<T, UUID> id, T added) {
        List<T> longer = new ArrayList<>(list);
        longer.add(added);
        refuseTwice(longer, id);
        return longer;
    }

    static <T> List<T> replacedWhere(List<T> list, Predicate<T> where, UnaryOperator<T> change) {
        return list.stream().map(each -> where.test(each) ? change.apply(each) : each).toList();
    }

    static <T> void refuseTwice(List<T> list, Function<T, UUID> id) {
        if (list.stream().map(id).distinct().count() < list.size()) {
            throw new Refused("This was added already; reload to see it.");
        }
    }

    static void refuseSame(UUID removed, Optional<UUID> replacement) {
        if (replacement.filter(removed::equals).isPresent()) {
            throw new Refused("What is removed cannot replace itself; choose another one.");
        }
    }
}
