package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.geom.Point2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javax.imageio.ImageIO;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSBase;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSFloat;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.cos.COSString;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDResources;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.common.PDStream;
import org.apache.pdfbox.pdmodel.encryption.AccessPermission;
import org.apache.pdfbox.pdmodel.encryption.StandardProtectionPolicy;
import org.apache.pdfbox.pdmodel.graphics.form.PDFormXObject;
import org.apache.pdfbox.pdmodel.graphics.image.CCITTFactory;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import yewberry.core.Progress;
import yewberry.core.asset.KnownFile;
import yewberry.core.asset.PageText;
import yewberry.core.asset.Recoloring;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Medium;
import yewberry.core.color.Rgb;
import yewberry.core.publication.Recolor;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.pdf.read.DeviceColors;
import yewberry.pdf.read.RecoloredPictures;

/** Pictures of files with a colour changed, as ghostscript and poppler draw them. */
class RecoloredPicturesTest extends RecoloringTest {
    private static final int SIDE = 8;
    private static final Rgb BLUE = new Rgb(20, 40, 200);

    /** Pictures whose left half is in one colour, and whose right half is in another. */
    enum Kind {
        LIGHT(RED, 0) {
            @Override
            COSStream picture() throws IOException {
                return image(halves(bytes(RED), bytes(BLUE)), COSName.DEVICERGB, 8);
            }
        },
        LIGHT_JPEG(RED, 8) {
            @Override
            COSStream picture() throws IOException {
                return jpeg(BufferedImage.TYPE_INT_RGB, RED, BLUE);
            }
        },
        GREY(Rgb.WHITE, 0) {
            @Override
            COSStream picture() throws IOException {
                return image(halves(b(255), b(90)), COSName.DEVICEGRAY, 8);
            }
        },
        GREY_JPEG(Rgb.WHITE, 3) {
            @Override
            COSStream picture() throws IOException {
                return jpeg(BufferedImage.TYPE_BYTE_GRAY, Rgb.WHITE, new Rgb(90, 90, 90));
            }
        },
        TWO_TONES(Rgb.WHITE, 0) {
            @Override
            COSStream picture() throws IOException {
                return image(rows(0xf0), COSName.DEVICEGRAY, 1);
            }
        },
        TWO_TONES_REVERSED(Rgb.WHITE, 0) {
            @Override
            COSStream picture() throws IOException {
                COSStream image = image(rows(0x0f), COSName.DEVICEGRAY, 1);
                image.setItem(COSName.DECODE, array(1, 0));
                return image;
            }
        },
        FAX(Rgb.WHITE, 0) {
            @Override
            COSStream picture() throws IOException {
                BufferedImage scan = new BufferedImage(SIDE, SIDE, BufferedImage.TYPE_BYTE_BINARY);
                for (int y = 0; y < SIDE; y++) {
                    for (int x = 0; x < SIDE / 2; x++) {
                        scan.setRGB(x, y, 0xffffff);
                    }
                }
                return CCITTFactory.createFromImage(new PDDocument(), scan).getCOSObject();
            }
        },
        TABLE(RED, 0) {
            @Override
            COSStream picture() throws IOException {
                COSArray space = new COSArray();
                space.add(COSName.INDEXED);
                space.add(COSName.DEVICERGB);
                space.add(COSInteger.get(3));
                byte[] table = new byte[12];
                System.arraycopy(bytes(RED), 0, table, 3, 3);
                System.arraycopy(bytes(BLUE), 0, table, 6, 3);
                space.add(new COSString(table));
                return image(rows(0x55, 0xaa), space, 2);
            }
        },
        INK(COATED.toScreen(new Cmyk(0, 100, 100, 0)), 0) {
            @Override
            COSStream picture() throws IOException {
                return image(halves(b(0, 255, 255, 0), b(255, 0, 0, 0)), COSName.DEVICECMYK, 8);
            }
        },
        INK_REVERSED(COATED.toScreen(new Cmyk(0, 100, 100, 0)), 0) {
            @Override
            COSStream picture() throws IOException {
                COSStream image =
                        image(
                                halves(b(255, 0, 0, 255), b(0, 255, 255, 255)),
                                COSName.DEVICECMYK,
                                8);
                image.setItem(COSName.DECODE, array(1, 0, 1, 0, 1, 0, 1, 0));
                return image;
            }
        },
        SOFTLY_MASKED(RED, 0) {
            @Override
            COSStream picture() throws IOException {
                COSStream image = LIGHT.picture();
                image.setItem(COSName.SMASK, image(halves(b(255), b(128)), COSName.DEVICEGRAY, 8));
                return image;
            }
        };

        private final Rgb from;
        private final double within;

        Kind(Rgb from, double within) {
            this.from = from;
            this.within = within;
        }

