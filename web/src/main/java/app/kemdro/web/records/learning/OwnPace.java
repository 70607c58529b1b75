package app.kemdro.web.records.learning;

import app.kemdro.core.learn.Pace;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Hands;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.run.RunState;
import app.kemdro.core.run.StepState;
import app.kemdro.core.run.StepState.Status;
import app.kemdro.core.schedule.Task;
import app.kemdro.web.records.account.Accounts;
import app.kemdro.web.records.run.Run;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Standings;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What the runs of the house say of how quick somebody is. */
@Component
public class OwnPace {
    private static final int AT_HAND = 200;

    private final Runs runs;
    private final Accounts accounts;
    private final Standings standings;
    /** What is over does not change. */
    private final Cache<Long, Map<String, Optional<Pace.Run>>> known =
            Caffeine.newBuilder().maximumSize(AT_HAND).build();

    OwnPace(Runs runs, Accounts accounts, Standings standings) {
        this.standings = standings;
        this.runs = runs;
        this.accounts = accounts;
    }

    /** What is believed of the pace of the hands of these names, from the latest runs in which they worked, by whatever name. */
    public List<Pace> of(List<String> names) {
        List<Map<String, Optional<Pace.Run>>> held =
                runs.held().stream().map(r -> known.get(r.id(), k -> worked(r))).toList();
        Map<String, String> people = new HashMap<>();
        return names.stream()
                .map(name -> person(name, people))
                .map(person -> Pace.LIBRARY.after(held.stream()
                        .flatMap(h -> h.entrySet().stream()
                                .filter(e -> person(e.getKey(), people).equals(person))
                                .limit(1)
                                .flatMap(e -> e.getValue().stream()))
                        .toList()))
                .toList();
    }

    /** "4 % slower than the library, from 3 runs; mornings differ by about 8 %". */
    public static String says(Pace pace) {
        long held = held(pace);
        long percent = Math.round((pace.factor() - 1) * 100);
        return held == 0
                ? "no run yet, as the library"
                : (percent == 0
                                ? "as quick as the library"
                                : Math.abs(percent) + " % " + (percent > 0 ? "slower" : "quicker")
                                        + " than the library")
                        + ", from " + held
                        + (held == 1
                                ? " run"
                                : " runs; mornings differ by about " + Math.round(100 * pace.spread()) + " %");
    }

    /** Runs that stand behind it. */
    public static long held(Pace pace) {
        return Math.round(pace.runs() - Pace.LIBRARY.runs());
    }

    /**
     * What each pair of hands did in a run that is over, by their names in the order of its brief. A run whose plan the library of today
     * can no longer make teaches nothing.
     */
    private Map<String, Optional<Pace.Run>> worked(Run run) {
        Map<String, Optional<Pace.Run>> all = new LinkedHashMap<>();
        standings.stillPlanned(run).ifPresent(plan -> {
            RunState state = RunState.of(standings.eventsOf(run));
            plan.brief().crew().forEach(h -> all.put(h.name(), worked(plan, state, h)));
        });
        return all;
    }

    private String person(String name, Map<String, String> people) {
        return people.computeIfAbsent(name, n -> accounts.called().fullName(n));
    }

    /** What they did in a run; steps that were given more time or came in on the way are left out. */
    private static Optional<Pace.Run> worked(Plan plan, RunState run, Hands hands) {
        double actual = 0;
        double planned = 0;
        for (PlannedStep step : plan.steps()) {
            StepState state = run.step(step.id());
            boolean own =
                    state.status() == Status.DONE && state.hands().equals(hands.name()) && state.addedSeconds() == 0;
            if (own && state.started() != null && state.ended() != null) {
                Task task = plan.network().task(step.id());
                Task.Mode way = task.way(state.mode());
                actual += Duration.between(state.started(), state.ended()).getSeconds();
                planned += plan.network().seconds(task, way, hands.name())
                                / hands.factor()
                                / plan.brief()
                                        .own(Brief.step(
                                                step.technique().id(),
                                                step.template().id()))
                        + way.tool();
            }
        }
        return planned == 0 ? Optional.empty() : Optional.of(new Pace.Run(actual, planned));
    }
}
