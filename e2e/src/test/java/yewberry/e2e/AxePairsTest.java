package yewberry.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.CheckedNode;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.Page;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import yewberry.core.color.Contrast;
import yewberry.core.color.PressCondition;
import yewberry.core.color.Rgb;
import yewberry.core.compose.Composer;
import yewberry.core.legibility.Legibility;
import yewberry.core.legibility.RunContrast;
import yewberry.core.publication.Area;
import yewberry.core.publication.Background;
import yewberry.core.publication.Box;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Level;
import yewberry.core.publication.Look;
import yewberry.core.publication.Owner;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Run;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Story;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.Tinted;

/**
 * The same text on the same solid colours, judged here and by axe-core in Chromium: 250 pairs by
 * seed whose ratios lie close around what is required, in sizes and weights around those where text
 * begins to count as large.
 */
@ExtendWith(Browser.class)
class AxePairsTest {
    private static final int PAIRS = 250;
    private static final double[] SIZES = {9, 13.9, 14, 14.1, 17.9, 18, 18.1, 24};
    private static final int[] WEIGHTS = {400, 600, 700};

    private record Pair(int number, Rgb text, Rgb ground, double size, int weight) {
        String html() {
            return """
            <p id="pair-%d" style="margin:0;padding:12px;color:%s;background:%s;font:%d %spt sans-serif">Reeds and mud</p>
            """
                    .formatted(number, text.hex(), ground.hex(), weight, size);
        }
    }

    private static List<Pair> pairs(Level level) {
        Random random = new Random(level.ordinal() + 22);
        List<Pair> pairs = new ArrayList<>();
        for (int number = 0; number < PAIRS; number++) {
            double aim = level.required(random.nextBoolean());
            Rgb ground = color(random);
            Rgb text = color(random);
            for (int i = 0; i < 2_000 && off(text, ground, aim) > 0.04; i++) {
                Rgb other = color(random);
                if (i % 100 == 99) {
                    ground = color(random); // nothing reaches that far from a middle grey
                }
                text = off(other, ground, aim) < off(text, ground, aim) ? other : text;
            }
            pairs.add(
                    new Pair(
                            number,
                            text,
                            ground,
                            SIZES[random.nextInt(SIZES.length)],
                            WEIGHTS[random.nextInt(WEIGHTS.length)]));
        }
        return pairs;
    }

    private static Rgb color(Random random) {
        return new Rgb(random.nextInt(256), random.nextInt(256), random.nextInt(256));
    }

    private static double off(Rgb text, Rgb ground, double aim) {
        return Math.abs(Contrast.ratio(text, ground) - aim);
    }

    private static UUID id(String name) {
        return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8));
    }

    /** Whether each pair passes here, each on a page of its own that is composed and judged. */
    private static Map<Integer, Boolean> here(List<Pair> pairs, Level level) {
        List<Swatch> swatches = new ArrayList<>();
        List<Look> looks = new ArrayList<>();
        List<yewberry.core.publication.Page> pages = new ArrayList<>();
        List<Story> stories = new ArrayList<>();
        for (Pair pair : pairs) {
            Swatch text = new Swatch(id("text" + pair.number()), "t" + pair.number(), pair.text());
            Swatch ground =
                    new Swatch(id("ground" + pair.number()), "g" + pair.number(), pair.ground());
            swatches.addAll(List.of(text, ground));
            Look look =
                    new Look(
                            id("look" + pair.number()),
                            "Look",
                            "Source Sans 3",
                            pair.weight(),
                            Length.pt(pair.size()),
                            Length.pt(pair.size() * 1.2),
                            Length.pt(0),
                            Look.Alignment.LEFT,
                            Tinted.full(text.id()),
                            Look.Overprint.NEVER);
            looks.add(look);
            TextFrame frame =
                    new TextFrame(
                            id("frame" + pair.number()),
                            Sides.BOTH,
                            new Box(Length.mm(5), Length.mm(5), Length.mm(85), Length.mm(20)),
                            id("story" + pair.number()));
            var page =
                    new yewberry.core.publication.Page(
                            id("page" + pair.number()),
                            Optional.empty(),
                            true,
                            new Layer(
                                    List.of(
                                            new Background(
                                                    id("back" + pair.number()),
                                                    Sides.BOTH,
                                                    new Area.WholePage(),
                                                    new Fill.Solid(Tinted.full(ground.id())))),
                                    List.of(frame)));
            pages.add(page);
            stories.add(
                    new Story(
                            frame.story(),
                            List.of(new Story.Link(new Owner.OnPage(page.id()), frame.id())),
                            List.of(
                                    new Paragraph(
                                            id("paragraph" + pair.number()),
                                            look.id(),
                                            List.of(
                                                    new Run(
                                                            id("run" + pair.number()),
                                                            "Reeds and mud",
                                                            Optional.empty()))))));
        }
        PressCondition press = PressCondition.coated();
        Publication publication =
                new Publication(
                                id("publication"),
                                "Pairs",
                                Setup.of(new PageSize(Length.mm(95), Length.mm(30)), false)
                                        .withDestination(Destination.SCREEN),
                                swatches,
                                looks,
                                List.of(),
                                pages)
                        .withStories(stories);
        Composer composer = new Composer(press);
        Legibility legibility = new Legibility(press, level, Destination.SCREEN);
        Map<Integer, Boolean> passes = new HashMap<>();
        for (Pair pair : pairs) {
            passes.put(
                    pair.number(),
                    legibility.judge(composer.compose(publication, pair.number())).stream()
                            .allMatch(RunContrast::passes));
        }
        return passes;
    }

    private static final Pattern NUMBER = Pattern.compile("pair-(\\d+)");

    private static Set<Integer> numbers(List<Rule> rules) {
        Set<Integer> numbers = new HashSet<>();
        for (Rule rule : rules) {
            for (CheckedNode node : rule.getNodes()) {
                Matcher matcher = NUMBER.matcher(node.getHtml());
                if (matcher.find()) {
                    numbers.add(Integer.parseInt(matcher.group(1)));
                }
            }
        }
        return numbers;
    }

    @ParameterizedTest
    @EnumSource(Level.class)
    void axe_comes_to_the_same_verdicts(Level level, Browser.Window window) {
        List<Pair> pairs = pairs(level);
        Page page = window.openShelf();
        page.navigate("about:blank");
        page.setContent(
                "<!doctype html><html lang=\"en\"><title>Pairs</title><main>%s</main></html>"
                        .formatted(pairs.stream().map(Pair::html).collect(Collectors.joining())));
        var results =
                new AxeBuilder(page)
                        .withRules(
                                level == Level.AA
                                        ? List.of("color-contrast")
                                        : List.of("color-contrast", "color-contrast-enhanced"))
                        .analyze();
        Set<Integer> failing = numbers(results.getViolations());
        Set<Integer> passing = numbers(results.getPasses());
        passing.removeAll(failing); // what fails AA is no failure of axe's rule for AAA
        assertThat(failing.size() + passing.size()).isEqualTo(PAIRS);
        assertThat(failing).hasSizeGreaterThan(PAIRS / 5);
        assertThat(passing).hasSizeGreaterThan(PAIRS / 5);
        Map<Integer, Boolean> here = here(pairs, level);
        assertThat(
                        pairs.stream()
                                .filter(each ->
                                        here.get(each.number()) != passing.contains(each.number())))
                .isEmpty();
    }
}
