package yewberry.server.view;

import java.time.OffsetDateTime;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.color.Medium;
import yewberry.pdf.proof.ReadBackReport;

/**
 * An export.
 *
 * @param revision of the publication that is exported
 * @param medium what the file is for
 * @param message why it failed or was cancelled, for people
 * @param phase what it is at, while it runs
 * @param done pages done in this phase
 * @param report what was found when the file was opened again
 */
public record JobView(
        UUID id,
        UUID publication,
        long revision,
        Medium medium,
        State state,
        String fileName,
        String message,
        String phase,
        int done,
        int all,
        Optional<ReadBackReport> report,
        OffsetDateTime started)
        implements Told {
    public enum State {
        RUNNING,
        DONE,
        FAILED,
        CANCELLED
    }

    @Override
    public String event() {
        return "job";
    }
}
