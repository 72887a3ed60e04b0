package yewberry.core.edit;

import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Element;
import yewberry.core.publication.Exemption;
import yewberry.core.publication.Frame;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Look;
import yewberry.core.publication.Page;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Parent;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Recipe;
import yewberry.core.publication.Story;
import yewberry.core.publication.Swatch;

/**
 * The elements of one kind that something holds in an order.
 *
 * @param <H> what holds them: a publication, a layer or a story
 * @param alone an element without what lies on it or is in it
 */
record Kind<H, T extends Element>(
        Class<T> type,
        Function<H, List<T>> read,
        BiFunction<H, List<T>, H> write,
        UnaryOperator<T> alone) {
    static final List<Kind<Publication, ?>> OF_PUBLICATIONS =
            List.of(
                    new Kind<>(
                            Swatch.class,
                            Publication::swatches,
                            Publication::withSwatches,
                            UnaryOperator.identity()),
                    new Kind<>(
                            Look.class,
                            Publication::looks,
                            Publication::withLooks,
                            UnaryOperator.identity()),
                    new Kind<>(
                            CharacterLook.class,
                            Publication::characterLooks,
                            Publication::withCharacterLooks,
                            UnaryOperator.identity()),
                    new Kind<>(
                            Asset.class,
                            Publication::assets,
                            Publication::withAssets,
                            UnaryOperator.identity()),
                    new Kind<>(
                            Recipe.class,
                            Publication::recipes,
                            Publication::withRecipes,
                            recipe -> recipe.withLayer(Layer.EMPTY)),
                    new Kind<>(
                            Parent.class,
                            Publication::parents,
                            Publication::withParents,
                            parent -> parent.withLayer(Layer.EMPTY)),
                    new Kind<>(
                            Page.class,
                            Publication::pages,
                            Publication::withPages,
                            page -> page.withLayer(Layer.EMPTY)),
                    new Kind<>(
                            Story.class,
                            Publication::stories,
                            Publication::withStories,
                            story -> story.withParagraphs(List.of())),
                    new Kind<>(
                            Exemption.class,
                            Publication::exemptions,
                            Publication::withExemptions,
                            UnaryOperator.identity()));

    static final List<Kind<Layer, ?>> OF_LAYERS =
            List.of(
                    new Kind<>(
                            Background.class,
                            Layer::backgrounds,
                            Layer::withBackgrounds,
                            UnaryOperator.identity()),
                    new Kind<>(
                            Frame.class,
                            Layer::frames,
                            Layer::withFrames,
                            UnaryOperator.identity()));

    static final Kind<Story, Paragraph> OF_STORIES =
            new Kind<>(
                    Paragraph.class,
                    Story::paragraphs,
                    Story::withParagraphs,
                    UnaryOperator.identity());
}
