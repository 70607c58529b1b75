package app.kemdro.core.schedule;

import app.kemdro.core.schedule.SenseWeights.Term;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * How much an order goes against an artist's sense, in seconds that one would give to have it otherwise: work that is torn apart,
 * twins out of step, a colour taken up twice, dust beside what is wet, poses kept too long, things taken up and put down, hands that
 * take over, what is worn early, and going up and down the body.
 * Common practice; the weights are a judgement and lie in the trade's data.
 */
public final class Sense {
    private final SenseGroups net;
    private final SenseWeights weights;

    /**
     * How much of a term there is.
     *
     * @param amount seconds, or times
     * @param worst the task at which most of it is, or empty
     */
    public record Found(Term term, int amount, double cost, String worst) {}

    /** Of this network. */
    public Sense(TaskNetwork network, SenseWeights weights) {
        this.net = new SenseGroups(network);
        this.weights = weights;
    }

    /** What this order has of each term. */
    public List<Found> of(Schedule schedule) {
        int n = net.trait.length;
        int[] start = new int[n];
        int[] end = new int[n];
        int[] opens = new int[n];
        int[] hands = new int[n];
        int[] settled = new int[n];
        int[] mode = new int[n];
        boolean[] there = new boolean[n];
        Map<String, Integer> names = new HashMap<>();
        net.network.workers().forEach(w -> names.put(w.id(), names.size()));
        for (ScheduledTask p : schedule.placed()) {
            Integer i = net.index.get(p.task());
            if (i != null) {
                there[i] = true;
                start[i] = p.start();
                end[i] = p.end();
                settled[i] = p.settled();
                mode[i] = p.mode();
                hands[i] = p.worker() == null ? -1 : names.getOrDefault(p.worker(), -1);
            }
        }
        for (int i = 0; i < n; i++) {
            for (Lag lag : net.inWorkBy[i]) {
                opens[i] = Math.max(
                        opens[i], schedule.find(lag.from()).map(lag::opens).orElse(0));
            }
        }
        SenseCount count = new SenseCount(
                net, weights, start, end, settled, mode, opens, hands, there, schedule.rests(), schedule.ready());
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
                            : net.network.tasks().get(count.worst[k]).id()));
        }
        return found;
    }

    /** The sum of all terms of a placement, seconds. */
    long cost(SerialPlacement placed, int ready) {
        int n = net.trait.length;
        int[] opens = new int[n];
        for (int i = 0; i < n; i++) {
            for (int k = 0; k < net.inWork[i].length; k++) {
                int from = net.inWork[i][k];
                opens[i] = Math.max(opens[i], placed.end[from] + placed.leastFrom(from, net.inWorkBy[i][k]));
            }
        }
        SenseCount count = count(placed, opens, ready);
        count.all();
        double sum = 0;
        for (double c : count.cost) {
            sum += c;
        }
        return Math.round(sum);
    }

    private SenseCount count(SerialPlacement placed, int[] opens, int ready) {
        int n = net.trait.length;
        boolean[] there = new boolean[n];
        Arrays.fill(there, true);
        int[] settled = new int[n];
        for (int i = 0; i < n; i++) {
            settled[i] = placed.settled(i);
        }
        return new SenseCount(
                net,
                weights,
                placed.start,
                placed.end,
                settled,
                placed.mode,
                opens,
                placed.hands,
                there,
                placed.rests.rests(),
                ready);
    }

    /** What is better begun no sooner than this second, since what it belongs to goes on only then; by task, 0 where nothing is. */
    int[] later(SerialPlacement placed) {
        int[] wanted = new int[net.trait.length];
        for (int i = 0; i < net.trait.length; i++) {
            for (int k = 0; k < net.inWork[i].length; k++) {
                int from = net.inWork[i][k];
                int idle = placed.start[i] - placed.end[from] - placed.leastFrom(from, net.inWorkBy[i][k]);
                if (idle > weights.weight(Term.TORN).free()) {
                    wanted[from] = placed.start[from] + idle;
                }
            }
        }
        count(placed, new int[wanted.length], 0).nearTheRest(wanted);
        for (int i = 0; i < net.trait.length; i++) {
            for (int j : net.beside[i]) {
                if (net.flies(i, placed.mode[i], placed.start[i], placed.end[i], placed.end[j], placed.settled(j))) {
                    wanted[i] = Math.max(wanted[i], placed.settled(j));
                }
            }
        }
        for (int[] pair : net.twins) {
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
}
