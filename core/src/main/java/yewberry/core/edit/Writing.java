package yewberry.core.edit;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import yewberry.core.Refused;
import yewberry.core.edit.Edit.WriteText;
import yewberry.core.edit.Edit.WrittenParagraph;
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
        for (WrittenParagraph written : write.paragraphs()) {
            if (!seen.add(written.paragraph())) {
                throw new Refused("The same paragraph came twice; reload and type it again.");
            }
            Paragraph old = known.get(written.paragraph());
            paragraphs.add(old == null ? begun(written) : rewritten(old, written));
        }
        return frame.withParagraphs(paragraphs);
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
