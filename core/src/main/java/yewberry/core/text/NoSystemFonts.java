package yewberry.core.text;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;

/**
 * The JDK looks for the system's fonts before it opens any, and on a machine that has none it gives
 * up. A font configuration file without fonts (JDK, "Font Configuration Files") lets it go on.
 */
final class NoSystemFonts {
    private static final String PROPERTY = "sun.awt.fontconfig";

    private NoSystemFonts() {}

    /** Has to come before the first font is opened. */
    static void configure() {
        if (System.getProperty(PROPERTY) != null) {
            return;
        }
        try {
            Path file = Files.createTempFile("yewberry-fonts", ".properties");
            file.toFile().deleteOnExit();
            Files.writeString(file, "version=1\nsequence.allfonts=default\n");
            System.setProperty(PROPERTY, file.toString());
        } catch (IOException e) {
            throw new UncheckedIOException("The folder for temporary files cannot be written", e);
        }
    }
}
