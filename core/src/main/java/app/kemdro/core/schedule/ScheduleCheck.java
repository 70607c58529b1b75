package app.kemdro.core.schedule;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Checks every constraint of a finished schedule. It knows nothing of how schedules are found and shares no code with
 * what finds them.
 */
public final class ScheduleCheck {
    private final TaskNetwork network;
    private final Progress progress;
    private final Schedule schedule;
    private final List<Task> tasks;
    private final Map<String, ScheduledTask> at = new HashMap<>();
    private final Set<String> past = new HashSet<>();
    private final Map<String, List<Lag>> lagsFrom = new HashMap<>();
    private final Map<String, Set<String>> touched = new HashMap<>();
    private final List<String> problems = new ArrayList<>();

    private ScheduleCheck(TaskNetwork network, Progress progress, Schedule schedule) {
        this.network = network;
        this.progress = progress;
        this.schedule = schedule;
        schedule.placed().forEach(p -> at.put(p.task(), p));
        progress.past().forEach(p -> past.add(p.task()));
        network.lags()
                .forEach(l -> lagsFrom.computeIfAbsent(l.from(), k -> new ArrayList<>())
                        .add(l));
        network.tasks().forEach(t -> touched.put(t.id(), touched(t)));
        tasks = network.tasks().stream()
                .filter(t -> !progress.dropped().contains(t.id()))
                .toList();
    }

    /** What is wrong with this schedule, in words; empty when it is sound. */
    public static List<String> problems(TaskNetwork network, Schedule schedule) {
        return problems(network, Progress.NOTHING, schedule);
    }

    /** What is wrong with a schedule made in the middle of things; what is past is taken as it was. */
    public static List<String> problems(TaskNetwork network, Progress progress, Schedule schedule) {
        ScheduleCheck check = new ScheduleCheck(network, progress, schedule);
        check.everyTaskOnce();
        check.everybodyThere();
        if (check.problems.isEmpty()) {
            check.durations();
            check.lags();
            check.hands();
            check.help();
            check.postures();
            check.zones();
            check.tool();
            check.rests();
            check.pins();
        }
        return check.problems;
    }

    private void wrong(String text, Object... parts) {
        problems.add(text.formatted(parts));
    }

    private boolean open(ScheduledTask p) {
        return !past.contains(p.task());
    }

    private void everyTaskOnce() {
        for (Task task : tasks) {
            long times = schedule.placed().stream()
                    .filter(p -> p.task().equals(task.id()))
                    .count();
            if (times != 1) {
                wrong("%s is placed %d times", task.id(), times);
            }
        }
        if (schedule.placed().size() != tasks.size()) {
            wrong("the schedule places tasks the network does not have");
        }
    }

    /** An order that was kept may name hands, or a way to settle, that there no longer are. */
    private void everybodyThere() {
        Set<String> workers = network.workers().stream().map(Worker::id).collect(Collectors.toSet());
        for (Task task : tasks) {
            ScheduledTask p = at.get(task.id());
            if (p == null || !open(p)) {
                continue;
            }
            if (p.mode() < 0 || p.mode() >= task.modes().size()) {
                wrong("%s settles in a way it does not have", task.id());
            }
            if (task.needs() != Task.Needs.NOBODY && !workers.contains(String.valueOf(p.worker()))) {
                wrong("%s is done by hands that are not there", task.id());
            }
            if (p.helper() != null && !workers.contains(p.helper())) {
                wrong("%s is helped by hands that are not there", task.id());
            }
        }
    }

    private void durations() {
        int last = 0;
        for (Task task : tasks) {
            ScheduledTask p = at.get(task.id());
            last = Math.max(last, workedInto(task.id()) ? p.end() : p.settled());
            if (!open(p)) {
                continue;
            }
            Task.Mode mode = task.modes().get(p.mode());
            double pace = task.needs() == Task.Needs.NOBODY ? 1 : worker(p).pace();
            double share = mode.together() > 0 ? mode.together() : 1;
            long length = Math.round(task.work() * share * pace) + mode.tool();
            if (p.end() - p.start() != length) {
                wrong("%s lasts %d s instead of %d", task.id(), p.end() - p.start(), length);
            }
            if (p.settled() != p.end() + mode.settled() || p.usable() != p.end() + mode.usable()) {
                wrong("%s settles at another moment than its mode says", task.id());
            }
            int closes = mode.closes() >= Task.Mode.NEVER ? Task.Mode.NEVER : p.end() + mode.closes();
            if (p.closes() != closes) {
                wrong("%s closes at another moment than its mode says", task.id());
            }
            if (p.start() < progress.now()) {
                wrong("%s begins in the past", task.id());
            }
        }
        if (last != schedule.ready()) {
            wrong("ready is said at %d, the last task settles at %d", schedule.ready(), last);
        }
    }

