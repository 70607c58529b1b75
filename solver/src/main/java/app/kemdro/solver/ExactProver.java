package app.kemdro.solver;

import app.kemdro.core.schedule.Prover;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.TaskNetwork;
import com.google.ortools.Loader;
import java.time.Duration;
import java.util.Optional;
import java.util.function.BooleanSupplier;

/** The exact search with a constraint solver; where its native library cannot be loaded it says so and does nothing. */
public final class ExactProver implements Prover {
    private static final class Native {
        private static final boolean LOADED = load();

        private static boolean load() {
            try {
                Loader.loadNativeLibraries();
                return true;
            } catch (RuntimeException | UnsatisfiedLinkError e) {
                return false;
            }
        }
    }

    @Override
    public boolean works() {
        return Native.LOADED;
    }

    @Override
    public Proof prove(TaskNetwork network, Optional<Schedule> known, Duration limit, BooleanSupplier stop) {
        return hunt(network, known, Effort.counted(limit.toMillis() / 1000.0), Watch.until(stop));
    }

    @Override
    public Proof settle(TaskNetwork network, Optional<Schedule> known, Duration clock, Watch watch) {
        return hunt(network, known, Effort.clock(clock.toMillis() / 1000.0), watch);
    }

    private Proof hunt(TaskNetwork network, Optional<Schedule> known, Effort effort, Watch watch) {
        int least = known.map(Schedule::leastReady).orElse(0);
        if (!works() || network.tasks().isEmpty() || network.workers().isEmpty()) {
            return new Proof(known, least, false);
        }
        return new Hunt(network, known, least, effort, watch).run();
    }
}
