package yewberry.server.store;

import static org.assertj.core.api.Assertions.assertThat;

import org.jooq.JSON;
import org.junit.jupiter.api.Test;
import yewberry.core.edit.Patch;
import yewberry.core.publication.PressChecks;
import yewberry.core.publication.Setup;
import yewberry.server.json.CoreJson;

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
                Setup.of(
                                new yewberry.core.publication.PageSize(
                                        yewberry.core.publication.Length.mm(100),
                                        yewberry.core.publication.Length.mm(100)),
                                false)
                        .withChecks(
                                new PressChecks(yewberry.core.publication.Length.pt(7), 2, 4, 10));
        assertThat(columns.read(columns.write(setup, Setup.class), Setup.class)).isEqualTo(setup);
    }
}
