package yewberry.core.raster;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yewberry.core.Sample;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Look;
import yewberry.core.publication.Publication;
import yewberry.core.scene.Item;
import yewberry.core.scene.Rect;

/** Glyphs drawn once for all texts, against the same ones drawn where they stand. */
class GlyphMasksTest {
    private static final double SCALE = 300.0 / 72;
    private static final int SIDE = 300;

    private static Item.GlyphRun run(double size) {
        Look look = Sample.look("Large", 400, size, Sample.WHITE);
        Publication page =
                Sample.withPage(
                        new Layer(
                                List.of(),
                                List.of(Sample.frame("f", 10, 10, 120, 100, look, "Hamburg"))));
        return new Composer(PressCondition.coated())
                .compose(page.withLooks(List.of(look)), 0)
                .text()
                .getFirst();
    }

    private static double[] covered(Coverage coverage) {
        double[] all = new double[SIDE * SIDE];
        coverage.forEach((at, part) -> all[at] = part);
        return all;
    }

    private static Rect region(Item.GlyphRun run, double right, double below) {
        Rect box = run.box(run.lines().getFirst());
        return new Rect(box.x() + right, box.y() + below, SIDE / SCALE, SIDE / SCALE);
    }

    @ParameterizedTest
    @CsvSource({"10, 0, 0", "10, 0.11, 0.07", "24, 0.02, 0.2", "24, 12, 9", "24, -3, -5"})
    void cover_what_the_glyph_covers_to_an_eighth_of_a_pixel(
            double size, double right, double below) {
        Item.GlyphRun run = run(size);
        Item.Line line = run.lines().getFirst();
        Rect region = region(run, right, below);
        for (var glyph : line.glyphs()) {
            double[] exact = covered(Coverage.of(run, line, glyph, region, SCALE, SIDE, SIDE));
            double[] quick = covered(GlyphMasks.of(run, line, glyph, 0, region, SCALE, SIDE, SIDE));
            for (int at = 0; at < exact.length; at++) {
                // an edge across a pixel moves by an eighth of it at most in each direction
                assertThat(quick[at]).isCloseTo(exact[at], within(0.25 + 2 / 255.0));
            }
        }
    }

    @Test
    void a_large_one_is_drawn_as_far_as_the_raster_goes() {
        Item.GlyphRun run = run(200);
        Item.Line line = run.lines().getFirst();
        Rect region = region(run, 0, 100);
        double[] exact =
                covered(
                        Coverage.of(
                                run, line, line.glyphs().getFirst(), region, SCALE, SIDE, SIDE));
        double[] quick =
                covered(
                        GlyphMasks.of(
                                run, line, line.glyphs().getFirst(), 0, region, SCALE, SIDE, SIDE));
        assertThat(exact).contains(1);
        assertThat(quick).containsExactly(exact);
    }
}
