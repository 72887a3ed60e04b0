package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.math.BigInteger;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.cert.X509Certificate;
import java.time.Instant;
import java.util.Calendar;
import java.util.Date;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.interactive.digitalsignature.PDSignature;
import org.bouncycastle.asn1.x500.X500Name;
import org.bouncycastle.cert.jcajce.JcaCertStore;
import org.bouncycastle.cert.jcajce.JcaX509CertificateConverter;
import org.bouncycastle.cert.jcajce.JcaX509v3CertificateBuilder;
import org.bouncycastle.cms.CMSProcessableByteArray;
import org.bouncycastle.cms.CMSSignedDataGenerator;
import org.bouncycastle.cms.jcajce.JcaSignerInfoGeneratorBuilder;
import org.bouncycastle.operator.ContentSigner;
import org.bouncycastle.operator.jcajce.JcaContentSignerBuilder;
import org.bouncycastle.operator.jcajce.JcaDigestCalculatorProviderBuilder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import yewberry.core.Progress;
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

/** A signature before and after something was added, as poppler's pdfsig judges it. */
class SignedFilesTest {
    private static final PressCondition COATED = PressCondition.coated();
    private static final Instant NOW = Instant.parse("2026-01-01T00:00:00Z");

    @TempDir Path folder;

    private static byte[] signed() throws Exception {
        ByteArrayOutputStream plain = new ByteArrayOutputStream();
        try (PDDocument document = new PDDocument()) {
            document.addPage(new PDPage(PDRectangle.A5));
            document.save(plain);
        }
        KeyPairGenerator generator = KeyPairGenerator.getInstance("RSA");
        generator.initialize(2048);
        KeyPair keys = generator.generateKeyPair();
        X500Name name = new X500Name("CN=Saltmarsh Observatory");
        ContentSigner signer =
                new JcaContentSignerBuilder("SHA256withRSA").build(keys.getPrivate());
        X509Certificate certificate =
                new JcaX509CertificateConverter()
                        .getCertificate(
                                new JcaX509v3CertificateBuilder(
                                                name,
                                                BigInteger.ONE,
                                                new Date(0),
                                                new Date(4_000_000_000_000L),
                                                name,
                                                keys.getPublic())
                                        .build(signer));
        CMSSignedDataGenerator cms = new CMSSignedDataGenerator();
        cms.addSignerInfoGenerator(
                new JcaSignerInfoGeneratorBuilder(new JcaDigestCalculatorProviderBuilder().build())
                        .build(signer, certificate));
        cms.addCertificates(new JcaCertStore(List.of(certificate)));
        try (PDDocument document = Loader.loadPDF(plain.toByteArray())) {
            PDSignature signature = new PDSignature();
            signature.setFilter(PDSignature.FILTER_ADOBE_PPKLITE);
            signature.setSubFilter(PDSignature.SUBFILTER_ADBE_PKCS7_DETACHED);
            signature.setSignDate(Calendar.getInstance());
            document.addSignature(
                    signature,
                    content -> {
                        try {
                            return cms.generate(
                                            new CMSProcessableByteArray(content.readAllBytes()),
                                            false)
                                    .getEncoded();
                        } catch (Exception failure) {
                            throw new IOException(failure);
                        }
                    });
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.saveIncremental(out);
            return out.toByteArray();
        }
    }

    private String verdict(Path file) {
        return Programs.run("pdfsig", "-nocert", file.toString()).output();
    }

    @Test
    void what_was_signed_stays_valid() throws Exception {
        byte[] original = signed();
        Path before = Files.write(folder.resolve("before.pdf"), original);
        assertThat(verdict(before))
                .contains("Signature is Valid")
                .contains("Total document signed");
        assertThat(AddedLayers.seals(KnownFile.of(original)))
                .isEqualTo(new AddedLayers.Seals(true, false));
        Path after = folder.resolve("after.pdf");
        Asset asset =
                new Asset(
                        new UUID(1, 1),
                        "Signed",
                        "file",
                        new Intake(new PdfDocuments()).look("a.pdf", original));
        AddedLayers.Outcome outcome =
                AddedLayers.add(
                        KnownFile.of(original),
                        Map.of(
                                1,
                                new Composer(
                                                COATED,
                                                new Pictures(
                                                        sha256 -> original, new PdfDocuments()))
                                        .compose(set(asset), 0)),
                        Medium.SCREEN,
                        COATED,
                        NOW,
                        after,
                        Progress.NONE);
        assertThat(outcome).isEqualTo(new AddedLayers.Outcome(1, false));
        assertThat(verdict(after))
                .contains("Signature is Valid")
                .as("and it is seen that more came later")
                .contains("Not total document signed");
    }

    private static Publication set(Asset asset) {
        Swatch sea = new Swatch(new UUID(1, 2), "Sea", new Cmyk(60, 0, 30, 10));
        Imported imported = new Imported(asset.id(), 1);
        Layer layer =
                new Layer(
                        List.of(
                                new Background(
                                        new UUID(1, 3),
                                        Sides.BOTH,
                                        new Area.WholePage(),
                                        new Fill.Solid(Tinted.full(sea.id())))),
                        List.of());
        return new Publication(
                        new UUID(1, 4),
                        "Signed",
                        Setup.of(imported.sizeIn(asset), false),
                        List.of(sea),
                        List.of(),
                        List.of(),
                        List.of(
                                new Page(new UUID(1, 5), Optional.empty(), true, layer)
                                        .withSize(Optional.of(imported.sizeIn(asset)))
                                        .withImported(Optional.of(imported))))
                .withAssets(List.of(asset));
    }
}
