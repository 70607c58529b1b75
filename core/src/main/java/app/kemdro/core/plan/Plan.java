package app.kemdro.core.plan;

import app.kemdro.core.layer.Stack;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.Wish;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.TaskNetwork;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A look with its order of work.
 *
 * @param chairIn second 0 of the schedule
 * @param notes what is worth knowing but stops nothing
 * @param stacks what lies on every zone in the end, and whether it holds
 * @param left entries of the look that are left out because there is no time for them
 */
public record Plan(
        List<PlannedStep> steps,
        TaskNetwork network,
        Schedule schedule,
        LocalDateTime chairIn,
        Brief brief,
        List<Problem> notes,
        Map<String, Stack> stacks,
        List<String> left) {
    public Plan {
        left = List.copyOf(left);
        steps = List.copyOf(steps);
        notes = List.copyOf(notes);
        stacks = Collections.unmodifiableMap(stacks);
    }

    /** The step of this id. */
    public PlannedStep step(String id) {
        return steps.stream()
                .filter(s -> s.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("No step is called " + id));
    }

    /** Clock time of a second of the schedule. */
    public LocalDateTime clock(int second) {
        return chairIn.plusSeconds(second);
    }

    public LocalDateTime ready() {
        return clock(schedule.ready());
    }

    /** Seconds between ready and call; negative when it is late. */
    public long inHand() {
        return java.time.Duration.between(ready(), brief.call()).getSeconds();
    }

    /** The latest chair-in, on a five-minute mark, from which this plan makes the call if all goes as is likely. */
    public LocalDateTime startBy() {
        return FiveMinutes.before(brief.call().minusSeconds(schedule.ready()));
    }

    /** Boundaries that do not hold, counted zone by zone. */
    public long troubles() {
        return stacks.values().stream().mapToLong(s -> s.troubles().size()).sum();
    }

    /** The same plan with another network of the same steps. */
    public Plan with(TaskNetwork other) {
        return new Plan(steps, other, schedule, chairIn, brief, notes, stacks, left);
    }

    /** The same plan with another schedule, as when the rest is planned again in the middle of things. */
    public Plan with(Schedule next) {
        return new Plan(steps, network, next, chairIn, brief, notes, stacks, left);
    }

    /** The same plan as far as these steps go, for adding up what they took. */
    public Plan only(Set<String> some) {
        return new Plan(
                steps.stream().filter(s -> some.contains(s.id())).toList(),
                network,
                schedule,
                chairIn,
                brief,
                notes,
                stacks,
                left);
    }

    /** The same plan, of a look that has these entries too. */
    Plan leaving(List<String> out, List<Problem> said) {
        List<Problem> all = new ArrayList<>(notes);
        all.addAll(said);
        return new Plan(steps, network, schedule, chairIn, brief, all, stacks, out);
    }

    /** What of a look is carried out by this plan: without what is left out, and without the question whether to. */
    public Look carriedOut(Look look) {
        return look.with(look.entries().stream()
                        .filter(e -> !left.contains(e.id()))
                        .toList())
                .wishing(look.wishes().stream()
                        .filter(w -> w.kind() != Wish.Kind.IF_TIME)
                        .toList());
    }
}
