package yewberry.server.reports;

import java.nio.charset.StandardCharsets;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.color.Numbers;
import yewberry.core.color.Rgb;
import yewberry.core.edit.Editing;
import yewberry.core.findings.MakeRoom;
import yewberry.core.flow.FlowMemory;
import yewberry.core.flow.Flows;
import yewberry.core.publication.Box;
import yewberry.core.publication.Destination;
import yewberry.core.publication.Distance;
import yewberry.core.publication.Field;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Owner;
import yewberry.core.publication.Padding;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.Panel;
import yewberry.core.publication.Paragraph;
import yewberry.core.publication.Parent;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Role;
import yewberry.core.publication.Run;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Story;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.TextFrame;
import yewberry.core.publication.TextSetting;
import yewberry.core.publication.Tinted;
import yewberry.server.view.ExemptionView;
import yewberry.server.view.FindingView;
import yewberry.server.view.NotJudgedView;
import yewberry.server.view.ViewingTable;

/** A report as a publication of its own, on A4, which is composed and written like any other. */
final class ReportPages {
    /** Of one cause so many places are told one by one. */
    private static final int MOST_PLACES = 200;

    /** So many colours are shown beside words; a publication holds no more than 1,000 swatches. */
    private static final int MOST_COLORS = 900;

    /** So much of a text says which one it is. */
    private static final int WORDS = 90;

    private static final DateTimeFormatter DATE =
            DateTimeFormatter.ofPattern("d MMMM yyyy, HH:mm 'UTC'", Locale.UK)
                    .withZone(ZoneOffset.UTC);

    private static final Swatch INK = new Swatch(id("ink"), "Ink", new Rgb(28, 28, 28));
    private static final Look TITLE = look("Title", "Fraunces", 600, 20, 26, 0, Role.TITLE);
    private static final Look HEADING =
            look("Heading", "Fraunces", 600, 13, 17, 16, Role.HEADING_1);
    private static final Look CAUSE =
            look("Cause", "Source Sans 3", 700, 10, 13, 10, Role.HEADING_2);
    private static final Look BODY = look("Body", "Source Sans 3", 400, 9.5, 13, 3, Role.BODY);
    private static final Look PLACE =
            look("Place", "Source Sans 3", 400, 9, 12, 2, Role.BODY)
                    .withSetting(TextSetting.USUAL.withIndents(Length.mm(-16), Length.mm(16)));
    private static final Look SAMPLE = look("Sample", "Source Sans 3", 600, 10, 14, 4, Role.BODY);
    private static final Look FOOT = look("Foot", "Source Sans 3", 400, 8, 11, 0, Role.BODY);

    private final LegibilityReport report;
    private final List<Paragraph> text = new ArrayList<>();
    private final Map<String, Swatch> colors = new HashMap<>();

    private ReportPages(LegibilityReport report) {
        this.report = report;
    }

    static Publication of(LegibilityReport report) {
        return new ReportPages(report).publication();
    }

    private Publication publication() {
        write();
        UUID parent = id("parent");
        UUID page = id("page");
        UUID frame = id("frame");
        UUID foot = id("foot");
        TextFrame main =
                new TextFrame(
                        frame,
                        Sides.BOTH,
                        new Box(Length.mm(22), Length.mm(20), Length.mm(166), Length.mm(252)),
                        id("story"));
        TextFrame below =
                new TextFrame(
                        foot,
                        Sides.BOTH,
                        new Box(Length.mm(22), Length.mm(280), Length.mm(166), Length.mm(8)),
                        id("foot story"));
        Setup setup =
                Setup.of(new PageSize(Length.mm(210), Length.mm(297)), false)
                        .withDestination(Destination.SCREEN);
        List<Swatch> swatches = new ArrayList<>(List.of(INK));
        swatches.addAll(colors.values());
        Publication plain =
                new Publication(
                                UUID.randomUUID(),
                                "Legibility report",
                                setup.withTitle(Optional.of(title())),
                                swatches,
                                List.of(TITLE, HEADING, CAUSE, BODY, PLACE, SAMPLE, FOOT),
                                List.of(
                                        new Parent(
                                                parent,
                                                "Report",
                                                new Layer(List.of(), List.of(below)))),
                                List.of(
                                        new Page(
                                                page,
                                                Optional.of(parent),
                                                true,
                                                new Layer(List.of(), List.of(main)))))
                        .withStories(
                                List.of(
                                        new Story(
                                                id("story"),
                                                List.of(
                                                        new Story.Link(
                                                                new Owner.OnPage(page), frame)),
                                                text),
                                        new Story(
                                                id("foot story"),
                                                List.of(
                                                        new Story.Link(
                                                                new Owner.OnParent(parent), foot)),
                                                List.of(
                                                        paragraph(
                                                                FOOT,
                                                                "%s, page %c of %c"
                                                                        .formatted(
                                                                                title(),
                                                                                Field.PAGE
                                                                                        .character(),
                                                                                Field.PAGES
                                                                                        .character()))))));
        Flows flows = new Flows(new FlowMemory(20_000_000));
        boolean hasRoom = flows.places(id("story"), plain).getLast().paragraph() == text.size();
        return hasRoom
                ? plain
                : Editing.edit(
                                plain,
                                MakeRoom.of(plain, id("story"), flows, UUID::randomUUID).edit())
                        .publication();
    }

