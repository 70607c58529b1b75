package app.kemdro.core.schedule;

import app.kemdro.core.schedule.IndexedNetwork.Arc;
import app.kemdro.core.schedule.Task.Mode;
import java.util.Arrays;
import java.util.stream.IntStream;

/** Times of a network by task, way and hands, looked up once so that thousands of mornings and placements are quick. */
final class TaskTimes {
    /** Work and tool by task, way and hands, seconds; −1 where these hands may not. What needs nobody has one time. */
    final int[][][] seconds;

    final int[][] tool;
    final int[][] settled;
    final boolean[][] helped;
    final boolean[] nobody;
    final int[] quickest;

    /** By task and hands: whether these are a lead's and others would do. */
    final boolean[][] spared;

    /** What comes after each task, and by way and arc when it opens and shuts, seconds after the end. */
    final int[][] after;

    final int[][][] opens;
    final int[][][] shuts;

    /** What comes before each task, and by how much it has to begin before. */
    final int[][] before;

    final int[][] leads;

    /** By task and another: whether it works into what the other left. */
    final boolean[][] into;

    /** Ways of each task. */
    final Mode[][] ways;

    /** Arcs to each task out of whose film it works. */
    final Arc[][] worksInto;

    /** Tasks that want a place of each. */
    final int[][] beside;

    /** By which second each task has to be begun before anything is. */
    final int[] wantedAtFirst;

    TaskTimes(IndexedNetwork net) {
        int n = net.n;
        seconds = new int[n][][];
        tool = new int[n][];
        settled = new int[n][];
        helped = new boolean[n][];
        nobody = new boolean[n];
        quickest = new int[n];
        spared = new boolean[n][net.network.workers().size()];
        after = new int[n][];
        opens = new int[n][][];
        shuts = new int[n][][];
        before = new int[n][];
        leads = new int[n][];
        into = new boolean[n][n];
        beside = new int[n][];
        ways = new Mode[n][];
        worksInto = new Arc[n][];
        for (int i = 0; i < n; i++) {
            Task what = net.tasks[i];
            nobody[i] = what.needs() == Task.Needs.NOBODY;
            quickest[i] = net.bounds.quickest(i);
            int many = what.modes().size();
            ways[i] = what.modes().toArray(new Mode[0]);
            worksInto[i] =
                    Arrays.stream(net.before[i]).filter(a -> a.lag().into()).toArray(Arc[]::new);
            seconds[i] = new int[many][];
            tool[i] = new int[many];
            settled[i] = new int[many];
            helped[i] = new boolean[many];
            opens[i] = new int[many][];
            shuts[i] = new int[many][];
            after[i] = Arrays.stream(net.after[i]).mapToInt(Arc::to).toArray();
            for (int m = 0; m < many; m++) {
                int way = m;
                Mode how = ways[i][m];
                tool[i][m] = how.tool();
                settled[i][m] = how.settled();
                helped[i][m] = how.helped();
                seconds[i][m] = seconds(net, i, how);
                opens[i][m] = Arrays.stream(net.after[i])
                        .mapToInt(a -> a.opens()[way])
                        .toArray();
                shuts[i][m] = Arrays.stream(net.after[i])
                        .mapToInt(a -> a.shuts()[way])
                        .toArray();
            }
            for (int w = 0; w < spared[i].length; w++) {
                spared[i][w] = what.needs() == Task.Needs.ANYONE
                        && net.network.workers().get(w).lead();
            }
            before[i] = Arrays.stream(net.before[i]).mapToInt(Arc::from).toArray();
            leads[i] = Arrays.stream(net.before[i])
                    .mapToInt(a -> net.bounds.quickest(a.from()) + net.bounds.leastAfter(a.from(), a.lag()))
                    .toArray();
            int task = i;
            beside[i] = IntStream.range(0, n).filter(j -> net.shares[task][j]).toArray();
            for (Arc arc : net.before[i]) {
                into[i][arc.from()] |= arc.lag().into();
            }
        }
        wantedAtFirst = net.due.clone();
        int[] order = net.topological();
        for (int k = n - 1; k >= 0; k--) {
            int i = order[k];
            for (int b = 0; b < before[i].length && wantedAtFirst[i] < Mode.NEVER; b++) {
                int from = before[i][b];
                wantedAtFirst[from] = Math.min(wantedAtFirst[from], wantedAtFirst[i] - leads[i][b]);
            }
        }
    }

    private static int[] seconds(IndexedNetwork net, int i, Mode how) {
        Task task = net.tasks[i];
        if (task.needs() == Task.Needs.NOBODY) {
            return new int[] {task.work() + how.tool()};
        }
        int[] result = new int[net.network.workers().size()];
        for (int w = 0; w < result.length; w++) {
            Worker worker = net.network.workers().get(w);
            boolean may = worker.can(task) && (net.only[i] < 0 || net.only[i] == w);
            result[w] = may ? worker.seconds(task, how) + how.tool() : -1;
        }
        return result;
    }
}
