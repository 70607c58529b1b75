package app.kemdro.core.schedule;

import app.kemdro.core.schedule.IndexedNetwork.Arc;
import app.kemdro.core.schedule.Task.Mode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * A parallel schedule generation scheme: the clock goes on, and whatever can be begun at a moment is, the most wanted first; nobody waits
 * who could work. What has to be begun soon, and what that still needs, goes before everything else. It decides as somebody does who
 * works through a morning, and may come to a moment that is too late for a window: then it says by how much.
 */
final class EagerOrder {
    /** Ends a morning that does not go on. */
    private static final int MOST_MOMENTS = 20_000;

    private static final int NEVER = Mode.NEVER;

    /** By so much before a break is due one that fits may already be taken, seconds. */
    private static final int SOON = 1500;

    private final IndexedNetwork net;
    private final List<Worker> workers;
    final int[] start;
    final int[] end;
    final int[] hands;
    final int[] helper;
    final int[] mode;
    private final int[] opens;
    private final int[] shuts;
    private final int[] wanted;
    private final int[] waits;
    private final boolean[] begun;

    /** Tasks that wait for no other, in no order. */
    private final int[] able;

    private int ables;
    private final int[] handFree;
    private final int[] toolFree;
    private final int[] zoneFree;
    private final int[] zoneOwner;
    private final int[] kept;
    private final List<Rest> rests = new ArrayList<>();
    private int rested;
    private int due;
    private int left;
    private long late;
    private int ready;
    private int lastEnd;

