package yewberry.core.flow;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import yewberry.core.publication.Box;
import yewberry.core.publication.Field;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Publication;
import yewberry.core.publication.RunningFields;
import yewberry.core.publication.Side;
import yewberry.core.publication.Story;
import yewberry.core.publication.TextFrame;
import yewberry.core.text.StoryPlace;

/** The stories of publications as they run through their frames. Thread-safe. */
public final class Flows {
    /** So many states of publications are followed at once; of others it is found out again. */
    private static final int STATES = 4;

    private final FlowMemory memory;

    /** For no longer than somebody else has the publication. */
    private final Cache<Publication, State> flows =
            Caffeine.newBuilder().weakKeys().maximumSize(STATES).executor(Runnable::run).build();

    /** The fields of stories, by the very objects. */
    private final Cache<Story, Set<Field>> fields =
            Caffeine.newBuilder().weakKeys().executor(Runnable::run).build();

    /** What is known of one state of a publication. */
    private static final class State {
        private final Map<Way, Flow> flows = new ConcurrentHashMap<>();
        private volatile String[] parts;

        /** The name of the part that each page is in. */
        String part(int page, Publication in) {
            if (parts == null) {
                String[] names = new String[in.pages().size()];
                String last = "";
                for (int i = 0; i < names.length; i++) {
                    last = in.pages().get(i).part().orElse(last);
                    names[i] = last;
                }
                parts = names;
            }
            return parts[page];
        }
    }

    /** What stands before each paragraph of a story; empty for nothing. */
    public static List<String> marks(Story story, Publication in) {
        return AllLooks.of(in, story).marks(story);
    }

    /**
     * A story as it runs on a page, or on any.
     *
     * @param page what that page decides: of frames that are seen on several
     */
    private record Way(UUID story, Flow.OnPage page) {}

    public Flows(FlowMemory memory) {
        this.memory = memory;
    }

    /**
     * A frame with what runs through it; the same object as long as that is the same.
     *
     * @param page that it is seen on
     * @param box where it lies there, if the page decides that
     */
    public FilledFrame through(TextFrame frame, Publication in, UUID page, Optional<Box> box) {
        Set<Field> used = fields.get(in.story(frame.story()), Field::in);
        if (used.isEmpty() && box.isEmpty()) {
            return flow(frame.story(), in).through(frame.id());
        }
        return flow(
                        frame.story(),
                        in,
                        used,
                        in.pages().position(page).orElseThrow(),
                        box.map(each -> new Flow.Place(frame.id(), each)))
                .through(frame.id());
    }

    private PageFields fields(Set<Field> used, Publication in, int index) {
        if (used.isEmpty()) {
            return PageFields.NONE;
        }
        RunningFields running = in.setup().running();
        int number = index + 1;
        int count = in.pages().size();
        Optional<Imported> file = in.pages().get(index).imported();
        return PageFields.of(
                used,
                field ->
                        switch (field) {
                            case PAGE -> Integer.toString(number);
                            case PAGES -> Integer.toString(count);
                            case PART -> state(in).part(index, in);
                            case PUBLICATION -> in.name();
                            case FILE -> file.map(each -> in.asset(each.asset()).name()).orElse("");
                            case FILE_PAGE ->
                                    Integer.toString(file.map(Imported::number).orElse(number));
                            case FILE_PAGES ->
                                    Integer.toString(
                                            file.map(each -> each.pagesOf(in.asset(each.asset())))
                                                    .orElse(count));
                            case RUNNING_NUMBER -> running.number(counted(index, in));
                            case DATE -> running.date(in.setup().language());
                        });
    }

    /** The place of a page among those that running numbers count together, from 0. */
    private static int counted(int index, Publication in) {
        if (!in.setup().running().restarts()) {
            return index;
        }
        Optional<UUID> file = in.pages().get(index).imported().map(Imported::asset);
        int begins = index;
        while (begins > 0
                && in.pages().get(begins - 1).imported().map(Imported::asset).equals(file)) {
            begins--;
        }
        return index - begins;
    }

    /**
     * Where each frame of a story begins in its text, and last where that ends or finds no more
     * room.
     */
    public List<StoryPlace> places(UUID story, Publication in) {
        return flow(story, in).places();
    }

    /**
     * The same as it runs on a page that decides where a frame lies.
     *
     * @param page its position, from 0
     * @param box where the frame lies there
     */
    public List<StoryPlace> places(UUID story, Publication in, int page, UUID frame, Box box) {
        return flow(
                        story,
                        in,
                        fields.get(in.story(story), Field::in),
                        page,
                        Optional.of(new Flow.Place(frame, box)))
                .places();
    }

    /**
     * Where a character of a story stands.
     *
     * @return nothing where it finds no room, and in a paragraph with nothing in it
     */
    public Optional<CharacterPlace> place(
            UUID story, UUID paragraph, int character, Publication in) {
        return flow(story, in).place(paragraph, character, frame -> side(frame, in));
    }

    /** What stands before each paragraph of a story, as its lists count; empty for nothing. */
    public List<String> marks(UUID story, Publication in) {
        return flow(story, in).marks();
    }

    /** Those of parents as they stand on the right. */
    private static Side side(Story.Link frame, Publication in) {
        return frame.owner() instanceof Owner.OnPage(UUID page)
                ? in.setup().sideOf(in.pages().position(page).orElseThrow())
                : Side.RIGHT;
    }

    /** The place of a character in a frame. */
    public record CharacterPlace(Story.Link frame, TextPosition position) {}

    private State state(Publication of) {
        return flows.get(of, each -> new State());
    }

    /** As it reads on the first page that shows it; that decides where its frames begin. */
    private Flow flow(UUID story, Publication in) {
        Set<Field> used = fields.get(in.story(story), Field::in);
        return flow(
                story,
                in,
                used,
                used.isEmpty() ? 0 : firstPage(in.story(story), in),
                Optional.empty());
    }

    /** That shows a frame of a parent first. */
    private static int firstPage(Story story, Publication in) {
        for (Story.Link link : story.chain()) {
            if (link.owner() instanceof Owner.OnParent(UUID parent)) {
                for (int i = 0; i < in.pages().size(); i++) {
                    if (in.pages().get(i).parent().equals(Optional.of(parent))) {
                        return i;
                    }
                }
            }
        }
        return 0;
    }

    /**
     * @param page that frames of parents are seen on
     */
    private Flow flow(
            UUID story, Publication in, Set<Field> used, int page, Optional<Flow.Place> place) {
        List<Story.Link> chain = in.story(story).chain();
        boolean isOnPages = chain.stream().allMatch(link -> link.owner() instanceof Owner.OnPage);
        Flow.OnPage seen =
                new Flow.OnPage(isOnPages ? PageFields.NONE : fields(used, in, page), place);
        return state(in)
                .flows
                .computeIfAbsent(
                        new Way(story, seen),
                        way ->
                                new Flow(
                                        in.story(story),
                                        in,
                                        chain.stream()
                                                .map(link -> on(link.owner(), seen, in, used))
                                                .toList(),
                                        memory));
    }

    private Flow.OnPage on(Owner frame, Flow.OnPage seen, Publication in, Set<Field> used) {
        return frame instanceof Owner.OnPage(UUID page) && !used.isEmpty()
                ? new Flow.OnPage(
                        fields(used, in, in.pages().position(page).orElseThrow()), seen.place())
                : seen;
    }
}
