package yewberry.core;

/** Told how far long work has come. */
@FunctionalInterface
public interface Progress {
    Progress NONE = (done, all) -> {};

    /**
     * @throws java.util.concurrent.CancellationException if the work is to stop here
     */
    void at(int done, int all);
}