        abstract COSStream picture() throws IOException;
    }

    private static byte[] b(int... values) {
        byte[] bytes = new byte[values.length];
        for (int i = 0; i < values.length; i++) {
            bytes[i] = (byte) values[i];
        }
        return bytes;
    }

    private static byte[] bytes(Rgb color) {
        return b(color.red(), color.green(), color.blue());
    }

    private static byte[] halves(byte[] left, byte[] right) {
        ByteArrayOutputStream all = new ByteArrayOutputStream();
        for (int pixel = 0; pixel < SIDE * SIDE; pixel++) {
            all.writeBytes(pixel % SIDE < SIDE / 2 ? left : right);
        }
        return all.toByteArray();
    }

    private static byte[] rows(int... row) {
        ByteArrayOutputStream all = new ByteArrayOutputStream();
        for (int y = 0; y < SIDE; y++) {
            all.writeBytes(b(row));
        }
        return all.toByteArray();
    }

    private static COSArray array(float... values) {
        COSArray array = new COSArray();
        for (float value : values) {
            array.add(new COSFloat(value));
        }
        return array;
    }

    private static COSStream image(byte[] samples, COSBase space, int bits) throws IOException {
        COSStream image = new COSStream();
        image.setItem(COSName.TYPE, COSName.XOBJECT);
        image.setItem(COSName.SUBTYPE, COSName.IMAGE);
        image.setInt(COSName.WIDTH, SIDE);
        image.setInt(COSName.HEIGHT, SIDE);
        image.setItem(COSName.COLORSPACE, space);
        image.setInt(COSName.BITS_PER_COMPONENT, bits);
        try (var out = image.createOutputStream(COSName.FLATE_DECODE)) {
            out.write(samples);
        }
        return image;
    }

    private static COSStream jpeg(int type, Rgb left, Rgb right) throws IOException {
        BufferedImage photo = new BufferedImage(2 * SIDE, SIDE, type);
        for (int y = 0; y < SIDE; y++) {
            for (int x = 0; x < 2 * SIDE; x++) {
                photo.setRGB(x, y, (x < SIDE ? left : right).packed());
            }
        }
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        ImageIO.write(photo, "jpeg", bytes);
        boolean grey = type == BufferedImage.TYPE_BYTE_GRAY;
        COSStream image = image(new byte[0], grey ? COSName.DEVICEGRAY : COSName.DEVICERGB, 8);
        image.setInt(COSName.WIDTH, 2 * SIDE);
        image.setItem(COSName.FILTER, COSName.DCT_DECODE);
        try (var out = image.createRawOutputStream()) {
            out.write(bytes.toByteArray());
        }
        return image;
    }

    /** A page with a picture of 80 by 80 points at its bottom left, and a shape beside it. */
    private static byte[] page(COSStream picture, Rgb beside) throws IOException {
        return FilesOfOthers.drawn((document, page) -> {
            page.getResources()
                    .put(COSName.getPDFName("Im"), new PDImageXObject(new PDStream(picture), null));
            contents(
                    document,
                    page,
                    "q 80 0 0 80 0 0 cm /Im Do Q %s %s %s rg 90 0 20 80 re f"
                            .formatted(
                                    beside.red() / 255.0,
                                    beside.green() / 255.0,
                                    beside.blue() / 255.0));
        });
    }

    private static Recolor pictures(Kind kind) {
        return recolor(kind.from, kind.within, Recolor.What.PICTURES);
    }

    private static boolean isInk(Kind kind) {
        return kind == Kind.INK || kind == Kind.INK_REVERSED;
    }

    @ParameterizedTest
    @EnumSource(Kind.class)
    void pixels_of_a_colour_have_the_other_one_all_else_stays_and_it_comes_back(Kind kind)
            throws IOException {
        byte[] original = page(kind.picture(), kind.from);
        Path first = written("before.pdf", original);
        PageScene scene = scene(original, false, pictures(kind));
        Path after = added(original, scene);
        assertThat(Programs.run("qpdf", "--check", after.toString()).status()).isZero();
        List<BufferedImage> were =
                List.of(
                        FilesOfOthers.ghostscriptDraws(first, folder),
                        FilesOfOthers.popplerDraws(first, folder));
        List<BufferedImage> are =
                List.of(
                        FilesOfOthers.ghostscriptDraws(after, folder),
                        FilesOfOthers.popplerDraws(after, folder));
        for (int i = 0; i < 2; i++) {
            BufferedImage was = were.get(i);
            BufferedImage is = are.get(i);
            int bottom = was.getHeight();
            for (int up : new int[] {10, 40, 70}) {
                if (isInk(kind)) {
                    // each program shows inks in its own way
                    assertThat(apart(is.getRGB(20, bottom - up), rgb(was.getRGB(20, bottom - up))))
                            .isGreaterThan(60);
                } else {
                    holds(is, 20, bottom - up, GREEN);
                }
                assertThat(apart(is.getRGB(60, bottom - up), rgb(was.getRGB(60, bottom - up))))
                        .as("the right half stays")
                        .isLessThanOrEqualTo(2);
                assertThat(is.getRGB(100, bottom - up))
                        .as("what is no picture stays")
                        .isEqualTo(was.getRGB(100, bottom - up));
            }
        }
        assertThat(matches(after, scene)).as("read back").isTrue();
        Path back = folder.resolve("back.pdf");
        AddedLayers.takeOff(
                KnownFile.of(Files.readAllBytes(after)),
                each -> true,
                Set.of(),
                NOW,
                back,
                Progress.NONE);
        assertThat(pixels(FilesOfOthers.ghostscriptDraws(back, folder)))
                .isEqualTo(pixels(were.getFirst()));
    }

