package yewberry.core.flow;

import java.util.List;
import java.util.stream.Collectors;
import yewberry.core.publication.Box;
import yewberry.core.publication.FrameSetting;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.TextFrame;
import yewberry.core.text.Segment;
import yewberry.core.text.SetFrame;
import yewberry.core.text.SetPanel;
import yewberry.core.text.StoryPlace;
import yewberry.core.text.Typesetter;

/**
 * A frame with the part of a story that runs through it. It is the same object as long as nothing
 * that it was set from is another; the text itself may be forgotten, and is set again when it is
 * asked for.
 */
public final class FilledFrame {
    private final FlowMemory memory;
    private final Box box;
    private final FrameSetting setting;
    private final int begin;
    private final List<Paragraph> seen;
    private final List<String> marks;
    private final boolean isLast;
    private final boolean toTheEnd;
    private final UsedLooks looks;
    private final StoryPlace end;

    /**
     * @param begin the character of the first paragraph that comes first
     * @param seen the paragraphs that its text comes from, and in the last frame all that follow
     * @param marks what stands before each of those
     * @param toTheEnd whether the story ends with those
     * @param end counted from the first of those
     */
    private FilledFrame(
            FlowMemory memory,
            Box box,
            FrameSetting setting,
            int begin,
            List<Paragraph> seen,
            List<String> marks,
            boolean isLast,
            boolean toTheEnd,
            UsedLooks looks,
            StoryPlace end) {
        this.memory = memory;
        this.box = box;
        this.setting = setting;
        this.begin = begin;
        this.seen = List.copyOf(seen);
        this.marks = List.copyOf(marks);
        this.isLast = isLast;
        this.toTheEnd = toTheEnd;
        this.looks = looks;
        this.end = end;
    }

    /**
     * @param isLast whether no other frame comes after it
     */
    static FilledFrame fill(
            FlowMemory memory,
            TextFrame frame,
            Flow.OnPage page,
            List<Paragraph> story,
            List<String> marks,
            StoryPlace begin,
            boolean isLast,
            AllLooks all) {
        UsedLooks used = new UsedLooks(all);
        Box box =
                page.place()
                        .filter(place -> place.frame().equals(frame.id()))
                        .map(Flow.Place::box)
                        .orElse(frame.box());
        SetFrame text = Typesetter.set(story, marks, begin, box, frame.setting(), used);
        int behind = isLast ? story.size() : Math.min(story.size(), text.end().paragraph() + 1);
        FilledFrame filled =
                new FilledFrame(
                        memory,
                        box,
                        frame.setting(),
                        begin.character(),
                        story.subList(begin.paragraph(), behind),
                        marks.subList(begin.paragraph(), behind),
                        isLast,
                        behind == story.size(),
                        used.sealed(),
                        new StoryPlace(
                                text.end().paragraph() - begin.paragraph(),
                                text.end().character()));
        memory.keep(frame, page, filled, text);
        return filled;
    }

    /** Whether all that it was set from is the very same still. */
    boolean holds(
            List<Paragraph> story,
            List<String> counted,
            StoryPlace start,
            boolean last,
            AllLooks now) {
        int from = start.paragraph();
        int to = from + seen.size();
        if (begin != start.character()
                || last != isLast
                || to > story.size()
                || toTheEnd != (to == story.size())) {
            return false;
        }
        for (int i = 0; i < seen.size(); i++) {
            // what was made anew for a page may be another object and yet the same
            Paragraph there = story.get(from + i);
            if (there != seen.get(i) && !there.equals(seen.get(i))) {
                return false;
            }
        }
        return looks.unchangedIn(now) && counted.subList(from, to).equals(marks);
    }

    /**
     * Whether it was set from the very same: after many other states one that is made anew stands
     * for what it was before.
     */
    public boolean isSameAs(FilledFrame other) {
        return this == other
                || begin == other.begin
                        && isLast == other.isLast
                        && toTheEnd == other.toTheEnd
                        && box.equals(other.box)
                        && setting.equals(other.setting)
                        && end.equals(other.end)
                        && marks.equals(other.marks)
                        && seen.equals(other.seen)
                        && looks.areThose(other.looks);
    }

    /** Where the next frame goes on, given where this one begins. */
    StoryPlace next(StoryPlace start) {
        return new StoryPlace(start.paragraph() + end.paragraph(), end.character());
    }

    /** The text, in reading order. */
    public List<Segment> segments() {
        return memory.text(this).segments();
    }

    /** What lies behind its paragraphs and around them, from the lowest up. */
    public List<SetPanel> panels() {
        return memory.text(this).panels();
    }

    SetFrame set() {
        return Typesetter.set(seen, marks, new StoryPlace(0, begin), box, setting, looks);
    }

    /** What finds no room in the last frame, a paragraph a line; empty in the others. */
    public String overset() {
        if (!isLast || end.paragraph() == seen.size()) {
            return "";
        }
        String first = seen.get(end.paragraph()).text().substring(end.character());
        String others =
                seen.subList(end.paragraph() + 1, seen.size()).stream()
                        .map(Paragraph::text)
                        .collect(Collectors.joining("\n"));
        return (first + "\n" + others).strip();
    }
}
