package app.kemdro.core.schedule;

import app.kemdro.core.schedule.Task.Mode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * A parallel schedule generation scheme: of all that can be begun next, what can be begun soonest is, the most wanted first; nobody waits
 * who could work, but where somebody is told to hold on. What has to be begun soon, and what that still needs, goes before everything
 * else, and nothing is begun that would keep it from its hands or its place. It decides as somebody does who works through a morning, and
 * may come too late for a window: then it says by how much.
 */
final class EagerOrder {
    private static final int NEVER = Mode.NEVER;

    /** What a second counts by which a window is missed. */
    private static final int LATE = 4;

    /** What counts as missed for each task that is never begun, seconds. */
    private static final long NOT_BEGUN = 100_000;

    /** So many breaks one after another begin nothing: then nothing can be begun any more. */
    private static final int IN_VAIN = 3;

    /** By so much before a break is due one that fits may already be taken, seconds. */
    private static final int SOON = 1500;

    private final IndexedNetwork net;
    private final TaskTimes times;
    private final EagerOutlook outlook;
    private final List<Worker> workers;
    final int[] start;
    final int[] end;
    final int[] worker;
    final int[] helper;
    final int[] mode;
    final int[] opens;
    private final int[] shuts;
    final int[] wanted;
    final int[] waits;
    final boolean[] begun;

    /** Tasks that wait for no other, in no order. */
    final int[] able;

    int ables;
    final int[] handFree;
    private final int[] toolFree;
    private final int[] zoneFree;
    private final int[] zoneOwner;
    private final int[] kept;
    private final List<Rest> rests = new ArrayList<>();
    private Encoding genes = new Encoding(new double[0], new int[0], new int[0], new int[0], new int[0]);
    private int rested;
    private int due;
    private long late;
    private int ready;
    private int lastEnd;
    private long ends;

    // what was picked last
    int pickedStart;
    int pickedStop;
    int pickedWorker;
    int pickedHelper;
    int pickedWay;

    EagerOrder(IndexedNetwork net) {
        this.net = net;
        this.times = new TaskTimes(net);
        this.outlook = new EagerOutlook(this, net, times);
        this.workers = net.network.workers();
        start = new int[net.n];
        end = new int[net.n];
        worker = new int[net.n];
        helper = new int[net.n];
        mode = new int[net.n];
        opens = new int[net.n];
        shuts = new int[net.n];
        wanted = new int[net.n];
        waits = new int[net.n];
        begun = new boolean[net.n];
        able = new int[net.n];
        handFree = new int[workers.size()];
        toolFree = new int[Math.max(0, net.network.tools())];
        zoneFree = new int[net.zones];
        zoneOwner = new int[net.zones];
        kept = new int[net.postures];
    }

    /** Works through a morning; the second of being ready, and many more where a window was missed or something was never begun. */
    long work(Encoding wishes) {
        genes = wishes;
        reset();
        int left = net.n;
        int inVain = 0;
        while (left > 0) {
            int i = next();
            if (i >= 0) {
                begin(i);
                left--;
                inVain = 0;
            } else if (++inVain > IN_VAIN) {
                late += NOT_BEGUN * left;
                break;
            } else {
                rest();
            }
        }
        return ready + LATE * late;
    }

    /** The mean second at which tasks end. */
    double meanEnd() {
        return (double) ends / net.n;
    }

    private void rest() {
        rested = lastEnd + net.network.breaks().length(rests.size());
        rests.add(new Rest(lastEnd, rested));
        lastEnd = rested;
        due = rested + gap();
    }

    private int gap() {
        int every = net.network.breaks().every();
        return rests.size() < genes.gap().length ? Math.min(every, genes.gap()[rests.size()]) : every;
    }

