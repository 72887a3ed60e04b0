package yewberry.core.edit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.UUID;
import java.util.function.BiConsumer;
import yewberry.core.publication.Area;
import yewberry.core.publication.Background;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Page;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Spreads;

/**
 * Backgrounds of some pages that are changed together: on each page the one on the same kind of
 * area, filled in the same way. One across a spread goes with that of the page beside it.
 *
 * @param ids each on another page, in the order of the pages
 * @param pages their numbers, from 1
 * @param background the first of them
 * @param differing properties that are not the same in all, named as in JSON, such as {@code
 *     opacity} or {@code fill.stops.1.position}
 */
public record CommonBackground(
        List<UUID> ids, List<Integer> pages, Background background, SortedSet<String> differing) {
    /** What belongs to each by itself. */
    private static final List<String> OWN = List.of("id", "madeBy");

    /**
     * @param nth of several alike on one page, from the lowest, from 0
     */
    private record Kind(String area, String fill, int nth) {}

    private record Placed(int page, Background background) {}

    /**
     * What lies on some pages, from the lowest up.
     *
     * @param chosen at least one page; each must be there
     */
    public static List<CommonBackground> of(Publication publication, List<UUID> chosen) {
        Map<Kind, List<Placed>> together = new LinkedHashMap<>();
        List<Integer> positions =
                chosen.stream()
                        .map(id -> publication.pages().position(id).orElseThrow())
                        .sorted()
                        .toList();
        for (int at : positions) {
            each(
                    publication.pages().get(at),
                    (kind, background) ->
                            together.computeIfAbsent(kind, none -> new ArrayList<>())
                                    .add(new Placed(at, background)));
        }
        together.forEach((kind, placed) -> {
            if (placed.getFirst().background().area() instanceof Area.WholeSpread) {
                addBeside(publication, kind, placed);
            }
        });
        return together.values().stream().map(CommonBackground::of).toList();
    }

    private static CommonBackground of(List<Placed> placed) {
        Background first = placed.getFirst().background();
        SortedSet<String> differing = new TreeSet<>();
        placed.forEach(each -> differing.addAll(DifferingProperties.of(first, each.background())));
        differing.removeAll(OWN);
        return new CommonBackground(
                placed.stream().map(each -> each.background().id()).toList(),
                placed.stream().map(each -> each.page() + 1).toList(),
                first,
                differing);
    }

    private static void addBeside(Publication publication, Kind kind, List<Placed> placed) {
        for (Placed one : List.copyOf(placed)) {
            Optional<Integer> beside = Spreads.beside(publication, one.page());
            if (beside.isPresent()
                    && placed.stream().noneMatch(each -> each.page() == beside.get())) {
                each(
                        publication.pages().get(beside.get()),
                        (other, background) -> {
                            if (other.equals(kind)) {
                                placed.add(new Placed(beside.get(), background));
                            }
                        });
            }
        }
    }

    private static void each(Page page, BiConsumer<Kind, Background> found) {
        Map<Kind, Integer> alike = new HashMap<>();
        for (Background background : page.layer().backgrounds()) {
            Kind first = new Kind(kind(background.area()), kind(background.fill()), 0);
            int nth = alike.merge(first, 1, Integer::sum) - 1;
            found.accept(new Kind(first.area(), first.fill(), nth), background);
        }
    }

    private static String kind(Area area) {
        String kind = area.getClass().getSimpleName();
        return area instanceof Area.Band band ? kind + " " + band.edge() : kind;
    }

    private static String kind(Fill fill) {
        String kind = fill.getClass().getSimpleName();
        return fill instanceof Fill.Gradient gradient ? kind + " " + gradient.stops().size() : kind;
    }
}
