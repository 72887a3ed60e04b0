package yewberry.server.files;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Duration;
import java.util.HashSet;
import java.util.Set;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import yewberry.core.Busy;
import yewberry.core.Locked;
import yewberry.core.Refused;
import yewberry.core.asset.FilePage;
import yewberry.core.asset.FileReader;
import yewberry.core.asset.KnownFile;
import yewberry.core.asset.PageText;
import yewberry.core.asset.PixelArray;
import yewberry.core.asset.PlaneImage;
import yewberry.core.publication.Asset;
import yewberry.core.text.FontFile;

/**
 * Has files from outside parsed and drawn by processes of their own, each with a heap of its own.
 * One that does not answer in time is ended: Java can stop neither a thread nor what runs out of
 * memory.
 */
@Component
public class FileWorkers implements FileReader, DisposableBean {
    private static final int WORKERS = 2;
    private static final String HEAP = "-Xmx1g";

    /**
     * For parsing a file, and for drawing what is shown of it: time of the processor, which does
     * not run out faster because the machine has other things to do.
     */
    private static final Duration DEADLINE = Duration.ofSeconds(8);

    /** For all pixels of a picture, which only an export wants. */
    private static final Duration WHOLE_DEADLINE = Duration.ofSeconds(40);

    /** So much longer by the clock, for what waits instead of working. */
    private static final int PATIENCE = 6;

    /** How often it is looked how much time a process has taken. */
    private static final long LOOK_MILLIS = 200;

    /** So long may one wait for its turn before it is said that there is too much to do. */
    private static final Duration TURN = Duration.ofSeconds(60);

    private final JsonMapper json;
    private final BlockingQueue<Seat> seats = new ArrayBlockingQueue<>(WORKERS);
    private final ScheduledExecutorService clock =
            Executors.newSingleThreadScheduledExecutor(
                    Thread.ofPlatform().daemon().name("file-deadline").factory());
    private volatile boolean closed;

    public FileWorkers(JsonMapper json) {
        this.json = json;
        for (int i = 0; i < WORKERS; i++) {
            seats.add(new Seat());
        }
        // warm when the first file comes
        Thread.ofPlatform().daemon().name("file-worker-start").start(this::warm);
    }

    private void warm() {
        Seat seat = seats.poll();
        if (seat != null) {
            try {
                seat.worker();
            } catch (IOException later) {
                // it is said when it is needed
            } finally {
                seats.add(seat);
            }
        }
    }

    /** A process and the streams to and from it. */
    private record Worker(Process process, DataOutputStream out, DataInputStream in, Sent sent) {
        static Worker start() throws IOException {
            Process process =
                    new ProcessBuilder(
                                    Path.of(System.getProperty("java.home"), "bin", "java")
                                            .toString(),
                                    HEAP,
                                    "-Xss2m",
                                    "-XX:+UseSerialGC",
                                    "-XX:+ExitOnOutOfMemoryError",
                                    "-Djava.awt.headless=true",
                                    "--enable-native-access=ALL-UNNAMED",
                                    "-cp",
                                    System.getProperty("java.class.path"),
                                    FileWorker.class.getName())
                            .redirectError(ProcessBuilder.Redirect.DISCARD)
                            .start();
            return new Worker(
                    process,
                    new DataOutputStream(new BufferedOutputStream(process.getOutputStream())),
                    new DataInputStream(new BufferedInputStream(process.getInputStream())),
                    new Sent());
        }
    }

    /**
     * What a process has already: the file of the last page that it was asked for, and profiles.
     */
    private static final class Sent {
        private final Set<String> conditions = new HashSet<>();
        private String file = "";

        void write(DataOutputStream out, FilePage page) throws IOException {
            PageStream.write(out, page, conditions.add(page.condition().id()));
        }

        void write(DataOutputStream out, KnownFile wanted) throws IOException {
            out.writeUTF(wanted.sha256());
            out.writeUTF(wanted.password());
            boolean comes = !wanted.sha256().equals(file);
            out.writeBoolean(comes);
            if (comes) {
                FileWorker.write(out, wanted.bytes().get());
                file = wanted.sha256();
            }
        }
    }

    /** Ends a process that has taken its time. */
    private record Watch(
            Process process, Duration deadline, AtomicBoolean late, long since, Duration before) {
        Watch(Process process, Duration deadline, AtomicBoolean late) {
            this(process, deadline, late, System.nanoTime(), taken(process));
        }

        /** Zero where the system does not say. */
        static Duration taken(Process process) {
            return process.info().totalCpuDuration().orElse(Duration.ZERO);
        }

        void look() {
            Duration waited = Duration.ofNanos(System.nanoTime() - since);
            if (waited.compareTo(deadline.multipliedBy(PATIENCE)) >= 0
                    || taken(process).minus(before).compareTo(deadline) >= 0) {
                late.set(true);
                process.destroyForcibly();
            }
        }
    }

