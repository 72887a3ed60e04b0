package yewberry.server.api;

import java.io.IOException;
import java.time.Duration;
import java.util.Optional;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import yewberry.core.Names;
import yewberry.server.publications.News;
import yewberry.server.view.Told;
import yewberry.server.web.Streams;

/** What others do, as it happens. */
@RestController
class NewsApi {
    /** As often a sign of life is sent, so that a browser that left is noticed. */
    private static final Duration SIGN = Duration.ofSeconds(15);

    private static final int LONGEST_NAME = 40;

    private final News news;
    private final Streams streams;

    NewsApi(News news, Streams streams) {
        this.news = news;
        this.streams = streams;
    }

    /**
     * Each step of any publication, what comes to the shelf and goes, and how far exports are, from
     * now on. The first event says that the stream has begun: what was changed before is to be
     * read.
     *
     * @param author the name that the browser gave itself
     * @param name of the person, for others to see; may be empty
     */
    @GetMapping(path = "/api/events", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter events(@RequestParam String author, @RequestParam(defaultValue = "") String name) {
        EditApi.checkAuthor(author);
        String shown = name.isBlank() ? "" : Names.checked("person", Names.cut(name, LONGEST_NAME));
        SseEmitter emitter = streams.open();
        News.Follower follower = news.follow(author, shown);
        Thread.ofVirtual().start(() -> tell(follower, emitter));
        return emitter;
    }

    private void tell(News.Follower follower, SseEmitter emitter) {
        try {
            emitter.send(SseEmitter.event().name("begun").data(""));
            while (streams.isOpen(emitter) && !follower.isBehind()) {
                Optional<Told> next = follower.next(SIGN);
                emitter.send(
                        next.map(each ->
                                        SseEmitter.event()
                                                .name(each.event())
                                                .data(each, MediaType.APPLICATION_JSON))
                                .orElseGet(() -> SseEmitter.event().comment("")));
            }
            emitter.complete(); // a browser that is behind comes again
        } catch (IOException | IllegalStateException left) {
            streams.gone(emitter);
        } catch (InterruptedException ending) {
            Thread.currentThread().interrupt();
        } finally {
            news.leave(follower);
        }
    }
}
