package app.kemdro.web.parts.live;

import app.kemdro.web.parts.habit.Reader;
import java.io.IOException;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.concurrent.Executor;
import java.util.function.BooleanSupplier;
import org.jspecify.annotations.Nullable;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * One screen that listens. What it is told waits in its own queue and is said in order, by one thread at a time: a screen that does not
 * read delays no other. One that has not read for too long is let go; it comes back by itself and is told how things stand.
 */
final class Screen {
    /** So much may wait for a screen. */
    static final int MOST = 60;

    private final SseEmitter emitter;
    private final BooleanSupplier mayStill;
    private final Reader reader;
    private final Executor voices;
    private final Deque<Message> waiting = new ArrayDeque<>();
    private boolean speaking;
    private boolean gone;

    private record Message(@Nullable String name, String what) {}

    /**
     * A screen of whoever asks now.
     *
     * @param mayStill asked before anything is said: whether they still may hear it
     */
    Screen(SseEmitter emitter, BooleanSupplier mayStill, Executor voices) {
        this.emitter = emitter;
        this.mayStill = mayStill;
        this.reader = Reader.now();
        this.voices = voices;
    }

    /** Tells it something, after what it was told before. */
    void tell(String name, String what) {
        add(new Message(name, what));
    }

    /** Keeps it awake, and learns whether it is still there; what is under way already does both. */
    synchronized void beat() {
        if (waiting.isEmpty()) {
            add(new Message(null, "beat"));
        }
    }

    private synchronized void add(Message message) {
        if (gone) {
            return;
        }
        if (waiting.size() >= MOST) {
            end();
            return;
        }
        waiting.add(message);
        speakUnlessSpeaking();
    }

    /** Lets it go, as soon as what is just being said to it is out. */
    synchronized void end() {
        if (!gone) {
            gone = true;
            waiting.clear();
            speakUnlessSpeaking();
        }
    }

    /** It has gone by itself. */
    synchronized void isGone() {
        gone = true;
        waiting.clear();
    }

    private void speakUnlessSpeaking() {
        if (!speaking) {
            speaking = true;
            voices.execute(this::speak);
        }
    }

    private void speak() {
        for (Message next = next(); next != null; next = next()) {
            if (!may()) {
                isGone();
            } else if (!said(next)) {
                isGone();
                return;
            }
        }
        if (hasGone()) {
            emitter.complete();
        }
    }

    private synchronized boolean hasGone() {
        return gone;
    }

    private synchronized @Nullable Message next() {
        Message next = waiting.poll();
        speaking = next != null;
        return next;
    }

    private boolean may() {
        try {
            return mayStill.getAsBoolean();
        } catch (RuntimeException e) {
            return false; // whoever cannot be asked about hears nothing more
        }
    }

    private boolean said(Message message) {
        try {
            emitter.send(
                    message.name() == null
                            ? SseEmitter.event().comment(message.what())
                            : SseEmitter.event().name(message.name()).data(reader.said(message.what())));
            return true;
        } catch (IOException | IllegalStateException away) {
            return false;
        }
    }
}
