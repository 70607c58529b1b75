package app.kemdro.bench;

import app.kemdro.core.plan.CharactersTest;
import app.kemdro.core.plan.LookPlanner;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.plan.Samples;
import app.kemdro.core.schedule.Outcome;
import app.kemdro.core.schedule.Planner;
import app.kemdro.core.schedule.Prover;
import app.kemdro.core.schedule.Prover.Proof;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduleCheck;
import app.kemdro.core.schedule.TaskNetwork;
import app.kemdro.solver.ExactProver;
import app.kemdro.solver.JobShop;
import app.kemdro.solver.PlainSolver;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;

/** How good orders are after so many seconds of clock, beside the constraint solver alone on the same model in the same run. */
public final class OrdersBench {
    /** Placements tried for a job that arrives with its look. */
    private static final int AT_ONE_PRESS = 800;

    private static final double MINUTE = 60;
    private static final ExactProver PROVER = new ExactProver();

    /** Gaps to the best known, in percent, by what found it. */
    private static final Map<String, List<Double>> GAPS = new TreeMap<>();

    private OrdersBench() {}

    /**
     * Prints one line a network and deadline.
     *
     * @param args seconds of clock to look for, 1 5 30 if none are said; {@code looks} for the networks of the characters instead of those
     *     written down, {@code shops} for the textbook shops; a folder of networks for those
     */
    public static void main(String[] args) throws IOException {
        int[] seconds = Arrays.stream(args)
                .filter(a -> a.matches("\\d+"))
                .mapToInt(Integer::parseInt)
                .toArray();
        int[] asked = seconds.length == 0 ? new int[] {1, 5, 30} : seconds;
        Optional<String> folder = Arrays.stream(args)
                .filter(a -> !a.matches("\\d+") && !a.matches("looks|shops"))
                .findFirst();
        PROVER.works();
        System.out.println(
                "network, best known, planner (ms); then for each deadline: found, gap to best known, bound, seconds, plain solver");
        if (List.of(args).contains("shops")) {
            JobShop.called(".*").forEach(s -> network(s.name(), s.network(), s.optimum() / MINUTE, asked));
        } else if (List.of(args).contains("looks")) {
            LookPlanner planner = new LookPlanner(Samples.TRADE, Planner.trying(AT_ONE_PRESS));
            CharactersTest.characters().forEach(c -> {
                if (planner.plan(c.look(), c.brief()) instanceof Planning.Done done) {
                    network(c.name(), done.plan().network(), 0, asked);
                }
            });
        } else {
            for (NetworkFile file : files(folder)) {
                network(file.name(), file.network(), file.best(), asked);
            }
        }
        GAPS.forEach((who, gaps) -> {
            gaps.sort(null);
            System.out.printf(
                    "%-14s median %.2f %%, worst %.2f %%, best known or better %d of %d%n",
                    who,
                    gaps.get(gaps.size() / 2),
                    gaps.get(gaps.size() - 1),
                    gaps.stream().filter(g -> g <= 0).count(),
                    gaps.size());
        });
        System.out.printf("most memory of this process: %d MB%n", megabytes());
    }

    private static List<NetworkFile> files(Optional<String> folder) throws IOException {
        if (folder.isEmpty()) {
            return NetworkFile.shipped();
        }
        List<NetworkFile> all = new ArrayList<>();
        try (Stream<Path> paths = Files.list(Path.of(folder.get()))) {
            for (Path path :
                    paths.filter(p -> p.toString().endsWith(".txt")).sorted().toList()) {
                all.add(NetworkFile.of(path));
            }
        }
        return all;
    }

    private static void network(String name, TaskNetwork network, double best, int... seconds) {
        long from = System.nanoTime();
        if (!(Planner.trying(AT_ONE_PRESS).plan(network) instanceof Outcome.Planned planned)) {
            System.out.println(name + ": no plan");
            return;
        }
        Schedule start = planned.schedule();
        System.out.printf(
                "%-20s best %s, planner %.1f (%.0f ms)%n",
                name, best == 0 ? "?" : "%.1f".formatted(best), start.ready() / MINUTE, millis(from));
        gap("planner", start, best);
        for (int asked : seconds) {
            from = System.nanoTime();
            Bound bound = new Bound();
            Proof proof = PROVER.settle(network, Optional.of(start), Duration.ofSeconds(asked), bound);
            double took = millis(from) / 1000;
            Schedule found = proof.schedule().orElse(start);
            Optional<Schedule> plain = PlainSolver.solve(network, Duration.ofSeconds(asked));
            gap("found in %2d s".formatted(asked), found, best);
            plain.ifPresent(p -> gap("plain in %2d s".formatted(asked), p, best));
            System.out.printf(
                    "    %2d s: %.1f, bound %.1f (%s)%s in %.1f s%s; plain %s%n",
                    asked,
                    found.ready() / MINUTE,
                    proof.leastReady() / MINUTE,
                    bound.because,
                    proof.isBest()
                            ? ", proven best,"
                            : " (%.1f %% open)".formatted(100.0 * (found.ready() - proof.leastReady()) / found.ready()),
                    took,
                    ScheduleCheck.problems(network, found).isEmpty() ? "" : " UNSOUND",
                    plain.map(p -> "%.1f".formatted(p.ready() / MINUTE)).orElse("nothing"));
        }
    }

    /** Remembers which question gave the bound. */
    private static final class Bound implements Prover.Watch {
        private volatile String because = "without a solver";

        @Override
        public void proven(int least, String why) {
            because = why;
        }

        @Override
        public boolean isStopped() {
            return false;
        }
    }

    private static void gap(String who, Schedule found, double best) {
        if (best > 0) {
            GAPS.computeIfAbsent(who, w -> new ArrayList<>()).add(100 * (found.ready() / MINUTE - best) / best);
        }
    }

    private static double millis(long from) {
        return (System.nanoTime() - from) / 1e6;
    }

    /** The most memory this process ever held, native parts included; 0 where the system does not say. */
    static long megabytes() {
        try {
            return Files.readAllLines(Path.of("/proc/self/status")).stream()
                    .filter(l -> l.startsWith("VmHWM"))
                    .mapToLong(l -> Long.parseLong(l.replaceAll("\\D", "")) / 1024)
                    .findFirst()
                    .orElse(0);
        } catch (IOException e) {
            return 0;
        }
    }
}
