package yewberry.pdf;

import java.io.Closeable;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.apache.pdfbox.pdmodel.PDDocument;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.text.Face;

/** What the pages of a document share: fonts, inks and placed files, each in it once. */
final class Materials implements Closeable {
    private final PDDocument document;
    private final PressCondition condition;
    private final InkSpaces spaces;
    private final PlacedFiles placed;
    private final Map<Face, EmbeddedFont> fonts = new LinkedHashMap<>();
    private Optional<SwitchedLayers> switched = Optional.empty();

    Materials(PDDocument document, PressCondition condition) {
        this(document, condition, false);
    }

    /**
     * @param flattened whether pages of PDFs become pictures
     */
    Materials(PDDocument document, PressCondition condition, boolean flattened) {
        this.document = document;
        this.condition = condition;
        this.spaces = new InkSpaces(document, condition);
        this.placed = new PlacedFiles(document, condition, flattened);
    }

    PDDocument document() {
        return document;
    }

    PressCondition condition() {
        return condition;
    }

    InkSpaces spaces() {
        return spaces;
    }

    PlacedFiles placed() {
        return placed;
    }

    /** What is added to a file and seen on a screen only, or printed only. */
    SwitchedLayers switched(Medium usual) {
        if (switched.isEmpty()) {
            switched = Optional.of(SwitchedLayers.addedTo(document, usual));
        }
        return switched.get();
    }

    EmbeddedFont font(Face face) throws IOException {
        EmbeddedFont known = fonts.get(face);
        if (known == null) {
            known = new EmbeddedFont(document, face, "F" + (fonts.size() + 1));
            fonts.put(face, known);
        }
        return known;
    }

    /** Cuts fonts down to what was used of them; nothing can be written after it. */
    void finish() throws IOException {
        for (EmbeddedFont font : fonts.values()) {
            font.finish();
        }
    }

    /** Lets go of the files that pages came from; call it when the document is written. */
    @Override
    public void close() throws IOException {
        placed.close();
    }
}
