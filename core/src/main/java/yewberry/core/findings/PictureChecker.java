package yewberry.core.findings;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import yewberry.core.color.Blend;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Inks;
import yewberry.core.color.Medium;
import yewberry.core.press.FlatBox;
import yewberry.core.publication.Asset;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;

/** Looks at the pictures of a scene, and at what areas do to spot inks. */
final class PictureChecker {
    private final MediumScene scene;
    private final List<Finding> findings = new ArrayList<>();

    PictureChecker(MediumScene scene) {
        this.scene = scene;
    }

    List<Finding> check() {
        for (Item.Filled fill : scene.fills()) {
            if (fill.paint() instanceof AreaPaint.Picture picture) {
                Optional<String> problem = picture.pixels().problem();
                if (problem.isPresent()) {
                    findings.add(new PictureFinding.Unreadable(scene.page(), fill, problem.get()));
                    continue;
                }
                if (fill instanceof Item.AreaFill area) {
                    boxed(area, picture);
                }
                if (scene.medium() == Medium.PAPER) {
                    printed(fill, picture);
                }
            }
            if (fill instanceof Item.AreaFill area) {
                spots(area);
            }
        }
        return findings;
    }

    private void printed(Item.Filled fill, AreaPaint.Picture picture) {
        picture.ppi()
                .ifPresent(ppi -> {
                    if (ppi < PictureFinding.WANTED_PPI - 0.5) {
                        findings.add(new PictureFinding.TooCoarse(scene.page(), fill, ppi));
                    }
                });
        if (picture.asset().content() instanceof Asset.Document document) {
            Asset.Leaf leaf = document.pages().get(picture.page() - 1);
            if (leaf.screenColor() || !leaf.missingFonts().isEmpty()) {
                findings.add(new PictureFinding.NotForPress(scene.page(), fill, leaf));
            }
        }
    }

    private void boxed(Item.AreaFill fill, AreaPaint.Picture picture) {
        if (!(picture.asset().content() instanceof Asset.Document)) {
            FlatBox.of(scene, fill, picture)
                    .ifPresent(
                            box -> findings.add(new PictureFinding.Boxed(scene.page(), fill, box)));
        }
    }

    private void spots(Item.AreaFill fill) {
        if (fill.blend() == BlendMode.NORMAL || Blend.keepsWhite(fill.blend())) {
            return;
        }
        TreeSet<String> inks = new TreeSet<>();
        List<Item.AreaFill> areas = scene.areas();
        for (Item.AreaFill each : areas.subList(0, areas.indexOf(fill) + 1)) {
            if (!each.rect().intersection(fill.rect()).isEmpty()) {
                each.paints().stream()
                        .map(paint -> paint.color())
                        .filter(Inks.class::isInstance)
                        .flatMap(color -> ((Inks) color).spots().stream())
                        .forEach(spot -> inks.add(spot.name()));
            }
        }
        if (!inks.isEmpty()) {
            findings.add(new PictureFinding.SpotCannotBlend(scene.page(), fill, List.copyOf(inks)));
        }
    }
}
