package yewberry.server.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jooq.JSON;
import org.junit.jupiter.api.Test;
import yewberry.core.edit.Edited;
import yewberry.core.edit.Patch;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Backing;
import yewberry.core.publication.Language;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Length;
import yewberry.core.publication.Look;
import yewberry.core.publication.Page;
import yewberry.core.publication.PageSize;
import yewberry.core.publication.PressChecks;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Story;
import yewberry.core.publication.TextSetting;
import yewberry.server.json.CoreJson;
import yewberry.server.publications.Beginning;

/** Values as earlier versions wrote them. */
class OlderValuesTest {
    private final Columns columns = new Columns(CoreJson.mapper());

    @Test
    void a_setup_without_checks_gets_the_usual_ones() {
        Setup setup =
                columns.read(
                        JSON.json(
                                """
                                {"trim":{"width":"148 mm","height":"210 mm"},"facing":true,
                                 "bleed":{"top":"3 mm","bottom":"3 mm","outside":"3 mm","spine":"0 mm"},
                                 "safe":"3 mm","margins":{"top":"12 mm","bottom":"12 mm","inside":"12 mm","outside":"12 mm"},
                                 "unit":"MM","level":"AA","press":{"condition":"coated","stockIsReal":false}}
                                """),
                        Setup.class);
        assertThat(setup.checks()).isEqualTo(PressChecks.USUAL);
    }

    /** Of version 4, as the column of an asset and within a patch: one and the same id. */
    @Test
    void what_lies_behind_words_of_a_file_gets_an_id() {
        String backings =
                """
                [{"page":2,"area":{"x":"8 mm","y":"12 mm","width":"20 mm","height":"8 mm"},
                  "radius":"1 mm","color":{"swatch":"4f3c2d10-0000-4000-8000-000000000002","tint":100},
                  "opacity":40}]
                """;
        Backing[] stored =
                columns.read(
                        JSON.json("{\"version\":4,\"value\":%s}".formatted(backings)),
                        Backing[].class);
        assertThat(stored).hasSize(1);
        assertThat(stored[0].id()).isNotNull();
        assertThat(stored[0].opacity()).isEqualTo(40);
        Patch patch =
                columns.read(
                        JSON.json(
                                """
                                {"version":4,"value":{"changes":[{"after":{"element":{"type":"asset",
                                  "id":"4f3c2d10-0000-4000-8000-000000000001","name":"Log","sha256":"%s",
                                  "content":{"type":"document","pages":[{"width":283,"height":227,"screenColor":false,"missingFonts":[]},
                                    {"width":283,"height":227,"screenColor":false,"missingFonts":[]}]},
                                  "recolored":[],"backings":%s},"index":0},"placed":true}]}}
                                """
                                        .formatted("a".repeat(64), backings)),
                        Patch.class);
        Asset asset = (Asset) patch.changes().getFirst().after().orElseThrow().element();
        assertThat(asset.backings()).containsExactly(stored);
    }

    @Test
    void a_look_within_a_patch_gets_the_usual_overprint() {
        Patch patch =
                columns.read(
                        JSON.json(
                                """
                                {"changes":[{"after":{"element":{"type":"oneLook","look":
                                  {"id":"4f3c2d10-0000-4000-8000-000000000001","name":"Body","family":"Source Serif 4",
                                   "weight":400,"size":"10 pt","leading":"14 pt","before":"0 pt","alignment":"LEFT",
                                   "color":{"swatch":"4f3c2d10-0000-4000-8000-000000000002","tint":100}}},
                                  "index":0},"placed":true}]}
                                """),
                        Patch.class);
        assertThat(patch.changes().getFirst().toString()).contains("overprint=BLACK");
    }

    @Test
    void what_is_up_to_date_stays_as_it_is() {
        Setup setup =
                Setup.of(new PageSize(Length.mm(100), Length.mm(100)), false)
                        .withChecks(new PressChecks(Length.pt(7), 2, 4, 10));
        assertThat(columns.read(columns.write(setup, Setup.class), Setup.class)).isEqualTo(setup);
    }

