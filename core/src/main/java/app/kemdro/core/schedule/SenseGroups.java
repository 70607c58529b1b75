package app.kemdro.core.schedule;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.IntStream;

/** What of a network belongs together, so that sense can be counted quickly of order after order. */
final class SenseGroups {
    final TaskNetwork network;
    final Map<String, Integer> index = new HashMap<>();
    final Trait[] trait;
    final int[][] inWork;
    final Lag[][] inWorkBy;
    final int[][] twins;
    final int[][] beside;
    final int[][] layers;
    final int[][] poses;
    final boolean[] nobody;
    /** Numbers of what is equal: pieces of work and loads; below 0 where there is none. */
    final int[] work;

    final int[] load;
    final int[] blocks;

    SenseGroups(TaskNetwork network) {
        this.network = network;
        List<Task> tasks = network.tasks();
        int n = tasks.size();
        trait = new Trait[n];
        nobody = new boolean[n];
        for (int i = 0; i < n; i++) {
            index.put(tasks.get(i).id(), i);
            trait[i] = tasks.get(i).trait();
            nobody[i] = tasks.get(i).needs() == Task.Needs.NOBODY;
        }
        List<List<Lag>> into = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            into.add(new ArrayList<>());
        }
        for (Lag lag : network.lags()) {
            Trait from = trait[index.get(lag.from())];
            int to = index.get(lag.to());
            if (!from.work().isEmpty() && from.work().equals(trait[to].work())) {
                into.get(to).add(lag);
            }
        }
        inWork = new int[n][];
        inWorkBy = new Lag[n][];
        for (int i = 0; i < n; i++) {
            inWorkBy[i] = into.get(i).toArray(Lag[]::new);
            inWork[i] = into.get(i).stream().mapToInt(l -> index.get(l.from())).toArray();
        }
        work = numbers(Trait::work);
        load = numbers(Trait::loaded);
        blocks = IntStream.range(0, n).filter(i -> nobody[i]).toArray();
        beside = beside(tasks);
        twins = alike(Trait::twin);
        layers = alike(Trait::layer);
        poses = poses(tasks);
    }

    private int[] numbers(Function<Trait, String> what) {
        Map<String, Integer> known = new HashMap<>();
        int[] number = new int[trait.length];
        for (int i = 0; i < trait.length; i++) {
            String named = what.apply(trait[i]);
            number[i] = named.isEmpty() ? -1 : known.computeIfAbsent(named, k -> known.size());
        }
        return number;
    }

    /** Tasks that have the same of this in common, where there are several. */
    private int[][] alike(Function<Trait, String> what) {
        Map<String, List<Integer>> alike = new TreeMap<>();
        for (int i = 0; i < trait.length; i++) {
            if (!what.apply(trait[i]).isEmpty()) {
                alike.computeIfAbsent(what.apply(trait[i]), k -> new ArrayList<>())
                        .add(i);
            }
        }
        return alike.values().stream()
                .filter(l -> l.size() > 1)
                .map(l -> l.stream().mapToInt(Integer::intValue).toArray())
                .toArray(int[][]::new);
    }

    /** For each way in which a part of the body is kept, the tasks that want it. */
    private static int[][] poses(List<Task> tasks) {
        Map<String, List<Integer>> kept = new TreeMap<>();
        for (int i = 0; i < tasks.size(); i++) {
            for (Map.Entry<String, String> pose : tasks.get(i).posture().entrySet()) {
                kept.computeIfAbsent(pose.getKey() + " " + pose.getValue(), k -> new ArrayList<>())
                        .add(i);
            }
        }
        return kept.values().stream()
                .map(l -> l.stream().mapToInt(Integer::intValue).toArray())
                .toArray(int[][]::new);
    }

    /** For each task in which something flies, or may be blown, what may be wet beside it and is no part of the same work. */
    private int[][] beside(List<Task> tasks) {
        int[][] all = new int[trait.length][];
        for (int i = 0; i < trait.length; i++) {
            int at = i;
            Trait own = trait[i];
            boolean flies = own.flies() || tasks.get(i).modes().stream().anyMatch(m -> m.tool() > 0);
            all[i] = IntStream.range(0, flies ? trait.length : 0)
                    .filter(j -> trait[j].spoils() && work[j] != work[at])
                    .filter(j -> tasks.get(j).modes().stream().anyMatch(m -> m.settled() > 0))
                    .filter(j -> tasks.get(j).zones().stream().anyMatch(own.near()::contains))
                    .toArray();
        }
        return all;
    }

    /** Whether something flies or is blown here while that is still wet. */
    boolean flies(int i, int mode, int start, int end, int wetFrom, int wetUntil) {
        int from = trait[i].flies()
                ? start
                : end - network.tasks().get(i).way(mode).tool();
        return Math.min(end, wetUntil) > Math.max(from, wetFrom);
    }
}
