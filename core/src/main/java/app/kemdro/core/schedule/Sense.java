package app.kemdro.core.schedule;

import app.kemdro.core.schedule.SenseWeights.Term;
import app.kemdro.core.schedule.SenseWeights.Weight;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * How much an order goes against an artist's sense, in seconds that one would give to have it otherwise: work that is torn apart,
 * twins out of step, things taken up and put down, hands that take over, what is worn early, and going up and down the body.
 * Common practice; the weights are a judgement and lie in the trade's data.
 */
public final class Sense {
    private final TaskNetwork network;
    private final SenseWeights weights;
    private final Map<String, Integer> index = new HashMap<>();
    private final Trait[] trait;
    private final int[][] inWork;
    private final Lag[][] inWorkBy;
    private final int[][] twins;
    private final boolean[] nobody;

    /**
     * How much of a term there is.
     *
     * @param amount seconds, or times
     * @param worst the task at which most of it is, or empty
     */
    public record Found(Term term, int amount, double cost, String worst) {}

    /** Of this network. */
    public Sense(TaskNetwork network, SenseWeights weights) {
        this.network = network;
        this.weights = weights;
        List<Task> tasks = network.tasks();
        int n = tasks.size();
        trait = new Trait[n];
        nobody = new boolean[n];
        for (int i = 0; i < n; i++) {
            index.put(tasks.get(i).id(), i);
            trait[i] = tasks.get(i).trait();
            nobody[i] = tasks.get(i).needs() == Task.Needs.NOBODY;
        }
        List<List<Lag>> into = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            into.add(new ArrayList<>());
        }
        for (Lag lag : network.lags()) {
            Trait from = trait[index.get(lag.from())];
            int to = index.get(lag.to());
            if (!from.work().isEmpty() && from.work().equals(trait[to].work())) {
                into.get(to).add(lag);
            }
        }
        inWork = new int[n][];
        inWorkBy = new Lag[n][];
        for (int i = 0; i < n; i++) {
            inWorkBy[i] = into.get(i).toArray(Lag[]::new);
            inWork[i] = into.get(i).stream().mapToInt(l -> index.get(l.from())).toArray();
        }
        Map<String, List<Integer>> alike = new TreeMap<>();
        for (int i = 0; i < n; i++) {
            if (!trait[i].twin().isEmpty()) {
                alike.computeIfAbsent(trait[i].twin(), k -> new ArrayList<>()).add(i);
            }
        }
        twins = alike.values().stream()
                .filter(l -> l.size() > 1)
                .map(l -> l.stream().mapToInt(Integer::intValue).toArray())
                .toArray(int[][]::new);
    }

    /** What this order has of each term. */
    public List<Found> of(Schedule schedule) {
        int n = trait.length;
        int[] start = new int[n];
        int[] end = new int[n];
        int[] opens = new int[n];
        int[] hands = new int[n];
        boolean[] there = new boolean[n];
        Map<String, Integer> names = new HashMap<>();
        network.workers().forEach(w -> names.put(w.id(), names.size()));
        for (ScheduledTask p : schedule.placed()) {
            Integer i = index.get(p.task());
            if (i != null) {
                there[i] = true;
                start[i] = p.start();
                end[i] = p.end();
                hands[i] = p.worker() == null ? -1 : names.getOrDefault(p.worker(), -1);
            }
        }
        for (int i = 0; i < n; i++) {
            for (Lag lag : inWorkBy[i]) {
                opens[i] = Math.max(
                        opens[i], schedule.find(lag.from()).map(lag::opens).orElse(0));
            }
        }
        Count count = new Count(start, end, opens, hands, there, schedule.rests(), schedule.ready());
        count.all();
        List<Found> found = new ArrayList<>();
        for (Term term : Term.values()) {
            int k = term.ordinal();
            found.add(new Found(
                    term,
                    count.amount[k],
                    count.cost[k],
                    count.worst[k] < 0
                            ? ""
                            : network.tasks().get(count.worst[k]).id()));
        }
        return found;
    }

    /** The sum of all terms of a placement, seconds. */
    long cost(SerialPlacement placed, int ready) {
        int n = trait.length;
        int[] opens = new int[n];
        boolean[] there = new boolean[n];
        Arrays.fill(there, true);
        for (int i = 0; i < n; i++) {
            for (int k = 0; k < inWork[i].length; k++) {
                int from = inWork[i][k];
                opens[i] = Math.max(opens[i], placed.end[from] + placed.leastFrom(from, inWorkBy[i][k]));
            }
        }
        Count count = new Count(placed.start, placed.end, opens, placed.hands, there, placed.rests.rests(), ready);
        count.all();
        return Math.round(Arrays.stream(count.cost).sum());
    }

    /** What is better begun no sooner than this second, since what it belongs to goes on only then; by task, 0 where nothing is. */
    int[] later(SerialPlacement placed) {
        int[] wanted = new int[trait.length];
        for (int i = 0; i < trait.length; i++) {
            for (int k = 0; k < inWork[i].length; k++) {
                int from = inWork[i][k];
                int idle = placed.start[i] - placed.end[from] - placed.leastFrom(from, inWorkBy[i][k]);
                if (idle > weights.weight(Term.TORN).free()) {
                    wanted[from] = placed.start[from] + idle;
                }
            }
        }
        for (int[] pair : twins) {
            for (int a : pair) {
                for (int b : pair) {
                    int idle = placed.start[b] - placed.end[a];
                    if (a != b && idle > weights.weight(Term.TWINS).free()) {
                        wanted[a] = Math.max(wanted[a], placed.start[a] + idle);
                    }
                }
            }
        }
        return wanted;
    }

    private final class Count {
        private final int[] start;
        private final int[] end;
        private final int[] opens;
        private final int[] hands;
        private final boolean[] there;
        private final List<Rest> rests;
        private final int ready;
        private final int[] amount = new int[Term.values().length];
        private final double[] cost = new double[amount.length];
        private final int[] worst = new int[amount.length];
        private final double[] most = new double[amount.length];

        Count(int[] start, int[] end, int[] opens, int[] hands, boolean[] there, List<Rest> rests, int ready) {
            this.start = start;
            this.end = end;
            this.opens = opens;
            this.hands = hands;
            this.there = there;
            this.rests = rests;
            this.ready = ready;
            Arrays.fill(worst, -1);
        }

        void all() {
            for (int i = 0; i < start.length; i++) {
                if (there[i] && opens[i] > 0) {
                    add(Term.TORN, i, idle(opens[i], start[i]));
                }
                if (there[i] && trait[i].worn()) {
                    add(Term.WORN, i, ready - end[i]);
                }
            }
            for (int[] pair : twins) {
                outOfStep(pair);
            }
            Integer[] order = new Integer[start.length];
            Arrays.setAll(order, i -> i);
            Arrays.sort(order, Comparator.comparingInt(i -> start[i]));
            Map<String, Integer> lastOf = new HashMap<>();
            Map<Integer, Integer> lastBy = new HashMap<>();
            for (int i : order) {
                if (!there[i] || nobody[i] || hands[i] < 0) {
                    continue;
                }
                Integer before = lastBy.put(hands[i], i);
                if (before != null) {
                    follows(before, i);
                }
                if (!trait[i].work().isEmpty()) {
                    Integer earlier = lastOf.put(trait[i].work(), i);
                    if (earlier != null && hands[earlier] != hands[i] && end[earlier] <= start[i]) {
                        add(Term.HANDOVERS, i, 1);
                    }
                }
            }
        }

        /** One side after the other, in turn as they are done. */
        private void outOfStep(int[] pair) {
            int[] turn = Arrays.stream(pair)
                    .filter(i -> there[i])
                    .boxed()
                    .sorted(Comparator.comparingInt(i -> start[i]))
                    .mapToInt(Integer::intValue)
                    .toArray();
            for (int k = 1; k < turn.length; k++) {
                add(Term.TWINS, turn[k], idle(end[turn[k - 1]], start[turn[k]]));
            }
        }

        private void follows(int before, int i) {
            if (!trait[i].loaded().isEmpty() && !trait[i].loaded().equals(trait[before].loaded())) {
                add(Term.CHANGES, i, 1);
            }
            if (trait[i].level() >= 0 && trait[before].level() > trait[i].level()) {
                add(Term.FLOW, i, 1);
            }
        }

        /** Seconds between two moments in which somebody could have worked. */
        private int idle(int from, int to) {
            int idle = Math.max(0, to - from);
            for (Rest rest : rests) {
                idle -= Math.max(0, Math.min(rest.end(), to) - Math.max(rest.start(), from));
            }
            return Math.max(0, idle);
        }

        private void add(Term term, int task, int much) {
            Weight weight = weights.weight(term);
            int over = Math.max(0, much - weight.free());
            int k = term.ordinal();
            amount[k] += over;
            cost[k] += over * weight.weight();
            if (over > most[k]) {
                most[k] = over;
                worst[k] = task;
            }
        }
    }
}
