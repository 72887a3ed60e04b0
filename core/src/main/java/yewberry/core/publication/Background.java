package yewberry.core.publication;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import yewberry.core.Refused;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Definition;
import yewberry.core.color.Medium;

/**
 * A fill on an area of a page or parent, behind its content.
 *
 * @param opacity in percent; 100 covers
 * @param goesTo where it is shown
 * @param madeBy the background of a recipe that it is a use of
 * @param over whether it lies over the page of a file instead of behind it; on pages made here
 *     nothing lies between
 */
public record Background(
        UUID id,
        Sides sides,
        Area area,
        Fill fill,
        double opacity,
        BlendMode blend,
        GoesTo goesTo,
        Optional<RecipeUse> madeBy,
        boolean over)
        implements Element {
    /** A background of a recipe. */
    public record RecipeUse(UUID recipe, UUID background) {}

    /** Two independent switches. */
    public record GoesTo(boolean screen, boolean paper) {
        public static final GoesTo BOTH = new GoesTo(true, true);

        public boolean has(Medium medium) {
            return medium == Medium.PAPER ? paper : screen;
        }
    }

    public Background {
        Definition.checkPercent("An opacity", opacity);
        if (fill instanceof Fill.Word) {
            throw new Refused(
                    "A word is not a background; add it as a running item behind the content.");
        }
    }

    /** One that covers and goes everywhere. */
    public Background(UUID id, Sides sides, Area area, Fill fill) {
        this(id, sides, area, fill, 100, BlendMode.NORMAL, GoesTo.BOTH);
    }

    /** One that was made by no recipe. */
    public Background(
            UUID id,
            Sides sides,
            Area area,
            Fill fill,
            double opacity,
            BlendMode blend,
            GoesTo goesTo) {
        this(id, sides, area, fill, opacity, blend, goesTo, Optional.empty(), false);
    }

    public Background withMadeBy(Optional<RecipeUse> changed) {
        return new Background(id, sides, area, fill, opacity, blend, goesTo, changed, over);
    }

    public Background withId(UUID changed) {
        return new Background(changed, sides, area, fill, opacity, blend, goesTo, madeBy, over);
    }

    public Background withOpacity(double changed) {
        return new Background(id, sides, area, fill, changed, blend, goesTo, madeBy, over);
    }

    public Background withArea(Area changed) {
        return new Background(id, sides, changed, fill, opacity, blend, goesTo, madeBy, over);
    }

    public Background withGoesTo(GoesTo changed) {
        return new Background(id, sides, area, fill, opacity, blend, changed, madeBy, over);
    }

    public Background withBlend(BlendMode changed) {
        return new Background(id, sides, area, fill, opacity, changed, goesTo, madeBy, over);
    }

    public Background withSides(Sides changed) {
        return new Background(id, changed, area, fill, opacity, blend, goesTo, madeBy, over);
    }

    public Background withOver(boolean changed) {
        return new Background(id, sides, area, fill, opacity, blend, goesTo, madeBy, changed);
    }

    public Background withFill(Fill changed) {
        return new Background(id, sides, area, changed, opacity, blend, goesTo, madeBy, over);
    }

    @Override
    public List<Reference> references() {
        List<Reference> references = new ArrayList<>();
        fill.colors().forEach(color -> references.add(Reference.swatch(color.swatch())));
        fill.madeFrom().ifPresent(asset -> references.add(Reference.asset(asset)));
        madeBy.ifPresent(made -> references.add(Reference.recipe(made.recipe())));
        return references;
    }

    @Override
    public Background withReference(UUID old, UUID replacement) {
        if (references().stream().noneMatch(each -> each.id().equals(old))) {
            return this;
        }
        UnaryOperator<UUID> exchange = id -> id.equals(old) ? replacement : id;
        return withFill(fill.withSwatches(exchange).withAsset(exchange))
                .withMadeBy(
                        madeBy.map(made ->
                                new RecipeUse(exchange.apply(made.recipe()), made.background())));
    }
}
