package yewberry.server.jobs;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.UUID;
import java.util.concurrent.CancellationException;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import yewberry.core.Names;
import yewberry.core.Progress;
import yewberry.core.Refused;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Page;
import yewberry.core.publication.Publication;
import yewberry.core.scene.PageScene;
import yewberry.pdf.AddedLayers;
import yewberry.pdf.proof.ReadBack;
import yewberry.pdf.proof.ReadBackReport;
import yewberry.server.publications.PictureFiles;
import yewberry.server.publications.SetPaths;
import yewberry.server.view.FileResult;

/**
 * The files of a set with what was laid behind and over their pages, as a zip file: each is read
 * back, and one that fails does not hold up the others.
 */
final class FilesExport {
    private static final Logger log = LoggerFactory.getLogger(FilesExport.class);

    private final Publication publication;
    private final Composer composer;
    private final PressCondition press;
    private final PictureFiles files;
    private final Instant now;

    FilesExport(
            Publication publication,
            Composer composer,
            PressCondition press,
            PictureFiles files,
            Instant now) {
        this.publication = publication;
        this.composer = composer;
        this.press = press;
        this.files = files;
        this.now = now;
    }

    /** Whether any page of a publication is that of a file. */
    static boolean isSet(Publication publication) {
        return publication.pages().stream().anyMatch(page -> page.imported().isPresent());
    }

    /**
     * @param to gets the zip file
     * @param progress by pages
     * @throws IOException if it cannot be written
     */
    List<FileResult> write(Path to, Progress progress) throws IOException {
        Map<UUID, SortedMap<Integer, Integer>> pages = pages();
        int all = pages.values().stream().mapToInt(Map::size).sum();
        List<FileResult> results = new ArrayList<>();
        Set<String> taken = new HashSet<>();
        int before = 0;
        Path part = Files.createTempFile(to.toAbsolutePath().getParent(), "file", ".part");
        try (ZipOutputStream zip =
                new ZipOutputStream(new BufferedOutputStream(Files.newOutputStream(to)))) {
            for (Map.Entry<UUID, SortedMap<Integer, Integer>> each : pages.entrySet()) {
                Asset asset = publication.asset(each.getKey());
                String name = Names.free(SetPaths.safe(asset.name()), taken);
                taken.add(name);
                int done = before;
                FileResult result =
                        written(
                                asset,
                                name + ".pdf",
                                each.getValue(),
                                part,
                                page -> progress.at(done + page, all));
                if (Files.size(part) > 0) {
                    zip.putNextEntry(new ZipEntry(result.name()));
                    Files.copy(part, zip);
                    zip.closeEntry();
                }
                results.add(result);
                before += each.getValue().size();
            }
        } finally {
            Files.deleteIfExists(part);
        }
        return results;
    }

    /** The pages of each file, by their number there, with their place in the publication. */
    private Map<UUID, SortedMap<Integer, Integer>> pages() {
        Map<UUID, SortedMap<Integer, Integer>> pages = new LinkedHashMap<>();
        for (int i = 0; i < publication.pages().size(); i++) {
            Page page = publication.pages().get(i);
            if (page.imported().isPresent()) {
                Imported file = page.imported().get();
                pages.computeIfAbsent(file.asset(), _ -> new TreeMap<>())
                        .putIfAbsent(file.number(), i);
            }
        }
        return pages;
    }

    private interface PageDone {
        void at(int page);
    }

    /** Nothing is in the part where there is no new file. */
    private FileResult written(
            Asset asset,
            String name,
            SortedMap<Integer, Integer> pages,
            Path part,
            PageDone progress)
            throws IOException {
        Files.write(part, new byte[0]);
        try {
            SortedMap<Integer, PageScene> scenes = new TreeMap<>();
            pages.forEach(
                    (number, index) -> scenes.put(number, composer.compose(publication, index)));
            byte[] original = files.read(asset.sha256());
            Medium medium = publication.setup().destination().media().getFirst();
            AddedLayers.Outcome outcome =
                    AddedLayers.add(
                            original,
                            scenes,
                            medium,
                            press,
                            now,
                            part,
                            (done, all) -> progress.at(done / 2));
            ReadBackReport report =
                    ReadBack.checkAdded(
                            part,
                            scenes,
                            medium,
                            press,
                            (done, all) -> progress.at((all + done) / 2));
            return FileResult.of(name, outcome.pages(), outcome.repaired(), report);
        } catch (CancellationException cancelled) {
            throw cancelled;
        } catch (Refused refused) {
            return failed(part, name, refused.getMessage());
        } catch (IOException | RuntimeException broken) {
            log.warn("A file of a set could not be written", broken);
            return failed(
                    part,
                    name,
                    "It could not be written; the file as it came is unchanged. Export it anew from where it was made, and import that.");
        }
    }

    private static FileResult failed(Path part, String name, String why) throws IOException {
        Files.write(part, new byte[0]);
        return new FileResult(name, 0, false, Optional.of(why));
    }
}
