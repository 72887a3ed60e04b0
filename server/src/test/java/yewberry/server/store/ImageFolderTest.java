package yewberry.server.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yewberry.core.asset.PlaneImage;

class ImageFolderTest {
    private static final long ENOUGH = 1_000_000;

    @TempDir Path folder;

    private static PlaneImage image(int width, int height, boolean covers) {
        byte[] samples = new byte[width * height * 4];
        byte[] alpha = new byte[width * height];
        new Random(7).nextBytes(samples);
        new Random(8).nextBytes(alpha);
        return new PlaneImage(
                width, height, 4, samples, covers ? Optional.of(alpha) : Optional.empty());
    }

    private void keep(String name, PlaneImage image) throws IOException {
        try (ImageFolder kept = new ImageFolder(folder, ENOUGH)) {
            kept.keep(name, image);
        }
    }

    private Optional<PlaneImage> find(String name) throws IOException {
        try (ImageFolder kept = new ImageFolder(folder, ENOUGH)) {
            return kept.find(name);
        }
    }

    @ParameterizedTest
    @ValueSource(booleans = {true, false})
    void what_was_kept_is_there_after_the_next_start(boolean covers) throws IOException {
        PlaneImage image = image(31, 17, covers);
        keep("a-1", image);
        PlaneImage found = find("a-1").orElseThrow();
        assertThat(found.samples()).isEqualTo(image.samples());
        assertThat(found.alpha().isPresent()).isEqualTo(covers);
        assertThat(found.alpha().orElse(new byte[0])).isEqualTo(image.alpha().orElse(new byte[0]));
        assertThat(List.of(found.width(), found.height(), found.planes()))
                .containsExactly(31, 17, 4);
        assertThat(find("a-2")).isEmpty();
    }

    @Test
    void what_is_broken_is_not_used_and_goes() throws IOException {
        keep("a", image(31, 17, true));
        byte[] whole = Files.readAllBytes(folder.resolve("a"));
        for (int length : List.of(0, 9, 30, whole.length / 2, whole.length - 1)) {
            Files.write(folder.resolve("a"), Arrays.copyOf(whole, length));
            assertThat(find("a")).as("cut to %d bytes", length).isEmpty();
            assertThat(folder.resolve("a")).doesNotExist();
        }
        for (int at : List.of(0, whole.length / 2, whole.length - 6)) {
            byte[] wrong = whole.clone();
            wrong[at] ^= 0x10;
            Files.write(folder.resolve("a"), wrong);
            assertThat(find("a")).as("another byte at %d", at).isEmpty();
        }
    }

    @Test
    void those_that_were_used_the_longest_ago_make_room() throws IOException {
        PlaneImage image = image(100, 100, false); // some 40,000 bytes that do not get fewer
        Instant now = Instant.now();
        try (ImageFolder kept = new ImageFolder(folder, ENOUGH)) {
            for (String name : List.of("a", "b", "c")) {
                kept.keep(name, image);
            }
        }
        for (String name : List.of("a", "b", "c")) {
            Files.setLastModifiedTime(
                    folder.resolve(name), FileTime.from(now.minus(Duration.ofDays(1))));
        }
        try (ImageFolder kept = new ImageFolder(folder, 90_000)) {
            assertThat(kept.find("b")).isPresent();
            kept.keep("d", image);
        }
        try (Stream<Path> left = Files.list(folder)) {
            assertThat(left.map(each -> each.getFileName().toString()))
                    .containsExactlyInAnyOrder("b", "d");
        }
    }
}
