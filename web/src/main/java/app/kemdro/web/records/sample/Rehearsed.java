package app.kemdro.web.records.sample;

import app.kemdro.core.plan.Plan;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.RunEvent.Type;
import app.kemdro.core.schedule.Lag;
import app.kemdro.core.schedule.Placed;
import app.kemdro.core.schedule.Rest;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.run.Runs;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;

/** A morning that was never held, so that the demo's book has something in it: the plan's order, other durations. */
final class Rehearsed {
    private Rehearsed() {}

    /** The camera test as it was rehearsed the evening before, and as it was held. */
    static void store(Runs runs, Job job, String account) {
        LocalDateTime began = job.brief().chairIn().orElseThrow();
        Plan rehearsed = runs.planAt(job, began);
        runs.storeFinished(job, rehearsed, morning(rehearsed, new SplittableRandom(3)), account, 30);
        Plan held = runs.planAt(job, began.plusMinutes(2));
        runs.storeFinished(job, held, morning(held, new SplittableRandom(7)), account, 0);
    }

    private static List<RunEvent> morning(Plan plan, SplittableRandom random) {
        List<RunEvent> events = new ArrayList<>();
        Map<String, Integer> free = new HashMap<>();
        Map<String, Integer> end = new HashMap<>();
        int late = 0;
        int rested = 0;
        for (Placed p : plan.schedule().placed()) {
            for (Rest rest : plan.schedule().rests()) {
                if (rested <= plan.schedule().rests().indexOf(rest) && p.start() >= rest.end()) {
                    rested++;
                    events.add(event(plan, "break-" + rested, late, "", Type.BREAK, "", ""));
                    late += rest.end() - rest.start();
                    events.add(event(plan, "back-" + rested, late, "", Type.BACK, "", ""));
                    int back = late;
                    free.replaceAll((hands, at) -> Math.max(at, back));
                }
            }
            String hands = p.worker() == null ? "" : p.worker();
            int start = free.getOrDefault(hands, 0);
            for (Lag lag : plan.network().lags()) {
                if (lag.to().equals(p.task()) && end.containsKey(lag.from())) {
                    Placed from = plan.schedule().of(lag.from());
                    int wait = lag.opens(from) - from.end();
                    start = Math.max(start, end.get(lag.from()) + wait);
                }
            }
            int length = (int) ((p.end() - p.start()) * Math.exp(0.16 * random.nextGaussian() + 0.03));
            events.add(event(plan, "start-" + events.size(), start, hands, Type.START, p.task(), ""));
            events.add(event(plan, "finish-" + events.size(), start + length, hands, Type.FINISH, p.task(), ""));
            double eye = Math.exp(0.1 * random.nextGaussian());
            if (p.settled() > p.end() + 60 && eye < 1) {
                int clear = start + length + (int) ((p.settled() - p.end()) * eye);
                events.add(event(plan, "clear-" + events.size(), clear, hands, Type.CLEAR, p.task(), ""));
            }
            end.put(p.task(), start + length);
            free.put(hands, start + length);
            late = Math.max(late, start + length);
        }
        events.add(event(
                plan,
                "note-1",
                late - 600,
                "Ines",
                Type.NOTE,
                "",
                "Left cheek edge: third coat would have paid for itself."));
        events.add(event(
                plan,
                "note-2",
                late - 120,
                "Pell",
                Type.NOTE,
                "",
                "Hands photographed flat and clenched for the match."));
        events.add(event(plan, "end", late + 60, "", Type.END, "", ""));
        events.sort(java.util.Comparator.comparing(RunEvent::at));
        return events;
    }

    private static RunEvent event(Plan plan, String id, int second, String hands, Type type, String step, String text) {
        int mode = step.isEmpty() ? 0 : plan.schedule().of(step).mode();
        return new RunEvent(id, plan.clock(second), hands, type, step, 0, mode, text);
    }
}
