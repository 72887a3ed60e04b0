package yewberry.core.findings;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import yewberry.core.color.PressCondition;
import yewberry.core.legibility.Legibility;
import yewberry.core.publication.Press;
import yewberry.core.publication.Setup;
import yewberry.core.scene.Item;
import yewberry.core.scene.Medium;
import yewberry.core.scene.PageScene;
import yewberry.core.text.Segment;

/** Runs every check on a scene. */
public final class Findings {
    private Findings() {}

    /**
     * What is wrong on one page: contrast first, then what is lost, what is only simulated, and
     * what the press cannot print well.
     */
    public static List<Finding> of(
            PageScene scene, Legibility legibility, Setup setup, PressCondition condition) {
        Press press = setup.press();
        List<Finding> findings = new ArrayList<>();
        legibility.judge(scene).stream()
                .filter(contrast -> !contrast.passes())
                .map(contrast -> new Finding.TooLittleContrast(scene.page(), contrast))
                .forEach(findings::add);
        scene.overset().stream()
                .map(overset -> new Finding.TextOverflow(scene.page(), overset))
                .forEach(findings::add);
        for (Item.GlyphRun run : scene.text()) {
            String missing = missing(run);
            if (!missing.isEmpty()) {
                findings.add(new Finding.MissingCharacters(scene.page(), run, missing));
            }
        }
        if (simulated(press) && scene.on(Medium.PAPER).areas().isEmpty()) {
            findings.add(new Finding.StockNotPrinted(scene, press.stock().orElseThrow()));
        }
        findings.addAll(new PictureChecker(scene, condition).check());
        findings.addAll(new PressChecker(scene, condition, setup.checks()).check(legibility));
        return findings;
    }

    /** A stock that would pass for ink; the bounds are common practice, no source. */
    private static boolean simulated(Press press) {
        return !press.stockIsReal()
                && press.stock()
                        .filter(stock -> stock.chroma() > 8 || stock.lightness() < 85)
                        .isPresent();
    }

    /** Glyph 0 is what a font shows for a character it does not have (OpenType, "glyph 0"). */
    private static String missing(Item.GlyphRun run) {
        return run.lines().stream()
                .flatMap(line -> line.glyphs().stream())
                .filter(glyph -> glyph.id() == 0)
                .map(Segment.Glyph::text)
                .distinct()
                .collect(Collectors.joining());
    }
}
