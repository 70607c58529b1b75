package app.kemdro.web.records.run;

import app.kemdro.core.run.Chair;
import app.kemdro.core.schedule.Confidence;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.LocalDateTime;

/** How the rest of a run may go, simulated once for everybody who asks in the same second. */
final class Mornings {
    private static final int MORNINGS = 200;

    private record Seen(LocalDateTime at, Confidence confidence) {}

    private static final Cache<RunNow, Seen> LAST =
            Caffeine.newBuilder().weakKeys().build();

    private Mornings() {}

    static Confidence of(RunNow run, LocalDateTime now) {
        return LAST.asMap()
                .compute(run, (r, seen) -> seen != null && seen.at().equals(now) ? seen : simulated(r, now))
                .confidence();
    }

    private static Seen simulated(RunNow run, LocalDateTime now) {
        return new Seen(
                now,
                Confidence.of(
                        run.plan().network(),
                        run.schedule(),
                        new Chair(run.plan(), run.state()).progress(now),
                        MORNINGS));
    }
}
