package yewberry.core.color;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Fogra's public characterisation data: CMYK patches with measured CIELAB (D50, 2 degree). */
class MeasuredPressTest {
    private record Patch(Cmyk ink, Lab measured) {}

    private static List<Patch> patches(String table) throws IOException {
        try (var lines =
                new BufferedReader(
                        new InputStreamReader(
                                MeasuredPressTest.class.getResourceAsStream(
                                        "/yewberry/press/" + table + ".ti3"),
                                StandardCharsets.US_ASCII))) {
            return lines.lines()
                    .dropWhile(
                            line -> !line.startsWith("BEGIN_DATA\n") && !line.equals("BEGIN_DATA"))
                    .skip(1)
                    .takeWhile(line -> !line.startsWith("END_DATA"))
                    .map(line -> line.strip().split("\\s+"))
                    .map(f ->
                            new Patch(
                                    new Cmyk(
                                            number(f[1]), number(f[2]), number(f[3]), number(f[4])),
                                    new Lab(number(f[8]), number(f[9]), number(f[10]))))
                    .toList();
        }
    }

    private static double number(String text) {
        return Double.parseDouble(text);
    }

    @ParameterizedTest
    @CsvSource({
        "coated, FOGRA39L, 1617",
        "uncoated, FOGRA29L, 1485",
        "light-weight-coated, FOGRA28L, 1485",
    })
    void every_patch_comes_out_as_it_was_measured(String id, String table, int count)
            throws IOException {
        PressCondition condition =
                PressCondition.shipped().stream()
                        .filter(each -> each.id().equals(id))
                        .findFirst()
                        .orElseThrow();
        double[] differences =
                patches(table).stream()
                        .mapToDouble(patch ->
                                Difference.ciede2000(
                                        patch.measured(), condition.measured(patch.ink())))
                        .sorted()
                        .toArray();
        assertThat(differences).hasSize(count);
        double mean = java.util.Arrays.stream(differences).average().orElseThrow();
        assertThat(mean).isLessThanOrEqualTo(0.3);
        assertThat(differences[(int) (0.95 * count)]).isLessThanOrEqualTo(0.8);
    }

    /** Little CMS, absolute to Lab: noted beside the profile. */
    @ParameterizedTest
    @CsvSource({"0, 95.0, 0.0, -2.0", "100, 16.0, 0.0, 0.0"})
    void paper_and_black_are_as_little_cms_says(double k, double l, double a, double b) {
        Lab found = PressCondition.coated().measured(new Cmyk(0, 0, 0, k));
        assertThat(Difference.ciede2000(found, new Lab(l, a, b))).isLessThan(0.3);
    }
}
