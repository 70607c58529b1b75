package app.kemdro.web.records.strike;

import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.Stamp;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.core.strike.StrikeGuard;
import app.kemdro.web.parts.mishap.NotPossible;
import app.kemdro.web.records.plan.Removals;
import app.kemdro.web.records.plan.Snapshots;
import app.kemdro.web.records.run.Course;
import app.kemdro.web.records.run.EventFormat;
import app.kemdro.web.records.run.EventLog;
import app.kemdro.web.records.run.JobLocks;
import app.kemdro.web.records.run.Reports;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.databind.node.JsonNodeFactory;
import tools.jackson.databind.node.ObjectNode;

/** Takes in what is reported while it comes off: guarded, once, stored before it is answered, the rest planned again. */
@Service
public class StrikeReports {
    private static final int LONGEST_PRESS = 600;

    private final StrikeRunRepository rows;
    private final Strikes strikes;
    private final Removals removals;
    private final EventLog log;
    private final EventFormat format;
    private final Snapshots snapshots;
    private final JobLocks locks;
    private final TransactionTemplate transaction;

    StrikeReports(
            StrikeRunRepository rows,
            Strikes strikes,
            Removals removals,
            EventLog log,
            EventFormat format,
            Snapshots snapshots,
            JobLocks locks,
            TransactionTemplate transaction) {
        this.rows = rows;
        this.strikes = strikes;
        this.removals = removals;
        this.log = log;
        this.format = format;
        this.snapshots = snapshots;
        this.locks = locks;
        this.transaction = transaction;
    }

    /**
     * Takes in a press; the same again changes nothing. Whoever has finished begins what is next, where nothing keeps it.
     *
     * @param kind the kind of event, as it is written down
     * @throws NotPossible when what is reported cannot be
     */
    public StrikeNow press(
            long jobId, String press, String kind, String hands, String step, String text, String account) {
        synchronized (locks.of(jobId)) {
            StrikeRun run =
                    strikes.open(jobId).orElseThrow(() -> new NotPossible("No strike is on. Begin one in Strike."));
            StrikeNow before = strikes.standing(run);
            if (press.isBlank() || press.length() > LONGEST_PRESS) {
                throw new NotPossible("The press does not say which it is. Load the page again.");
            }
            // whatever people and steps are called, and from whichever screen: the same press has the same id
            String id = UUID.nameUUIDFromBytes(
                            String.join("\n", press, kind, hands, step).getBytes(StandardCharsets.UTF_8))
                    .toString();
            if (before.happened().stream().anyMatch(e -> e.id().equals(id))) {
                return before;
            }
            RunEvent event = checked(new Stamp(id, strikes.now(), hands), kind, step, text, before);
            StrikeNow pressed = after(before, List.of(event));
            boolean letsBegin = event instanceof RunEvent.Finish || event instanceof RunEvent.Clear;
            StrikeNow now = letsBegin ? after(pressed, follow(pressed, event)) : pressed;
            transaction.executeWithoutResult(t -> store(now, before, event, account));
            log.keep(Course.ofStrike(run.id()), now.happened());
            return now;
        }
    }

    private void store(StrikeNow now, StrikeNow before, RunEvent event, String account) {
        List<RunEvent> added =
                now.happened().subList(before.happened().size(), now.happened().size());
        log.add(Course.ofStrike(now.run().id()), added, account);
        now.run().stand(snapshots.write(now.schedule()));
        if (event instanceof RunEvent.End || now.undoing().over()) {
            now.run().end(event.at());
        }
        rows.saveAndFlush(now.run());
    }

    private StrikeNow after(StrikeNow before, List<RunEvent> more) {
        List<RunEvent> all = new ArrayList<>(before.happened());
        all.addAll(more);
        StrikeNow now = StrikeNow.of(before.run(), before.base(), all, before.schedule());
        return now.planned(removals.again(now.undoing(), now.schedule(), strikes.now()));
    }

    /** What free hands begin by themselves. */
    private List<RunEvent> follow(StrikeNow now, RunEvent after) {
        LocalDateTime at = strikes.now();
        List<RunEvent> starts = new ArrayList<>();
        for (String hands : now.hands()) {
            List<ScheduledTask> ahead = now.undoing().ahead(now.schedule(), hands);
            if (now.undoing().doing(hands).isEmpty()
                    && !ahead.isEmpty()
                    && now.undoing().keeps(ahead.get(0).task(), at).isEmpty()) {
                starts.add(new RunEvent.Start(
                        after.stamp().followedBy(hands, at), ahead.get(0).task()));
            }
        }
        return starts;
    }

    private RunEvent checked(Stamp stamp, String kind, String step, String text, StrikeNow now) {
        ObjectNode fields =
                JsonNodeFactory.instance.objectNode().put("step", step).put("text", text);
        try {
            RunEvent event = format.read(kind, EventFormat.VERSION, stamp, fields);
            return Reports.allowed(StrikeGuard.check(event, now.removal(), now.undoing(), now.state(), now.hands()));
        } catch (IllegalArgumentException wrong) {
            throw new NotPossible(wrong.getMessage());
        }
    }
}
