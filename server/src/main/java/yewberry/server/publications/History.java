package yewberry.server.publications;

import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import yewberry.server.store.Step;

/** What one author can undo and redo. */
public final class History {
    private final Deque<Entry> done = new ArrayDeque<>();
    private final Deque<Entry> undone = new ArrayDeque<>();

    private History() {}

    /**
     * @param edit the revision whose patch counts
     * @param since the revision at which it was last made, undone or redone
     */
    public record Entry(long edit, long since) {}

    /**
     * @param steps of one author, the oldest first
     */
    static History of(List<Step> steps) {
        History history = new History();
        for (Step step : steps) {
            switch (step.kind()) {
                case EDIT -> {
                    history.done.push(new Entry(step.number(), step.number()));
                    history.undone.clear();
                }
                case UNDO ->
                        history.undone.push(new Entry(history.done.pop().edit(), step.number()));
                case REDO ->
                        history.done.push(new Entry(history.undone.pop().edit(), step.number()));
            }
        }
        return history;
    }

    public Optional<Entry> undoable() {
        return Optional.ofNullable(done.peek());
    }

    public Optional<Entry> redoable() {
        return Optional.ofNullable(undone.peek());
    }
}
