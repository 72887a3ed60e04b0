package yewberry.core;

import java.time.Duration;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.BooleanSupplier;
import java.util.function.IntConsumer;
import java.util.function.Supplier;

/**
 * Lets work that takes long be stopped by whoever asked for it. It looks, at places where nothing
 * is half done, whether it is still wanted. A thread is never interrupted for that: what it reads
 * or writes then would be closed under it.
 */
public final class Cancellation {
    private static final ThreadLocal<BooleanSupplier> UNWANTED = new ThreadLocal<>();

    private Cancellation() {}

    /**
     * Does something as long as it is wanted.
     *
     * @param unwanted asked again and again, on the thread that works
     * @throws CancellationException if it was not wanted any more
     */
    public static <T> T unless(BooleanSupplier unwanted, Supplier<T> work) {
        BooleanSupplier outer = UNWANTED.get();
        UNWANTED.set(unwanted);
        try {
            return work.get();
        } finally {
            if (outer == null) {
                UNWANTED.remove();
            } else {
                UNWANTED.set(outer);
            }
        }
    }

    /**
     * Does something that can be done without, if it is done in time.
     *
     * @return nothing where it would have taken longer
     * @throws CancellationException if it was not wanted any more
     */
    public static <T> Optional<T> within(Duration longest, Supplier<T> work) {
        BooleanSupplier outer = UNWANTED.get();
        long until = System.nanoTime() + longest.toNanos();
        try {
            return Optional.of(
                    unless(
                            () ->
                                    System.nanoTime() - until > 0
                                            || outer != null && outer.getAsBoolean(),
                            work));
        } catch (CancellationException late) {
            check();
            return Optional.empty();
        }
    }

    /** The same work for another thread, as long as it is wanted by whom this thread works for. */
    public static <T> Supplier<T> carried(Supplier<T> work) {
        BooleanSupplier unwanted = UNWANTED.get();
        return unwanted == null ? work : () -> unless(unwanted, work);
    }

    /** The same of work that is shared out among threads. */
    public static IntConsumer carried(IntConsumer part) {
        BooleanSupplier unwanted = UNWANTED.get();
        return unwanted == null
                ? part
                : at ->
                        unless(
                                unwanted,
                                () -> {
                                    part.accept(at);
                                    return null;
                                });
    }

    /**
     * @throws CancellationException if the work of this thread is not wanted any more
     */
    public static void check() {
        BooleanSupplier unwanted = UNWANTED.get();
        if (unwanted != null && unwanted.getAsBoolean()) {
            throw new CancellationException();
        }
    }
}
