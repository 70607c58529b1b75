package app.kemdro.web.records.sample;

import app.kemdro.core.plan.Plan;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.Stamp;
import app.kemdro.core.schedule.Lag;
import app.kemdro.core.schedule.Rest;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.run.Seats;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;

/** A morning that was never held, so that the demo's book has something in it: the plan's order, other durations. */
final class Rehearsed {
    /** How much slower than the library somebody is, as a logarithm: plain enough for the book to see it whatever is drawn. */
    private static final Map<String, Double> SLOWER = Map.of("Ines", -0.09, "Pell", 0.12);

    private Rehearsed() {}

    /** The camera test as it was rehearsed the evening before, and as it was held. */
    static void store(Seats seats, Job job, String account) {
        LocalDateTime began = job.brief().chairIn().orElseThrow();
        Plan rehearsed = seats.planAt(job, began);
        seats.storeFinished(job, rehearsed, morning(rehearsed, new SplittableRandom(3)), account, 30);
        Plan held = seats.planAt(job, began.plusMinutes(2));
        seats.storeFinished(job, held, morning(held, new SplittableRandom(7)), account, 0);
    }

    private static List<RunEvent> morning(Plan plan, SplittableRandom random) {
        List<RunEvent> events = new ArrayList<>();
        Map<String, Integer> free = new HashMap<>();
        Map<String, Integer> end = new HashMap<>();
        int late = 0;
        int rested = 0;
        for (ScheduledTask p : plan.schedule().placed()) {
            for (Rest rest : plan.schedule().rests()) {
                if (rested <= plan.schedule().rests().indexOf(rest) && p.start() >= rest.end()) {
                    rested++;
                    events.add(new RunEvent.Break(new Stamp("break-" + rested, plan.clock(late), "")));
                    late += rest.end() - rest.start();
                    events.add(new RunEvent.Back(new Stamp("back-" + rested, plan.clock(late), "")));
                    int back = late;
                    free.replaceAll((hands, at) -> Math.max(at, back));
                }
            }
            String hands = p.worker() == null ? "" : p.worker();
            int start = free.getOrDefault(hands, 0);
            for (Lag lag : plan.network().lags()) {
                if (lag.to().equals(p.task()) && end.containsKey(lag.from())) {
                    ScheduledTask from = plan.schedule().of(lag.from());
                    int wait = lag.opens(from) - from.end();
                    start = Math.max(start, end.get(lag.from()) + wait);
                }
            }
            int length = (int)
                    ((p.end() - p.start()) * Math.exp(0.16 * random.nextGaussian() + SLOWER.getOrDefault(hands, 0.0)));
            events.add(new RunEvent.Start(
                    new Stamp("start-" + events.size(), plan.clock(start), hands), p.task(), p.mode(), false));
            events.add(new RunEvent.Finish(
                    new Stamp("finish-" + events.size(), plan.clock(start + length), hands), p.task()));
            double eye = Math.exp(0.1 * random.nextGaussian());
            if (p.settled() > p.end() + 60 && eye < 1) {
                int clear = start + length + (int) ((p.settled() - p.end()) * eye);
                events.add(new RunEvent.Clear(new Stamp("clear-" + events.size(), plan.clock(clear), hands), p.task()));
            }
            end.put(p.task(), start + length);
            free.put(hands, start + length);
            late = Math.max(late, start + length);
        }
        events.add(new RunEvent.Note(
                new Stamp("note-1", plan.clock(late - 600), "Ines"),
                "Left cheek edge: third coat would have paid for itself."));
        events.add(new RunEvent.Note(
                new Stamp("note-2", plan.clock(late - 120), "Pell"),
                "Hands photographed flat and clenched for the match."));
        events.add(new RunEvent.End(new Stamp("end", plan.clock(late + 60), "")));
        events.sort(java.util.Comparator.comparing(RunEvent::at));
        return events;
    }
}
