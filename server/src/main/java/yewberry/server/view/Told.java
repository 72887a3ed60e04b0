package yewberry.server.view;

import com.fasterxml.jackson.annotation.JsonIgnore;

/** What everybody who follows is told. */
public sealed interface Told permits StepNews, ShelfNews, JobView {
    /** How the event is called. */
    @JsonIgnore
    String event();
}
