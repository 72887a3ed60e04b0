package yewberry.server.demo;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import yewberry.core.Progress;
import yewberry.core.asset.Intake;
import yewberry.core.asset.KnownFile;
import yewberry.core.asset.Pictures;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.color.View;
import yewberry.core.compose.Composer;
import yewberry.core.findings.Checked;
import yewberry.core.findings.Exemptions;
import yewberry.core.findings.Findings;
import yewberry.core.legibility.ByViewing;
import yewberry.core.legibility.Demand;
import yewberry.core.legibility.Legibility;
import yewberry.core.output.OutputKind;
import yewberry.core.output.OutputPages;
import yewberry.core.output.OutputSettings;
import yewberry.core.output.PdfProfile;
import yewberry.core.output.PrinterMarks;
import yewberry.core.output.WebPage;
import yewberry.core.picture.Png;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Publication;
import yewberry.core.raster.PageRaster;
import yewberry.core.scene.PageScene;
import yewberry.pdf.PdfDocuments;
import yewberry.pdf.PdfOutput;
import yewberry.pdf.PdfWriter;
import yewberry.pdf.proof.ReadBack;
import yewberry.pdf.proof.ReadBackReport;
import yewberry.pdf.proof.WebReadBack;
import yewberry.server.jobs.Outputs;
import yewberry.server.jobs.SetOutput;
import yewberry.server.json.CoreJson;
import yewberry.server.reports.LegibilityReport;
import yewberry.server.reports.Reports;
import yewberry.server.view.FileResult;
import yewberry.server.view.FindingView;

/** Writes the outputs of the demo publication to a folder, without a server. */
public final class DemoFiles {
    private DemoFiles() {}

    /**
     * @param arguments the folder, which is made if it is not there
     */
    public static void main(String[] arguments) throws IOException {
        if (arguments.length != 1) {
            System.err.println("Name one folder to write to.");
            System.exit(2);
        }
        boolean matches = write(Path.of(arguments[0]));
        if (!matches) {
            System.err.println("Some of the files are not as they should be: see readback.json.");
            System.exit(1);
        }
    }

    /** Whether each PDF and the web page, read back, matches what it was made from. */
    static boolean write(Path folder) throws IOException {
        Files.createDirectories(folder);
        Map<String, byte[]> files = new HashMap<>();
        Intake intake = new Intake(new PdfDocuments());
        Pictures pictures = new Pictures(files::get, new PdfDocuments());
        AssetIntake taking =
                (id, name, file) -> {
                    files.put(name, file);
                    String title = name.substring(0, name.lastIndexOf('.'));
                    return new Asset(id, title, name, intake.look(name, file));
                };
        Publication guide = DemoPublication.seasonGuide(taking);
        PressCondition press = PressCondition.coated();
        List<PageScene> scenes = new Composer(press, pictures).composeAll(guide);
        Path pdf = folder.resolve("season-guide-press.pdf");
        PdfOutput output =
                PdfOutput.of(guide, scenes, PdfProfile.PRESS, press, Clock.systemUTC().instant());
        PdfWriter.write(output, pdf, Progress.NONE);
        Map<String, PdfOutput> outputs = new LinkedHashMap<>();
        outputs.put("reading", output(guide, OutputKind.READING_PDF, press, pictures));
        outputs.put("all", output(guide, OutputKind.ALL_PDF, press, pictures));
        outputs.put(
                "screen-and-paper",
                output(guide, OutputKind.SCREEN_AND_PAPER_PDF, press, pictures));
        outputs.put(
                "office",
                output(
                        guide,
                        OutputSettings.of(OutputKind.OFFICE_PDF).withBackgrounds(false),
                        press,
                        pictures));
        outputs.put(
                "marks",
                output(
                        guide,
                        OutputSettings.of(OutputKind.PRESS_PDF)
                                .withMarks(Optional.of(PrinterMarks.USUAL)),
                        press,
                        pictures));
        Map<String, ReadBackReport> verdicts = new LinkedHashMap<>();
        for (Map.Entry<String, PdfOutput> each : outputs.entrySet()) {
            String name = "season-guide-%s.pdf".formatted(each.getKey());
            PdfWriter.write(each.getValue(), folder.resolve(name), Progress.NONE);
            verdicts.put(
                    name, ReadBack.check(folder.resolve(name), each.getValue(), Progress.NONE));
        }
        Legibility legibility =
                new Legibility(press, Demand.of(guide.setup()), guide.setup().destination());
        List<FindingView> findings = new ArrayList<>();
        for (int i = 0; i < scenes.size(); i++) {
            for (var finding : Findings.of(scenes.get(i), legibility, guide.setup(), press)) {
                findings.add(FindingView.of(finding, i + 1, guide, press, Exemptions.of(guide)));
            }
        }
        JsonMapper json =
                CoreJson.teach(JsonMapper.builder())
                        .enable(SerializationFeature.INDENT_OUTPUT)
                        .build();
        json.writeValue(folder.resolve("season-guide-findings.json").toFile(), findings);
        report(guide, scenes, legibility, press, folder);
        SceneFile.write(scenes, json, folder.resolve("season-guide-scene.json"));
        SwatchTable.write(guide, press, folder.resolve("swatches.csv"));
        pictures(scenes, press, folder.resolve("pictures"));
        Publication leaflet = DemoLeaflet.publication(taking);
        List<PageScene> leafletScenes = new Composer(press, pictures).composeAll(leaflet);
        Path leafletPdf = folder.resolve("gate-leaflet-press.pdf");
        PdfOutput leafletOutput =
                PdfOutput.of(
                        leaflet,
                        leafletScenes,
                        PdfProfile.PRESS,
                        press,
                        Clock.systemUTC().instant());
        PdfWriter.write(leafletOutput, leafletPdf, Progress.NONE);
        logSheets(taking, files, pictures, press, folder.resolve("log-sheets"));
        System.out.println(
                "Wrote the press PDFs, the log sheets, season-guide-scene.json, season-guide-findings.json, swatches.csv and pictures to "
                        + folder);
        verdicts.put("web/index.html", web(guide, scenes, press, folder.resolve("web")));
        verdicts.put("season-guide-press.pdf", ReadBack.check(pdf, output, Progress.NONE));
        verdicts.put(
                "gate-leaflet-press.pdf", ReadBack.check(leafletPdf, leafletOutput, Progress.NONE));
        json.writeValue(folder.resolve("readback.json").toFile(), verdicts);
        return verdicts.values().stream().allMatch(ReadBackReport::matches);
    }

