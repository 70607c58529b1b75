package app.kemdro.bench;

import app.kemdro.core.colour.Lab;
import app.kemdro.core.colour.Paint;
import app.kemdro.core.colour.Paints;
import app.kemdro.core.colour.Recipes;
import app.kemdro.core.colour.Reflectance;
import app.kemdro.core.colour.Srgb;
import app.kemdro.core.look.Brief;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.LookPlanner;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.plan.Samples;
import app.kemdro.core.run.Chair;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.RunState;
import app.kemdro.core.run.Stamp;
import app.kemdro.core.schedule.Confidence;
import app.kemdro.core.schedule.Planner;
import app.kemdro.core.schedule.ScheduleCheck;
import app.kemdro.core.schedule.ScheduledTask;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;

/** Times planning and planning again on the bell-founder, after warm-up, with the effort the application uses. */
public final class PlanningBench {
    private static final int WARM_UP = 60;
    private static final int MEASURED = 60;

    /** As in the application's plans: placements tried for a full and for a live plan. */
    private static final int FULL = 200;

    private static final int LIVE = 40;

    private PlanningBench() {}

    /** Prints one line a measurement. */
    public static void main(String[] arguments) {
        Brief plain = Samples.brief(Samples.lead("Ines"), Samples.assistant("Pell"));
        Brief brief = new Brief(
                plain.call(),
                plain.chairIn(),
                plain.performer(),
                plain.crew(),
                plain.room(),
                Set.of("chest", "shoulder-left", "shoulder-right", "upper-back"),
                12,
                false);
        LookPlanner planner = new LookPlanner(Trade.standard(), Planner.trying(FULL));
        Plan plan = ((Planning.Done) planner.plan(Samples.bellFounder(), brief)).plan();
        System.out.printf(
                "job: %d steps, %d hands, ready after %.1f min, no order sooner than %.1f min, faults found by the check: %d%n",
                plan.steps().size(),
                brief.crew().size(),
                plan.schedule().ready() / 60.0,
                plan.schedule().leastReady() / 60.0,
                ScheduleCheck.problems(plan.network(), plan.schedule()).size());
        recipes();
        time("look to layers and network", () -> planner.stacks(Samples.bellFounder(), brief));
        time("look to schedule", () -> planner.plan(Samples.bellFounder(), brief));
        time("confidence, 300 mornings", () -> Confidence.of(plan.network(), plan.schedule(), 300));
        LookPlanner live = new LookPlanner(Trade.standard(), Planner.trying(LIVE));
        for (int done : new int[] {0, 20, 40}) {
            List<RunEvent> events = morning(plan, done);
            int now = events.isEmpty()
                    ? 0
                    : (int) java.time.Duration.between(
                                    plan.chairIn(),
                                    events.get(events.size() - 1).at())
                            .getSeconds();
            time(
                    "plan again in the chair, " + done + " steps done",
                    () -> new Chair(plan, RunState.of(events)).planAgain(live, plan.schedule(), plan.clock(now)));
        }
    }

    private static List<RunEvent> morning(Plan plan, int steps) {
        List<RunEvent> events = new ArrayList<>();
        for (ScheduledTask p : plan.schedule().placed().subList(0, steps)) {
            String hands = p.worker() == null ? "" : p.worker();
            events.add(new RunEvent.Start(
                    new Stamp("s" + p.task(), plan.clock(p.start()), hands), p.task(), p.mode(), false));
            events.add(new RunEvent.Finish(new Stamp("f" + p.task(), plan.clock(p.end()), hands), p.task()));
        }
        return events;
    }

    private static void time(String what, Runnable work) {
        for (int k = 0; k < WARM_UP; k++) {
            work.run();
        }
        double[] millis = new double[MEASURED];
        for (int k = 0; k < MEASURED; k++) {
            long from = System.nanoTime();
            work.run();
            millis[k] = (System.nanoTime() - from) / 1e6;
        }
        Arrays.sort(millis);
        System.out.printf(
                "%-42s median %6.1f ms, 19 of 20 under %6.1f ms, longest %6.1f ms%n",
                what, millis[MEASURED / 2], millis[MEASURED * 19 / 20], millis[MEASURED - 1]);
    }

    /** How long the nearest mix of forty paints takes, in a film over skin. */
    private static void recipes() {
        List<Paint> kit = Paints.drawn(40, 40);
        Reflectance skin = Reflectance.of(Srgb.hex("#c9a88c").lab());
        long[] millis = new long[40];
        for (int k = 0; k < millis.length; k++) {
            Lab aim = Paint.mix(List.of(new Paint.Share(kit.get(k), 2), new Paint.Share(kit.get((k + 7) % 40), 1)))
                    .masstone()
                    .lab();
            long from = System.nanoTime();
            Recipes.nearest(kit, aim, skin, 20, 3);
            millis[k] = (System.nanoTime() - from) / 1_000_000;
        }
        // the first ten warm up
        Arrays.sort(millis, 10, 40);
        System.out.printf("nearest mix of 40 paints: median %d ms, 19 of 20 under %d ms%n", millis[25], millis[38]);
    }
}
