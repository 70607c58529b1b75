package app.kemdro.core.schedule;

import app.kemdro.core.schedule.Task.Mode;

/** Looks ahead from where a morning stands: whether what is about to be begun would come in the way of what has to be begun soon. */
final class EagerOutlook {
    private static final int NEVER = Mode.NEVER;

    private final EagerOrder order;
    private final IndexedNetwork net;
    private final TaskTimes times;
    private final int hands;
    private final int[] soonest;
    private final int[] asked;
    private int turn;

    EagerOutlook(EagerOrder order, IndexedNetwork net, TaskTimes times) {
        this.order = order;
        this.net = net;
        this.times = times;
        this.hands = net.network.workers().size();
        this.soonest = new int[net.n];
        this.asked = new int[net.n];
    }

    /** Whether it is better not begun as it was picked: it blocks something, or opens a window for what comes too late. */
    boolean forbids(int i) {
        return blocks(i) || order.wanted[i] >= NEVER && isTooSoon(i);
    }

    /** Whether it would keep something that has to be begun sooner from its hands or its place. */
    private boolean blocks(int i) {
        int free = order.pickedStop + times.settled[i][order.pickedWay];
        for (int k = 0; k < order.ables; k++) {
            int j = order.able[k];
            int by = order.wanted[j];
            if (j != i
                    && by < free
                    && by < order.wanted[i]
                    && (net.shares[i][j] || by < order.pickedStop && !times.nobody[j] && !isHandLeft(j))) {
                return true;
            }
        }
        return false;
    }

    private boolean isHandLeft(int j) {
        int[] seconds = times.seconds[j][net.ways[j][0]];
        for (int w = 0; w < hands; w++) {
            if (w != order.pickedWorker
                    && w != order.pickedHelper
                    && seconds[w] >= 0
                    && order.handFree[w] <= order.wanted[j]) {
                return true;
            }
        }
        return false;
    }

    /** Whether what has to follow soon would have to wait for something that comes too late for it. */
    private boolean isTooSoon(int i) {
        int[] shuts = times.shuts[i][order.pickedWay];
        for (int k = 0; k < shuts.length; k++) {
            if (shuts[k] < NEVER) {
                int to = times.after[i][k];
                int opens = order.pickedStop + times.opens[i][order.pickedWay][k];
                int by = order.pickedStop + shuts[k];
                turn++;
                if (waitsBeyond(i, to, by)
                        || handsClashing(i, to, opens, by) >= hands
                        || isPlaceTaken(i, to, opens, by)) {
                    return true;
                }
            }
        }
        return false;
    }

    /** Whether something else that comes before it cannot be over by then. */
    private boolean waitsBeyond(int i, int to, int by) {
        int[] before = times.before[to];
        for (int b = 0; b < before.length; b++) {
            if (before[b] != i && !order.begun[before[b]] && soonest(before[b], i) + times.leads[to][b] > by) {
                return true;
            }
        }
        return false;
    }

    /** How many there are that have to be begun soon and can come neither before nor after it on the same hands. */
    private int handsClashing(int i, int to, int opens, int by) {
        int many = 0;
        for (int k = 0; k < order.ables; k++) {
            int j = order.able[k];
            many += j != i && !times.nobody[j] && clashes(j, order.earliest(j), to, opens, by) ? 1 : 0;
        }
        return many;
    }

    /** Whether there is one that has to be begun soon and can come neither before nor after it on the same place. */
    private boolean isPlaceTaken(int i, int to, int opens, int by) {
        for (int j : times.beside[to]) {
            if (j != i && !order.begun[j] && order.wanted[j] < NEVER && clashes(j, soonest(j, i), to, opens, by)) {
                return true;
            }
        }
        return false;
    }

    private boolean clashes(int j, int from, int to, int opens, int by) {
        return order.wanted[j] < NEVER
                && Math.max(order.pickedStop, from) + times.quickest[j] > by
                && opens + times.quickest[to] > order.wanted[j];
    }

    /** No sooner than this could a task begin as things stand; one is taken as if it were done already. */
    private int soonest(int j, int done) {
        if (asked[j] == turn) {
            return soonest[j];
        }
        int at = Math.max(order.opens[j], order.pickedStart);
        int[] before = times.before[j];
        for (int b = 0; order.waits[j] > 0 && b < before.length; b++) {
            if (!order.begun[before[b]] && before[b] != done) {
                at = Math.max(at, soonest(before[b], done) + times.leads[j][b]);
            }
        }
        asked[j] = turn;
        soonest[j] = at;
        return at;
    }
}
