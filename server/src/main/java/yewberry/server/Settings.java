package yewberry.server;

import java.nio.file.Path;
import java.time.Duration;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * @param data the folder that holds the database and the exported files
 * @param backupEvery how often a backup is made, if anything has changed
 * @param demo whether to put the demo publication there if there is none at all
 */
@ConfigurationProperties("yewberry")
public record Settings(Path data, boolean demo, Duration backupEvery) {}
