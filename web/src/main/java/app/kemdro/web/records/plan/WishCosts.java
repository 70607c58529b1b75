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
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * What each wish of a look costs, found by planning without it. That takes longer than the plan itself, so it is worked out beside whoever
 * waits for the plan.
 */
public final class WishCosts {
    /** Where nothing is wished. */
    static final WishCosts NONE = none();

    private static final Logger LOG = LoggerFactory.getLogger(WishCosts.class);
    /** Whoever pressed, or points at a press, goes first: it is begun after so many milliseconds. */
    private static final int PAUSE = 300;

    private static final ExecutorService BESIDE = Background.behind("wish-costs");

    private final Supplier<Map<Wish, Integer>> found;
    private final AtomicBoolean begun = new AtomicBoolean();
    private final CompletableFuture<Map<Wish, Integer>> costs = new CompletableFuture<>();

    private WishCosts(Supplier<Map<Wish, Integer>> found) {
        this.found = found;
    }

    private static WishCosts none() {
        WishCosts none = new WishCosts(Map::of);
        none.work();
        return none;
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
        WishCosts costs = new WishCosts(() -> {
            Map<Wish, Integer> each = new LinkedHashMap<>();
            for (Wish wish : wishes) {
                sooner(rough, look, plan, starts, wish).ifPresent(c -> each.put(wish, c));
            }
            return Map.copyOf(each);
        });
        CompletableFuture.delayedExecutor(PAUSE, TimeUnit.MILLISECONDS, BESIDE).execute(costs::work);
        return costs;
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

    /** Whoever comes first does it, once. */
    private void work() {
        if (begun.compareAndSet(false, true)) {
            try {
                costs.complete(found.get());
            } catch (RuntimeException e) {
                LOG.error("what wishes cost could not be worked out", Unsaid.of(e));
                costs.complete(Map.of());
            }
        }
    }

    /**
     * By how many seconds all is ready sooner without each wish that counts. Whoever asks waits until that is known, and not for what is
     * worked out of looks that were only pointed at: what nobody has begun is done here and now.
     */
    public Map<Wish, Integer> all() {
        work();
        return costs.join();
    }

    /** The same where it is known by now. */
    public Optional<Map<Wish, Integer>> known() {
        return Optional.ofNullable(costs.getNow(null));
    }
}
