package yewberry.server.demo;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import yewberry.core.publication.Box;
import yewberry.core.publication.Carrier;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Story;
import yewberry.core.publication.TextFrame;

/** What is written into the frames of a demo as they are made. */
final class DemoStories {
    private final Map<UUID, List<Paragraph>> written = new HashMap<>();

    /** A frame that a story begins in. */
    TextFrame frame(UUID frame, Box box, UUID story, List<Paragraph> text) {
        written.put(story, text);
        return new TextFrame(frame, Sides.BOTH, box, story);
    }

    void write(UUID story, List<Paragraph> text) {
        written.put(story, text);
    }

    /** What was written into a story that is no more, because its frame goes on from another. */
    List<Paragraph> take(UUID story) {
        return written.remove(story);
    }

    List<Paragraph> text(UUID story) {
        return written.get(story);
    }

    /** The publication with the stories of its frames; each chain goes by the order of pages. */
    Publication in(Publication publication) {
        Map<UUID, List<Story.Link>> chains = new HashMap<>();
        List<UUID> order = new ArrayList<>();
        for (Carrier carrier : publication.carriers().toList()) {
            for (TextFrame frame : carrier.layer().textFrames()) {
                chains.computeIfAbsent(
                                frame.story(),
                                story -> {
                                    order.add(story);
                                    return new ArrayList<>();
                                })
                        .add(new Story.Link(carrier.asOwner(), frame.id()));
            }
        }
        return publication.withStories(
                order.stream()
                        .map(story -> new Story(story, chains.get(story), written.get(story)))
                        .toList());
    }
}
