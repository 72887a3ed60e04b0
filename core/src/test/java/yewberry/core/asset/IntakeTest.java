package yewberry.core.asset;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.zip.DeflaterOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yewberry.core.Refused;
import yewberry.core.color.PressCondition;
import yewberry.core.publication.Asset;

class IntakeTest {
    private static final BufferedImage SKY =
            TestPictures.picture(60, 40, (x, y) -> x < 30 ? 0x102040 : 0xc0c8d0);
    private static final byte[] PNG = TestPictures.file(SKY, "png");
    private static final byte[] JPEG = TestPictures.file(SKY, "jpeg");

    private final Intake intake = new Intake(Documents.NONE);

    @Test
    void a_png_says_its_size_and_that_it_covers() {
        assertThat(intake.look("sky.png", PNG))
                .isEqualTo(
                        new Asset.Pixels(
                                Asset.Format.PNG,
                                60,
                                40,
                                72,
                                Asset.Colors.RGB,
                                java.util.Optional.empty(),
                                false));
    }

    @Test
    void a_transparent_pixel_is_noticed() {
        BufferedImage image = new BufferedImage(8, 8, BufferedImage.TYPE_INT_ARGB);
        image.createGraphics().fillRect(0, 0, 8, 7);
        assertThat(((Asset.Pixels) intake.look("a.png", TestPictures.file(image, "png"))))
                .extracting(Asset.Pixels::transparent)
                .isEqualTo(true);
    }

    /** PNG, third edition, 11.3.4.3: 11811 pixels per metre are 300 per inch. */
    @Test
    void the_resolution_of_a_png_is_in_pixels_per_metre() {
        byte[] dense =
                TestPictures.withChunk(
                        PNG,
                        "pHYs",
                        ByteBuffer.allocate(9).putInt(11811).putInt(11811).put((byte) 1).array());
        assertThat(((Asset.Pixels) intake.look("sky.png", dense)).ppi())
                .isEqualTo(300, org.assertj.core.api.Assertions.within(0.01));
    }

    @Test
    void a_jpeg_that_lies_on_its_side_is_as_high_as_it_was_wide() {
        var content = (Asset.Pixels) intake.look("sky.jpg", turned(6));
        assertThat(content.width()).isEqualTo(40);
        assertThat(content.height()).isEqualTo(60);
    }

    /** Exif 2.32: at orientation 6 the first row of the file is the right side of the picture. */
    @Test
    void a_jpeg_that_lies_on_its_side_is_turned() {
        PixelArray pixels = Decoder.read(Asset.Format.JPEG, turned(6), 1);
        // the left half of the rows is dark, and a row runs from the top downwards
        assertThat(pixels.samples()[(5 * 40 + 20) * 3] & 0xff).isLessThan(0x40);
        assertThat(pixels.samples()[(55 * 40 + 20) * 3] & 0xff).isGreaterThan(0xa0);
    }

    private static byte[] turned(int orientation) {
        byte[] exif =
                ByteBuffer.allocate(6 + 8 + 2 + 12 + 4)
                        .put("Exif\0\0".getBytes(StandardCharsets.US_ASCII))
                        .put(new byte[] {'M', 'M', 0, 42})
                        .putInt(8)
                        .putShort((short) 1)
                        .putShort((short) 0x0112)
                        .putShort((short) 3)
                        .putInt(1)
                        .putShort((short) orientation)
                        .putShort((short) 0)
                        .putInt(0)
                        .array();
        return TestPictures.withSegment(JPEG, 0xe1, exif);
    }

    @Test
    void inks_of_a_jpeg_are_known_as_such() {
        byte[] file = TestPictures.cmykJpeg(16, 16, 255, 128, 0, 51);
        assertThat(((Asset.Pixels) intake.look("ink.jpg", file)).colors())
                .isEqualTo(Asset.Colors.CMYK);
        PixelArray pixels = Decoder.read(Asset.Format.JPEG, file, 1);
        assertThat(pixels.samples()[0] & 0xff).isBetween(252, 255);
        assertThat(pixels.samples()[1] & 0xff).isBetween(125, 131);
        assertThat(pixels.samples()[3] & 0xff).isBetween(48, 54);
    }

    /** ITU-T T.872, 6.5.3: with Adobe's marker, inks are stored inverted. */
    @Test
    void inks_with_adobes_marker_are_inverted() {
        byte[] adobe =
                ByteBuffer.allocate(12)
                        .put("Adobe".getBytes(StandardCharsets.US_ASCII))
                        .putShort((short) 100)
                        .array();
        byte[] file =
                TestPictures.withSegment(
                        TestPictures.cmykJpeg(16, 16, 255, 255, 255, 204), 0xee, adobe);
        assertThat(Decoder.read(Asset.Format.JPEG, file, 1).samples()[3] & 0xff).isBetween(48, 54);
    }

    @Test
    void a_tiff_is_read() {
        var content = (Asset.Pixels) intake.look("sky.tif", TestPictures.file(SKY, "tiff"));
        assertThat(content.width()).isEqualTo(60);
        assertThat(content.colors()).isEqualTo(Asset.Colors.RGB);
    }

    @Test
    void an_embedded_profile_is_named() {
        byte[] profile =
                java.awt.color.ICC_Profile.getInstance(java.awt.color.ColorSpace.CS_LINEAR_RGB)
                        .getData();
        var content = (Asset.Pixels) intake.look("sky.png", withProfile(profile));
        assertThat(content.profile()).isPresent();
    }

