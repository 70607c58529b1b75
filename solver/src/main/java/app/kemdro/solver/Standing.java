package app.kemdro.solver;

import app.kemdro.core.schedule.Prover.Proof;
import app.kemdro.core.schedule.Prover.Watch;
import app.kemdro.core.schedule.Schedule;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** How a search stands: the best order, what is proven, and whether it is over. All who search share it. */
final class Standing {
    private final Effort effort;
    private final Watch watch;
    private final int grid;
    private volatile @Nullable Schedule best;
    private volatile int least;
    private volatile boolean impossible;

    /**
     * Of the beginning.
     *
     * @param least second before which nothing is ready
     * @param grid seconds of which all times are multiples, and so the second of being ready
     */
    Standing(Optional<Schedule> known, int least, int grid, Effort effort, Watch watch) {
        this.effort = effort;
        this.watch = watch;
        this.grid = grid;
        this.best = known.orElse(null);
        this.least = rounded(least);
    }

    Optional<Schedule> best() {
        return Optional.ofNullable(best);
    }

    /** When the best is ready, seconds; never if nothing is known. */
    int ready() {
        Schedule now = best;
        return now == null ? Integer.MAX_VALUE : now.ready();
    }

    int least() {
        return least;
    }

    /** Whether nothing shorter exists, the effort is spent, or nobody wants it any more. */
    boolean isOver() {
        return impossible || ready() <= least || effort.isSpent() || watch.isStopped();
    }

    synchronized void better(Schedule found) {
        if (found.ready() < ready()) {
            best = found;
            watch.found(found);
        }
    }

    synchronized void proven(int second, String because) {
        if (rounded(second) > least) {
            least = rounded(second);
            watch.proven(least, because);
        }
    }

    /** No order keeps everything that has to be kept. */
    void impossible() {
        impossible = true;
    }

    Proof proof() {
        int proven = Math.min(least, ready());
        return new Proof(best().map(s -> s.provenNotBefore(proven)), proven, impossible);
    }

    private int rounded(int second) {
        return (second + grid - 1) / grid * grid;
    }
}
