package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.View;
import yewberry.core.output.PictureFile;
import yewberry.core.picture.SvgPicture;
import yewberry.core.scene.PageScene;
import yewberry.pdf.proof.PictureDifference;

/** Pictures and drawings that are the same, and others. */
class PictureDifferenceTest {
    private static final View SCREEN = View.designed(Medium.SCREEN, PressCondition.coated());

    private static byte[] svg(PageScene scene) {
        return SvgPicture.file(SvgPicture.arrange(List.of(scene)), SCREEN)
                .getBytes(StandardCharsets.UTF_8);
    }

    private static byte[] png(int x, int y, int rgb) {
        BufferedImage image = new BufferedImage(100, 50, BufferedImage.TYPE_INT_RGB);
        image.setRGB(x, y, rgb);
        return PictureFile.png(image, 127);
    }

    private static Optional<String> inWords(byte[] one, byte[] other) throws IOException {
        return PictureDifference.of(one, other, false, 127).map(PictureDifference::inWords);
    }

    @Test
    void one_pixel_is_told_with_its_place() throws IOException {
        byte[] one = png(10, 20, 0);
        assertThat(inWords(one, png(3, 3, 0))).isEmpty();
        // a fifth of a millimetre each: the middle of the eleventh across, of the 21st down
        assertThat(inWords(one, png(10, 20, 0x800000)))
                .hasValue(
                        "Its colours differ on 0.02 % of it, the most at 2.1, 4.1 mm: by 128 of 255.");
        BufferedImage smaller = new BufferedImage(100, 49, BufferedImage.TYPE_INT_RGB);
        assertThat(inWords(one, PictureFile.png(smaller, 127))).hasValue("It has another size.");
    }

    /** In a picture a fifth as fine, too. */
    @Test
    void one_pixel_is_marked_where_it_differs() throws IOException {
        BufferedImage large = new BufferedImage(1800, 900, BufferedImage.TYPE_INT_RGB);
        byte[] one = PictureFile.png(large, 127);
        large.setRGB(1234, 567, 0xffffff);
        PictureDifference difference =
                PictureDifference.of(one, PictureFile.png(large, 127), false, 127).orElseThrow();
        assertThat(difference.other().getWidth()).isEqualTo(360);
        BufferedImage where = difference.where().orElseThrow();
        List<String> marked = new ArrayList<>();
        for (int y = 0; y < where.getHeight(); y++) {
            for (int x = 0; x < where.getWidth(); x++) {
                int rgb = where.getRGB(x, y);
                if ((rgb & 0xff) != (rgb >> 16 & 0xff)) {
                    marked.add(x + "," + y);
                }
            }
        }
        assertThat(marked).containsExactly(1234 / 5 + "," + 567 / 5);
    }

    @Test
    void a_drawing_that_is_written_otherwise_is_the_same() throws IOException {
        SeededGuide guide = new SeededGuide(3);
        List<PageScene> scenes = guide.scenes(guide.publication());
        byte[] one = svg(scenes.getFirst());
        String text = new String(one, StandardCharsets.UTF_8);
        byte[] spaced = (text + "\n").getBytes(StandardCharsets.UTF_8);
        assertThat(PictureDifference.of(one, spaced, true, 0)).isEmpty();
        assertThat(PictureDifference.of(one, svg(scenes.getLast()), true, 0)).isPresent();
        PageScene less =
                scenes.getFirst()
                        .withItems(
                                scenes.getFirst()
                                        .items()
                                        .subList(0, scenes.getFirst().items().size() - 1));
        assertThat(PictureDifference.of(one, svg(less), true, 0)).isPresent();
    }
}