    EagerOrder(IndexedNetwork net) {
        this.net = net;
        this.workers = net.network.workers();
        start = new int[net.n];
        end = new int[net.n];
        hands = new int[net.n];
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

    /**
     * Works through a morning.
     *
     * @param wish how much each task is wanted
     * @param ways the way each is done in, where it can be
     * @param gaps seconds of work before each break
     * @return the second of being ready, and many more where a window was missed or something was never begun
     */
    long work(double[] wish, int[] ways, int[] gaps) {
        reset(gaps);
        int now = 0;
        for (int moments = 0; left > 0 && moments < MOST_MOMENTS; moments++) {
            for (int i = best(now, wish, ways); i >= 0; i = best(now, wish, ways)) {
                begin(i, now, ways[i]);
            }
            if (left == 0) {
                break;
            }
            int next = next(now);
            if (lastEnd <= now
                    && (now >= due - SOON
                            || next >= NEVER
                            || next > rested + net.network.breaks().every())) {
                now = rest(now, gaps);
            } else if (next >= NEVER) {
                late += 100_000L * left;
                break;
            } else {
                now = next;
            }
        }
        return ready + 4 * late;
    }

    private int rest(int now, int[] gaps) {
        int length = net.network.breaks().length(rests.size());
        rests.add(new Rest(now, now + length));
        rested = now + length;
        due = rested + gap(gaps);
        return rested;
    }

    private int gap(int[] gaps) {
        int every = net.network.breaks().every();
        return rests.size() < gaps.length ? Math.min(every, gaps[rests.size()]) : every;
    }

    private void reset(int[] gaps) {
        rests.clear();
        rested = 0;
        due = gap(gaps);
        left = net.n;
        late = 0;
        ready = 0;
        lastEnd = 0;
        ables = 0;
        Arrays.fill(shuts, NEVER);
        Arrays.fill(wanted, NEVER);
        Arrays.fill(begun, false);
        Arrays.fill(handFree, 0);
        Arrays.fill(toolFree, 0);
        Arrays.fill(zoneFree, 0);
        Arrays.fill(zoneOwner, -1);
        Arrays.fill(kept, 0);
        for (int i = 0; i < net.n; i++) {
            waits[i] = net.before[i].length;
            opens[i] = net.release[i];
            shuts[i] = Math.min(shuts[i], net.due[i]);
            wanted[i] = shuts[i];
            if (waits[i] == 0) {
                able[ables++] = i;
            }
        }
    }

    /** What is begun now: what has to be soon, by when; else what is wanted most; none where nothing can be. */
    private int best(int now, double[] wish, int[] ways) {
        int best = -1;
        for (int k = 0; k < ables; k++) {
            int i = able[k];
            if (opens[i] > now) {
                continue;
            }
            if (best >= 0
                    && (wanted[i] > wanted[best]
                            || wanted[i] == wanted[best]
                                    && (wish[i] < wish[best] || wish[i] == wish[best] && i > best))) {
                continue;
            }
            if (zonesFree(i, now) && postureFree(i, now) && way(i, now, ways[i]) >= 0) {
                best = i;
            }
        }
        return best;
    }

    private boolean zonesFree(int i, int now) {
        for (int z : net.zone[i]) {
            if (zoneFree[z] > now && !worksInto(i, zoneOwner[z])) {
                return false;
            }
        }
        return true;
    }

    private boolean worksInto(int i, int owner) {
        for (Arc arc : net.before[i]) {
            if (arc.from() == owner && arc.lag().into()) {
                return true;
            }
        }
        return false;
    }

    private boolean postureFree(int i, int now) {
        for (int p : net.bars[i]) {
            if (kept[p] > now) {
                return false;
            }
        }
        return true;
    }

    /** The wanted way if it can be done now, else the first; -1 where neither can. */
    private int way(int i, int now, int wish) {
        if (fits(i, now, wish)) {
            return wish;
        }
        int first = net.ways[i][0];
        return first != wish && fits(i, now, first) ? first : -1;
    }

    private boolean fits(int i, int now, int way) {
        Mode how = net.tasks[i].modes().get(way);
        int who = who(i, now);
        boolean nobody = net.tasks[i].needs() == Task.Needs.NOBODY;
        if (!nobody && who < 0 || how.helped() && helper(now, who) < 0) {
            return false;
        }
        int length = length(i, who, how);
        if (how.tool() > 0 && tool(now + length - how.tool()) < 0) {
            return false;
        }
        int stop = now + length;
        if (stop > rested + net.network.breaks().every()) {
            return false;
        }
        if (wanted[i] >= NEVER && (stop > due || breaksIntoAWindow(i, stop, how))) {
            return false;
        }
        return nobody || stop <= workers.get(who).until();
    }

    /** Whether what has to follow soon would neither fit before the next break nor still be open after it. */
    private boolean breaksIntoAWindow(int i, int stop, Mode how) {
        int last = rested + net.network.breaks().every();
        for (Arc arc : net.after[i]) {
            int most = arc.lag().shutsAfter(how);
            if (most < NEVER
                    && stop + arc.lag().opensAfter(how) + net.bounds.quickest(arc.to()) > last
                    && most < net.network.breaks().length(rests.size())) {
                return true;
            }
        }
        return false;
    }

    private int length(int i, int who, Mode how) {
        return (who < 0 ? net.tasks[i].work() : workers.get(who).seconds(net.tasks[i], how)) + how.tool();
    }

    /** Hands that are free for it: others than a lead's first. */
    private int who(int i, int now) {
        if (net.tasks[i].needs() == Task.Needs.NOBODY) {
            return -1;
        }
        int found = -1;
        for (int w = 0; w < workers.size(); w++) {
            if (handFree[w] > now || workers.get(w).from() > now || net.only[i] >= 0 && net.only[i] != w) {
                continue;
            }
            if (workers.get(w).can(net.tasks[i])
                    && (found < 0 || workers.get(found).lead())) {
                found = w;
            }
        }
        return found;
    }

    private int helper(int now, int not) {
        for (int w = workers.size() - 1; w >= 0; w--) {
            if (w != not && handFree[w] <= now && workers.get(w).from() <= now) {
                return w;
            }
        }
        return -1;
    }

    private int tool(int from) {
        for (int k = 0; k < toolFree.length; k++) {
            if (toolFree[k] <= from) {
                return k;
            }
        }
        return -1;
    }

    private void begin(int i, int now, int wish) {
        int way = way(i, now, wish);
        Mode how = net.tasks[i].modes().get(way);
        int who = who(i, now);
        start[i] = now;
        mode[i] = way;
        hands[i] = who;
        end[i] = now + length(i, who, how);
        helper[i] = how.helped() ? helper(now, who) : -1;
        if (who >= 0) {
            handFree[who] = end[i];
        }
        if (helper[i] >= 0) {
            handFree[helper[i]] = end[i];
        }
        if (how.tool() > 0) {
            toolFree[tool(end[i] - how.tool())] = end[i];
        }
        for (int p : net.keeps[i]) {
            kept[p] = Math.max(kept[p], end[i]);
        }
        late += Math.max(0, now - shuts[i]);
        begun[i] = true;
        left--;
        for (int k = 0; k < ables; k++) {
            if (able[k] == i) {
                able[k] = able[--ables];
            }
        }
        lastEnd = Math.max(lastEnd, end[i]);
        ready = Math.max(ready, net.workedInto[i] ? end[i] : end[i] + how.settled());
        for (int z = 0; z < net.zone[i].length; z++) {
            int at = net.zone[i][z];
            zoneFree[at] = Math.max(
                    worksInto(i, zoneOwner[at]) ? 0 : zoneFree[at], z < net.works[i] ? end[i] + how.settled() : end[i]);
            zoneOwner[at] = z < net.works[i] ? i : zoneOwner[at];
        }
        for (Arc arc : net.after[i]) {
            int to = arc.to();
            if (--waits[to] == 0) {
                able[ables++] = to;
            }
            opens[to] = Math.max(opens[to], end[i] + arc.lag().opensAfter(how));
            int most = arc.lag().shutsAfter(how);
            if (most < NEVER && end[i] + most < shuts[to]) {
                shuts[to] = end[i] + most;
                want(to, shuts[to], 0);
            }
        }
    }

    /** What has to be begun by a second wants all that it still waits for before. */
    private void want(int i, int by, int deep) {
        if (by >= wanted[i] || deep > net.n) {
            return;
        }
        wanted[i] = by;
        for (Arc arc : net.before[i]) {
            if (!begun[arc.from()]) {
                want(
                        arc.from(),
                        by - net.bounds.quickest(arc.from()) - net.bounds.leastAfter(arc.from(), arc.lag()),
                        deep + 1);
            }
        }
    }

    /** The next second at which something changes. */
    private int next(int now) {
        int next = NEVER;
        for (int w = 0; w < handFree.length; w++) {
            next = later(now, handFree[w], later(now, workers.get(w).from(), next));
        }
        for (int z : zoneFree) {
            next = later(now, z, next);
        }
        for (int k : kept) {
            next = later(now, k, next);
        }
        for (int t : toolFree) {
            next = later(now, t, next);
        }
        for (int k = 0; k < ables; k++) {
            next = later(now, opens[able[k]], next);
        }
        return later(now, lastEnd, next);
    }

    private static int later(int now, int moment, int next) {
        return moment > now && moment < next ? moment : next;
    }

    /** What came of it. */
    Schedule schedule(int least) {
        List<ScheduledTask> placed = new ArrayList<>();
        for (int i = 0; i < net.n; i++) {
            Mode how = net.tasks[i].modes().get(mode[i]);
            placed.add(new ScheduledTask(
                            net.tasks[i].id(),
                            hands[i] < 0 ? null : workers.get(hands[i]).id(),
                            helper[i] < 0 ? null : workers.get(helper[i]).id(),
                            mode[i],
                            start[i],
                            end[i],
                            end[i],
                            NEVER,
                            end[i],
                            0)
                    .settling(how));
        }
        int last = lastEnd;
        return new Schedule(
                placed, rests.stream().filter(r -> r.start() < last).toList(), ready, Math.min(least, ready));
    }
}
