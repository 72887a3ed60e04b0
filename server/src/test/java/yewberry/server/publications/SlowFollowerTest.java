package yewberry.server.publications;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import yewberry.server.view.StepNews;

class SlowFollowerTest {
    private static final Duration AT_ONCE = Duration.ZERO;

    @Test
    void who_does_not_read_holds_nobody_up_and_is_told_to_look_anew() throws InterruptedException {
        News news = new News();
        News.Follower slow = news.follow("slow", "");
        News.Follower quick = news.follow("quick", "");
        UUID publication = new UUID(0, 1);
        for (int revision = 1; revision <= 1000; revision++) {
            news.stored(publication, revision, "quick");
            assertThat(quick.next(AT_ONCE))
                    .hasValue(new StepNews(publication, revision, "quick", ""));
        }
        assertThat(slow.isBehind()).isTrue();
        assertThat(quick.isBehind()).isFalse();
        news.leave(slow);
        assertThat(news.count()).isEqualTo(1);
    }

    @Test
    void whoever_comes_is_let_in_and_the_first_makes_room() {
        News news = new News();
        News.Follower first = news.follow("first", "");
        News.Follower second = news.follow("second", "");
        for (int i = 2; i <= 100; i++) {
            news.follow("later-" + i, "");
        }
        assertThat(news.count()).isEqualTo(100);
        assertThat(first.isBehind()).isTrue();
        assertThat(second.isBehind()).isFalse();
    }
}