    private String title() {
        String name = report.name().substring(0, Math.min(200, report.name().length()));
        return "Legibility of “%s”".formatted(name);
    }

    private void write() {
        add(TITLE, title());
        add(
                BODY,
                "Revision %d, %s. %d pages, checked by Yewberry %s."
                        .formatted(
                                report.revision(),
                                DATE.format(report.written()),
                                report.pages(),
                                report.version()));
        add(HEADING, "The state");
        add(
                BODY,
                "%d open, %d excepted. Of %d texts, %d fail under some viewing."
                        .formatted(
                                report.findings().size(),
                                report.excepted().size(),
                                report.viewings().runs(),
                                report.viewings().failing()));
        for (ViewingTable.ViewingColumn each : report.viewings().viewings()) {
            add(PLACE, "%d\t%s".formatted(each.failing(), each.viewing().inWords()));
        }
        add(HEADING, "What text and graphics are held to");
        for (LegibilityReport.Criterion each : report.criteria()) {
            add(
                    BODY,
                    each.normal() == each.large()
                            ? "%s: %s : 1. %s."
                                    .formatted(
                                            each.name(),
                                            Numbers.plain(each.normal()),
                                            each.source())
                            : "%s: %s : 1 for normal text, %s : 1 for large text. %s."
                                    .formatted(
                                            each.name(),
                                            Numbers.plain(each.normal()),
                                            Numbers.plain(each.large()),
                                            each.source()));
        }
        add(HEADING, "Open");
        if (report.findings().isEmpty()) {
            add(BODY, "Nothing is open.");
        }
        Map<String, List<FindingView>> causes = new LinkedHashMap<>();
        report.findings()
                .forEach(each ->
                        causes.computeIfAbsent(
                                        each.kind().code() + each.cause(),
                                        cause -> new ArrayList<>())
                                .add(each));
        causes.values().forEach(this::cause);
        add(HEADING, "Excepted");
        if (report.exemptions().isEmpty()) {
            add(BODY, "Nothing is excepted.");
        }
        report.exemptions().forEach(this::exemption);
        add(HEADING, "Not judged");
        add(
                BODY,
                report.notJudged().isEmpty()
                        ? "No page shows a picture that could have text in it."
                        : "What is written here was not read; whether it can be told from its background has to be looked at.");
        report.notJudged().forEach(this::notJudged);
    }

    private void cause(List<FindingView> places) {
        FindingView first = places.getFirst();
        add(CAUSE, first.causeInWords());
        if (first.foreground().isPresent() && first.backdrop().isPresent()) {
            sample(first);
        }
        add(BODY, first.message() + " " + first.rule());
        places.stream().limit(MOST_PLACES).forEach(each -> add(PLACE, place(each)));
        if (places.size() > MOST_PLACES) {
            add(PLACE, "\tand %d more places".formatted(places.size() - MOST_PLACES));
        }
    }

    private static String place(FindingView finding) {
        return "page %d\t%s“%s”"
                .formatted(
                        finding.page(),
                        finding.ratio()
                                .map(ratio ->
                                        "%s of %s: "
                                                .formatted(
                                                        ratio,
                                                        Numbers.plain(
                                                                finding.required().orElse(0.0))))
                                .orElse(""),
                        shortened(finding.text()));
    }

