package yewberry.core.findings;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/**
 * A finding as it is remembered.
 *
 * @param key of it, by its {@link Identity}
 * @param kind as it is written
 * @param run of text that it is about
 * @param text cut to 300 characters
 * @param message cut to 2000
 * @param mended when it was first missed; nothing while it is there
 */
public record KnownFinding(
        UUID key,
        String kind,
        UUID page,
        Optional<UUID> run,
        String text,
        String message,
        Optional<Instant> mended) {
    private static final int TEXT = 300;
    private static final int MESSAGE = 2000;

    public KnownFinding {
        text = cut(text, TEXT);
        message = cut(message, MESSAGE);
    }

    /** Never within a character that takes two. */
    private static String cut(String words, int most) {
        if (words.length() <= most) {
            return words;
        }
        return words.substring(
                0, Character.isHighSurrogate(words.charAt(most - 1)) ? most - 1 : most);
    }

    public KnownFinding withMended(Optional<Instant> when) {
        return new KnownFinding(key, kind, page, run, text, message, when);
    }
}
