package yewberry.core.edit;

import java.lang.reflect.RecordComponent;
import java.util.List;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;
import yewberry.core.publication.Length;

/** By which properties two elements of a kind differ, named as in their JSON. */
final class DifferingProperties {
    private final SortedSet<String> found = new TreeSet<>();

    private DifferingProperties() {}

    /** Each by its way from the element, with dots between: {@code fill.color.tint}. */
    static SortedSet<String> of(Record one, Record other) {
        DifferingProperties properties = new DifferingProperties();
        properties.compare("", one, other);
        return properties.found;
    }

    private void compare(String way, Object one, Object other) {
        if (one.equals(other)) {
            return;
        }
        if (one instanceof Optional<?> a
                && other instanceof Optional<?> b
                && a.isPresent()
                && b.isPresent()) {
            compare(way, a.get(), b.get());
        } else if (one instanceof Record a
                && one.getClass() == other.getClass()
                && !(one instanceof Length)) {
            for (RecordComponent component : a.getClass().getRecordComponents()) {
                compare(
                        way.isEmpty() ? component.getName() : way + "." + component.getName(),
                        Merging.valueOf(component, one),
                        Merging.valueOf(component, other));
            }
        } else if (one instanceof List<?> a && other instanceof List<?> b && a.size() == b.size()) {
            for (int i = 0; i < a.size(); i++) {
                compare(way + "." + i, a.get(i), b.get(i));
            }
        } else {
            found.add(way);
        }
    }
}
