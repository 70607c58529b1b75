package app.kemdro.solver;

import app.kemdro.core.schedule.Rest;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.core.schedule.Task.Mode;
import app.kemdro.core.schedule.Worker;
import app.kemdro.solver.ExactModel.Step;
import app.kemdro.solver.ExactModel.Way;
import com.google.ortools.sat.IntVar;
import com.google.ortools.sat.Literal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;
import java.util.function.ToIntFunction;
import org.jspecify.annotations.Nullable;

/** What a solver found, read back from the variables of a model; hands that are alike get their names here. */
final class ExactReading {
    private final ExactModel exact;
    private final ToIntFunction<IntVar> value;
    private final Predicate<Literal> is;
    private final Map<String, Integer> free = new HashMap<>();

    ExactReading(ExactModel exact, ToIntFunction<IntVar> value, Predicate<Literal> is) {
        this.exact = exact;
        this.value = value;
        this.is = is;
    }

    /** Reads the schedule that was found. */
    Schedule schedule(int leastReady) {
        List<ScheduledTask> placed = new ArrayList<>();
        int latest = 0;
        int lastEnd = 0;
        List<Step> byStart = exact.steps().stream()
                .sorted(Comparator.comparingInt(s -> value.applyAsInt(s.start())))
                .toList();
        for (Step step : byStart) {
            ScheduledTask p = placed(step);
            placed.add(p);
            lastEnd = Math.max(lastEnd, p.end());
            latest = Math.max(latest, exact.workedInto(step.task()) ? p.end() : p.settled());
        }
        int last = lastEnd;
        List<Rest> rests = exact.rests().stream()
                .filter(b -> is.test(b.there()))
                .map(b -> {
                    int start = exact.grid().seconds(value.applyAsInt(b.start()));
                    return new Rest(start, start + exact.grid().seconds(b.length()));
                })
                .filter(r -> r.start() < last)
                .toList();
        return new Schedule(placed, rests, latest, Math.min(latest, leastReady));
    }

    private ScheduledTask placed(Step step) {
        Way way = step.ways().stream()
                .filter(w -> is.test(w.is()))
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("Nothing was chosen"));
        Mode mode = exact.mode(step, way);
        int from = value.applyAsInt(step.start());
        int start = exact.grid().seconds(from);
        int end = exact.grid().seconds((long) from + way.length());
        return new ScheduledTask(
                step.task().id(),
                hands(way.crew(), start, end),
                hands(way.helper(), start, end),
                way.mode(),
                start,
                end,
                end + mode.usable(),
                mode.closes() >= Mode.NEVER ? Mode.NEVER : end + mode.closes(),
                end + mode.settled(),
                0);
    }

    /** Hands of a crew that are free; tasks come by their starts, so that there always are some. */
    private @Nullable String hands(int crew, int start, int end) {
        if (crew < 0) {
            return null;
        }
        String name = exact.crews().get(crew).hands().stream()
                .map(Worker::id)
                .filter(w -> free.getOrDefault(w, 0) <= start)
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("More at once than there are hands"));
        free.put(name, end);
        return name;
    }
}
