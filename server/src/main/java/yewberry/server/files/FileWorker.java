package yewberry.server.files;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.EOFException;
import java.io.FileDescriptor;
import java.io.FileOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import tools.jackson.databind.json.JsonMapper;
import yewberry.core.Locked;
import yewberry.core.Refused;
import yewberry.core.asset.FilePage;
import yewberry.core.asset.FileReader;
import yewberry.core.asset.KnownFile;
import yewberry.core.asset.PageText;
import yewberry.core.asset.PixelArray;
import yewberry.core.asset.PlaneImage;
import yewberry.core.asset.SparseBytes;
import yewberry.core.color.PressCondition;
import yewberry.core.publication.Asset;
import yewberry.core.text.FontFile;
import yewberry.pdf.PdfDocuments;
import yewberry.server.json.CoreJson;

/**
 * A process that does nothing but parse and draw files from outside, one after the other: what one
 * of them does to it, it does to nothing else. It reads questions from its standard input and
 * writes answers to its standard output, until that ends.
 */
public final class FileWorker {
    static final int LOOK = 1;
    static final int PIXELS = 2;
    static final int DRAWING = 3;
    static final int PAGE = 4;
    static final int FONT = 5;
    static final int TEXT = 6;

    static final int DONE = 0;
    static final int REFUSED = 1;
    static final int LOCKED = 2;

    /** As much as a pipe takes. */
    private static final int BUFFER = 1 << 16;

    private final FileReader reader = FileReader.here(new PdfDocuments());
    private final JsonMapper json = CoreJson.mapper();
    private final Map<String, PressCondition> conditions = new HashMap<>();
    private KnownFile last = KnownFile.of(new byte[0]);

    public static void main(String[] arguments) throws IOException {
        DataInputStream in = new DataInputStream(new BufferedInputStream(System.in));
        DataOutputStream out =
                new DataOutputStream(
                        new BufferedOutputStream(new FileOutputStream(FileDescriptor.out), BUFFER));
        System.setOut(new PrintStream(System.err)); // nobody else may write an answer
        FileWorker worker = new FileWorker();
        try {
            while (true) {
                worker.answer(in.readInt(), in, out);
                out.flush();
            }
        } catch (EOFException end) {
            // the server is gone, or needs no more
        }
    }

    private void answer(int question, DataInputStream in, DataOutputStream out) throws IOException {
        try {
            switch (question) {
                case LOOK -> {
                    String name = in.readUTF();
                    String password = in.readUTF();
                    Asset.Content content = reader.look(name, KnownFile.of(bytes(in), password));
                    out.writeInt(DONE);
                    write(out, json.writerFor(Asset.Content.class).writeValueAsBytes(content));
                }
                case PIXELS -> {
                    Asset.Format format = Asset.Format.valueOf(in.readUTF());
                    int every = in.readInt();
                    write(out, reader.pixels(format, bytes(in), every));
                }
                case DRAWING -> {
                    int width = in.readInt();
                    int height = in.readInt();
                    write(out, reader.drawing(bytes(in), width, height));
                }
                case PAGE -> {
                    int width = in.readInt();
                    int height = in.readInt();
                    FilePage page = PageStream.page(in, this::condition);
                    write(out, reader.page(file(in), page, width, height));
                }
                case TEXT -> {
                    FilePage page = PageStream.page(in, this::condition);
                    PageText text = reader.text(file(in), page);
                    out.writeInt(DONE);
                    PageStream.write(out, text);
                }
                case FONT -> {
                    FontFile file = FontFile.read(bytes(in));
                    out.writeInt(DONE);
                    write(out, json.writeValueAsBytes(file));
                }
                default -> throw new EOFException();
            }
        } catch (Refused refused) {
            out.writeInt(refused instanceof Locked ? LOCKED : REFUSED);
            out.writeUTF(refused.getMessage());
        } catch (StackOverflowError deep) {
            out.writeInt(REFUSED);
            out.writeUTF("This file is nested too deeply; export it again, flattened.");
        } catch (RuntimeException broken) {
            out.writeInt(REFUSED);
            out.writeUTF("This file is damaged and cannot be read; export it again.");
        }
    }

    /** The one that came last where it does not come along. */
    private KnownFile file(DataInputStream in) throws IOException {
        String sha256 = in.readUTF();
        String password = in.readUTF();
        if (in.readBoolean()) {
            byte[] bytes = bytes(in);
            last = new KnownFile(sha256, () -> bytes, password);
        }
        return last;
    }

    /** By its id alone where it came before. */
    private PressCondition condition(DataInputStream in) throws IOException {
        String id = in.readUTF();
        String name = in.readUTF();
        double limit = in.readDouble();
        byte[] profile = in.readBoolean() ? bytes(in) : new byte[0];
        return conditions.computeIfAbsent(
                id,
                key ->
                        PressCondition.shipped().stream()
                                .filter(each -> each.id().equals(id))
                                .findFirst()
                                .orElseGet(
                                        () -> PressCondition.imported(id, name, profile, limit)));
    }

    static byte[] bytes(DataInputStream in) throws IOException {
        return in.readNBytes(in.readInt());
    }

    static void write(DataOutputStream out, byte[] bytes) throws IOException {
        out.writeInt(bytes.length);
        out.write(bytes);
    }

    private static void write(DataOutputStream out, Optional<byte[]> bytes) throws IOException {
        out.writeBoolean(bytes.isPresent());
        if (bytes.isPresent()) {
            write(out, bytes.get());
        }
    }

    private static Optional<byte[]> optional(DataInputStream in) throws IOException {
        return in.readBoolean() ? Optional.of(bytes(in)) : Optional.empty();
    }

    private static void write(DataOutputStream out, PixelArray pixels) throws IOException {
        out.writeInt(DONE);
        out.writeInt(pixels.width());
        out.writeInt(pixels.height());
        out.writeUTF(pixels.colors().name());
        write(out, pixels.samples());
        write(out, pixels.alpha());
        write(out, pixels.profile());
    }

    static PixelArray pixels(DataInputStream in) throws IOException {
        return new PixelArray(
                in.readInt(),
                in.readInt(),
                Asset.Colors.valueOf(in.readUTF()),
                bytes(in),
                optional(in),
                optional(in));
    }

    private static void write(DataOutputStream out, PlaneImage image) throws IOException {
        out.writeInt(DONE);
        out.writeInt(image.width());
        out.writeInt(image.height());
        out.writeInt(image.planes());
        out.writeBoolean(image.alpha().isPresent());
        SparseBytes.write(out, image.samples());
        if (image.alpha().isPresent()) {
            SparseBytes.write(out, image.alpha().get());
        }
    }

    static PlaneImage image(DataInputStream in) throws IOException {
        int width = in.readInt();
        int height = in.readInt();
        int planes = in.readInt();
        boolean covers = in.readBoolean();
        int pixels = Math.multiplyExact(width, height);
        byte[] samples = SparseBytes.read(in, Math.multiplyExact(pixels, planes));
        return new PlaneImage(
                width,
                height,
                planes,
                samples,
                covers ? Optional.of(SparseBytes.read(in, pixels)) : Optional.empty());
    }
}
