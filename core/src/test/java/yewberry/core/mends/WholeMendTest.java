package yewberry.core.mends;

import static org.assertj.core.api.Assertions.assertThat;
import static yewberry.core.Sample.BODY;
import static yewberry.core.Sample.HEADING;
import static yewberry.core.Sample.NIGHT;
import static yewberry.core.Sample.SIGNAL;
import static yewberry.core.Sample.WHITE;
import static yewberry.core.Sample.band;
import static yewberry.core.Sample.frame;
import static yewberry.core.Sample.id;
import static yewberry.core.Sample.wholePage;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import yewberry.core.Progress;
import yewberry.core.Refused;
import yewberry.core.Sample;
import yewberry.core.color.Cmyk;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.edit.Editing;
import yewberry.core.legibility.Demand;
import yewberry.core.legibility.Legibility;
import yewberry.core.publication.Background;
import yewberry.core.publication.Edge;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Frame;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Look;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;

/** One set of changes for all that fails. */
class WholeMendTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final Composer COMPOSER = new Composer(COATED);

    private static Legibility legibility(Publication in) {
        return new Legibility(COATED, Demand.of(in.setup()), in.setup().destination());
    }

    private static WholeMend of(Publication in, UUID... excepted) {
        return WholeMend.of(
                in,
                COMPOSER,
                legibility(in),
                COATED,
                Set.of(excepted),
                UUID::randomUUID,
                Progress.NONE);
    }

    private static Set<UUID> failing(Publication in) {
        return COMPOSER.composeAll(in).stream()
                .flatMap(scene -> legibility(in).judgeEach(scene).stream())
                .filter(each -> !each.passes())
                .map(each -> each.run().run())
                .collect(Collectors.toSet());
    }

    private static Publication after(Publication in, List<WholeMend.Change> changes) {
        return changes.isEmpty() ? in : Editing.edit(in, WholeMend.together(changes)).publication();
    }

    /** Text in two looks on a dark page: one other background would mend both. */
    private static Publication dark() {
        return Sample.withPage(
                new Layer(
                        List.of(wholePage("g", NIGHT)),
                        List.of(
                                frame("f", 10, 10, 100, 40, BODY, "One", "Two", "Three"),
                                frame("h", 10, 60, 100, 40, HEADING, "Four"))));
    }

    @Test
    void one_change_is_proposed_where_one_is_enough() {
        WholeMend mend = of(dark());
        assertThat(mend.changes()).hasSize(1);
        assertThat(mend.left()).isEmpty();
        assertThat(failing(after(dark(), mend.changes()))).isEmpty();
    }

    @Test
    void what_is_excepted_is_left_as_it_is() {
        Publication in = dark();
        assertThat(of(in, failing(in).toArray(UUID[]::new)).changes()).isEmpty();
    }

    @Test
    void text_that_nothing_mends_is_listed() {
        // black and white behind the words, at AAA's ratio and more, with nothing to put between
        Publication hard =
                Sample.withPage(
                        new Layer(
                                List.of(wholePage("g", WHITE), band("b", Edge.LEFT, 40, NIGHT)),
                                List.of(
                                        frame(
                                                "f",
                                                20,
                                                10,
                                                100,
                                                30,
                                                BODY,
                                                "These words begin on the night and go on over white"))));
        WholeMend mend = of(hard);
        Set<UUID> left = mend.left().stream().map(WholeMend.Left::run).collect(Collectors.toSet());
        assertThat(failing(after(hard, mend.changes()))).isEqualTo(left);
    }

    private static final String ON_STRIPES = "These words begin on the night and go on over white";

    /** No colour of text reads on all of it. */
    private static Fill stripes() {
        return new Fill.Gradient(
                Fill.Gradient.Kind.LINEAR,
                90,
                false,
                IntStream.rangeClosed(0, 20)
                        .mapToObj(i ->
                                new Fill.Gradient.Stop(
                                        5 * i, Tinted.full((i % 2 == 0 ? NIGHT : WHITE).id()), 100))
                        .toList());
    }

    /** Both have one cause, but what is put behind words is for some of them only. */
    @Test
    void what_a_veil_behind_other_words_leaves_gets_one_of_its_own() {
        Publication hard =
                Sample.withPage(
                        new Layer(
                                List.of(wholePage("g", NIGHT).withFill(stripes())),
                                List.of(
                                        frame("f", 20, 10, 150, 30, BODY, ON_STRIPES),
                                        frame("h", 20, 80, 150, 30, BODY, ON_STRIPES))));
        assertThat(failing(hard)).hasSize(2);
        WholeMend mend = of(hard);
        assertThat(mend.left()).isEmpty();
        assertThat(mend.changes())
                .hasSize(2)
                .anySatisfy(each -> assertThat(each.words()).startsWith("A veil of "));
        assertThat(failing(after(hard, mend.changes()))).isEmpty();
    }

    /** Pages by seed: up to five grounds with text on them in up to four looks. */
    private static Publication random(int seed) {
        Random random = new Random(seed);
        List<Swatch> swatches = new ArrayList<>();
        List<Look> looks = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            Swatch swatch =
                    new Swatch(
                            id("s" + i),
                            "S" + i,
                            new Cmyk(
                                    random.nextInt(101),
                                    random.nextInt(101),
                                    0,
                                    random.nextInt(80)));
            swatches.add(swatch);
            looks.add(
                    Sample.look("L" + i, 400, 8 + random.nextInt(14), swatch)
                            .withOverprint(Look.Overprint.NEVER));
        }
        List<Background> grounds = new ArrayList<>();
        List<Frame> frames = new ArrayList<>();
        List<Swatch> all =
                Stream.concat(swatches.stream(), Stream.of(NIGHT, WHITE, SIGNAL)).toList();
        grounds.add(wholePage("g", all.get(random.nextInt(all.size()))));
        for (int i = 0; i < 2; i++) {
            grounds.add(
                    band(
                            "b" + i,
                            i == 0 ? Edge.TOP : Edge.BOTTOM,
                            50,
                            all.get(random.nextInt(all.size()))));
        }
        for (int i = 0; i < 5; i++) {
            frames.add(
                    frame(
                            "f" + i,
                            10,
                            5 + i * 40,
                            100,
                            20,
                            looks.get(random.nextInt(4)),
                            "Reeds and mud " + i));
        }
        Publication page = Sample.withPage(new Layer(grounds, frames));
        return page.withSwatches(
                        Stream.concat(page.swatches().stream(), swatches.stream()).toList())
                .withLooks(Stream.concat(page.looks().stream(), looks.stream()).toList());
    }

    /** What it says is mended passes then, nothing else fails, and no change can be left out. */
    @Property(tries = 8)
    void it_keeps_what_it_promises(@ForAll int seed) {
        Publication before = random(seed);
        Set<UUID> failed = failing(before);
        WholeMend mend = of(before);
        Set<UUID> left = mend.left().stream().map(WholeMend.Left::run).collect(Collectors.toSet());
        assertThat(failing(after(before, mend.changes()))).isEqualTo(left);
        assertThat(failed).containsAll(left);
        for (WholeMend.Change each : mend.changes()) {
            List<WholeMend.Change> without =
                    mend.changes().stream().filter(other -> other != each).toList();
            Set<UUID> then = new HashSet<>(failing(after(before, without)));
            assertThat(then).isNotEqualTo(left);
        }
    }

    /** The fewest changes, found here by trying all subsets of what mends one run at a time. */
    @Test
    void the_set_is_as_small_as_trying_all_of_them_finds() {
        for (int seed = 1; seed <= 4; seed++) {
            Publication before = random(seed);
            WholeMend mend = of(before);
            assertThat(mend.changes().size()).isLessThanOrEqualTo(fewest(before, mend));
        }
    }

    /** Two for one run may bring the same swatch. */
    private static boolean can(Publication before, List<WholeMend.Change> changes) {
        try {
            return after(before, changes) != null;
        } catch (Refused twice) {
            return false;
        }
    }

    /** The size of the smallest set of mends and remedies that leaves no more failing. */
    private static int fewest(Publication before, WholeMend mend) {
        Set<UUID> left = mend.left().stream().map(WholeMend.Left::run).collect(Collectors.toSet());
        List<WholeMend.Change> single = new ArrayList<>();
        for (UUID run : failing(before)) {
            for (ColorMend each :
                    ColorMend.of(
                            run,
                            before,
                            COMPOSER.composeAll(before),
                            legibility(before),
                            COATED,
                            UUID.randomUUID())) {
                single.add(
                        new WholeMend.Change(each.name(), each.edit(), Set.of(run), List.of(), 0));
            }
        }
        for (int size = 0; size < mend.changes().size(); size++) {
            if (size == 0 && failing(before).equals(left)) {
                return 0;
            }
            if (size == 1
                    && single.stream()
                            .anyMatch(one ->
                                    left.containsAll(failing(after(before, List.of(one)))))) {
                return 1;
            }
            if (size == 2) {
                for (int i = 0; i < single.size(); i++) {
                    for (int j = i + 1; j < single.size(); j++) {
                        List<WholeMend.Change> two = List.of(single.get(i), single.get(j));
                        if (can(before, two) && left.containsAll(failing(after(before, two)))) {
                            return 2;
                        }
                    }
                }
            }
        }
        return mend.changes().size();
    }
}