    /** Where one works at a time. */
    private static final class Seat {
        private Worker worker;

        Worker worker() throws IOException {
            if (worker == null || !worker.process().isAlive()) {
                worker = Worker.start();
            }
            return worker;
        }

        void end() {
            if (worker != null) {
                worker.process().destroyForcibly();
                worker = null;
            }
        }
    }

    private interface Question {
        void to(DataOutputStream out, Sent sent) throws IOException;
    }

    private interface Answer<T> {
        T from(DataInputStream in) throws IOException;
    }

    private <T> T ask(Duration deadline, Question question, Answer<T> answer) {
        Seat seat = seat();
        try {
            return ask(seat, deadline, question, answer);
        } finally {
            seats.add(seat);
        }
    }

    private Seat seat() {
        try {
            Seat seat = seats.poll(TURN.toSeconds(), TimeUnit.SECONDS);
            if (seat != null && !closed) {
                return seat;
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        throw new Busy("Too many files are being read at the moment; try again in a minute.");
    }

    private <T> T ask(Seat seat, Duration deadline, Question question, Answer<T> answer) {
        AtomicBoolean late = new AtomicBoolean();
        try {
            Worker worker = seat.worker();
            Runnable look = new Watch(worker.process(), deadline, late)::look;
            var alarm =
                    clock.scheduleWithFixedDelay(
                            look, LOOK_MILLIS, LOOK_MILLIS, TimeUnit.MILLISECONDS);
            try {
                put(seat, worker, question);
                switch (worker.in().readInt()) {
                    case FileWorker.REFUSED -> throw new Refused(worker.in().readUTF());
                    case FileWorker.LOCKED -> throw new Locked(worker.in().readUTF());
                    default -> {} // the answer comes
                }
                return answer.from(worker.in());
            } finally {
                alarm.cancel(false);
            }
        } catch (IOException ended) {
            seat.end();
            throw new Refused(
                    late.get()
                            ? "This file takes longer than %d seconds to be read or drawn; simplify it and export it again."
                                    .formatted(deadline.toSeconds())
                            : "This file takes more memory than there is for one (1 GB), or breaks what reads it; simplify it and export it again.");
        }
    }

    /**
     * Where the file is gone the question stays half asked, and nobody could answer the next one.
     */
    private static void put(Seat seat, Worker worker, Question question) throws IOException {
        try {
            question.to(worker.out(), worker.sent());
            worker.out().flush();
        } catch (RuntimeException gone) {
            seat.end();
            throw gone;
        }
    }

    @Override
    public Asset.Content look(String name, KnownFile file) {
        return ask(
                DEADLINE,
                (out, sent) -> {
                    out.writeInt(FileWorker.LOOK);
                    out.writeUTF(name);
                    out.writeUTF(file.password());
                    FileWorker.write(out, file.bytes().get());
                },
                in -> json.readValue(FileWorker.bytes(in), Asset.Content.class));
    }

    @Override
    public PixelArray pixels(Asset.Format format, byte[] file, int every) {
        return ask(
                every == 1 ? WHOLE_DEADLINE : DEADLINE,
                (out, sent) -> {
                    out.writeInt(FileWorker.PIXELS);
                    out.writeUTF(format.name());
                    out.writeInt(every);
                    FileWorker.write(out, file);
                },
                FileWorker::pixels);
    }

    @Override
    public PixelArray drawing(byte[] file, int width, int height) {
        return ask(
                DEADLINE,
                (out, sent) -> {
                    out.writeInt(FileWorker.DRAWING);
                    out.writeInt(width);
                    out.writeInt(height);
                    FileWorker.write(out, file);
                },
                FileWorker::pixels);
    }

    @Override
    public PlaneImage page(KnownFile file, FilePage page, int width, int height) {
        return ask(
                DEADLINE,
                (out, sent) -> {
                    out.writeInt(FileWorker.PAGE);
                    out.writeInt(width);
                    out.writeInt(height);
                    sent.write(out, page);
                    sent.write(out, file);
                },
                FileWorker::image);
    }

    @Override
    public PageText text(KnownFile file, FilePage page) {
        return ask(
                DEADLINE,
                (out, sent) -> {
                    out.writeInt(FileWorker.TEXT);
                    sent.write(out, page);
                    sent.write(out, file);
                },
                PageStream::text);
    }

    /**
     * What a font file holds; all of it is read and drawn.
     *
     * @throws Refused if it cannot be used, with the reason
     */
    public FontFile font(byte[] file) {
        return ask(
                DEADLINE,
                (out, sent) -> {
                    out.writeInt(FileWorker.FONT);
                    FileWorker.write(out, file);
                },
                in -> json.readValue(FileWorker.bytes(in), FontFile.class));
    }

    @Override
    public void destroy() {
        closed = true;
        clock.shutdownNow();
        seats.forEach(Seat::end);
    }
}
