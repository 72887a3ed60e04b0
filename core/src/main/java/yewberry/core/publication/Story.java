package yewberry.core.publication;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/**
 * Text that runs from frame to frame. Without a frame it waits to be placed.
 *
 * @param chain the frames it runs through, in order
 * @param language of its words; nothing means that of the publication
 */
public record Story(
        UUID id, List<Link> chain, Optional<Language> language, Elements<Paragraph> paragraphs)
        implements Element {
    public Story {
        chain = List.copyOf(chain);
    }

    public Story(UUID id, List<Link> chain, Collection<Paragraph> paragraphs) {
        this(id, chain, Optional.empty(), Elements.of(paragraphs));
    }

    /** One frame of a chain. */
    public record Link(Owner owner, UUID frame) {}

    public Story withChain(List<Link> changed) {
        return new Story(id, changed, language, paragraphs);
    }

    public Story withLanguage(Optional<Language> changed) {
        return new Story(id, chain, changed, paragraphs);
    }

    public Story withParagraphs(Collection<Paragraph> changed) {
        return new Story(id, chain, language, Elements.of(changed));
    }

    public Story withParagraph(UUID paragraph, UnaryOperator<Paragraph> change) {
        return withParagraphs(paragraphs.changed(paragraph, change));
    }

    /** Where a frame stands in the chain, from 0; -1 if it does not. */
    public int place(UUID frame) {
        return chain.stream().map(Link::frame).toList().indexOf(frame);
    }

    /** All of it, a paragraph a line. */
    public String text() {
        return paragraphs.stream().map(Paragraph::text).collect(Collectors.joining("\n"));
    }

    /** Whether nothing is written in it. */
    public boolean isBlank() {
        return paragraphs.stream().allMatch(each -> each.text().isBlank());
    }

    /** None: its paragraphs have some of their own, and frames refer to it. */
    @Override
    public List<Reference> references() {
        return List.of();
    }

    /** With its paragraphs. */
    @Override
    public Story withReference(UUID old, UUID replacement) {
        Elements<Paragraph> changed =
                paragraphs.mapped(each -> each.withReference(old, replacement));
        return changed == paragraphs ? this : withParagraphs(changed);
    }
}
