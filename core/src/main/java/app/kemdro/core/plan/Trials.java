package app.kemdro.core.plan;

import app.kemdro.core.layer.Verdict;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import java.util.Optional;

/** Whether a change of a look may be offered at all: it is tried on a copy first, with every rule. */
public final class Trials {
    private final LookPlanner planner;
    private final Brief brief;
    private final LookPlanner.AsFar now;

    /** Tries changes of this look; a rough planner will do. */
    public Trials(LookPlanner planner, Look look, Brief brief) {
        this.planner = planner;
        this.brief = brief;
        this.now = planner.asFarAsCanBe(look, brief, Optional.empty(), "");
    }

    /** Whether nothing gets worse with it: the plan stays a plan, no more of the look stands aside, and no more layers fail. */
    public boolean mayBeOffered(Look changed) {
        LookPlanner.AsFar then = planner.asFarAsCanBe(changed, brief, Optional.empty(), "");
        return !(now.planning() instanceof Planning.Done && then.planning() instanceof Planning.Refused)
                && then.aside().size() <= now.aside().size()
                && failing(then.planning()) <= failing(now.planning());
    }

    private static long failing(Planning planning) {
        return planning instanceof Planning.Done done
                ? done.plan().stacks().values().stream()
                        .flatMap(s -> s.layers().stream())
                        .map(l -> l.boundary().verdict())
                        .filter(v -> v == Verdict.FAILS || v == Verdict.FORBIDDEN)
                        .count()
                : 0;
    }
}
