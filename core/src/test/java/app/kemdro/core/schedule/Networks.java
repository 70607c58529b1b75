package app.kemdro.core.schedule;

import app.kemdro.core.schedule.Task.Mode;
import app.kemdro.core.schedule.Task.Needs;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;

/** Small networks for tests, times in seconds. */
public final class Networks {
    static final Worker INES = new Worker("Ines", true, 1, 0, 100_000);
    static final Worker PELL = new Worker("Pell", false, 1.1, 0, 100_000);

    private Networks() {}

    static Task task(String id, int seconds, String... zones) {
        return new Task(id, seconds, Set.of(zones), Set.of(), Needs.ANYONE, List.of(Mode.NOTHING));
    }

    static Task film(String id, int seconds, int usable, int closes, int settled, String... zones) {
        return new Task(
                id, seconds, Set.of(zones), Set.of(), Needs.ANYONE, List.of(new Mode(0, usable, closes, settled)));
    }

    /** A task in its first way, that leaves nothing behind. */
    static ScheduledTask plain(String id, String worker, int start, int length) {
        return new ScheduledTask(id, worker, 0, start, start + length, start + length, Mode.NEVER, start + length, 0);
    }

    static Lag lag(String from, String to, Lag.Kind kind) {
        return new Lag(from, to, kind, null, "test");
    }

    static TaskNetwork of(List<Task> tasks, List<Lag> lags, Worker... workers) {
        return new TaskNetwork(tasks, lags, List.of(workers), 1, BreakRule.USUAL);
    }

    static Schedule plan(TaskNetwork network) {
        if (Planner.trying(150).plan(network) instanceof Outcome.Planned p) {
            return p.schedule();
        }
        throw new AssertionError("not planned: " + Planner.trying(150).plan(network));
    }

    /** A network with films, windows, dryer ways, held zones and skills; the same seed gives the same network. */
    public static TaskNetwork random(long seed) {
        SplittableRandom r = new SplittableRandom(seed);
        return random(r, 8 + r.nextInt(28));
    }

    /** The same of so many tasks. */
    public static TaskNetwork random(long seed, int tasks) {
        return random(new SplittableRandom(seed), tasks);
    }

    /** The same with pins: some may begin late only, some must have begun, some are given to the lead. */
    public static TaskNetwork pinned(long seed, int tasks) {
        TaskNetwork plain = random(seed, tasks);
        SplittableRandom r = new SplittableRandom(~seed);
        List<Pin> pins = new ArrayList<>();
        for (Task task : plain.tasks()) {
            switch (r.nextInt(8)) {
                case 0 -> pins.add(new Pin(task.id(), r.nextInt(3000), Mode.NEVER, null));
                case 1 -> pins.add(new Pin(task.id(), 0, 2000 + r.nextInt(4000), null));
                case 2 -> pins.add(new Pin(task.id(), 0, Mode.NEVER, task.needs() == Needs.NOBODY ? null : INES.id()));
                default -> {}
            }
        }
        return new TaskNetwork(plain.tasks(), plain.lags(), plain.workers(), plain.tools(), plain.breaks(), pins);
    }

    /** The same for two, with steps that go quicker with help, and eyes that some want open and some closed. */
    public static TaskNetwork together(long seed, int tasks) {
        TaskNetwork plain = random(seed, tasks);
        SplittableRandom r = new SplittableRandom(~seed);
        List<Task> all = new ArrayList<>();
        for (Task task : plain.tasks()) {
            Map<String, String> posture = switch (r.nextInt(4)) {
                case 0 -> Map.of("eyes", "open");
                case 1 -> Map.of("eyes", "closed");
                default -> Map.of();
            };
            List<Mode> modes = new ArrayList<>(task.modes());
            if (task.needs() != Needs.NOBODY && r.nextBoolean()) {
                task.modes().forEach(m -> modes.add(m.together(0.55)));
            }
            all.add(new Task(task.id(), task.work(), task.zones(), task.holds(), posture, task.needs(), modes));
        }
        return new TaskNetwork(all, plain.lags(), List.of(INES, PELL), plain.tools(), plain.breaks());
    }

