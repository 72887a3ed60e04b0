package yewberry.core.edit;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import yewberry.core.edit.StoryEdit.WrittenParagraph;
import yewberry.core.edit.StoryEdit.WrittenRun;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Run;

/**
 * Gives the runs of a written paragraph their ids: that of the run most of whose characters they
 * keep, so that what is known of a run lasts while it is typed into.
 */
final class WrittenRuns {
    private final Paragraph old;
    private final String was;
    private final String made;

    /** So many characters both begin with, and so many both end with. */
    private final int prefix;

    private final int suffix;

    private WrittenRuns(Paragraph old, String made) {
        this.old = old;
        this.was = old.text();
        this.made = made;
        this.prefix = commonPrefix(was, made);
        this.suffix =
                Math.min(commonSuffix(was, made), Math.min(was.length(), made.length()) - prefix);
    }

    static List<Run> onto(Paragraph old, WrittenParagraph written) {
        List<WrittenRun> runs =
                written.runs().stream().filter(run -> !run.text().isEmpty()).toList();
        return runs.isEmpty()
                ? List.of(
                        written.runs().stream()
                                .findFirst()
                                .orElse(new WrittenRun("", Optional.empty()))
                                .as(old.runs().getFirst().id()))
                : new WrittenRuns(old, written.text()).identified(runs);
    }

    /** That a written run keeps so many characters of one that was there. */
    private record Kept(int written, UUID run, int characters) {}

    private List<Run> identified(List<WrittenRun> runs) {
        Map<Integer, UUID> ids = new HashMap<>();
        Set<UUID> taken = new HashSet<>();
        for (Kept each : kept(runs)) {
            if (!ids.containsKey(each.written()) && taken.add(each.run())) {
                ids.put(each.written(), each.run());
            }
        }
        List<Run> identified = new ArrayList<>();
        for (int i = 0; i < runs.size(); i++) {
            UUID id = ids.computeIfAbsent(i, each -> unused(taken));
            taken.add(id);
            identified.add(runs.get(i).as(id));
        }
        return identified;
    }

    /** What is kept of any run in any other, the most first. */
    private List<Kept> kept(List<WrittenRun> runs) {
        List<Kept> kept = new ArrayList<>();
        int from = 0;
        for (int i = 0; i < runs.size(); i++) {
            int to = from + runs.get(i).text().length();
            int start = 0;
            for (Run run : old.runs()) {
                int end = start + run.text().length();
                int characters = kept(start, end, from, to);
                if (characters > 0) {
                    kept.add(new Kept(i, run.id(), characters));
                }
                start = end;
            }
            from = to;
        }
        kept.sort(Comparator.comparingInt(Kept::characters).reversed());
        return kept;
    }

    /** How many characters of a run that was there are in a stretch of what was made. */
    private int kept(int start, int end, int from, int to) {
        int before = overlap(start, end, from, Math.min(to, prefix));
        int behind = Math.max(from, made.length() - suffix);
        return before + overlap(start, end, behind + shift(), to + shift());
    }

    /** From a place behind what was typed to where that was before. */
    private int shift() {
        return was.length() - made.length();
    }

    private static int overlap(int start, int end, int from, int to) {
        return Math.max(0, Math.min(end, to) - Math.max(start, from));
    }

    /**
     * One whose characters are all gone; if there is none, a new one. Derived, so that an edit
     * stays a pure function.
     */
    private UUID unused(Set<UUID> taken) {
        for (Run run : old.runs()) {
            if (!taken.contains(run.id()) && isGone(run)) {
                return run.id();
            }
        }
        Set<UUID> known = new HashSet<>(taken);
        old.runs().forEach(run -> known.add(run.id()));
        int number = 0;
        UUID id;
        do {
            number++;
            id =
                    UUID.nameUUIDFromBytes(
                            "run %d of %s"
                                    .formatted(number, old.id())
                                    .getBytes(StandardCharsets.UTF_8));
        } while (known.contains(id));
        return id;
    }

    private boolean isGone(Run run) {
        int start = 0;
        for (Run each : old.runs()) {
            if (each == run) {
                break;
            }
            start += each.text().length();
        }
        return start >= prefix && start + run.text().length() <= was.length() - suffix;
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
