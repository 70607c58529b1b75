package app.kemdro.core.schedule;

import app.kemdro.core.schedule.IndexedNetwork.Arc;
import app.kemdro.core.schedule.Task.Mode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** What a placement has come to: when all is ready, what it costs, what makes it so late, and the schedule it is. */
final class PlacedTimes {
    /** A window that has closed costs at most what laying the coat again does, seconds of being ready later (judgement). */
    private static final int RECOAT = 480;

    private final SerialPlacement placement;
    private final IndexedNetwork net;
    private final int[] start;
    private final int[] end;
    private final int[] hands;
    private final int[] helper;
    private final int[] mode;
    private final int[] missed;
    private final int[] overdue;

    /** Of this placement, as it is whenever something is asked. */
    PlacedTimes(SerialPlacement placement) {
        this.placement = placement;
        net = placement.net;
        start = placement.start;
        end = placement.end;
        hands = placement.hands;
        helper = placement.helper;
        mode = placement.mode;
        missed = placement.missed;
        overdue = placement.overdue;
    }

    int ready() {
        int ready = 0;
        for (int i = 0; i < net.n; i++) {
            ready = Math.max(ready, net.workedInto[i] ? end[i] : placement.settled(i));
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
            if (end[arc.from()] + placement.leastFrom(arc) == start[i]) {
                return arc.from();
            }
        }
        for (int j = 0; j < net.n; j++) {
            boolean touches = end[j] == start[i]
                            && (sharesHands(i, j) || net.shares[i][j] || net.tasks[i].otherPosture(net.tasks[j]))
                    || placement.settled(j) == start[i] && net.shares[i][j];
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

    /** How long before being ready each task must begin at the latest, if hands and places go on in the order they have now, seconds. */
    double[] urgency() {
        Integer[] order = new Integer[net.n];
        for (int i = 0; i < net.n; i++) {
            order[i] = i;
        }
        Arrays.sort(order, (a, b) -> Integer.compare(start[b], start[a]));
        double[] result = new double[net.n];
        for (int i : order) {
            int latest = net.workedInto[i] ? 0 : placement.settled(i) - end[i];
            for (Arc arc : net.after[i]) {
                latest = Math.max(latest, (int) result[arc.to()] + placement.leastFrom(arc));
            }
            for (int j = 0; j < net.n; j++) {
                if (start[j] >= end[i]
                        && j != i
                        && (sharesHands(i, j) || net.shares[i][j] || net.tasks[i].otherPosture(net.tasks[j]))) {
                    latest = Math.max(latest, (int) result[j]);
                }
            }
            result[i] = latest + end[i] - start[i];
        }
        return result;
    }

    /** Gaps that let each break begin as soon as the last work before it ends. */
    int[] tightGaps() {
        int[] gaps = placement.gaps().clone();
        int done = net.progress.rests().size();
        int from = net.progress.rests().stream().mapToInt(Rest::end).max().orElse(0);
        for (int k = done; k < placement.rests.rests().size() && k - done < gaps.length; k++) {
            int last = from;
            for (int i = 0; i < net.n; i++) {
                if (end[i] <= placement.rests.rests().get(k).start()) {
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
        long tool = 0;
        for (int i = 0; i < net.n; i++) {
            starts += start[i];
            if (!net.fixed[i]) {
                Mode how = net.tasks[i].modes().get(mode[i]);
                tool += how.tool() + (how.helped() ? end[i] - start[i] : 0);
            }
        }
        return lateness() * SerialPlacement.SECOND + starts / Math.max(1, net.n) * 10 + tool;
    }

    /** The second of being ready, and later by what was missed. */
    long lateness() {
        long late = 0;
        for (int i = 0; i < net.n; i++) {
            late += Math.min(20L * missed[i], RECOAT) + 20L * overdue[i];
        }
        return ready() + late;
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
                    hands[i] < 0 ? null : placement.workers.get(hands[i]).id(),
                    helper[i] < 0 ? null : placement.workers.get(helper[i]).id(),
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
                all,
                placement.rests.rests().stream().filter(r -> r.start() < last).toList(),
                ready,
                Math.min(ready, leastReady));
    }
}
