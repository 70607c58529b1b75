package app.kemdro.core.schedule;

import app.kemdro.core.schedule.SenseWeights.Term;
import app.kemdro.core.schedule.SenseWeights.Weight;
import java.util.Arrays;
import java.util.List;

/** Counts what of one order goes against sense. */
final class SenseCount {
    /** Who may move for no longer than this does not rest, seconds (judgement). */
    private static final int NO_REST = 60;

    /** Tasks of a network have numbers below two to the power of this. */
    private static final int SHIFT = 20;

    private final SenseGroups net;
    private final SenseWeights weights;
    private final int[] start;
    private final int[] end;
    private final int[] settled;
    private final int[] mode;
    private final int[] opens;
    private final int[] hands;
    private final boolean[] there;
    private final List<Rest> rests;
    private final int ready;
    final int[] amount = new int[Term.values().length];
    final double[] cost = new double[amount.length];
    final int[] worst = new int[amount.length];
    private final int[] order;
    private final int[] before;
    private final double[] most = new double[amount.length];

    SenseCount(
            SenseGroups net,
            SenseWeights weights,
            int[] start,
            int[] end,
            int[] settled,
            int[] mode,
            int[] opens,
            int[] hands,
            boolean[] there,
            List<Rest> rests,
            int ready) {
        this.net = net;
        this.weights = weights;
        this.start = start;
        this.end = end;
        this.settled = settled;
        this.mode = mode;
        this.opens = opens;
        this.hands = hands;
        this.there = there;
        this.rests = rests;
        this.ready = ready;
        this.order = new int[start.length];
        this.before = new int[start.length];
        Arrays.fill(worst, -1);
    }

    void all() {
        link();
        for (int i = 0; i < start.length; i++) {
            if (there[i] && opens[i] > 0) {
                add(Term.TORN, i, idle(opens[i], start[i]));
            }
            for (int j : net.beside[i]) {
                if (there[i] && there[j] && net.flies(i, mode[i], start[i], end[i], end[j], settled[j])) {
                    add(Term.OPEN, i, 1);
                }
            }
            if (there[i] && net.trait[i].worn()) {
                add(Term.WORN, i, ready - end[i]);
            }
        }
        for (int[] pair : net.twins) {
            outOfStep(pair);
        }
        for (int[] layer : net.layers) {
            takenUpAgain(layer);
        }
        for (int[] pose : net.poses) {
            kept(pose);
        }
        int[] lastOf = new int[start.length];
        Arrays.fill(lastOf, -1);
        for (int i : order) {
            if (before[i] >= 0) {
                follows(before[i], i);
            }
            int work = net.work[i];
            if (work >= 0 && isByHands(i)) {
                int earlier = lastOf[work];
                lastOf[work] = i;
                if (earlier >= 0 && hands[earlier] != hands[i] && end[earlier] <= start[i]) {
                    add(Term.HANDOVERS, i, 1);
                }
            }
        }
    }

    /** Puts tasks into the order in which they begin, and links each to the one that its hands did before. */
    private void link() {
        long[] byStart = new long[start.length];
        for (int i = 0; i < byStart.length; i++) {
            byStart[i] = ((long) start[i] << SHIFT) + i;
        }
        Arrays.sort(byStart);
        int[] lastBy = new int[start.length + 1];
        Arrays.fill(lastBy, -1);
        for (int k = 0; k < byStart.length; k++) {
            int i = (int) (byStart[k] & (1L << SHIFT) - 1);
            order[k] = i;
            before[i] = -1;
            if (isByHands(i)) {
                before[i] = lastBy[hands[i]];
                lastBy[hands[i]] = i;
            }
        }
    }

    private boolean isByHands(int i) {
        return there[i] && !net.nobody[i] && hands[i] >= 0;
    }

    /** One side after the other, in turn as they are done. */
    private void outOfStep(int[] pair) {
        int[] turn = inTurn(pair);
        for (int k = 1; k < turn.length; k++) {
            add(Term.TWINS, turn[k], idle(end[turn[k - 1]], start[turn[k]]));
        }
    }

    private void takenUpAgain(int[] layer) {
        int[] turn = inTurn(layer);
        for (int k = 1; k < turn.length; k++) {
            if (putDown(turn[k], turn, k) >= 0) {
                add(Term.AGAIN, turn[k], 1);
            }
        }
    }

    /** What of a layer was put down before this: by the same hands, with something else taken up in between; −1 where there is none. */
    private int putDown(int again, int[] turn, int upTo) {
        for (int k = upTo - 1; k >= 0; k--) {
            if (hands[turn[k]] == hands[again]) {
                return isTakenUpAgain(turn[k], again) ? turn[k] : -1;
            }
        }
        return -1;
    }

    /** Whether the same hands took up something else between these; who is dressed meanwhile, as for costume, begins anew. */
    private boolean isTakenUpAgain(int first, int again) {
        for (int block : net.blocks) {
            if (start[block] >= end[first] && end[block] <= start[again]) {
                return false;
            }
        }
        for (int i = before[again]; i >= 0 && i != first; i = before[i]) {
            if (net.work[i] != net.work[first] && net.load[i] >= 0 && net.load[i] != net.load[first]) {
                return true;
            }
        }
        return false;
    }

    /** What is better done just before the rest of its layer, with when it would begin. */
    void nearTheRest(int[] wanted) {
        link();
        for (int[] layer : net.layers) {
            int[] turn = inTurn(layer);
            for (int k = 1; k < turn.length; k++) {
                int first = putDown(turn[k], turn, k);
                if (first >= 0) {
                    wanted[first] = Math.max(wanted[first], start[turn[k]] - end[first] + start[first]);
                }
            }
        }
    }

    /** Bouts of one pose; a minute between two of them is no rest. */
    private void kept(int[] pose) {
        int from = -1;
        int until = -1;
        int last = -1;
        for (int i : inTurn(pose)) {
            if (last >= 0 && start[i] > until + NO_REST) {
                add(Term.HELD, last, until - from);
                last = -1;
            }
            from = last < 0 ? start[i] : from;
            until = last < 0 ? end[i] : Math.max(until, end[i]);
            last = i;
        }
        if (last >= 0) {
            add(Term.HELD, last, until - from);
        }
    }

    /** Those that are there, in the order in which they begin. */
    private int[] inTurn(int[] some) {
        int[] turn = new int[some.length];
        int n = 0;
        for (int i : some) {
            if (there[i]) {
                int k = n++;
                while (k > 0 && start[turn[k - 1]] > start[i]) {
                    turn[k] = turn[k - 1];
                    k--;
                }
                turn[k] = i;
            }
        }
        return n == some.length ? turn : Arrays.copyOf(turn, n);
    }

    private void follows(int earlier, int i) {
        if (net.load[i] >= 0 && net.load[i] != net.load[earlier]) {
            add(Term.CHANGES, i, 1);
        }
        if (net.trait[i].level() >= 0 && net.trait[earlier].level() > net.trait[i].level()) {
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
