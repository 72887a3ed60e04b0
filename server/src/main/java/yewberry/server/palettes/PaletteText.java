package yewberry.server.palettes;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Supplier;
import yewberry.core.Refused;

/** What was found in a palette file: what could be read, and line by line what could not. */
final class PaletteText {
    private static final int SHOWN = 80;

    private final List<PaletteEntry> entries = new ArrayList<>();
    private final List<Unread> unread = new ArrayList<>();

    /**
     * @param line from 1
     * @param text of the line, shortened
     */
    public record Unread(int line, String text, String reason) {}

    List<PaletteEntry> entries() {
        return entries;
    }

    List<Unread> unread() {
        return unread;
    }

    /** Takes a colour, or notes why it cannot be read. */
    void take(int line, String name, String text, Supplier<PaletteEntry.Wanted> wanted) {
        try {
            entries.add(new PaletteEntry(line, name, wanted.get()));
        } catch (Refused refused) {
            leave(line, text, refused.getMessage());
        }
    }

    void leave(int line, String text, String reason) {
        String shown = text.strip();
        unread.add(
                new Unread(
                        line,
                        shown.length() > SHOWN ? shown.substring(0, SHOWN - 1) + "…" : shown,
                        reason));
    }
}
