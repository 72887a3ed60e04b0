package yewberry.server.publications;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.Semaphore;
import org.springframework.stereotype.Component;
import yewberry.core.Locked;
import yewberry.core.Names;
import yewberry.core.Refused;
import yewberry.core.asset.FileReader;
import yewberry.core.asset.KnownFile;
import yewberry.core.asset.MadeImages;
import yewberry.core.asset.Pictures;
import yewberry.core.edit.Change;
import yewberry.core.edit.Patch;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Publication;
import yewberry.server.store.AssetStore;

/** The pictures and PDFs of all publications: takes them in, and gives them to painters. */
@Component
public class PictureFiles {
    /** So many files are in memory at once while they are taken in. */
    private static final int TAKEN_IN = 2;

    /** Of what a picture is called after its file. */
    private static final int LONGEST = 100;

    private final AssetStore store;
    private final FileReader reader;
    private final Pictures pictures;
    private final Semaphore turns = new Semaphore(TAKEN_IN, true);

    PictureFiles(AssetStore store, FileReader reader, MadeImages kept) {
        this.store = store;
        this.reader = reader;
        this.pictures = new Pictures(store, reader, kept);
    }

    public Pictures pictures() {
        return pictures;
    }

    /** The bytes of a file that is kept. */
    public byte[] read(String sha256) {
        return store.read(sha256);
    }

    /** What opens some of the files of a publication, each once. */
    public List<String> passwords(Publication publication) {
        return publication.assets().stream()
                .filter(asset ->
                        asset.content() instanceof Asset.Document document && document.encrypted())
                .map(asset -> store.password(asset.sha256()))
                .filter(password -> !password.isEmpty())
                .distinct()
                .toList();
    }

    /** A file that is kept, as it is opened. */
    public KnownFile known(String sha256) {
        return new KnownFile(sha256, () -> store.read(sha256), store.password(sha256));
    }

    /** What is made of a file that has come. */
    public interface Reading<T> {
        T read(Path file) throws IOException;
    }

    /**
     * Takes a file in as it comes.
     *
     * @param name of the file
     * @throws Refused if it cannot be placed
     * @throws IOException if it does not come whole
     */
    public Asset add(UUID id, String name, InputStream body) throws IOException {
        try {
            return inTurn(body, file -> add(id, name, Files.readAllBytes(file)));
        } catch (Locked locked) {
            throw new Refused(
                    "“%s” needs a password, and is not placed in other documents; open it with its pages as pages instead, or save it without a password."
                            .formatted(name));
        }
    }

    /**
     * Reads a file once all of it has come. It waits on the disk for its turn, so that many at once
     * take no more memory than two.
     *
     * @throws IOException if it does not come whole
     */
    public <T> T inTurn(InputStream body, Reading<T> reading) throws IOException {
        Path waiting = Files.createTempFile("yewberry-file", null);
        try {
            Files.copy(body, waiting, StandardCopyOption.REPLACE_EXISTING);
            turns.acquireUninterruptibly();
            try {
                return reading.read(waiting);
            } finally {
                turns.release();
            }
        } finally {
            Files.deleteIfExists(waiting);
        }
    }

    /** The same of one that is here, and needs no password. */
    public Asset add(UUID id, String name, byte[] file) {
        return add(id, name, KnownFile.of(file));
    }

    /**
     * Looks into a file and keeps it.
     *
     * @param name of the file
     * @throws yewberry.core.Locked if it needs another password than it comes with
     * @throws Refused if it cannot be placed
     */
    public Asset add(UUID id, String name, KnownFile file) {
        Asset.Content content = reader.look(name, file);
        Asset asset = new Asset(id, title(name), file.sha256(), content);
        store.add(file, content);
        return asset;
    }

    /** The name of a file without its ending. */
    public static String title(String name) {
        String title = name.replaceFirst("\\.[A-Za-z]{3,4}$", "").strip();
        try {
            return Names.checked("picture", Names.cut(title, LONGEST));
        } catch (Refused unseen) {
            return "Picture";
        }
    }

    /**
     * @throws Refused if a step would place a file that is not here, or say of it what it is not
     */
    void check(Patch patch) {
        for (Change change : patch.changes()) {
            change.after()
                    .map(Change.Placed::element)
                    .filter(Asset.class::isInstance)
                    .map(Asset.class::cast)
                    .filter(asset ->
                            !store.content(asset.sha256()).equals(Optional.of(asset.content())))
                    .ifPresent(asset -> {
                        throw new Refused(
                                "The file of “%s” is not here as it is described; import it again."
                                        .formatted(asset.name()));
                    });
        }
    }
}
