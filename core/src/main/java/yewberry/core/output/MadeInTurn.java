package yewberry.core.output;

import java.lang.ref.Reference;
import java.lang.ref.SoftReference;
import java.lang.ref.WeakReference;
import java.util.AbstractList;
import java.util.concurrent.atomic.AtomicReferenceArray;
import java.util.function.Function;
import java.util.function.IntFunction;

/** What is made when it is asked for, and is the same as long as anybody has it. */
final class MadeInTurn<T> extends AbstractList<T> {
    private final AtomicReferenceArray<Reference<T>> known;
    private final IntFunction<T> make;
    private final Function<T, Reference<T>> reference;

    private MadeInTurn(int size, IntFunction<T> make, Function<T, Reference<T>> reference) {
        this.known = new AtomicReferenceArray<>(size);
        this.make = make;
        this.reference = reference;
    }

    /** Made again when nobody has it any more. */
    static <T> MadeInTurn<T> of(int size, IntFunction<T> make) {
        return new MadeInTurn<>(size, make, WeakReference::new);
    }

    /** Made again when memory was short: it takes long. */
    static <T> MadeInTurn<T> kept(int size, IntFunction<T> make) {
        return new MadeInTurn<>(size, make, SoftReference::new);
    }

    @Override
    public T get(int index) {
        Reference<T> there = known.get(index);
        T made = there == null ? null : there.get();
        if (made == null) {
            made = make.apply(index);
            known.set(index, reference.apply(made));
        }
        return made;
    }

    @Override
    public int size() {
        return known.length();
    }
}
