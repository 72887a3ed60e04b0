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
import yewberry.core.edit.FrameEdit.WriteText;
import yewberry.core.edit.FrameEdit.WrittenParagraph;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Run;
import yewberry.core.publication.TextFrame;

/** Puts typed text into a frame so that what was not typed over keeps its runs. */
final class Writing {
    private Writing() {}

    static TextFrame write(TextFrame frame, WriteText write) {
        if (write.paragraphs().isEmpty()) {
            throw new Refused("A frame keeps at least one paragraph, empty if need be.");
        }
        Map<UUID, Paragraph> known = new HashMap<>();
        frame.paragraphs().forEach(paragraph -> known.put(paragraph.id(), paragraph));
        Set<UUID> seen = new HashSet<>();
        List<Paragraph> paragraphs = new ArrayList<>();
        for (WrittenParagraph written : onto(frame, write)) {
            if (!seen.add(written.paragraph())) {
                throw new Refused("The same paragraph came twice; reload and type it again.");
            }
            Paragraph old = known.get(written.paragraph());
            paragraphs.add(old == null ? begun(written) : rewritten(old, written));
        }
        return frame.withParagraphs(paragraphs);
    }

    /**
     * What was typed, put onto what is there now: paragraphs that somebody added since stay behind
     * the one they stand behind, those that somebody removed stay away unless they were typed into.
     */
    private static List<WrittenParagraph> onto(TextFrame frame, WriteText write) {
        List<WrittenParagraph> now = frame.paragraphs().stream().map(Writing::asWritten).toList();
        if (write.was().isEmpty() || write.was().get().equals(now)) {
            return write.paragraphs();
        }
        Map<UUID, WrittenParagraph> was = byId(write.was().get());
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
                result.add(Merging.onto(here, each, Optional.ofNullable(before)));
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
        if (result.isEmpty()) {
            throw new Refused("The other paragraphs were removed meanwhile; keep this one.");
        }
        return result;
    }

    private static WrittenParagraph asWritten(Paragraph paragraph) {
        return new WrittenParagraph(paragraph.id(), paragraph.look(), paragraph.text());
    }

    private static Map<UUID, WrittenParagraph> byId(List<WrittenParagraph> paragraphs) {
        Map<UUID, WrittenParagraph> byId = new LinkedHashMap<>();
        paragraphs.forEach(each -> byId.put(each.paragraph(), each));
        return byId;
    }

    /** Whether no paragraph was written here and elsewhere since. */
    static boolean isApart(WriteText write, TextFrame now) {
        if (write.was().isEmpty()) {
            return false;
        }
        Map<UUID, WrittenParagraph> made = byId(write.paragraphs());
        Map<UUID, WrittenParagraph> is =
                byId(now.paragraphs().stream().map(Writing::asWritten).toList());
        return write.was().get().stream().allMatch(before -> isApart(before, made, is));
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
        return !Merging.clash(was, typed, here);
    }

    /**
     * The id of the run a paragraph begins with; derived, so that an edit stays a pure function.
     */
    static UUID firstRun(UUID paragraph) {
        return UUID.nameUUIDFromBytes(
                ("first run of " + paragraph).getBytes(StandardCharsets.UTF_8));
    }

    private static Paragraph begun(WrittenParagraph written) {
        Run run = new Run(firstRun(written.paragraph()), written.text(), Optional.empty());
        return new Paragraph(written.paragraph(), written.look(), List.of(run));
    }

    private static Paragraph rewritten(Paragraph old, WrittenParagraph written) {
        Paragraph looked = old.look().equals(written.look()) ? old : old.withLook(written.look());
        return old.text().equals(written.text())
                ? looked
                : looked.withRuns(spliced(old, written.text()));
    }

    /** Finds the one stretch that differs; what was typed joins the run it was typed into. */
    private static List<Run> spliced(Paragraph old, String text) {
        String was = old.text();
        int prefix = commonPrefix(was, text);
        int suffix =
                Math.min(commonSuffix(was, text), Math.min(was.length(), text.length()) - prefix);
        int cutEnd = was.length() - suffix;
        String typed = text.substring(prefix, text.length() - suffix);
        List<Run> runs = new ArrayList<>();
        boolean placed = false;
        int start = 0;
        for (Run run : old.runs()) {
            int end = start + run.text().length();
            String head = was.substring(start, Math.clamp(prefix, start, end));
            String tail = was.substring(Math.clamp(cutEnd, start, end), end);
            boolean here = !placed && prefix <= end;
            String kept = here ? head + typed + tail : head + tail;
            placed |= here;
            if (!kept.isEmpty()) {
                runs.add(kept.equals(run.text()) ? run : run.withText(kept));
            }
            start = end;
        }
        return runs.isEmpty() ? List.of(old.runs().getFirst().withText("")) : runs;
    }

    private static int commonPrefix(String a, String b) {
        int length = 0;
        while (length < a.length() && length < b.length() && a.charAt(length) == b.charAt(length)) {
            length++;
        }
        return length;
    }

    private static int commonSuffix(String a, String b) {
        int length = 0;
        while (length < a.length()
                && length < b.length()
                && a.charAt(a.length() - 1 - length) == b.charAt(b.length() - 1 - length)) {
            length++;
        }
        return length;
    }
}
