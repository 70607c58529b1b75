package app.kemdro.web.records.search;

import app.kemdro.core.plan.Plan;
import app.kemdro.core.schedule.Prover;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.web.parts.words.Words;
import java.time.Duration;

/** One search for a better order: how far it has come, and whether anybody still wants it. Threads of the search write, pages read. */
final class Search implements Prover.Watch {
    private static final int A_MINUTE = 60;

    /** For so long what was found is news, nanoseconds. */
    private static final long NEWS = 60_000_000_000L;

    private final long job;
    private volatile String version;
    private final Plan plan;
    private final Duration limit;
    private final boolean asked;
    private volatile long begun;
    private volatile long ended;
    private volatile int best;
    private volatile int least;
    private volatile boolean stopped;
    private volatile boolean dropped;
    private volatile boolean over;
    private volatile boolean found;
    private volatile String says = "";

    /**
     * Not begun yet.
     *
     * @param asked whether somebody asked for it, or it follows a change by itself
     */
    Search(long job, String version, Plan plan, Duration limit, boolean asked) {
        this.job = job;
        this.version = version;
        this.plan = plan;
        this.limit = limit;
        this.asked = asked;
        this.best = plan.schedule().ready();
        this.least = plan.schedule().leastReady();
    }

    long job() {
        return job;
    }

    /** The version of the job it looks at. */
    String version() {
        return version;
    }

    /** What it found is for this version. */
    void isFor(String now) {
        version = now;
    }

    Plan plan() {
        return plan;
    }

    Duration limit() {
        return limit;
    }

    boolean isAsked() {
        return asked;
    }

    void begin() {
        begun = System.nanoTime();
    }

    /** Ends it with what it has found. */
    void stop() {
        stopped = true;
    }

    /** Ends it; what it has found is of no use any more. */
    void drop() {
        dropped = true;
    }

    boolean isDropped() {
        return dropped;
    }

    boolean isOver() {
        return over;
    }

    /** Whether anything shorter was found. */
    void hasFound(boolean shorter) {
        found = shorter;
    }

    /** It is over, and this is what came of it; one that nobody asked for is quiet about having found nothing. */
    void end(String what) {
        says = asked || found ? what : "";
        ended = System.nanoTime();
        over = true;
    }

    /** What came of it, for as long as that is news. */
    String news() {
        return over && System.nanoTime() - ended < NEWS ? says : "";
    }

    @Override
    public boolean isStopped() {
        return stopped || dropped;
    }

    @Override
    public void found(Schedule better) {
        best = Math.min(best, better.ready());
    }

    @Override
    public void proven(int second, String because) {
        least = Math.max(least, second);
    }

    /** How it stands, after so many others. */
    SearchState state(int after) {
        int was = plan.schedule().ready();
        int now = best;
        int soonest = Math.min(least, now);
        return new SearchState(
                !over,
                asked,
                saying(after, was - now),
                span(was),
                span(now),
                span(soonest),
                now - soonest < A_MINUTE ? "Nothing is open." : "At most " + span(now - soonest) + " are still open.",
                was == soonest ? 100 : (int) Math.round(100.0 * (was - now) / (was - soonest)),
                begun == 0 ? 0 : Math.min(1, (System.nanoTime() - begun) / 1e6 / limit.toMillis()));
    }

    private String saying(int after, int saved) {
        if (over) {
            return says;
        }
        if (begun == 0 && after > 0) {
            return after == 1
                    ? "Another order is looked for first; this one is next."
                    : after + " other orders are looked for first.";
        }
        return saved >= A_MINUTE ? span(saved) + " sooner so far." : "Nothing shorter so far.";
    }

    private static String span(int seconds) {
        return Words.span(Math.round(seconds / (double) A_MINUTE));
    }
}