    /** As version 3 wrote them. */
    @Test
    void that_words_are_divided_and_in_which_language_is_said_apart() {
        String setting =
                """
                {"after":"0 mm","first":"0 mm","left":"0 mm","right":"0 mm","tracking":0,%s
                 "spaces":{"least":80,"most":150},
                 "keeps":{"first":1,"last":1,"together":false,"withNext":false}}
                """;
        TextSetting german =
                columns.read(
                        JSON.json(
                                "{\"version\":3,\"value\":%s}"
                                        .formatted(
                                                setting.formatted("\"hyphenation\":\"GERMAN\","))),
                        TextSetting.class);
        assertThat(german.hyphenated()).isTrue();
        assertThat(german.language()).contains(Language.GERMAN);
        TextSetting none =
                columns.read(
                        JSON.json("{\"version\":3,\"value\":%s}".formatted(setting.formatted(""))),
                        TextSetting.class);
        assertThat(none).isEqualTo(TextSetting.USUAL);
        Patch patch =
                columns.read(
                        JSON.json(
                                """
                                {"version":3,"value":{"changes":[{"after":{"element":
                                  {"type":"look","id":"4f3c2d10-0000-4000-8000-000000000001","name":"Body",
                                   "family":"Source Serif 4","weight":400,"italic":false,"size":"10 pt",
                                   "leading":"14 pt","before":"0 pt","alignment":"LEFT","overprint":"BLACK",
                                   "color":{"swatch":"4f3c2d10-0000-4000-8000-000000000002","tint":100},
                                   "setting":%s,
                                   "basis":{"look":"4f3c2d10-0000-4000-8000-000000000003","own":["setting.hyphenation","size"]}},
                                  "index":0},"placed":true}]}}
                                """
                                        .formatted(
                                                setting.formatted("\"hyphenation\":\"DUTCH\","))),
                        Patch.class);
        Look look = (Look) patch.changes().getFirst().element();
        assertThat(look.setting().language()).contains(Language.DUTCH);
        assertThat(look.basis().orElseThrow().own())
                .containsExactlyInAnyOrder("setting.hyphenated", "setting.language", "size");
        assertThat(look.leading().length()).contains(Length.pt(14));
    }

    private static final UUID PAGE = UUID.fromString("4f3c2d10-0000-4000-8000-000000000010");
    private static final String FRAME = "4f3c2d10-0000-4000-8000-000000000020";

    private static String frame(String height, String... paragraphs) {
        return """
        {"element":{"type":"textFrame","id":"%s","sides":"BOTH",
          "box":{"x":"10 mm","y":"10 mm","width":"50 mm","height":"%s"},
          "paragraphs":[%s]},
         "owner":{"type":"onPage","id":"%s"},"index":0}
        """
                .formatted(FRAME, height, String.join(",", paragraphs), PAGE);
    }

    private static String paragraph(int number, UUID look, String text) {
        return """
        {"id":"4f3c2d10-0000-4000-8000-0000000001%02d","look":"%s",
         "runs":[{"id":"4f3c2d10-0000-4000-8000-0000000002%02d","text":"%s"}]}
        """
                .formatted(number, look, number, text);
    }

    private Patch patch(String change) {
        return columns.read(
                JSON.json("{\"version\":2,\"value\":{\"changes\":[%s]}}".formatted(change)),
                Patch.class);
    }

    private static String text(Publication publication) {
        return publication.stories().stream().map(Story::text).collect(Collectors.joining("|"));
    }

    /** As version 2 wrote what was done to frames while they held their paragraphs. */
    @Test
    void steps_with_text_of_frames_are_made_and_undone_on_stories() {
        Publication empty =
                Beginning.of(
                        UUID.randomUUID(),
                        "Old",
                        Setup.of(new PageSize(Length.mm(100), Length.mm(100)), false),
                        1,
                        UUID::randomUUID);
        Publication before =
                empty.withPages(List.of(new Page(PAGE, Optional.empty(), true, Layer.EMPTY)));
        UUID look = before.looks().getFirst().id();
        String one = paragraph(1, look, "One");
        String two = paragraph(2, look, "Two");
        String second = paragraph(2, look, "Second");
        String three = paragraph(3, look, "Three");
        Patch added = patch("{\"after\":%s,\"placed\":true}".formatted(frame("20 mm", one, two)));
        Publication with = Edited.by(added, before).publication();
        assertThat(text(with)).isEqualTo("One\nTwo");
        assertThat(with.stories().getFirst().id())
                .isEqualTo(FramesToStories.storyOf(UUID.fromString(FRAME)));
        Patch written =
                patch(
                        "{\"before\":%s,\"after\":%s,\"placed\":false}"
                                .formatted(frame("20 mm", one, two), frame("20 mm", one, second)));
        assertThat(written.changes()).hasSize(1);
        Publication typed = Edited.by(written, with).publication();
        assertThat(text(typed)).isEqualTo("One\nSecond");
        Patch longer =
                patch(
                        "{\"before\":%s,\"after\":%s,\"placed\":false}"
                                .formatted(
                                        frame("20 mm", one, second),
                                        frame("30 mm", three, one, second)));
        Publication last = Edited.by(longer, typed).publication();
        assertThat(text(last)).isEqualTo("Three\nOne\nSecond");
        assertThat(Edited.by(longer.inverse(), last).publication()).isEqualTo(typed);
        assertThat(Edited.by(written.inverse(), typed).publication()).isEqualTo(with);
        assertThat(Edited.by(added.inverse(), with).publication()).isEqualTo(before);
    }
}
