package app.kemdro.core.question;

import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.Role;
import app.kemdro.core.method.StepTemplate.Begins;
import app.kemdro.core.method.Trade;
import app.kemdro.core.method.WorkLaw;
import app.kemdro.core.plan.Areas;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.question.Answer.Fault;
import app.kemdro.core.question.OrderAsDone.Done;
import app.kemdro.core.schedule.Task.Mode;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** What is asked of steps and of pairs of steps. */
final class StepsSeen {
    private final OrderAsDone order;
    private final Look look;
    private final Trade trade;

    StepsSeen(OrderAsDone order, Look look, Trade trade) {
        this.look = look;
        this.order = order;
        this.trade = trade;
    }

    /** What lies below on a zone was laid before what lies over it was begun. */
    List<Fault> overlaps() {
        Map<String, Done> byStep = new TreeMap<>();
        order.steps().forEach(d -> byStep.put(d.step().id(), d));
        Map<String, Fault> faults = new TreeMap<>();
        order.plan().stacks().values().forEach(stack -> {
            for (int k = 1; k < stack.layers().size(); k++) {
                for (String lower : stack.layers().get(k - 1).steps()) {
                    for (String upper : stack.layers().get(k).steps()) {
                        Done below = byStep.get(lower);
                        Done over = byStep.get(upper);
                        if (below != null
                                && over != null
                                && !below.entry().equals(over.entry())
                                && below.at().end() > over.at().start()) {
                            faults.put(
                                    lower + upper,
                                    new Fault(
                                            over.title() + " begins before " + below.title() + " is on",
                                            List.of(upper, lower),
                                            below.at().end() - over.at().start()));
                        }
                    }
                }
            }
        });
        return List.copyOf(faults.values());
    }

    /** From the end of one side to the start of the other. */
    List<Fault> twins(double mostMinutes) {
        Map<String, List<Done>> pairs = new TreeMap<>();
        order.steps().stream()
                .filter(d -> !d.task().trait().twin().isEmpty())
                .forEach(d -> pairs.computeIfAbsent(d.task().trait().twin(), k -> new ArrayList<>())
                        .add(d));
        List<Fault> faults = new ArrayList<>();
        pairs.values().forEach(pair -> {
            for (int k = 1; k < pair.size(); k++) {
                Done first = pair.get(k - 1);
                Done second = pair.get(k);
                int idle = order.idle(first.at().end(), second.at().start());
                if (idle > mostMinutes * 60) {
                    faults.add(new Fault(
                            "%s comes %d min after %s"
                                    .formatted(second.title(), OrderAsDone.minutes(idle), first.title()),
                            List.of(first.step().id(), second.step().id()),
                            idle));
                }
            }
        });
        return faults;
    }

    /** What goes into something that is still open comes while it is. */
    List<Fault> windows() {
        List<Fault> faults = new ArrayList<>();
        for (List<Done> entry : order.byEntry().values()) {
            for (Done next : entry) {
                for (Done before : entry) {
                    boolean last = entry.stream().noneMatch(o -> isLaterCoat(o.step(), before.step(), next.step()));
                    if (last && before != next && follows(before.step(), next.step())) {
                        int late = next.at().start() - closes(before, next.step());
                        if (late > 0) {
                            faults.add(new Fault(
                                    "%s comes %d min too late after %s"
                                            .formatted(next.title(), OrderAsDone.minutes(late), before.title()),
                                    List.of(before.step().id(), next.step().id()),
                                    late));
                        }
                    }
                }
            }
        }
        return faults;
    }

    private static boolean isLaterCoat(PlannedStep other, PlannedStep before, PlannedStep next) {
        return next.coat() == 0
                && other.template().id().equals(before.template().id())
                && other.coat() > before.coat()
                && other.zones().equals(before.zones());
    }

    private static boolean follows(PlannedStep before, PlannedStep next) {
        List<String> after = next.template().after();
        List<String> ids = next.technique().steps().stream().map(t -> t.id()).toList();
        int k = ids.indexOf(next.template().id());
        boolean follows = after.isEmpty()
                ? k > 0 && ids.get(k - 1).equals(before.template().id())
                : after.contains(before.template().id());
        return follows
                && (before.coat() == next.coat() || next.coat() == 0)
                && before.zones().stream().anyMatch(next.zones()::contains);
    }

    /** The last second at which this may be begun; far off where that does not matter. */
    private static int closes(Done before, PlannedStep next) {
        Begins begins = next.template().begins();
        int opens = begins == Begins.TACKY
                ? before.at().usable()
                : begins == Begins.CLEAR ? before.at().settled() : before.at().end();
        int most = begins == Begins.TACKY ? before.at().closes() : Mode.NEVER;
        most = begins == Begins.WET ? Math.min(before.at().usable(), before.at().closes()) : most;
        Integer within = next.template().within();
        return within == null ? most : Math.min(most, opens + within);
    }

    /** Minutes that are not those of the law of the step, by how many times. */
    List<Fault> minutes(double most) {
        List<Fault> faults = new ArrayList<>();
        for (Done done : order.steps()) {
            double law = lawful(done);
            double much = done.task().work() / 60.0 / law;
            if (done.byHands() && law > 0 && (much > most || much < 1 / most)) {
                faults.add(new Fault(
                        "%s takes %d min, not about %d"
                                .formatted(
                                        done.title(),
                                        OrderAsDone.minutes(done.task().work()),
                                        Math.max(1, Math.round(law))),
                        List.of(done.step().id()),
                        Math.max(much, 1 / much)));
            }
        }
        return faults;
    }

