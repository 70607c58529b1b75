package app.kemdro.core.strike;

import app.kemdro.core.body.Body;
import app.kemdro.core.layer.Stack;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Performer;
import app.kemdro.core.material.Material;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Areas;
import app.kemdro.core.plan.Plan;
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
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * Plans how a look comes off: zone by zone from the outside in. A form takes what lies on it along, once its glue has soaked;
 * what is no form is wiped or rolled off with its own remover, the outermost first. The same work in several zones is one step.
 */
public final class Strike {
    private static final int FAR = 24 * 3600;
    private static final Set<String> OWN_PARTS = Set.of("neck", "chest", "body", "arms", "hands", "legs");
    private static final Set<String> FREE_FIRST = Set.of("mouth", "nose", "eyes");
    private static final String AIRWAY = "mouth, nose and eyes";
    private static final String POWDER = "powder";
    private static final String WASH = "wash";
    private static final String SOOTHE = "soothe";

    private final Trade trade;
    private final Body body;
    private final double removerPerCm2;
    private final Planner planner;
    private final RemovalRules customs = RemovalRules.standard();

    /**
     * Plans with this trade.
     *
     * @param removerPerCm2 g of remover for each film on a square centimetre
     */
    public Strike(Trade trade, double removerPerCm2, Planner planner) {
        this.trade = trade;
        this.body = trade.body();
        this.removerPerCm2 = removerPerCm2;
        this.planner = planner;
    }

    /** Layers of one zone that leave together. */
    private record Peel(
            String key, Optional<Kind> kind, Material first, Optional<Material> glue, List<Material> takes) {}

    /** The same in all its zones. */
    private static final class Group {
        private final String key;
        private final Optional<Kind> kind;
        private final Material first;
        private Optional<Material> glue = Optional.empty();
        private Optional<Material> remover = Optional.empty();
        private final Set<String> zones = new LinkedHashSet<>();
        private final Set<String> glued = new LinkedHashSet<>();
        private final Map<String, List<Material>> takes = new LinkedHashMap<>();
        private final Set<String> after = new LinkedHashSet<>();

        Group(String key, Peel peel) {
            this.key = key;
            this.kind = peel.kind();
            this.first = peel.first();
        }

        /** A form is held by glue in some of its zones; that has to be soaked. */
        void add(String zone, Peel peel) {
            zones.add(zone);
            takes.put(zone, peel.takes());
            glue = glue.or(peel::glue);
            if (peel.glue().isPresent()) {
                glued.add(zone);
            }
        }

        /** Where remover goes: where the glue of a form lies, and nowhere else; all over what is no form or has no glue. */
        Set<String> wet() {
            return glued.isEmpty() ? zones : glued;
        }

        /** Whether it is a form that nothing holds but itself or gravity, so that it comes off dry, by hand. */
        boolean liftsDry(RemovalRules customs) {
            return kind.isPresent() && glue.isEmpty() && !customs.clings().contains(first.kind());
        }

        Material soaked() {
            return glue.orElse(first);
        }

        int soak() {
            return 60 * Math.max(soaked().soakMinutes(), kind.isPresent() ? first.soakMinutes() : 0);
        }

        boolean floods() {
            return remover.isPresent() && soak() > 0;
        }

        boolean leavesFirst() {
            return kind.map(Kind::first).orElse(false);
        }
    }

    /** How the look of this plan comes off again, by its crew. */
    public Removal of(Plan plan) {
        return of(plan, step -> true, false);
    }

    /**
     * How as much of a look comes off as has been laid.
     *
     * @param laid which steps of the plan were begun, by id
     * @param urgent whether mouth, nose and eyes must be free before anything else is touched that does not lie over them
     */
    public Removal of(Plan plan, Predicate<String> laid, boolean urgent) {
        Performer performer = plan.brief().performer();
        Map<String, Group> groups = new LinkedHashMap<>();
        plan.stacks().forEach((zone, whole) -> {
            Stack stack = new Stack(
                    whole.ground(),
                    whole.layers().stream()
                            .filter(l -> l.steps().stream().anyMatch(laid))
                            .toList());
            String before = "";
            for (Peel peel : peels(stack, urgent && isAirway(zone) ? AIRWAY : part(zone))) {
                String key = peel.kind().isPresent()
                        ? peel.key()
                        : peel.key()
                                + remover(peel.first(), Set.of(zone), performer)
                                        .map(r -> " with " + r.id())
                                        .orElse("");
                Group group = groups.computeIfAbsent(key, k -> new Group(k, peel));
                group.add(zone, peel);
                if (!before.isEmpty() && !before.equals(key)) {
                    group.after.add(before);
                }
                before = key;
            }
        });
        List<String> unknown = new ArrayList<>();
        for (Group group : groups.values()) {
            if (group.liftsDry(customs)) {
                continue;
            }
            group.remover = remover(group.soaked(), group.wet(), performer);
            if (group.remover.isEmpty()) {
                unknown.add(group.soaked().name() + ", " + body.say(body.sorted(group.wet())));
            }
        }
        if (urgent) {
            airwayFirst(groups);
        } else {
            inTurn(groups);
        }
        return scheduled(untied(groups), plan.brief(), unknown);
    }

