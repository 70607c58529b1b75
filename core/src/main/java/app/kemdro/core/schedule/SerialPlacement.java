package app.kemdro.core.schedule;

import app.kemdro.core.schedule.IndexedNetwork.Arc;
import app.kemdro.core.schedule.Task.Mode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A serial schedule generation scheme: blocks of tasks are placed one after another, each as early as its hands, zones, tool and the
 * breaks allow. A block is a group of tasks tied by windows; it is placed whole, and its first tasks are moved later until every
 * window is kept.
 */
final class SerialPlacement {
    private static final int MOST_REPAIRS = 60;

    /** A window that has closed costs at most what laying the coat again does, seconds of being ready later (judgement). */
    private static final int RECOAT = 480;

    /** What one second of being ready later costs. */
    static final long SECOND = 1_000_000L;

    private final IndexedNetwork net;
    private final List<Worker> workers;
    private final int[] start;
    private final int[] end;
    private final int[] hands;
    private final int[] helper;
    private final int[] mode;
    private final int[] missed;
    private final int[] overdue;
    private final int[] floor;
    private final boolean[] placed;
    private final boolean[] blockDone;
    private final double[] urgency;
    private final int[] waits;
    private final int[] next;
    private int nextCount;
    private final boolean[][] overlook;
    private final Timeline[] workerLine;
    private final Timeline[] zoneLine;
    private final Timeline[] toolLine;
    private final Timeline[] postureLine;
    private final Timeline restLine = new Timeline();
    private final List<Rest> rests = new ArrayList<>();
    private final int horizon;
    private int rested;
    private Encoding genes = new Encoding(new double[0], new int[0], new int[0], new int[0]);
    private int chosenWorker;
    private int chosenHelper;
    private int chosenTool;

    /** The task at which the last attempt failed, and whether hands or a window were missing. */
    int failedAt = -1;

    boolean failedForHands;

    SerialPlacement(IndexedNetwork net) {
        this.net = net;
        this.workers = net.network.workers();
        this.horizon = net.horizon();
        start = new int[net.n];
        end = new int[net.n];
        hands = new int[net.n];
        helper = new int[net.n];
        mode = new int[net.n];
        missed = new int[net.n];
        overdue = new int[net.n];
        floor = new int[net.n];
        placed = new boolean[net.n];
        blockDone = new boolean[net.n];
        urgency = new double[net.n];
        waits = new int[net.n];
        next = new int[net.n];
        workerLine = lines(workers.size());
        zoneLine = lines(net.zones);
        toolLine = lines(net.network.tools());
        postureLine = lines(net.postures);
        overlook = new boolean[net.n][net.n];
        for (int i = 0; i < net.n; i++) {
            for (Arc arc : net.before[i]) {
                if (arc.lag().into()) {
                    overlook[i][arc.from()] = true;
                }
            }
        }
    }

    private static Timeline[] lines(int count) {
        Timeline[] result = new Timeline[count];
        for (int i = 0; i < count; i++) {
            result[i] = new Timeline();
        }
        return result;
    }

    /** Places everything; false when some task found no hands or no window. */
    boolean place(Encoding chosen) {
        genes = chosen;
        reset();
        for (int i = 0; i < net.n; i++) {
            if (net.fixed[i]) {
                placePast(i);
            }
        }
        int left = 0;
        for (int b = 0; b < net.n; b++) {
            blockDone[b] = net.blocks[b] == null || net.fixed[b];
            if (!blockDone[b]) {
                left++;
                urgency[b] = urgency(net.blocks[b]);
            }
        }
        System.arraycopy(net.waitsFor, 0, waits, 0, net.n);
        nextCount = 0;
        for (int b = 0; b < net.n; b++) {
            mayBeNext(b);
        }
        while (left-- > 0) {
            int block = takeNextBlock();
            if (block < 0 || !placeBlock(net.blocks[block])) {
                return false;
            }
            blockDone[block] = true;
            for (int i : net.blocks[block]) {
                for (Arc arc : net.after[i]) {
                    int after = net.block[arc.to()];
                    waits[after]--;
                    mayBeNext(after);
                }
            }
        }
        return true;
    }

    /** Keeps a block that waits for nothing outside itself any more. */
    private void mayBeNext(int block) {
        if (!blockDone[block] && waits[block] == net.inside[block]) {
            next[nextCount++] = block;
        }
    }

    private double urgency(int[] members) {
        double priority = Double.NEGATIVE_INFINITY;
        for (int i : members) {
            priority = Math.max(priority, genes.priority()[i]);
        }
        return priority;
    }

    private void reset() {
        for (Timeline[] lines : List.of(workerLine, zoneLine, toolLine, postureLine)) {
            for (Timeline line : lines) {
                line.clear();
            }
        }
        Arrays.fill(placed, false);
        Arrays.fill(missed, 0);
        Arrays.fill(overdue, 0);
        failedAt = -1;
        layRests();
    }

