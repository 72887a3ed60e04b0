package yewberry.server.palettes;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import yewberry.core.Refused;
import yewberry.core.color.Definition;
import yewberry.core.color.PressCondition;
import yewberry.core.edit.Edit;
import yewberry.core.edit.SwatchEdit;
import yewberry.core.publication.Limits;
import yewberry.core.publication.Palette;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Swatch;
import yewberry.server.palettes.PaletteText.Unread;

/**
 * A palette file held against a publication: the swatches it would add, and line by line what could
 * not be read.
 *
 * @param edit adds them all, as one step
 */
public record PaletteImport(List<Added> added, List<Unread> unread, Edit edit) {
    /**
     * @param line where it stands in the file, from 1
     * @param name it gets, which is another one than in the file where that is taken
     */
    public record Added(int line, String name, String values, String screen) {}

    static PaletteImport of(
            PaletteText palette,
            Publication publication,
            PressCondition press,
            Supplier<UUID> ids) {
        return new Resolving(palette, publication, press, ids).resolve();
    }

    private static final class Resolving {
        private final PaletteText palette;
        private final Publication publication;
        private final PressCondition press;
        private final Supplier<UUID> ids;
        private final Map<String, Swatch> inPublication = new HashMap<>();
        private final Map<String, Swatch> byName = new HashMap<>();
        private final Set<String> taken = new HashSet<>();
        private final Map<UUID, Swatch> byId = new HashMap<>();
        private final List<Swatch> swatches = new ArrayList<>();
        private final List<Added> added = new ArrayList<>();
        private final Palette colors;

        Resolving(
                PaletteText palette,
                Publication publication,
                PressCondition press,
                Supplier<UUID> ids) {
            this.palette = palette;
            this.publication = publication;
            this.press = press;
            this.ids = ids;
            this.colors = new Palette(byId::get, press);
            for (Swatch swatch : publication.swatches()) {
                taken.add(swatch.name());
                byId.put(swatch.id(), swatch);
                inPublication.putIfAbsent(swatch.name(), swatch);
            }
        }

        PaletteImport resolve() {
            for (PaletteEntry entry : takeInOrder()) {
                palette.leave(
                        entry.line(),
                        entry.name(),
                        "It derives from itself, by way of others in this file.");
            }
            added.sort(Comparator.comparingInt(Added::line));
            List<Unread> unread =
                    palette.unread().stream()
                            .sorted(Comparator.comparingInt(Unread::line))
                            .toList();
            return new PaletteImport(
                    List.copyOf(added),
                    unread,
                    new Edit.Several(
                            swatches.stream()
                                    .map(swatch -> (Edit) new SwatchEdit.AddSwatch(swatch))
                                    .toList()));
        }

        /**
         * Takes each entry when all in the file that it derives from are taken (Kahn 1962,
         * "Topological sorting of large networks"); returns those that wait for themselves.
         */
        private List<PaletteEntry> takeInOrder() {
            Map<String, Integer> open = new HashMap<>();
            Map<String, List<PaletteEntry>> waiting = new HashMap<>();
            Map<PaletteEntry, Integer> waitsFor = new IdentityHashMap<>();
            palette.entries().forEach(entry -> open.merge(entry.name(), 1, Integer::sum));
            Deque<PaletteEntry> ready = new ArrayDeque<>();
            for (PaletteEntry entry : palette.entries()) {
                List<String> bases =
                        bases(entry).stream().distinct().filter(open::containsKey).toList();
                bases.forEach(
                        base -> waiting.computeIfAbsent(base, key -> new ArrayList<>()).add(entry));
                waitsFor.put(entry, bases.size());
                if (bases.isEmpty()) {
                    ready.add(entry);
                }
            }
            Set<PaletteEntry> taken = Collections.newSetFromMap(new IdentityHashMap<>());
            while (!ready.isEmpty()) {
                PaletteEntry entry = ready.remove();
                take(entry);
                taken.add(entry);
                if (open.merge(entry.name(), -1, Integer::sum) == 0) {
                    for (PaletteEntry next : waiting.getOrDefault(entry.name(), List.of())) {
                        if (waitsFor.merge(next, -1, Integer::sum) == 0) {
                            ready.add(next);
                        }
                    }
                }
            }
            return palette.entries().stream().filter(entry -> !taken.contains(entry)).toList();
        }

        private static List<String> bases(PaletteEntry entry) {
            return switch (entry.wanted()) {
                case PaletteEntry.Wanted.Values values -> List.of();
                case PaletteEntry.Wanted.Spot spot -> List.of();
                case PaletteEntry.Wanted.TintOf tint -> List.of(tint.base());
                case PaletteEntry.Wanted.LighterThan lighter -> List.of(lighter.base());
                case PaletteEntry.Wanted.MixOf mix -> List.of(mix.one(), mix.other());
            };
        }

        /** An entry is either added or noted as unread. */
        private void take(PaletteEntry entry) {
            try {
                if (publication.swatches().size() + swatches.size() >= Limits.SWATCHES) {
                    throw new Refused(
                            "A publication holds at most %d swatches.".formatted(Limits.SWATCHES));
                }
                Definition definition = definition(entry.wanted());
                Optional<Swatch> same = named(entry.name());
                if (same.filter(it -> it.definition().equals(definition)).isPresent()) {
                    byName.putIfAbsent(entry.name(), same.get());
                    throw new Refused("It is in the publication already.");
                }
                if (definition instanceof Definition.SpotInk && same.isPresent()) {
                    throw new Refused(
                            "There is a swatch of this name already, and an ink keeps its name; rename that one first.");
                }
                Swatch swatch = new Swatch(ids.get(), free(entry.name()), definition);
                byName.putIfAbsent(entry.name(), swatch);
                taken.add(swatch.name());
                byId.put(swatch.id(), swatch);
                swatches.add(swatch);
                var color = colors.color(swatch.id());
                added.add(
                        new Added(
                                entry.line(),
                                swatch.name(),
                                color.toString(),
                                press.toScreen(color).hex()));
            } catch (Refused refused) {
                palette.leave(entry.line(), entry.name(), refused.getMessage());
            }
        }

        private Definition definition(PaletteEntry.Wanted wanted) {
            return switch (wanted) {
                case PaletteEntry.Wanted.Values(var color) -> new Definition.Plain(color);
                case PaletteEntry.Wanted.Spot(var equivalent) -> new Definition.SpotInk(equivalent);
                case PaletteEntry.Wanted.TintOf(String base, double percent) ->
                        new Definition.Tint(base(base), percent);
                case PaletteEntry.Wanted.LighterThan(String base, double percent) ->
                        new Definition.Lighter(base(base), percent);
                case PaletteEntry.Wanted.MixOf(String one, String other, double percent) ->
                        new Definition.Mix(base(one), base(other), percent);
            };
        }

        /** In the file first, then in the publication. */
        private UUID base(String name) {
            return Optional.ofNullable(byName.get(name))
                    .or(() -> named(name))
                    .map(Swatch::id)
                    .orElseThrow(() ->
                            new Refused(
                                    "It derives from “%s”, which is neither in the file nor in the publication."
                                            .formatted(name)));
        }

        private Optional<Swatch> named(String name) {
            return Optional.ofNullable(inPublication.get(name));
        }

        private String free(String name) {
            String candidate = name;
            for (int i = 2; taken.contains(candidate); i++) {
                candidate = name + " " + i;
            }
            return candidate;
        }
    }
}
