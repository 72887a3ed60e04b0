package yewberry.core.publication;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;

/** A rectangle that text runs in. On a parent's left side, x counts from the right edge. */
public record TextFrame(UUID id, Sides sides, Box box, List<Paragraph> paragraphs)
        implements Element {
    public TextFrame {
        paragraphs = List.copyOf(paragraphs);
    }

    public TextFrame withParagraphs(List<Paragraph> changed) {
        return new TextFrame(id, sides, box, changed);
    }

    @Override
    public List<Reference> references() {
        List<Reference> references = new ArrayList<>();
        for (Paragraph paragraph : paragraphs) {
            references.add(Reference.look(paragraph.look()));
            for (Run run : paragraph.runs()) {
                run.color().ifPresent(color -> references.add(Reference.swatch(color.swatch())));
            }
        }
        return references;
    }

    @Override
    public TextFrame withReference(UUID old, UUID replacement) {
        if (references().stream().noneMatch(each -> each.id().equals(old))) {
            return this;
        }
        return withParagraphs(
                paragraphs.stream()
                        .map(paragraph -> paragraph.withReference(old, replacement))
                        .toList());
    }
}