    private double lawful(Done done) {
        PlannedStep step = done.step();
        WorkLaw law = step.template().law();
        double area = area(step.zones());
        Optional<LookEntry> asked = look.entry(step.entryId());
        double share = asked.map(e -> e.coverage() / 100.0).orElse(1.0);
        double things = asked.map(e -> Areas.items(e, step.technique(), area(e.zones())) * area / area(e.zones()))
                .orElseGet(() -> (double) step.technique().items().usualOn(area));
        return law.on(area * share) + step.template().minutesPerItem() * things;
    }

    private double area(Collection<String> zones) {
        return Areas.of(zones, order.plan().brief().performer(), trade.body());
    }

    /** A colour that is taken up again for the same layer, and work that is come back to too often. */
    List<Fault> pickUp(double mostReturns) {
        List<Fault> faults = new ArrayList<>();
        for (List<Done> entry : order.byEntry().values()) {
            List<Done> byHands = entry.stream().filter(Done::byHands).toList();
            long returns = 0;
            int open = 0;
            for (Done done : byHands) {
                returns += open > 0 && away(done, open) ? 1 : 0;
                open = Math.max(open, Math.max(done.at().end(), done.at().usable()));
            }
            if (returns > mostReturns) {
                faults.add(new Fault(
                        "%s is come back to %d times"
                                .formatted(byHands.get(0).step().technique().name(), returns),
                        byHands.stream().map(d -> d.step().id()).toList(),
                        returns));
            }
        }
        Map<String, List<Done>> layers = new TreeMap<>();
        order.steps().stream()
                .filter(d -> d.byHands() && !d.task().trait().layer().isEmpty())
                .forEach(d -> layers.computeIfAbsent(
                                d.task().trait().layer() + " " + d.at().worker(), k -> new ArrayList<>())
                        .add(d));
        layers.values().forEach(layer -> {
            for (int k = 1; k < layer.size(); k++) {
                Done first = layer.get(k - 1);
                Done again = layer.get(k);
                if (otherLoad(first, again) && !dressedBetween(first, again)) {
                    faults.add(new Fault(
                            "%s takes up again what was put down after %s".formatted(again.title(), first.title()),
                            List.of(first.step().id(), again.step().id()),
                            1));
                }
            }
        });
        return faults;
    }

    /** Whether these hands did something else for a while before they came back to this. */
    private boolean away(Done done, int since) {
        return order.idle(since, done.at().start()) > 180 && elsewhere(done, since);
    }

    private boolean elsewhere(Done done, int since) {
        return order.steps().stream()
                .anyMatch(o -> !o.entry().equals(done.entry())
                        && done.at().worker().equals(o.at().worker())
                        && o.at().start() >= since
                        && o.at().end() <= done.at().start());
    }

    /** Costume stands between what is coloured before it and hands. */
    private boolean dressedBetween(Done first, Done again) {
        return order.steps().stream()
                .anyMatch(o -> o.step().technique().is(Role.DRESSING)
                        && o.at().start() >= first.at().end()
                        && o.at().end() <= again.at().start());
    }

    private boolean otherLoad(Done first, Done again) {
        String loaded = first.task().trait().loaded();
        return order.steps().stream()
                .anyMatch(o -> !o.entry().equals(first.entry())
                        && first.at().worker().equals(o.at().worker())
                        && !o.task().trait().loaded().isEmpty()
                        && !o.task().trait().loaded().equals(loaded)
                        && o.at().start() >= first.at().end()
                        && o.at().end() <= again.at().start());
    }

    /** Dust, mist and the air of a dryer beside what is still wet and no part of the same work. */
    List<Fault> dust() {
        List<Fault> faults = new ArrayList<>();
        for (Done flies : order.steps()) {
            boolean raises = flies.task().trait().flies();
            boolean blows =
                    flies.at().mode() > 0 && flies.task().way(flies.at().mode()).tool() > 0;
            if (!raises && !blows) {
                continue;
            }
            int from = raises
                    ? flies.at().start()
                    : flies.at().end() - flies.task().way(flies.at().mode()).tool();
            for (Done wet : order.steps()) {
                int over = Math.min(flies.at().end(), wet.at().settled())
                        - Math.max(from, wet.at().end());
                if (!wet.entry().equals(flies.entry())
                        && wet.task().trait().spoils()
                        && over > 0
                        && order.touch(flies.step().zones(), wet.step().zones())) {
                    faults.add(new Fault(
                            "%s comes beside %s, wet until %d min later"
                                    .formatted(
                                            flies.title(),
                                            wet.title(),
                                            OrderAsDone.minutes(wet.at().settled()
                                                    - flies.at().start())),
                            List.of(flies.step().id(), wet.step().id()),
                            over));
                }
            }
        }
        return faults;
    }

    /** The worst first. */
    static List<Fault> sorted(Collection<Fault> faults) {
        return faults.stream()
                .sorted(Comparator.comparingDouble(Fault::much).reversed())
                .toList();
    }
}