    private boolean workedInto(String task) {
        return lagsOf(task).stream().anyMatch(l -> l.into() && at.containsKey(l.to()));
    }

    private Worker worker(ScheduledTask p) {
        return network.workers().stream()
                .filter(w -> w.id().equals(p.worker()))
                .findFirst()
                .orElseThrow(() -> new IllegalStateException(p.task() + " has no hands"));
    }

    private void lags() {
        for (Lag lag : network.lags()) {
            ScheduledTask a = at.get(lag.from());
            ScheduledTask b = at.get(lag.to());
            if (a == null || b == null || !open(b)) {
                continue;
            }
            int least = switch (lag.kind()) {
                case END, FRESH, AFTER -> a.end();
                case USABLE -> a.usable();
                case SETTLED -> a.settled();
            };
            if (b.start() < least) {
                wrong("%s begins %d s too early after %s", lag.to(), least - b.start(), lag.from());
            }
            int most = switch (lag.kind()) {
                case END, SETTLED, AFTER -> Task.Mode.NEVER;
                case USABLE -> a.closes();
                case FRESH -> Math.min(a.usable(), a.closes());
            };
            if (lag.within() != null) {
                most = Math.min(most, least + lag.within());
            }
            if (b.start() > most && (open(a) || b.missed() == 0)) {
                wrong("%s begins %d s after its window behind %s closed", lag.to(), b.start() - most, lag.from());
            }
        }
    }

    private void hands() {
        for (Task task : tasks) {
            ScheduledTask p = at.get(task.id());
            if (!open(p) || task.needs() == Task.Needs.NOBODY) {
                continue;
            }
            Worker worker = worker(p);
            if (task.needs() == Task.Needs.LEAD && !worker.lead()) {
                wrong("%s needs a lead and is given to %s", task.id(), worker.id());
            }
            if (p.start() < worker.from() || p.end() > worker.until()) {
                wrong("%s lies outside the hours of %s", task.id(), worker.id());
            }
            alone(worker.id(), p);
        }
    }

    private void alone(String hands, ScheduledTask p) {
        for (ScheduledTask other : schedule.placed()) {
            if (!other.task().equals(p.task())
                    && (hands.equals(other.worker()) || hands.equals(other.helper()))
                    && overlap(p.start(), p.end(), other.start(), other.end())) {
                wrong("%s does %s and %s at once", hands, p.task(), other.task());
            }
        }
    }

    private void help() {
        for (Task task : tasks) {
            ScheduledTask p = at.get(task.id());
            if (!open(p)) {
                continue;
            }
            boolean wanted = task.modes().get(p.mode()).together() > 0;
            if (wanted != (p.helper() != null)) {
                wrong(wanted ? "%s takes two pairs of hands and has one" : "%s takes no help and has it", p.task());
                continue;
            }
            if (!wanted) {
                continue;
            }
            Worker helper = network.workers().stream()
                    .filter(w -> w.id().equals(p.helper()))
                    .findFirst()
                    .orElseThrow(() -> new IllegalStateException(p.task() + " is helped by nobody"));
            if (helper.id().equals(p.worker())) {
                wrong("%s is helped by whoever does it", p.task());
            }
            if (p.start() < helper.from() || p.end() > helper.until()) {
                wrong("%s lies outside the hours of %s, who helps", p.task(), helper.id());
            }
            alone(helper.id(), p);
        }
    }

    private void postures() {
        List<Task> sits = tasks.stream().filter(t -> !t.posture().isEmpty()).toList();
        for (Task a : sits) {
            ScheduledTask pa = at.get(a.id());
            for (Task b : sits) {
                ScheduledTask pb = at.get(b.id());
                if (!overlap(pa.start(), pa.end(), pb.start(), pb.end())
                        || a.id().compareTo(b.id()) >= 0
                        || !open(pa) && !open(pb)) {
                    continue;
                }
                for (String part : a.posture().keySet()) {
                    String other = b.posture().get(part);
                    if (other != null && !other.equals(a.posture().get(part))) {
                        wrong("%s and %s want the %s in two ways at once", a.id(), b.id(), part);
                    }
                }
            }
        }
    }

