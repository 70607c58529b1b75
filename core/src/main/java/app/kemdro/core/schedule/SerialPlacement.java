package app.kemdro.core.schedule;

import app.kemdro.core.schedule.IndexedNetwork.Arc;
import app.kemdro.core.schedule.Task.Mode;
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

    /** What one second of being ready later costs. */
    static final long SECOND = 1_000_000L;

    final IndexedNetwork net;
    final List<Worker> workers;
    private final TaskTimes times;
    final int[] start;
    final int[] end;
    final int[] hands;
    final int[] helper;
    final int[] mode;
    final int[] missed;
    final int[] overdue;
    private final int[] floor;
    private final boolean[] placed;
    private final BlockQueue queue;
    private final Timeline[] workerLine;
    private final Timeline[] zoneLine;
    private final Timeline[] toolLine;
    private final Timeline[] postureLine;
    private final Timeline[][] all;
    final RestsLaid rests;
    private Encoding genes = new Encoding(new double[0], new int[0], new int[0], new int[0], new int[0]);
    private int chosenWorker;
    private int chosenHelper;
    private int chosenTool;

    /** The task at which the last attempt failed, and whether hands or a window were missing. */
    int failedAt = -1;

    boolean failedForHands;

    SerialPlacement(IndexedNetwork net) {
        this.net = net;
        this.workers = net.network.workers();
        this.times = new TaskTimes(net);
        this.rests = new RestsLaid(net);
        start = new int[net.n];
        end = new int[net.n];
        hands = new int[net.n];
        helper = new int[net.n];
        mode = new int[net.n];
        missed = new int[net.n];
        overdue = new int[net.n];
        floor = new int[net.n];
        placed = new boolean[net.n];
        queue = new BlockQueue(net);
        workerLine = lines(workers.size());
        zoneLine = lines(net.zones);
        toolLine = lines(net.network.tools());
        postureLine = lines(net.postures);
        all = new Timeline[][] {workerLine, zoneLine, toolLine, postureLine};
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
        return place(chosen, Long.MAX_VALUE);
    }

    /** The same for whom a placement is of no use that is ready after this second; false as soon as it must be. */
    boolean place(Encoding chosen, long latest) {
        genes = chosen;
        reset();
        for (int i = 0; i < net.n; i++) {
            if (net.fixed[i]) {
                placePast(i);
            }
        }
        queue.begin(genes.priority());
        while (queue.isLeft()) {
            int block = queue.take();
            if (block < 0 || !placeBlock(net.blocks[block]) || isAfter(net.blocks[block], latest)) {
                return false;
            }
            queue.done(block);
        }
        return true;
    }

    private boolean isAfter(int[] members, long latest) {
        for (int i : members) {
            if (start[i] + net.tail[i] > latest) {
                return true;
            }
        }
        return false;
    }

    private void reset() {
        for (Timeline[] lines : all) {
            for (Timeline line : lines) {
                line.clear();
            }
        }
        Arrays.fill(placed, false);
        Arrays.fill(missed, 0);
        Arrays.fill(overdue, 0);
        failedAt = -1;
        rests.lay(genes.gap());
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
            Mode how = times.ways[i][mode[i]];
            int from = Math.max(Math.max(floor[i], net.release[i]), genes.from()[i]);
            for (Arc arc : net.before[i]) {
                from = Math.max(from, end[arc.from()] + leastFrom(arc));
            }
            int at = earliest(i, from, how);
            if (at < 0 && how.helped()) {
                mode[i] = 0;
                how = times.ways[i][0];
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

    /** Seconds after the end of the earlier task at which the later may begin. */
    int leastFrom(Arc arc) {
        int from = arc.from();
        return net.fixed[from] ? leastFrom(from, arc.lag()) : arc.opens()[mode[from]];
    }

    int leastFrom(int from, Lag lag) {
        return net.fixed[from]
                ? lag.opens(net.past[from]) - net.past[from].end()
                : lag.opensAfter(net.tasks[from].modes().get(mode[from]));
    }

    private int limit(Arc arc) {
        int from = arc.from();
        if (net.fixed[from]) {
            return arc.lag().shuts(net.past[from]);
        }
        int most = arc.shuts()[mode[from]];
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
            int length = times.seconds[i][mode[i]][w];
            if (length < 0) {
                continue;
            }
            Worker worker = workers.get(w);
            int work = length - how.tool();
            int at = how.helped()
                    ? withHelp(i, Math.max(from, worker.from()), work, how, w)
                    : fit(i, Math.max(from, worker.from()), work, how, workerLine[w], null);
            if (at < 0 || at + length > worker.until()) {
                continue;
            }
            long score = at + length + (times.spared[i][w] ? genes.spare()[i] : 0);
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
            t = rests.free(t, length);
            int[] zone = net.zone[i];
            for (int z = 0; z < zone.length; z++) {
                int stays = z < net.works[i] ? length + how.settled() : length;
                t = zoneLine[zone[z]].free(t, stays, times.into[i]);
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
        end[i] = at + times.seconds[i][mode[i]][Math.max(0, chosenWorker)];
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
            toolLine[chosenTool].take(end[i] - how.tool(), end[i], i);
        }
        takeZones(i, how.settled());
    }

    private void takeZones(int i, int settles) {
        int[] zone = net.zone[i];
        for (int z = 0; z < zone.length; z++) {
            for (Arc arc : times.worksInto[i]) {
                int held = zoneLine[zone[z]].endOf(arc.from(), -1);
                if (held > start[i] || held >= 0 && arc.lag().ties()) {
                    zoneLine[zone[z]].endAt(arc.from(), start[i]);
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
            for (Arc arc : times.worksInto[i]) {
                if (placed[arc.from()]) {
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

    int[] gaps() {
        return genes.gap();
    }

    int settled(int i) {
        return net.fixed[i] ? net.past[i].settled() : end[i] + times.settled[i][mode[i]];
    }
}