    @Test
    void a_profile_for_other_colours_than_the_pictures_is_passed_over() {
        var content =
                (Asset.Pixels)
                        intake.look("sky.png", withProfile(PressCondition.coated().profile()));
        assertThat(content.profile()).isEmpty();
    }

    private static byte[] withProfile(byte[] profile) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.writeBytes("name\0\0".getBytes(StandardCharsets.US_ASCII));
        try (var deflating = new DeflaterOutputStream(out)) {
            deflating.write(profile);
        } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        return TestPictures.withChunk(PNG, "iCCP", out.toByteArray());
    }

    @Test
    void a_file_named_as_another_kind_is_refused() {
        assertThatThrownBy(() -> intake.look("sky.png", JPEG))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("named like a PNG file and is a JPEG file inside");
    }

    @ParameterizedTest
    @ValueSource(ints = {40, 60, 100})
    void a_png_that_ends_too_early_is_refused(int percent) {
        byte[] noise =
                TestPictures.file(
                        TestPictures.picture(200, 200, (x, y) -> x * 7919 * (y + 1) & 0xffffff),
                        "png");
        int length = Math.min(noise.length - 30, noise.length * percent / 100);
        assertThatThrownBy(() -> intake.look("sky.png", Arrays.copyOf(noise, length)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("ends too early");
    }

    /** The JDK only warns, and not in the same words for each. */
    @ParameterizedTest
    @ValueSource(ints = {50, 75, 90, 99, 100})
    void a_jpeg_that_ends_too_early_is_refused(int percent) {
        byte[] noise =
                TestPictures.file(
                        TestPictures.picture(200, 200, (x, y) -> x * 7919 * (y + 1) & 0xffffff),
                        "jpg");
        for (byte[] whole : List.of(JPEG, noise)) {
            int length = Math.min(whole.length - 2, whole.length * percent / 100);
            assertThatThrownBy(() -> intake.look("a.jpg", Arrays.copyOf(whole, length)))
                    .isInstanceOf(Refused.class)
                    .hasMessageContaining("ends too early");
        }
    }

    @Test
    void a_png_that_claims_to_be_huge_is_refused_before_it_is_read() {
        byte[] huge = PNG.clone();
        ByteBuffer.wrap(huge, 16, 8).putInt(60_000).putInt(60_000);
        assertThatThrownBy(() -> intake.look("sky.png", huge))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("60000 × 60000 pixels is too large");
    }

    @Test
    void an_animation_is_refused() {
        byte[] animated =
                TestPictures.withChunk(
                        PNG, "acTL", ByteBuffer.allocate(8).putInt(12).putInt(0).array());
        assertThatThrownBy(() -> intake.look("sky.png", animated))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("12 pictures or the frames of an animation");
    }

    @Test
    void another_kind_is_named() {
        assertThatThrownBy(() ->
                        intake.look("sky.gif", "GIF89a......".getBytes(StandardCharsets.US_ASCII)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("is a GIF");
    }

    @Test
    void a_drawing_says_its_size_in_points() {
        assertThat(svg("<svg xmlns='http://www.w3.org/2000/svg' width='96' height='48'/>"))
                .isEqualTo(new Asset.Drawing(72, 36));
    }

    private Asset.Content svg(String text) {
        return intake.look("moon.svg", text.getBytes(StandardCharsets.UTF_8));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "<script>alert(1)</script>",
                "<image href='https://example.org/a.png'/>",
                "<rect style='fill:url(http://example.org/a#b)'/>",
                "<style>@import 'a.css';</style>",
                "<rect onclick='go()'/>",
                "<foreignObject/>",
                "<use href='other.svg#moon'/>"
            })
    void a_drawing_that_reaches_out_is_refused(String inside) {
        assertThatThrownBy(() ->
                        svg(
                                "<svg xmlns='http://www.w3.org/2000/svg' width='9' height='9'>"
                                        + inside
                                        + "</svg>"))
                .isInstanceOf(Refused.class)
                .hasMessageStartingWith("This SVG");
    }

    @Test
    void entities_of_a_drawing_are_not_followed() {
        assertThatThrownBy(() ->
                        svg(
                                "<!DOCTYPE svg [<!ENTITY a SYSTEM 'file:///etc/hostname'>]>"
                                        + "<svg xmlns='http://www.w3.org/2000/svg'>&a;</svg>"))
                .isInstanceOf(Refused.class);
    }

    @Test
    void a_drawing_is_drawn_with_its_colours() {
        byte[] file =
                ("<svg xmlns='http://www.w3.org/2000/svg' width='10' height='10'>"
                                + "<rect width='5' height='10' fill='#c02040'/></svg>")
                        .getBytes(StandardCharsets.UTF_8);
        PixelArray pixels = Drawings.draw(file, 20, 20);
        int at = 10 * 20 + 4;
        assertThat(
                        new Color(
                                pixels.samples()[at * 3] & 0xff,
                                pixels.samples()[at * 3 + 1] & 0xff,
                                pixels.samples()[at * 3 + 2] & 0xff))
                .isEqualTo(new Color(0xc02040));
        assertThat(pixels.alpha().orElseThrow()[10 * 20 + 15]).isZero();
    }
}
