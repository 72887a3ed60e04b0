package yewberry.core.picture;

import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import yewberry.core.scene.Item;
import yewberry.core.text.Face;
import yewberry.core.text.Segment;

/** How the letters of a picture are written. */
sealed interface SvgLetters {
    /** Those of a run, within the group that says their colour. */
    void draw(StringBuilder to, Item.GlyphRun run);

    /** The same as what a clip is made of. */
    void clip(StringBuilder to, Item.GlyphRun run);

    /** What has to be defined for what was written so far. */
    void define(StringBuilder to);

    /** Each glyph is a shape that is defined once: a file is small, and its letters are told. */
    final class Shared implements SvgLetters {
        private final Map<String, Face.Outline> glyphs = new LinkedHashMap<>();

        @Override
        public void draw(StringBuilder to, Item.GlyphRun run) {
            for (Item.Line line : run.lines()) {
                to.append("<g transform=\"").append(place(run, line)).append("\">");
                for (Segment.Glyph glyph : line.glyphs()) {
                    if (!isEmpty(run, glyph)) {
                        to.append("<use href=\"#").append(shape(run, glyph)).append("\" x=\"");
                        to.append(SvgMarkup.number(glyph.x() / run.scale())).append('"');
                        if (glyph.y() != 0) {
                            to.append(" y=\"");
                            to.append(SvgMarkup.number(glyph.y() / run.scale())).append('"');
                        }
                        to.append("/>");
                    }
                }
                to.append("</g>");
            }
        }

        @Override
        public void clip(StringBuilder to, Item.GlyphRun run) {
            for (Item.Line line : run.lines()) {
                for (Segment.Glyph glyph : line.glyphs()) {
                    if (!isEmpty(run, glyph)) {
                        to.append("<use href=\"#").append(shape(run, glyph));
                        to.append("\" transform=\"");
                        to.append(place(run, line.x() + glyph.x(), line.baseline() + glyph.y()));
                        to.append("\"/>");
                    }
                }
            }
        }

        /** The key of a glyph's shared shape. */
        private String shape(Item.GlyphRun run, Segment.Glyph glyph) {
            String key = run.face().key() + "-" + glyph.id();
            glyphs.put(key, run.face().outline(glyph.id()));
            return key;
        }

        @Override
        public void define(StringBuilder to) {
            glyphs.forEach((key, outline) -> {
                to.append("<path id=\"").append(key).append("\" d=\"");
                SvgMarkup.path(to, outline.path());
                to.append("\"/>");
            });
        }
    }

    /** Each line is one shape: what shows it has far less to do than with one for each letter. */
    final class Whole implements SvgLetters {
        private final Map<Face.Outline, String> outlines = new IdentityHashMap<>();

        @Override
        public void draw(StringBuilder to, Item.GlyphRun run) {
            for (Item.Line line : run.lines()) {
                to.append("<path transform=\"").append(place(run, line)).append("\" d=\"");
                line(to, run, line, 0, 0);
                to.append("\"/>");
            }
        }

        /** One shape is cut out far sooner than what several have in all. */
        @Override
        public void clip(StringBuilder to, Item.GlyphRun run) {
            to.append("<path transform=\"").append(place(run, 0, 0)).append("\" d=\"");
            run.lines().forEach(line -> line(to, run, line, line.x(), line.baseline()));
            to.append("\"/>");
        }

        private void line(StringBuilder to, Item.GlyphRun run, Item.Line line, double x, double y) {
            for (Segment.Glyph glyph : line.glyphs()) {
                Face.Outline outline = run.face().outline(glyph.id());
                if (!outline.ink().isEmpty()) {
                    to.append('M').append(SvgMarkup.number((x + glyph.x()) / run.scale()));
                    to.append(' ').append(SvgMarkup.number((y + glyph.y()) / run.scale()));
                    to.append(
                            outlines.computeIfAbsent(outline, of -> SvgMarkup.relative(of.path())));
                }
            }
        }

        @Override
        public void define(StringBuilder to) {}
    }

    private static boolean isEmpty(Item.GlyphRun run, Segment.Glyph glyph) {
        return run.face().outline(glyph.id()).ink().isEmpty();
    }

    private static String place(Item.GlyphRun run, Item.Line line) {
        return place(run, line.x(), line.baseline());
    }

    /** From the space of outlines to that of the page. */
    private static String place(Item.GlyphRun run, double x, double y) {
        return run.turn().ifAny().map(turn -> SvgMarkup.rotate(turn) + " ").orElse("")
                + "translate("
                + SvgMarkup.number(x)
                + " "
                + SvgMarkup.number(y)
                + ") scale("
                + SvgMarkup.number(run.scale())
                + ")";
    }
}
