package yewberry.core.edit;

import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import yewberry.core.publication.Leading;
import yewberry.core.publication.Length;

/**
 * Puts what somebody changed onto what is there now, property by property: of two values that were
 * typed in a row both stay, however late the first one arrives.
 */
final class Merging {
    /** What was changed, by someone who saw {@code was}, and what is there now. */
    private record Three(Object was, Object made, Object is) {
        private Three component(RecordComponent component) {
            return new Three(
                    valueOf(component, was), valueOf(component, made), valueOf(component, is));
        }

        private boolean areRecordsOfOneKind() {
            return made instanceof Record
                    && !(made instanceof Length || made instanceof Leading)
                    && was.getClass() == made.getClass()
                    && is.getClass() == made.getClass();
        }

        private List<Three> elements() {
            List<Three> elements = new ArrayList<>();
            if (was instanceof List<?> before
                    && made instanceof List<?> changed
                    && is instanceof List<?> now
                    && before.size() == changed.size()
                    && now.size() == changed.size()) {
                for (int i = 0; i < changed.size(); i++) {
                    elements.add(new Three(before.get(i), changed.get(i), now.get(i)));
                }
            }
            return elements;
        }

        /**
         * The values of three optionals that all have one. A record in which nothing is set is the
         * same as none.
         */
        private Optional<Three> values() {
            List<Object> values =
                    Stream.of(was, made, is)
                            .filter(Optional.class::isInstance)
                            .flatMap(each -> ((Optional<?>) each).stream())
                            .collect(Collectors.toList());
            if (values.isEmpty()
                    || !Stream.of(was, made, is).allMatch(Optional.class::isInstance)) {
                return Optional.empty();
            }
            if (values.size() < 3 && isOptionalThroughout(values.getFirst().getClass())) {
                Object none = built(values.getFirst().getClass(), component -> Optional.empty());
                return Optional.of(new Three(or(was, none), or(made, none), or(is, none)));
            }
            return values.size() == 3
                    ? Optional.of(new Three(values.get(0), values.get(1), values.get(2)))
                    : Optional.empty();
        }

        private static Object or(Object optional, Object none) {
            return ((Optional<?>) optional).<Object>map(each -> each).orElse(none);
        }

        private static boolean isOptionalThroughout(Class<?> kind) {
            return kind.isRecord()
                    && Arrays.stream(kind.getRecordComponents())
                            .allMatch(each -> each.getType() == Optional.class);
        }
    }

    private final Set<String> also;

    private Merging(Set<String> also) {
        this.also = also;
    }

    /**
     * @param was what {@code made} was made from; nothing means that all of it counts
     */
    static <T> T onto(T is, T made, Optional<T> was) {
        return onto(is, made, was, Set.of());
    }

    /**
     * @param was what {@code made} was made from; nothing means that all of it counts
     * @param also properties that count as changed whatever they were, each by its way from here,
     *     such as {@code fill.color.tint}
     */
    @SuppressWarnings("unchecked")
    static <T> T onto(T is, T made, Optional<T> was, Set<String> also) {
        return was.map(before -> (T) new Merging(also).merged("", new Three(before, made, is)))
                .orElse(made);
    }

    /**
     * Whether both changed the same: then one of the two is lost.
     *
     * @param was what both were made from
     */
    static boolean clash(Object was, Object made, Object is) {
        return clash(new Three(was, made, is));
    }

    /** Whether something at or below a place counts as changed whatever it was. */
    private boolean counts(String way) {
        return also.stream().anyMatch(each -> each.equals(way) || each.startsWith(way + "."));
    }

    private Object merged(String way, Three three) {
        boolean counts = way.isEmpty() ? !also.isEmpty() : counts(way);
        if (!counts && three.made().equals(three.was())) {
            return three.is();
        }
        if (also.contains(way) || !counts && three.is().equals(three.was())) {
            return three.made();
        }
        if (three.areRecordsOfOneKind()) {
            return built(
                    three.made().getClass(),
                    component ->
                            merged(below(way, component.getName()), three.component(component)));
        }
        if (three.values().isPresent()) {
            return Optional.of(merged(way, three.values().get()));
        }
        if (three.made() instanceof Set<?> made
                && three.was() instanceof Set<?> was
                && three.is() instanceof Set<?> is) {
            Set<Object> all = new LinkedHashSet<>(is);
            all.removeIf(each -> was.contains(each) && !made.contains(each));
            made.stream().filter(each -> !was.contains(each)).forEach(all::add);
            return all;
        }
        List<Three> elements = three.elements();
        return elements.isEmpty()
                ? three.made()
                : IntStream.range(0, elements.size())
                        .mapToObj(i -> merged(below(way, String.valueOf(i)), elements.get(i)))
                        .toList();
    }

    private static String below(String way, String name) {
        return way.isEmpty() ? name : way + "." + name;
    }

    private static boolean clash(Three three) {
        if (three.made().equals(three.was())
                || three.is().equals(three.was())
                || three.made().equals(three.is())) {
            return false;
        }
        if (three.areRecordsOfOneKind()) {
            return Arrays.stream(three.made().getClass().getRecordComponents())
                    .anyMatch(component -> clash(three.component(component)));
        }
        if (three.values().isPresent()) {
            return clash(three.values().get());
        }
        if (three.made() instanceof Set<?> && three.is() instanceof Set<?>) {
            return false;
        }
        List<Three> elements = three.elements();
        return elements.isEmpty() || elements.stream().anyMatch(Merging::clash);
    }

    private interface Values {
        Object of(RecordComponent component);
    }

    private static Object built(Class<?> kind, Values values) {
        RecordComponent[] components = kind.getRecordComponents();
        try {
            Constructor<?> constructor =
                    kind.getDeclaredConstructor(
                            Arrays.stream(components)
                                    .map(RecordComponent::getType)
                                    .toArray(Class<?>[]::new));
            return constructor.newInstance(Arrays.stream(components).map(values::of).toArray());
        } catch (InvocationTargetException refused) {
            if (refused.getCause() instanceof RuntimeException cause) {
                throw cause;
            }
            throw new IllegalStateException(refused);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    /** What a record has at a way of names of its components. */
    static Object at(String way, Object of) {
        Object value = of;
        for (String name : way.split("\\.")) {
            RecordComponent component =
                    Arrays.stream(value.getClass().getRecordComponents())
                            .filter(each -> each.getName().equals(name))
                            .findFirst()
                            .orElseThrow();
            value = valueOf(component, value);
        }
        return value;
    }

    static Object valueOf(RecordComponent component, Object of) {
        try {
            return Objects.requireNonNull(component.getAccessor().invoke(of));
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }
}
