package app.kemdro.bench;

/** How long the machine lets a thread wait that only sleeps: what else goes on beside a measurement. */
final class Stalls {
    private static final int NAP = 5;

    private final Thread sleeper = new Thread(this::sleep);
    private volatile boolean over;
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

    /** Ends looking; the longest anybody would have waited for nothing, ms. */
    double end() {
        over = true;
        return longest;
    }

    private void sleep() {
        try {
            while (!over) {
                long from = System.nanoTime();
                Thread.sleep(NAP);
                longest = Math.max(longest, (System.nanoTime() - from) / 1e6 - NAP);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
