package yewberry.server.view;

import java.time.OffsetDateTime;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.color.Medium;
import yewberry.core.output.OutputKind;
import yewberry.pdf.proof.ReadBackReport;

/**
 * An export.
 *
 * @param revision of the publication that is exported
 * @param kind what is made
 * @param message why it failed or was cancelled, for people
 * @param phase what it is at, while it runs; empty while it waits for its turn
 * @param done pages done in this phase
 * @param left seconds to the end of this phase, at its pace so far
 * @param report what was found when the file was opened again
 * @param files what became of each file of a set, in their order
 * @param compared the exports that are held against each other; one alone is held against the
 *     publication
 */
public record JobView(
        UUID id,
        UUID publication,
        long revision,
        Kind kind,
        State state,
        String fileName,
        String message,
        String phase,
        int done,
        int all,
        Optional<Integer> left,
        Optional<ReadBackReport> report,
        List<FileResult> files,
        List<UUID> compared,
        OffsetDateTime started)
        implements Told {
    public enum Kind {
        PRESS_PDF("press-pdf"),
        READING_PDF("screen-pdf"),
        ALL_PDF("all-pdf"),
        SCREEN_AND_PAPER_PDF("screen-and-paper-pdf"),
        OFFICE_PDF("office-pdf"),
        PNG("png"),
        JPEG("jpeg"),
        SVG("svg"),
        WEB("web"),
        /** The files of a set with what was added to their pages, as a zip file. */
        FILES("files"),
        /** None: the file of an export is held against the publication as it is now, or another. */
        COMPARISON("comparison"),
        /** The same without what was added to them before. */
        BARE_FILES("bare-files");

        private final String stored;

        Kind(String stored) {
            this.stored = stored;
        }

        public String stored() {
            return stored;
        }

        public static Kind of(String stored) {
            return Arrays.stream(values())
                    .filter(each -> each.stored.equals(stored))
                    .findFirst()
                    .orElseThrow(() ->
                            new IllegalStateException("An unknown kind of export: " + stored));
        }

        public static Kind of(Medium medium) {
            return switch (medium) {
                case PAPER -> PRESS_PDF;
                case SCREEN -> READING_PDF;
            };
        }

        /** Whether it is the files whose pages these are. */
        public boolean isSet() {
            return this == FILES || this == BARE_FILES;
        }

        /** Whether it is a zip file of many. */
        public boolean isMany() {
            return isSet() || output().filter(each -> !each.isPdf()).isPresent();
        }

        /** What is made of the pages; nothing for the files of a set. */
        public Optional<OutputKind> output() {
            return isSet() || this == COMPARISON
                    ? Optional.empty()
                    : Optional.of(OutputKind.valueOf(name()));
        }

        public static Kind of(OutputKind output) {
            return valueOf(output.name());
        }
    }

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
