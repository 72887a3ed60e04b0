package yewberry.pdf.proof;

import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.apache.pdfbox.pdmodel.PDDocument;
import yewberry.core.output.Claim;
import yewberry.core.output.Loss;
import yewberry.core.output.PdfProfile;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Publication;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.pdf.Opening;

/** Pages of PDFs that are placed, and what of them would break the claims of a file. */
public final class PlacedPages {
    private PlacedPages() {}

    private record Placed(String sha256, int page) {}

    /**
     * What they break, each claim of each page once; nothing where they become pictures.
     *
     * @throws IOException if one cannot be read
     */
    public static List<Loss> breaking(
            Publication publication, List<PageScene> scenes, PdfProfile profile)
            throws IOException {
        if (profile.flattened() || profile.claims().isEmpty()) {
            return List.of();
        }
        Map<Placed, AreaPaint.Picture> placed = new LinkedHashMap<>();
        Map<Placed, TreeSet<Integer>> on = new LinkedHashMap<>();
        for (PageScene scene : scenes) {
            int number = publication.pages().position(scene.page()).orElse(-1) + 1;
            pictures(scene)
                    .forEach(picture -> {
                        Placed key = new Placed(picture.asset().sha256(), picture.page());
                        placed.put(key, picture);
                        on.computeIfAbsent(key, _ -> new TreeSet<>()).add(number);
                    });
        }
        List<Loss> losses = new ArrayList<>();
        for (Map.Entry<Placed, AreaPaint.Picture> each : placed.entrySet()) {
            AreaPaint.Picture picture = each.getValue();
            try (PDDocument document = Opening.of(picture.pixels().file())) {
                List<String> broken =
                        ClaimCheck.placed(document.getPage(picture.page() - 1), document, profile);
                for (String problem : broken) {
                    losses.add(
                            new Loss(
                                    "of page %d of “%s”, which is placed, %s"
                                            .formatted(
                                                    picture.page(),
                                                    picture.asset().name(),
                                                    problem.substring(problem.indexOf(':') + 2)),
                                    claim(problem),
                                    List.copyOf(on.get(each.getKey()))));
                }
            }
        }
        return losses;
    }

    private static Optional<Claim> claim(String problem) {
        return Stream.of(Claim.values())
                .filter(claim -> problem.startsWith(claim.inWords() + ":"))
                .findFirst();
    }

    private static Stream<AreaPaint.Picture> pictures(PageScene scene) {
        return scene.items().stream()
                .filter(Item.Filled.class::isInstance)
                .map(Item.Filled.class::cast)
                .map(Item.Filled::paint)
                .filter(AreaPaint.Picture.class::isInstance)
                .map(AreaPaint.Picture.class::cast)
                .filter(picture -> picture.asset().content() instanceof Asset.Document);
    }
}
