package app.kemdro.core.plan;

import app.kemdro.core.hour.Wall;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.Wish;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Expansion.Expanded;
import app.kemdro.core.schedule.Lag;
import app.kemdro.core.schedule.Pin;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.Task.Mode;
import app.kemdro.core.schedule.Task.Needs;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Wishes about the order, as far as the steps and hands they speak of are there. */
public final class Wishes {
    private final List<Wish> kept = new ArrayList<>();
    private final List<Wish> left = new ArrayList<>();
    private final Map<String, PlannedStep> steps;
    private final Brief brief;

    Wishes(List<Wish> wishes, List<PlannedStep> steps, Brief brief) {
        this.steps = steps.stream().collect(Collectors.toMap(PlannedStep::id, Function.identity()));
        this.brief = brief;
        wishes.forEach(w -> (speaksOfWhatIs(w) ? kept : left).add(w));
    }

    private boolean speaksOfWhatIs(Wish wish) {
        boolean to = switch (wish.kind()) {
            case BEFORE -> steps.containsKey(wish.to());
            case BY_HANDS -> brief.crew().stream().anyMatch(h -> h.name().equals(wish.to()));
            case NOT_BEFORE, BEGUN_BY, IF_TIME -> true;
        };
        return wish.kind() == Wish.Kind.IF_TIME || to && steps.containsKey(wish.step());
    }

    /** Lags that they add. */
    List<Lag> lags() {
        return kept.stream()
                .filter(w -> w.kind() == Wish.Kind.BEFORE && !w.step().equals(w.to()))
                .map(w -> new Lag(w.step(), w.to(), Lag.Kind.AFTER, null, "you want it in this order"))
                .toList();
    }

    /** Whether any of them speaks of a time of day. */
    boolean timed() {
        return kept.stream().anyMatch(Wishes::isTimed);
    }

    private static boolean isTimed(Wish wish) {
        return wish.kind() == Wish.Kind.NOT_BEFORE || wish.kind() == Wish.Kind.BEGUN_BY;
    }

    /** Pins of those that speak of hands, and of those that speak of a time where chair-in is known. */
    List<Pin> pins(LocalDateTime chairIn) {
        return pins(w -> true, chairIn);
    }

    /** Pins of those that speak of hands only. */
    List<Pin> handsOnly() {
        return pins(w -> !isTimed(w), brief.call());
    }

    private List<Pin> pins(Predicate<Wish> which, LocalDateTime chairIn) {
        return kept.stream()
                .filter(which)
                .filter(w -> w.kind() != Wish.Kind.BEFORE && w.kind() != Wish.Kind.IF_TIME)
                .map(w ->
                        pin(w, (int) Duration.between(chairIn, moment(w, brief)).getSeconds()))
                .toList();
    }

    private static Pin pin(Wish wish, int second) {
        return switch (wish.kind()) {
            case NOT_BEFORE -> new Pin(wish.step(), Math.max(0, second), Mode.NEVER, null);
            case BEGUN_BY -> new Pin(wish.step(), 0, second, null);
            default -> new Pin(wish.step(), 0, Mode.NEVER, wish.to());
        };
    }

    /** For each thing that must not begin before a time of day, the soonest moment to sit down at which the order keeps that. */
    Stream<LocalDateTime> soonest(Schedule order) {
        return kept.stream()
                .filter(w -> w.kind() == Wish.Kind.NOT_BEFORE)
                .flatMap(w -> order.find(w.step()).map(p -> moment(w, brief).minusSeconds(p.start())).stream());
    }

    private static LocalDateTime moment(Wish wish, Brief brief) {
        return brief.call().minusMinutes(wish.minutes());
    }

    /** Wishes that give work to hands that may not do it. */
    List<Problem> problems(List<Expanded> all) {
        List<Problem> problems = new ArrayList<>();
        for (Wish wish : kept) {
            all.stream()
                    .filter(e ->
                            wish.kind() == Wish.Kind.BY_HANDS && e.step().id().equals(wish.step()))
                    .filter(e ->
                            e.task().needs() == Needs.NOBODY || e.task().needs() == Needs.LEAD && !isLead(wish.to()))
                    .findFirst()
                    .ifPresent(e -> problems.add(Problem.stop(
                            e.task().needs() == Needs.NOBODY
                                    ? title(wish.step()) + " takes nobody's hands."
                                    : title(wish.step()) + " is a lead's work, and " + wish.to() + " is not one.",
                            "Drop the wish in Order, or make " + wish.to() + " a lead in the brief.")));
        }
        return problems;
    }

    private boolean isLead(String hands) {
        return brief.crew().stream().anyMatch(h -> h.name().equals(hands) && h.skill() == Brief.Skill.LEAD);
    }

    /** What is worth knowing of wishes that cannot count any more. */
    List<Problem> notes() {
        return left.stream()
                .map(w -> Problem.note(
                        "A wish counts no more: " + say(w) + ".",
                        "What it speaks of is not there. Drop it in Order, or bring that back.",
                        List.of()))
                .toList();
    }

    /** A wish in words. */
    public static String say(Wish wish, Look look, List<PlannedStep> steps, Brief brief, Trade trade) {
        return wish.kind() == Wish.Kind.IF_TIME
                ? say(wish.step(), look, trade) + " only if there is time"
                : new Wishes(List.of(), steps, brief).say(wish);
    }

    /** An entry of a look in words. */
    static String say(String entry, Look look, Trade trade) {
        return look.entry(entry)
                .map(e -> "“" + trade.technique(e.techniqueId()).name() + ", "
                        + trade.body().say(e.zones()) + "”")
                .orElse("what is gone");
    }

    private String say(Wish wish) {
        String step = title(wish.step());
        return switch (wish.kind()) {
            case BEFORE -> step + " before " + title(wish.to());
            case NOT_BEFORE -> step + ", not earlier than %s".formatted(Wall.hour(moment(wish, brief)));
            case BEGUN_BY -> step + ", start by %s".formatted(Wall.hour(moment(wish, brief)));
            case BY_HANDS -> step + " by " + wish.to();
            case IF_TIME -> wish.step() + " only if there is time";
        };
    }

    private String title(String id) {
        PlannedStep step = steps.get(id);
        return step == null ? "a step that is gone" : "“" + step.titleWithPlace() + "”";
    }
}
