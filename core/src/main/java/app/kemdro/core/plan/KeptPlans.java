package app.kemdro.core.plan;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Hands;
import app.kemdro.core.schedule.Planner;
import app.kemdro.core.schedule.Progress;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduleCheck;
import app.kemdro.core.schedule.TaskNetwork;
import java.time.LocalDateTime;
import java.util.Comparator;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Orders that people have in mind, taken up again where they are still sound. */
final class KeptPlans {
    /** By how many times five minutes an order that is kept may begin earlier, for wishes that name a time of day. */
    private static final int KEPT_EARLIER = 6;

    /** Less than this is no wait to speak of, seconds. */
    private static final int WORTH = 60;

    private final Planner planner;
    private final PlanNotes notes;

    KeptPlans(Planner planner, PlanNotes notes) {
        this.planner = planner;
        this.notes = notes;
    }

    /** When the performer sits down for so many seconds: as late as the call allows, and never before any hands are there. */
    static LocalDateTime sitsDown(Brief brief, int ready) {
        LocalDateTime asCalled = FiveMinutes.before(brief.call().minusSeconds(ready));
        return brief.crew().stream()
                .map(Hands::from)
                .min(Comparator.naturalOrder())
                .filter(asCalled::isBefore)
                .orElse(asCalled);
    }

    /**
     * The plan that a stored schedule belonged to, without planning again.
     *
     * @return empty when the look no longer has just the steps of the schedule, as after a change of the trade's data
     */
    Optional<Plan> restore(Draft draft, Schedule stored) {
        Brief brief = draft.brief();
        LocalDateTime chairIn = brief.chairIn().orElse(brief.call());
        if (!draft.hasTheSteps(stored)) {
            return Optional.empty();
        }
        return Optional.of(notes.plan(draft, draft.network(chairIn), chairIn, stored));
    }

    /** The plan that has this order, if the order is still sound for the look and the brief as they are now. */
    Optional<Plan> keep(Draft draft, Schedule known, String provenOf) {
        if (!draft.hasTheSteps(known)) {
            return Optional.empty();
        }
        return chairIns(draft, known)
                .flatMap(at -> keep(draft, at, known, provenOf).stream())
                .findFirst();
    }

    /**
     * When the performer may sit down for an order that is kept: as late as the call allows, or somewhat sooner, for wishes that name
     * a time of day; and where hands come so late, or something must wait so long, that the call is not kept, as soon as that makes it
     * possible.
     */
    private Stream<LocalDateTime> chairIns(Draft draft, Schedule known) {
        Brief brief = draft.brief();
        if (brief.chairIn().isPresent()) {
            return brief.chairIn().stream();
        }
        LocalDateTime asCalled = sitsDown(brief, known.ready());
        return Stream.concat(
                IntStream.rangeClosed(0, KEPT_EARLIER).mapToObj(n -> asCalled.minusMinutes(5L * n)),
                // looked for only where none of those will do
                Stream.of(known).flatMap(k -> late(draft, k, asCalled)));
    }

    private Stream<LocalDateTime> late(Draft draft, Schedule known, LocalDateTime asCalled) {
        Stream<LocalDateTime> asHandsCome = draft.brief().crew().stream()
                .flatMap(h -> known.placed().stream()
                        .filter(p -> p.takes(h.name()))
                        .findFirst()
                        .map(first -> h.from().minusSeconds(first.start()))
                        .stream());
        return Stream.concat(
                asHandsCome, waitsForTheHour(draft, known) ? draft.wishes().soonest(known) : Stream.empty())
                .max(Comparator.naturalOrder())
                .filter(asCalled::isBefore)
                .stream();
    }

    /** Whether all would be ready sooner if nothing had to wait for a time of day. */
    private boolean waitsForTheHour(Draft draft, Schedule known) {
        TaskNetwork always = draft.network(
                h -> Draft.worker(h, 0, Draft.A_DAY), draft.wishes().handsOnly());
        return planner.drift(always, Progress.NOTHING, known)
                .filter(free -> free.ready() < known.ready() - WORTH)
                .isPresent();
    }

    private Optional<Plan> keep(Draft draft, LocalDateTime chairIn, Schedule known, String provenOf) {
        TaskNetwork network = draft.network(chairIn);
        Schedule order = known.in(network);
        if (!ScheduleCheck.problems(network, order).isEmpty()) {
            return Optional.empty();
        }
        boolean proven = !provenOf.isEmpty() && network.fingerprint().equals(provenOf);
        int least = proven ? order.leastReady() : planner.least(network);
        Schedule kept = new Schedule(order.placed(), order.rests(), order.ready(), Math.min(order.ready(), least));
        return Optional.of(notes.plan(draft, network, chairIn, kept));
    }
}
