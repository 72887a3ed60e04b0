package yewberry.server.view;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Color;
import yewberry.core.color.Definition;
import yewberry.core.color.Lab;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Printable;
import yewberry.core.color.Rgb;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Look;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Palette;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Parent;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recipe;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Uses;

/** A publication as the interface shows it, but for its pages, which are read in parts. */
public record PublicationView(
        UUID id,
        String name,
        long revision,
        Setup setup,
        String pressCondition,
        double inkLimit,
        List<SwatchView> swatches,
        List<LookView> looks,
        List<CharacterLookView> characterLooks,
        List<AssetView> assets,
        List<RecipeView> recipes,
        List<ParentView> parents,
        int pages) {
    /**
     * @param values what it comes to under the press condition, in words
     * @param rgb its value in sRGB
     * @param screen what is seen of it where the publication goes, as {@code #rrggbb}
     * @param ink what the press condition prints for it, spot inks as their equivalents
     * @param lab as it is seen on the screen, where paper is white
     * @param chroma of {@code lab}
     * @param hue of {@code lab}, in degrees
     * @param tooMuchInk whether that is over the limit of the press condition
     * @param totalInk all inks together, in percent
     * @param faithful whether the press can print it
     * @param nearest the printable colour nearest to it, on the screen
     * @param nearestInk the inks that print that
     * @param distance to that, CIEDE2000, one decimal
     */
    public record SwatchView(
            UUID id,
            String name,
            Definition definition,
            String values,
            Rgb rgb,
            String screen,
            Cmyk ink,
            Lab lab,
            double chroma,
            double hue,
            double totalInk,
            boolean tooMuchInk,
            boolean faithful,
            String nearest,
            Cmyk nearestInk,
            double distance,
            int uses) {
        static SwatchView of(
                Swatch swatch, Color color, Medium medium, PressCondition press, int uses) {
            Printable printable = Printable.nearest(color, press);
            return new SwatchView(
                    swatch.id(),
                    swatch.name(),
                    swatch.definition(),
                    swatch.definition() instanceof Definition.Legible legible
                            ? "The first legible of %d".formatted(legible.swatches().size())
                            : color.toString(),
                    press.toScreen(color),
                    press.seen(color, medium).hex(),
                    tenths(press.toInk(color)),
                    tenths(press.lab(color)),
                    tenth(press.lab(color).chroma()),
                    tenth(press.lab(color).hue()),
                    Math.rint(press.totalInk(color)),
                    press.totalInk(color) > press.inkLimit() + 0.01,
                    printable.faithful(),
                    printable.screen().hex(),
                    printable.ink(),
                    tenth(printable.distance()),
                    uses);
        }

        private static Cmyk tenths(Cmyk ink) {
            return new Cmyk(
                    tenth(ink.cyan()),
                    tenth(ink.magenta()),
                    tenth(ink.yellow()),
                    tenth(ink.black()));
        }

        private static Lab tenths(Lab lab) {
            return new Lab(tenth(lab.lightness()), tenth(lab.a()), tenth(lab.b()));
        }

        private static double tenth(double value) {
            return Math.rint(value * 10) / 10;
        }
    }

    public record LookView(Look look, int uses) {}

    public record CharacterLookView(CharacterLook look, int uses) {}

    /**
     * @param on what it was put on
     */
    public record RecipeView(Recipe recipe, List<Owner> on) {}

    public record AssetView(Asset asset, int uses) {}

    /**
     * @param looks of the text on it
     * @param pages how many show what lies on it
     */
    public record ParentView(
            UUID id,
            String name,
            Optional<UUID> base,
            Layer layer,
            List<UUID> looks,
            int uses,
            int pages) {}

    /**
     * @param uses how often its elements are used
     */
    public static PublicationView of(
            Publication publication, long revision, Uses uses, PressCondition press) {
        Map<UUID, List<Owner>> on = on(publication);
        Palette palette = new Palette(publication::swatch, press);
        return new PublicationView(
                publication.id(),
                publication.name(),
                revision,
                publication.setup(),
                press.name(),
                press.inkLimit(),
                publication.swatches().stream()
                        .map(swatch ->
                                SwatchView.of(
                                        swatch,
                                        palette.color(swatch),
                                        publication.setup().destination().media().getFirst(),
                                        press,
                                        uses.of(swatch.id())))
                        .toList(),
                publication.looks().stream()
                        .map(look -> new LookView(look, uses.of(look.id())))
                        .toList(),
                publication.characterLooks().stream()
                        .map(look -> new CharacterLookView(look, uses.of(look.id())))
                        .toList(),
                publication.assets().stream()
                        .map(asset -> new AssetView(asset, uses.of(asset.id())))
                        .toList(),
                publication.recipes().stream()
                        .map(recipe ->
                                new RecipeView(recipe, on.getOrDefault(recipe.id(), List.of())))
                        .toList(),
                parents(publication, uses),
                publication.pages().size());
    }

    private static List<ParentView> parents(Publication publication, Uses uses) {
        Map<UUID, Integer> based = new HashMap<>();
        for (Parent parent : publication.parents()) {
            parent.base().ifPresent(base -> based.merge(base, 1, Integer::sum));
        }
        Map<UUID, Integer> below = new HashMap<>();
        for (Parent parent : publication.parents()) {
            int pages = uses.of(parent.id()) - based.getOrDefault(parent.id(), 0);
            for (Parent each : publication.chain(Optional.of(parent.id()))) {
                below.merge(each.id(), pages, Integer::sum);
            }
        }
        return publication.parents().stream()
                .map(parent ->
                        new ParentView(
                                parent.id(),
                                parent.name(),
                                parent.base(),
                                parent.layer(),
                                looks(parent, publication),
                                uses.of(parent.id()),
                                below.get(parent.id())))
                .toList();
    }

    private static List<UUID> looks(Parent parent, Publication publication) {
        return parent.layer().textFrames().stream()
                .flatMap(frame -> publication.story(frame.story()).paragraphs().stream())
                .map(Paragraph::look)
                .distinct()
                .toList();
    }

    /** By recipe, what it was put on. */
    private static Map<UUID, List<Owner>> on(Publication publication) {
        Map<UUID, List<Owner>> on = new HashMap<>();
        if (publication.recipes().isEmpty()) {
            return on;
        }
        publication
                .carriers()
                .forEach(carrier ->
                        carrier.layer().backgrounds().stream()
                                .flatMap(each -> each.madeBy().stream())
                                .map(Background.RecipeUse::recipe)
                                .distinct()
                                .forEach(recipe ->
                                        on.computeIfAbsent(recipe, key -> new ArrayList<>())
                                                .add(carrier.asOwner())));
        return on;
    }
}
