package yewberry.core.output;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PictureFileTest {
    /** As AWT says of each pixel, of an image and of a part of one. */
    @ParameterizedTest
    @ValueSource(
            ints = {
                BufferedImage.TYPE_INT_ARGB,
                BufferedImage.TYPE_INT_RGB,
                BufferedImage.TYPE_INT_ARGB_PRE,
                BufferedImage.TYPE_INT_BGR,
                BufferedImage.TYPE_3BYTE_BGR,
                BufferedImage.TYPE_BYTE_GRAY
            })
    void pixels_are_those_of_any_kind_of_image(int type) {
        BufferedImage image = new BufferedImage(9, 7, type);
        Random random = new Random(type);
        for (int y = 0; y < image.getHeight(); y++) {
            for (int x = 0; x < image.getWidth(); x++) {
                image.setRGB(x, y, random.nextInt());
            }
        }
        agree(image);
        agree(image.getSubimage(2, 1, 5, 4));
    }

    private static void agree(BufferedImage image) {
        int[] pixels = PictureFile.pixels(image);
        assertThat(pixels).hasSize(image.getWidth() * image.getHeight());
        for (int at = 0; at < pixels.length; at++) {
            assertThat(pixels[at])
                    .isEqualTo(image.getRGB(at % image.getWidth(), at / image.getWidth()));
        }
        pixels[0]++;
        assertThat(image.getRGB(0, 0)).as("a copy").isNotEqualTo(pixels[0]);
    }
}
