package app.kemdro.web.records.search;

import app.kemdro.core.plan.Plan;
import app.kemdro.core.schedule.Prover;
import app.kemdro.core.schedule.Prover.Proof;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.solver.Courtesy;
import app.kemdro.web.parts.live.Background;
import app.kemdro.web.parts.mishap.Unsaid;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.PlannedAhead;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.plan.Replanned;
import app.kemdro.web.records.run.Runs;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;

/**
 * Searches for better orders, one after another beside the work and one for a job. After a change an order settles by itself; asked for,
 * a search goes on for longer. While somebody sits, orders stay as they are.
 */
@Service
public class Searches implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(Searches.class);

    /** Whoever has pressed once often presses again: by itself nothing is looked for before so many milliseconds are over. */
    private static final int PAUSE = 300;

    /** A search that is over is remembered until so many others are. */
    private static final int REMEMBERED = 60;

    /** Whether somebody still points at a press is asked every so many milliseconds. */
    private static final int LOOKS_UP = 100;

    /** Less than this is not worth another order, seconds. */
    private static final int WORTH = 60;

    private final Prover prover;
    private final Plans plans;
    private final Jobs jobs;
    private final Runs runs;
    private final Duration settling;
    private final Map<Long, Search> searches = new LinkedHashMap<>();
    private final Cache<Long, Boolean> pointedAt;
    private final ScheduledExecutorService bench = Background.thread("order-search", Thread.MIN_PRIORITY);

    /**
     * Looks for orders of these jobs.
     *
     * @param settling how long an order settles after a change; zero where it does not
     * @param pointing so long somebody who points at a press is given to make it: they mean the order they see
     */
    Searches(
            Prover prover,
            Plans plans,
            Jobs jobs,
            Runs runs,
            @Value("${kemdro.settling}") Duration settling,
            @Value("${kemdro.pointing}") Duration pointing) {
        pointedAt = Caffeine.newBuilder().expireAfterWrite(pointing).build();
        this.prover = prover;
        this.plans = plans;
        this.jobs = jobs;
        this.runs = runs;
        this.settling = settling;
    }

    /** How the search for a job's order stands. */
    public synchronized SearchState state(long job) {
        Search search = searches.get(job);
        return search == null ? SearchState.NONE : search.state(before(search));
    }

    /** How the search for this job's order stands; of one that is only supposed, how it will stand once the press is made. */
    public SearchState state(Job job) {
        return job.isSupposed() && !settling.isZero() && isReplanned(job)
                ? plans.of(job)
                        .plan()
                        .map(p -> new Search(job.id(), job.meant(), p, settling, false).state(0))
                        .orElse(SearchState.NONE)
                : state(job.id());
    }

    private boolean isReplanned(Job supposed) {
        Optional<Schedule> now = plans.of(jobs.get(supposed.id())).plan().map(Plan::schedule);
        return !plans.of(supposed).plan().map(Plan::schedule).equals(now);
    }

    /** What was found a moment ago for a job as it is now, in words; empty where nothing was, or it has been changed since. */
    public synchronized String found(Job job) {
        Search search = searches.get(job.id());
        return search != null && search.version().equals(job.meant()) ? search.news() : "";
    }

    private int before(Search search) {
        return (int) searches.values().stream()
                .takeWhile(s -> s != search)
                .filter(s -> !s.isOver())
                .count();
    }

    /** Begins to look because somebody asked for it; one that was asked for already is left alone. */
    public void ask(Job job, Duration limit) {
        plans.of(job).plan().ifPresent(p -> begin(new Search(job.id(), job.meant(), p, limit, true), 0));
    }

    /** After a change the order settles by itself. */
    @EventListener
    void replanned(Replanned changed) {
        Optional<Plan> plan = changed.answer().plan();
        long job = changed.job().id();
        pointedAt.invalidate(job);
        if (plan.isEmpty() || settling.isZero() || runs.open(job).isPresent()) {
            drop(job);
        } else {
            begin(new Search(job, changed.job().meant(), plan.get(), settling, false), PAUSE);
        }
    }

    private synchronized void drop(long job) {
        Optional.ofNullable(searches.remove(job)).ifPresent(Search::drop);
    }

    private synchronized void begin(Search search, int pause) {
        Search known = searches.get(search.job());
        if (known != null
                && !known.isOver()
                && known.isAsked()
                && known.version().equals(search.version())) {
            return;
        }
        drop(search.job());
        searches.values().stream()
                .filter(Search::isOver)
                .limit(Math.max(0, searches.size() - REMEMBERED))
                .map(Search::job)
                .toList()
                .forEach(searches::remove);
        searches.put(search.job(), search);
        bench.schedule(() -> look(search), pause, TimeUnit.MILLISECONDS);
    }

    /** Stops looking for a better order of a job; what was found so far is taken. */
    public synchronized void stop(long job) {
        Optional.ofNullable(searches.get(job)).ifPresent(Search::stop);
    }

    private void look(Search search) {
        if (search.isDropped()) {
            return;
        }
        String says = "The search broke off; the order stands as it was.";
        try {
            Courtesy.stepBack();
            search.begin();
            says = prover.works()
                    ? looked(search)
                    : "The exact search does not run on this machine; the order stands as it is.";
        } catch (RuntimeException e) {
            LOG.warn("A search for a better order broke off", Unsaid.of(e));
        } finally {
            search.end(says);
        }
    }

    private String looked(Search search) {
        Plan plan = search.plan();
        Schedule now = plan.schedule();
        Proof proof = prover.settle(plan.network(), Optional.of(now), search.limit(), search);
        // first the shortest, then sense: what the exact search found knows nothing of it
        Schedule better = proof.schedule()
                .filter(s -> isWorth(s, plan))
                .map(s -> plans.calmer().calmed(plan, s))
                .orElseGet(() -> now.provenNotBefore(proof.leastReady()));
        await(search);
        if (search.isDropped() || runs.open(search.job()).isPresent()) {
            return "";
        }
        if (!better.equals(now) && !taken(search, better)) {
            return "The job was changed meanwhile; look again.";
        }
        long saved = Math.round((now.ready() - better.ready()) / 60.0);
        search.hasFound(saved > 0);
        return saved > 0 ? Words.span(saved) + " found." : "Nothing shorter was found.";
    }

    /** Somebody points at a press. */
    @EventListener
    void pointed(PlannedAhead would) {
        pointedAt.put(would.job().id(), true);
    }

    /** Waits until nobody points at a press of the job any more, or one is made. */
    private void await(Search search) {
        try {
            while (!search.isDropped() && pointedAt.getIfPresent(search.job()) != null) {
                Thread.sleep(LOOKS_UP);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            search.drop();
        }
    }

    /** Takes the order over where the job still stands in the one that was begun from; what else was changed meanwhile does not matter. */
    private boolean taken(Search search, Schedule better) {
        Job job = jobs.get(search.job());
        boolean same = plans.of(job)
                .plan()
                .filter(p -> p.network().equals(search.plan().network())
                        && p.schedule().equals(search.plan().schedule()))
                .isPresent();
        if (!same || !plans.takeFound(job, search.plan(), better)) {
            return false;
        }
        search.isFor(job.meant());
        plans.of(jobs.get(search.job()));
        return true;
    }

    /** An order for which some minutes are allowed is left only for one that is ready sooner by more than those. */
    private static boolean isWorth(Schedule found, Plan plan) {
        int allowed = plan.brief().allowed().minutes() * 60;
        return plan.schedule().ready() - found.ready() >= Math.max(WORTH, allowed + 1);
    }

    @Override
    public synchronized void destroy() {
        searches.values().forEach(Search::drop);
        bench.shutdownNow();
    }
}
