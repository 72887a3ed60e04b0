package yewberry.core.edit;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import yewberry.core.Refused;
import yewberry.core.edit.StoryEdit.WriteText;
import yewberry.core.edit.StoryEdit.WrittenParagraph;
import yewberry.core.publication.Limits;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Run;
import yewberry.core.publication.Story;

/** Puts typed text into a story so that what was not typed over keeps its runs. */
final class Writing {
    private Writing() {}

    static Story write(Story story, WriteText write) {
        Map<UUID, Paragraph> known = new HashMap<>();
        story.paragraphs().forEach(paragraph -> known.put(paragraph.id(), paragraph));
        List<Paragraph> now = story.paragraphs();
        Stretch stretch = stretch(now, write);
        List<Paragraph> paragraphs = new ArrayList<>(now.subList(0, stretch.from()));
        for (WrittenParagraph written : onto(now.subList(stretch.from(), stretch.to()), write)) {
            Paragraph old = known.get(written.paragraph());
            paragraphs.add(
                    old == null ? likeBefore(begun(written), paragraphs) : rewritten(old, written));
        }
        paragraphs.addAll(now.subList(stretch.to(), now.size()));
        if (paragraphs.isEmpty()) {
            throw new Refused("A story keeps at least one paragraph, empty if need be.");
        }
        Set<UUID> seen = new HashSet<>();
        if (!paragraphs.stream().allMatch(each -> seen.add(each.id()))) {
            throw new Refused("The same paragraph came twice; reload and type it again.");
        }
        Story written = story.withParagraphs(paragraphs);
        Limits.check(written);
        return written;
    }

    /** What is divided off a paragraph that is shaded by itself is shaded as that is. */
    private static Paragraph likeBefore(Paragraph begun, List<Paragraph> before) {
        return before.isEmpty() || !before.getLast().look().equals(begun.look())
                ? begun
                : begun.withPanel(before.getLast().panel());
    }

    /** Where in a list something is written, from one position to before another. */
    private record Stretch(int from, int to) {}

    /** From the first to the last that was there and still is; where none is, behind another. */
    private static Stretch stretch(List<Paragraph> now, WriteText write) {
        Set<UUID> was = byId(write.was()).keySet();
        int from = 0;
        while (from < now.size() && !was.contains(now.get(from).id())) {
            from++;
        }
        if (from < now.size()) {
            int to = now.size();
            while (!was.contains(now.get(to - 1).id())) {
                to--;
            }
            return new Stretch(from, to);
        }
        List<UUID> ids = now.stream().map(Paragraph::id).toList();
        int at =
                write.behind()
                        .map(ids::indexOf)
                        .map(behind -> behind < 0 ? now.size() : behind + 1)
                        .orElse(0);
        return new Stretch(at, at);
    }

    /**
     * What was typed, put onto what is there now: paragraphs that somebody added since stay behind
     * the one they stand behind, those that somebody removed stay away unless they were typed into.
     */
    private static List<WrittenParagraph> onto(List<Paragraph> there, WriteText write) {
        List<WrittenParagraph> now = there.stream().map(WrittenParagraph::of).toList();
        if (write.was().equals(now)) {
            return write.paragraphs();
        }
        Map<UUID, WrittenParagraph> was = byId(write.was());
        Map<UUID, WrittenParagraph> is = byId(now);
        Map<UUID, WrittenParagraph> made = byId(write.paragraphs());
        List<WrittenParagraph> result = new ArrayList<>();
        for (WrittenParagraph each : write.paragraphs()) {
            WrittenParagraph before = was.get(each.paragraph());
            WrittenParagraph here = is.get(each.paragraph());
            if (here == null) {
                if (!each.equals(before)) {
                    result.add(each);
                }
            } else {
                result.add(before == null ? each : together(before, each, here));
            }
        }
        for (int i = 0; i < now.size(); i++) {
            UUID added = now.get(i).paragraph();
            if (!was.containsKey(added) && !made.containsKey(added)) {
                UUID behind = i == 0 ? null : now.get(i - 1).paragraph();
                List<UUID> ids = result.stream().map(WrittenParagraph::paragraph).toList();
                result.add(ids.indexOf(behind) + 1, now.get(i));
            }
        }
        return result;
    }

    /** A paragraph that two changed at the same time. */
    private static WrittenParagraph together(
            WrittenParagraph was, WrittenParagraph made, WrittenParagraph here) {
        return Merging.onto(here.withRuns(was.runs()), made.withRuns(was.runs()), Optional.of(was))
                .withRuns(MergedText.of(was.runs(), made.runs(), here.runs()).runs());
    }

    private static Map<UUID, WrittenParagraph> byId(List<WrittenParagraph> paragraphs) {
        Map<UUID, WrittenParagraph> byId = new LinkedHashMap<>();
        paragraphs.forEach(each -> byId.put(each.paragraph(), each));
        return byId;
    }

    /**
     * Whether what was written here and elsewhere since can be put together: other words of a
     * paragraph can ({@link MergedText}), the same words, a look or a number cannot.
     */
    static boolean isApart(WriteText write, Story now) {
        Map<UUID, WrittenParagraph> made = byId(write.paragraphs());
        Map<UUID, WrittenParagraph> is =
                byId(now.paragraphs().stream().map(WrittenParagraph::of).toList());
        return write.was().stream().allMatch(before -> isApart(before, made, is));
    }

    private static boolean isApart(
            WrittenParagraph was,
            Map<UUID, WrittenParagraph> made,
            Map<UUID, WrittenParagraph> is) {
        WrittenParagraph typed = made.get(was.paragraph());
        WrittenParagraph here = is.get(was.paragraph());
        if (typed == null || here == null) {
            return was.equals(typed) || was.equals(here) || (typed == null && here == null);
        }
        return MergedText.of(was.runs(), typed.runs(), here.runs()).apart()
                && !Merging.clash(was, typed.withRuns(was.runs()), here.withRuns(was.runs()));
    }

    private static UUID derived(String from) {
        return UUID.nameUUIDFromBytes(from.getBytes(StandardCharsets.UTF_8));
    }

    /**
     * The id of the run a paragraph begins with; derived, so that an edit stays a pure function.
     */
    static UUID firstRun(UUID paragraph) {
        return derived("first run of " + paragraph);
    }

    /** A paragraph with nothing in it. */
    static Paragraph empty(UUID paragraph, UUID look) {
        return begun(new WrittenParagraph(paragraph, look, ""));
    }

    /** A paragraph as it stands in another story: one that is added there. */
    static Paragraph moved(Paragraph paragraph) {
        return new Paragraph(
                moved(paragraph.id()),
                paragraph.look(),
                paragraph.runs().stream().map(run -> run.withId(moved(run.id()))).toList(),
                paragraph.number(),
                paragraph.panel(),
                paragraph.local());
    }

    private static UUID moved(UUID id) {
        return derived("moved " + id);
    }

    private static Paragraph begun(WrittenParagraph written) {
        Run first = new Run(firstRun(written.paragraph()), "", Optional.empty());
        Paragraph empty = new Paragraph(written.paragraph(), written.look(), List.of(first));
        return rewritten(empty, written);
    }

    private static Paragraph rewritten(Paragraph old, WrittenParagraph written) {
        return WrittenParagraph.of(old).equals(written)
                ? old
                : new Paragraph(
                        old.id(),
                        written.look(),
                        WrittenRuns.onto(old, written),
                        written.number(),
                        old.panel(),
                        written.local());
    }
}
