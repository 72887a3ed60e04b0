package yewberry.core.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.ByteBuffer;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yewberry.core.Refused;
import yewberry.core.Sample;

/** Fonts that somebody brings along; the bits of fsType are those of OpenType 1.9.1, OS/2. */
class FontFileTest {
    @Test
    void a_font_says_its_family_weight_and_slope() {
        FontFile file = FontFile.read(TestFont.named("Lampglow", 600, 0));
        assertThat(file.family()).isEqualTo("Lampglow");
        assertThat(file.weight()).isEqualTo(600);
        assertThat(file.italic()).isFalse();
        assertThat(file.rights()).isEqualTo(FontFile.Rights.ALL);
        for (FontLibrary.Family family : FontLibrary.families()) {
            for (int weight : family.weights()) {
                for (boolean italic : family.italic() ? List.of(false, true) : List.of(false)) {
                    FontFile shipped =
                            FontFile.read(
                                    FontLibrary.face(family.name(), weight, italic).program());
                    assertThat(shipped.weight()).isEqualTo(weight);
                    assertThat(shipped.italic()).isEqualTo(italic);
                }
            }
        }
    }

    @ParameterizedTest
    @CsvSource({
        "0, INSTALLABLE, false",
        "4, PREVIEW_AND_PRINT, false",
        "8, EDITABLE, false",
        // of several the one that allows the most
        "14, EDITABLE, false",
        "6, PREVIEW_AND_PRINT, false",
        "260, PREVIEW_AND_PRINT, true"
    })
    void what_its_maker_allows_is_kept_to(int type, FontFile.Rights.Kind kind, boolean whole) {
        assertThat(FontFile.read(TestFont.named("Lampglow", 400, type)).rights())
                .isEqualTo(new FontFile.Rights(kind, whole));
    }

    @ParameterizedTest
    @CsvSource({"2, restricted licence", "512, outlines", "514, outlines"})
    void a_font_that_may_not_be_embedded_is_refused(int type, String reason) {
        assertThatThrownBy(() -> FontFile.read(TestFont.named("Lampglow", 400, type)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining(reason);
    }

    @Test
    void other_files_are_refused_with_the_reason() {
        byte[] good = TestFont.named("Lampglow", 400, 0);
        refused(begun(good, "OTTO"), "PostScript outlines");
        refused(begun(good, "ttcf"), "collection");
        refused(begun(good, "wOF2"), "web pages");
        refused(begun(good, "%PDF"), "not a font file");
        refused(new byte[0], "damaged");
        refused(Arrays.copyOf(good, good.length / 2), "damaged");
        refused(Arrays.copyOf(good, 40), "damaged");
        refused(new byte[FontFile.LARGEST + 1], "at most 16 MB");
    }

    private static void refused(byte[] file, String reason) {
        assertThatThrownBy(() -> FontFile.read(file))
                .isInstanceOf(Refused.class)
                .hasMessageContaining(reason);
    }

    private static byte[] begun(byte[] file, String with) {
        byte[] changed = file.clone();
        System.arraycopy(
                with.getBytes(java.nio.charset.StandardCharsets.US_ASCII), 0, changed, 0, 4);
        return changed;
    }

    /** It is used or refused, and nothing else comes of it. */
    @Test
    void a_damaged_directory_or_cmap_is_refused_or_read() {
        byte[] good = TestFont.named("Lampglow", 400, 0);
        int cmap = TestFont.table(ByteBuffer.wrap(good), "cmap");
        Random random = new Random(11);
        int refused = 0;
        for (int i = 0; i < 60; i++) {
            byte[] bad = good.clone();
            for (int j = 0; j < 12; j++) {
                bad[(i % 2 == 0 ? 4 : cmap) + random.nextInt(200)] = (byte) random.nextInt();
            }
            try {
                FontFile.read(bad);
            } catch (Refused expected) {
                refused++;
            }
        }
        assertThat(refused).isGreaterThan(20);
    }

    @Test
    void a_face_that_was_brought_along_is_set_like_any_other_until_it_is_taken_away() {
        FontFile file = FontFile.read(TestFont.named("Lampglow", 400, 0));
        Face face = Face.imported(file, () -> TestFont.named("Lampglow", 400, 0));
        FontLibrary.add(face);
        try {
            assertThat(FontLibrary.face("Lampglow", 400, false)).isSameAs(face);
            assertThatThrownBy(() -> FontLibrary.add(face))
                    .isInstanceOf(Refused.class)
                    .hasMessageContaining("here already");
            // with one face alone, that is the nearest to any other
            assertThat(FontLibrary.nearest("Lampglow", 700, true)).isSameAs(face);
            assertThatThrownBy(() -> FontLibrary.check("Lampglow", 700))
                    .isInstanceOf(Refused.class)
                    .hasMessageContaining("choose one of 400");
            Face other =
                    Face.imported(
                            FontFile.read(TestFont.named("Lampglow", 400, 8)), () -> new byte[0]);
            assertThat(face.key()).isNotEqualTo(other.key()).startsWith("Lampglow-400-");
            assertThat(face.shape("AV office").ids())
                    .isEqualTo(FontLibrary.face("Fraunces", 400, false).shape("AV office").ids());
        } finally {
            FontLibrary.remove(face);
        }
        assertThatThrownBy(() -> FontLibrary.check("Lampglow")).isInstanceOf(Refused.class);
        // what was set in it is set in one that ships
        assertThat(Type.of(Sample.look("Gone", 400, 10, Sample.INK), Optional.empty()).face())
                .isNotNull();
        assertThat(FontLibrary.nearest("Lampglow", 400, false).family())
                .isEqualTo("Source Serif 4");
    }

    @Test
    void no_family_has_the_name_of_one_that_ships() {
        FontFile file = FontFile.read(TestFont.named("Fraunces", 400, 0));
        assertThatThrownBy(() -> FontLibrary.add(Face.imported(file, () -> new byte[0])))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("comes with Yewberry");
    }
}