    private void zones() {
        ScheduledTask[] placed = tasks.stream().map(t -> at.get(t.id())).toArray(ScheduledTask[]::new);
        for (int i = 0; i < placed.length; i++) {
            Task a = tasks.get(i);
            ScheduledTask pa = placed[i];
            int over = Math.max(pa.end(), pa.settled());
            for (int j = 0; j < placed.length; j++) {
                ScheduledTask pb = placed[j];
                if (pb.start() < pa.start() || pb.start() >= over || i == j || !open(pb)) {
                    continue;
                }
                Task b = tasks.get(j);
                for (String zone : touched.get(b.id())) {
                    if (!touched.get(a.id()).contains(zone)) {
                        continue;
                    }
                    boolean into = into(a.id(), b.id());
                    int busy = !a.zones().contains(zone) || into ? pa.end() : wetUntil(a, zone);
                    if (pb.start() < busy) {
                        wrong("%s touches %s while %s still has it", b.id(), zone, a.id());
                    }
                }
            }
        }
    }

    private List<Lag> lagsOf(String task) {
        return lagsFrom.getOrDefault(task, List.of());
    }

    private static Set<String> touched(Task task) {
        Set<String> all = new HashSet<>(task.zones());
        all.addAll(task.holds());
        return all;
    }

    private boolean into(String from, String to) {
        return lagsOf(from).stream().anyMatch(l -> l.to().equals(to) && l.into());
    }

    /** A film stays wet until it has settled, or until something is worked into it. */
    private int wetUntil(Task task, String zone) {
        int until = at.get(task.id()).settled();
        for (Lag lag : lagsOf(task.id())) {
            ScheduledTask next = at.get(lag.to());
            if (lag.into() && next != null && touched.get(lag.to()).contains(zone)) {
                until = Math.min(until, Math.max(next.start(), at.get(task.id()).end()));
            }
        }
        return until;
    }

    private void tool() {
        for (Task task : tasks) {
            ScheduledTask p = at.get(task.id());
            int tool = task.way(p.mode()).tool();
            if (!open(p) || tool == 0) {
                continue;
            }
            int from = p.end() - tool;
            long users = tasks.stream()
                    .filter(t -> {
                        ScheduledTask o = at.get(t.id());
                        int length = t.way(o.mode()).tool();
                        return open(o) && length > 0 && o.end() - length <= from && from < o.end();
                    })
                    .count();
            if (users > network.tools()) {
                wrong("%d tasks want the tool at once, %s among them", users, task.id());
            }
        }
    }

    private void rests() {
        int last = 0;
        int ready = 0;
        for (ScheduledTask p : schedule.placed()) {
            ready = Math.max(ready, p.end());
            for (Rest rest : schedule.rests()) {
                if (open(p) && overlap(p.start(), p.end(), rest.start(), rest.end())) {
                    wrong("%s runs into a break", p.task());
                }
            }
        }
        List<Rest> rests = schedule.rests().stream()
                .sorted(java.util.Comparator.comparingInt(Rest::start))
                .toList();
        // what is past is as it was; from then on breaks are as from the beginning
        int taken = progress.rests().size();
        int busy = progress.busy();
        for (int k = 0; k < rests.size(); k++) {
            Rest rest = rests.get(k);
            int every = Math.max(network.breaks().every(), busy - last);
            if (k >= taken) {
                if (rest.end() - rest.start() < network.breaks().length(k)) {
                    wrong(
                            "break %d lasts %d s instead of %d",
                            k + 1, rest.end() - rest.start(), network.breaks().length(k));
                }
                if (rest.start() - last > every) {
                    wrong("%d s of work without a break", rest.start() - last);
                }
                if (k > 0 && rest.start() <= last) {
                    wrong("one break follows another at %d s without any work between", last);
                }
                if (rest.start() < progress.now()) {
                    wrong("break %d would have had to begin before now", k + 1);
                }
            }
            last = rest.end();
        }
        if (ready - last > Math.max(network.breaks().every(), busy - last)) {
            wrong("%d s of work without a break at the end", ready - last);
        }
    }

    private void pins() {
        for (Pin pin : network.pins()) {
            ScheduledTask p = at.get(pin.task());
            if (p == null || !open(p)) {
                continue;
            }
            if (p.start() < pin.from()) {
                wrong("%s begins %d s before it may", p.task(), pin.from() - p.start());
            }
            if (p.start() > pin.until() && progress.now() == 0) {
                wrong("%s begins %d s after it should have", p.task(), p.start() - pin.until());
            }
            if (pin.worker() != null && !pin.worker().equals(p.worker())) {
                wrong("%s is pinned to %s and given to %s", p.task(), pin.worker(), p.worker());
            }
        }
    }

    private static boolean overlap(int aFrom, int aTo, int bFrom, int bTo) {
        return aFrom < bTo && bFrom < aTo;
    }
}
