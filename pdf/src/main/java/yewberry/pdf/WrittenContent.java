package yewberry.pdf;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.cos.COSStream;
import org.apache.pdfbox.pdfwriter.ContentStreamWriter;

/** Content as it is put together: in bytes, because a page may have millions of operators. */
final class WrittenContent {
    private final ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    private final ContentStreamWriter writer = new ContentStreamWriter(bytes);

    void add(List<Object> tokens) throws IOException {
        writer.writeTokens(tokens);
    }

    void to(COSStream stream) throws IOException {
        try (OutputStream out = stream.createOutputStream(COSName.FLATE_DECODE)) {
            bytes.writeTo(out);
        }
    }
}
