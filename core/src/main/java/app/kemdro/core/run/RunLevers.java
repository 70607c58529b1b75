package app.kemdro.core.run;

import app.kemdro.core.look.Brief.Hands;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.plan.Levers;
import app.kemdro.core.plan.Levers.Measure;
import app.kemdro.core.plan.LookPlanner;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.run.RunEvent.OfEntry;
import app.kemdro.core.run.RunEvent.Reshaping;
import app.kemdro.core.run.StepState.Status;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** What would still buy time in the middle of a run: what has begun stays as it is, and every measure is planned again from now. */
public final class RunLevers {
    /** Less than this is not worth a word, seconds. */
    private static final int WORTH = 60;

    private static final int TRIED_TOGETHER = 3;

    private final Levers levers;
    private final LookPlanner planner;

    /** Plans with this planner; a rough one will do, because rough plans are compared with a rough one. */
    public RunLevers(Levers levers, LookPlanner planner) {
        this.levers = levers;
        this.planner = planner;
    }

    /**
     * A measure that still helps.
     *
     * @param saved seconds by which all is ready sooner
     * @param euros what it costs more, or saves where it is negative
     * @param acts what is reported when it is pulled
     */
    public record Lever(String says, int saved, double euros, String risk, List<Reshaping> acts) {}

    /** Measures that help from now on, the most saving first. */
    public List<Lever> of(Standing now, LocalDateTime at) {
        int ready = again(now, now.plan(), at);
        List<Lever> found = new ArrayList<>();
        for (Measure measure :
                levers.measures(now.changes().look(), now.changes().brief())) {
            weigh(measure, acts(measure, now.changes(), at), now, at, ready).ifPresent(found::add);
        }
        found.sort(Comparator.comparingInt(Lever::saved).reversed());
        return List.copyOf(found);
    }

    /** The best two of these that can be pulled together, as one; empty where none save more than either alone. */
    public Optional<Lever> together(List<Lever> found, Standing now, LocalDateTime at) {
        int ready = again(now, now.plan(), at);
        List<Lever> best = found.subList(0, Math.min(TRIED_TOGETHER, found.size()));
        List<Lever> pairs = new ArrayList<>();
        for (int a = 0; a < best.size(); a++) {
            for (int b = a + 1; b < best.size(); b++) {
                Lever one = best.get(a);
                Lever other = best.get(b);
                List<Reshaping> acts = new ArrayList<>(one.acts());
                acts.addAll(other.acts());
                boolean apart =
                        one.acts().stream().noneMatch(x -> other.acts().stream().anyMatch(y -> samePlace(x, y)));
                if (!apart) {
                    continue;
                }
                Changes changes = after(now.changes(), acts);
                Measure both = Measure.both(
                        one.says(), one.risk(), other.says(), other.risk(), changes.look(), changes.brief());
                weigh(both, acts, now, at, ready)
                        .filter(l -> l.saved() > Math.max(one.saved(), other.saved()) + WORTH)
                        .ifPresent(pairs::add);
            }
        }
        return pairs.stream().max(Comparator.comparingInt(Lever::saved));
    }

    /**
     * A measure as a better planner sees it, from the order that people really have: what it says is what a press brings.
     *
     * @return empty where it brings less than a minute
     */
    public Optional<Lever> confirmed(Lever lever, Standing now, LocalDateTime at, LookPlanner better) {
        Changes then = after(now.changes(), lever.acts());
        Planning planning = better.underWay(
                then.look(), then.brief(), now.plan().chairIn(), now.changes().extras(), now.schedule());
        if (!(planning instanceof Planning.Done done)) {
            return Optional.empty();
        }
        Chair.Again with = new Chair(done.plan(), now.state()).planAgain(better, now.schedule(), at);
        int without = new Chair(now.plan(), now.state())
                .planAgain(better, now.schedule(), at)
                .schedule()
                .ready();
        int saved = without - with.schedule().ready();
        return with.trouble().isEmpty() && saved >= WORTH
                ? Optional.of(new Lever(lever.says(), saved, lever.euros(), lever.risk(), lever.acts()))
                : Optional.empty();
    }

