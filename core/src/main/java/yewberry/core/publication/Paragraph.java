package yewberry.core.publication;

import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;

/** A paragraph: its look and its runs, in order. */
public record Paragraph(UUID id, UUID look, List<Run> runs) {
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

    Paragraph withReference(UUID old, UUID replacement) {
        return new Paragraph(
                id,
                look.equals(old) ? replacement : look,
                runs.stream()
                        .map(run ->
                                run.withColor(
                                        run.color()
                                                .map(color ->
                                                        color.swatch().equals(old)
                                                                ? color.withSwatch(replacement)
                                                                : color)))
                        .toList());
    }
}
