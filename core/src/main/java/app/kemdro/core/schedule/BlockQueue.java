package app.kemdro.core.schedule;

import java.util.Arrays;

/** Blocks that wait to be placed, the most urgent first of those that wait for nothing outside themselves. */
final class BlockQueue {
    private final IndexedNetwork net;
    private final boolean[] done;
    private final double[] urgency;
    private final int[] waits;
    private final int[] next;

    /** By task: the block of each that comes after it. */
    private final int[][] behind;

    private int nextCount;
    private int left;

    BlockQueue(IndexedNetwork net) {
        this.net = net;
        done = new boolean[net.n];
        urgency = new double[net.n];
        waits = new int[net.n];
        next = new int[net.n];
        behind = new int[net.n][];
        for (int i = 0; i < net.n; i++) {
            behind[i] = Arrays.stream(net.after[i])
                    .mapToInt(arc -> net.block[arc.to()])
                    .toArray();
        }
    }

    /** Begins anew; a block is as urgent as the most urgent of its tasks. */
    void begin(double[] priority) {
        left = 0;
        nextCount = 0;
        System.arraycopy(net.waitsFor, 0, waits, 0, net.n);
        for (int b = 0; b < net.n; b++) {
            done[b] = net.blocks[b] == null || net.fixed[b];
            if (!done[b]) {
                left++;
                urgency[b] = urgency(net.blocks[b], priority);
            }
        }
        for (int b = 0; b < net.n; b++) {
            mayBeNext(b);
        }
    }

    private static double urgency(int[] members, double[] priority) {
        double most = Double.NEGATIVE_INFINITY;
        for (int i : members) {
            most = Math.max(most, priority[i]);
        }
        return most;
    }

    boolean isLeft() {
        return left > 0;
    }

    /** This block is placed; what waited for it waits no more. */
    void done(int block) {
        done[block] = true;
        left--;
        for (int i : net.blocks[block]) {
            for (int after : behind[i]) {
                waits[after]--;
                mayBeNext(after);
            }
        }
    }

    /** Keeps a block that waits for nothing outside itself any more. */
    private void mayBeNext(int block) {
        if (!done[block] && waits[block] == net.inside[block]) {
            next[nextCount++] = block;
        }
    }

    /** The most urgent block that waits for nothing outside itself; the first of them where some are alike; −1 where there is none. */
    int take() {
        int at = -1;
        for (int k = 0; k < nextCount; k++) {
            if (at < 0
                    || urgency[next[k]] > urgency[next[at]]
                    || urgency[next[k]] == urgency[next[at]] && next[k] < next[at]) {
                at = k;
            }
        }
        if (at < 0) {
            return -1;
        }
        int block = next[at];
        next[at] = next[--nextCount];
        return block;
    }
}
