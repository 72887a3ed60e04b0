package yewberry.server.web;

import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** The open streams of events: they would hold up the end of the server, which ends them first. */
@Component
public class Streams implements SmartLifecycle {
    private final Set<SseEmitter> open = ConcurrentHashMap.newKeySet();
    private volatile boolean on;

    /** A stream that stays open as long as somebody reads it. */
    public SseEmitter open() {
        SseEmitter emitter = new SseEmitter(0L);
        open.add(emitter);
        emitter.onCompletion(() -> open.remove(emitter));
        return emitter;
    }

    /** Whether this one is still read, and the server goes on. */
    public boolean isOpen(SseEmitter emitter) {
        return on && open.contains(emitter);
    }

    /** Somebody stopped reading. */
    public void gone(SseEmitter emitter) {
        open.remove(emitter);
    }

    @Override
    public void start() {
        on = true;
    }

    @Override
    public void stop() {
        on = false;
        open.forEach(SseEmitter::complete);
    }

    @Override
    public boolean isRunning() {
        return on;
    }
}
