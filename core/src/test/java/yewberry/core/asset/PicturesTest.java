package yewberry.core.asset;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.junit.jupiter.api.Test;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.publication.Asset;
import yewberry.core.publication.SeeThrough;

class PicturesTest {
    private static final PressCondition COATED = PressCondition.coated();

    private static Pictures.Placeable ink(
            byte[] file, String name, Optional<SeeThrough> seeThrough) {
        Asset asset =
                new Asset(
                        new UUID(0, 1), "Sky", "any", new Intake(Documents.NONE).look(name, file));
        return new Pictures(sha256 -> file, Documents.NONE)
                .of(asset, 1, seeThrough, COATED, Medium.PAPER);
    }

    @Test
    void what_is_fine_is_given_as_coarse_as_it_is_wanted() {
        byte[] file = TestPictures.file(TestPictures.picture(400, 200, (x, y) -> 0x336699), "png");
        PlaneImage image = ink(file, "a.png", Optional.empty()).about(120);
        assertThat(image.width()).isEqualTo(200);
        assertThat(image.height()).isEqualTo(100);
        assertThat(ink(file, "a.png", Optional.empty()).whole(0).width()).isEqualTo(400);
    }

    /** Keeps all there is, as a folder would. */
    private static final class Keeping implements MadeImages {
        private final Map<String, PlaneImage> kept = new ConcurrentHashMap<>();

        @Override
        public Optional<PlaneImage> find(String name) {
            return Optional.ofNullable(kept.get(name));
        }

        @Override
        public void keep(String name, PlaneImage image) {
            kept.put(name, image);
        }
    }

    @Test
    void what_is_decoded_once_is_kept_at_all_halving_sizes_below() {
        byte[] file =
                TestPictures.file(
                        TestPictures.picture(2500, 100, (x, y) -> x * 0x010307 + y * 0x1100),
                        "png");
        Asset asset =
                new Asset(
                        new UUID(0, 1),
                        "Sky",
                        "any",
                        new Intake(Documents.NONE).look("a.png", file));
        Keeping kept = new Keeping();
        FileReader here = FileReader.here(Documents.NONE);
        Pictures first = new Pictures(sha256 -> file, here, kept);
        assertThat(first.of(asset, 1, Optional.empty(), COATED, Medium.PAPER).problem()).isEmpty();
        assertThat(kept.kept.values().stream().map(PlaneImage::width))
                .containsExactlyInAnyOrder(1250, 625, 312);
        Pictures second =
                new Pictures(
                        sha256 -> {
                            throw new AssertionError("The file is not read again.");
                        },
                        here,
                        kept);
        for (int width : new int[] {1250, 625, 312}) {
            assertThat(
                            second.of(asset, 1, Optional.empty(), COATED, Medium.PAPER)
                                    .about(width)
                                    .samples())
                    .as("the same, whichever was asked for first")
                    .isEqualTo(ink(file, "a.png", Optional.empty()).about(width).samples());
        }
        Medium other = Medium.SCREEN;
        assertThatThrownBy(() -> second.of(asset, 1, Optional.empty(), COATED, other).about(312))
                .as("another medium is another picture")
                .isInstanceOf(AssertionError.class);
    }

    @Test
    void a_colour_of_the_screen_comes_to_the_same_inks_as_a_swatch() {
        int[] colors = {0x336699, 0xffffff, 0x000000, 0xc02040, 0x112233, 0xf0e0d0, 0x00ff00};
        byte[] file =
                TestPictures.file(
                        TestPictures.picture(colors.length, 1, (x, y) -> colors[x]), "png");
        PlaneImage image = ink(file, "a.png", Optional.empty()).whole(0);
        for (int x = 0; x < colors.length; x++) {
            Rgb rgb = new Rgb(colors[x] >> 16, colors[x] >> 8 & 0xff, colors[x] & 0xff);
            Cmyk wanted = COATED.toInk(rgb);
            assertThat(at(image, x, 0).total())
                    .as(rgb.hex())
                    .isEqualTo(wanted.total(), within(4.0));
            assertThat(COATED.toScreen(at(image, x, 0)).red())
                    .as(rgb.hex())
                    .isCloseTo(COATED.toScreen(wanted).red(), within(3));
        }
    }

    private static Cmyk at(PlaneImage image, int x, int y) {
        int at = (y * image.width() + x) * 4;
        return new Cmyk(
                (image.samples()[at] & 0xff) / 2.55,
                (image.samples()[at + 1] & 0xff) / 2.55,
                (image.samples()[at + 2] & 0xff) / 2.55,
                (image.samples()[at + 3] & 0xff) / 2.55);
    }

    @Test
    void untagged_inks_stay_as_they_are() {
        byte[] file = TestPictures.cmykJpeg(16, 16, 255, 128, 0, 51);
        Cmyk ink = at(ink(file, "a.jpg", Optional.empty()).whole(0), 8, 8);
        assertThat(ink.cyan()).isEqualTo(100, within(1.5));
        assertThat(ink.magenta()).isEqualTo(50, within(1.5));
        assertThat(ink.black()).isEqualTo(20, within(1.5));
    }

    @Test
    void white_in_a_logo_stays_where_only_the_edges_are_cut() {
        // a dark ring on white, with white inside
        byte[] file =
                TestPictures.file(
                        TestPictures.picture(
                                60,
                                60,
                                (x, y) -> {
                                    double far = Math.hypot(x - 29.5, y - 29.5);
                                    return far > 10 && far < 22 ? 0x202020 : 0xffffff;
                                }),
                        "png");
        PlaneImage edges =
                ink(file, "a.png", Optional.of(new SeeThrough(new Rgb(255, 255, 255), 6, true)))
                        .whole(0);
        assertThat(edges.alpha(1, 1)).isZero();
        assertThat(edges.alpha(30, 30)).isEqualTo(1);
        assertThat(edges.alpha(30, 15)).isEqualTo(1);
        PlaneImage everywhere =
                ink(file, "a.png", Optional.of(new SeeThrough(new Rgb(255, 255, 255), 6, false)))
                        .whole(0);
        assertThat(everywhere.alpha(30, 30)).isZero();
    }

    @Test
    void at_a_smooth_edge_only_the_other_colour_stays() {
        // a very light grey is mostly white: what stays is darker and covers little
        byte[] file =
                TestPictures.file(
                        TestPictures.picture(
                                30,
                                10,
                                (x, y) -> x < 14 ? 0xffffff : x == 14 ? 0xf0f0f0 : 0x101010),
                        "png");
        PlaneImage cut =
                ink(file, "a.png", Optional.of(new SeeThrough(new Rgb(255, 255, 255), 4, true)))
                        .whole(0);
        assertThat(cut.alpha(13, 5)).isZero();
        assertThat(cut.alpha(14, 5)).isBetween(0.05, 0.5);
        double mixed = COATED.toInk(new Rgb(0xf0, 0xf0, 0xf0)).total();
        assertThat(at(cut, 14, 5).total()).isGreaterThan(2 * mixed);
        assertThat(at(cut, 14, 5).total() * cut.alpha(14, 5))
                .as("together with white it is as light as it was")
                .isCloseTo(mixed, within(3.0));
        assertThat(cut.alpha(15, 5)).isEqualTo(1);
    }
}
