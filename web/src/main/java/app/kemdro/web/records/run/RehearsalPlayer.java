package app.kemdro.web.records.run;

import app.kemdro.core.method.Repair;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.plan.PuttingRight;
import app.kemdro.core.run.Chair;
import app.kemdro.core.run.EventGuard;
import app.kemdro.core.run.LiveFilm;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.Stamp;
import app.kemdro.core.run.StepState;
import app.kemdro.core.run.StepState.Status;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.web.parts.live.Background;
import app.kemdro.web.parts.mishap.NotPossible;
import app.kemdro.web.parts.mishap.Unsaid;
import app.kemdro.web.records.plan.Plans;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;

/** Plays the hands that nobody drives in a rehearsal, and the day: work ends when it ends, and things go wrong. */
@Component
class RehearsalPlayer implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(RehearsalPlayer.class);
    private static final int EVERY_MS = 250;
    private static final int AT_ONCE = 20;
    private static final String ACCOUNT = "rehearsal";

    /** So many reports at most in one beat, so that a fast clock does not starve the others. */
    private static final int IN_ONE_BEAT = 6;

    private final Runs runs;
    private final Reports reports;
    private final Standings standings;
    private final Trade trade;
    private final PuttingRight right;
    private final ScheduledExecutorService beat = Background.thread("rehearsal");

    RehearsalPlayer(Runs runs, Standings standings, Reports reports, Trade trade, Plans plans) {
        this.right = plans.live().puttingRight();
        this.runs = runs;
        this.reports = reports;
        this.standings = standings;
        this.trade = trade;
        beat.scheduleWithFixedDelay(this::play, EVERY_MS, EVERY_MS, TimeUnit.MILLISECONDS);
    }

    private void play() {
        try {
            runs.rehearsals().forEach(r -> {
                int played = 0;
                while (played < IN_ONE_BEAT && playOne(r)) {
                    played++;
                }
            });
        } catch (RuntimeException e) {
            LOG.warn("A rehearsal stumbled", Unsaid.of(e));
        }
    }

    /** Does the next thing that is due, if one is. */
    boolean playOne(Run run) {
        Optional<Run> open = runs.open(run.jobId()).filter(Run::isRehearsal);
        if (open.isEmpty()) {
            return false;
        }
        // the hour first: what somebody has taken over since is seen, and is not played on with a later hour
        LocalDateTime now = runs.now(open.get());
        RunNow s = standings.of(open.get());
        Optional<RunEvent> next = next(s, now);
        try {
            next.ifPresent(e -> reports.take(run.jobId(), e, ACCOUNT));
        } catch (NotPossible meanwhile) {
            LOG.debug("Somebody was quicker: {}", meanwhile.getMessage());
            return false;
        }
        return next.isPresent();
    }

    private Optional<RunEvent> next(RunNow s, LocalDateTime now) {
        Optional<RunEvent> mishap = mishap(s, now);
        if (mishap.isPresent()) {
            return mishap;
        }
        if (s.state().onBreak()) {
            return back(s, now);
        }
        for (String hands : hands(s)) {
            Optional<RunEvent> theirs = s.state()
                    .runningBy(hands)
                    .map(step -> finish(s, hands, step, now))
                    .orElseGet(() -> begin(s, hands, now));
            if (theirs.isPresent()) {
                return theirs;
            }
        }
        return nobodyDrives(s) ? looked(s, now).or(() -> end(s, now)) : Optional.empty();
    }

    private static List<String> hands(RunNow s) {
        List<String> hands = new ArrayList<>();
        s.plan().network().workers().stream()
                .map(w -> w.id())
                .filter(h -> s.state().drivers().getOrDefault(h, "").isEmpty())
                .forEach(hands::add);
        hands.add(Chair.NOBODY);
        return hands;
    }

    private static boolean nobodyDrives(RunNow s) {
        return s.state().drivers().values().stream().allMatch(String::isEmpty);
    }

    private static Stamp stamp(RunNow s, String id, LocalDateTime at, String hands) {
        return new Stamp("day-" + s.state().events().size() + "-" + id, at, hands);
    }

    private Optional<RunEvent> finish(RunNow s, String hands, String step, LocalDateTime now) {
        StepState state = s.state().step(step);
        LocalDateTime began = state.started() == null ? now : state.started();
        LocalDateTime done =
                RehearsalDraw.ends(s.run().id(), s.plan(), s.schedule().of(step), began);
        return done.isAfter(now)
                ? Optional.empty()
                : Optional.of(new RunEvent.Finish(stamp(s, "done", done, hands), step));
    }

    private static Optional<RunEvent> begin(RunNow s, String hands, LocalDateTime now) {
        List<ScheduledTask> ahead = new Chair(s.plan(), s.state()).ahead(s.schedule(), hands);
        if (ahead.isEmpty()) {
            return Optional.empty();
        }
        ScheduledTask next = ahead.get(0);
        LocalDateTime start = s.plan().clock(next.start());
        boolean rest = s.restBefore(next);
        boolean due = s.schedule().rests().stream()
                .skip(s.state().pauses().size())
                .findFirst()
                .map(r -> !s.plan().clock(r.start()).isAfter(now))
                .orElse(false);
        boolean nobodyWorks = s.state().steps().values().stream().noneMatch(x -> x.status() == Status.RUNNING);
        if (rest && due && nobodyWorks) {
            return Optional.of(new RunEvent.Break(stamp(s, "rest", now, hands)));
        }
        return rest || start.isAfter(now.plusSeconds(AT_ONCE))
                ? Optional.empty()
                : Optional.of(new RunEvent.Start(stamp(s, "begin", now, hands), next.task(), 0, true));
    }

    private static Optional<RunEvent> back(RunNow s, LocalDateTime now) {
        return new Chair(s.plan(), s.state())
                .breakEnds()
                .filter(over -> !over.isAfter(now))
                .map(over -> new RunEvent.Back(stamp(s, "back", over, "")));
    }

    /** What went wrong with what is done, each once. */
    private Optional<RunEvent> mishap(RunNow s, LocalDateTime now) {
        for (PlannedStep step : s.plan().steps()) {
            String id = "mishap-" + Integer.toHexString(step.id().hashCode());
            boolean done = s.state().step(step.id()).status() == Status.DONE
                    && !step.id().startsWith("extra-")
                    && s.state().events().stream().noneMatch(e -> e.id().equals(id));
            Optional<Repair> repair = done
                    ? RehearsalDraw.mishap(s.run().id(), step, trade)
                            .filter(r -> EventGuard.way(r, step, List.of(), s.stands(), right)
                                    .isPresent())
                    : Optional.empty();
            if (repair.isPresent() && s.happened().stream().noneMatch(e -> e.id().equals(id))) {
                Stamp stamp = new Stamp(id, now, s.state().step(step.id()).hands());
                return Optional.of(
                        new RunEvent.Trouble(stamp, step.id(), repair.get().id(), List.of()));
            }
        }
        return Optional.empty();
    }

    private static Optional<RunEvent> looked(RunNow s, LocalDateTime now) {
        return new Chair(s.plan(), s.state())
                .films(now).stream()
                        .filter(f -> !f.confirmed() && f.at(now) == LiveFilm.State.DRY)
                        .findFirst()
                        .map(f -> {
                            String step = f.step().id();
                            boolean first = s.state().step(step).lookAgainAt() == null;
                            boolean notYet =
                                    first && RehearsalDraw.notYet(s.run().id(), step);
                            Stamp stamp = stamp(s, "look", now, "");
                            return notYet ? new RunEvent.NotYet(stamp, step, 0) : new RunEvent.Clear(stamp, step);
                        });
    }

    private static Optional<RunEvent> end(RunNow s, LocalDateTime now) {
        return s.allDone() ? Optional.of(new RunEvent.End(stamp(s, "end", now, ""))) : Optional.empty();
    }

    @Override
    public void destroy() {
        beat.shutdownNow();
    }
}
