package yewberry.core.findings;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.View;
import yewberry.core.color.Viewing;
import yewberry.core.legibility.Legibility;
import yewberry.core.legibility.RunContrast;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Press;
import yewberry.core.publication.Setup;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;

/** Runs every check on a scene. */
public final class Findings {
    private Findings() {}

    /**
     * What is wrong on one page: contrast first, then what is lost, what is only simulated, and
     * what the press cannot print well. The verdict on text is as designed.
     */
    public static List<Finding> of(
            PageScene scene, Legibility legibility, Setup setup, PressCondition condition) {
        boolean several = setup.destination().media().size() > 1;
        return of(
                scene,
                legibility,
                setup,
                condition,
                legibility.judge(scene),
                true,
                contrast -> several ? Optional.of(contrast.medium().inWords()) : Optional.empty());
    }

    /** The same with text judged as it is seen under a viewing. */
    public static List<Finding> under(
            View view,
            PageScene scene,
            Legibility legibility,
            Setup setup,
            PressCondition condition) {
        return of(
                scene,
                legibility,
                setup,
                condition,
                legibility.judge(scene, view),
                view.viewing() == Viewing.AS_DESIGNED,
                contrast ->
                        view.viewing() == Viewing.AS_DESIGNED
                                ? Optional.empty()
                                : Optional.of(view.viewing().inWords()));
    }

    private static List<Finding> of(
            PageScene scene,
            Legibility legibility,
            Setup setup,
            PressCondition condition,
            List<RunContrast> contrasts,
            boolean isVerdict,
            Function<RunContrast, Optional<String>> circumstance) {
        Destination destination = setup.destination();
        List<Finding> findings = new ArrayList<>();
        contrasts.stream()
                .filter(contrast -> !contrast.passes())
                .map(contrast ->
                        new Finding.TooLittleContrast(
                                scene.page(), contrast, circumstance.apply(contrast), isVerdict))
                .forEach(findings::add);
        scene.overset().stream()
                .map(overset -> new Finding.TextOverflow(scene.page(), overset))
                .forEach(findings::add);
        for (Item.GlyphRun run : scene.text()) {
            LooseLine.in(scene.page(), run).ifPresent(findings::add);
            String missing = run.missing();
            if (!missing.isEmpty()) {
                findings.add(new Finding.MissingCharacters(scene.page(), run, missing));
            }
            run.wanted()
                    .map(face -> new Finding.OtherFont(scene.page(), run, face.family()))
                    .ifPresent(findings::add);
        }
        scene.links().stream()
                .filter(link -> !link.leads())
                .map(link -> new Finding.DeadLink(scene.page(), link))
                .forEach(findings::add);
        findings.addAll(RunsIntoText.in(scene));
        findings.addAll(FrontFinding.in(scene));
        findings.addAll(OnPageContent.in(scene));
        findings.addAll(GraphicFinding.in(scene, destination, condition));
        Press press = setup.press();
        if (destination.has(Medium.PAPER)
                && simulated(press)
                && scene.on(Medium.PAPER).areas().isEmpty()) {
            findings.add(
                    new Finding.StockNotPrinted(
                            scene.page(), scene.boxes().trim(), press.stock().orElseThrow()));
        }
        findings.addAll(new PictureChecker(scene.on(destination.media().getFirst())).check());
        if (destination.has(Medium.PAPER)) {
            findings.addAll(new PressChecker(scene, condition, setup.checks()).check(legibility));
        }
        for (Medium medium : destination.media()) {
            scene.areas().stream()
                    .filter(fill -> leftOut(fill, medium))
                    .map(fill -> new PressFinding.BackgroundLeftOut(scene.page(), fill, medium))
                    .forEach(findings::add);
        }
        return findings;
    }

    /** Whether a background goes to the other medium only. */
    private static boolean leftOut(Item.AreaFill fill, Medium medium) {
        return switch (medium) {
            case PAPER -> fill.goesTo().screen() && !fill.goesTo().paper();
            case SCREEN -> fill.goesTo().paper() && !fill.goesTo().screen();
        };
    }

    /** A stock that would pass for ink; the bounds are common practice, no source. */
    private static boolean simulated(Press press) {
        return !press.stockIsReal()
                && press.stock()
                        .filter(stock -> stock.chroma() > 8 || stock.lightness() < 85)
                        .isPresent();
    }
}
