package app.kemdro.web.parts.live;

import jakarta.servlet.http.HttpSession;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/** Screens that listen, by what they listen to. Each is told in the order in which things were said. */
@Component
public class Screens {
    private static final long NO_END = 0L;
    private static final int BEAT_SECONDS = 10;
    private static final int MOST = 2000;

    /** So many screens may be slow at once before others wait for them. */
    private static final int VOICES = 64;

    private final Map<String, List<Screen>> listening = new ConcurrentHashMap<>();
    private final Map<Screen, String> sessions = new ConcurrentHashMap<>();
    private final ScheduledExecutorService clock = Background.thread("screens");
    private final ExecutorService voices = Background.threads("screen", VOICES);

    Screens() {
        clock.scheduleAtFixedRate(
                () -> listening.values().forEach(all -> all.forEach(Screen::beat)),
                BEAT_SECONDS,
                BEAT_SECONDS,
                TimeUnit.SECONDS);
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
        return listen(to, first, null, mayStill);
    }

    /**
     * The same for a screen of somebody who is signed in: it ends with their session.
     *
     * @param session in which they are, if they are in one
     */
    public SseEmitter listen(String to, String first, @Nullable HttpSession session, BooleanSupplier mayStill) {
        return begin(new SseEmitter(NO_END), to, first, session == null ? null : session.getId(), mayStill);
    }

    SseEmitter begin(SseEmitter emitter, String to, String first, @Nullable String session, BooleanSupplier mayStill) {
        List<Screen> all = listening.computeIfAbsent(to, k -> new CopyOnWriteArrayList<>());
        if (all.size() >= MOST) {
            emitter.complete();
            return emitter;
        }
        Screen screen = new Screen(emitter, mayStill, voices);
        Runnable gone = () -> {
            screen.isGone();
            all.remove(screen);
            sessions.remove(screen);
        };
        emitter.onCompletion(gone);
        emitter.onTimeout(gone);
        emitter.onError(e -> gone.run());
        if (session != null) {
            sessions.put(screen, session);
        }
        all.add(screen);
        screen.tell("now", first);
        return emitter;
    }

    /** The sessions in which screens listen. */
    public Set<String> sessions() {
        return Set.copyOf(sessions.values());
    }

    /** Ends every screen of a session, as when somebody signs out or is no longer let in. */
    public void endIn(String session) {
        sessions.forEach((screen, in) -> {
            if (in.equals(session)) {
                screen.end();
            }
        });
    }

    /** Tells everybody who listens to this. */
    public void tell(String to, String name, String what) {
        listening.getOrDefault(to, List.of()).forEach(s -> s.tell(name, what));
    }

    /** Whether anybody listens to this. */
    public boolean anybody(String to) {
        return !listening.getOrDefault(to, List.of()).isEmpty();
    }

    /** Ends every screen that listens to this, as when its address is taken back. */
    public void end(String to) {
        List<Screen> all = listening.remove(to);
        if (all != null) {
            all.forEach(Screen::end);
        }
    }

    /** An open stream would keep the server from ending. */
    @EventListener(ContextClosedEvent.class)
    void close() {
        clock.shutdownNow();
        listening.keySet().forEach(this::end);
        voices.shutdown();
    }
}
