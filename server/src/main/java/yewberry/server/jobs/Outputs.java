package yewberry.server.jobs;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import yewberry.core.Progress;
import yewberry.core.Refused;
import yewberry.core.color.Definition;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.output.Loss;
import yewberry.core.output.OutputKind;
import yewberry.core.output.OutputPages;
import yewberry.core.output.OutputSettings;
import yewberry.core.output.WebPage;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Swatch;
import yewberry.core.scene.PageScene;
import yewberry.pdf.PdfOutput;
import yewberry.pdf.PdfWriter;
import yewberry.pdf.proof.FileComparison;
import yewberry.pdf.proof.PlacedPages;
import yewberry.pdf.proof.ReadBack;
import yewberry.pdf.proof.ReadBackReport.PageReport;
import yewberry.pdf.proof.WebReadBack;
import yewberry.server.publications.OpenPublication;
import yewberry.server.publications.Publications;
import yewberry.server.view.FileResult;

/** Makes what is wanted of a publication, and reads it back. */
@Component
public class Outputs {
    private final Publications publications;
    private final JsonMapper mapper;
    private final Clock clock;

    Outputs(Publications publications, JsonMapper mapper, Clock clock) {
        this.publications = publications;
        this.mapper = mapper;
        this.clock = clock;
    }

    /** How far something is. */
    interface Phases {
        Progress at(String phase);
    }

    /**
     * What an output loses or changes.
     *
     * @throws Refused if it names a page that there is not
     */
    public List<Loss> losses(UUID id, OutputSettings settings) {
        OpenPublication open = publications.get(id);
        Publication publication = open.state().publication();
        return losses(publication, open.composer(publication), settings);
    }

    static List<Loss> losses(Publication publication, Composer composer, OutputSettings settings) {
        List<PageScene> scenes =
                settings.pages(publication).stream()
                        .map(page -> composer.compose(publication, page))
                        .toList();
        List<Loss> losses = new ArrayList<>(Loss.of(publication, scenes, settings));
        if (settings.kind().isPdf()) {
            try {
                losses.addAll(PlacedPages.breaking(publication, scenes, settings.profile()));
            } catch (IOException unreadable) {
                throw new Refused(
                        "A PDF that is placed cannot be read; replace it, or take it off the page.");
            }
        }
        return losses;
    }

    /**
     * @throws Refused if it would not hold what it claims
     */
    static void check(Publication publication, Composer composer, OutputSettings settings) {
        losses(publication, composer, settings).stream()
                .filter(loss -> loss.breaks().isPresent())
                .findFirst()
                .ifPresent(loss -> {
                    throw new Refused(
                            "This would not be %s: %s See %s %s, or export it without saying which standards it follows; pages of PDFs may become pictures."
                                    .formatted(
                                            loss.breaks().get().inWords(),
                                            loss.text(),
                                            loss.pages().size() == 1 ? "page" : "pages",
                                            loss.pages().stream()
                                                    .limit(20)
                                                    .map(String::valueOf)
                                                    .collect(Collectors.joining(", "))));
                });
    }

    /**
     * Writes a file and reads it back.
     *
     * @return what was found, as JSON
     * @throws IOException if it cannot be written
     * @throws java.util.concurrent.CancellationException if a phase says so
     */
    String make(
            OpenPublication open,
            Publication publication,
            OutputSettings settings,
            Path part,
            Phases phases)
            throws IOException {
        PressCondition press = open.press(publication);
        Publication made = OutputPages.of(publication, settings);
        Composer own = open.composer(publication);
        Composer composer = made == publication ? own : own.another();
        if (!settings.kind().isPdf()) {
            return mapper.writeValueAsString(many(made, settings, composer, press, part, phases));
        }
        PdfOutput output = pdf(made, settings, composer, press, clock.instant());
        PdfWriter.write(output, part, phases.at("Writing"));
        return mapper.writeValueAsString(ReadBack.check(part, output, phases.at("Reading back")));
    }

    /** What is many files, in a zip file. */
    private static List<FileResult> many(
            Publication made,
            OutputSettings settings,
            Composer composer,
            PressCondition press,
            Path part,
            Phases phases)
            throws IOException {
        List<PageScene> scenes = OutputPages.scenes(made, settings, composer);
        return settings.kind() == OutputKind.WEB
                ? web(made, scenes, press, part, phases)
                : new PictureOutput(made, scenes, settings, press)
                        .write(part, phases.at("Writing and reading back"));
    }

