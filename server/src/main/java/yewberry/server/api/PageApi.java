package yewberry.server.api;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import yewberry.core.Refused;
import yewberry.core.color.View;
import yewberry.core.color.Viewing;
import yewberry.core.findings.Checked;
import yewberry.core.findings.Hiding;
import yewberry.core.legibility.Demand;
import yewberry.core.legibility.FailingMarks;
import yewberry.core.picture.SceneStamp;
import yewberry.core.picture.SmallPicture;
import yewberry.core.picture.SvgPicture;
import yewberry.core.publication.AsItCame;
import yewberry.core.publication.Length;
import yewberry.core.publication.Page;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Spreads;
import yewberry.core.scene.PageScene;
import yewberry.core.scene.Rect;
import yewberry.core.strata.Strata;
import yewberry.server.publications.FindingLedger;
import yewberry.server.publications.Missing;
import yewberry.server.publications.OpenPublication;
import yewberry.server.publications.PageCheck;
import yewberry.server.publications.Publications;
import yewberry.server.view.AnsweredFindings;
import yewberry.server.view.ChosenPages;
import yewberry.server.view.CommonLayer;
import yewberry.server.view.Extent;
import yewberry.server.view.FindingList;
import yewberry.server.view.FindingView;
import yewberry.server.view.HidingList;
import yewberry.server.view.ItemView;
import yewberry.server.view.PageDetail;
import yewberry.server.view.PictureAddresses;
import yewberry.server.view.SpreadView;
import yewberry.server.view.Stamps;
import yewberry.server.view.StratumView;
import yewberry.server.view.ViewingTable;
import yewberry.server.view.WrittenRun;

/** What is read from scenes: pictures, strata, items, findings and mends. */
@RestController
@RequestMapping("/api/publications/{id}")
class PageApi {
    /** Sharp on the shelf on fine screens, too. */
    private static final int COVER_PPI = 72;

    private static final MediaType SVG = MediaType.parseMediaType("image/svg+xml");

    private static final Duration KEPT = Duration.ofDays(365);
    private static final int MOST_STAMPS = 200;

    /** A request checks pages for so long, then it answers with what it has. */
    private static final Duration CHECKING = Duration.ofMillis(1500);

    /** So many findings are listed; nobody reads more, and a browser could not hold them all. */
    private static final int MOST = 10_000;

    private final Publications publications;
    private final PageCheck check;
    private final FindingLedger ledger;
    private final AnsweredFindings answered = new AnsweredFindings();

    PageApi(Publications publications, PageCheck check, FindingLedger ledger) {
        this.publications = publications;
        this.check = check;
        this.ledger = ledger;
    }

    @GetMapping("/pages/{page}")
    PageDetail page(@PathVariable UUID id, @PathVariable UUID page) {
        Publication publication = publications.get(id).state().publication();
        int index = indexOf(publication, page);
        return new PageDetail(page, index + 1, publication.pages().get(index).layer());
    }

    /**
     * What lies on some pages, to be changed together.
     *
     * @throws Refused if no page is named, or one twice
     */
    @PostMapping("/layers")
    CommonLayer layers(@PathVariable UUID id, @RequestBody ChosenPages chosen) {
        Publication publication = publications.get(id).state().publication();
        List<UUID> pages = chosen.pages();
        if (pages.isEmpty() || Set.copyOf(pages).size() < pages.size()) {
            throw new Refused("Name the pages to look at, each once.");
        }
        List<Page> there =
                pages.stream()
                        .map(page -> publication.pages().get(indexOf(publication, page)))
                        .toList();
        return CommonLayer.of(publication, there);
    }

    /**
     * What of some pages would hide a background laid behind them; as many of them as can be looked
     * at in a second and a half, from the first.
     */
    @PostMapping("/hiding")
    HidingList hiding(@PathVariable UUID id, @RequestBody ChosenPages chosen) {
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        long until = System.nanoTime() + CHECKING.toNanos();
        List<Hiding> found = new ArrayList<>();
        int read = 0;
        for (UUID page : chosen.pages()) {
            if (read > 0 && System.nanoTime() > until) {
                break;
            }
            PageScene scene =
                    open.composer(publication).compose(publication, indexOf(publication, page));
            Hiding.of(scene, publication).ifPresent(found::add);
            read++;
        }
        return new HidingList(found, read);
    }

    @GetMapping("/spreads/{index}")
    SpreadView spread(@PathVariable UUID id, @PathVariable int index) {
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        return SpreadView.of(index, scenes(open, publication, index), publication);
    }

