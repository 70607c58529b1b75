package app.kemdro.web.parts.live;

import app.kemdro.core.hour.Wall;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ExecutorService;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/**
 * What is asked for once a room stands and takes a second or so. It is worked out one after another and behind whoever presses something:
 * one who presses again and again waits for none of it.
 */
@Component
public class Unhurried {
    private final ExecutorService bench = Background.behind("unhurried");

    /**
     * Waits until it is worked out.
     *
     * @param work begins when its turn comes: what it works on is to be read by then, since it may have been changed meanwhile
     */
    public <T> T ask(Supplier<T> work) {
        try {
            return CompletableFuture.supplyAsync(() -> inTurn(work), bench).join();
        } catch (CompletionException e) {
            if (e.getCause() instanceof RuntimeException wrong) {
                throw wrong;
            }
            throw e;
        }
    }

    private static <T> T inTurn(Supplier<T> work) {
        try {
            return work.get();
        } finally {
            Wall.clear();
        }
    }
}
