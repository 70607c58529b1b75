package app.kemdro.core.schedule;

import java.time.Duration;
import java.util.Optional;
import java.util.function.BooleanSupplier;

/** Looks for the shortest sound schedule of a network and proves how short one can be. */
public interface Prover {

    /** Whether it can work on this machine; it may not, and then the planner's own answer stands. */
    boolean works();

    /**
     * Looks until it has proven that nothing is shorter, the time is over, or it is told to stop.
     *
     * @param known a sound schedule to begin from, if there is one
     * @param limit about how long it may look; the same effort everywhere, so that the same input gives the same answer
     * @param stop asked now and then; true ends the search with what was found
     */
    Proof prove(TaskNetwork network, Optional<Schedule> known, Duration limit, BooleanSupplier stop);

    /**
     * The same for as long as a clock goes: how far it comes depends on the machine, and somebody waits.
     *
     * @param watch hears what is found and proven, and may end it
     */
    Proof settle(TaskNetwork network, Optional<Schedule> known, Duration clock, Watch watch);

    /** Whoever looks on while a search goes on; called from its threads, one at a time. */
    interface Watch {
        /** Whether nobody wants it any more; asked now and then. */
        boolean isStopped();

        /** A shorter order was found. */
        default void found(Schedule better) {}

        /** No order is ready before this second; because of what. */
        default void proven(int least, String because) {}

        /** Looks on until it is told to stop. */
        static Watch until(BooleanSupplier stop) {
            return stop::getAsBoolean;
        }
    }

    /**
     * What was found.
     *
     * @param schedule the shortest schedule found, if any; its {@code leastReady} is what was proven
     * @param leastReady no schedule can be ready before this second
     * @param impossible whether it is proven that no schedule keeps every constraint
     */
    record Proof(Optional<Schedule> schedule, int leastReady, boolean impossible) {
        /** Whether nothing shorter exists. */
        public boolean isBest() {
            return schedule.isPresent() && schedule.get().ready() <= leastReady;
        }
    }
}
