package app.kemdro.core.strike;

import app.kemdro.core.body.Body;
import app.kemdro.core.body.Zone;
import app.kemdro.core.look.Brief;
import app.kemdro.core.material.Material;
import app.kemdro.core.material.MaterialRole;
import app.kemdro.core.plan.Areas;
import app.kemdro.core.schedule.BreakRule;
import app.kemdro.core.schedule.Lag;
import app.kemdro.core.schedule.Outcome;
import app.kemdro.core.schedule.Planner;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.Task;
import app.kemdro.core.schedule.Task.Mode;
import app.kemdro.core.schedule.TaskNetwork;
import app.kemdro.core.schedule.Worker;
import app.kemdro.core.strike.Removal.Sort;
import app.kemdro.core.strike.Removal.Step;
import app.kemdro.core.strike.RemovalRules.Kind;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Groups of layers turned into steps with times, in an order that hands can follow. */
final class RemovalSteps {
    private static final int FAR = 24 * 3600;
    private static final String RINSE = "rinse";
    private static final String WASH = "wash";
    private static final String SOOTHE = "soothe";

    private final RemovalRules customs;
    private final Body body;
    private final double removerPerCm2;
    private final Planner planner;

    RemovalSteps(RemovalRules customs, Body body, double removerPerCm2, Planner planner) {
        this.customs = customs;
        this.body = body;
        this.removerPerCm2 = removerPerCm2;
        this.planner = planner;
    }

    Removal scheduled(List<Group> groups, Brief brief, List<String> unknown) {
        List<Step> steps = new ArrayList<>();
        List<Task> tasks = new ArrayList<>();
        List<Lag> lags = new ArrayList<>();
        Map<String, String> lastOf = new LinkedHashMap<>();
        List<Group> rinsed = rinsed(groups);
        List<Group> byHands = groups.stream().filter(g -> !rinsed.contains(g)).toList();
        for (Group group : byHands) {
            String id = group.key;
            double area = Areas.of(group.zones, brief.performer(), body);
            double wet = Areas.of(group.wet(), brief.performer(), body);
            String lift = id + "/lift";
            String begin = begins(group);
            if (group.floods()) {
                steps.add(step(group, begin, Sort.FLOOD, wet));
                tasks.add(task(begin, customs.flood().on(wet), group.wet(), group.soak()));
                lags.add(new Lag(
                        begin, lift, Lag.Kind.SETTLED, 60 * customs.soakLatest(), "it soaks first, and not for ever"));
            }
            for (String before : group.after) {
                lags.add(after(lastOf.get(before), begin));
            }
            steps.add(step(group, lift, Sort.LIFT, wet));
            tasks.add(task(
                    lift, group.kind.map(Kind::pace).orElse(customs.films()).on(area), group.zones, 0));
            lastOf.put(id, lift);
        }
        firstsBeforeAnythingWet(byHands, brief.selfApplied(), lags);
        if (brief.selfApplied()) {
            fingersFree(byHands, lags);
        }
        if (!groups.isEmpty()) {
            care(steps, tasks, lags, byHands, rinsed);
        }
        List<Worker> hands = brief.crew().stream()
                .map(h -> new Worker(h.name(), true, h.pace(), 0, FAR))
                .toList();
        TaskNetwork network = new TaskNetwork(tasks, lags, hands, 0, BreakRule.USUAL.around(tasks, lags, hands));
        Outcome outcome = planner.plan(network);
        if (!(outcome instanceof Outcome.Planned)) {
            network = network.loosest();
            outcome = planner.plan(network);
        }
        Schedule schedule =
                outcome instanceof Outcome.Planned p ? p.schedule() : new Schedule(List.of(), List.of(), 0, 0);
        steps.sort(Comparator.comparingInt(
                s -> schedule.find(s.id()).map(p -> p.start()).orElse(0)));
        return new Removal(List.copyOf(steps), network, schedule, List.copyOf(unknown));
    }

