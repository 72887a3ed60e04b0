package yewberry.server.view;

import java.util.UUID;

/**
 * That a publication was changed.
 *
 * @param author the name that the browser gave itself
 * @param name of the person, as typed there; empty if none was
 */
public record StepNews(UUID publication, long revision, String author, String name)
        implements Told {
    @Override
    public String event() {
        return "step";
    }
}
