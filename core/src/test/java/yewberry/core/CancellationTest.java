package yewberry.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;

class CancellationTest {
    private static final Duration MINUTE = Duration.ofMinutes(1);

    private static String checked() {
        Cancellation.check();
        return "done";
    }

    @Test
    void what_is_done_in_time_is_there_and_what_is_not_is_left() {
        assertThat(Cancellation.within(MINUTE, CancellationTest::checked)).contains("done");
        assertThat(Cancellation.within(Duration.ZERO, CancellationTest::checked)).isEmpty();
        assertThat(checked()).isEqualTo("done"); // nothing of it lasts
    }

    /** That somebody has left is not taken for a lack of time. */
    @Test
    void work_that_is_not_wanted_any_more_ends_within_it_too() {
        AtomicBoolean unwanted = new AtomicBoolean();
        assertThatThrownBy(() ->
                        Cancellation.unless(
                                unwanted::get,
                                () ->
                                        Cancellation.within(
                                                MINUTE,
                                                () -> {
                                                    unwanted.set(true);
                                                    return checked();
                                                })))
                .isInstanceOf(CancellationException.class);
    }
}