    /**
     * @param ppi how fine what is mixed is painted, in pixels per inch, 18 to 288
     * @param before whether pages of files are shown as they came
     */
    @GetMapping(path = "/spreads/{index}/picture", produces = "image/svg+xml")
    ResponseEntity<byte[]> spreadPicture(
            @PathVariable UUID id,
            @PathVariable int index,
            @RequestParam(defaultValue = "false") boolean guides,
            @RequestParam(defaultValue = "AS_DESIGNED") Viewing viewing,
            @RequestParam(defaultValue = "" + SvgPicture.USUAL_PPI) int ppi,
            @RequestParam(defaultValue = "false") boolean before) {
        OpenPublication open = publications.get(id);
        Publication now = open.state().publication();
        Publication publication = before ? asItCame(now, index) : now;
        View view = open.view(publication, viewing);
        return picture(
                SvgPicture.spread(
                        scenes(open, publication, index),
                        view,
                        guides,
                        PictureAddresses.of(publication, view),
                        ppi));
    }

    @GetMapping(path = "/pages/{page}/picture", produces = "image/svg+xml")
    ResponseEntity<byte[]> pagePicture(
            @PathVariable UUID id,
            @PathVariable UUID page,
            @RequestParam(defaultValue = "false") boolean guides,
            @RequestParam(defaultValue = "AS_DESIGNED") Viewing viewing) {
        return picture(SvgPicture.page(scene(id, page), view(id, viewing), guides));
    }

