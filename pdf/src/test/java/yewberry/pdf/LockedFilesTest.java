package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import yewberry.core.Locked;
import yewberry.core.Progress;
import yewberry.core.Refused;
import yewberry.core.asset.FilePage;
import yewberry.core.asset.Intake;
import yewberry.core.asset.KnownFile;
import yewberry.core.asset.Pictures;
import yewberry.core.color.Cmyk;
import yewberry.core.color.Medium;
import yewberry.core.color.PressCondition;
import yewberry.core.compose.Composer;
import yewberry.core.publication.Area;
import yewberry.core.publication.Asset;
import yewberry.core.publication.Background;
import yewberry.core.publication.Fill;
import yewberry.core.publication.Imported;
import yewberry.core.publication.Layer;
import yewberry.core.publication.Page;
import yewberry.core.publication.Publication;
import yewberry.core.publication.Setup;
import yewberry.core.publication.Sides;
import yewberry.core.publication.Swatch;
import yewberry.core.publication.Tinted;
import yewberry.core.scene.PageScene;
import yewberry.pdf.proof.ReadBack;
import yewberry.pdf.proof.ReadBackReport;
import yewberry.pdf.proof.TakenOffCheck;

/**
 * PDFs that open with a password only, encrypted by qpdf with 40, 128 and 256 bits: read, drawn,
 * added to under the same password, and taken off from, against qpdf and poppler.
 */
class LockedFilesTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final Swatch SEA = new Swatch(id("sea"), "Sea", new Cmyk(60, 0, 30, 10));
    private static final String PASSWORD = "night+tide 4%";

    @TempDir Path folder;

    private final PdfDocuments documents = new PdfDocuments();

    private static UUID id(String name) {
        return UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8));
    }

    private static byte[] plain() throws IOException {
        return FilesOfOthers.drawn((document, page) -> {});
    }

    private static byte[] locked(byte[] file, String user, String bits, String... more)
            throws IOException {
        List<String> command =
                Stream.of(
                                Stream.of("qpdf", "--allow-weak-crypto", "--encrypt"),
                                Stream.of(user, "owner", bits),
                                Stream.of(more),
                                Stream.of("--", "IN", "OUT"))
                        .flatMap(each -> each)
                        .toList();
        return FilesOfOthers.by(file, ".pdf", command.toArray(String[]::new));
    }

    /** One page of it with a colour behind. */
    private PageScene scene(KnownFile file) {
        Asset asset =
                new Asset(id("asset"), "Log", "log", new Intake(documents).look("a.pdf", file));
        Background behind =
                new Background(
                        id("all"),
                        Sides.BOTH,
                        new Area.WholePage(),
                        new Fill.Solid(Tinted.full(SEA.id())));
        Imported imported = new Imported(asset.id(), 1);
        Setup setup = Setup.of(imported.sizeIn(asset), false);
        Page page =
                new Page(id("page"), Optional.empty(), true, new Layer(List.of(behind), List.of()))
                        .withSize(Optional.of(setup.trim()))
                        .withImported(Optional.of(imported));
        Publication set =
                new Publication(
                                id("set"),
                                "Logs",
                                setup,
                                List.of(SEA),
                                List.of(),
                                List.of(),
                                List.of(page))
                        .withAssets(List.of(asset));
        var kept =
                new yewberry.core.asset.Files() {
                    @Override
                    public byte[] read(String sha256) {
                        return file.bytes().get();
                    }

                    @Override
                    public String password(String sha256) {
                        return file.password();
                    }
                };
        return new Composer(COATED, new Pictures(kept, documents)).compose(set, 0);
    }

    @ParameterizedTest
    @ValueSource(strings = {"40", "128", "256"})
    void it_opens_with_its_password_only(String bits) throws IOException {
        byte[] file = locked(plain(), PASSWORD, bits);
        assertThatThrownBy(() -> documents.read(KnownFile.of(file)))
                .isInstanceOf(Locked.class)
                .hasMessageContaining("needs a password");
        assertThatThrownBy(() -> documents.read(KnownFile.of(file, "tide")))
                .isInstanceOf(Locked.class)
                .hasMessageContaining("does not open with that password");
        Asset.Document read = documents.read(KnownFile.of(file, PASSWORD));
        assertThat(read.encrypted()).isTrue();
        assertThat(read.pages()).hasSize(1);
        FilePage page = FilePage.of(1, COATED, Medium.SCREEN);
        assertThat(documents.draw(KnownFile.of(file, PASSWORD), page, 100, 100).samples())
                .isEqualTo(documents.draw(KnownFile.of(plain()), page, 100, 100).samples());
    }

    @ParameterizedTest
    @CsvSource({"40", "128", "256"})
    void what_is_added_is_under_the_same_password_and_comes_off_again(String bits)
            throws IOException {
        byte[] original = locked(plain(), PASSWORD, bits);
        KnownFile file = KnownFile.of(original, PASSWORD);
        PageScene scene = scene(file);
        Path added = folder.resolve("added.pdf");
        AddedLayers.add(
                file, Map.of(1, scene), Medium.PAPER, COATED, Instant.EPOCH, added, Progress.NONE);
        byte[] bytes = Files.readAllBytes(added);
        assertThat(bytes).startsWith(original);
        assertThat(Programs.run("qpdf", "--check", added.toString()).status()).isNotZero();
        String password = "--password=" + PASSWORD;
        assertThat(Programs.run("qpdf", password, "--check", added.toString()).status()).isZero();
        ReadBackReport report =
                ReadBack.checkAdded(
                        added, PASSWORD, Map.of(1, scene), Medium.PAPER, COATED, Progress.NONE);
        assertThat(report.matches()).as(report.toString()).isTrue();
        KnownFile with = KnownFile.of(bytes, PASSWORD);
        assertThat(AddedLayers.added(with)).containsOnlyKeys(1);
        Path bare = folder.resolve("bare.pdf");
        AddedLayers.takeOff(with, _ -> true, Set.of(), Instant.EPOCH, bare, Progress.NONE);
        assertThat(TakenOffCheck.wrong(with, bare, _ -> true, COATED, Progress.NONE)).isEmpty();
        BufferedImage was = opened(Files.write(folder.resolve("was.pdf"), original));
        BufferedImage covered = opened(added);
        BufferedImage is = opened(bare);
        int differing = 0;
        for (int y = 0; y < was.getHeight(); y++) {
            for (int x = 0; x < was.getWidth(); x++) {
                differing += was.getRGB(x, y) == covered.getRGB(x, y) ? 0 : 1;
                assertThat(is.getRGB(x, y)).isEqualTo(was.getRGB(x, y));
            }
        }
        assertThat(differing).isPositive();
    }

    /** As poppler draws it once qpdf has opened it. */
    private BufferedImage opened(Path file) throws IOException {
        Path open = folder.resolve("open.pdf");
        Programs.run(
                "qpdf", "--password=" + PASSWORD, "--decrypt", file.toString(), open.toString());
        return FilesOfOthers.popplerDraws(open, folder);
    }

    /** The password of those who may read is not that of its owner. */
    @Test
    void what_its_owner_forbids_stays_forbidden() throws IOException {
        byte[] file = locked(plain(), PASSWORD, "256", "--modify=none");
        assertThatThrownBy(() -> documents.read(KnownFile.of(file, PASSWORD)))
                .isInstanceOf(Refused.class)
                .isNotInstanceOf(Locked.class)
                .hasMessageContaining("its owner does not allow");
        assertThat(documents.read(KnownFile.of(file, "owner")).pages()).hasSize(1);
    }

    @Test
    void a_password_is_in_no_message() {
        assertThat(KnownFile.of(new byte[1], PASSWORD).toString()).doesNotContain(PASSWORD);
    }
}