    private Optional<Lever> weigh(Measure measure, List<Reshaping> acts, Standing now, LocalDateTime at, int ready) {
        Planning planning = planner.underWay(
                measure.look(),
                measure.brief(),
                now.plan().chairIn(),
                now.changes().extras(),
                now.schedule());
        if (acts.isEmpty() || !(planning instanceof Planning.Done done)) {
            return Optional.empty();
        }
        boolean replaced = acts.stream()
                .filter(a -> a instanceof RunEvent.School || a instanceof RunEvent.Drop)
                .anyMatch(a -> hasBegun(now.plan(), now.state(), ((OfEntry) a).entry()));
        // no minutes are worth another boundary that does not hold
        if (replaced || done.plan().troubles() > now.plan().troubles()) {
            return Optional.empty();
        }
        if (!keepsWhatHasBegun(done.plan(), now.plan(), now.state())) {
            return Optional.empty();
        }
        int then = again(now, done.plan(), at);
        return ready - then < WORTH
                ? Optional.empty()
                : Optional.of(new Lever(
                        measure.says(), ready - then, levers.dearer(done.plan(), now.plan()), measure.risk(), acts));
    }

    /**
     * Whether what has begun stays as it is: every step that has begun is a step of the other plan too, and lays and sets there
     * what it has laid and set.
     */
    public static boolean keepsWhatHasBegun(Plan then, Plan now, RunState state) {
        Map<String, PlannedStep> was = byId(now);
        Map<String, PlannedStep> will = byId(then);
        return state.steps().entrySet().stream()
                .filter(s -> begun(s.getValue()))
                .allMatch(s -> same(was.get(s.getKey()), will.get(s.getKey())));
    }

    private static boolean begun(StepState step) {
        return step.status() == Status.RUNNING || step.status() == Status.DONE;
    }

    private static boolean same(@Nullable PlannedStep was, @Nullable PlannedStep will) {
        // what this run does not know of any more is nobody's to keep
        return was == null
                || will != null
                        && (was.material().equals(will.material())
                                && was.form().equals(will.form())
                                && was.title().equals(will.title())
                                && will.zones().containsAll(was.zones()));
    }

    private static Map<String, PlannedStep> byId(Plan plan) {
        return plan.steps().stream().collect(Collectors.toMap(PlannedStep::id, s -> s, (a, b) -> a));
    }

    /** Whether hands have been at any step of this entry of the look. */
    public static boolean hasBegun(Plan plan, RunState state, String entry) {
        return plan.steps().stream().filter(s -> s.entryId().equals(entry)).anyMatch(s -> begun(state.step(s.id())));
    }

    private int again(Standing now, Plan plan, LocalDateTime at) {
        Chair.Again again = new Chair(plan, now.state()).planAgain(planner, now.schedule(), at);
        return again.trouble().isEmpty() ? again.schedule().ready() : Integer.MAX_VALUE / 4;
    }

    private static Changes after(Changes changes, List<Reshaping> acts) {
        RunState nothing = RunState.of(List.of());
        Changes next = changes;
        for (Reshaping act : acts) {
            next = act.change(next, nothing);
        }
        return next;
    }

    /** Whether both change the same thing: the same entry, or the hands, or the room. */
    private static boolean samePlace(Reshaping one, Reshaping other) {
        return one instanceof OfEntry a && other instanceof OfEntry b
                ? a.entry().equals(b.entry())
                : one.getClass().equals(other.getClass());
    }

    /** What must be reported so that look and brief become those of the measure. */
    private static List<Reshaping> acts(Measure measure, Changes now, LocalDateTime at) {
        Stamp stamp = new Stamp("", at, "");
        List<Reshaping> acts = new ArrayList<>();
        for (LookEntry entry : now.look().entries()) {
            Optional<LookEntry> then = measure.look().entry(entry.id());
            if (then.isEmpty()) {
                acts.add(new RunEvent.Drop(stamp, entry.id(), measure.says()));
            } else if (!then.get().techniqueId().equals(entry.techniqueId())) {
                acts.add(new RunEvent.School(stamp, entry.id(), then.get().techniqueId()));
            } else if (then.get().coats() != entry.coats()) {
                acts.add(new RunEvent.Coats(stamp, entry.id(), then.get().coats()));
            }
        }
        for (Hands hands : measure.brief().crew()) {
            if (now.brief().crew().stream().noneMatch(h -> h.name().equals(hands.name()))) {
                acts.add(new RunEvent.Join(stamp.of(hands.name()), hands.skill()));
            }
        }
        if (!measure.brief().room().equals(now.brief().room())) {
            acts.add(new RunEvent.Room(stamp, measure.brief().room()));
        }
        return acts;
    }
}
