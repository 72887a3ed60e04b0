package yewberry.core.scene;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.View;
import yewberry.core.color.Viewing;

class PlanesTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final Planes PLANES = Planes.of(List.of(), Medium.SCREEN, COATED);

    /** At and between levels, and a hair beyond both ends, where rounding leads. */
    @ParameterizedTest
    @EnumSource(
            value = Viewing.class,
            names = {"AS_DESIGNED", "ON_SCREEN", "BACKGROUNDS_OFF"})
    void a_pixel_of_the_screen_is_seen_as_its_colour_is(Viewing viewing) {
        View view = new View(viewing, Medium.SCREEN, COATED, COATED.paper());
        assertThat(view.keepsLight()).isTrue();
        Random random = new Random(9);
        for (int i = 0; i < 2_000; i++) {
            float[] pixel = new float[3];
            double[] planes = new double[3];
            for (int plane = 0; plane < planes.length; plane++) {
                pixel[plane] =
                        random.nextBoolean()
                                ? random.nextInt(511) / 510f
                                : random.nextFloat() * 1.02f - 0.01f;
                planes[plane] = pixel[plane];
            }
            assertThat(Planes.screen(pixel)).isEqualTo(view.see(PLANES.color(planes)).packed());
        }
    }

    @ParameterizedTest
    @EnumSource(
            value = Viewing.class,
            names = {"AS_DESIGNED", "ON_SCREEN", "BACKGROUNDS_OFF"},
            mode = EnumSource.Mode.EXCLUDE)
    void what_is_seen_otherwise_is_not_taken_for_the_screen(Viewing viewing) {
        for (Medium medium : Medium.values()) {
            assertThat(new View(viewing, medium, COATED, COATED.paper()).keepsLight()).isFalse();
        }
    }
}
