package yewberry.core.publication;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yewberry.core.Refused;
import yewberry.core.color.Rgb;

class ElementsTest {
    private static Swatch swatch(UUID id) {
        return new Swatch(id, "of " + id, Rgb.BLACK);
    }

    /** Ids by chance, ids that a person counted up, and such as only one half tells apart. */
    private static List<Swatch> swatches(int count, Random random) {
        List<Swatch> swatches = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            swatches.add(
                    swatch(
                            switch (i % 3) {
                                case 0 -> new UUID(random.nextLong(), random.nextLong());
                                case 1 -> new UUID(0, i);
                                default -> new UUID((long) i << 32, 0);
                            }));
        }
        Collections.shuffle(swatches, random);
        return swatches;
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 3, 64, 65, 5_000})
    void each_is_found_where_it_stands_and_nothing_else_is(int count) {
        Random random = new Random(count);
        List<Swatch> inOrder = swatches(count, random);
        Elements<Swatch> elements = Elements.of(inOrder);
        for (int i = 0; i < count; i++) {
            UUID id = inOrder.get(i).id();
            assertThat(elements.position(id)).hasValue(i);
            assertThat(elements.find(id)).containsSame(inOrder.get(i));
            assertThat(elements.holds(id)).isTrue();
        }
        for (int i = 0; i < 200; i++) {
            UUID other = new UUID(random.nextLong(), i);
            assertThat(elements.position(other)).isEmpty();
            assertThat(elements.find(other)).isEmpty();
            assertThat(elements.holds(other)).isFalse();
        }
        assertThat(elements.toArray()).containsExactlyElementsOf(inOrder);
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 3, 100})
    void what_comes_goes_and_changes_is_found_afterwards(int count) {
        Random random = new Random(count);
        Elements<Swatch> elements = Elements.of(swatches(count, random));
        UUID first = elements.getFirst().id();
        Swatch added = swatch(UUID.randomUUID());
        Elements<Swatch> more = elements.plus(added);
        assertThat(more.position(added.id())).hasValue(count);
        assertThatThrownBy(() -> more.plus(swatch(first))).isInstanceOf(Refused.class);
        Elements<Swatch> fewer = more.without(first);
        assertThat(fewer.position(first)).isEmpty();
        assertThat(fewer.position(added.id())).hasValue(count - 1);
        Elements<Swatch> changed = more.changed(added.id(), each -> each.withName("Night"));
        assertThat(changed.find(added.id()).orElseThrow().name()).isEqualTo("Night");
        assertThat(more.find(added.id())).containsSame(added);
    }
}
