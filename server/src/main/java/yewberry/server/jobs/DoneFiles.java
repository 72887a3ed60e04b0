package yewberry.server.jobs;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;
import yewberry.server.view.FileResult;

/**
 * The files of a set that an export made so far, with what became of each: where the server ends in
 * the middle of it, it goes on behind them after the next start.
 */
final class DoneFiles {
    private static final Logger log = LoggerFactory.getLogger(DoneFiles.class);

    private final Path folder;
    private final String name;
    private final JsonMapper mapper;

    /**
     * @param folder of the exports
     */
    DoneFiles(Path folder, UUID job, JsonMapper mapper) {
        this.folder = folder;
        this.name = job + ".done-";
        this.mapper = mapper;
    }

    /**
     * What became of a file, if it is here.
     *
     * @param place of the file among those of the export, from 0
     */
    Optional<FileResult> find(int place) {
        Path told = told(place);
        if (!Files.exists(told)) {
            return Optional.empty();
        }
        try {
            return Optional.of(mapper.readValue(Files.readString(told), FileResult.class));
        } catch (IOException | JacksonException broken) {
            log.warn("A file of an export is made once more", broken);
            return Optional.empty();
        }
    }

    /** One that was found. */
    Path file(int place) {
        return folder.resolve(name + place + ".pdf");
    }

    private Path told(int place) {
        return folder.resolve(name + place + ".json");
    }

    /** What cannot be kept is only made once more. */
    void keep(int place, Path file, FileResult result) {
        Path writing = folder.resolve(name + place + ".writing");
        try {
            Files.copy(file, file(place), StandardCopyOption.REPLACE_EXISTING);
            Files.writeString(writing, mapper.writeValueAsString(result));
            Files.move(writing, told(place), StandardCopyOption.ATOMIC_MOVE);
        } catch (IOException full) {
            log.warn("A file of an export is not kept for the case that it is cut off", full);
        }
    }

    void clear() {
        try (var listed = Files.list(folder)) {
            List<Path> all =
                    listed.filter(file -> file.getFileName().toString().startsWith(name)).toList();
            for (Path each : all) {
                Files.deleteIfExists(each);
            }
        } catch (IOException unreadable) {
            log.warn("Files of an export are left over", unreadable);
        }
    }
}
