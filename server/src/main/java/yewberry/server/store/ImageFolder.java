package yewberry.server.store;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.FileTime;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import java.util.zip.Deflater;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import yewberry.core.asset.MadeImages;
import yewberry.core.asset.PlaneImage;
import yewberry.core.asset.SparseBytes;

/**
 * Pictures in what they are mixed in, as compressed files of one folder. All of them can be made
 * again: they are written after the answer, none that is broken is used, and those that were used
 * the longest ago go when there are too many.
 */
final class ImageFolder implements MadeImages, AutoCloseable {
    /** First in each file. */
    private static final int MARK = 0x59425032;

    /** So many wait to be written; more are not kept. */
    private static final int WAITING = 16;

    /** Larger ones are rarely wanted, and not kept. */
    private static final long MOST_PIXELS = 16_000_000;

    /**
     * Where there are too many, so much of what there may be is left, so that all is well for long.
     */
    private static final double LEFT = 0.9;

    private final Path folder;
    private final long bytes;

    /** Bytes of all files; below zero before they are counted. Of the thread that writes. */
    private long taken = -1;

    private final ExecutorService writing =
            new ThreadPoolExecutor(
                    1,
                    1,
                    1,
                    TimeUnit.MINUTES,
                    new ArrayBlockingQueue<>(WAITING),
                    Thread.ofPlatform().daemon().name("made-images").factory(),
                    new ThreadPoolExecutor.DiscardPolicy());

    /**
     * @param folder made if it is not there
     * @param bytes of all files together
     */
    ImageFolder(Path folder, long bytes) throws IOException {
        this.folder = Files.createDirectories(folder);
        this.bytes = bytes;
    }

    @Override
    public Optional<PlaneImage> find(String name) {
        Path file = folder.resolve(name);
        try (DataInputStream in =
                new DataInputStream(
                        new GZIPInputStream(
                                new BufferedInputStream(Files.newInputStream(file)), 1 << 16))) {
            PlaneImage image = read(in);
            Files.setLastModifiedTime(file, FileTime.from(Instant.now()));
            return Optional.of(image);
        } catch (NoSuchFileException missing) {
            return Optional.empty();
        } catch (IOException broken) {
            remove(file);
            return Optional.empty();
        }
    }

    private static PlaneImage read(DataInputStream in) throws IOException {
        int mark = in.readInt();
        int width = in.readInt();
        int height = in.readInt();
        int planes = in.readInt();
        boolean covers = in.readBoolean();
        if (mark != MARK
                || width < 1
                || height < 1
                || planes < 1
                || planes > 4
                || (long) width * height > MOST_PIXELS) {
            throw new IOException("This is no picture.");
        }
        byte[] samples = SparseBytes.read(in, width * height * planes);
        Optional<byte[]> alpha =
                covers ? Optional.of(SparseBytes.read(in, width * height)) : Optional.empty();
        if (in.read() >= 0) { // which also checks the sum at the end
            throw new IOException("There is more than a picture.");
        }
        return new PlaneImage(width, height, planes, samples, alpha);
    }

    @Override
    public void keep(String name, PlaneImage image) {
        if ((long) image.width() * image.height() <= MOST_PIXELS) {
            writing.execute(() -> write(name, image));
        }
    }

    private void write(String name, PlaneImage image) {
        Path half = folder.resolve(name + ".half");
        try {
            try (DataOutputStream out =
                    new DataOutputStream(new Quick(Files.newOutputStream(half)))) {
                out.writeInt(MARK);
                out.writeInt(image.width());
                out.writeInt(image.height());
                out.writeInt(image.planes());
                out.writeBoolean(image.alpha().isPresent());
                SparseBytes.write(out, image.samples());
                if (image.alpha().isPresent()) {
                    SparseBytes.write(out, image.alpha().get());
                }
            }
            long size = Files.size(half);
            Files.move(half, folder.resolve(name), StandardCopyOption.ATOMIC_MOVE);
            taken = taken < 0 ? tidied(bytes) : taken + size;
            if (taken > bytes) {
                taken = tidied((long) (bytes * LEFT));
            }
        } catch (IOException noRoom) {
            remove(half); // it is made again when it is wanted
        }
    }

    private static final class Quick extends GZIPOutputStream {
        Quick(OutputStream out) throws IOException {
            super(new BufferedOutputStream(out), 1 << 16);
            def.setLevel(Deflater.BEST_SPEED);
        }
    }

    private record Kept(Path path, long size, FileTime used) {}

    /**
     * Lets those go that were used the longest ago.
     *
     * @param most bytes of all that stay
     * @return bytes of all that stay
     */
    private long tidied(long most) throws IOException {
        List<Kept> kept;
        try (Stream<Path> files = Files.list(folder)) {
            kept =
                    files.flatMap(file -> kept(file).stream())
                            .sorted(Comparator.comparing(Kept::used).reversed())
                            .toList();
        }
        long sum = 0;
        for (Kept each : kept) {
            if (sum + each.size() > most) {
                remove(each.path());
            } else {
                sum += each.size();
            }
        }
        return sum;
    }

    private static Optional<Kept> kept(Path file) {
        try {
            return Optional.of(new Kept(file, Files.size(file), Files.getLastModifiedTime(file)));
        } catch (IOException gone) {
            return Optional.empty();
        }
    }

    private static void remove(Path file) {
        try {
            Files.deleteIfExists(file);
        } catch (IOException staying) {
            // it is looked at again the next time
        }
    }

    /** Waits until all that was to be kept is. */
    @Override
    public void close() {
        writing.close();
    }
}