    /** Written, and read back from what is in the folder then. */
    private static ReadBackReport web(
            Publication guide, List<PageScene> scenes, PressCondition press, Path folder)
            throws IOException {
        for (Map.Entry<String, byte[]> file :
                WebPage.of(guide, scenes, press, Progress.NONE).entrySet()) {
            Path to = folder.resolve(file.getKey());
            Files.createDirectories(to.getParent());
            Files.write(to, file.getValue());
        }
        Map<String, byte[]> there = new HashMap<>();
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                String name = folder.relativize(file).toString().replace('\\', '/');
                there.put(name, Files.readAllBytes(file));
            }
        }
        return WebReadBack.check(there, guide, scenes, Progress.NONE);
    }

    private static PdfOutput output(
            Publication of, OutputKind kind, PressCondition press, Pictures pictures) {
        return output(of, OutputSettings.of(kind), press, pictures);
    }

    private static PdfOutput output(
            Publication of, OutputSettings settings, PressCondition press, Pictures pictures) {
        return Outputs.pdf(
                OutputPages.of(of, settings),
                settings,
                new Composer(press, pictures),
                press,
                Clock.systemUTC().instant());
    }

    /** The files as they came, and as they go out. */
    private static void logSheets(
            AssetIntake taking,
            Map<String, byte[]> files,
            Pictures pictures,
            PressCondition press,
            Path folder)
            throws IOException {
        Path original = Files.createDirectories(folder.resolve("original"));
        for (Map.Entry<String, byte[]> file : DemoLogSheets.files().entrySet()) {
            Files.write(original.resolve(file.getKey()), file.getValue());
        }
        Publication sheets = DemoLogSheets.publication(taking);
        SetOutput output =
                new SetOutput(
                        sheets,
                        new Composer(press, pictures),
                        press,
                        sha256 -> KnownFile.of(files.get(sha256)),
                        Clock.systemUTC().instant());
        Path out = Files.createDirectories(folder.resolve("out"));
        for (FileResult result :
                output.write(
                        (name, part) ->
                                Files.copy(
                                        part,
                                        out.resolve(name),
                                        StandardCopyOption.REPLACE_EXISTING),
                        Progress.NONE)) {
            if (result.problem().isPresent()) {
                throw new IllegalStateException(result.name() + ": " + result.problem().get());
            }
        }
    }

    /** Every page as Yewberry draws it itself, out to the bleed, at 144 ppi. */
    private static void report(
            Publication guide,
            List<PageScene> scenes,
            Legibility legibility,
            PressCondition press,
            Path folder)
            throws IOException {
        Map<Integer, Checked> found = new TreeMap<>();
        Map<Integer, ByViewing.Found> viewed = new TreeMap<>();
        List<View> views = ByViewing.views(guide.setup(), press);
        for (int i = 0; i < scenes.size(); i++) {
            found.put(
                    i,
                    new Checked(
                            Findings.of(scenes.get(i), legibility, guide.setup(), press),
                            List.of()));
            viewed.put(i, ByViewing.on(scenes.get(i), legibility, views));
        }
        LegibilityReport report =
                LegibilityReport.of(0, guide, press, found, viewed, Clock.systemUTC().instant());
        Files.write(folder.resolve("legibility-report.pdf"), Reports.pdf(report, press));
        Files.write(folder.resolve("legibility-report.csv"), Reports.csv(report));
        Files.write(folder.resolve("legibility-report.json"), Reports.json(report));
    }

    private static void pictures(List<PageScene> scenes, PressCondition press, Path folder)
            throws IOException {
        Files.createDirectories(folder);
        View view = View.designed(Medium.PAPER, press);
        for (int i = 0; i < scenes.size(); i++) {
            PageScene scene = scenes.get(i);
            Files.write(
                    folder.resolve("season-guide-%02d.png".formatted(i + 1)),
                    Png.of(PageRaster.page(scene, view, scene.boxes().bleed(), 144)));
        }
    }
}