    /**
     * The same of pictures, drawings or a web page: made anew, or two of them.
     *
     * @param before what was found of each output when it was made
     * @param part where it may be made anew
     * @return of each file whether it differs, as JSON
     * @throws IOException if one cannot be read
     * @throws Refused if no page that is in it is in the publication any more
     */
    String compareMany(
            OpenPublication open,
            Publication publication,
            OutputSettings settings,
            List<Path> files,
            List<List<FileResult>> before,
            Path part,
            Phases phases)
            throws IOException {
        ManyFiles first = new ManyFiles(files.getFirst(), before.getFirst(), "in the first");
        if (files.size() > 1) {
            ManyFiles second = new ManyFiles(files.get(1), before.get(1), "in the second");
            return mapper.writeValueAsString(
                    first.heldAgainst(second, settings, phases.at("Comparing")));
        }
        Publication made = OutputPages.of(publication, settings);
        Composer own = open.composer(publication);
        List<UUID> pages = before.getFirst().stream().flatMap(each -> each.of().stream()).toList();
        OutputSettings same = samePages(settings, pages, publication);
        List<FileResult> now =
                many(
                        made,
                        same,
                        made == publication ? own : own.another(),
                        open.press(publication),
                        part,
                        phases);
        return mapper.writeValueAsString(
                new ManyFiles(files.getFirst(), before.getFirst(), "in the file")
                        .heldAgainst(
                                new ManyFiles(part, now, "now"), settings, phases.at("Comparing")));
    }

    /**
     * Holds a file that was made before against what it would be now.
     *
     * @param before what was found of the file when it was made
     * @return what was found, as JSON
     * @throws IOException if it cannot be read
     * @throws Refused if no page that is in it is in the publication any more
     */
    String compare(
            OpenPublication open,
            Publication publication,
            OutputSettings settings,
            List<Path> files,
            List<PageReport> before,
            Phases phases)
            throws IOException {
        if (files.size() > 1) {
            List<String> spots =
                    publication.swatches().stream()
                            .filter(each -> each.definition() instanceof Definition.SpotInk)
                            .map(Swatch::name)
                            .toList();
            return mapper.writeValueAsString(
                    FileComparison.of(
                            files.get(0),
                            files.get(1),
                            spots,
                            open.press(publication),
                            phases.at("Comparing")));
        }
        Publication made = OutputPages.of(publication, settings);
        Composer own = open.composer(publication);
        PdfOutput output =
                pdf(
                        made,
                        samePages(
                                settings,
                                before.stream().flatMap(each -> each.pages().stream()).toList(),
                                publication),
                        made == publication ? own : own.another(),
                        open.press(publication),
                        clock.instant());
        return mapper.writeValueAsString(
                ReadBack.checkLater(files.getFirst(), output, before, phases.at("Comparing")));
    }

    /** Of a range the pages that were in it, not those that have their numbers now. */
    private static OutputSettings samePages(
            OutputSettings settings, List<UUID> pages, Publication publication) {
        if (settings.pages().isEmpty() || pages.isEmpty()) {
            return settings;
        }
        String numbers =
                pages.stream()
                        .map(publication.pages()::position)
                        .filter(OptionalInt::isPresent)
                        .map(position -> String.valueOf(position.getAsInt() + 1))
                        .collect(Collectors.joining(","));
        if (numbers.isEmpty()) {
            throw new Refused(
                    "None of the pages of this file is in the publication any more; compare it with another file.");
        }
        return settings.withPages(numbers);
    }

    private static List<FileResult> web(
            Publication made,
            List<PageScene> scenes,
            PressCondition press,
            Path part,
            Phases phases)
            throws IOException {
        Map<String, byte[]> files = WebPage.of(made, scenes, press, phases.at("Writing"));
        try (ZipOutputStream out =
                new ZipOutputStream(new BufferedOutputStream(Files.newOutputStream(part)))) {
            for (Map.Entry<String, byte[]> file : files.entrySet()) {
                out.putNextEntry(new ZipEntry(file.getKey()));
                out.write(file.getValue());
                out.closeEntry();
            }
        }
        List<String> wrong =
                WebReadBack.check(unzipped(part), made, scenes, phases.at("Reading back"))
                        .problems();
        return List.of(
                new FileResult(
                        "index.html",
                        scenes.size(),
                        false,
                        Optional.empty(),
                        wrong.stream().findFirst().map("Read back: %s."::formatted),
                        scenes.stream().map(PageScene::page).toList(),
                        Optional.empty()));
    }

    static Map<String, byte[]> unzipped(Path zip) throws IOException {
        Map<String, byte[]> files = new HashMap<>();
        try (ZipInputStream in =
                new ZipInputStream(new BufferedInputStream(Files.newInputStream(zip)))) {
            for (ZipEntry entry = in.getNextEntry(); entry != null; entry = in.getNextEntry()) {
                files.put(entry.getName(), in.readAllBytes());
            }
        }
        return files;
    }

    /**
     * @param made the publication as the output has it
     */
    public static PdfOutput pdf(
            Publication made,
            OutputSettings settings,
            Composer composer,
            PressCondition press,
            Instant created) {
        return settings.kind() == OutputKind.SCREEN_AND_PAPER_PDF
                ? PdfOutput.layered(
                        made, OutputPages.layered(made, settings, composer), press, created)
                : PdfOutput.of(
                        made,
                        OutputPages.scenes(made, settings, composer),
                        settings.profile(),
                        press,
                        created);
    }
}
