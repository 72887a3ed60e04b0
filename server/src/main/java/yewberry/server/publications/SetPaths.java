package yewberry.server.publications;

import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Names of files with their folders, as they come in and go out in zip files. */
public final class SetPaths {
    private SetPaths() {}

    /** A way that leads out of no folder, and that any system can write. */
    public static String safe(String name) {
        String path =
                Stream.of(name.split("[/\\\\]"))
                        .map(part -> part.replaceAll("[<>:\"|?*\\p{Cntrl}]", "-").strip())
                        .filter(part -> !part.isEmpty() && !part.matches("\\.+"))
                        .collect(Collectors.joining("/"));
        return path.isEmpty() ? "file" : path;
    }
}