    private void reset() {
        rests.clear();
        rested = 0;
        due = gap();
        late = 0;
        ready = 0;
        lastEnd = 0;
        ends = 0;
        ables = 0;
        System.arraycopy(times.wantedAtFirst, 0, wanted, 0, net.n);
        System.arraycopy(net.due, 0, shuts, 0, net.n);
        System.arraycopy(net.release, 0, opens, 0, net.n);
        Arrays.fill(begun, false);
        for (int w = 0; w < handFree.length; w++) {
            handFree[w] = workers.get(w).from();
        }
        Arrays.fill(toolFree, 0);
        Arrays.fill(zoneFree, 0);
        Arrays.fill(zoneOwner, -1);
        Arrays.fill(kept, 0);
        for (int i = 0; i < net.n; i++) {
            waits[i] = net.before[i].length;
            if (waits[i] == 0) {
                able[ables++] = i;
            }
        }
    }

    /** What is begun next, as it was picked; −1 where a break comes first. */
    private int next() {
        int best = -1;
        int bestStart = NEVER;
        boolean bestBlocks = true;
        int hand = NEVER;
        for (int free : handFree) {
            hand = Math.min(hand, free);
        }
        for (int k = 0; k < ables; k++) {
            int i = able[k];
            int from = earliest(i);
            int soonest = times.nobody[i] ? from : Math.max(from, hand);
            if (!bestBlocks && !isBefore(i, soonest, best, bestStart)
                    || !pick(i, from)
                    || !bestBlocks && !isBefore(i, pickedStart, best, bestStart)) {
                continue;
            }
            boolean blocks = outlook.forbids(i);
            if (blocks && (!bestBlocks || best >= 0 && !isBefore(i, pickedStart, best, bestStart))) {
                continue;
            }
            best = i;
            bestStart = pickedStart;
            bestBlocks = blocks;
        }
        if (best < 0 || bestStart > lastEnd && lastEnd >= due - SOON && lastEnd > rested && !missesByResting()) {
            return -1;
        }
        pick(best, earliest(best));
        return best;
    }

    private boolean isBefore(int i, int at, int other, int otherAt) {
        if (at != otherAt) {
            return at < otherAt;
        }
        if (wanted[i] != wanted[other]) {
            return wanted[i] < wanted[other];
        }
        double more = genes.priority()[i] - genes.priority()[other];
        return more > 0 || more == 0 && i < other;
    }

    /** Whether a break now would come in the way of what has to be begun soon. */
    private boolean missesByResting() {
        int back = lastEnd + net.network.breaks().length(rests.size());
        for (int k = 0; k < ables; k++) {
            if (wanted[able[k]] < back) {
                return true;
            }
        }
        return false;
    }

    /** When its places, postures and what comes before it let it begin. */
    int earliest(int i) {
        int from = Math.max(Math.max(opens[i], genes.from()[i]), rested);
        for (int z : net.zone[i]) {
            int owner = zoneOwner[z];
            if (zoneFree[z] > from && (owner < 0 || !times.into[i][owner])) {
                from = zoneFree[z];
            }
        }
        for (int p : net.bars[i]) {
            if (kept[p] > from) {
                from = kept[p];
            }
        }
        return from;
    }

    /** Picks hands, tool and time in the wanted way, or in the first where that does not fit; false where it has to wait for a break. */
    private boolean pick(int i, int from) {
        int way = genes.mode()[i];
        return pick(i, from, way) || way != net.ways[i][0] && pick(i, from, net.ways[i][0]);
    }

    private boolean pick(int i, int from, int way) {
        int[] seconds = times.seconds[i][way];
        int tool = times.tool[i][way];
        boolean urgent = wanted[i] < NEVER;
        int most = rested + net.network.breaks().every();
        int last = urgent ? most : Math.min(most, due);
        pickedStart = NEVER;
        pickedWay = way;
        if (times.nobody[i]) {
            pickedStart = tool > 0 ? withTool(from, seconds[0] - tool) : from;
            pickedStop = pickedStart + seconds[0];
            pickedWorker = -1;
            pickedHelper = -1;
            return pickedStop <= last;
        }
        int least = Integer.MAX_VALUE;
        for (int w = 0; w < handFree.length; w++) {
            if (seconds[w] < 0) {
                continue;
            }
            int at = Math.max(from, handFree[w]);
            int with = -1;
            if (times.helped[i][way]) {
                with = helper(w);
                if (with < 0) {
                    continue;
                }
                at = Math.max(at, handFree[with]);
            }
            if (tool > 0) {
                at = withTool(at, seconds[w] - tool);
            }
            int stop = at + seconds[w];
            int score = stop + (times.spared[i][w] ? genes.spare()[i] : 0);
            if (score < least
                    && stop <= last
                    && stop <= workers.get(w).until()
                    && (with < 0 || stop <= workers.get(with).until())) {
                least = score;
                pickedStart = at;
                pickedStop = stop;
                pickedWorker = w;
                pickedHelper = with;
            }
        }
        return pickedStart < NEVER && (urgent || !breaksIntoAWindow(i, pickedStop, way));
    }

