package yewberry.core.output;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.function.ToLongFunction;
import java.util.stream.Collectors;
import yewberry.core.color.BlendMode;
import yewberry.core.color.Inks;
import yewberry.core.color.Medium;
import yewberry.core.color.Overprint;
import yewberry.core.publication.Asset;
import yewberry.core.publication.LinkTo;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Side;
import yewberry.core.scene.AreaPaint;
import yewberry.core.scene.Item;
import yewberry.core.scene.MediumScene;
import yewberry.core.scene.Origin;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;

/**
 * What an output loses or changes of a publication, known before it is written.
 *
 * @param breaks the claim that it does not hold with it
 * @param pages that it is on, as they are numbered
 */
public record Loss(String text, Optional<Claim> breaks, List<Integer> pages) {
    public Loss {
        pages = List.copyOf(pages);
    }

    /**
     * All of an output.
     *
     * @param publication as it is, not as the output has it
     * @param scenes of the publication as it is, of the pages that are in the output
     */
    public static List<Loss> of(
            Publication publication, List<PageScene> scenes, OutputSettings settings) {
        return new Finding(publication, scenes, settings).all();
    }

    /** One search for them. */
    private static final class Finding {
        private final Publication publication;
        private final List<PageScene> scenes;
        private final OutputSettings settings;
        private final Medium medium;
        private final List<Loss> losses = new ArrayList<>();

        Finding(Publication publication, List<PageScene> scenes, OutputSettings settings) {
            this.publication = publication;
            this.scenes = scenes;
            this.settings = settings;
            this.medium =
                    settings.kind().isPicture() || settings.kind() == OutputKind.SVG
                            ? publication.setup().destination().media().getFirst()
                            : settings.kind().medium();
        }

        List<Loss> all() {
            left();
            if (!settings.backgrounds()) {
                note(
                        count(Item.AreaFill.class, fill -> goes(fill)),
                        "%s left out; text that cannot be read without is in other colours",
                        "background is",
                        "backgrounds are");
            }
            spots();
            links();
            overset();
            spine();
            if (settings.overprintShown()) {
                note(
                        count(Item.GlyphRun.class, run -> run.paint().overprints()),
                        "%s blended with what is below instead of overprinting it",
                        "stretch of text is",
                        "stretches of text are");
                takenAway();
            }
            if (settings.kind() == OutputKind.OFFICE_PDF) {
                note(
                        count(
                                Item.AreaFill.class,
                                fill -> settings.backgrounds() && isBeyond(fill.rect())),
                        "%s cut off at the trim: an office printer has no bleed",
                        "background is",
                        "backgrounds are");
            }
            if (settings.kind().isPdf() && settings.claims()) {
                alternatives();
                missing();
            }
            return losses;
        }

        /**
         * Left of the trim or above it: what goes beyond it elsewhere goes there on other pages.
         */
        private static boolean isBeyond(Rect rect) {
            return rect.x() < -0.01 || rect.y() < -0.01;
        }

        private boolean goes(Item.AreaFill fill) {
            return fill.goesTo().has(medium);
        }

        /** What goes to the other medium only. */
        private void left() {
            if (settings.kind() == OutputKind.SCREEN_AND_PAPER_PDF) {
                note(
                        count(Item.AreaFill.class, fill -> !fill.goesTo().paper()),
                        "%s to the screen only, and not onto paper",
                        "background goes",
                        "backgrounds go");
                return;
            }
            String to = medium == Medium.PAPER ? "the screen" : "paper";
            note(
                    count(Item.AreaFill.class, fill -> !goes(fill)),
                    "%s to " + to + " only: not in this output",
                    "background goes",
                    "backgrounds go");
            note(
                    count(Item.FrontFill.class, fill -> !fill.goesTo().has(medium)),
                    "%s to " + to + " only: not in this output",
                    "picture or word goes",
                    "pictures and words go");
        }

