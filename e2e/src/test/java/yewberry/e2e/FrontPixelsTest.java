package yewberry.e2e;

import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yewberry.core.asset.Documents;
import yewberry.core.asset.Intake;
import yewberry.core.asset.Pictures;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Cmyk;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.picture.Png;
import yewberry.core.publication.Area;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Box;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.PictureFrame;
import yewberry.core.publication.Placing;
import yewberry.core.publication.Publication;
import yewberry.core.publication.RunOut;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;
import yewberry.core.raster.Coverage;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;

/** The picture of a page as Chromium draws it, with pictures and running items in front. */
@ExtendWith(Browser.class)
class FrontPixelsTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final Swatch NIGHT = new Swatch(id(1), "Night", new Cmyk(100, 86, 42, 52));
    private static final Swatch SIGNAL = new Swatch(id(2), "Signal", new Cmyk(0, 75, 90, 5));

    private static UUID id(int number) {
        return new UUID(0, number);
    }

    private static byte[] sky() {
        BufferedImage image = new BufferedImage(480, 360, BufferedImage.TYPE_INT_RGB);
        Graphics2D graphics = image.createGraphics();
        graphics.setPaint(
                new GradientPaint(0, 0, new Color(0x101c3c), 480, 0, new Color(0xd08858)));
        graphics.fillRect(0, 0, 480, 360);
        graphics.dispose();
        return Png.of(image);
    }

    /** A page half of which is night, and something in front across the edge of that. */
    private static PageScene scene(PictureFrame front) {
        byte[] file = sky();
        Asset asset =
                new Asset(id(3), "Sky", "any", new Intake(Documents.NONE).look("sky.png", file));
        Background half =
                new Background(
                        id(4),
                        Sides.BOTH,
                        new Area.Band(yewberry.core.publication.Edge.TOP, Length.mm(40)),
                        new Fill.Solid(Tinted.full(NIGHT.id())));
        yewberry.core.publication.Page page =
                new yewberry.core.publication.Page(
                        id(5), Optional.empty(), true, new Layer(List.of(half), List.of(front)));
        Publication publication =
                new Publication(
                                id(6),
                                "Front",
                                Setup.of(new PageSize(Length.mm(100), Length.mm(80)), false),
                                List.of(NIGHT, SIGNAL),
                                List.of(),
                                List.of(),
                                List.of(page))
                        .withAssets(List.of(asset));
        return new Composer(COATED, new Pictures(sha256 -> file, Documents.NONE))
                .compose(publication, 0);
    }

    /** Within the outline, away from its edge: mean at most 2 of 255, 99th percentile 12. */
    @ParameterizedTest
    @CsvSource({
        "sky, 100, NORMAL, 0",
        "sky, 100, NORMAL, 25",
        "sky, 40, NORMAL, -60",
        "PROOF, 100, NORMAL, 0",
        "PROOF, 20, NORMAL, -35",
        "PROOF, 70, MULTIPLY, 12",
    })
    void chromium_shows_them_where_they_are_painted(
            String what, double opacity, BlendMode blend, double degrees, Browser.Window window)
            throws IOException {
        Fill fill =
                what.equals("sky")
                        ? new Fill.Picture(id(3), Placing.COVER, RunOut.NONE, Optional.empty())
                        : new Fill.Word(
                                what,
                                "Source Sans 3",
                                700,
                                false,
                                Optional.empty(),
                                Tinted.full(SIGNAL.id()));
        PictureFrame front =
                new PictureFrame(
                                id(7),
                                Sides.BOTH,
                                new Box(Length.mm(20), Length.mm(20), Length.mm(60), Length.mm(40)),
                                PictureFrame.Level.OVER,
                                fill)
                        .withOpacity(opacity)
                        .withBlend(blend)
                        .withRotation(degrees);
        PageScene scene = scene(front);
        BufferedImage ours = SeenPixels.ours(scene);
        SeenPixels.agree(
                window.page(), scene, covered(scene, ours.getWidth(), ours.getHeight()), 2_000);
    }

    private static byte[] covered(PageScene scene, int width, int height) {
        Item.FrontFill fill =
                scene.items().stream()
                        .filter(Item.FrontFill.class::isInstance)
                        .map(Item.FrontFill.class::cast)
                        .findFirst()
                        .orElseThrow();
        Rect bleed = scene.boxes().bleed();
        AffineTransform place = AffineTransform.getScaleInstance(2, 2);
        place.translate(-bleed.x(), -bleed.y());
        return Coverage.of(
                        place.createTransformedShape(fill.shape().orElse(fill.bounds().shape())),
                        width,
                        height)
                .whole(width * height);
    }
}
