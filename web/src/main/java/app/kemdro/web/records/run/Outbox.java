package app.kemdro.web.records.run;

import app.kemdro.core.run.RunEvent;
import app.kemdro.web.parts.live.Background;
import app.kemdro.web.parts.mishap.Unsaid;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;
import org.springframework.util.function.SingletonSupplier;

/**
 * What follows from reports: written down together with the report, done as soon as that is stored, and tried again for as long as
 * it fails.
 */
@Component
public class Outbox implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(Outbox.class);

    /** Whoever wrote it down does it at once; not before this is it taken for left over, seconds. */
    private static final int LEFT_OVER = 10;

    private static final int LOOK_EVERY = 2;
    private static final Duration LONGEST_WAIT = Duration.ofMinutes(10);

    private final FollowUpRepository rows;
    private final RunRepository runs;
    private final Standings standings;
    private final SingletonSupplier<List<Follower>> followers;
    private final TransactionTemplate transaction;
    private final Clock clock;
    private final Queue<Long> done = new ConcurrentLinkedQueue<>();
    private final ScheduledExecutorService beat = Background.thread("outbox");

    Outbox(
            FollowUpRepository rows,
            RunRepository runs,
            Standings standings,
            ObjectProvider<Follower> followers,
            TransactionTemplate transaction,
            Clock clock) {
        this.rows = rows;
        this.runs = runs;
        this.standings = standings;
        // followers report themselves, so that they are asked for only once something follows
        this.followers = SingletonSupplier.of(() -> followers.orderedStream().toList());
        this.transaction = transaction;
        this.clock = clock;
        beat.scheduleWithFixedDelay(this::look, LOOK_EVERY, LOOK_EVERY, TimeUnit.SECONDS);
    }

    /** Writes down what follows from a report, in the transaction of the report. */
    List<FollowUp> add(Run run, RunEvent event) {
        LocalDateTime due = now().plusSeconds(LEFT_OVER);
        return rows.saveAllAndFlush(followers.obtain().stream()
                .filter(f -> f.follows(event, run))
                .map(f -> new FollowUp(run.id(), event.id(), f.name(), due))
                .toList());
    }

    /** Does what was written down, once it is stored. */
    void deliver(List<FollowUp> due, RunNow now) {
        due.forEach(row -> attempt(row, now));
    }

    private void look() {
        try {
            tidy();
            again();
        } catch (RuntimeException e) {
            LOG.warn("What follows from reports could not be looked through", Unsaid.of(e));
        }
    }

    /** Takes out of the list what is done. */
    void tidy() {
        List<Long> over = new ArrayList<>();
        for (Long seq = done.poll(); seq != null; seq = done.poll()) {
            over.add(seq);
        }
        if (!over.isEmpty()) {
            transaction.executeWithoutResult(t -> rows.remove(over));
        }
    }

    /** Tries what was left over, or has failed, once more. */
    void again() {
        for (FollowUp row : rows.findTop50ByDueAtBeforeOrderBySeq(now())) {
            runs.findById(row.runId()).ifPresent(run -> attempt(row, standings.of(run)));
        }
    }

    private void attempt(FollowUp row, RunNow now) {
        Optional<Follower> follower = followers.obtain().stream()
                .filter(f -> f.name().equals(row.follower()))
                .findFirst();
        try {
            follower.ifPresent(f -> f.follow(now, row.press()));
            done.add(row.seq());
        } catch (RuntimeException e) {
            long seconds = Math.min(LONGEST_WAIT.toSeconds(), LEFT_OVER * (1L << Math.min(10, row.tries())));
            LOG.warn("What follows from a report, {}, is tried again in {} s", row.follower(), seconds, Unsaid.of(e));
            row.failed(now().plusSeconds(seconds));
            rows.saveAndFlush(row);
        }
    }

    /** By the world's clock, which no change of the house's turns back. */
    private LocalDateTime now() {
        return LocalDateTime.ofInstant(clock.instant(), ZoneOffset.UTC);
    }

    @Override
    public void destroy() {
        beat.shutdownNow();
    }
}
