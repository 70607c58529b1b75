package app.kemdro.web;

import app.kemdro.core.schedule.Outcome.Planned;
import app.kemdro.core.schedule.Planner;
import app.kemdro.core.schedule.Prover;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.TaskNetwork;
import java.time.Duration;
import java.util.Optional;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.function.BooleanSupplier;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Primary;

/** Looks for a better order as hard as another count of placements lets it, once it is let: no clock is in it. */
public final class HeldProver implements Prover {
    private static final int HARD = 3000;

    private volatile CountDownLatch let = new CountDownLatch(0);
    private volatile int begun;
    private volatile int answered;

    /** Takes the place of the one that goes by the clock. */
    @TestConfiguration
    public static class Instead {
        @Bean
        @Primary
        HeldProver heldProver() {
            return new HeldProver();
        }
    }

    public void hold() {
        let = new CountDownLatch(1);
    }

    public void letGo() {
        let.countDown();
    }

    /** How many searches have begun. */
    public int begun() {
        return begun;
    }

    /** How many of them have found what they find. */
    public int answered() {
        return answered;
    }

    @Override
    public boolean works() {
        return true;
    }

    @Override
    public Proof prove(TaskNetwork network, Optional<Schedule> known, Duration limit, BooleanSupplier stop) {
        throw new UnsupportedOperationException("people get the clock");
    }

    @Override
    public Proof settle(TaskNetwork network, Optional<Schedule> known, Duration clock, Watch watch) {
        begun++;
        try {
            while (!let.await(10, TimeUnit.MILLISECONDS) && !watch.isStopped()) {}
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        Schedule now = known.orElseThrow();
        Schedule better = Planner.trying(HARD).anew(network, now) instanceof Planned p ? p.schedule() : now;
        answered++;
        return new Proof(Optional.of(better.ready() < now.ready() ? better : now), now.leastReady(), false);
    }
}
