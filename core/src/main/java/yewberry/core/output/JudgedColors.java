package yewberry.core.output;

import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import yewberry.core.color.Medium;
import yewberry.core.color.Rgb;
import yewberry.core.color.View;
import yewberry.core.legibility.Demand;
import yewberry.core.legibility.Legibility;
import yewberry.core.legibility.RunContrast;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Setup;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;

/**
 * The colours of what is on a page, on screens, and of what is behind it as it is judged: where
 * that is a picture or a gradient, the colour of it that is hardest to read on.
 *
 * @param color of the letters, as it is seen
 * @param required the least ratio between them that passes; 0 where nothing is judged
 * @param onGround whether what is behind it is nothing but the page's backgrounds that lie below
 *     all else, or bare stock
 */
public record JudgedColors(Rgb color, Rgb behind, double required, boolean onGround) {
    /** Those of all that is on screens, by the very item. */
    public static Map<Item, JudgedColors> of(PageScene scene, Setup setup) {
        Legibility legibility =
                new Legibility(scene.condition(), Demand.of(setup), Destination.SCREEN);
        Map<Item, RunContrast> judged = OutputPages.judged(scene, legibility, Medium.SCREEN);
        View view = View.designed(Medium.SCREEN, scene.condition());
        List<Item> there = scene.allOn(Medium.SCREEN);
        Map<Item, Item> composed = new IdentityHashMap<>();
        for (int i = 0; i < there.size(); i++) {
            composed.put(there.get(i), scene.items().get(i));
        }
        Set<UUID> ground =
                scene.on(Medium.SCREEN).lower().stream()
                        .map(Item.AreaFill::background)
                        .collect(Collectors.toSet());
        Map<Item, JudgedColors> colors = new IdentityHashMap<>();
        for (Item item : scene.on(Medium.SCREEN).items()) {
            RunContrast contrast = judged.get(composed.get(item));
            colors.put(item, contrast == null ? unjudged(item, view) : of(contrast, ground));
        }
        return colors;
    }

    private static JudgedColors of(RunContrast contrast, Set<UUID> ground) {
        RunContrast.Against hardest = contrast.worst();
        boolean onGround =
                contrast.against().stream()
                        .flatMap(each -> each.behind().stream())
                        .allMatch(behind -> ground.contains(behind.element()));
        return new JudgedColors(
                hardest.foreground(), hardest.color(), contrast.required(), onGround);
    }

    private static JudgedColors unjudged(Item item, View view) {
        Rgb color =
                item.paints().stream()
                        .findFirst()
                        .map(paint -> view.see(paint.color()))
                        .orElse(view.bare());
        return new JudgedColors(color, view.bare(), 0, false);
    }
}
