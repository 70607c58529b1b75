package app.kemdro.web.records.learning;

import app.kemdro.core.learn.Pace;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Hands;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.RunState;
import app.kemdro.core.run.StepState;
import app.kemdro.core.run.StepState.Status;
import app.kemdro.core.schedule.Task;
import app.kemdro.web.records.run.Run;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Standings;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * What the runs of the house say of how long single steps take and films dry, beside the library. What somebody's own pace explains is
 * taken out before; room and thickness are in the forecast already.
 */
@Component
public class OwnTimes {
    /** A look until so many times the forecast is one that came when it was due (judgement). */
    private static final double DUE = 1.25;

    private final Runs runs;
    private final OwnPace paces;
    private final LeftOutTimeRepository left;
    private final Standings standings;

    OwnTimes(Runs runs, OwnPace paces, LeftOutTimeRepository left, Standings standings) {
        this.standings = standings;
        this.runs = runs;
        this.paces = paces;
        this.left = left;
    }

    /** What is believed of each step and film that was seen, whether or not it is left out. */
    public Map<String, Pace> believed() {
        Map<String, List<Pace.Run>> seen = new TreeMap<>();
        List<Run> held = runs.held();
        Map<String, Double> factors = factors(held);
        for (Run run : held) {
            standings
                    .stillPlanned(run)
                    .ifPresent(
                            plan -> see(plan, standings.eventsOf(run), h -> factors.getOrDefault(h.name(), 1.0), seen));
        }
        Map<String, Pace> believed = new TreeMap<>();
        seen.forEach((what, all) -> believed.put(what, Pace.STEP.after(all)));
        return believed;
    }

    private Map<String, Double> factors(List<Run> held) {
        List<String> names = held.stream()
                .flatMap(r -> standings.eventsOf(r).stream())
                .map(RunEvent::hands)
                .filter(h -> !h.isEmpty())
                .distinct()
                .toList();
        List<Pace> all = paces.of(names);
        Map<String, Double> factors = new HashMap<>();
        for (int k = 0; k < names.size(); k++) {
            factors.put(names.get(k), all.get(k).factor());
        }
        return factors;
    }

    /** Takes note of everything a run shows. */
    static void see(Plan plan, List<RunEvent> events, ToDoubleFunction<Hands> pace, Map<String, List<Pace.Run>> seen) {
        RunState state = RunState.of(events);
        Set<String> disturbed = state.events().stream()
                .filter(e -> e instanceof RunEvent.Redo || e instanceof RunEvent.Trouble || e instanceof RunEvent.Add)
                .map(e -> ((RunEvent.AtStep) e).step())
                .collect(Collectors.toSet());
        for (PlannedStep step : plan.steps()) {
            StepState s = state.step(step.id());
            if (s.status() != Status.DONE
                    || s.started() == null
                    || s.ended() == null
                    || disturbed.contains(step.id())) {
                continue;
            }
            Task.Mode way = plan.network().task(step.id()).way(s.mode());
            hands(plan, step, s, way, pace)
                    .filter(r -> !paused(state, s.started(), s.ended()))
                    .ifPresent(r -> note(
                            seen,
                            Brief.step(step.technique().id(), step.template().id()),
                            r));
            film(plan, step, s, way, state)
                    .ifPresent(r ->
                            note(seen, Brief.film(step.material().orElseThrow().id()), r));
        }
    }

    private static void note(Map<String, List<Pace.Run>> seen, String what, Pace.Run run) {
        seen.computeIfAbsent(what, k -> new ArrayList<>()).add(run);
    }

    /** A step that was interrupted says nothing of how long it takes. */
    private static boolean paused(RunState state, LocalDateTime from, LocalDateTime until) {
        return state.pauses().stream()
                .anyMatch(p -> p.from().isBefore(until)
                        && (p.until() == null || p.until().isAfter(from)));
    }

    private static Optional<Pace.Run> hands(
            Plan plan, PlannedStep step, StepState s, Task.Mode way, ToDoubleFunction<Hands> pace) {
        Optional<Hands> hands = plan.brief().crew().stream()
                .filter(h -> h.name().equals(s.hands()))
                .findFirst();
        if (hands.isEmpty() || way.helped()) {
            return Optional.empty();
        }
        double planned = plan.network().seconds(plan.network().task(step.id()), way, s.hands());
        double library = planned
                / hands.get().factor()
                / plan.brief()
                        .own(Brief.step(step.technique().id(), step.template().id()));
        double took = Duration.between(s.started(), s.ended()).getSeconds() - way.tool();
        return Optional.of(new Pace.Run(took, library * pace.applyAsDouble(hands.get())));
    }

    /**
     * When a film was seen to be clear, beside when it was forecast: between the last "not yet" and "clear", or sooner than forecast; a
     * first look about when it was due bears the forecast out. A look that came later says nothing, and neither does a film under a
     * dryer.
     */
    private static Optional<Pace.Run> film(Plan plan, PlannedStep step, StepState s, Task.Mode way, RunState state) {
        if (s.clearedAt() == null || step.drying().isEmpty() || way.tool() > 0 || s.driedSeconds() > 0) {
            return Optional.empty();
        }
        double forecast = way.settled()
                / plan.brief().own(Brief.film(step.material().orElseThrow().id()));
        double clear = Duration.between(s.ended(), s.clearedAt()).getSeconds();
        double notYet = state.events().stream()
                .filter(e -> e instanceof RunEvent.NotYet n && n.step().equals(step.id()))
                .mapToDouble(e -> Duration.between(s.ended(), e.at()).getSeconds())
                .max()
                .orElse(0);
        if (notYet > 0 && clear > notYet) {
            return Optional.of(new Pace.Run(Math.sqrt(notYet * clear), forecast));
        }
        return clear > 0 && clear <= forecast * DUE
                ? Optional.of(new Pace.Run(Math.min(clear, forecast), forecast))
                : Optional.empty();
    }

    public Set<String> leftOut() {
        return left.findAll().stream().map(LeftOutTime::what).collect(Collectors.toSet());
    }

    /** Leaves out what somebody knows to be odd, or takes it in again. */
    @Transactional
    public void leaveOut(String what, boolean out) {
        if (out) {
            left.save(new LeftOutTime(what));
        } else if (left.existsById(what)) {
            left.deleteById(what);
        }
    }

    /** What a job is planned with when it is planned with what was learnt. */
    public Map<String, Double> factors() {
        Set<String> out = leftOut();
        Map<String, Double> factors = new TreeMap<>();
        believed().forEach((what, pace) -> {
            if (!out.contains(what)) {
                factors.put(what, Math.max(Hands.QUICKEST, Math.min(Hands.SLOWEST, pace.factor())));
            }
        });
        return factors;
    }
}
