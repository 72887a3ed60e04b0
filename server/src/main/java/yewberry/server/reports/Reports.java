package yewberry.server.reports;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import yewberry.core.Progress;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.output.PdfProfile;
import yewberry.core.publication.Publication;
import yewberry.pdf.PdfOutput;
import yewberry.pdf.PdfWriter;
import yewberry.server.json.CoreJson;

/** Writes reports as the files they are kept as. */
public final class Reports {
    private static final JsonMapper JSON =
            CoreJson.teach(JsonMapper.builder()).enable(SerializationFeature.INDENT_OUTPUT).build();

    private Reports() {}

    public static byte[] json(LegibilityReport report) {
        return JSON.writeValueAsBytes(report);
    }

    public static byte[] csv(LegibilityReport report) {
        return ReportCsv.of(report).getBytes(StandardCharsets.UTF_8);
    }

    /** A PDF for the screen, made by the same pages, text and writer as any publication. */
    public static byte[] pdf(LegibilityReport report, PressCondition press) {
        Publication pages = ReportPages.of(report);
        try {
            Path file = Files.createTempFile("yewberry-report", ".pdf");
            try {
                PdfWriter.write(
                        PdfOutput.of(
                                pages,
                                new Composer(press).composeAll(pages),
                                PdfProfile.READING,
                                press,
                                report.written()),
                        file,
                        Progress.NONE);
                return Files.readAllBytes(file);
            } finally {
                Files.deleteIfExists(file);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
