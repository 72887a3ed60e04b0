package yewberry.core.picture;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.util.List;
import java.util.Random;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import yewberry.core.color.Axis;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Lab;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Printable;
import yewberry.core.color.Rgb;

class GamutPictureTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final GamutPicture GAMUT = new GamutPicture(COATED);

    private static BufferedImage read(byte[] png) throws IOException {
        return ImageIO.read(new ByteArrayInputStream(png));
    }

    @Test
    void what_inks_make_is_inside() {
        Random random = new Random(3);
        for (int i = 0; i < 200; i++) {
            int[] ink = random.ints(4, 0, 70).toArray();
            Lab color = COATED.lab(new Cmyk(ink[0], ink[1], ink[2], ink[3]));
            assertThat(GAMUT.prints(color)).as(color.toString()).isTrue();
        }
    }

    @Test
    void what_is_far_from_every_ink_is_outside() {
        for (String hex : List.of("#00ff00", "#0000ff", "#ff00ff", "#00ffff")) {
            Lab color = COATED.lab(Rgb.hex(hex));
            assertThat(GAMUT.prints(color)).as(hex).isFalse();
            assertThat(Printable.nearest(color, COATED).faithful()).isFalse();
        }
    }

    /** The picture asks the profile's own tables, a swatch is searched for: they agree. */
    @Test
    void the_picture_agrees_with_the_search_for_the_nearest_printable_colour() {
        Random random = new Random(11);
        int agreed = 0;
        int tried = 300;
        for (int i = 0; i < tried; i++) {
            Lab color =
                    Lab.ofLch(
                            random.nextDouble() * 100,
                            random.nextDouble() * 110,
                            random.nextDouble() * 360);
            boolean printable = Printable.nearest(color, COATED).faithful();
            agreed += GAMUT.prints(color) == printable ? 1 : 0;
        }
        assertThat(agreed).isGreaterThanOrEqualTo(tried * 95 / 100);
    }

    @Test
    void a_plane_shows_the_printable_colours_of_a_hue_with_a_rim() throws IOException {
        Lab red = new Lab(48, 60, 35);
        BufferedImage plane = read(GAMUT.plane(red.hue(), 110, 100));
        int x = (int) red.chroma();
        int y = 100 - 48;
        Rgb shown = COATED.toScreen(Lab.ofLch(100 - (y + 0.5), x + 0.5, red.hue()));
        assertThat(plane.getRGB(x, y) & 0xffffff)
                .isEqualTo(shown.red() << 16 | shown.green() << 8 | shown.blue());
        assertThat(plane.getRGB(109, 99) & 0xffffff).isIn(0x9b9b9b, 0x8a8a8a);
        boolean rim = false;
        for (int i = 0; i < 110; i++) {
            rim |= (plane.getRGB(i, y) & 0xffffff) == 0x1c1c1c;
        }
        assertThat(rim).isTrue();
    }

    @Test
    void a_strip_leads_from_one_end_to_the_other_and_marks_what_cannot_be_printed()
            throws IOException {
        Cmyk night = new Cmyk(100, 86, 42, 0);
        BufferedImage black =
                read(GAMUT.strip(part -> Axis.BLACK.at(part, night, COATED), 200, 16));
        Rgb first = COATED.toScreen(new Cmyk(100, 86, 42, 0.25));
        assertThat(black.getRGB(0, 0) & 0xffffff)
                .isEqualTo(first.red() << 16 | first.green() << 8 | first.blue());
        assertThat(black.getRGB(199, 15) & 0xffffff).isEqualTo(0xffffff);
        Lab vivid = new Lab(60, 20, 20);
        BufferedImage chroma =
                read(GAMUT.strip(part -> Axis.CHROMA.at(part, vivid, COATED), 200, 16));
        assertThat(chroma.getRGB(20, 15) & 0xffffff).isEqualTo(0xffffff);
        assertThat(chroma.getRGB(199, 15) & 0xffffff).isEqualTo(0x1c1c1c);
    }

    @Test
    void every_axis_moves_its_own_component_only() {
        Lab lab = new Lab(50, 20, -10);
        assertThat(((Lab) Axis.LIGHTNESS.at(0.3, lab, COATED)).lightness()).isEqualTo(30);
        assertThat(((Lab) Axis.A.at(0.5, lab, COATED))).isEqualTo(new Lab(50, 0, -10));
        assertThat(((Lab) Axis.B.at(1, lab, COATED))).isEqualTo(new Lab(50, 20, 100));
        assertThat(Axis.GREEN.at(1, new Rgb(1, 2, 3), COATED)).isEqualTo(new Rgb(1, 255, 3));
        assertThat(Axis.YELLOW.at(0.4, new Cmyk(1, 2, 3, 4), COATED))
                .isEqualTo(new Cmyk(1, 2, 40, 4));
        assertThat(((Lab) Axis.HUE.at(0.25, lab, COATED)).chroma())
                .isCloseTo(lab.chroma(), org.assertj.core.api.Assertions.within(1e-9));
    }
}
