package app.kemdro.web.records.plan;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.Wish;
import app.kemdro.core.plan.LookPlanner;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.web.parts.live.Background;
import app.kemdro.web.parts.mishap.Unsaid;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * What each wish of a look costs, found by planning without it. That takes longer than the plan itself, so it is worked out beside whoever
 * waits for the plan.
 */
public final class WishCosts {
    /** Where nothing is wished. */
    static final WishCosts NONE = new WishCosts(CompletableFuture.completedFuture(Map.of()));

    private static final Logger LOG = LoggerFactory.getLogger(WishCosts.class);
    private static final ExecutorService BESIDE = Background.threads("wish-costs", 1);

    private final CompletableFuture<Map<Wish, Integer>> costs;

    private WishCosts(CompletableFuture<Map<Wish, Integer>> costs) {
        this.costs = costs;
    }

    /** Begins to work them out, near this order or the one before the last change. */
    static WishCosts of(LookPlanner rough, Look look, Plan plan, Optional<Schedule> orderBefore) {
        List<Wish> wishes = look.wishes().stream()
                .filter(w -> w.kind() != Wish.Kind.IF_TIME)
                .toList();
        if (wishes.isEmpty()) {
            return NONE;
        }
        Set<Schedule> starts = new LinkedHashSet<>(Set.of(plan.schedule()));
        orderBefore.ifPresent(starts::add);
        return new WishCosts(CompletableFuture.supplyAsync(
                        () -> {
                            Map<Wish, Integer> costs = new LinkedHashMap<>();
                            for (Wish wish : wishes) {
                                sooner(rough, look, plan, starts, wish).ifPresent(c -> costs.put(wish, c));
                            }
                            return Map.copyOf(costs);
                        },
                        BESIDE)
                .exceptionally(e -> {
                    LOG.error("what wishes cost could not be worked out", Unsaid.of(e));
                    return Map.of();
                }));
    }

    private static OptionalInt sooner(LookPlanner rough, Look look, Plan plan, Set<Schedule> starts, Wish wish) {
        Look without =
                look.wishing(look.wishes().stream().filter(w -> !w.equals(wish)).toList());
        Brief seated = plan.brief().seated(plan.chairIn());
        OptionalInt ready = starts.stream()
                .map(start -> rough.plan(without, seated, Optional.of(start)))
                .flatMap(p -> p instanceof Planning.Done done ? Stream.of(done.plan()) : Stream.empty())
                .mapToInt(p -> p.schedule().ready())
                .min();
        return ready.isEmpty()
                ? ready
                : OptionalInt.of(Math.max(0, plan.schedule().ready() - ready.getAsInt()));
    }

    /** By how many seconds all is ready sooner without each wish that counts; whoever asks waits until that is known. */
    public Map<Wish, Integer> all() {
        return costs.join();
    }

    /** The same where it is known by now. */
    public Optional<Map<Wish, Integer>> known() {
        return Optional.ofNullable(costs.getNow(null));
    }
}