    /** The first words in their colours as they are seen. */
    private void sample(FindingView finding) {
        Optional<Swatch> front = color(finding.foreground().orElseThrow());
        Optional<Swatch> ground = color(finding.backdrop().orElseThrow());
        if (front.isEmpty() || ground.isEmpty()) {
            return;
        }
        Distance small = Distance.em(0.3);
        Distance wide = Distance.em(0.6);
        Run run =
                new Run(
                        UUID.randomUUID(),
                        clean(shortened(finding.text())),
                        Optional.of(Tinted.full(front.get().id())));
        text.add(
                new Paragraph(UUID.randomUUID(), SAMPLE.id(), List.of(run))
                        .withPanel(
                                Optional.of(
                                        Panel.shaded(
                                                Tinted.full(ground.get().id()),
                                                Panel.Reach.MEASURE,
                                                new Padding(small, wide, small, wide)))));
    }

    private Optional<Swatch> color(String hex) {
        if (!colors.containsKey(hex) && colors.size() < MOST_COLORS) {
            colors.put(hex, new Swatch(id(hex), hex, Rgb.hex(hex)));
        }
        return Optional.ofNullable(colors.get(hex));
    }

    private void exemption(ExemptionView each) {
        String page =
                report.excepted().stream()
                        .filter(finding -> finding.run().equals(Optional.of(each.run())))
                        .map(finding -> "page %d".formatted(finding.page()))
                        .findFirst()
                        .orElse("");
        add(
                PLACE,
                "%s\t“%s”: %s. %s; %s : 1 was accepted.%s"
                        .formatted(
                                page,
                                shortened(each.text()),
                                each.reason(),
                                each.why().inWords().substring(0, 1).toUpperCase(Locale.ROOT)
                                        + each.why().inWords().substring(1),
                                each.ratio(),
                                each.ended().map(why -> " Ended: " + why).orElse("")));
    }

    private void notJudged(NotJudgedView each) {
        List<String> where = new ArrayList<>(each.names());
        each.pages().stream().limit(MOST_PLACES).map(page -> "page " + page).forEach(where::add);
        if (each.pages().size() > MOST_PLACES) {
            where.add("%d more pages".formatted(each.pages().size() - MOST_PLACES));
        }
        add(
                PLACE,
                "\t“%s”: %s%s"
                        .formatted(
                                shortened(each.name()),
                                String.join(", ", where),
                                each.why().isEmpty() ? "" : ". " + String.join(" ", each.why())));
    }

    private static String shortened(String words) {
        String plain = words.replace('\t', ' ').strip();
        return plain.codePointCount(0, plain.length()) <= WORDS
                ? plain
                : plain.substring(0, plain.offsetByCodePoints(0, WORDS)).strip() + "…";
    }

    private void add(Look look, String words) {
        text.add(paragraph(look, clean(words)));
    }

    /** Without what a text cannot hold, and without fields of its own. */
    private static String clean(String words) {
        StringBuilder clean = new StringBuilder();
        words.codePoints()
                .filter(each -> each == '\t' || !Character.isISOControl(each))
                .filter(each -> Character.getType(each) != Character.SURROGATE)
                .filter(each -> !Field.is(each))
                .forEach(clean::appendCodePoint);
        return clean.toString();
    }

    private static Paragraph paragraph(Look look, String words) {
        return new Paragraph(
                UUID.randomUUID(),
                look.id(),
                List.of(new Run(UUID.randomUUID(), words, Optional.empty())));
    }

    private static Look look(
            String name,
            String family,
            int weight,
            double size,
            double leading,
            double before,
            Role role) {
        return new Look(
                        id("look " + name),
                        name,
                        family,
                        weight,
                        Length.pt(size),
                        Length.pt(leading),
                        Length.pt(before),
                        Look.Alignment.LEFT,
                        Tinted.full(INK.id()),
                        Look.Overprint.BLACK)
                .withRole(Optional.of(role));
    }

    private static UUID id(String name) {
        return UUID.nameUUIDFromBytes(("report " + name).getBytes(StandardCharsets.UTF_8));
    }
}