        private void spots() {
            if (medium == Medium.PAPER) {
                note(
                        count(
                                Item.AreaFill.class,
                                fill -> fill.blend() != BlendMode.NORMAL && isSpot(fill)),
                        "%s on a spot ink, which devices do in different ways",
                        "blend acts",
                        "blends act");
                return;
            }
            Set<UUID> spots = new HashSet<>();
            Map<Integer, Set<UUID>> byPage = new LinkedHashMap<>();
            for (PageScene scene : scenes) {
                for (Item item : scene.items()) {
                    item.paints().stream()
                            .filter(paint -> paint.color() instanceof Inks)
                            .flatMap(paint -> paint.swatch().stream())
                            .forEach(swatch -> {
                                spots.add(swatch);
                                byPage.computeIfAbsent(number(scene), _ -> new HashSet<>())
                                        .add(swatch);
                            });
                }
            }
            if (!spots.isEmpty()) {
                losses.add(
                        new Loss(
                                spots.size() == 1
                                        ? "1 spot colour is shown as it looks, not as an ink of its own."
                                        : "%d spot colours are shown as they look, not as inks of their own."
                                                .formatted(spots.size()),
                                Optional.empty(),
                                List.copyOf(new TreeSet<>(byPage.keySet()))));
            }
        }

        private static boolean isSpot(Item.AreaFill fill) {
            return fill.paints().stream().anyMatch(paint -> paint.color() instanceof Inks);
        }

        private void links() {
            boolean kept =
                    switch (settings.kind()) {
                        case READING_PDF, SCREEN_AND_PAPER_PDF, OFFICE_PDF, WEB -> true;
                        case PRESS_PDF, ALL_PDF, PNG, JPEG, SVG -> false;
                    };
            if (kept) {
                Set<UUID> pages = scenes.stream().map(PageScene::page).collect(Collectors.toSet());
                Set<UUID> paragraphs =
                        scenes.stream()
                                .flatMap(scene -> scene.text().stream())
                                .map(Item.GlyphRun::paragraph)
                                .collect(Collectors.toSet());
                note(
                        links(link ->
                                switch (link.to()) {
                                    case LinkTo.Address _ -> false;
                                    case LinkTo.ToPage(UUID page) -> !pages.contains(page);
                                    case LinkTo.ToParagraph(UUID story, UUID paragraph) ->
                                            !paragraphs.contains(paragraph);
                                }),
                        "%s to pages that are not in it",
                        "link leads",
                        "links lead");
                return;
            }
            note(
                    links(_ -> true),
                    settings.kind() == OutputKind.ALL_PDF
                            ? "%s will not work: PDF/X-4 allows nothing over the page"
                            : "%s will not work",
                    "link",
                    "links");
        }

        private Map<Integer, Integer> links(Predicate<PageScene.Link> which) {
            return perPage(scene ->
                    scene.links().stream().filter(PageScene.Link::leads).filter(which).count());
        }

        private void overset() {
            note(
                    perPage(scene -> scene.overset().size()),
                    "%s text that has no room, which is not in it",
                    "frame has",
                    "frames have");
        }

        /** Text of pages that become one with the page beside them. */
        private void spine() {
            Map<Integer, Integer> found = new LinkedHashMap<>();
            int at = 0;
            for (List<Integer> leaf : settings.leaves(publication)) {
                for (PageScene scene : scenes.subList(at, at + leaf.size())) {
                    int count =
                            (int) scene.text().stream().filter(run -> isBeyond(run, scene)).count();
                    if (leaf.size() > 1 && count > 0) {
                        found.put(number(scene), count);
                    }
                }
                at += leaf.size();
            }
            note(
                    found,
                    "%s beyond the spine: cut off there",
                    "stretch of text goes",
                    "stretches of text go");
        }

        /** Of the spot inks of files is not known here which they are. */
        private void takenAway() {
            note(
                    perPage(scene -> {
                        MediumScene printed = scene.on(Medium.PAPER);
                        return printed.text().stream()
                                .filter(run -> takesAway(run, printed))
                                .filter(run -> isOverFile(run, printed))
                                .count();
                    }),
                    "%s over the page of a file: a spot ink of its own is left out below it",
                    "stretch of text is blended",
                    "stretches of text are blended");
        }