    private void layRests() {
        restLine.clear();
        rests.clear();
        rested = 0;
        for (Rest rest : net.progress.rests()) {
            rests.add(rest);
            restLine.take(rest.start(), rest.end(), -1);
            rested = Math.max(rested, rest.end());
        }
        int earliest = net.progress.now();
        for (ScheduledTask p : net.progress.past()) {
            earliest = Math.max(earliest, p.end());
        }
        for (int gap : genes.gap()) {
            layRest(Math.max(earliest, rested + gap));
        }
    }

    private void layRest(int at) {
        rested = at + net.network.breaks().length(rests.size());
        rests.add(new Rest(at, rested));
        restLine.take(at, rested, -1);
    }

    /** Lays breaks by the rule until this second, so that no work is ever without one; work that fits between no two comes after all. */
    private void layRestsUntil(int second) {
        while (rested < second && rested < horizon) {
            layRest(rested + net.network.breaks().every());
        }
    }

    /** The most urgent block that waits for nothing outside itself; the first of them where some are alike; −1 where there is none. */
    private int takeNextBlock() {
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

    private boolean placeBlock(int[] members) {
        for (int i : members) {
            floor[i] = net.progress.now();
        }
        for (int attempt = 0; attempt < MOST_REPAIRS; attempt++) {
            int late = tryBlock(members);
            if (late < 0) {
                return failedAt < 0;
            }
            for (int i : members) {
                remove(i);
            }
        }
        failedAt = members[members.length - 1];
        failedForHands = false;
        return false;
    }

    /** Places members in turn; returns the task that came too late for its window after moving the one before it, or −1. */
    private int tryBlock(int[] members) {
        for (int i : members) {
            if (net.fixed[i]) {
                continue;
            }
            mode[i] = genes.mode()[i];
            Mode how = net.tasks[i].modes().get(mode[i]);
            int from = Math.max(floor[i], net.release[i]);
            for (Arc arc : net.before[i]) {
                from = Math.max(from, end[arc.from()] + leastFrom(arc));
            }
            int at = earliest(i, from, how);
            if (at < 0 && how.helped()) {
                mode[i] = 0;
                how = net.tasks[i].modes().get(0);
                at = earliest(i, from, how);
            }
            if (at < 0) {
                failedAt = i;
                failedForHands = true;
                return -1;
            }
            for (Arc arc : net.before[i]) {
                int limit = limit(arc);
                if (at > limit) {
                    if (!net.fixed[arc.from()]) {
                        floor[arc.from()] = start[arc.from()] + at - limit;
                        return i;
                    }
                    missed[i] = Math.max(missed[i], at - limit);
                }
            }
            if (at > net.due[i]) {
                overdue[i] = at - net.due[i];
            }
            put(i, at, how);
        }
        return -1;
    }

    private int leastFrom(Arc arc) {
        int from = arc.from();
        return net.fixed[from]
                ? arc.lag().opens(net.past[from]) - net.past[from].end()
                : arc.lag().least(net.tasks[from].modes().get(mode[from]));
    }

    private int limit(Arc arc) {
        int from = arc.from();
        if (net.fixed[from]) {
            return arc.lag().shuts(net.past[from]);
        }
        int most = arc.lag().most(net.tasks[from].modes().get(mode[from]));
        return most >= Mode.NEVER ? Mode.NEVER : end[from] + most;
    }

    private int earliest(int i, int from, Mode how) {
        Task task = net.tasks[i];
        if (task.needs() == Task.Needs.NOBODY) {
            chosenWorker = -1;
            chosenHelper = -1;
            return fit(i, from, task.work(), how, null, null);
        }
        long best = Long.MAX_VALUE;
        int bestStart = -1;
        int bestTool = -1;
        int bestHelper = -1;
        for (int w = 0; w < workers.size(); w++) {
            Worker worker = workers.get(w);
            if (!worker.can(task) || net.only[i] >= 0 && net.only[i] != w) {
                continue;
            }
            int work = worker.seconds(task, how);
            int at = how.helped()
                    ? withHelp(i, Math.max(from, worker.from()), work, how, w)
                    : fit(i, Math.max(from, worker.from()), work, how, workerLine[w], null);
            if (at < 0 || at + work + how.tool() > worker.until()) {
                continue;
            }
            long score = at
                    + work
                    + how.tool()
                    + (worker.lead() && task.needs() == Task.Needs.ANYONE ? genes.spare()[i] : 0);
            if (score < best) {
                best = score;
                bestStart = at;
                bestTool = chosenTool;
                bestHelper = how.helped() ? chosenHelper : -1;
                chosenWorker = w;
            }
        }
        chosenTool = bestTool;
        chosenHelper = bestHelper;
        return bestStart;
    }

    /** The earliest start with the help of whoever is free first; −1 where nobody can help. */
    private int withHelp(int i, int from, int work, Mode how, int worker) {
        int best = -1;
        int bestHelper = -1;
        int bestTool = -1;
        for (int h = 0; h < workers.size(); h++) {
            if (h == worker) {
                continue;
            }
            int at = fit(i, Math.max(from, workers.get(h).from()), work, how, workerLine[worker], workerLine[h]);
            if (at + work + how.tool() <= workers.get(h).until() && (best < 0 || at < best)) {
                best = at;
                bestHelper = h;
                bestTool = chosenTool;
            }
        }
        chosenHelper = bestHelper;
        chosenTool = bestTool;
        return best;
    }

    private int fit(int i, int from, int work, Mode how, @Nullable Timeline worker, @Nullable Timeline help) {
        int length = work + how.tool();
        int t = from;
        int before;
        do {
            before = t;
            if (worker != null) {
                t = worker.free(t, length, null);
            }
            if (help != null) {
                t = help.free(t, length, null);
            }
            for (int p : net.bars[i]) {
                t = postureLine[p].free(t, length, null);
            }
            layRestsUntil(t + length);
            t = restLine.free(t, length, null);
            int[] zone = net.zone[i];
            for (int z = 0; z < zone.length; z++) {
                int stays = z < net.works[i] ? length + how.settled() : length;
                t = zoneLine[zone[z]].free(t, stays, overlook[i]);
            }
            if (how.tool() > 0) {
                t = toolFree(t + work, how.tool()) - work;
            }
        } while (t != before);
        return t;
    }

    private int toolFree(int from, int length) {
        int best = Integer.MAX_VALUE;
        for (int k = 0; k < toolLine.length; k++) {
            int at = toolLine[k].free(from, length, null);
            if (at < best) {
                best = at;
                chosenTool = k;
            }
        }
        return best;
    }

    private void put(int i, int at, Mode how) {
        hands[i] = chosenWorker;
        helper[i] = chosenHelper;
        start[i] = at;
        int work = chosenWorker < 0
                ? net.tasks[i].work()
                : workers.get(chosenWorker).seconds(net.tasks[i], how);
        end[i] = at + work + how.tool();
        placed[i] = true;
        if (chosenWorker >= 0) {
            workerLine[chosenWorker].take(at, end[i], i);
        }
        if (chosenHelper >= 0) {
            workerLine[chosenHelper].take(at, end[i], i);
        }
        for (int p : net.keeps[i]) {
            postureLine[p].take(at, end[i], i);
        }
        if (how.tool() > 0) {
            toolLine[chosenTool].take(at + work, end[i], i);
        }
        takeZones(i, how.settled());
    }

    private void takeZones(int i, int settles) {
        int[] zone = net.zone[i];
        for (int z = 0; z < zone.length; z++) {
            for (Arc arc : net.before[i]) {
                if (arc.lag().into()) {
                    int held = zoneLine[zone[z]].endOf(arc.from(), -1);
                    if (held > start[i]) {
                        zoneLine[zone[z]].endAt(arc.from(), start[i]);
                    } else if (held >= 0 && arc.lag().ties()) {
                        zoneLine[zone[z]].endAt(arc.from(), start[i]);
                    }
                }
            }
            zoneLine[zone[z]].take(start[i], z < net.works[i] ? end[i] + settles : end[i], i);
        }
    }

    private void remove(int i) {
        if (!placed[i] || net.fixed[i]) {
            return;
        }
        placed[i] = false;
        missed[i] = 0;
        overdue[i] = 0;
        if (hands[i] >= 0) {
            workerLine[hands[i]].release(i);
        }
        if (helper[i] >= 0) {
            workerLine[helper[i]].release(i);
        }
        for (int p : net.keeps[i]) {
            postureLine[p].release(i);
        }
        for (Timeline tool : toolLine) {
            tool.release(i);
        }
        for (int z : net.zone[i]) {
            zoneLine[z].release(i);
            for (Arc arc : net.before[i]) {
                if (arc.lag().into() && placed[arc.from()]) {
                    zoneLine[z].endAt(arc.from(), settled(arc.from()));
                }
            }
        }
    }

    private void placePast(int i) {
        ScheduledTask p = net.past[i];
        start[i] = p.start();
        end[i] = p.end();
        mode[i] = p.mode();
        hands[i] = -1;
        helper[i] = -1;
        for (int w = 0; w < workers.size(); w++) {
            String id = workers.get(w).id();
            hands[i] = id.equals(p.worker()) ? w : hands[i];
            helper[i] = id.equals(p.helper()) ? w : helper[i];
            if (p.takes(id)) {
                workerLine[w].take(p.start(), p.end(), i);
            }
        }
        for (int line : net.keeps[i]) {
            postureLine[line].take(p.start(), p.end(), i);
        }
        placed[i] = true;
        takeZones(i, p.settled() - p.end());
    }

    int settled(int i) {
        return net.fixed[i]
                ? net.past[i].settled()
                : end[i] + net.tasks[i].modes().get(mode[i]).settled();
    }

    int ready() {
        int ready = 0;
        for (int i = 0; i < net.n; i++) {
            ready = Math.max(ready, net.workedInto[i] ? end[i] : settled(i));
        }
        return ready;
    }

    /**
     * A chain of tasks that leads without a gap to the moment of being ready: each ends, or has settled, just when the next
     * begins on the same hands or places, or because it follows it.
     */
    List<Integer> chain() {
        List<Integer> chain = new ArrayList<>();
        int at = -1;
        for (int i = 0; i < net.n; i++) {
            if (at < 0 || end[i] > end[at]) {
                at = i;
            }
        }
        while (at >= 0) {
            chain.add(at);
            at = before(at);
        }
        return chain;
    }

    private int before(int i) {
        for (Arc arc : net.before[i]) {
            if (end[arc.from()] + leastFrom(arc) == start[i]) {
                return arc.from();
            }
        }
        for (int j = 0; j < net.n; j++) {
            boolean touches = end[j] == start[i]
                            && (sharesHands(i, j) || net.shares[i][j] || net.tasks[i].otherPosture(net.tasks[j]))
                    || settled(j) == start[i] && net.shares[i][j];
            if (touches && start[j] < start[i]) {
                return j;
            }
        }
        return -1;
    }

    private boolean sharesHands(int i, int j) {
        return hands[i] == hands[j]
                || helper[i] >= 0 && (helper[i] == hands[j] || helper[i] == helper[j])
                || helper[j] >= 0 && helper[j] == hands[i];
    }

    /** Gaps that let each break begin as soon as the last work before it ends. */
    int[] tightGaps() {
        int[] gaps = genes.gap().clone();
        int done = net.progress.rests().size();
        int from = net.progress.rests().stream().mapToInt(Rest::end).max().orElse(0);
        for (int k = done; k < rests.size() && k - done < gaps.length; k++) {
            int last = from;
            for (int i = 0; i < net.n; i++) {
                if (end[i] <= rests.get(k).start()) {
                    last = Math.max(last, end[i]);
                }
            }
            // where nobody worked since the break before, this one stays where the rule has it
            int gap = last > from ? Math.min(gaps[k - done], last - from) : gaps[k - done];
            gaps[k - done] = gap;
            from += gap + net.network.breaks().length(k);
        }
        return gaps;
    }

    /** What this placement costs: being ready late most, missed windows more, then late starts, use of the tool and of a second pair of hands. */
    long cost() {
        long starts = 0;
        long late = 0;
        long tool = 0;
        for (int i = 0; i < net.n; i++) {
            starts += start[i];
            late += Math.min(20L * missed[i], RECOAT) + 20L * overdue[i];
            if (!net.fixed[i]) {
                Mode how = net.tasks[i].modes().get(mode[i]);
                tool += how.tool() + (how.helped() ? end[i] - start[i] : 0);
            }
        }
        return (ready() + late) * SECOND + starts / Math.max(1, net.n) * 10 + tool;
    }

    /** The pinned task that begins latest after the second it should have, or −1. */
    int latest() {
        int worst = -1;
        for (int i = 0; i < net.n; i++) {
            if (overdue[i] > 0 && (worst < 0 || overdue[i] > overdue[worst])) {
                worst = i;
            }
        }
        return worst;
    }

    /** By how many seconds a pinned task begins after it should have. */
    int overdue(int i) {
        return overdue[i];
    }

    Schedule schedule(int leastReady) {
        int ready = ready();
        List<ScheduledTask> all = new ArrayList<>();
        int lastEnd = 0;
        for (int i = 0; i < net.n; i++) {
            lastEnd = Math.max(lastEnd, end[i]);
            if (net.fixed[i]) {
                all.add(net.past[i]);
                continue;
            }
            Mode how = net.tasks[i].modes().get(mode[i]);
            all.add(new ScheduledTask(
                    net.tasks[i].id(),
                    hands[i] < 0 ? null : workers.get(hands[i]).id(),
                    helper[i] < 0 ? null : workers.get(helper[i]).id(),
                    mode[i],
                    start[i],
                    end[i],
                    end[i] + how.usable(),
                    how.closes() >= Mode.NEVER ? Mode.NEVER : end[i] + how.closes(),
                    end[i] + how.settled(),
                    missed[i]));
        }
        int last = lastEnd;
        return new Schedule(
                all, rests.stream().filter(r -> r.start() < last).toList(), ready, Math.min(ready, leastReady));
    }
}
