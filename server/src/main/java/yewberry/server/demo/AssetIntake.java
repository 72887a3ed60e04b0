package yewberry.server.demo;

import java.util.UUID;
import yewberry.core.publication.Asset;

/** Takes the picture files of the demo in. */
@FunctionalInterface
public interface AssetIntake {
    Asset take(UUID id, String fileName, byte[] file);
}
