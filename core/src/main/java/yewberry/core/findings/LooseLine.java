package yewberry.core.findings;

import java.util.Comparator;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.publication.Look;
import yewberry.core.scene.Item;
import yewberry.core.scene.Origin;
import yewberry.core.scene.Rect;
import yewberry.core.text.Segment;

/**
 * A justified line whose spaces are wider than its look lets them be.
 *
 * @param run without its glyphs
 * @param line the loosest of it
 * @param percent how wide its widest space is, of the face's own
 * @param lines how many lines of the run are loose
 */
public record LooseLine(
        UUID page, Item.GlyphRun run, Rect where, String line, double percent, int lines)
        implements Finding {
    /** What kerning beside a space may add, in percent. */
    private static final double KERNING = 5;

    private record Loose(Item.Line line, double percent) {}

    static Optional<LooseLine> in(UUID page, Item.GlyphRun run) {
        Look look = run.look();
        if (look.alignment() != Look.Alignment.JUSTIFIED) {
            return Optional.empty();
        }
        double most = look.setting().spaces().most() + KERNING;
        var loose =
                run.lines().stream()
                        .map(line -> new Loose(line, widest(line, run)))
                        .filter(each -> each.percent() > most)
                        .toList();
        return loose.stream()
                .max(Comparator.comparingDouble(Loose::percent))
                .map(worst ->
                        new LooseLine(
                                page,
                                run.withoutGlyphs(),
                                run.box(worst.line()),
                                worst.line().text(),
                                worst.percent(),
                                loose.size()));
    }

    /** The widest space between two glyphs of a line, in percent of the face's own. */
    private static double widest(Item.Line line, Item.GlyphRun run) {
        double own = run.type().space();
        double widest = 0;
        for (int i = 0; i + 1 < line.glyphs().size(); i++) {
            Segment.Glyph glyph = line.glyphs().get(i);
            if (glyph.isWordSpace() && line.glyphs().get(i + 1).x() > glyph.x()) {
                widest = Math.max(widest, line.glyphs().get(i + 1).x() - glyph.x());
            }
        }
        return 100 * widest / own;
    }

    @Override
    public Origin origin() {
        return run.origin();
    }

    @Override
    public String text() {
        return line;
    }

    @Override
    public String message() {
        return "The spaces of this justified line are %d %% of their own width, and its look lets them be %d %%%s. Divide its words, make the column wider, or set the text ragged."
                .formatted(
                        Math.round(percent),
                        Math.round(run.look().setting().spaces().most()),
                        lines == 1 ? "" : "; it is the loosest of " + lines);
    }

    @Override
    public String rule() {
        return "Word spaces within the limits of the look.";
    }

    @Override
    public Severity severity() {
        return Severity.DOUBTFUL;
    }
}
