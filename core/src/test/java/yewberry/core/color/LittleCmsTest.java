package yewberry.core.color;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.function.Function;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Held against Little CMS's transicc, relative colorimetric with black-point compensation. */
class LittleCmsTest {
    private static final int COLORS = 120;

    @TempDir Path folder;

    static List<PressCondition> shipped() {
        return PressCondition.shipped();
    }

    private List<double[]> transicc(List<double[]> inputs, String... options) throws Exception {
        List<String> command = new ArrayList<>(List.of("transicc", "-t1", "-b", "-n"));
        command.addAll(List.of(options));
        Process process =
                new ProcessBuilder(command).redirectError(ProcessBuilder.Redirect.DISCARD).start();
        try (var in = process.outputWriter()) {
            for (double[] input : inputs) {
                for (double value : input) {
                    in.write(value + " ");
                }
                in.write("\n");
            }
        }
        List<double[]> outputs = new ArrayList<>();
        for (String line : process.inputReader().lines().toList()) {
            if (!line.isBlank()) {
                outputs.add(
                        java.util.Arrays.stream(line.strip().split("\\s+"))
                                .mapToDouble(Double::parseDouble)
                                .toArray());
            }
        }
        return outputs;
    }

    private String profile(PressCondition condition) throws IOException {
        Path file = folder.resolve(condition.id() + ".icc");
        Files.write(file, condition.profile());
        return file.toString();
    }

    private static List<double[]> random(int components, double most) {
        Random random = new Random(components);
        List<double[]> colors = new ArrayList<>();
        for (int i = 0; i < COLORS; i++) {
            colors.add(random.doubles(components, 0, 1).map(v -> Math.rint(v * most)).toArray());
        }
        return colors;
    }

    private static void close(
            List<double[]> expected,
            List<double[]> inputs,
            Function<double[], double[]> ours,
            double clampTo,
            double most,
            double mean) {
        assertThat(expected).hasSize(COLORS);
        double sum = 0;
        int count = 0;
        for (int i = 0; i < COLORS; i++) {
            double[] found = ours.apply(inputs.get(i));
            for (int c = 0; c < found.length; c++) {
                double difference = Math.abs(found[c] - Math.clamp(expected.get(i)[c], 0, clampTo));
                assertThat(difference)
                        .as("%s, component %d", java.util.Arrays.toString(inputs.get(i)), c)
                        .isLessThanOrEqualTo(most);
                sum += difference;
                count++;
            }
        }
        assertThat(sum / count).isLessThanOrEqualTo(mean);
    }

    @ParameterizedTest
    @MethodSource("shipped")
    void ink_to_screen(PressCondition condition) throws Exception {
        List<double[]> inks = random(4, 100);
        close(
                transicc(inks, "-i", profile(condition), "-o", "*sRGB"),
                inks,
                ink -> {
                    Rgb rgb = condition.toScreen(new Cmyk(ink[0], ink[1], ink[2], ink[3]));
                    return new double[] {rgb.red(), rgb.green(), rgb.blue()};
                },
                255,
                4,
                1);
    }

    @ParameterizedTest
    @MethodSource("shipped")
    void screen_to_ink(PressCondition condition) throws Exception {
        List<double[]> colors = random(3, 255);
        close(
                transicc(colors, "-i", "*sRGB", "-o", profile(condition)),
                colors,
                rgb -> {
                    Cmyk ink = condition.toInk(new Rgb((int) rgb[0], (int) rgb[1], (int) rgb[2]));
                    return new double[] {ink.cyan(), ink.magenta(), ink.yellow(), ink.black()};
                },
                100,
                1,
                0.3);
    }

    /** As pictures are converted: through tables, in steps of a 255th. */
    private static Function<double[], double[]> through(PlaneTable table, double most) {
        return device -> {
            byte[] in = new byte[device.length];
            for (int i = 0; i < in.length; i++) {
                in[i] = (byte) Math.round(device[i] * 255 / most);
            }
            byte[] ink = new byte[4];
            table.convert(in, ink);
            return new double[] {
                (ink[0] & 0xff) / 2.55,
                (ink[1] & 0xff) / 2.55,
                (ink[2] & 0xff) / 2.55,
                (ink[3] & 0xff) / 2.55
            };
        };
    }

    @Test
    void pictures_without_a_profile_to_ink() throws Exception {
        PressCondition coated = PressCondition.coated();
        List<double[]> colors = random(3, 255);
        close(
                transicc(colors, "-i", "*sRGB", "-o", profile(coated)),
                colors,
                through(coated.inkTable(), 255),
                100,
                4,
                0.7);
    }

    /** With profiles that ghostscript ships, of a small and of a wide gamut. */
    @ParameterizedTest
    @ValueSource(strings = {"default_rgb", "a98"})
    void pictures_with_an_rgb_profile_to_ink(String name) throws Exception {
        PressCondition coated = PressCondition.coated();
        Path profile = Path.of("/usr/share/color/icc/ghostscript/" + name + ".icc");
        List<double[]> colors = random(3, 255);
        close(
                transicc(colors, "-i", profile.toString(), "-o", profile(coated)),
                colors,
                through(
                        coated.planeTable(Files.readAllBytes(profile), Medium.PAPER).orElseThrow(),
                        255),
                100,
                4,
                0.7);
    }

    private static double[] seen(PressCondition condition, double[] ink) {
        Rgb rgb =
                condition.toScreen(
                        new Cmyk(
                                Math.clamp(ink[0], 0, 100),
                                Math.clamp(ink[1], 0, 100),
                                Math.clamp(ink[2], 0, 100),
                                Math.clamp(ink[3], 0, 100)));
        return new double[] {rgb.red(), rgb.green(), rgb.blue()};
    }

    /**
     * Compared as seen: of the darkest colours there are many separations. All are within the ink
     * limit; what is darker than the black of its press is clipped in either way.
     */
    @Test
    void pictures_with_the_profile_of_another_press_to_ink() throws Exception {
        PressCondition coated = PressCondition.coated();
        PressCondition uncoated = PressCondition.shipped().get(1);
        List<double[]> colors = random(4, 75);
        List<double[]> theirs = transicc(colors, "-i", profile(uncoated), "-o", profile(coated));
        Function<double[], double[]> ours =
                through(coated.planeTable(uncoated.profile(), Medium.PAPER).orElseThrow(), 100);
        close(
                theirs.stream().map(ink -> seen(coated, ink)).toList(),
                colors,
                ink -> seen(coated, ours.apply(ink)),
                255,
                4,
                1);
    }

    @Test
    void pictures_with_the_profile_of_this_press_stay_as_they_are() {
        PressCondition coated = PressCondition.coated();
        assertThat(coated.planeTable(coated.profile(), Medium.PAPER)).isEmpty();
    }
}
