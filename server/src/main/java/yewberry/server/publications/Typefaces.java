package yewberry.server.publications;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;
import yewberry.core.Refused;
import yewberry.core.text.Face;
import yewberry.core.text.FontFile;
import yewberry.core.text.FontLibrary;
import yewberry.server.files.FileWorkers;
import yewberry.server.store.TypefaceStore;

/** The fonts that somebody brought along; looks of all publications can be of them. */
@Component
public class Typefaces {
    private static final int MOST = 200;

    private final TypefaceStore store;
    private final FileWorkers workers;
    private final Map<UUID, Face> faces = new LinkedHashMap<>();

    Typefaces(TypefaceStore store, FileWorkers workers) {
        this.store = store;
        this.workers = workers;
        store.all().forEach(this::known);
    }

    /**
     * One of them.
     *
     * @param inWords its family, weight and slope
     * @param rights what its maker allows, in words
     */
    public record Typeface(UUID id, String family, String inWords, String rights) {
        static Typeface of(UUID id, Face face) {
            return new Typeface(id, face.family(), face.inWords(), allowed(face.rights()));
        }

        private static String allowed(FontFile.Rights rights) {
            String kind =
                    switch (rights.kind()) {
                        case INSTALLABLE -> "may be embedded";
                        case EDITABLE -> "may be embedded for viewing, printing and editing";
                        case PREVIEW_AND_PRINT -> "may be embedded for viewing and printing only";
                    };
            return rights.whole() ? kind + ", and only as a whole" : kind;
        }
    }

    private void known(UUID id, FontFile file) {
        Face face = Face.imported(file, () -> store.program(id));
        FontLibrary.add(face);
        faces.put(id, face);
    }

    public synchronized List<Typeface> all() {
        return faces.entrySet().stream()
                .map(each -> Typeface.of(each.getKey(), each.getValue()))
                .toList();
    }

    /**
     * Keeps a font.
     *
     * @param name of its file
     * @throws Refused if it cannot be used, or one like it is here already
     */
    public Typeface add(String name, byte[] program) {
        FontFile file = workers.font(program);
        synchronized (this) {
            if (faces.size() >= MOST) {
                throw new Refused(
                        "A publication holds at most %d fonts; remove some first.".formatted(MOST));
            }
            UUID id = UUID.randomUUID();
            Face face = Face.imported(file, () -> store.program(id));
            FontLibrary.add(face);
            try {
                store.add(id, name.length() > 400 ? name.substring(0, 400) : name, file, program);
            } catch (RuntimeException failure) {
                FontLibrary.remove(face);
                throw failure;
            }
            faces.put(id, face);
            return Typeface.of(id, face);
        }
    }

    /**
     * @throws Refused if a look, words or a watermark are of its family
     * @throws Missing if it is not here
     */
    public synchronized void remove(UUID id) {
        Face face = faces.get(id);
        if (face == null) {
            throw new Missing("font");
        }
        if (store.isUsed(face.family())) {
            throw new Refused(
                    "Looks, words or watermarks are of the family “%s”; give them another one first."
                            .formatted(face.family()));
        }
        store.remove(id);
        FontLibrary.remove(face);
        faces.remove(id);
    }
}
