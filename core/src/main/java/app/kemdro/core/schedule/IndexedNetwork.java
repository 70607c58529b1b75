package app.kemdro.core.schedule;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;

/** A task network as arrays of numbers, made once for each planning so that thousands of placements are quick. */
final class IndexedNetwork {
    final TaskNetwork network;
    final int n;
    final Task[] tasks;
    final Map<String, Integer> index = new HashMap<>();
    final int zones;
    /** Zones worked on, then zones held; {@code works[i]} of them are worked on. */
    final int[][] zone;

    final int[] works;
    final Arc[][] before;
    final Arc[][] after;
    final int[] block;
    final int[][] blocks;
    /** By block: lags into it from tasks still to be placed, and how many of them come from its own tasks. */
    final int[] waitsFor;

    final int[] inside;
    final int[] tail;
    /** Whether what a task leaves is worked into by another, so that nobody waits for it to settle at the end. */
    final boolean[] workedInto;

    /** By task: the ways it can be done with the hands and tools there are. */
    final int[][] ways;

    /** By task: lines of the postures it keeps, and of those that cannot be kept meanwhile. */
    final int[][] keeps;

    final int[][] bars;
    final int postures;

    /** Whether two tasks want the same place. */
    final boolean[][] shares;

    /** What was decided by hand: the second before which a task may not begin, by which it must have, and whose hands. */
    final int[] release;

    final int[] due;
    final int[] only;

    /** Like the tail, but longer for what must be begun by some second and for all that comes before it. */
    final int[] pull;

    final boolean[] fixed;
    final ScheduledTask[] past;
    final Progress progress;

    final Bounds bounds = new Bounds(this);

    /**
     * A lag between two tasks by number.
     *
     * @param opens by way of the earlier task, seconds after its end at which the later may begin
     * @param shuts the same for by when it must have begun
     */
    record Arc(int from, int to, Lag lag, int[] opens, int[] shuts) {}

    IndexedNetwork(TaskNetwork whole, Progress progress) {
        this.progress = progress;
        this.network = without(whole, Set.copyOf(progress.dropped()));
        n = network.tasks().size();
        tasks = network.tasks().toArray(new Task[0]);
        for (int i = 0; i < n; i++) {
            index.put(tasks[i].id(), i);
        }
        Map<String, Integer> places = places(tasks);
        zone = new int[n][];
        works = new int[n];
        for (int i = 0; i < n; i++) {
            Set<Integer> all = new LinkedHashSet<>();
            tasks[i].zones().forEach(z -> all.add(places.get(z)));
            works[i] = all.size();
            tasks[i].holds().forEach(z -> all.add(places.get(z)));
            zone[i] = all.stream().mapToInt(z -> z).toArray();
        }
        zones = (int) places.values().stream().distinct().count();
        ways = new int[n][];
        for (int i = 0; i < n; i++) {
            ways[i] = ways(tasks[i]);
        }
        List<Map.Entry<String, String>> kept = Arrays.stream(tasks)
                .flatMap(t -> t.posture().entrySet().stream())
                .distinct()
                .toList();
        postures = kept.size();
        keeps = new int[n][];
        bars = new int[n][];
        for (int i = 0; i < n; i++) {
            Map<String, String> own = tasks[i].posture();
            keeps[i] = IntStream.range(0, postures)
                    .filter(p -> own.entrySet().contains(kept.get(p)))
                    .toArray();
            bars[i] = IntStream.range(0, postures)
                    .filter(p -> own.containsKey(kept.get(p).getKey())
                            && !own.entrySet().contains(kept.get(p)))
                    .toArray();
        }
        List<Arc> arcs = network.lags().stream().map(this::arc).toList();
        before = new Arc[n][];
        after = new Arc[n][];
        for (int i = 0; i < n; i++) {
            int task = i;
            before[i] = arcs.stream().filter(a -> a.to == task).toArray(Arc[]::new);
            after[i] = arcs.stream().filter(a -> a.from == task).toArray(Arc[]::new);
        }
        workedInto = new boolean[n];
        for (Arc arc : arcs) {
            workedInto[arc.from] |= arc.lag.into();
        }
        shares = sharing(zone);
        past = new ScheduledTask[n];
        fixed = new boolean[n];
        progress.past().forEach(p -> {
            Integer i = index.get(p.task());
            if (i != null) {
                past[i] = p;
                fixed[i] = true;
            }
        });
        block = blockOf(arcs);
        blocks = members();
        waitsFor = new int[n];
        inside = new int[n];
        for (Arc arc : arcs) {
            if (!fixed[arc.from] && !fixed[arc.to]) {
                waitsFor[block[arc.to]]++;
                inside[block[arc.to]] += block[arc.from] == block[arc.to] ? 1 : 0;
            }
        }
        tail = bounds.tails();
        release = new int[n];
        due = new int[n];
        only = new int[n];
        Arrays.fill(due, Task.Mode.NEVER);
        Arrays.fill(only, -1);
        network.pins().forEach(this::pin);
        pull = pulls();
    }

    /** Zones that the same tasks want are one place: whoever waits for one of them waits for all. */
    private static Map<String, Integer> places(Task[] tasks) {
        Map<String, BitSet> wantedBy = new LinkedHashMap<>();
        for (int i = 0; i < tasks.length; i++) {
            for (String zone : tasks[i].touched()) {
                wantedBy.computeIfAbsent(zone, k -> new BitSet()).set(i);
            }
        }
        Map<BitSet, Integer> known = new HashMap<>();
        Map<String, Integer> places = new HashMap<>();
        wantedBy.forEach((zone, by) -> places.put(zone, known.computeIfAbsent(by, k -> known.size())));
        return places;
    }

