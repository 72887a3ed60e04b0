package yewberry.core.text;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.publication.ListMark;
import yewberry.core.publication.ListMark.Bullet;
import yewberry.core.publication.ListMark.Numbered;
import yewberry.core.publication.Look;
import yewberry.core.publication.Paragraph;

/**
 * Counts the lists of a story. Paragraphs of one look are one list, until one of another look comes
 * that is as far out, or in no list at all; what is numbered onward begins anew only after one that
 * is farther out.
 */
public final class ListMarks {
    private final Map<UUID, Count> counts = new HashMap<>();

    /** How far a list is, and the number of its last paragraph as it is written. */
    private record Count(ListMark list, int number, String written) {}

    private ListMarks() {}

    /**
     * What stands before each paragraph; empty for nothing.
     *
     * @param looks of the paragraphs
     */
    public static List<String> of(List<Paragraph> paragraphs, Looks looks) {
        ListMarks marks = new ListMarks();
        List<String> all = new ArrayList<>(paragraphs.size());
        for (Paragraph paragraph : paragraphs) {
            all.add(marks.next(paragraph, looks.of(paragraph)));
        }
        return all;
    }

    private String next(Paragraph paragraph, Look look) {
        if (!counts.isEmpty()) {
            counts.entrySet()
                    .removeIf(each ->
                            !each.getKey().equals(look.id()) && endsBefore(each.getValue(), look));
        }
        return look.list().map(list -> next(paragraph, look, list)).orElse("");
    }

    private static boolean endsBefore(Count count, Look look) {
        boolean onward = count.list().mark() instanceof Numbered numbered && numbered.onward();
        int level = look.list().map(ListMark::level).orElse(0);
        return onward ? level > 0 && level < count.list().level() : level <= count.list().level();
    }

    private String next(Paragraph paragraph, Look look, ListMark list) {
        return switch (list.mark()) {
            case Bullet(String text) -> text;
            case Numbered numbered -> {
                Count last = counts.get(look.id());
                int number = paragraph.number().orElse(last == null ? 1 : last.number() + 1);
                String written = higher(list, numbered) + numbered.style().written(number);
                counts.put(look.id(), new Count(list, number, written));
                yield numbered.before() + written + numbered.after();
            }
        };
    }

    /** The number of the paragraph above, with what divides the two. */
    private String higher(ListMark list, Numbered numbered) {
        Optional<Count> above =
                numbered.higher()
                        ? counts.values().stream()
                                .filter(each -> each.list().level() == list.level() - 1)
                                .findFirst()
                        : Optional.empty();
        return above.map(each -> each.written() + ".").orElse("");
    }
}
