package app.kemdro.core.plan;

import app.kemdro.core.layer.Stack;
import app.kemdro.core.layer.Verdict;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.schedule.Schedule;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/** Whether a change of a look may be offered at all: it is tried on a copy first, with every rule. */
public final class Trials {
    private final LookPlanner planner;
    private final Brief brief;
    private final Optional<Schedule> order;
    private final LookPlanner.AsFar now;
    private final Map<Look, Boolean> tried = new ConcurrentHashMap<>();

    /**
     * Tries changes of this look; a rough planner will do.
     *
     * @param order the order people have in mind, near which a change is planned when it is made
     */
    public Trials(LookPlanner planner, Look look, Brief brief, Optional<Schedule> order) {
        this.planner = planner;
        this.brief = brief;
        this.order = order;
        this.now = asFar(look);
    }

    /** Whether nothing gets worse with it: the plan stays a plan, no more stands aside or in the way, and no more layers fail. */
    public boolean mayBeOffered(Look changed) {
        return tried.computeIfAbsent(changed, this::isNoWorse);
    }

    private boolean isNoWorse(Look changed) {
        LookPlanner.AsFar then = asFar(changed);
        return !(now.planning() instanceof Planning.Done && then.planning() instanceof Planning.Refused)
                && inTheWay(then) <= inTheWay(now)
                && failing(then) <= failing(now);
    }

    private LookPlanner.AsFar asFar(Look look) {
        return planner.asFarAsCanBe(look, brief, order, "");
    }

    private static int inTheWay(LookPlanner.AsFar asFar) {
        return asFar.aside().size()
                + (asFar.planning() instanceof Planning.Refused refused
                        ? refused.problems().size()
                        : 0);
    }

    /** Layers that fail, also where there are no hours to lay them in. */
    private long failing(LookPlanner.AsFar asFar) {
        Map<String, Stack> stacks = asFar.planning() instanceof Planning.Done done
                ? done.plan().stacks()
                : planner.stacks(asFar.look(), brief);
        return stacks.values().stream()
                .flatMap(s -> s.layers().stream())
                .map(l -> l.boundary().verdict())
                .filter(v -> v == Verdict.FAILS || v == Verdict.FORBIDDEN)
                .count();
    }
}
