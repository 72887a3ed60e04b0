package yewberry.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import javax.imageio.ImageIO;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.View;
import yewberry.core.picture.SvgPicture;
import yewberry.core.raster.PageRaster;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;

/** The picture of a page as Chromium draws it, held against what is computed. */
final class SeenPixels {
    private static final View DESIGNED = View.designed(Medium.PAPER, PressCondition.coated());

    /** Two pixels for each point. */
    private static final double PPI = 144;

    private SeenPixels() {}

    static BufferedImage ours(PageScene scene) {
        return PageRaster.page(scene, DESIGNED, scene.boxes().bleed(), PPI);
    }

    /**
     * Within an outline, away from its edge: mean at most 2 of 255, 99th percentile 12.
     *
     * @param covered of each pixel how much the outline covers, 255 for all of it
     * @param least so many values are to be held against each other at least
     */
    static void agree(Page page, PageScene scene, byte[] covered, int least) throws IOException {
        Rect bleed = scene.boxes().bleed();
        page.setViewportSize(700, 600);
        // with each letter a shape of its own, as in a file, and with each line one, as it is shown
        for (String picture :
                List.of(
                        SvgPicture.page(scene, DESIGNED, false),
                        SvgPicture.spread(List.of(scene), DESIGNED, false))) {
            page.setContent(
                    "<body style='margin:0'>"
                            + picture.replaceFirst(
                                    "<svg ",
                                    "<svg style='display:block;width:%spx;height:%spx' "
                                            .formatted(bleed.width() * 2, bleed.height() * 2)));
            BufferedImage seen = ImageIO.read(new ByteArrayInputStream(page.screenshot()));
            int[] off = differences(seen, ours(scene), covered);
            assertThat(off.length).isGreaterThan(least);
            assertThat(Arrays.stream(off).average().orElseThrow()).isLessThan(2);
            assertThat(off[off.length * 99 / 100]).isLessThanOrEqualTo(12);
        }
    }

    private static int[] differences(BufferedImage seen, BufferedImage ours, byte[] covered) {
        int width = ours.getWidth();
        return IntStream.range(0, covered.length)
                .filter(at -> {
                    int x = at % width;
                    int y = at / width;
                    return x > 0
                            && y > 0
                            && x < width - 1
                            && y < ours.getHeight() - 1
                            && covered[at] == -1
                            && covered[at - 1] == -1
                            && covered[at + 1] == -1
                            && covered[at - width] == -1
                            && covered[at + width] == -1;
                })
                .flatMap(at ->
                        IntStream.of(0, 8, 16)
                                .map(shift ->
                                        Math.abs(
                                                (seen.getRGB(at % width, at / width) >> shift
                                                                & 0xff)
                                                        - (ours.getRGB(at % width, at / width)
                                                                        >> shift
                                                                & 0xff))))
                .sorted()
                .toArray();
    }
}
