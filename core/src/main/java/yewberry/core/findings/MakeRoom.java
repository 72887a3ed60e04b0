package yewberry.core.findings;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Stream;
import yewberry.core.Cancellation;
import yewberry.core.Refused;
import yewberry.core.edit.Edit;
import yewberry.core.edit.Editing;
import yewberry.core.edit.FrameEdit;
import yewberry.core.edit.PageEdit;
import yewberry.core.flow.Flows;
import yewberry.core.publication.Box;
import yewberry.core.publication.Length;
import yewberry.core.publication.Margins;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Page;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Story;
import yewberry.core.publication.TextFrame;
import yewberry.core.scene.PageBoxes;
import yewberry.core.scene.Rect;
import yewberry.core.text.StoryPlace;

/** Finds how many pages a story needs more, and the step that adds them. */
public final class MakeRoom {
    /** More would come of a mistake. */
    public static final int MOST = 1_000;

    private final Publication publication;
    private final Story story;
    private final Flows flows;
    private final Supplier<UUID> ids;

    private MakeRoom(Publication publication, Story story, Flows flows, Supplier<UUID> ids) {
        this.publication = publication;
        this.story = story;
        this.flows = flows;
        this.ids = ids;
    }

    /**
     * Pages with a frame as the last one of the story has it, behind that one's, as many as its
     * text needs.
     *
     * @param ids where those of new pages and frames come from
     * @throws Refused if it has room already, is in no frame of a page, or finds none in a thousand
     */
    public static Offer of(Publication publication, UUID story, Flows flows, Supplier<UUID> ids) {
        return new MakeRoom(publication, publication.story(story), flows, ids).offer();
    }

    /**
     * The same for a story that waits to be placed: its first frame is on this page, within the
     * margins where the page has no frame of its own yet.
     *
     * @throws Refused if it has a frame already
     */
    public static Offer place(
            Publication publication, UUID story, UUID page, Flows flows, Supplier<UUID> ids) {
        if (!publication.story(story).chain().isEmpty()) {
            throw new Refused("This text is placed already.");
        }
        Page on = publication.page(page);
        FrameEdit first =
                new FrameEdit.PlaceStory(
                        story,
                        on.asOwner(),
                        ids.get(),
                        Sides.BOTH,
                        on.layer().frames().isEmpty()
                                ? withinMargins(publication.setup(on), publication.indexOf(page))
                                : beside(publication));
        Publication placed = Editing.edit(publication, first).publication();
        MakeRoom rest = new MakeRoom(placed, placed.story(story), flows, ids);
        if (rest.fits(placed)) {
            return new Offer("Placed on this page", first);
        }
        List<Edit> more;
        try {
            more = rest.edits();
        } catch (Refused noRoom) {
            return new Offer("Placed on this page; what finds no room is marked", first);
        }
        int pages = more.size() / 2;
        return new Offer(
                pages == 1
                        ? "Placed on this page and a new one"
                        : "Placed on this page and %d new ones".formatted(pages),
                new Edit.Several(Stream.concat(Stream.of(first), more.stream()).toList()));
    }

    /** Not over what is there; it is moved from there by hand. */
    private static Box beside(Publication in) {
        Margins margins = in.setup().margins();
        return new Box(margins.inside(), margins.top(), Length.mm(80), Length.mm(120));
    }

    private Offer offer() {
        List<Edit> edits = edits();
        if (edits.isEmpty()) {
            throw new Refused("All of this text has room already.");
        }
        int pages = edits.size() / 2;
        return new Offer(
                pages == 1
                        ? "Add a page for the rest"
                        : "Add %d pages for the rest".formatted(pages),
                new Edit.Several(edits));
    }

    /** Two for each page. */
    private List<Edit> edits() {
        if (story.chain().isEmpty()
                || !(story.chain().getLast().owner() instanceof Owner.OnPage(UUID last))) {
            throw new Refused(
                    "Pages are added for text that runs through frames of pages; make the frame"
                            + " on the parent larger instead.");
        }
        List<Edit> edits = new ArrayList<>();
        Publication now = publication;
        UUID page = last;
        UUID frame = story.chain().getLast().frame();
        while (!fits(now)) {
            Cancellation.check();
            StoryPlace end = end(now);
            UUID added = ids.get();
            UUID next = ids.get();
            List<Edit> more = more(now, page, frame, added, next);
            now = Editing.edit(now, new Edit.Several(more)).publication();
            edits.addAll(more);
            page = added;
            frame = next;
            if (end(now).equals(end) || edits.size() / more.size() >= MOST) {
                throw new Refused(
                        "Not even the next line fits a frame like the last one; make that larger"
                                + " first, or its text smaller.");
            }
        }
        return List.copyOf(edits);
    }

    private StoryPlace end(Publication in) {
        return flows.places(story.id(), in).getLast();
    }

    private boolean fits(Publication in) {
        return end(in).paragraph() == story.paragraphs().size();
    }

    private List<Edit> more(Publication now, UUID page, UUID frame, UUID added, UUID next) {
        Page before = now.page(page);
        TextFrame like = now.frame(new Story.Link(before.asOwner(), frame));
        return List.of(
                new PageEdit.AddPages(List.of(added), Optional.of(page), before.parent()),
                new FrameEdit.ContinueFrame(
                        frame,
                        new Owner.OnPage(added),
                        next,
                        Sides.BOTH,
                        like.band().isPresent()
                                ? withinMargins(now.setup(), now.indexOf(before.id()) + 1)
                                : across(now, before, like.box())));
    }

    /** A band is no place for what goes on; the page after it has all its room. */
    private static Box withinMargins(Setup setup, int index) {
        Rect type = PageBoxes.of(setup, setup.sideOf(index)).type();
        return new Box(
                whole(Length.pt(type.x())),
                whole(Length.pt(type.y())),
                whole(Length.pt(type.width())),
                whole(Length.pt(type.height())));
    }

    /** As far from the spine on the next page, where pages face. */
    private Box across(Publication now, Page before, Box box) {
        if (!now.setup().facing()) {
            return box;
        }
        double x =
                now.setup(before).trim().width().millimetres()
                        - box.x().millimetres()
                        - box.width().millimetres();
        return new Box(whole(Length.mm(x)), box.y(), box.width(), box.height());
    }

    /** To a thousandth of a millimetre. */
    private static Length whole(Length length) {
        return Length.mm(Math.rint(length.millimetres() * 1000) / 1000);
    }
}