    @ParameterizedTest
    @EnumSource(Kind.class)
    void only_when_asked_for(Kind kind) throws IOException {
        byte[] original = page(kind.picture(), kind.from);
        PageScene scene = scene(original, false, recolor(kind.from, 3, Recolor.What.FILLS));
        Path after = added(original, scene);
        BufferedImage was = FilesOfOthers.ghostscriptDraws(written("before.pdf", original), folder);
        BufferedImage is = FilesOfOthers.ghostscriptDraws(after, folder);
        int bottom = is.getHeight() - 40;
        assertThat(is.getRGB(20, bottom)).isEqualTo(was.getRGB(20, bottom));
        holds(is, 100, bottom, GREEN);
    }

    @ParameterizedTest
    @EnumSource(value = Kind.class)
    void what_is_see_through_shows_what_lies_behind(Kind kind) throws IOException {
        byte[] original = page(kind.picture(), kind.from);
        Recolor gone =
                new Recolor(
                        kind.from,
                        kind.within,
                        Set.of(Recolor.What.PICTURES),
                        List.of(),
                        Optional.empty());
        PageScene scene = scene(original, true, gone);
        Path after = added(original, scene);
        for (BufferedImage drawn :
                List.of(
                        FilesOfOthers.ghostscriptDraws(after, folder),
                        FilesOfOthers.popplerDraws(after, folder))) {
            holds(drawn, 20, drawn.getHeight() - 40, new Rgb(190, 220, 255));
        }
        assertThat(matches(after, scene)).isTrue();
    }

    /** In a form, twice, once on a page that stays, in a file that is encrypted. */
    @ParameterizedTest
    @EnumSource(
            value = Kind.class,
            names = {"LIGHT", "TWO_TONES", "FAX", "SOFTLY_MASKED"})
    void a_picture_in_a_form_of_an_encrypted_file_changes_on_the_page_chosen_only(Kind kind)
            throws IOException {
        byte[] plain =
                FilesOfOthers.drawn((document, page) -> {
                    PDFormXObject form = new PDFormXObject(document);
                    form.setBBox(new PDRectangle(200, 200));
                    PDResources own = new PDResources();
                    own.put(
                            COSName.getPDFName("Im"),
                            new PDImageXObject(new PDStream(kind.picture()), null));
                    form.setResources(own);
                    try (var out = form.getContentStream().createOutputStream()) {
                        out.write(
                                "q 80 0 0 80 0 0 cm /Im Do Q q 80 0 0 80 100 0 cm /Im Do Q"
                                        .getBytes(StandardCharsets.US_ASCII));
                    }
                    page.getResources().put(COSName.getPDFName("Fm"), form);
                    contents(document, page, "/Fm Do");
                    document.addPage(new PDPage(new COSDictionary(page.getCOSObject())));
                    AccessPermission all = new AccessPermission();
                    StandardProtectionPolicy policy =
                            new StandardProtectionPolicy("owner", "", all);
                    policy.setEncryptionKeyLength(256);
                    document.protect(policy);
                });
        Recolor first =
                new Recolor(
                        kind.from,
                        kind.within,
                        Set.of(Recolor.What.PICTURES),
                        List.of(1),
                        Optional.of(Tinted.full(LEAF.id())));
        PageScene scene = scene(plain, false, first);
        Path after = added(plain, scene);
        assertThat(Programs.run("qpdf", "--check", after.toString()).status()).isZero();
        BufferedImage drawn = FilesOfOthers.ghostscriptDraws(after, folder);
        holds(drawn, 20, drawn.getHeight() - 40, GREEN);
        holds(drawn, 120, drawn.getHeight() - 40, GREEN);
        assertThat(matches(after, scene)).isTrue();
        Path second = folder.resolve("second.pdf");
        assertThat(
                        Programs.run(
                                        "qpdf",
                                        "--decrypt",
                                        after.toString(),
                                        "--pages",
                                        ".",
                                        "2",
                                        "--",
                                        second.toString())
                                .status())
                .isZero();
        BufferedImage other = FilesOfOthers.ghostscriptDraws(second, folder);
        holds(other, 20, other.getHeight() - 40, kind.from);
    }