    /** The first page, trimmed, as a small PNG file. */
    @GetMapping(path = "/cover", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> cover(@PathVariable UUID id) {
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        PageScene first = open.composer(publication).compose(publication, 0);
        return ResponseEntity.ok()
                .cacheControl(CacheControl.noCache())
                .body(
                        SmallPicture.trimmed(
                                first, open.view(publication, Viewing.AS_DESIGNED), COVER_PPI));
    }

    /**
     * A page out to its bleed as a small PNG file, for overviews of many.
     *
     * @param ppi pixels per inch, 9 to 144
     * @param stamp of {@code stamps}; with the newest one the picture may be kept for good
     */
    @GetMapping(path = "/pages/{page}/small", produces = MediaType.IMAGE_PNG_VALUE)
    ResponseEntity<byte[]> small(
            @PathVariable UUID id,
            @PathVariable UUID page,
            @RequestParam(defaultValue = "AS_DESIGNED") Viewing viewing,
            @RequestParam(defaultValue = "54") int ppi,
            @RequestParam(defaultValue = "") String stamp) {
        if (ppi < 9 || ppi > 144) {
            throw new Refused("A small picture of a page has 9 to 144 pixels per inch.");
        }
        PageScene scene = scene(id, page);
        View view = view(id, viewing);
        CacheControl kept =
                stamp.equals(SceneStamp.of(scene, view))
                        ? CacheControl.maxAge(KEPT).immutable()
                        : CacheControl.maxAge(0, TimeUnit.SECONDS);
        return ResponseEntity.ok()
                .cacheControl(kept.cachePrivate())
                .body(SmallPicture.of(scene, view, ppi));
    }

    /**
     * @param from the position of the first page, from 0
     * @param to the position behind the last; at most 200 are given
     */
    @GetMapping("/stamps")
    Stamps stamps(
            @PathVariable UUID id,
            @RequestParam int from,
            @RequestParam int to,
            @RequestParam(defaultValue = "AS_DESIGNED") Viewing viewing) {
        if (from < 0 || to < from || to - from > MOST_STAMPS) {
            throw new Refused("Stamps are given of up to 200 pages at once, from a position of 0.");
        }
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        View view = open.view(publication, viewing);
        Map<UUID, String> stamps = new LinkedHashMap<>();
        for (int at = from; at < Math.min(to, publication.pages().size()); at++) {
            PageScene scene = open.composer(publication).compose(publication, at);
            stamps.put(scene.page(), SceneStamp.of(scene, view));
        }
        return new Stamps(stamps);
    }

    /**
     * A part of a page, in millimetres from the top left corner of the trim.
     *
     * @param failing a run of text; where it does not stand out is marked
     * @throws Refused if the part is empty or larger than any page
     */
    @GetMapping(path = "/pages/{page}/region", produces = "image/svg+xml")
    ResponseEntity<byte[]> region(
            @PathVariable UUID id,
            @PathVariable UUID page,
            @RequestParam double x,
            @RequestParam double y,
            @RequestParam double width,
            @RequestParam double height,
            @RequestParam Optional<UUID> failing,
            @RequestParam(defaultValue = "AS_DESIGNED") Viewing viewing) {
        Rect part = new Extent(x, y, width, height).rect();
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        View view = open.view(publication, viewing);
        PageScene scene =
                open.composer(publication).compose(publication, indexOf(publication, page));
        return picture(
                SvgPicture.region(
                        scene,
                        part,
                        view,
                        failing.flatMap(run ->
                                        FailingMarks.of(
                                                scene,
                                                view,
                                                Demand.of(publication.setup()),
                                                run,
                                                part))
                                .map(marks ->
                                        new SvgPicture.Marks(marks.image(), marks.region()))));
    }

    /** Everything painted through a point, in millimetres from the top left corner of the trim. */
    @GetMapping("/pages/{page}/strata")
    StratumView.PointStrata strata(
            @PathVariable UUID id,
            @PathVariable UUID page,
            @RequestParam double x,
            @RequestParam double y,
            @RequestParam(defaultValue = "AS_DESIGNED") Viewing viewing) {
        Publication publication = publications.get(id).state().publication();
        PageScene scene = scene(id, page);
        View view = view(id, viewing);
        return StratumView.PointStrata.of(
                page,
                x,
                y,
                Strata.at(scene, points(x), points(y), view),
                publication,
                view.condition());
    }

    /** The stops of a walk through the page, in reading order. */
    @GetMapping("/pages/{page}/items")
    List<ItemView> items(@PathVariable UUID id, @PathVariable UUID page) {
        return ItemView.of(scene(id, page));
    }

    /**
     * What is wrong, page by page. What was found is remembered; where it takes long to check the
     * other pages, it comes in parts: ask again until all are checked.
     *
     * @param viewing that text is judged under; without it the verdict is as designed, on all that
     *     the publication goes to
     * @param first the position of the page that is checked first, from 0
     * @param after the revision of a list that was read before, and {@code mark} the mark that it
     *     has: of pages where nothing differs from it the findings are not listed again
     */
    @GetMapping("/findings")
    FindingList findings(
            @PathVariable UUID id,
            @RequestParam Optional<Viewing> viewing,
            @RequestParam(defaultValue = "0") int first,
            @RequestParam Optional<Long> after,
            @RequestParam Optional<UUID> mark) {
        OpenPublication open = publications.get(id);
        OpenPublication.State state = open.state();
        Publication publication = state.publication();
        Map<Integer, Checked> found =
                check.check(
                        open,
                        publication,
                        open.check(publication, viewing),
                        first,
                        CHECKING.toNanos());
        FindingList list =
                FindingList.of(state.revision(), publication, found, FindingView::listed, MOST);
        FindingList whole =
                list.isWhole() && viewing.isEmpty()
                        ? list.withMended(
                                ledger.note(publication, state.revision(), list.known()),
                                publication)
                        : list;
        return answered.sent(
                id,
                viewing,
                whole,
                after.flatMap(
                        revision -> mark.map(each -> new AnsweredFindings.Before(revision, each))));
    }

    /**
     * Text that fails under some viewing: of the pages that are checked by now, the worst first.
     *
     * @param first the position of the page that is checked first, from 0
     */
    @GetMapping("/legibility")
    ViewingTable legibility(@PathVariable UUID id, @RequestParam(defaultValue = "0") int first) {
        OpenPublication open = publications.get(id);
        OpenPublication.State state = open.state();
        Publication publication = state.publication();
        return ViewingTable.of(
                state.revision(),
                publication,
                open.press(publication),
                check.check(
                        open, publication, open.byViewing(publication), first, CHECKING.toNanos()));
    }

    /**
     * Some text as it is written.
     *
     * @throws Missing if it is gone
     */
    @GetMapping("/runs/{run}")
    WrittenRun run(@PathVariable UUID id, @PathVariable UUID run) {
        return publications
                .get(id)
                .state()
                .publication()
                .findRun(run)
                .map(each -> new WrittenRun(each.id(), each.text()))
                .orElseThrow(() -> new Missing("text"));
    }

    private View view(UUID id, Viewing viewing) {
        OpenPublication open = publications.get(id);
        return open.view(open.state().publication(), viewing);
    }

    private PageScene scene(UUID id, UUID page) {
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        return open.composer(publication).compose(publication, indexOf(publication, page));
    }

    static int indexOf(Publication publication, UUID page) {
        return publication.pages().position(page).orElseThrow(() -> new Missing("page"));
    }

    private static List<PageScene> scenes(
            OpenPublication open, Publication publication, int spread) {
        int last = Spreads.indexOf(publication, publication.pages().size() - 1);
        if (spread < 0 || spread > last) {
            throw new Missing("spread");
        }
        return Spreads.at(publication, spread).stream()
                .map(index -> open.composer(publication).compose(publication, index))
                .toList();
    }

    private static Publication asItCame(Publication publication, int spread) {
        return AsItCame.of(
                publication,
                Spreads.at(publication, spread).stream()
                        .map(index -> publication.pages().get(index).id())
                        .toList());
    }

    private static double points(double millimetres) {
        return Length.mm(millimetres).points();
    }

    private static ResponseEntity<byte[]> picture(String svg) {
        return ResponseEntity.ok()
                .contentType(SVG)
                .cacheControl(CacheControl.maxAge(0, TimeUnit.SECONDS).cachePrivate())
                .body(svg.getBytes(StandardCharsets.UTF_8));
    }
}
