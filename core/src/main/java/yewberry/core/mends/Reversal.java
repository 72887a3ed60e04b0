package yewberry.core.mends;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import yewberry.core.Names;
import yewberry.core.color.Color;
import yewberry.core.color.Contrast;
import yewberry.core.color.Definition;
import yewberry.core.color.Medium;
import yewberry.core.color.Numbers;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.edit.CharacterLookEdit;
import yewberry.core.edit.Edit;
import yewberry.core.edit.LookEdit;
import yewberry.core.edit.StoryEdit;
import yewberry.core.edit.SwatchEdit;
import yewberry.core.legibility.Demand;
import yewberry.core.legibility.SizeClass;
import yewberry.core.publication.Basis;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Distance;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Highlight;
import yewberry.core.publication.Look;
import yewberry.core.publication.Padding;
import yewberry.core.publication.Palette;
import yewberry.core.publication.Panel;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;
import yewberry.core.text.Type;

/**
 * Text that is given a ground, and a colour that reads on it. Where its own does not, it gets a
 * legible colour that tries its own first, so that it has that back when the ground goes.
 *
 * @param edit that makes it
 * @param look that has the ground then
 * @param text the swatch that is read on the ground
 * @param screen what is seen of that
 * @param ground what is seen of the ground
 * @param ratio between the two, on what the publication goes to the least
 * @param required the least that passes
 */
