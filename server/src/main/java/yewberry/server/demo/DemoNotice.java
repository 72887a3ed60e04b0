package yewberry.server.demo;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import yewberry.core.publication.Border;
import yewberry.core.publication.CharacterLook;
import yewberry.core.publication.Distance;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Highlight;
import yewberry.core.publication.Keeps;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Padding;
import yewberry.core.publication.Panel;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Role;
import yewberry.core.publication.Run;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.TextSetting;
import yewberry.core.publication.Tinted;

/**
 * A notice of the season guide: a heading reversed out of a colour, and below it a box with a
 * border, in which times are highlighted.
 */
final class DemoNotice {
    private static final Pattern TIME = Pattern.compile("\\d\\d:\\d\\d");
    private static final String HEADING = "High water at the causeway";
    private static final List<String> TEXT =
            List.of(
                    "Spring tides cover the lane from about 18:40 to 20:50 in October, and from 17:55 to 20:05 in November.",
                    "Be across an hour before, or wait on the landward side. The bell at the gate rings at 22:30.");

    private final Function<String, UUID> ids;
    private final Look heading;
    private final Look text;
    private final CharacterLook time;

    /**
     * @param reading a legible colour
     * @param ground of the heading, and of the border
     * @param pale of the box
     * @param mark of the highlights
     */
    DemoNotice(
            Function<String, UUID> ids, Swatch reading, Swatch ground, Swatch pale, Swatch mark) {
        this.ids = ids;
        Panel bar = Panel.shaded(Tinted.full(ground.id()), Panel.Reach.MEASURE, padding(0.25, 0.7));
        this.text =
                DemoLooks.look("Notice", "Source Sans 3", 400, 9.5, 13, 0, reading)
                        .withPanel(
                                Optional.of(
                                        Panel.NONE
                                                .withShading(
                                                        Optional.of(
                                                                new Fill.Solid(
                                                                        Tinted.full(pale.id()))))
                                                .withBorder(
                                                        Optional.of(
                                                                new Border(
                                                                        Border.ALL,
                                                                        Length.pt(0.75),
                                                                        Tinted.full(ground.id()),
                                                                        Border.Style.SOLID)))
                                                .withPadding(padding(0.6, 0.8))));
        this.heading =
                DemoLooks.look("Notice heading", "Fraunces", 600, 12, 15, 14, reading)
                        .withRole(Optional.of(Role.HEADING_2))
                        .withPanel(Optional.of(bar))
                        .withNext(Optional.of(text.id()))
                        .withSetting(TextSetting.USUAL.withKeeps(new Keeps(1, 1, true, true)));
        this.time =
                new CharacterLook(ids.apply("character look Time"), "Time")
                        .withWeight(Optional.of(600))
                        .withHighlight(
                                Optional.of(
                                        new Highlight(
                                                new Tinted(mark.id(), 50),
                                                -0.08,
                                                -0.02,
                                                0.12,
                                                0.15,
                                                false)));
    }

    private static Padding padding(double upright, double across) {
        return new Padding(
                Distance.em(upright),
                Distance.em(across),
                Distance.em(upright),
                Distance.em(across));
    }

    List<Look> looks() {
        return List.of(heading, text);
    }

    CharacterLook time() {
        return time;
    }

    List<Paragraph> paragraphs() {
        List<Paragraph> paragraphs = new ArrayList<>();
        paragraphs.add(
                new Paragraph(
                        ids.apply("paragraph notice"),
                        heading.id(),
                        List.of(new Run(ids.apply("run notice"), HEADING, Optional.empty()))));
        for (String each : TEXT) {
            String name = "notice " + paragraphs.size();
            paragraphs.add(
                    new Paragraph(ids.apply("paragraph " + name), text.id(), runs(name, each)));
        }
        return paragraphs;
    }

    /** Times have a look of their own. */
    private List<Run> runs(String name, String of) {
        List<Run> runs = new ArrayList<>();
        Matcher times = TIME.matcher(of);
        int from = 0;
        while (times.find()) {
            add(runs, name, of.substring(from, times.start()), Optional.empty());
            add(runs, name, times.group(), Optional.of(time.id()));
            from = times.end();
        }
        add(runs, name, of.substring(from), Optional.empty());
        return runs;
    }

    private void add(List<Run> runs, String name, String text, Optional<UUID> look) {
        if (!text.isEmpty()) {
            runs.add(
                    new Run(
                            ids.apply("run %s.%d".formatted(name, runs.size())),
                            text,
                            Optional.empty(),
                            look));
        }
    }
}
