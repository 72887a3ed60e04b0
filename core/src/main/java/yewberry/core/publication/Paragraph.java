package yewberry.core.publication;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;

/** A paragraph: its look and its runs, in order. */
public record Paragraph(UUID id, UUID look, List<Run> runs) implements Element {
    public Paragraph {
        runs = List.copyOf(runs);
    }

    public String text() {
        return runs.stream().map(Run::text).collect(Collectors.joining());
    }

    public Paragraph withLook(UUID changed) {
        return new Paragraph(id, changed, runs);
    }

    public Paragraph withRuns(List<Run> changed) {
        return new Paragraph(id, look, changed);
    }

    @Override
    public List<Reference> references() {
        List<Reference> references = new ArrayList<>();
        references.add(Reference.look(look));
        for (Run run : runs) {
            run.color().ifPresent(color -> references.add(Reference.swatch(color.swatch())));
            run.look().ifPresent(each -> references.add(Reference.characterLook(each)));
        }
        return references;
    }

    @Override
    public Paragraph withReference(UUID old, UUID replacement) {
        if (references().stream().noneMatch(each -> each.id().equals(old))) {
            return this;
        }
        return new Paragraph(
                id,
                look.equals(old) ? replacement : look,
                runs.stream().map(run -> run.withReference(old, replacement)).toList());
    }
}
