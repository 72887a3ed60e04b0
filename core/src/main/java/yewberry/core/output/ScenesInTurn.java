package yewberry.core.output;

import java.lang.ref.WeakReference;
import java.util.AbstractList;
import java.util.concurrent.atomic.AtomicReferenceArray;
import java.util.function.IntFunction;
import yewberry.core.scene.PageScene;

/** Scenes that are made when they are asked for, and are the same as long as anybody has them. */
final class ScenesInTurn extends AbstractList<PageScene> {
    private final AtomicReferenceArray<WeakReference<PageScene>> known;
    private final IntFunction<PageScene> make;

    ScenesInTurn(int size, IntFunction<PageScene> make) {
        this.known = new AtomicReferenceArray<>(size);
        this.make = make;
    }

    @Override
    public PageScene get(int index) {
        WeakReference<PageScene> reference = known.get(index);
        PageScene scene = reference == null ? null : reference.get();
        if (scene == null) {
            scene = make.apply(index);
            known.set(index, new WeakReference<>(scene));
        }
        return scene;
    }

    @Override
    public int size() {
        return known.length();
    }
}
