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
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import yewberry.core.Busy;
import yewberry.core.Names;
import yewberry.core.Progress;
import yewberry.core.Refused;
import yewberry.core.asset.KnownFile;
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
import yewberry.pdf.proof.TakenOffCheck;
import yewberry.server.publications.SetPaths;
import yewberry.server.view.FileResult;

/**
 * The files of a set with what was laid behind and over their pages, or without what was added to
 * them before. One that fails does not hold up the others.
 */
public final class SetOutput {
    private static final Logger log = LoggerFactory.getLogger(SetOutput.class);

    private final Publication publication;
    private final Composer composer;
    private final PressCondition press;
    private final Function<String, KnownFile> files;
    private final Instant now;
    private final Optional<DoneFiles> done;

    /**
     * @param files a file that is kept, by its SHA-256
     * @param now goes into the marks of what is added
     */
    public SetOutput(
            Publication publication,
            Composer composer,
            PressCondition press,
            Function<String, KnownFile> files,
            Instant now) {
        this(publication, composer, press, files, now, Optional.empty());
    }

    /**
     * @param done those that are made already, and are not made again; gets more
     */
    SetOutput(
            Publication publication,
            Composer composer,
            PressCondition press,
            Function<String, KnownFile> files,
            Instant now,
            Optional<DoneFiles> done) {
        this.done = done;
        this.publication = publication;
        this.composer = composer;
        this.press = press;
        this.files = files;
        this.now = now;
    }

    /** Where new files go. */
    public interface To {
        /**
         * @param name with its folders
         * @param file that is read at once, because it is gone after it
         */
        void put(String name, Path file) throws IOException;
    }

    /** Makes one new file. */
    private interface Making {
        /**
         * @param pages the places in the publication of those that are in it, by their numbers
         *     there
         * @param part gets the file
         * @param progress by pages
         */
        FileResult make(
                Asset asset,
                String name,
                SortedMap<Integer, Integer> pages,
                Path part,
                Progress progress)
                throws IOException;
    }

    /** Whether any page of a publication is that of a file. */
    static boolean isSet(Publication publication) {
        return publication.pages().stream().anyMatch(page -> page.imported().isPresent());
    }

    /** All of its new files in one zip file. */
    static List<FileResult> zipped(Path zip, ToAll all) throws IOException {
        try (ZipOutputStream out =
                new ZipOutputStream(new BufferedOutputStream(Files.newOutputStream(zip)))) {
            return all.write((name, file) -> {
                out.putNextEntry(new ZipEntry(name));
                Files.copy(file, out);
                out.closeEntry();
            });
        }
    }

    /** Writes all files of a set. */
    interface ToAll {
        List<FileResult> write(To to) throws IOException;
    }

    /**
     * Each file with what lies behind and over its pages; it is read back.
     *
     * @param progress by pages
     * @throws IOException if one cannot be put where it goes
     */
    public List<FileResult> write(To to, Progress progress) throws IOException {
        return each(to, progress, _ -> true, this::added);
    }

    /**
     * Each file without what was added to it before, as its marks tell.
     *
     * @param off what comes off, and of which files
     * @param progress by pages
     * @throws IOException if one cannot be put where it goes
     */
    public List<FileResult> takeOff(TakeOffRequest off, To to, Progress progress)
            throws IOException {
        return each(
                to,
                progress,
                off::takesFrom,
                (asset, name, pages, part, at) -> {
                    KnownFile file = files.apply(asset.sha256()).fetched();
                    AddedLayers.Outcome outcome =
                            AddedLayers.takeOff(
                                    file,
                                    off::takes,
                                    off.ofOthers(),
                                    now,
                                    part,
                                    (done, all) ->
                                            at.at(done * pages.size() / all / 2, pages.size()));
                    List<Integer> wrong =
                            TakenOffCheck.wrong(
                                    file,
                                    part,
                                    off::takes,
                                    press,
                                    (done, all) ->
                                            at.at(
                                                    (all + done) * pages.size() / all / 2,
                                                    pages.size()));
                    return FileResult.of(
                            name, outcome.pages(), outcome.repaired(), pages.firstKey(), wrong);
                });
    }

    private List<FileResult> each(To to, Progress progress, Predicate<UUID> which, Making making)
            throws IOException {
        Map<UUID, SortedMap<Integer, Integer>> pages = pages();
        pages.keySet().removeIf(which.negate());
        int all = pages.values().stream().mapToInt(Map::size).sum();
        List<FileResult> results = new ArrayList<>();
        Set<String> taken = new HashSet<>();
        int before = 0;
        Path part = Files.createTempFile("yewberry-set", ".part");
        try {
            for (Map.Entry<UUID, SortedMap<Integer, Integer>> file : pages.entrySet()) {
                Asset asset = publication.asset(file.getKey());
                String name = Names.free(SetPaths.safe(asset.name()), taken);
                taken.add(name);
                int place = results.size();
                int pagesBefore = before;
                Optional<FileResult> known = done.flatMap(each -> each.find(place));
                if (known.isPresent()) {
                    progress.at(before + file.getValue().size(), all);
                    to.put(known.get().name(), done.orElseThrow().file(place));
                    results.add(known.get());
                    before += file.getValue().size();
                    continue;
                }
                FileResult result =
                        made(
                                making,
                                asset,
                                name + ".pdf",
                                file.getValue(),
                                part,
                                (page, _) -> progress.at(pagesBefore + page, all));
                if (Files.size(part) > 0) {
                    to.put(result.name(), part);
                    done.ifPresent(each -> each.keep(place, part, result));
                }
                results.add(result);
                before += file.getValue().size();
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

    /** Nothing is in the part where there is no new file. */
    private static FileResult made(
            Making making,
            Asset asset,
            String name,
            SortedMap<Integer, Integer> pages,
            Path part,
            Progress progress)
            throws IOException {
        Files.write(part, new byte[0]);
        try {
            return making.make(asset, name, pages, part, progress);
        } catch (CancellationException cancelled) {
            throw cancelled;
        } catch (Refused | Busy told) {
            return failed(part, name, told.getMessage());
        } catch (IOException | RuntimeException broken) {
            log.warn("A file of a set could not be written", broken);
            return failed(
                    part,
                    name,
                    "It could not be written; the file as it came is unchanged. Export it again from where it was made, and open that.");
        }
    }

    private FileResult added(
            Asset asset,
            String name,
            SortedMap<Integer, Integer> pages,
            Path part,
            Progress progress)
            throws IOException {
        SortedMap<Integer, PageScene> scenes = new TreeMap<>();
        pages.forEach((number, index) -> scenes.put(number, composer.compose(publication, index)));
        Medium medium = publication.setup().destination().media().getFirst();
        KnownFile file = files.apply(asset.sha256()).fetched();
        AddedLayers.Outcome outcome =
                AddedLayers.add(
                        file,
                        scenes,
                        medium,
                        press,
                        now,
                        part,
                        (done, all) -> progress.at(done / 2, all));
        ReadBackReport report =
                ReadBack.checkAdded(
                        part,
                        file.password(),
                        scenes,
                        medium,
                        press,
                        (done, all) -> progress.at((all + done) / 2, all));
        return FileResult.of(
                name, outcome.pages(), outcome.repaired(), pages.firstKey(), report.wrong());
    }

    private static FileResult failed(Path part, String name, String why) throws IOException {
        Files.write(part, new byte[0]);
        return new FileResult(name, 0, false, Optional.empty(), Optional.of(why));
    }
}