public record Reversal(
        Edit edit, UUID look, String text, Rgb screen, Rgb ground, double ratio, double required) {
    /** Around the text where its look has no panel yet: common practice, no source. */
    private static final Padding PADDING =
            new Padding(Distance.em(0.3), Distance.em(0.5), Distance.em(0.35), Distance.em(0.5));

    private static final double SIDES = 0.15;

    /**
     * Of whole paragraphs, which get a shading.
     *
     * @param own whether they get a look of their own; otherwise the one that they wear changes
     * @param ids for what is new
     */
    public static Reversal ofParagraphs(
            Publication in,
            StoryEdit.WearLook worn,
            Tinted ground,
            boolean own,
            PressCondition condition,
            Supplier<UUID> ids) {
        Look look = in.look(worn.look());
        Reversing reversing =
                new Reversing(in, ground, Type.of(look, Optional.empty()), condition, ids);
        Tinted color = reversing.color(look.color());
        Panel panel =
                look.panel()
                        .filter(Panel::paints)
                        .orElse(Panel.NONE.withPadding(PADDING))
                        .withShading(Optional.of(new Fill.Solid(ground)));
        Look reversed = look.withColor(color).withPanel(Optional.of(panel));
        if (!own) {
            return reversing.made(look.id(), new LookEdit.ChangeLook(reversed, Optional.of(look)));
        }
        Look fresh =
                reversed.copy(
                                ids.get(),
                                Names.free(
                                        look.name() + " reversed", names(in.looks(), Look::name)))
                        .withBasis(Optional.of(new Basis(look.id(), Set.of("color", "panel"))));
        return reversing.made(
                fresh.id(),
                new LookEdit.AddLook(fresh),
                new StoryEdit.WearLook(worn.story(), worn.paragraphs(), fresh.id()));
    }

    /**
     * Of characters, which get a highlight. Those that wear no look of characters get one of their
     * own in any case; giving it to them is left to whoever knows which they are.
     *
     * @param paragraphs the look of their paragraph
     * @param characters the look that they wear
     */
    public static Reversal ofCharacters(
            Publication in,
            UUID paragraphs,
            Optional<UUID> characters,
            Tinted ground,
            boolean own,
            PressCondition condition,
            Supplier<UUID> ids) {
        Look look = in.look(paragraphs);
        Optional<CharacterLook> worn = characters.map(in::characterLook);
        Reversing reversing = new Reversing(in, ground, Type.of(look, worn), condition, ids);
        Tinted color = reversing.color(worn.flatMap(CharacterLook::color).orElse(look.color()));
        Highlight highlight =
                worn.flatMap(CharacterLook::highlight)
                        .map(each -> each.withColor(ground))
                        .orElse(new Highlight(ground, 0, 0, SIDES, 0, false));
        CharacterLook begun =
                worn.orElseGet(() ->
                        new CharacterLook(
                                ids.get(),
                                Names.free(
                                        "Reversed",
                                        names(in.characterLooks(), CharacterLook::name))));
        CharacterLook reversed =
                begun.withColor(Optional.of(color)).withHighlight(Optional.of(highlight));
        if (worn.isPresent() && !own) {
            return reversing.made(
                    reversed.id(), new CharacterLookEdit.ChangeCharacterLook(reversed, worn));
        }
        CharacterLook fresh =
                worn.map(each ->
                                reversed.copy(
                                                ids.get(),
                                                Names.free(
                                                        each.name() + " reversed",
                                                        names(
                                                                in.characterLooks(),
                                                                CharacterLook::name)))
                                        .withBasis(
                                                Optional.of(
                                                        new Basis(
                                                                each.id(),
                                                                Set.of("color", "highlight")))))
                        .orElse(reversed);
        return reversing.made(fresh.id(), new CharacterLookEdit.AddCharacterLook(fresh));
    }

    private static <T> Set<String> names(List<T> all, java.util.function.Function<T, String> name) {
        return all.stream().map(name).collect(Collectors.toSet());
    }

    /** Looks for the colour of the text. */
    private static final class Reversing {
        private final Publication in;
        private final Tinted ground;
        private final double required;
        private final PressCondition condition;
        private final Supplier<UUID> ids;
        private final List<Edit> edits = new ArrayList<>();
        private Tried taken;

        /**
         * @param type of the text, by which it counts as large or not
         */
        Reversing(
                Publication in,
                Tinted ground,
                Type type,
                PressCondition condition,
                Supplier<UUID> ids) {
            this.in = in;
            this.ground = ground;
            this.condition = condition;
            this.ids = ids;
            this.required = Demand.of(in.setup()).required(SizeClass.of(type).large());
        }

        private record Tried(Tinted color, String name, double ratio, Rgb screen) {}

        private Color color(Tinted use, Palette palette) {
            return Palette.tint(palette.color(use.swatch()), use.tint());
        }

        private Tried tried(Tinted text) {
            Palette palette = new Palette(in::swatch, condition);
            Color over = color(text, palette);
            Color under = color(ground, palette);
            double least = Double.MAX_VALUE;
            for (Medium medium : in.setup().destination().media()) {
                least =
                        Math.min(
                                least,
                                Contrast.ratio(
                                        condition.seen(over, medium),
                                        condition.seen(under, medium)));
            }
            Medium first = in.setup().destination().media().getFirst();
            return new Tried(
                    text, in.swatch(text.swatch()).name(), least, condition.seen(over, first));
        }

        /** The colour that the text gets: its own where that is legible on the ground. */
        Tinted color(Tinted own) {
            List<Tinted> candidates = candidates(own);
            Optional<Tried> first =
                    candidates.stream()
                            .map(this::tried)
                            .filter(each -> each.ratio() >= required)
                            .findFirst();
            if (first.isPresent()) {
                taken = first.get();
                return own;
            }
            taken =
                    in.swatches().stream()
                            .filter(each -> !(each.definition() instanceof Definition.Legible))
                            .map(each -> tried(Tinted.full(each.id())))
                            .max(Comparator.comparingDouble(Tried::ratio))
                            .orElseThrow();
            List<UUID> list =
                    Stream.concat(
                                    candidates.stream().map(this::whole),
                                    Stream.of(taken.color().swatch()))
                            .distinct()
                            .toList();
            return Tinted.full(legible(list, own));
        }

        private List<Tinted> candidates(Tinted own) {
            return in.swatch(own.swatch()).definition() instanceof Definition.Legible legible
                    ? legible.swatches().stream().map(each -> new Tinted(each, own.tint())).toList()
                    : List.of(own);
        }

        /** A swatch that is what a tint of another comes to. */
        private UUID whole(Tinted use) {
            if (use.tint() == 100) {
                return use.swatch();
            }
            Definition tint = new Definition.Tint(use.swatch(), use.tint());
            return swatch(
                    tint,
                    "%s %s %%"
                            .formatted(in.swatch(use.swatch()).name(), Numbers.plain(use.tint())));
        }

        private UUID legible(List<UUID> list, Tinted own) {
            return swatch(
                    new Definition.Legible(list, List.of()),
                    "%s or %s".formatted(in.swatch(own.swatch()).name(), taken.name()));
        }

        /** One that is there, or a new one. */
        private UUID swatch(Definition definition, String name) {
            return in.swatches().stream()
                    .filter(each -> each.definition().equals(definition))
                    .map(Swatch::id)
                    .findFirst()
                    .orElseGet(() -> {
                        Swatch fresh =
                                new Swatch(
                                        ids.get(),
                                        Names.free(name, names(in.swatches(), Swatch::name)),
                                        definition);
                        edits.add(new SwatchEdit.AddSwatch(fresh));
                        return fresh.id();
                    });
        }

        Reversal made(UUID look, Edit... last) {
            edits.addAll(List.of(last));
            Palette palette = new Palette(in::swatch, condition);
            Medium first = in.setup().destination().media().getFirst();
            return new Reversal(
                    edits.size() == 1 ? edits.getFirst() : new Edit.Several(edits),
                    look,
                    taken.name(),
                    taken.screen(),
                    condition.seen(color(ground, palette), first),
                    taken.ratio(),
                    required);
        }
    }
}