    private int withTool(int at, int work) {
        return toolFree.length == 0 ? NEVER : Math.max(at, toolFree[firstTool()] - work);
    }

    private int firstTool() {
        int first = 0;
        for (int k = 1; k < toolFree.length; k++) {
            first = toolFree[k] < toolFree[first] ? k : first;
        }
        return first;
    }

    /** Whose hands are free to help soonest, the last of those that are as soon. */
    private int helper(int not) {
        int best = -1;
        for (int w = handFree.length - 1; w >= 0; w--) {
            if (w != not && (best < 0 || handFree[w] < handFree[best])) {
                best = w;
            }
        }
        return best;
    }

    /** Whether what has to follow soon would neither fit before the next break nor still be open after it. */
    private boolean breaksIntoAWindow(int i, int stop, int way) {
        int last = rested + net.network.breaks().every();
        int length = net.network.breaks().length(rests.size());
        int[] shut = times.shuts[i][way];
        for (int k = 0; k < shut.length; k++) {
            if (shut[k] < length && stop + times.opens[i][way][k] + times.quickest[times.after[i][k]] > last) {
                return true;
            }
        }
        return false;
    }

    private void begin(int i) {
        int way = pickedWay;
        start[i] = pickedStart;
        end[i] = pickedStop;
        mode[i] = way;
        worker[i] = pickedWorker;
        helper[i] = pickedHelper;
        if (pickedWorker >= 0) {
            handFree[pickedWorker] = pickedStop;
        }
        if (pickedHelper >= 0) {
            handFree[pickedHelper] = pickedStop;
        }
        if (times.tool[i][way] > 0) {
            toolFree[firstTool()] = pickedStop;
        }
        for (int p : net.keeps[i]) {
            kept[p] = Math.max(kept[p], pickedStop);
        }
        late += Math.max(0, pickedStart - shuts[i]);
        begun[i] = true;
        for (int k = 0; k < ables; k++) {
            if (able[k] == i) {
                able[k] = able[--ables];
            }
        }
        lastEnd = Math.max(lastEnd, pickedStop);
        ends += pickedStop;
        int settled = pickedStop + times.settled[i][way];
        ready = Math.max(ready, net.workedInto[i] ? pickedStop : settled);
        for (int z = 0; z < net.zone[i].length; z++) {
            int at = net.zone[i][z];
            boolean works = z < net.works[i];
            int owner = zoneOwner[at];
            int still = owner >= 0 && times.into[i][owner] ? 0 : zoneFree[at];
            zoneFree[at] = Math.max(still, works ? settled : pickedStop);
            zoneOwner[at] = works ? i : owner;
        }
        int[] after = times.after[i];
        for (int k = 0; k < after.length; k++) {
            int to = after[k];
            if (--waits[to] == 0) {
                able[ables++] = to;
            }
            opens[to] = Math.max(opens[to], pickedStop + times.opens[i][way][k]);
            int shut = times.shuts[i][way][k];
            if (shut < NEVER && pickedStop + shut < shuts[to]) {
                shuts[to] = pickedStop + shut;
                want(to, shuts[to]);
            }
        }
    }

    /** What has to be begun by a second wants all that it still waits for before. */
    private void want(int i, int by) {
        if (by >= wanted[i]) {
            return;
        }
        wanted[i] = by;
        int[] before = times.before[i];
        for (int k = 0; k < before.length; k++) {
            if (!begun[before[k]]) {
                want(before[k], by - times.leads[i][k]);
            }
        }
    }

    List<Rest> rests() {
        return rests;
    }
}
