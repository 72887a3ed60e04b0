package yewberry.core.findings;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.View;
import yewberry.core.legibility.Legibility;
import yewberry.core.legibility.RunContrast;
import yewberry.core.press.InkPlace;
import yewberry.core.press.SmallType;
import yewberry.core.press.TrimEdge;
import yewberry.core.publication.Look;
import yewberry.core.publication.PressChecks;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Paint;
import yewberry.core.scene.TextOverprint;

/** Holds a scene against what the press can do. */
final class PressChecker {
    /** What binary fractions may add to a sum of percents. */
    private static final double TOLERANCE = 0.01;

    private final PageScene scene;
    private final PressCondition condition;
    private final PressChecks checks;
    private final List<Finding> findings = new ArrayList<>();

    /** The paragraphs whose borders were looked at. */
    private final Set<UUID> bordered = new HashSet<>();

    PressChecker(PageScene scene, PressCondition condition, PressChecks checks) {
        this.scene = scene;
        this.condition = condition;
        this.checks = checks;
    }

    List<Finding> check(Legibility legibility) {
        InkPlace.of(scene).forEach(this::ink);
        legibility.judge(scene, View.designed(Medium.PAPER, condition)).forEach(this::type);
        scene.areas().forEach(this::area);
        for (Item item : scene.items()) {
            switch (item) {
                case Item.FrontFill fill -> front(fill);
                case Item.TextFill fill ->
                        fill.border().ifPresent(border -> line(fill, border.line(), fill.solid()));
                case Item.GlyphStroke stroke ->
                        line(
                                stroke,
                                stroke.letters()
                                        .look()
                                        .outline()
                                        .map(outline -> outline.width().points())
                                        .orElse(stroke.width()),
                                Optional.of(stroke.paint()));
                default -> {}
            }
        }
        return findings;
    }

    private void area(Item.AreaFill fill) {
        for (TrimEdge edge : TrimEdge.of(scene, fill)) {
            findings.add(new PressFinding.EndsAtTrim(scene.page(), fill, edge));
        }
    }

    /**
     * A picture that is rotated has no edge along that of the page; the page of a file ends where
     * that does.
     */
    private void front(Item.FrontFill fill) {
        if (!fill.isImported()
                && fill.paint() instanceof AreaPaint.Picture
                && fill.form().rectangle().isPresent()) {
            for (TrimEdge edge : TrimEdge.of(scene, fill)) {
                findings.add(new PressFinding.EndsAtTrim(scene.page(), fill, edge));
            }
        }
    }

    private void line(Item item, double width, Optional<Paint> paint) {
        // a border that goes on in another column is one finding
        if (item instanceof Item.TextFill fill && !bordered.add(fill.paragraph())) {
            return;
        }
        if (width >= PressFinding.Hairline.WIDE - 1e-6 || paint.isEmpty()) {
            return;
        }
        Set<String> inks = SmallType.screened(paint.get().color(), condition);
        if (!inks.isEmpty()) {
            findings.add(new PressFinding.Hairline(scene.page(), item, width, inks));
        }
    }

    private void ink(InkPlace place) {
        double limit = condition.inkLimit();
        if (place.total() > limit + TOLERANCE) {
            findings.add(new PressFinding.TooMuchInk(scene.page(), place, limit));
        }
        if (place.item() instanceof Item.AreaFill fill
                && fill.paint() instanceof AreaPaint.Solid // of others, only a point is that black
                && TextOverprint.isPlainBlack(place.color())
                && place.area() > checks.plainBlack()
                && limit > 100) {
            findings.add(new PressFinding.PlainBlackArea(scene.page(), place, fill, limit, checks));
        }
    }

    private void type(RunContrast contrast) {
        Item.GlyphRun run = contrast.run();
        if (!scene.boxes().safe().contains(run.bounds())) {
            findings.add(new PressFinding.TextNearTrim(scene.page(), run));
        }
        if (run.look().overprint() == Look.Overprint.ALWAYS && !run.paint().overprints()) {
            findings.add(new PressFinding.LightOverprint(scene.page(), run));
        }
        if (contrast.variation() >= PressFinding.TextOnBusy.BUSY) {
            findings.add(new PressFinding.TextOnBusy(scene.page(), run, contrast.variation()));
        }
        if (!SmallType.isSmall(run, checks)) {
            return;
        }
        reversed(contrast).or(() -> inks(run)).ifPresent(findings::add);
    }

    private Optional<Finding> inks(Item.GlyphRun run) {
        Set<String> inks = SmallType.inks(run, condition);
        return inks.size() > checks.smallTypeInks()
                ? Optional.of(new PressFinding.SmallTypeInInks(scene.page(), run, inks, checks))
                : Optional.empty();
    }

    private Optional<Finding> reversed(RunContrast contrast) {
        Item.GlyphRun run = contrast.run();
        return contrast.against().stream()
                .map(RunContrast.Against::paint)
                .flatMap(Optional::stream)
                .map(backdrop ->
                        new PressFinding.SmallTypeReversed(
                                scene.page(),
                                run,
                                backdrop.inWords(),
                                SmallType.open(run, backdrop.color(), condition),
                                checks))
                .filter(finding -> finding.inks().size() >= checks.reversedInks())
                .map(Finding.class::cast)
                .findFirst();
    }
}
