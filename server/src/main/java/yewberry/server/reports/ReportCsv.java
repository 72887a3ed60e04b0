package yewberry.server.reports;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import yewberry.server.view.ExemptionView;
import yewberry.server.view.FindingView;

/** The findings of a report, a line for each, as CSV (RFC 4180). */
final class ReportCsv {
    private static final String[] COLUMNS = {
        "state",
        "page",
        "kind",
        "text",
        "ratio",
        "required",
        "failing_percent",
        "worst_word",
        "foreground",
        "backdrop",
        "behind",
        "cause",
        "rule",
        "why",
        "reason",
        "key"
    };

    /** What a spreadsheet would take for a formula is told apart by a quote. */
    private static final String FORMULA = "=+-@\t\r";

    private ReportCsv() {}

    static String of(LegibilityReport report) {
        StringBuilder csv = new StringBuilder();
        CSVFormat format = CSVFormat.RFC4180.builder().setHeader(COLUMNS).get();
        try (CSVPrinter printer = new CSVPrinter(csv, format)) {
            for (FindingView each : report.findings()) {
                printer.printRecord(row("open", each));
            }
            for (FindingView each : report.excepted()) {
                printer.printRecord(row("excepted", each));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return csv.toString();
    }

    private static List<String> row(String state, FindingView finding) {
        var exemption = finding.exemption().filter(each -> each.ended().isEmpty());
        return Stream.of(
                        state,
                        Integer.toString(finding.page()),
                        finding.kind().code(),
                        finding.text(),
                        finding.ratio().map(Object::toString).orElse(""),
                        finding.required().map(Object::toString).orElse(""),
                        finding.failing().map(Object::toString).orElse(""),
                        finding.worst().map(FindingView.WorstWord::word).orElse(""),
                        finding.foreground().orElse(""),
                        finding.backdrop().orElse(""),
                        finding.behind().orElse(""),
                        finding.causeInWords(),
                        finding.rule(),
                        exemption.map(each -> each.why().inWords()).orElse(""),
                        exemption.map(ExemptionView::reason).orElse(""),
                        finding.key().toString())
                .map(ReportCsv::plain)
                .toList();
    }

    private static String plain(String value) {
        return !value.isEmpty() && FORMULA.indexOf(value.charAt(0)) >= 0 ? "'" + value : value;
    }
}
