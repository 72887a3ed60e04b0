package yewberry.pdf;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.Random;
import java.util.logging.Level;
import java.util.logging.Logger;
import org.apache.pdfbox.contentstream.operator.Operator;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdfparser.PDFStreamParser;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Held against PDFBox's own reading of the same content. */
class SavedStatesTest {
    private static final Logger LOG = Logger.getLogger("org.apache.pdfbox");

    private static final String[] PARTS = {
        "q",
        "Q",
        "q ",
        "Q\n",
        " ",
        "\n",
        "(q Q)",
        "(\\(q)",
        "(q(Q)q)",
        "(\\\\)",
        "(open ",
        "<71>",
        "<7 1>",
        "<<",
        ">>",
        "/q",
        "/Q ",
        "/A#20q",
        "[",
        "]",
        "1",
        "-.5 ",
        "q1",
        "1q",
        "1 0 0 1 0 0 cm ",
        "BT",
        "ET ",
        "T*",
        "f*",
        "'",
        "\"",
        "BI ",
        "ID q Q EI ",
        "% q\n",
        "qq",
        "é",
        "{",
        ")",
        "Do "
    };

    private static SavedStates read(byte[] content) throws IOException {
        int depth = 0;
        int lowest = 0;
        try {
            for (Object token : new PDFStreamParser(content).parse()) {
                if (token instanceof Operator operator) {
                    depth += operator.getName().equals("q") ? 1 : 0;
                    depth -= operator.getName().equals("Q") ? 1 : 0;
                    lowest = Math.min(lowest, depth);
                }
            }
        } catch (IOException | RuntimeException unreadable) {
            return null;
        }
        return new SavedStates(-lowest, depth - lowest);
    }

    /** What is wrong with what is read here is not told. */
    @BeforeAll
    static void quiet() {
        LOG.setLevel(Level.OFF);
    }

    @AfterAll
    static void loud() {
        LOG.setLevel(null);
    }

    @Test
    void content_that_counts_as_plain_is_read_as_any_other() throws IOException {
        Random random = new Random(7);
        int plain = 0;
        for (int i = 0; i < 40_000; i++) {
            StringBuilder made = new StringBuilder();
            for (int part = random.nextInt(9); part >= 0; part--) {
                made.append(PARTS[random.nextInt(PARTS.length)]);
            }
            byte[] content = made.toString().getBytes(StandardCharsets.ISO_8859_1);
            Optional<SavedStates> found = SavedStates.ofPlain(content);
            SavedStates read = read(content);
            if (found.isPresent() && read != null) {
                assertThat(found).as(made.toString()).contains(read);
                plain++;
            }
        }
        assertThat(plain).isGreaterThan(2_000);
    }

    @ParameterizedTest
    @CsvSource({
        "q 1 0 0 1 0 0 cm Q, 0, 0",
        "Q Q q, 2, 1",
        "q (Q \\) Q) Tj q, 0, 2",
        "q BI /W 1 /H 1 /BPC 8 /CS /G ID Q EI Q Q, 1, 0",
        "(a (nested Q) string) Tj Q, 1, 0"
    })
    void what_a_page_leaves_open_or_closes_too_often_is_counted(
            String content, int missing, int open) throws IOException {
        try (PDDocument document = new PDDocument()) {
            PDPage page = new PDPage();
            document.addPage(page);
            COSStream stream = document.getDocument().createCOSStream();
            try (OutputStream out = stream.createOutputStream(COSName.FLATE_DECODE)) {
                out.write(content.getBytes(StandardCharsets.US_ASCII));
            }
            page.getCOSObject().setItem(COSName.CONTENTS, stream);
            assertThat(SavedStates.of(page)).isEqualTo(new SavedStates(missing, open));
        }
    }
}