    /**
     * Very small ones of every kind: short and long breaks, one to three pairs of hands of any pace, several leads, things nobody
     * works at that hold everything, as a costume does, pins and postures.
     */
    public static TaskNetwork ofEveryKind(long seed) {
        SplittableRandom r = new SplittableRandom(seed);
        int n = 2 + r.nextInt(3);
        TaskNetwork plain = random(r, n);
        List<Task> tasks = new ArrayList<>(plain.tasks());
        List<Lag> lags = new ArrayList<>(plain.lags());
        Set<String> everywhere = new java.util.HashSet<>();
        tasks.forEach(t -> everywhere.addAll(t.touched()));
        int blocks = r.nextInt(3);
        for (int b = 0; b < blocks; b++) {
            String id = "block" + b;
            int work = 300 + r.nextInt(2400);
            tasks.add(new Task(id, work, Set.of(), everywhere, Needs.NOBODY, List.of(Mode.NOTHING)));
            if (r.nextBoolean()) {
                lags.add(new Lag("t" + r.nextInt(n), id, Lag.Kind.SETTLED, null, "random"));
            } else if (r.nextBoolean()) {
                lags.add(new Lag(id, "t" + r.nextInt(n), Lag.Kind.AFTER, null, "random"));
            }
        }
        List<Worker> workers = new ArrayList<>();
        int hands = 1 + r.nextInt(3);
        for (int w = 0; w < hands; w++) {
            workers.add(new Worker("w" + w, w == 0 || r.nextInt(3) == 0, 0.8 + r.nextInt(5) / 10.0, 0, 100_000));
        }
        // no shorter than anything takes the slowest hands, or nothing could be done between two breaks
        int every = 60
                + tasks.stream()
                        .mapToInt(t -> 2 * t.work()
                                + t.modes().stream().mapToInt(Mode::tool).max().orElse(0))
                        .max()
                        .orElseThrow();
        List<Pin> pins =
                r.nextInt(4) == 0 ? List.of(new Pin("t" + r.nextInt(n), r.nextInt(3000), Mode.NEVER, null)) : List.of();
        return new TaskNetwork(tasks, lags, workers, 1, new BreakRule(every, 120, 240), pins);
    }

    private static TaskNetwork random(SplittableRandom r, int n) {
        List<Task> tasks = new ArrayList<>();
        List<Lag> lags = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            int settled = r.nextInt(3) == 0 ? 0 : 60 + r.nextInt(400);
            int usable = settled / 2;
            int closes = r.nextInt(4) == 0 && settled > 0 ? usable + 90 + r.nextInt(200) : Mode.NEVER;
            List<Mode> modes = new ArrayList<>(List.of(new Mode(0, usable, closes, settled)));
            if (settled > 120 && r.nextBoolean()) {
                modes.add(new Mode(settled / 2, 0, Mode.NEVER, 0));
            }
            Needs needs = r.nextInt(12) == 0 ? Needs.NOBODY : r.nextInt(3) == 0 ? Needs.LEAD : Needs.ANYONE;
            Set<String> holds = r.nextInt(5) == 0 ? Set.of("z" + (6 + r.nextInt(3))) : Set.of();
            tasks.add(new Task("t" + i, 30 + r.nextInt(500), Set.of("z" + r.nextInt(6)), holds, needs, modes));
            if (i > 0 && r.nextInt(3) > 0) {
                lags.add(randomLag(r, tasks, i));
            }
        }
        List<Worker> workers = new ArrayList<>(List.of(INES));
        if (r.nextBoolean()) {
            workers.add(PELL);
        }
        return new TaskNetwork(tasks, lags, workers, 1, BreakRule.USUAL);
    }

    private static Lag randomLag(SplittableRandom r, List<Task> tasks, int to) {
        int from = r.nextInt(to);
        boolean sameZone = tasks.get(from).zones().equals(tasks.get(to).zones());
        boolean films = tasks.get(from).modes().get(0).settled() > 0;
        Lag.Kind kind = sameZone && films && r.nextBoolean() ? Lag.Kind.USABLE : Lag.Kind.SETTLED;
        Integer within = kind == Lag.Kind.SETTLED && sameZone && r.nextInt(4) == 0 ? 300 : null;
        return new Lag("t" + from, "t" + to, kind, within, "random");
    }
}
