package yewberry.server.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.util.FileSystemUtils;
import yewberry.core.asset.MadeImages;
import yewberry.server.Settings;

/** Where the pictures that were made are kept: as long as the code that made them is the same. */
@Configuration(proxyBeanMethods = false)
class Images {
    private static final Logger log = LoggerFactory.getLogger(Images.class);

    /** Of all files together. */
    private static final long BYTES = 2_000_000_000;

    private static final String FOLDER = "made";

    /** None are kept where the code is not packed: it may change at any moment. */
    @Bean
    MadeImages madeImages(Settings settings) throws IOException {
        Path code = code();
        if (!Files.isRegularFile(code)) {
            return MadeImages.NONE;
        }
        String build =
                Long.toHexString(Files.getLastModifiedTime(code).toMillis())
                        + Long.toHexString(Files.size(code));
        Path all = settings.data().resolve(FOLDER);
        try {
            removeOthers(all, build);
            return new ImageFolder(all.resolve(build), BYTES);
        } catch (IOException noRoom) {
            log.warn("Pictures are not kept from one start to the next", noRoom);
            return MadeImages.NONE;
        }
    }

    private static Path code() {
        try {
            return Path.of(
                    MadeImages.class.getProtectionDomain().getCodeSource().getLocation().toURI());
        } catch (java.net.URISyntaxException | IllegalArgumentException nested) {
            return Path.of("");
        }
    }

    private static void removeOthers(Path all, String build) throws IOException {
        if (Files.isDirectory(all)) {
            try (Stream<Path> builds = Files.list(all)) {
                for (Path each : builds.filter(it -> !it.endsWith(build)).toList()) {
                    FileSystemUtils.deleteRecursively(each);
                }
            }
        }
    }
}
