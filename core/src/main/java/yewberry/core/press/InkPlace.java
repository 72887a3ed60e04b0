package yewberry.core.press;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import yewberry.core.color.Color;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.Overlay;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Painted;
import yewberry.core.scene.Rect;

/**
 * A place of a page that is printed in one colour, with all the ink that lies there.
 *
 * @param item on top
 * @param backdrop what that item prints over; nothing where it knocks out or lies on bare stock
 * @param color that all of it comes to
 * @param total all inks together, in percent
 * @param rects where, in the space of the page; they do not overlap for fills
 */
public record InkPlace(
        Item item, Optional<Item> backdrop, Color color, double total, List<Rect> rects) {
    /** In each direction over an area that is not one colour. */
    private static final int GRID = 12;

    /** The same over a picture, whose heaviest place may be small. */
    private static final int PICTURE_GRID = 72;

    public InkPlace {
        item = item.withoutGlyphs();
        backdrop = backdrop.map(Item::withoutGlyphs);
        rects = List.copyOf(rects);
    }

    /** A rectangle around all of it. */
    public Rect where() {
        return rects.stream().reduce(Rect::union).orElseThrow();
    }

    /** In square centimetres; of text, the area of the rectangles it stands in. */
    public double area() {
        double point = 2.54 / 72;
        return rects.stream().mapToDouble(rect -> rect.width() * rect.height()).sum()
                * point
                * point;
    }

    /** Every place of a page, from the lowest item up: what is covered completely is left out. */
    public static List<InkPlace> of(PageScene all) {
        MediumScene scene = all.on(Medium.PAPER);
        PressCondition condition = scene.condition();
        List<InkPlace> places = new ArrayList<>();
        for (Item item : scene.items()) {
            switch (item) {
                case Item.Filled fill -> {
                    List<Rect> visible = visible(scene, fill);
                    if (!visible.isEmpty()) {
                        Color color = heaviest(scene, fill, visible, condition);
                        places.add(place(item, color, visible, condition));
                    }
                }
                case Item.GlyphRun run -> {
                    if (run.paint().overprints()) {
                        places.addAll(overprinted(scene, run, condition));
                    } else {
                        places.add(
                                place(item, run.paint().color(), List.of(run.bounds()), condition));
                    }
                }
                case Item.GlyphStroke line ->
                        places.add(
                                place(
                                        item,
                                        line.paint().color(),
                                        List.of(line.bounds()),
                                        condition));
            }
        }
        return places;
    }

    private static InkPlace place(
            Item item, Color color, List<Rect> rects, PressCondition condition) {
        return new InkPlace(item, Optional.empty(), color, condition.totalInk(color), rects);
    }

    /** The colour of an area; where it is not one, that with the most ink of a grid of points. */
    private static Color heaviest(
            MediumScene scene, Item.Filled fill, List<Rect> visible, PressCondition condition) {
        if (fill.solid().isPresent()) {
            return fill.solid().get().color();
        }
        Painted painted = new Painted(scene, scene.upTo(fill));
        List<Color> colors = new ArrayList<>();
        int grid = fill.paint() instanceof AreaPaint.Picture ? PICTURE_GRID : GRID;
        for (Rect rect : visible) {
            for (int column = 0; column <= grid; column++) {
                for (int row = 0; row <= grid; row++) {
                    // a hair inside, where the area still is
                    double x = rect.x() + 0.01 + (rect.width() - 0.02) * column / grid;
                    double y = rect.y() + 0.01 + (rect.height() - 0.02) * row / grid;
                    colors.add(painted.at(x, y));
                }
            }
        }
        return colors.stream().max(Comparator.comparingDouble(condition::totalInk)).orElseThrow();
    }

    private record Stack(Optional<Item> backdrop, Color color) {}

    private static List<InkPlace> overprinted(
            MediumScene scene, Item.GlyphRun run, PressCondition condition) {
        Map<Stack, List<Rect>> stacks = new LinkedHashMap<>();
        for (Overlay.Part part : Overlay.of(scene, run)) {
            stacks.computeIfAbsent(
                            new Stack(part.backdrop(), part.color()), key -> new ArrayList<>())
                    .add(part.rect());
        }
        return stacks.entrySet().stream()
                .map(each ->
                        new InkPlace(
                                run,
                                each.getKey().backdrop(),
                                each.getKey().color(),
                                condition.totalInk(each.getKey().color()),
                                each.getValue()))
                .toList();
    }

    /** What of a fill no later rectangle covers, within the bleed. */
    private static List<Rect> visible(MediumScene scene, Item.Filled fill) {
        List<Rect> open = List.of(fill.bounds().intersection(scene.boxes().bleed()));
        int above = scene.upTo(fill).size();
        for (Item item : scene.items().subList(above, scene.items().size())) {
            if (item instanceof Item.Filled upper && upper.covers() && upper.shape().isEmpty()) {
                open = open.stream().flatMap(part -> part.minus(upper.bounds()).stream()).toList();
            }
        }
        return open.stream().filter(part -> !part.isEmpty()).toList();
    }
}
