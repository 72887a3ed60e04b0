package yewberry.pdf.proof;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.interactive.action.PDActionGoTo;
import org.apache.pdfbox.pdmodel.interactive.action.PDActionURI;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotation;
import org.apache.pdfbox.pdmodel.interactive.annotation.PDAnnotationLink;
import org.apache.pdfbox.pdmodel.interactive.documentnavigation.destination.PDPageDestination;
import yewberry.core.color.Medium;
import yewberry.core.publication.LinkTo;
import yewberry.core.scene.Item;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;
import yewberry.pdf.proof.SincePages.Held;

/** Holds the annotations of a page against its links: on paper there are none. */
final class LinkCheck {
    /** In points. */
    private static final double TOLERANCE = 0.1;

    private final PDDocument document;
    private final List<PageScene> scenes;
    private final List<Held> held;

    /** The pages of the document that a paragraph is on, from 0; found when one is asked for. */
    private Optional<Map<UUID, Set<Integer>>> paragraphs = Optional.empty();

    /**
     * @param scenes each asked for when it is needed
     * @param held which of them the pages of the document are held against
     */
    LinkCheck(PDDocument document, List<PageScene> scenes, List<Held> held) {
        this.document = document;
        this.scenes = scenes;
        this.held = List.copyOf(held);
    }

    /** A line of a link, in the space of the page. */
    private record Line(PageScene.Link link, Rect around) {}

    /**
     * What is wrong.
     *
     * @param scene what the page was made from
     */
    List<String> check(PDPage page, PageScene scene, Medium medium) throws IOException {
        List<PDAnnotation> found = new ArrayList<>(page.getAnnotations());
        if (medium == Medium.PAPER) {
            return found.isEmpty() ? List.of() : List.of("Annotations lie over the page.");
        }
        List<String> problems = new ArrayList<>();
        for (Line line : lines(scene)) {
            Optional<PDAnnotationLink> match = match(found, line, scene);
            if (match.isEmpty() && isReached(line.link().to())) {
                problems.add("The link of “%s” is missing.".formatted(line.link().text()));
            }
            if (match.isPresent() && !leads(match.get(), line.link().to())) {
                problems.add("The link of “%s” leads elsewhere.".formatted(line.link().text()));
            }
            match.ifPresent(found::remove);
        }
        if (!found.isEmpty()) {
            problems.add("Annotations lie over the page.");
        }
        return problems;
    }

    private static List<Line> lines(PageScene scene) {
        return scene.links().stream()
                .filter(PageScene.Link::leads)
                .flatMap(link ->
                        link.where().stream().map(rect -> new Line(link, link.turn().around(rect))))
                .toList();
    }

    /** Text without room is on no page, and nothing leads to it. */
    private boolean isReached(LinkTo to) {
        return !(to instanceof LinkTo.ToParagraph(UUID story, UUID paragraph))
                || !pagesOf(paragraph).isEmpty();
    }

    private Set<Integer> pagesOf(UUID paragraph) {
        if (paragraphs.isEmpty()) {
            Map<UUID, Set<Integer>> found = new HashMap<>();
            for (Held each : held) {
                for (Item.GlyphRun run : scenes.get(each.scene()).text()) {
                    found.computeIfAbsent(run.paragraph(), _ -> new HashSet<>()).add(each.page());
                }
            }
            paragraphs = Optional.of(found);
        }
        return paragraphs.get().getOrDefault(paragraph, Set.of());
    }

    private static Optional<PDAnnotationLink> match(
            List<PDAnnotation> found, Line line, PageScene scene) {
        Rect bleed = scene.boxes().bleed();
        for (PDAnnotation each : found) {
            PDRectangle is = each.getRectangle();
            boolean same =
                    each instanceof PDAnnotationLink
                            && is != null
                            && near(is.getLowerLeftX(), line.around().x() - bleed.x())
                            && near(is.getUpperRightX(), line.around().right() - bleed.x())
                            && near(is.getUpperRightY(), bleed.bottom() - line.around().y())
                            && near(is.getLowerLeftY(), bleed.bottom() - line.around().bottom());
            if (same) {
                return Optional.of((PDAnnotationLink) each);
            }
        }
        return Optional.empty();
    }

    private static boolean near(double one, double other) {
        return Math.abs(one - other) <= TOLERANCE;
    }

    private boolean leads(PDAnnotationLink annotation, LinkTo to) throws IOException {
        if (to instanceof LinkTo.Address(String uri)) {
            return annotation.getAction() instanceof PDActionURI action
                    && uri.equals(action.getURI());
        }
        if (!(annotation.getAction() instanceof PDActionGoTo action)
                || !(action.getDestination() instanceof PDPageDestination destination)) {
            return false;
        }
        int page = document.getPages().indexOf(destination.getPage());
        return switch (to) {
            case LinkTo.Address address -> false;
            case LinkTo.ToPage(UUID id) ->
                    held.stream()
                            .filter(each -> each.page() == page)
                            .anyMatch(each -> scenes.get(each.scene()).pages().contains(id));
            case LinkTo.ToParagraph(UUID story, UUID paragraph) ->
                    pagesOf(paragraph).contains(page);
        };
    }
}
