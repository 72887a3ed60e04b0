package yewberry.core.publication;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class UsesTest {
    private static final int PARENTS = 700;

    private static Page page(int parent) {
        return new Page(UUID.randomUUID(), Optional.of(new UUID(0, parent)), true, Layer.EMPTY);
    }

    /** Counted on through thousands of changes, as many elements as are kept apart and more. */
    @Test
    void counts_are_those_of_what_refers_to_each_after_any_changes() {
        Random random = new Random(5);
        Uses uses =
                Uses.of(
                        new Publication(
                                UUID.randomUUID(),
                                "Leaflet",
                                Setup.of(new PageSize(Length.mm(148), Length.mm(210)), true),
                                List.of(),
                                List.of(),
                                List.of(),
                                List.of()));
        int[] counts = new int[PARENTS];
        List<Page> pages = new ArrayList<>();
        for (int step = 0; step < 3_000; step++) {
            Uses before = uses;
            int parent = random.nextInt(PARENTS);
            int was = before.of(new UUID(0, parent));
            if (pages.isEmpty() || random.nextInt(3) > 0) {
                Page added = page(parent);
                pages.add(added);
                counts[parent]++;
                uses = uses.after(Stream.of(), Stream.of(added));
            } else {
                Page gone = pages.remove(random.nextInt(pages.size()));
                counts[(int) gone.parent().orElseThrow().getLeastSignificantBits()]--;
                uses = uses.after(Stream.of(gone), Stream.of());
            }
            assertThat(before.of(new UUID(0, parent))).as("those before stay").isEqualTo(was);
        }
        for (int parent = 0; parent < PARENTS; parent++) {
            assertThat(uses.of(new UUID(0, parent))).isEqualTo(counts[parent]);
        }
    }
}
