package yewberry.core.press;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import yewberry.core.asset.PlaneImage;
import yewberry.core.color.Difference;
import yewberry.core.color.Lab;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.EdgeColor;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.Painted;
import yewberry.core.scene.PicturePlace;

/**
 * The flat box of one colour that a picture brings along, such as the white around a logo, where it
 * stands out from what it lies on.
 *
 * @param color as a screen shows it
 * @param tolerance in CIELAB that takes its unevenness in
 * @param remains the part of the picture's edge that would stay when that is made transparent
 */
public record FlatBox(Rgb color, double tolerance, double remains) {
    /** Pixels across that a picture is looked at in. */
    private static final int LOOKED_AT = 300;

    /** So much of the edge has to be near one colour for it to be a box at all. */
    private static final double BOX = 0.6;

    /** Above this part a box does not come off cleanly. */
    private static final double UNEVEN = 0.03;

    /** How near, in CIELAB, and how far it may be stretched where the edge is uneven. */
    private static final double NEAR = 6;

    private static final double FARTHEST = 12;

    /** A difference to what is below that is seen at once, CIEDE2000. */
    private static final double SEEN = 5;

    /** Whether making the colour transparent leaves next to nothing of the box. */
    public boolean comesOffCleanly() {
        return remains <= UNEVEN;
    }

    /**
     * @param scene that the fill is in
     * @return nothing where there is no box, or none that is seen
     */
    public static Optional<FlatBox> of(
            MediumScene scene, Item.AreaFill fill, AreaPaint.Picture picture) {
        if (picture.tiled()
                || picture.seeThrough().isPresent()
                || picture.place().covers(scene.boxes().trim())) {
            return Optional.empty();
        }
        PlaneImage image = picture.pixels().about(LOOKED_AT);
        if (image.alpha().isPresent()) {
            return Optional.empty();
        }
        return box(image, scene.condition()).filter(box -> isSeen(box, scene, fill, picture));
    }

    /** The colour that most of a picture's edge is in. */
    static Optional<FlatBox> box(PlaneImage image, PressCondition condition) {
        List<Lab> edge = new ArrayList<>();
        for (EdgeColor.Edge each : EdgeColor.Edge.values()) {
            EdgeColor.along(image, each).forEach(ink -> edge.add(condition.lab(ink)));
        }
        Lab middle =
                new Lab(
                        median(edge.stream().map(Lab::lightness).toList()),
                        median(edge.stream().map(Lab::a).toList()),
                        median(edge.stream().map(Lab::b).toList()));
        List<Double> far = edge.stream().map(lab -> distance(lab, middle)).sorted().toList();
        if (share(far, NEAR) < BOX) {
            return Optional.empty();
        }
        double wanted = far.get((int) Math.floor((far.size() - 1) * (1 - UNEVEN / 2)));
        double tolerance = Math.clamp(Math.ceil(wanted) + 1, 3, FARTHEST);
        return Optional.of(
                new FlatBox(condition.toScreen(middle), tolerance, 1 - share(far, tolerance)));
    }

    private static double median(List<Double> values) {
        return values.stream().sorted(Comparator.naturalOrder()).toList().get(values.size() / 2);
    }

    private static double distance(Lab one, Lab other) {
        return Math.sqrt(
                Math.pow(one.lightness() - other.lightness(), 2)
                        + Math.pow(one.a() - other.a(), 2)
                        + Math.pow(one.b() - other.b(), 2));
    }

    private static double share(List<Double> distances, double within) {
        return (double) distances.stream().filter(each -> each <= within).count()
                / distances.size();
    }

    /** Whether it stands out from what is below at the middle of one of its edges. */
    private static boolean isSeen(
            FlatBox box, MediumScene scene, Item.AreaFill fill, AreaPaint.Picture picture) {
        PressCondition condition = scene.condition();
        List<Item> below = scene.below(fill);
        Painted painted = new Painted(scene, below);
        Lab own = condition.lab(box.color());
        PicturePlace place = picture.place();
        double[][] middles = {{0.02, 0.5}, {0.98, 0.5}, {0.5, 0.02}, {0.5, 0.98}};
        for (double[] at : middles) {
            double x = place.x() + at[0] * place.acrossX() + at[1] * place.downX();
            double y = place.y() + at[0] * place.acrossY() + at[1] * place.downY();
            boolean ground =
                    below.stream()
                            .anyMatch(item ->
                                    item instanceof Item.AreaFill lower && lower.isAt(x, y));
            if (fill.rect().contains(x, y)
                    && ground
                    && Difference.ciede2000(condition.lab(painted.at(x, y)), own) > SEEN) {
                return true;
            }
        }
        return false;
    }
}
