package yewberry.server.publications;

import java.io.BufferedInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.net.URLDecoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import org.springframework.stereotype.Component;
import yewberry.core.Busy;
import yewberry.core.Locked;
import yewberry.core.Refused;
import yewberry.core.asset.KnownFile;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Limits;
import yewberry.server.view.FileIn;

/** Takes in the files of a set: a PDF, or a zip file of many, each by itself. */
@Component
public class SetFiles {
    /** The largest single file, in bytes. */
    private static final int LARGEST = 128 << 20;

    /** All of a zip file together, when it is unpacked, in bytes. */
    private static final long ALL = 2L << 30;

    /** A PDF says so within so many bytes (ISO 32000-1, annex H, note 13). */
    private static final int HEADER = 1024;

    /** The header of a request that says what opens the files that it brings. */
    public static final String PASSWORD = "File-Password";

    private static final int LONGEST_PASSWORD = 300;

    private final PictureFiles files;

    SetFiles(PictureFiles files) {
        this.files = files;
    }

    /**
     * A password as it came.
     *
     * @param header percent-encoded, as headers are of ASCII
     * @throws Refused if it is too long or not encoded so
     */
    public static String password(String header) {
        try {
            // a plus is one, and no space as in a form
            String password = URLDecoder.decode(header.replace("+", "%2B"), StandardCharsets.UTF_8);
            if (password.length() <= LONGEST_PASSWORD) {
                return password;
            }
        } catch (IllegalArgumentException notEncoded) {
            // said below
        }
        throw new Refused(
                "A password has at most %d characters, and comes percent-encoded."
                        .formatted(LONGEST_PASSWORD));
    }

    /**
     * @param name of the file
     * @param body a PDF or a zip file of them
     * @param password for those that need one; empty for none
     * @return each file that was in it, in their order there
     * @throws IOException if it does not come whole
     */
    public List<FileIn> take(String name, InputStream body, String password) throws IOException {
        return files.inTurn(
                body,
                file ->
                        isZip(file)
                                ? unpacked(file, password)
                                : List.of(take(name, read(file), password)));
    }

    private static boolean isZip(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            byte[] begin = in.readNBytes(4);
            return begin.length == 4
                    && begin[0] == 'P'
                    && begin[1] == 'K'
                    && begin[2] == 3
                    && begin[3] == 4;
        }
    }

    private static byte[] read(Path file) throws IOException {
        try (InputStream in = Files.newInputStream(file)) {
            return in.readNBytes(LARGEST + 1);
        }
    }

    private List<FileIn> unpacked(Path file, String password) throws IOException {
        List<FileIn> all = new ArrayList<>();
        long unpacked = 0;
        try (ZipInputStream zip =
                new ZipInputStream(new BufferedInputStream(Files.newInputStream(file)))) {
            for (ZipEntry entry = zip.getNextEntry(); entry != null; entry = zip.getNextEntry()) {
                if (entry.isDirectory() || isOfTheSystem(entry.getName())) {
                    continue;
                }
                if (all.size() == Limits.PICTURES) {
                    all.add(
                            FileIn.refused(
                                    entry.getName(),
                                    "This zip file holds more than %d files; put the rest in another zip file."
                                            .formatted(Limits.PICTURES)));
                    break;
                }
                byte[] bytes = zip.readNBytes(LARGEST + 1);
                unpacked += bytes.length;
                if (unpacked > ALL) {
                    all.add(
                            FileIn.refused(
                                    entry.getName(),
                                    "This zip file holds more than 2 GB; put what begins here in another zip file."));
                    break;
                }
                all.add(take(SetPaths.safe(entry.getName()), bytes, password));
                if (bytes.length > LARGEST) {
                    // what is left of it could be without end
                    all.add(
                            FileIn.refused(
                                    "What comes after it",
                                    "What comes after a file that is too large is not unpacked; put it in a zip file of its own."));
                    break;
                }
            }
        } catch (ZipException | EOFException | IllegalArgumentException damaged) {
            all.add(
                    FileIn.refused(
                            "What comes after it",
                            "The zip file is damaged from here on; pack it again."));
        }
        if (all.isEmpty()) {
            throw new Refused("This zip file is empty; pack PDFs into it.");
        }
        return all;
    }

    /** What systems put into zip files for themselves. */
    private static boolean isOfTheSystem(String name) {
        String last = name.substring(name.lastIndexOf('/') + 1);
        return name.startsWith("__MACOSX/") || last.startsWith(".") || last.equals("Thumbs.db");
    }

    private FileIn take(String name, byte[] bytes, String password) {
        if (bytes.length > LARGEST) {
            return FileIn.refused(name, "It is larger than 128 MB; split it.");
        }
        String begin =
                new String(bytes, 0, Math.min(HEADER, bytes.length), StandardCharsets.ISO_8859_1);
        if (!begin.contains("%PDF-")) {
            return FileIn.refused(name, "It is not a PDF; a set is made of PDFs.");
        }
        try {
            Asset asset = opened(name, bytes, password);
            int pages = ((Asset.Document) asset.content()).pages().size();
            for (int number = 1; number <= pages; number++) {
                new Imported(asset.id(), number).sizeIn(asset);
            }
            return FileIn.of(name, asset);
        } catch (Locked locked) {
            return FileIn.locked(name, locked);
        } catch (Refused | Busy told) {
            return FileIn.refused(name, told.getMessage());
        }
    }

    /** Most need no password, even where one comes along for others of the same zip file. */
    private Asset opened(String name, byte[] bytes, String password) {
        try {
            return files.add(UUID.randomUUID(), name, bytes);
        } catch (Locked locked) {
            if (password.isEmpty()) {
                throw locked;
            }
            return files.add(UUID.randomUUID(), name, KnownFile.of(bytes, password));
        }
    }
}
