package yewberry.core.edit;

import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Collectors;
import yewberry.core.Refused;
import yewberry.core.publication.Basis;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Element;
import yewberry.core.publication.Elements;
import yewberry.core.publication.Look;

/**
 * Looks that are based on others. Each holds all of its properties, those it has from another, too;
 * an edit of the other one changes them along, so that nobody who reads a look has to know.
 *
 * @param properties that can be had from another, each by its way
 */
record Inheritance<T extends Element>(
        Set<String> properties,
        Function<T, Optional<Basis>> basis,
        BiFunction<T, Optional<Basis>, T> withBasis) {
    static final Inheritance<Look> OF_PARAGRAPHS =
            new Inheritance<>(Look.INHERITED, Look::basis, Look::withBasis);

    static final Inheritance<CharacterLook> OF_CHARACTERS =
            new Inheritance<>(
                    CharacterLook.INHERITED, CharacterLook::basis, CharacterLook::withBasis);

    /** With another one at the end, which has from its basis what it does not set itself. */
    List<T> plus(Elements<T> all, T added) {
        return all.plus(basis.apply(added).map(on -> from(added, base(all, on), on)).orElse(added));
    }

    /**
     * With one changed, and what is based on it.
     *
     * @param made as an edit wants it: what differs from before it then sets itself, and what was
     *     taken out of what it sets itself is had from the basis again
     */
    List<T> changed(Elements<T> all, T made) {
        T before = all.find(made.id()).orElseThrow();
        Optional<Basis> on = basis.apply(made);
        T now =
                on.isEmpty()
                        ? made
                        : from(made, base(all, on.get()), own(all, before, made, on.get()));
        return followed(all.changed(made.id(), each -> now), now);
    }

    private Basis own(Elements<T> all, T before, T made, Basis on) {
        Set<String> own = new LinkedHashSet<>(on.own());
        Optional<Basis> was = basis.apply(before).filter(each -> each.look().equals(on.look()));
        T beside = was.isPresent() ? before : base(all, on);
        own.addAll(differing(made, beside));
        was.ifPresent(each ->
                each.own().stream().filter(way -> !on.own().contains(way)).forEach(own::remove));
        return on.withOwn(own);
    }

    /**
     * Without one; what was based on it looks as before, and is based on what that was based on.
     */
    List<T> without(Elements<T> all, T gone) {
        return all.without(gone.id()).stream()
                .map(each ->
                        basis.apply(each).filter(on -> on.look().equals(gone.id())).isEmpty()
                                ? each
                                : rebased(all, each, basis.apply(gone)))
                .toList();
    }

    private T rebased(Elements<T> all, T look, Optional<Basis> on) {
        return withBasis.apply(
                look, on.map(each -> each.withOwn(differing(look, base(all, each)))));
    }

    private List<T> followed(List<T> all, T changed) {
        List<T> result = all;
        for (T each : all) {
            Optional<Basis> on = basis.apply(each);
            if (on.isPresent() && on.get().look().equals(changed.id())) {
                T now = from(each, changed, on.get());
                if (!now.equals(each)) {
                    result =
                            followed(
                                    Lists.replacedWhere(
                                            result, one -> one.id().equals(now.id()), one -> now),
                                    now);
                }
            }
        }
        return result;
    }

    private T from(T look, T base, Basis on) {
        Set<String> own =
                on.own().stream().filter(properties::contains).collect(Collectors.toSet());
        Set<String> had = new HashSet<>(properties);
        had.removeAll(own);
        T taken = had.isEmpty() ? look : Merging.onto(look, base, Optional.of(base), had);
        return withBasis.apply(taken, Optional.of(on.withOwn(own)));
    }

    private Set<String> differing(T one, T other) {
        return properties.stream()
                .filter(way -> !Merging.at(way, one).equals(Merging.at(way, other)))
                .collect(Collectors.toSet());
    }

    private T base(Elements<T> all, Basis on) {
        return all.find(on.look())
                .orElseThrow(() -> new Refused("The look that it is based on is gone; reload."));
    }

    /**
     * @throws Refused if it is based on itself, however many others stand between
     */
    void refuseCircle(Elements<T> all, T look) {
        Set<UUID> met = new HashSet<>();
        Optional<T> next = Optional.of(look);
        while (next.isPresent()) {
            if (!met.add(next.get().id())) {
                throw new Refused(
                        "A look cannot be based on itself, or on one that is based on it; choose another.");
            }
            next = basis.apply(next.get()).flatMap(on -> all.find(on.look()));
        }
    }
}
