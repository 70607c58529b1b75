package app.kemdro.web.rooms.order;

import app.kemdro.core.plan.Plan;
import app.kemdro.core.schedule.Prover;
import app.kemdro.core.schedule.Prover.Proof;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.solver.Courtesy;
import app.kemdro.solver.ExactProver;
import app.kemdro.web.parts.live.Background;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Service;

/** Searches for the best order, one after another beside the work; each can be stopped, and what it found is kept. */
@Service
class Searches implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(Searches.class);

    private final Prover prover = new ExactProver();
    private final Plans plans;
    private final Jobs jobs;
    private final Map<Long, Search> running = new ConcurrentHashMap<>();
    private final ExecutorService bench = Background.thread("order-search", Thread.MIN_PRIORITY);

    Searches(Plans plans, Jobs jobs) {
        this.plans = plans;
        this.jobs = jobs;
    }

    private static final class Search {
        private final String version;
        private volatile boolean stopped;
        private volatile boolean over;
        private volatile String says = "Looking for a better order.";

        Search(String version) {
            this.version = version;
        }

        /** Says how far it has come whenever it has come further. */
        private Prover.Watch watching(Plan plan) {
            int was = plan.schedule().ready();
            return new Prover.Watch() {
                private int best = was;
                private int least = plan.schedule().leastReady();

                @Override
                public boolean isStopped() {
                    return stopped;
                }

                @Override
                public void found(Schedule better) {
                    best = better.ready();
                    say();
                }

                @Override
                public void proven(int second, String because) {
                    least = second;
                    say();
                }

                private void say() {
                    long saved = Math.round((was - best) / 60.0);
                    says = (saved > 0 ? Words.span(saved) + " sooner so far; " : "Nothing shorter so far; ")
                            + "no order is shorter than " + Words.span(Math.round(least / 60.0)) + ".";
                }
            };
        }
    }

    /** How a search stands. */
    record State(boolean looking, String says) {}

    State state(long job) {
        Search search = running.get(job);
        return search == null ? new State(false, "") : new State(!search.over, search.says);
    }

    /** Begins to look; a search that goes on already is left alone. */
    void begin(Job job, Duration limit) {
        Optional<Plan> plan = plans.of(job).plan();
        if (plan.isEmpty()) {
            return;
        }
        Search search = new Search(job.version());
        Search known = running.merge(job.id(), search, (old, next) -> old.over ? next : old);
        if (known == search) {
            bench.submit(() -> look(job.id(), plan.get(), search, limit));
        }
    }

    void stop(long job) {
        Search search = running.get(job);
        if (search != null) {
            search.stopped = true;
        }
    }

    private void look(long id, Plan plan, Search search, Duration limit) {
        try {
            Courtesy.stepBack();
            if (!prover.works()) {
                search.says = "The exact search does not run on this machine; the order stands as it is.";
                return;
            }
            Proof proof = prover.settle(plan.network(), Optional.of(plan.schedule()), limit, search.watching(plan));
            Schedule found = proof.schedule().filter(s -> isWorth(s, plan)).orElse(plan.schedule());
            Job now = jobs.get(id);
            if (!now.version().equals(search.version)) {
                search.says = "The job was changed meanwhile; look again.";
                return;
            }
            plans.takeOrder(now, plan, calmed(plan, found));
            search.says = says(plan, found);
        } catch (RuntimeException e) {
            LOG.warn("A search for a better order broke off", e);
            search.says = "The search broke off; the order stands as it was.";
        } finally {
            search.over = true;
        }
    }

    /** First the shortest, then sense: what the exact search found knows nothing of it. */
    private Schedule calmed(Plan plan, Schedule found) {
        return found.ready() < plan.schedule().ready() ? plans.calmer().calmed(plan, found) : found;
    }

    /** An order for which some minutes are allowed is left only for one that is ready sooner by more than those. */
    private static boolean isWorth(Schedule found, Plan plan) {
        int allowed = plan.brief().allowed().minutes() * 60;
        return allowed == 0 || found.ready() < plan.schedule().ready() - allowed;
    }

    private static String says(Plan plan, Schedule found) {
        long saved = Math.round((plan.schedule().ready() - found.ready()) / 60.0);
        return saved > 0 ? Words.span(saved) + " sooner than before." : "Nothing shorter was found.";
    }

    @Override
    public void destroy() {
        running.values().forEach(s -> s.stopped = true);
        bench.shutdownNow();
    }
}
