package yewberry.core.publication;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import yewberry.core.Refused;

/**
 * A paragraph: its look and its runs, in order.
 *
 * @param number that it has in its list; nothing means the one that comes next
 * @param panel what lies behind it and around it; nothing means what its look says
 * @param local how else it differs from its look
 * @throws Refused if the number is not within 1 to 9999
 */
public record Paragraph(
        UUID id,
        UUID look,
        List<Run> runs,
        Optional<Integer> number,
        Optional<Panel> panel,
        Optional<LocalSetting> local)
        implements Element {
    private static final int MOST = 9999;

    public Paragraph {
        runs = List.copyOf(runs);
        local = local.filter(each -> !each.setsNothing());
        if (number.filter(each -> each < 1 || each > MOST).isPresent()) {
            throw new Refused("Lists are numbered from 1 to %d.".formatted(MOST));
        }
    }

    public Paragraph(UUID id, UUID look, List<Run> runs) {
        this(id, look, runs, Optional.empty(), Optional.empty(), Optional.empty());
    }

    public String text() {
        return runs.stream().map(Run::text).collect(Collectors.joining());
    }

    public Paragraph withLook(UUID changed) {
        return new Paragraph(id, changed, runs, number, panel, local);
    }

    public Paragraph withRuns(List<Run> changed) {
        return new Paragraph(id, look, changed, number, panel, local);
    }

    public Paragraph withPanel(Optional<Panel> changed) {
        return new Paragraph(id, look, runs, number, changed, local);
    }

    public Paragraph withNumber(Optional<Integer> changed) {
        return new Paragraph(id, look, runs, changed, panel, local);
    }

    public Paragraph withLocal(Optional<LocalSetting> changed) {
        return new Paragraph(id, look, runs, number, panel, changed);
    }

    /** Its look as it is here, with what differs. */
    public Look as(Look in) {
        return local.map(each -> each.on(in)).orElse(in);
    }

    /** What lies behind it and around it. */
    public Panel panel(Look in) {
        return panel.or(in::panel).orElse(Panel.NONE);
    }

    @Override
    public List<Reference> references() {
        List<Reference> references = new ArrayList<>();
        references.add(Reference.look(look));
        panel.ifPresent(each -> references.addAll(each.references()));
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
                runs.stream().map(run -> run.withReference(old, replacement)).toList(),
                number,
                panel.map(each -> each.withReference(old, replacement)),
                local);
    }
}