    private Arc arc(Lag lag) {
        int from = index.get(lag.from());
        List<Task.Mode> modes = tasks[from].modes();
        return new Arc(
                from,
                index.get(lag.to()),
                lag,
                modes.stream().mapToInt(lag::opensAfter).toArray(),
                modes.stream().mapToInt(lag::shutsAfter).toArray());
    }

    private int[] ways(Task task) {
        int[] possible = IntStream.range(0, task.modes().size())
                .filter(m ->
                        m == 0 || network.tools() > 0 || task.modes().get(m).tool() == 0)
                .filter(m -> !task.modes().get(m).helped() || network.workers().size() > 1)
                .toArray();
        return possible.length > 0 ? possible : new int[] {0};
    }

    private void pin(Pin pin) {
        int i = index.get(pin.task());
        release[i] = Math.max(release[i], pin.from());
        due[i] = Math.min(due[i], pin.until());
        for (int w = 0; w < network.workers().size(); w++) {
            if (network.workers().get(w).id().equals(pin.worker())) {
                only[i] = w;
            }
        }
    }

    /** Tails of what has a second by which it must be begun, as if everything else came after it. */
    private int[] pulls() {
        int longest = Arrays.stream(tail).max().orElse(0);
        int[] result = tail.clone();
        int[] order = topological();
        for (int k = n - 1; k >= 0; k--) {
            int i = order[k];
            if (due[i] < Task.Mode.NEVER) {
                result[i] = Math.max(result[i], 2 * longest - due[i]);
            }
            for (Arc arc : after[i]) {
                result[i] = Math.max(result[i], bounds.quickest(i) + bounds.leastAfter(i, arc.lag) + result[arc.to]);
            }
        }
        return result;
    }

    /** Leaves tasks out and joins what came before them to what came after. */
    private static TaskNetwork without(TaskNetwork network, Set<String> dropped) {
        if (dropped.isEmpty()) {
            return network;
        }
        List<Lag> lags = new ArrayList<>(network.lags());
        for (String gone : dropped) {
            List<Lag> in = lags.stream().filter(l -> l.to().equals(gone)).toList();
            List<Lag> out = lags.stream().filter(l -> l.from().equals(gone)).toList();
            lags.removeAll(in);
            lags.removeAll(out);
            for (Lag a : in) {
                for (Lag b : out) {
                    Lag.Kind kind = a.kind() == Lag.Kind.AFTER || b.kind() == Lag.Kind.AFTER
                            ? Lag.Kind.AFTER
                            : Lag.Kind.SETTLED;
                    lags.add(new Lag(a.from(), b.to(), kind, null, b.because()));
                }
            }
        }
        return new TaskNetwork(
                network.tasks().stream().filter(t -> !dropped.contains(t.id())).toList(),
                lags.stream().distinct().toList(),
                network.workers(),
                network.tools(),
                network.breaks(),
                network.pins().stream().filter(p -> !dropped.contains(p.task())).toList());
    }

    private static boolean[][] sharing(int[][] zone) {
        BitSet[] touched = new BitSet[zone.length];
        for (int i = 0; i < zone.length; i++) {
            touched[i] = new BitSet();
            for (int z : zone[i]) {
                touched[i].set(z);
            }
        }
        boolean[][] shares = new boolean[zone.length][zone.length];
        for (int i = 0; i < zone.length; i++) {
            for (int j = 0; j < zone.length; j++) {
                shares[i][j] = i != j && touched[i].intersects(touched[j]);
            }
        }
        return shares;
    }

    /**
     * The block of each task, named by its first: tasks that lead to each other along the arcs, a tie leading both ways. So what comes
     * between two tied tasks is in their block, and no block waits for one that waits for it.
     */
    private int[] blockOf(List<Arc> arcs) {
        BitSet[] leadsTo = new BitSet[n];
        for (int i = 0; i < n; i++) {
            leadsTo[i] = new BitSet(n);
            leadsTo[i].set(i);
        }
        for (Arc arc : arcs) {
            if (!fixed[arc.from] && !fixed[arc.to]) {
                leadsTo[arc.from].set(arc.to);
                if (arc.lag.ties()) {
                    leadsTo[arc.to].set(arc.from);
                }
            }
        }
        for (int over = 0; over < n; over++) {
            for (int i = 0; i < n; i++) {
                if (leadsTo[i].get(over)) {
                    leadsTo[i].or(leadsTo[over]);
                }
            }
        }
        int[] block = new int[n];
        for (int i = 0; i < n; i++) {
            int first = 0;
            while (!leadsTo[i].get(first) || !leadsTo[first].get(i)) {
                first++;
            }
            block[i] = first;
        }
        return block;
    }

    /** Tasks of each block in an order in which each comes after what it waits for. */
    private int[][] members() {
        int[] order = topological();
        Map<Integer, List<Integer>> byRoot = new LinkedHashMap<>();
        for (int i : order) {
            byRoot.computeIfAbsent(block[i], k -> new ArrayList<>()).add(i);
        }
        int[][] result = new int[n][];
        byRoot.forEach((root, list) ->
                result[root] = list.stream().mapToInt(Integer::intValue).toArray());
        return result;
    }

    int[] topological() {
        int[] waiting = new int[n];
        for (int i = 0; i < n; i++) {
            waiting[i] = before[i].length;
        }
        int[] order = new int[n];
        int filled = 0;
        for (int i = 0; i < n; i++) {
            if (waiting[i] == 0) {
                order[filled++] = i;
            }
        }
        for (int k = 0; k < filled; k++) {
            for (Arc arc : after[order[k]]) {
                if (--waiting[arc.to] == 0) {
                    order[filled++] = arc.to;
                }
            }
        }
        return order;
    }
}
