package yewberry.core.flow;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Publication;
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
    private final Cache<Publication, Map<UUID, Flow>> flows =
            Caffeine.newBuilder().weakKeys().maximumSize(STATES).executor(Runnable::run).build();

    public Flows(FlowMemory memory) {
        this.memory = memory;
    }

    /** A frame with what runs through it; the same object as long as that is the same. */
    public FilledFrame through(TextFrame frame, Publication in) {
        return flow(frame.story(), in).through(frame.id());
    }

    /**
     * Where each frame of a story begins in its text, and last where that ends or finds no more
     * room.
     */
    public List<StoryPlace> places(UUID story, Publication in) {
        return flow(story, in).places();
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

    private Flow flow(UUID story, Publication in) {
        return flows.get(in, each -> new ConcurrentHashMap<>())
                .computeIfAbsent(story, id -> new Flow(in.story(id), in, memory));
    }
}