    private boolean isAirway(String zone) {
        return FREE_FIRST.contains(body.zone(zone).row());
    }

    /** Whatever does not lie over mouth, nose or eyes waits until they are free. */
    private void airwayFirst(Map<String, Group> groups) {
        Set<String> first = new LinkedHashSet<>();
        groups.values().stream()
                .filter(g -> g.zones.stream().anyMatch(this::isAirway))
                .forEach(g -> before(g, groups, first));
        groups.values().stream().filter(g -> !first.contains(g.key)).forEach(g -> g.after.addAll(first));
    }

    /** A group and all that leaves before it. */
    private static void before(Group group, Map<String, Group> groups, Set<String> all) {
        if (all.add(group.key)) {
            group.after.forEach(a -> before(groups.get(a), groups, all));
        }
    }

    /** Hair leaves before pieces, and the cap when no piece is left that its edge could hang on. */
    private void inTurn(Map<String, Group> groups) {
        for (Group later : groups.values()) {
            for (Group sooner : groups.values()) {
                if (rank(sooner) >= 0 && rank(sooner) < rank(later) && !sooner.after.contains(later.key)) {
                    later.after.add(sooner.key);
                }
            }
        }
    }

    private int rank(Group group) {
        return group.kind.filter(k -> !k.first()).map(customs.kinds()::indexOf).orElse(-1);
    }

    /** The head is wiped in one go, every other part of the body on its own, so that hands can share them. */
    private String part(String zone) {
        String row = body.zone(zone).row();
        return OWN_PARTS.contains(row) ? row : "head";
    }

    /** What leaves a zone in turn, the outermost first: forms with all that lies on them, then films pass by pass. */
    private List<Peel> peels(Stack stack, String part) {
        List<Stack.Layer> left = new ArrayList<>(stack.layers());
        List<Peel> peels = new ArrayList<>();
        left.removeIf(l -> {
            Optional<Kind> kind = customs.of(l.material()).filter(Kind::alone);
            kind.ifPresent(
                    k -> peels.add(new Peel(key(k, l), kind, l.material(), Optional.empty(), List.of(l.material()))));
            return kind.isPresent();
        });
        for (int form = highestForm(left); form >= 0; form = highestForm(left)) {
            Stack.Layer layer = left.get(form);
            int lowest = form;
            while (lowest > 0 && isGlue(left.get(lowest - 1).material())) {
                lowest--;
            }
            Optional<Material> glue =
                    lowest < form ? Optional.of(left.get(lowest).material()) : Optional.empty();
            Kind kind = customs.of(layer.material()).orElseThrow();
            peels.add(new Peel(key(kind, layer), Optional.of(kind), layer.material(), glue, cut(left, lowest)));
        }
        for (int pass = 1; !left.isEmpty(); pass++) {
            Material film = outermost(left);
            int lowest = left.size() - 1;
            for (int i = 0; i < left.size(); i++) {
                if (family(left.get(i).material()).equals(family(film))) {
                    lowest = i;
                    break;
                }
            }
            peels.add(new Peel(
                    "film " + pass + " " + family(film) + " " + part,
                    Optional.empty(),
                    film,
                    Optional.empty(),
                    cut(left, lowest)));
        }
        return peels;
    }

    private static String key(Kind kind, Stack.Layer layer) {
        return kind.id() + " " + layer.entry() + " " + layer.material().id();
    }

    /** The outermost film that does not come off with what is below it, as powder does. */
    private static Material outermost(List<Stack.Layer> films) {
        for (int i = films.size() - 1; i >= 0; i--) {
            if (!films.get(i).material().kind().equals(POWDER)) {
                return films.get(i).material();
            }
        }
        return films.get(0).material();
    }

    /** Takes layers from this one on out of a zone, the outermost first. */
    private static List<Material> cut(List<Stack.Layer> left, int lowest) {
        List<Material> takes = new ArrayList<>();
        for (int i = left.size() - 1; i >= lowest; i--) {
            takes.add(left.get(i).material());
        }
        left.subList(lowest, left.size()).clear();
        return takes;
    }

    private int highestForm(List<Stack.Layer> layers) {
        for (int i = layers.size() - 1; i >= 0; i--) {
            if (customs.of(layers.get(i).material()).isPresent()) {
                return i;
            }
        }
        return -1;
    }

