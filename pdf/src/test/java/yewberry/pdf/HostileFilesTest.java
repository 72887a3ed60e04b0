package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.zip.DeflaterOutputStream;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.junit.jupiter.api.Test;
import yewberry.core.Refused;
import yewberry.core.asset.KnownFile;

/** Files that are not what they say, or more than they seem: each is refused with a reason. */
class HostileFilesTest {
    private final PdfDocuments documents = new PdfDocuments();

    private interface Change {
        void to(PDDocument document, PDPage page) throws IOException;
    }

    private static byte[] file(Change change) throws IOException {
        try (PDDocument document = new PDDocument()) {
            PDPage page = new PDPage(PDRectangle.A5);
            document.addPage(page);
            change.to(document, page);
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            document.save(out);
            return out.toByteArray();
        }
    }

    /** Zeros, packed once by hand, so that nothing here holds them either. */
    private static byte[] packed(long megabytes) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (OutputStream deflating = new DeflaterOutputStream(out)) {
            byte[] spaces = new byte[1 << 20];
            Arrays.fill(spaces, (byte) ' ');
            for (long i = 0; i < megabytes; i++) {
                deflating.write(spaces);
            }
        }
        return out.toByteArray();
    }

    private static COSStream stream(PDDocument document, byte[] raw, COSName... filters)
            throws IOException {
        COSStream stream = document.getDocument().createCOSStream();
        try (OutputStream out = stream.createRawOutputStream()) {
            out.write(raw);
        }
        COSArray array = new COSArray();
        Arrays.asList(filters).forEach(array::add);
        stream.setItem(COSName.FILTER, array.size() == 1 ? array.get(0) : array);
        return stream;
    }

    private void refused(byte[] file, String why) {
        assertThatThrownBy(() -> documents.read(KnownFile.of(file)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining(why);
    }

    @Test
    void content_that_unpacks_without_end_is_refused_unopened() throws IOException {
        byte[] bomb = packed(300);
        assertThat(bomb.length).isLessThan(1 << 20);
        refused(
                file((document, page) ->
                        page.getCOSObject()
                                .setItem(
                                        COSName.CONTENTS,
                                        stream(document, bomb, COSName.FLATE_DECODE))),
                "page 1 unpacks to more than 64 MB");
        byte[] twice = packed(1);
        refused(
                file((document, page) ->
                        page.getCOSObject()
                                .setItem(
                                        COSName.CONTENTS,
                                        stream(
                                                document,
                                                twice,
                                                COSName.FLATE_DECODE,
                                                COSName.FLATE_DECODE))),
                "packed more than once");
        byte[] whole =
                file((document, page) ->
                        page.getCOSObject()
                                .setItem(
                                        COSName.CONTENTS,
                                        stream(document, packed(8), COSName.FLATE_DECODE)));
        assertThat(documents.read(KnownFile.of(whole)).pages())
                .as("much, but not too much")
                .hasSize(1);
    }

    @Test
    void page_trees_without_end_or_with_too_many_pages_are_refused() throws IOException {
        refused(
                file((document, page) -> {
                    COSDictionary tree = page.getCOSObject().getCOSDictionary(COSName.PARENT);
                    tree.setItem(COSName.COUNT, COSInteger.get(100_000));
                }),
                "100000 pages; it can have 1 to 10000");
        byte[] cyclic =
                file((document, page) -> {
                    COSDictionary tree = page.getCOSObject().getCOSDictionary(COSName.PARENT);
                    COSArray kids = new COSArray();
                    kids.add(tree);
                    tree.setItem(COSName.KIDS, kids);
                });
        refused(cyclic, "damaged");
    }

    /** What a file says was added to it is not believed where it would become operators. */
    @Test
    void marks_that_are_none_of_ours_are_passed_over() throws IOException {
        byte[] marked =
                file((document, page) -> {
                    COSDictionary item = new COSDictionary();
                    item.setName("Kind", "BACKGROUND");
                    item.setString("Element", "00000000-0000-0000-0000-000000000001");
                    item.setName("Form", "Added1 Do 1 0 0 rg 0 0 99 99 re f /Added1");
                    COSArray items = new COSArray();
                    items.add(item);
                    COSDictionary own = new COSDictionary();
                    own.setItem("Items", items);
                    COSDictionary ours = new COSDictionary();
                    ours.setItem("Private", own);
                    COSDictionary pieces = new COSDictionary();
                    pieces.setItem("Yewberry", ours);
                    page.getCOSObject().setItem("PieceInfo", pieces);
                });
        assertThat(AddedLayers.added(KnownFile.of(marked))).isEmpty();
    }

    @Test
    void what_is_cut_or_no_pdf_is_refused() throws IOException {
        byte[] whole = file((document, page) -> {});
        refused(Arrays.copyOf(whole, 60), "damaged");
        refused("%PDF-1.7 and nothing".getBytes(StandardCharsets.US_ASCII), "damaged");
        refused(new byte[0], "damaged");
    }
}
