package yewberry.core.output;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import yewberry.core.color.Medium;
import yewberry.core.legibility.Demand;
import yewberry.core.legibility.Legibility;
import yewberry.core.legibility.RunContrast;
import yewberry.core.publication.Background;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Publication;
import yewberry.core.scene.Item;
import yewberry.core.scene.JoinedPages;
import yewberry.core.scene.PageScene;

/**
 * A page of a file that shows one thing on a screen and prints another. All of it is in the colours
 * of a screen, which an office printer takes as well.
 *
 * @param all that is in the file, from the lowest to the topmost
 * @param where each of these items is seen
 */
public record ScreenAndPaper(PageScene all, List<Where> where) {
    /** Where something is seen. */
    public enum Where {
        BOTH,
        SCREEN,
        PAPER
    }

    public ScreenAndPaper {
        where = List.copyOf(where);
    }

    /** What is seen on a screen, or printed. */
    public PageScene seen(Where on) {
        List<Item> items = new ArrayList<>();
        for (int i = 0; i < where.size(); i++) {
            if (where.get(i) == Where.BOTH || where.get(i) == on) {
                items.add(all.items().get(i));
            }
        }
        return all.withItems(items);
    }

    /** All that goes anywhere, in the colours that it has. */
    public static ScreenAndPaper of(PageScene scene) {
        List<Item> items = new ArrayList<>();
        List<Where> where = new ArrayList<>();
        for (Item item : scene.items()) {
            switch (item) {
                case Item.AreaFill fill -> {
                    if (goes(fill.goesTo())) {
                        items.add(fill.withGoesTo(Background.GoesTo.BOTH));
                        where.add(where(fill.goesTo()));
                    }
                }
                case Item.FrontFill fill -> {
                    if (goes(fill.goesTo())) {
                        items.add(everywhere(fill));
                        where.add(where(fill.goesTo()));
                    }
                }
                case Item.TextFill fill -> {
                    items.add(fill);
                    where.add(Where.BOTH);
                }
                case Item.Lettering letters -> {
                    items.add(letters);
                    where.add(Where.BOTH);
                }
            }
        }
        return new ScreenAndPaper(scene.withItems(items), where);
    }

    /**
     * @param scene composed for both, so that text that chooses its colour has one that is legible
     *     on both, where there is one
     */
    static ScreenAndPaper of(PageScene scene, Publication publication) {
        ScreenAndPaper plain = of(scene);
        return plain.switches() ? plain.legible(publication) : plain;
    }

    /** Whether a screen shows anything else than is printed. */
    public boolean switches() {
        return !where.stream().allMatch(Where.BOTH::equals);
    }

    /** Two pages that face each other as one. */
    ScreenAndPaper besides(ScreenAndPaper right) {
        JoinedPages joined = JoinedPages.of(all, right.all);
        return new ScreenAndPaper(
                joined.scene(),
                joined.from().stream()
                        .map(from -> (from.left() ? where : right.where).get(from.at()))
                        .toList());
    }

    private static boolean goes(Background.GoesTo to) {
        return to.screen() || to.paper();
    }

    private static Where where(Background.GoesTo to) {
        if (to.screen() && to.paper()) {
            return Where.BOTH;
        }
        return to.screen() ? Where.SCREEN : Where.PAPER;
    }

    private static Item everywhere(Item.FrontFill fill) {
        return new Item.FrontFill(
                fill.origin(),
                fill.source().withGoesTo(Background.GoesTo.BOTH),
                fill.paint(),
                fill.form(),
                fill.reaches(),
                fill.frame());
    }

    /** With text of its own for each where one colour does not do for both. */
    private ScreenAndPaper legible(Publication publication) {
        Legibility legibility =
                new Legibility(all.condition(), Demand.of(publication.setup()), Destination.SCREEN);
        Map<Where, Map<Item, RunContrast>> failing = new HashMap<>();
        for (Where on : List.of(Where.SCREEN, Where.PAPER)) {
            failing.put(on, OutputPages.failing(seen(on), legibility, Medium.SCREEN));
        }
        List<Item> items = new ArrayList<>();
        List<Where> changed = new ArrayList<>();
        for (int i = 0; i < where.size(); i++) {
            Item item = all.items().get(i);
            RunContrast onScreen = failing.get(Where.SCREEN).get(item);
            RunContrast onPaper = failing.get(Where.PAPER).get(item);
            boolean one = (onScreen == null) == (onPaper == null);
            if (one || !(item instanceof Item.GlyphRun run)) {
                items.add(item);
                changed.add(where.get(i));
                continue;
            }
            items.add(
                    onScreen == null ? run : OutputPages.readable(run, onScreen, all.condition()));
            changed.add(Where.SCREEN);
            items.add(onPaper == null ? run : OutputPages.readable(run, onPaper, all.condition()));
            changed.add(Where.PAPER);
        }
        return new ScreenAndPaper(all.withItems(items), changed);
    }
}
