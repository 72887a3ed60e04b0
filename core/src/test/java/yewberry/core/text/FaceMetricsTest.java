package yewberry.core.text;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Highlights and panels are measured from a face's ascent and descent: those that its file says in
 * hhea, and, so that a browser on any system agrees, in OS/2 (OpenType 1.9, "hhea", "OS/2").
 */
class FaceMetricsTest {
    static Stream<Face> faces() {
        return FontLibrary.families().stream()
                .flatMap(family ->
                        family.weights().stream()
                                .map(weight -> FontLibrary.face(family.name(), weight, false)));
    }

    @ParameterizedTest
    @MethodSource("faces")
    void ascent_and_descent_are_those_of_the_file(Face face) {
        ByteBuffer file = ByteBuffer.wrap(face.program());
        double units = file.getShort(table(file, "head") + 18);
        int hhea = table(file, "hhea");
        int os2 = table(file, "OS/2");
        double up = file.getShort(hhea + 4) / units * Face.UNITS;
        double down = -file.getShort(hhea + 6) / units * Face.UNITS;
        assertThat(face.ascent()).isCloseTo(up, within(0.01));
        assertThat(face.descent()).isCloseTo(down, within(0.01));
        assertThat(file.getShort(os2 + 68) / units * Face.UNITS).isEqualTo(up);
        assertThat(-file.getShort(os2 + 70) / units * Face.UNITS).isEqualTo(down);
    }

    /** Where a table begins. */
    private static int table(ByteBuffer file, String tag) {
        byte[] wanted = tag.getBytes(StandardCharsets.US_ASCII);
        for (int i = 0; i < file.getShort(4); i++) {
            byte[] found = new byte[4];
            file.get(12 + 16 * i, found);
            if (java.util.Arrays.equals(found, wanted)) {
                return file.getInt(12 + 16 * i + 8);
            }
        }
        throw new AssertionError("No table " + tag);
    }
}
