package app.kemdro.web.records.finding;

import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.Trade;
import app.kemdro.core.run.RunEvent;
import app.kemdro.web.parts.json.Json;
import app.kemdro.web.parts.live.Background;
import app.kemdro.web.parts.mishap.Unsaid;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.finding.Found.Line;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.JobChanged;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.job.NoSuchJob;
import app.kemdro.web.records.paint.KeptMixes;
import app.kemdro.web.records.paint.MixesChanged;
import app.kemdro.web.records.performer.PerformerRenamed;
import app.kemdro.web.records.run.Follower;
import app.kemdro.web.records.run.OnTheJob;
import app.kemdro.web.records.run.Run;
import app.kemdro.web.records.run.RunNow;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Standings;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessException;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Service;

/** Finds words in jobs and their books: notes, reasons, techniques, mixes, people. */
@Service
public class Finds implements Follower, DisposableBean {
    /** So many lines are shown. */
    private static final int MOST = 200;

    /** So many jobs are read afresh before a search answers; more only where an older house was just opened. */
    private static final int AT_ONCE = 40;

    private static final int ROWS = 100;
    private static final int LOOK_EVERY = 10;

    /** So many are read in one go beside everything else. */
    private static final int SOME = 2000;

    private static final Logger LOG = LoggerFactory.getLogger(Finds.class);

    private final FindRows rows;
    private final Jobs jobs;
    private final Runs runs;
    private final Standings standings;
    private final KeptMixes mixes;
    private final OnTheJob onTheJob;
    private final Trade trade;
    private final Json json;
    private final String build;
    private final ScheduledExecutorService beside = Background.thread("finds", Thread.MIN_PRIORITY);

    Finds(
            FindRows rows,
            Jobs jobs,
            Runs runs,
            Standings standings,
            KeptMixes mixes,
            OnTheJob onTheJob,
            Trade trade,
            Json json,
            @Value("${kemdro.build}") String build) {
        this.rows = rows;
        this.jobs = jobs;
        this.runs = runs;
        this.standings = standings;
        this.mixes = mixes;
        this.onTheJob = onTheJob;
        this.trade = trade;
        this.json = json;
        this.build = build;
        beside.execute(this::readBefore);
        beside.scheduleWithFixedDelay(() -> read(SOME), LOOK_EVERY, LOOK_EVERY, TimeUnit.SECONDS);
    }

    /** A house that another build kept is read anew, before anybody is told that all of it was looked through. */
    private void readBefore() {
        try {
            rows.readBy(build);
        } catch (RuntimeException e) {
            LOG.warn("What was read before could not be looked through", Unsaid.of(e));
        }
    }

    /**
     * What a search found.
     *
     * @param more whether there is more than is shown
     * @param unread jobs that have not been looked through, because a house of before was just opened
     */
    public record Answer(List<Found> jobs, boolean more, long unread) {}

    /** Lines that hold all of these words, in jobs that somebody sees, the latest call first. */
    public Answer find(String words, Authentication who) {
        long unread = read(AT_ONCE) < AT_ONCE ? 0 : rows.countUnread();
        List<String> low = Arrays.asList(words.strip().toLowerCase(Locale.ROOT).split("\\s+"));
        List<Found> all = new ArrayList<>();
        int left = MOST;
        int from = 0;
        List<FindRows.Row> some;
        do {
            some = rows.holding(low, from, ROWS);
            Set<Long> seen =
                    onTheJob.seen(who, some.stream().map(FindRows.Row::job).collect(Collectors.toSet()));
            for (FindRows.Row row : some) {
                List<Line> lines = seen.contains(row.job()) ? lines(row, low, left) : List.of();
                if (!lines.isEmpty()) {
                    all.add(new Found(row.job(), row.title(), row.performer(), lines));
                    left -= lines.size();
                }
            }
            from += ROWS;
        } while (left > 0 && some.size() == ROWS);
        return new Answer(all, left <= 0, unread);
    }

    private List<Line> lines(FindRows.Row row, List<String> low, int most) {
        return Arrays.stream(json.read(row.lines(), Line[].class))
                .filter(l -> {
                    String text = low(l);
                    return low.stream().allMatch(text::contains);
                })
                .limit(most)
                .toList();
    }

    private static String low(Line line) {
        return (line.where() + " " + line.text()).toLowerCase(Locale.ROOT);
    }

    @Override
    public String name() {
        return "finds";
    }

    @Override
    public boolean follows(RunEvent event, Run run) {
        return event instanceof RunEvent.InWords said && !said.text().isEmpty();
    }

    /** Something was said in a book; it is read again before the next search. */
    @Override
    public void follow(RunNow now, String press) {
        rows.changed(now.run().jobId());
    }

    @EventListener
    void mixed(MixesChanged changed) {
        rows.changed(changed.job());
    }

    @EventListener
    void changed(JobChanged changed) {
        rows.changed(changed.job());
    }

    @EventListener
    void renamed(PerformerRenamed renamed) {
        rows.changedOf(renamed.performer());
    }

    /** Keeps nothing of what was said in this job; it is read anew before the next search. */
    public void forget(long job) {
        rows.forget(job);
    }

    /** Reads jobs again that say something else than what is kept of them, and says how many. */
    int read(int most) {
        List<FindRows.Unread> unread = rows.unread(most);
        for (FindRows.Unread one : unread) {
            try {
                List<Line> lines = linesOf(jobs.get(one.job()));
                rows.keep(
                        one, build, lines.stream().map(Finds::low).collect(Collectors.joining("\n")), json.text(lines));
            } catch (NoSuchJob | DataAccessException e) {
                LOG.debug("Job {} was not read", one.job(), e);
            } catch (RuntimeException e) {
                LOG.warn("Job {} could not be read for finding", one.job(), Unsaid.of(e));
            }
        }
        return unread.size();
    }

    /** Everything that can be found in a job, in the order in which it is read. */
    private List<Line> linesOf(Job job) {
        List<Line> all = new ArrayList<>();
        all.add(new Line("job", job.title() + (job.production().isEmpty() ? "" : ", " + job.production()), "look"));
        all.add(new Line("sits", job.brief().performer().name(), "brief"));
        if (!job.idea().isEmpty()) {
            all.add(new Line("idea", job.idea(), "brief"));
        }
        for (LookEntry entry : job.look().entries()) {
            if (trade.has(entry.techniqueId())) {
                all.add(new Line(
                        "look",
                        trade.technique(entry.techniqueId()).name() + ", "
                                + trade.body().say(entry.zones()),
                        "look?zones=" + String.join(",", entry.zones())));
            }
        }
        mixes.of(job.id()).forEach(m -> all.add(new Line("mix", m, "colour")));
        for (Run run : runs.of(job.id())) {
            String day = Words.day(run.beganAt());
            for (RunEvent e : standings.eventsOf(run)) {
                if (e instanceof RunEvent.InWords said && !said.text().isEmpty()) {
                    all.add(new Line(
                            day + ", " + Words.hour(e.at()) + (e.hands().isEmpty() ? "" : ", " + e.hands()),
                            (e instanceof RunEvent.Skip ? "left out: " : "") + said.text(),
                            "book?run=" + run.id()));
                }
            }
        }
        return all;
    }

    @Override
    public void destroy() {
        beside.shutdownNow();
    }
}
