package app.kemdro.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collection;
import java.util.stream.Stream;

/**
 * How long something took, and whether the machine was this program's own meanwhile: the host of a virtual machine may give its
 * processors to others.
 *
 * @param ms milliseconds
 * @param stolen ticks of its processors that went to others, as Linux counts them; 0 where nobody counts
 */
record Timed(double ms, long stolen) {
    private static final Path COUNTS = Path.of("/proc/stat");

    /** Where the ticks of others stand in the line of all processors, its name being 0. */
    private static final int STEAL = 8;

    /** A beginning that is timed from. */
    record Start(long nanos, long stolen) {
        static Start now() {
            return new Start(System.nanoTime(), ticks());
        }

        /** What has gone by since. */
        Timed passed() {
            return new Timed((System.nanoTime() - nanos) / 1e6, ticks() - stolen);
        }

        /** The same where somebody else has looked at the clock. */
        Timed passed(double ms) {
            return new Timed(ms, ticks() - stolen);
        }
    }

    private static long ticks() {
        try (Stream<String> lines = Files.lines(COUNTS)) {
            return Long.parseLong(lines.findFirst().orElseThrow().split("\\s+")[STEAL]);
        } catch (IOException e) {
            return 0;
        }
    }

    /** Says how long they took, and of those during which nothing was taken from this machine. */
    static void print(String what, Collection<Timed> all) {
        System.out.printf("%s: %s%n", what, says(all));
        Collection<Timed> own = all.stream().filter(t -> t.stolen() == 0).toList();
        if (own.size() < all.size()) {
            System.out.printf("    processors given to nobody else meanwhile: %s%n", says(own));
        }
    }

    private static String says(Collection<Timed> times) {
        double[] sorted = times.stream().mapToDouble(Timed::ms).sorted().toArray();
        return sorted.length == 0
                ? "none"
                : "median %.0f ms, 19 of 20 under %.0f ms, longest %.0f ms (%d)"
                        .formatted(
                                sorted[sorted.length / 2],
                                sorted[sorted.length * 19 / 20],
                                sorted[sorted.length - 1],
                                sorted.length);
    }
}