    /** What is told beforehand: how many change. */
    @ParameterizedTest
    @CsvSource({"#cc1a1a, 1", "#ffffff, 0"})
    void pictures_that_have_a_colour_are_counted(String from, int changed) throws IOException {
        byte[] file = page(Kind.LIGHT.picture(), BLUE);
        assertThat(used(file, recolor(Rgb.hex(from), 0, Recolor.What.PICTURES)))
                .contains(
                        new PageText.Used(PageText.Painted.PICTURES, Optional.empty(), 1, changed));
    }

    @ParameterizedTest
    @MethodSource("others")
    void those_whose_colours_are_not_changed_are_told_apart_and_stay(COSStream other)
            throws IOException {
        byte[] file = page(other, BLUE);
        Recolor all = recolor(RED, 50, Recolor.What.PICTURES, Recolor.What.FILLS);
        assertThat(used(file, all))
                .contains(
                        new PageText.Used(PageText.Painted.OTHER_PICTURES, Optional.empty(), 1, 0));
        PageScene scene = scene(file, true, all);
        Path after = added(file, scene);
        assertThat(matches(after, scene)).isTrue();
    }

    private List<PageText.Used> used(byte[] file, Recolor recolor) {
        return Item.filePage(scene(file, false, recolor).on(Medium.SCREEN).items())
                .orElseThrow()
                .pixels()
                .text()
                .colors();
    }

    private static List<COSStream> others() throws IOException {
        List<COSStream> others = new ArrayList<>();
        COSDictionary tint = new COSDictionary();
        tint.setInt(COSName.FUNCTION_TYPE, 2);
        tint.setItem(COSName.DOMAIN, array(0, 1));
        tint.setItem(COSName.C0, array(0, 0, 0, 0));
        tint.setItem(COSName.C1, array(0, 1, 1, 0));
        tint.setInt(COSName.N, 1);
        COSArray spot = new COSArray();
        spot.add(COSName.SEPARATION);
        spot.add(COSName.getPDFName("Lantern"));
        spot.add(COSName.DEVICECMYK);
        spot.add(tint);
        others.add(image(halves(b(255), b(0)), spot, 8));
        others.add(
                image(halves(b(204, 0, 26, 0, 26, 0), b(0, 0, 0, 0, 9, 9)), COSName.DEVICERGB, 16));
        COSStream keyed = Kind.LIGHT.picture();
        keyed.setItem(COSName.MASK, array(20, 20, 40, 40, 200, 200));
        others.add(keyed);
        COSStream stencil = image(rows(0xf0), COSName.DEVICEGRAY, 1);
        stencil.removeItem(COSName.COLORSPACE);
        stencil.setBoolean(COSName.IMAGE_MASK, true);
        others.add(stencil);
        return others;
    }

    /** ISO 32000-1, 10.3.3: grey is black ink alone, and stays so. */
    @Test
    void on_paper_a_grey_picture_gets_the_inks_and_its_greys_stay_black() throws IOException {
        Cmyk night = new Cmyk(100, 86, 42, 52);
        DeviceColors colors =
                new DeviceColors(Medium.PAPER, COATED, List.of())
                        .recolored(
                                List.of(
                                        new Recoloring(
                                                Rgb.WHITE,
                                                0,
                                                Set.of(Recolor.What.PICTURES),
                                                Optional.of(night),
                                                Optional.empty())));
        COSStream made =
                new RecoloredPictures(colors, COSStream::new)
                        .of(
                                new PDImageXObject(new PDStream(Kind.GREY.picture()), null),
                                new Point2D.Double())
                        .orElseThrow();
        COSArray space = (COSArray) made.getDictionaryObject(COSName.COLORSPACE);
        assertThat(space.get(1)).isEqualTo(COSName.DEVICECMYK);
        byte[] table = ((COSString) space.get(3)).getBytes();
        assertThat(entry(table, 255)).containsExactly(b(255, 219, 107, 133));
        assertThat(entry(table, 90)).containsExactly(b(0, 0, 0, 165));
        assertThat(entry(table, 0)).containsExactly(b(0, 0, 0, 255));
    }

    private static byte[] entry(byte[] table, int at) {
        return Arrays.copyOfRange(table, 4 * at, 4 * at + 4);
    }
}
