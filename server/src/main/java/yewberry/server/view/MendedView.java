package yewberry.server.view;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import yewberry.core.findings.KnownFinding;
import yewberry.core.publication.Publication;

/**
 * Something that was wrong and is not any more.
 *
 * @param page the number of its page, from 1
 * @param message what was wrong
 * @param mended when that was first so
 */
public record MendedView(
        UUID key, String kind, int page, UUID pageId, String text, String message, Instant mended) {
    static MendedView of(KnownFinding known, Publication publication) {
        return new MendedView(
                known.key(),
                known.kind(),
                publication.indexOf(known.page()) + 1,
                known.page(),
                known.text(),
                known.message(),
                known.mended().orElseThrow());
    }

    /** What a finding is remembered by. */
    public static KnownFinding known(FindingView finding) {
        return new KnownFinding(
                finding.key(),
                finding.kind().code(),
                finding.pageId(),
                finding.run(),
                finding.text(),
                finding.message(),
                Optional.empty());
    }
}
