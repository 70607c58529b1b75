package app.kemdro.web.parts.live;

import app.kemdro.web.parts.habit.Reader;
import jakarta.servlet.http.HttpSession;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Screens that listen, by what they listen to. They are told in turn, by one thread, so that all see the same order. */
@Component
public class Screens {
    private static final long NO_END = 0L;
    private static final int BEAT_SECONDS = 10;
    private static final int MOST = 2000;

    private final Map<String, List<SseEmitter>> listening = new ConcurrentHashMap<>();
    private final Map<SseEmitter, BooleanSupplier> still = new ConcurrentHashMap<>();
    private final Map<SseEmitter, Reader> readers = new ConcurrentHashMap<>();
    private final Map<SseEmitter, String> sessions = new ConcurrentHashMap<>();
    private final ScheduledExecutorService voice = Background.thread("screens");

    Screens() {
        voice.scheduleAtFixedRate(this::beat, BEAT_SECONDS, BEAT_SECONDS, TimeUnit.SECONDS);
    }

    /** A screen that anybody may hear begins to listen; it is told at once what it is given here, by the habit of whoever asks. */
    public SseEmitter listen(String to, String first) {
        return listen(to, first, () -> true);
    }

    /**
     * The same for a screen that only some may hear.
     *
     * @param mayStill asked before anything is said: whether they still may; where not, the screen is ended
     */
    public SseEmitter listen(String to, String first, BooleanSupplier mayStill) {
        SseEmitter screen = new SseEmitter(NO_END);
        List<SseEmitter> all = listening.computeIfAbsent(to, k -> new CopyOnWriteArrayList<>());
        if (all.size() >= MOST) {
            screen.complete();
            return screen;
        }
        still.put(screen, mayStill);
        readers.put(screen, Reader.now());
        Runnable gone = () -> {
            all.remove(screen);
            still.remove(screen);
            readers.remove(screen);
            sessions.remove(screen);
        };
        screen.onCompletion(gone);
        screen.onTimeout(gone);
        screen.onError(e -> gone.run());
        all.add(screen);
        voice.execute(() -> say(screen, all, "now", first));
        return screen;
    }

    /**
     * The same for a screen of somebody who is signed in: it ends with their session.
     *
     * @param session in which they are, if they are in one
     */
    public SseEmitter listen(String to, String first, @Nullable HttpSession session, BooleanSupplier mayStill) {
        SseEmitter screen = listen(to, first, mayStill);
        if (session != null && still.containsKey(screen)) {
            sessions.put(screen, session.getId());
        }
        return screen;
    }

    /** Ends every screen of a session, as when somebody signs out or is no longer let in. */
    public void endIn(String session) {
        sessions.forEach((screen, in) -> {
            if (in.equals(session)) {
                screen.complete();
            }
        });
    }

    /** Tells everybody who listens to this. */
    public void tell(String to, String name, String what) {
        List<SseEmitter> all = listening.get(to);
        if (all != null && !all.isEmpty()) {
            voice.execute(() -> all.forEach(s -> say(s, all, name, what)));
        }
    }

    /** Whether anybody listens to this. */
    public boolean anybody(String to) {
        List<SseEmitter> all = listening.get(to);
        return all != null && !all.isEmpty();
    }

    /** Ends every screen that listens to this, as when its address is taken back. */
    public void end(String to) {
        List<SseEmitter> all = listening.remove(to);
        if (all != null) {
            all.forEach(SseEmitter::complete);
        }
    }

    private void say(SseEmitter screen, List<SseEmitter> all, String name, String what) {
        if (!mayStill(screen)) {
            all.remove(screen);
            screen.complete();
            return;
        }
        try {
            screen.send(SseEmitter.event()
                    .name(name)
                    .data(readers.getOrDefault(screen, Reader.STANDARD).said(what)));
        } catch (IOException | IllegalStateException gone) {
            all.remove(screen);
        }
    }

    private boolean mayStill(SseEmitter screen) {
        try {
            return still.getOrDefault(screen, () -> true).getAsBoolean();
        } catch (RuntimeException e) {
            return false; // whoever cannot be asked about hears nothing more
        }
    }

    private void beat() {
        listening
                .values()
                .forEach(all -> all.forEach(s -> {
                    if (!mayStill(s)) {
                        all.remove(s);
                        s.complete();
                        return;
                    }
                    try {
                        s.send(SseEmitter.event().comment("beat"));
                    } catch (IOException | IllegalStateException gone) {
                        all.remove(s);
                    }
                }));
    }

    /** An open stream would keep the server from ending. */
    @EventListener(ContextClosedEvent.class)
    void close() {
        voice.shutdownNow();
        listening.keySet().forEach(this::end);
    }
}