    private static boolean isGlue(Material material) {
        return material.kind().equals("adhesive") || material.kind().equals("latex");
    }

    /** Films that one remover takes off are wiped off together, with what lies between them. */
    private static String family(Material material) {
        return material.removedBy().isEmpty()
                ? material.id()
                : material.removedBy().get(0);
    }

    /** The first remover that may go on all these zones and that the performer does not react to. */
    private Optional<Material> remover(Material soaked, Set<String> zones, Performer performer) {
        return soaked.removedBy().stream()
                .map(trade.materials()::family)
                .filter(r -> zones.stream()
                        .allMatch(z -> r.places().contains(body.zone(z).place())))
                .filter(r -> r.contains().stream().noneMatch(performer.reactsTo()::contains))
                .findFirst();
    }

    /** Films that lie round one another in different zones are taken off in turns: where groups wait for each other, each zone is its own. */
    private static List<Group> untied(Map<String, Group> groups) {
        List<Group> sorted = new ArrayList<>();
        Set<String> done = new LinkedHashSet<>();
        Map<String, Group> left = new LinkedHashMap<>(groups);
        while (!left.isEmpty()) {
            Optional<String> next = left.entrySet().stream()
                    .filter(e -> done.containsAll(e.getValue().after))
                    .map(Map.Entry::getKey)
                    .findFirst();
            String key = next.orElseGet(() -> left.entrySet().stream()
                    .min(Comparator.comparingInt(e -> e.getValue().after.size()))
                    .orElseThrow()
                    .getKey());
            Group group = left.remove(key);
            if (next.isEmpty()) {
                group.after.retainAll(done);
            }
            done.add(key);
            sorted.add(group);
        }
        return sorted;
    }

    private Removal scheduled(List<Group> groups, Brief brief, List<String> unknown) {
        List<Step> steps = new ArrayList<>();
        List<Task> tasks = new ArrayList<>();
        List<Lag> lags = new ArrayList<>();
        Map<String, String> lastOf = new LinkedHashMap<>();
        for (Group group : groups) {
            String id = group.key;
            double area = Areas.of(group.zones, brief.performer(), body);
            double wet = Areas.of(group.wet(), brief.performer(), body);
            String lift = id + "/lift";
            String begin = lift;
            if (group.floods()) {
                begin = id + "/flood";
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
        firstsBeforeAnythingWet(groups, brief.selfApplied(), lags);
        if (!tasks.isEmpty()) {
            care(steps, tasks, lags, groups);
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

    /**
     * Teeth, lenses and what is hard leave before remover is laid anywhere, however far off; only what lies over them may be
     * loosened sooner. What needs remover itself comes after what does not. On oneself long nails come off before lenses, whose
     * hands they are.
     */
    private void firstsBeforeAnythingWet(List<Group> groups, boolean selfApplied, List<Lag> lags) {
        List<Group> firsts = groups.stream()
                .filter(Group::leavesFirst)
                .sorted(Comparator.comparing((Group g) -> !(selfApplied && isNail(g)))
                        .thenComparing(g -> wets(g) ? 1 : 0)
                        .thenComparing(g -> customs.kinds().indexOf(g.kind.orElseThrow())))
                .toList();
        for (Group group : groups) {
            String wet = group.floods() ? group.key + "/flood" : group.key + "/lift";
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

    /** A drop in the eye for a lens is not meant. */
    private static boolean wets(Group group) {
        return group.floods() || group.remover.isPresent() && !group.leavesFirst();
    }

    private static boolean isNail(Group group) {
        return group.first.kind().equals("nail");
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

    /** A wash and a look at the skin, when all is off. */
    private void care(List<Step> steps, List<Task> tasks, List<Lag> lags, List<Group> groups) {
        Set<String> zones = new LinkedHashSet<>();
        groups.forEach(g -> zones.addAll(g.zones));
        List<String> all = body.sorted(zones);
        List<String> before = tasks.stream().map(Task::id).toList();
        for (String id : List.of(WASH, SOOTHE)) {
            RemovalRules.Last last = id.equals(WASH) ? customs.wash() : customs.soothe();
            tasks.add(new Task(
                    id,
                    (int) (last.minutes() * 60),
                    Set.copyOf(all),
                    Set.of(),
                    Task.Needs.ANYONE,
                    List.of(Mode.NOTHING)));
            steps.add(new Step(
                    id, Sort.CARE, last.say(), all, body.say(all), Optional.empty(), Map.of(), 0, 0, List.of(), ""));
        }
        before.forEach(b -> lags.add(after(b, WASH)));
        lags.add(after(WASH, SOOTHE));
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
                        .filter(m -> !m.kind().equals(POWDER))
                        .map(Material::name)
                        .distinct()
                        .collect(Collectors.joining(", "));
    }
}
