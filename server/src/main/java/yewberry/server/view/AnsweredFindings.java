package yewberry.server.view;

import static java.util.stream.Collectors.groupingBy;
import static java.util.stream.Collectors.toList;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.color.Viewing;

/**
 * What questions for findings were answered with, as long as there is room: who has one of these
 * lists is sent only the pages on which the next one differs.
 */
public final class AnsweredFindings {
    /** The part of the heap that they may take. */
    private static final int PART = 32;

    /** What a finding takes about, in bytes. */
    private static final int FINDING = 1_000;

    /** A list before: its revision, and the mark that it carries. */
    public record Before(long revision, UUID mark) {}

    private record Question(UUID publication, Optional<Viewing> viewing, long revision) {}

    private record Answer(UUID mark, Map<UUID, List<FindingView>> pages) {
        int weight() {
            return FINDING + pages.values().stream().mapToInt(List::size).sum() * FINDING;
        }
    }

    private final Cache<Question, Answer> answers =
            Caffeine.newBuilder()
                    .maximumWeight(Runtime.getRuntime().maxMemory() / PART)
                    .weigher((Question question, Answer answer) -> answer.weight())
                    .executor(Runnable::run)
                    .build();

    /** A list as it is sent to somebody who has the one before, if any. */
    public FindingList sent(
            UUID publication,
            Optional<Viewing> viewing,
            FindingList list,
            Optional<Before> before) {
        Map<UUID, List<FindingView>> known =
                before.map(each -> known(publication, viewing, each)).orElse(Map.of());
        Map<UUID, List<FindingView>> pages =
                list.findings().stream()
                        .collect(groupingBy(FindingView::pageId, LinkedHashMap::new, toList()));
        // what is the same is kept once
        pages.replaceAll((page, found) -> found.equals(known.get(page)) ? known.get(page) : found);
        Question question = new Question(publication, viewing, list.revision());
        Answer last = answers.getIfPresent(question);
        UUID mark = last != null && last.pages().equals(pages) ? last.mark() : UUID.randomUUID();
        answers.put(question, new Answer(mark, pages));
        return list.without(
                pages.keySet().stream().filter(page -> pages.get(page) == known.get(page)).toList(),
                mark);
    }

    private Map<UUID, List<FindingView>> known(
            UUID publication, Optional<Viewing> viewing, Before before) {
        Answer answer = answers.getIfPresent(new Question(publication, viewing, before.revision()));
        return answer != null && answer.mark().equals(before.mark()) ? answer.pages() : Map.of();
    }
}