    /** What the performer rinses off: films of the body that water takes, with nothing below that waits for them. */
    private List<Group> rinsed(List<Group> groups) {
        RemovalRules.Rinse rinse = customs.rinse();
        return groups.stream()
                .filter(g -> g.kind.isEmpty()
                        && g.remover
                                .filter(r -> rinse.removers().contains(r.id()))
                                .isPresent()
                        && g.zones.stream()
                                .allMatch(
                                        z -> rinse.rows().contains(body.zone(z).row()))
                        && groups.stream().noneMatch(o -> o.after.contains(g.key)))
                .toList();
    }

    /** In the shower, when hands have done what they do. */
    private Step rinse(List<Group> rinsed) {
        Set<String> on = new LinkedHashSet<>();
        Map<String, List<Material>> takes = new LinkedHashMap<>();
        for (Group group : rinsed) {
            on.addAll(group.zones);
            group.takes.forEach((zone, what) -> takes.merge(
                    zone, what, (a, b) -> Stream.concat(a.stream(), b.stream()).toList()));
        }
        List<String> zones = body.sorted(on);
        String names = rinsed.stream().map(RemovalSteps::name).distinct().collect(Collectors.joining(", "));
        return new Step(
                RINSE,
                Sort.LIFT,
                customs.rinse().say() + ": " + names,
                zones,
                body.say(zones),
                Optional.empty(),
                Map.copyOf(takes),
                0,
                0,
                List.of(),
                customs.rinse().because());
    }

    /**
     * Teeth, lenses and what is hard leave before remover is laid anywhere, however far off; only what lies over them may be
     * loosened sooner. What needs remover itself comes after what does not; on oneself long nails do not wait for it.
     */
    private void firstsBeforeAnythingWet(List<Group> groups, boolean selfApplied, List<Lag> lags) {
        List<Group> firsts = groups.stream()
                .filter(Group::leavesFirst)
                .sorted(Comparator.comparing((Group g) -> !(selfApplied && g.bindsFingers()))
                        .thenComparing(g -> wets(g) ? 1 : 0)
                        .thenComparing(g -> customs.kinds().indexOf(g.kind.orElseThrow())))
                .toList();
        for (Group group : groups) {
            String wet = begins(group);
            if (!wets(group)) {
                continue;
            }
            for (Group first : firsts) {
                String off = first.key + "/lift";
                boolean earlier = !group.leavesFirst() || firsts.indexOf(first) < firsts.indexOf(group);
                if (first != group && earlier && !leads(wet, off, lags)) {
                    lags.add(new Lag(off, wet, Lag.Kind.AFTER, null, "it is off before anything wet comes near"));
                }
            }
        }
    }

    /** Long nails come off before lenses where nobody else is there to take those out; what lies over nails leaves before. */
    private static void fingersFree(List<Group> groups, List<Lag> lags) {
        for (Group fine : groups) {
            for (Group binding : groups) {
                String off = binding.key + "/lift";
                String begin = begins(fine);
                boolean waits = fine.kind.map(Kind::fingers).orElse(false)
                        && binding.bindsFingers()
                        && !leads(begin, off, lags);
                if (waits) {
                    lags.add(new Lag(off, begin, Lag.Kind.AFTER, null, "fingers are free for it"));
                }
            }
        }
    }

    private static String begins(Group group) {
        return group.key + (group.floods() ? "/flood" : "/lift");
    }

    /** A drop in the eye for a lens is not meant. */
    private static boolean wets(Group group) {
        return group.floods() || group.remover.isPresent() && !group.leavesFirst();
    }

    /** Whether one step comes before another. */
    private static boolean leads(String from, String to, List<Lag> lags) {
        Set<String> seen = new LinkedHashSet<>(Set.of(from));
        Deque<String> open = new ArrayDeque<>(seen);
        while (!open.isEmpty()) {
            String at = open.pop();
            for (Lag lag : lags) {
                if (lag.from().equals(at) && seen.add(lag.to())) {
                    open.push(lag.to());
                }
            }
        }
        return seen.contains(to);
    }

