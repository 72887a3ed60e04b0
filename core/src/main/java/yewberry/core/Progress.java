package yewberry.core;

/** Told how far long work has come. */
@FunctionalInterface
public interface Progress {
    Progress NONE = (done, all) -> {};

    /**
     * @throws java.util.concurrent.CancellationException if the work is to stop here
     */
    void at(int done, int all);

    /**
     * That of work that goes over the same things several times.
     *
     * @param part which time it is, from 0
     * @return told how far it has come of this time
     */
    default Progress part(int part, int parts) {
        return (done, all) -> at((int) (((long) part * all + done) / parts), all);
    }
}
