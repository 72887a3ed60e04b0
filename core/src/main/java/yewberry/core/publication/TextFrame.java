package yewberry.core.publication;

import java.util.List;
import java.util.UUID;

/** A rectangle that text runs in. On a parent's left side, x counts from the right edge. */
public record TextFrame(UUID id, Sides sides, Box box, List<Paragraph> paragraphs) {
    public TextFrame {
        paragraphs = List.copyOf(paragraphs);
    }

    public TextFrame withParagraphs(List<Paragraph> changed) {
        return new TextFrame(id, sides, box, changed);
    }
}
