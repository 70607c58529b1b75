package app.kemdro.web.records.plan;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.Wish;
import app.kemdro.core.plan.LookPlanner;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.schedule.Schedule;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** What each wish of a look costs, found by planning without it. */
record WishCosts(LookPlanner rough, Look look) {
    /** By how many seconds it is ready sooner without each wish, near this order or the one before the last change. */
    Map<Wish, Integer> near(Plan plan, Optional<Schedule> orderBefore) {
        Map<Wish, Integer> costs = new LinkedHashMap<>();
        Brief seated = plan.brief().seated(plan.chairIn());
        Set<Schedule> starts = new LinkedHashSet<>(Set.of(plan.schedule()));
        orderBefore.ifPresent(starts::add);
        for (Wish wish : look.wishes()) {
            if (wish.kind() == Wish.Kind.IF_TIME) {
                continue;
            }
            Look without = look.wishing(
                    look.wishes().stream().filter(w -> !w.equals(wish)).toList());
            starts.stream()
                    .map(start -> rough.plan(without, seated, Optional.of(start)))
                    .flatMap(p -> p instanceof Planning.Done done ? Stream.of(done.plan()) : Stream.empty())
                    .mapToInt(p -> p.schedule().ready())
                    .min()
                    .ifPresent(
                            ready -> costs.put(wish, Math.max(0, plan.schedule().ready() - ready)));
        }
        return costs;
    }
}
