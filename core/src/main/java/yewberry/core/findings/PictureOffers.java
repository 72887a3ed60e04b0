package yewberry.core.findings;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.color.BlendMode;
import yewberry.core.color.PressCondition;
import yewberry.core.edit.BackgroundEdit;
import yewberry.core.edit.Edit;
import yewberry.core.edit.SwatchEdit;
import yewberry.core.press.FlatBox;
import yewberry.core.press.RunOuts;
import yewberry.core.publication.Area;
import yewberry.core.publication.Background;
import yewberry.core.publication.Fill;
import yewberry.core.publication.RunOut;
import yewberry.core.publication.SeeThrough;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.EdgeColor;
import yewberry.core.scene.Item;

/** What would mend findings of pictures. */
final class PictureOffers {
    /** Pixels across that edges are looked at in. */
    private static final int LOOKED_AT = 600;

    /** Below all that are there. */
    private static final int MANY = 10_000;

    private PictureOffers() {}

    static List<Offer> of(PictureFinding finding, Optional<Background> background) {
        if (background.isEmpty()) {
            return List.of();
        }
        return switch (finding) {
            case PictureFinding.Unreadable unreadable -> List.of();
            case PictureFinding.TooCoarse coarse -> List.of();
            case PictureFinding.NotForPress brought -> List.of();
            case PictureFinding.Boxed(UUID page, Item.AreaFill fill, FlatBox box) ->
                    seeThrough(box, background.get());
            case PictureFinding.SpotCannotBlend spot ->
                    List.of(
                            new Offer(
                                    "Set it to normal",
                                    new BackgroundEdit.ChangeBackground(
                                            background.get().withBlend(BlendMode.NORMAL))));
        };
    }

    private static List<Offer> seeThrough(FlatBox box, Background background) {
        if (!(background.fill() instanceof Fill.Picture picture)) {
            return List.of();
        }
        List<Offer> offers = new ArrayList<>();
        for (boolean fromEdges : new boolean[] {true, false}) {
            SeeThrough color = new SeeThrough(box.color(), box.tolerance(), fromEdges);
            offers.add(
                    new Offer(
                            "Make %s see-through, %s"
                                    .formatted(
                                            box.color().hex(),
                                            fromEdges ? "from its edges inwards" : "everywhere"),
                            new BackgroundEdit.ChangeBackground(
                                    background.withFill(
                                            picture.withSeeThrough(Optional.of(color))))));
        }
        return offers;
    }

    /** The ways in which a picture could go on to the bleed, the best first. */
    static List<Offer> runOuts(
            Item.AreaFill fill, Background background, PressCondition condition) {
        if (!(fill.paint() instanceof AreaPaint.Picture shown)
                || !(background.fill() instanceof Fill.Picture picture)) {
            return List.of();
        }
        List<Offer> offers = new ArrayList<>();
        for (RunOuts.Option option : RunOuts.of(fill, shown, condition)) {
            offers.add(
                    new Offer(
                            label(option.kind()),
                            new BackgroundEdit.ChangeBackground(
                                    background.withFill(picture.withRunOut(option.kind())))));
        }
        if (!offers.isEmpty()) {
            offers.add(flood(fill, shown, background));
        }
        return offers;
    }

    /** All of the page below the picture, in the mean colour of its edges. */
    private static Offer flood(Item.AreaFill fill, AreaPaint.Picture shown, Background background) {
        Swatch swatch =
                new Swatch(
                        id("flood swatch", background),
                        "Edge of " + shown.asset().name(),
                        EdgeColor.around(shown.pixels().about(LOOKED_AT)));
        Background flood =
                new Background(
                        id("flood", background),
                        background.sides(),
                        new Area.WholePage(),
                        new Fill.Solid(Tinted.full(swatch.id())));
        return new Offer(
                "Flood the page with the colour of its edges",
                new Edit.Several(
                        List.of(
                                new SwatchEdit.AddSwatch(swatch),
                                new BackgroundEdit.AddBackground(fill.origin().owner(), flood),
                                new BackgroundEdit.RestackBackground(flood.id(), -MANY))));
    }

    /** The same offer has the same id each time it is made. */
    private static UUID id(String what, Background background) {
        return UUID.nameUUIDFromBytes((what + background.id()).getBytes(StandardCharsets.UTF_8));
    }

    private static String label(RunOut kind) {
        return switch (kind) {
            case NONE -> "Let it end there";
            case EDGE_COLOR -> "Go on in the colour of its edge";
            case MIRROR -> "Go on mirrored";
            case ENLARGE -> "Make it larger";
        };
    }
}
