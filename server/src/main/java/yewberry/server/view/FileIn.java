package yewberry.server.view;

import java.util.Optional;
import yewberry.core.Locked;
import yewberry.core.publication.Asset;

/**
 * A file that came in, singly or in a zip file.
 *
 * @param name with its folders
 * @param asset what an edit adds; nothing where it was refused
 * @param refused why it is not taken in
 * @param locked whether another password may help
 */
public record FileIn(String name, Optional<Asset> asset, Optional<String> refused, boolean locked) {
    public static FileIn of(String name, Asset asset) {
        return new FileIn(name, Optional.of(asset), Optional.empty(), false);
    }

    public static FileIn refused(String name, String why) {
        return new FileIn(name, Optional.empty(), Optional.of(why), false);
    }

    public static FileIn locked(String name, Locked why) {
        return new FileIn(name, Optional.empty(), Optional.of(why.getMessage()), true);
    }
}