    private static Lag after(String from, String to) {
        return new Lag(from, to, Lag.Kind.AFTER, null, "what lies outside leaves first");
    }

    private static Task task(String id, double minutes, Set<String> zones, int soak) {
        return new Task(
                id,
                (int) Math.max(15, Math.round(minutes * 60)),
                zones,
                Set.of(),
                Task.Needs.ANYONE,
                List.of(soak == 0 ? Mode.NOTHING : new Mode(0, soak, Mode.NEVER, soak)));
    }

    /** A wash of what hands took off, the shower, and a look at the skin, one after the other when all is off. */
    private void care(List<Step> steps, List<Task> tasks, List<Lag> lags, List<Group> byHands, List<Group> rinsed) {
        List<String> before = tasks.stream().map(Task::id).toList();
        List<Step> last = new ArrayList<>();
        if (!byHands.isEmpty()) {
            last.add(cared(WASH, customs.wash(), byHands));
            tasks.add(
                    task(WASH, customs.wash().minutes(), Set.copyOf(last.get(0).zones()), 0));
        }
        if (!rinsed.isEmpty()) {
            last.add(rinse(rinsed));
            tasks.add(new Task(
                    RINSE,
                    (int) (customs.rinse().minutes() * 60),
                    // nobody is worked on in the shower
                    body.zones().stream().map(Zone::id).collect(Collectors.toSet()),
                    Set.of(),
                    Task.Needs.NOBODY,
                    List.of(Mode.NOTHING)));
        }
        Step soothe = cared(
                SOOTHE,
                customs.soothe(),
                Stream.concat(byHands.stream(), rinsed.stream()).toList());
        last.add(soothe);
        tasks.add(task(SOOTHE, customs.soothe().minutes(), Set.copyOf(soothe.zones()), 0));
        before.forEach(b -> lags.add(after(b, last.get(0).id())));
        for (int k = 1; k < last.size(); k++) {
            lags.add(after(last.get(k - 1).id(), last.get(k).id()));
        }
        steps.addAll(last);
    }

    private Step cared(String id, RemovalRules.Last how, List<Group> groups) {
        Set<String> zones = new LinkedHashSet<>();
        groups.forEach(g -> zones.addAll(g.zones));
        List<String> all = body.sorted(zones);
        return new Step(id, Sort.CARE, how.say(), all, body.say(all), Optional.empty(), Map.of(), 0, 0, List.of(), "");
    }

    private Step step(Group group, String id, Sort sort, double area) {
        List<String> zones = body.sorted(sort == Sort.FLOOD ? group.wet() : group.zones);
        String how = group.kind.map(Kind::say).orElse("Wipe and roll off");
        String title = sort == Sort.FLOOD
                ? "Flood " + group.soaked().name() + " with "
                        + group.remover.orElseThrow().name()
                : how + ": " + name(group);
        boolean wet = sort == Sort.FLOOD || !group.floods();
        return new Step(
                id,
                sort,
                title,
                zones,
                body.say(zones),
                group.remover,
                sort == Sort.LIFT ? Map.copyOf(group.takes) : Map.of(),
                wet && group.remover.isPresent() ? removerPerCm2 * area : 0,
                sort == Sort.FLOOD ? group.soak() : 0,
                group.remover.map(Material::cautions).orElse(List.of()),
                group.kind.map(Kind::because).orElse(""));
    }

    private static String name(Group group) {
        return group.kind.isPresent()
                ? group.first.name()
                : group.takes.values().stream()
                        .flatMap(List::stream)
                        .filter(m -> !m.is(MaterialRole.DUST))
                        .map(Material::name)
                        .distinct()
                        .collect(Collectors.joining(", "));
    }
}
