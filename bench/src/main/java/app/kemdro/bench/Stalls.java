package app.kemdro.bench;

import java.util.concurrent.atomic.AtomicBoolean;

/** How long the machine lets a thread wait that only sleeps: what else goes on beside a measurement. */
final class Stalls {
    private static final int NAP = 5;

    private final AtomicBoolean over = new AtomicBoolean();
    private final Thread sleeper = new Thread(this::sleep);
    private volatile double longest;

    private Stalls() {
        sleeper.setDaemon(true);
    }

    /** Begins to look. */
    static Stalls watch() {
        Stalls stalls = new Stalls();
        stalls.sleeper.start();
        return stalls;
    }

    /** The longest anybody would have waited for nothing until now, ms. */
    double longest() {
        over.set(true);
        return longest;
    }

    private void sleep() {
        try {
            while (!over.get()) {
                long from = System.nanoTime();
                Thread.sleep(NAP);
                longest = Math.max(longest, (System.nanoTime() - from) / 1e6 - NAP);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
