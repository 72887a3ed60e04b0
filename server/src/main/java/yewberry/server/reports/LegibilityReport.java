package yewberry.server.reports;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Properties;
import java.util.UUID;
import yewberry.core.color.PressCondition;
import yewberry.core.findings.Checked;
import yewberry.core.legibility.ByViewing;
import yewberry.core.legibility.Demand;
import yewberry.core.legibility.GraphicContrast;
import yewberry.core.publication.Level;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Setup;
import yewberry.server.view.ExemptionView;
import yewberry.server.view.FindingList;
import yewberry.server.view.FindingView;
import yewberry.server.view.NotJudgedView;
import yewberry.server.view.ViewingTable;

/**
 * The state of a publication's legibility, to be kept and shown to others; docs/formats.md says
 * what stands in it.
 *
 * @param written when
 * @param version of Yewberry
 * @param criteria what text was held to, with where that comes from
 * @param viewings text that fails under some viewing, with its ratio under every one
 */
public record LegibilityReport(
        UUID publication,
        String name,
        long revision,
        Instant written,
        String version,
        int pages,
        List<Criterion> criteria,
        List<FindingView> findings,
        List<FindingView> excepted,
        List<ExemptionView> exemptions,
        List<NotJudgedView> notJudged,
        ViewingTable viewings) {
    private static final String VERSION = built();

    /** As the build wrote it. */
    private static String built() {
        Properties properties = new Properties();
        try (InputStream file =
                LegibilityReport.class.getResourceAsStream("/application.properties")) {
            properties.load(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return properties.getProperty("yewberry.version");
    }

    /**
     * @param normal the least ratio of normal text
     * @param large that of large text
     * @param source where it comes from
     */
    public record Criterion(String name, double normal, double large, String source) {}

    /**
     * @param found on every page, by its position
     * @param viewed likewise
     */
    public static LegibilityReport of(
            long revision,
            Publication publication,
            PressCondition press,
            Map<Integer, Checked> found,
            Map<Integer, ByViewing.Found> viewed,
            Instant written) {
        FindingList list =
                FindingList.of(
                        revision,
                        publication,
                        found,
                        (finding, page, of, exemptions) ->
                                FindingView.of(finding, page, of, press, exemptions),
                        Integer.MAX_VALUE);
        return new LegibilityReport(
                publication.id(),
                publication.name(),
                revision,
                written,
                VERSION,
                publication.pages().size(),
                criteria(publication.setup()),
                list.findings(),
                list.excepted(),
                list.exemptions(),
                list.notJudged(),
                ViewingTable.of(revision, publication, press, viewed));
    }

    private static List<Criterion> criteria(Setup setup) {
        Level level = setup.level();
        Criterion wcag =
                new Criterion(
                        "WCAG 2.2, level " + level,
                        level.required(false),
                        level.required(true),
                        level == Level.AA
                                ? "Success criterion 1.4.3, Contrast (Minimum)"
                                : "Success criterion 1.4.6, Contrast (Enhanced)");
        Criterion graphics =
                new Criterion(
                        "WCAG 2.2, borders and pictures that carry meaning",
                        GraphicContrast.NEEDED,
                        GraphicContrast.NEEDED,
                        "Success criterion 1.4.11, Non-text Contrast");
        Demand demand = Demand.of(setup);
        boolean isStricter = demand.normal() > wcag.normal() || demand.large() > wcag.large();
        return isStricter
                ? List.of(
                        wcag,
                        graphics,
                        new Criterion(
                                "This publication's own rule",
                                demand.normal(),
                                demand.large(),
                                "The setup of the publication"))
                : List.of(wcag, graphics);
    }
}