        private static boolean takesAway(Item.GlyphRun run, MediumScene scene) {
            return run.paint().overprints()
                    && Overprint.takenAway(run.paint().color(), List.of(), scene.condition())
                            .isPresent();
        }

        private static boolean isOverFile(Item.GlyphRun run, MediumScene scene) {
            return scene.below(run).stream()
                    .anyMatch(item ->
                            item instanceof Item.Filled fill
                                    && fill.paint() instanceof AreaPaint.Picture picture
                                    && picture.asset().content() instanceof Asset.Document
                                    && fill.touches(run.bounds()));
        }

        private static boolean isBeyond(Item.GlyphRun run, PageScene scene) {
            Rect bounds = run.bounds();
            Rect trim = scene.boxes().trim();
            return scene.boxes().side() == Side.LEFT
                    ? bounds.right() > trim.right()
                    : bounds.x() < trim.x();
        }

        /** ISO 14289-1, 7.3: what is no decoration says something in words. */
        private void alternatives() {
            if (!settings.profile().claims(Claim.PDF_UA_1)) {
                return;
            }
            note(
                    count(Item.FrontFill.class, fill -> !fill.isImported() && isSilent(fill)),
                    "%s nothing in words: write what it shows, or say that it is decoration",
                    "picture says",
                    "pictures say",
                    Optional.of(Claim.PDF_UA_1));
            note(
                    count(Item.FrontFill.class, fill -> fill.isImported() && isSilent(fill)),
                    "%s no structure here: export the files themselves, which keep theirs",
                    "page of a file has",
                    "pages of files have",
                    Optional.of(Claim.PDF_UA_1));
        }

        private static boolean isSilent(Item.FrontFill fill) {
            return fill.source().isRead()
                    && !(fill.origin() instanceof Origin.FromParent)
                    && Structure.alternative(fill).isEmpty();
        }

        /** ISO 19005-2, 6.2.11.8: a font has a shape for all that is written in it. */
        private void missing() {
            Optional<Claim> breaks =
                    settings.profile().claims(Claim.PDF_A_2A)
                            ? Optional.of(Claim.PDF_A_2A)
                            : Optional.empty();
            note(
                    perPage(scene ->
                            scene.text().stream().filter(run -> !run.missing().isEmpty()).count()),
                    "%s characters that their fonts have no shape for",
                    "stretch of text has",
                    "stretches of text have",
                    breaks);
        }

        private <T extends Item> Map<Integer, Integer> count(Class<T> kind, Predicate<T> which) {
            return perPage(scene ->
                    scene.items().stream()
                            .filter(kind::isInstance)
                            .map(kind::cast)
                            .filter(which)
                            .count());
        }

        /** How many each page has that has any, by its number. */
        private Map<Integer, Integer> perPage(ToLongFunction<PageScene> count) {
            Map<Integer, Integer> found = new LinkedHashMap<>();
            for (PageScene scene : scenes) {
                int here = Math.toIntExact(count.applyAsLong(scene));
                if (here > 0) {
                    found.put(number(scene), here);
                }
            }
            return found;
        }

        private int number(PageScene scene) {
            return publication.pages().position(scene.page()).orElse(-1) + 1;
        }

        private void note(Map<Integer, Integer> found, String text, String one, String many) {
            note(found, text, one, many, Optional.empty());
        }

        private void note(
                Map<Integer, Integer> found,
                String text,
                String one,
                String many,
                Optional<Claim> breaks) {
            int count = found.values().stream().mapToInt(Integer::intValue).sum();
            if (count > 0) {
                String counted = count + " " + (count == 1 ? one : many);
                losses.add(
                        new Loss(
                                text.formatted(counted) + ".",
                                breaks,
                                List.copyOf(found.keySet())));
            }
        }
    }
}
