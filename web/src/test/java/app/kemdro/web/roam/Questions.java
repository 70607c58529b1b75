package app.kemdro.web.roam;

import app.kemdro.core.layer.Verdict;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.schedule.ScheduleCheck;
import app.kemdro.web.records.plan.Plans;
import java.util.ArrayList;
import java.util.List;

/** Everything that must be true of a plan, whatever led to it. */
final class Questions {
    private final Visit visit;

    Questions(Visit visit) {
        this.visit = visit;
    }

    /** Everything that is asked of a plan, whatever led to it. */
    void asked(String when) {
        Plans.Answer answer = visit.on().plans().of(visit.job());
        if (answer.planning() instanceof Planning.Refused refused) {
            boolean said = !refused.problems().isEmpty()
                    && refused.problems().stream()
                            .allMatch(p -> !p.what().isBlank() && !p.remedy().isBlank());
            if (!said) {
                visit.wrong(when + ": no plan, and no word why");
            }
            if (refused.problems().get(0).what().contains("could not be planned")) {
                visit.wrong(when + ": planning stumbled");
            }
            visit.on().count("plans refused");
            return;
        }
        visit.on().count("plans");
        Plan plan = answer.plan().orElseThrow();
        visit.none(ScheduleCheck.problems(plan.network(), plan.schedule()), when + ": the schedule is not sound");
        visit.none(visit.on().afresh().problems(plan, plan.schedule()), when + ": by the data read afresh");
        List<String> failing = new ArrayList<>();
        plan.stacks()
                .forEach((zone, stack) -> stack.layers().stream()
                        .filter(l -> fails(l.boundary().verdict()))
                        .forEach(l -> failing.add(l.entry() + " " + l.material().id() + " on " + zone)));
        failing.stream()
                .filter(f -> f.startsWith("auto-") || f.startsWith("mend-"))
                .findFirst()
                .ifPresent(f -> visit.wrong(when + ": Kemdro itself put there what fails: " + f));
        boolean said = answer.problems().stream()
                .anyMatch(p -> p.what().contains("will fail") || p.what().contains("may never lie there"));
        if (!failing.isEmpty() && !said) {
            visit.wrong(when + ": nobody says that " + failing.get(0) + " fails");
        }
    }

    private static boolean fails(Verdict verdict) {
        return verdict == Verdict.FAILS || verdict == Verdict.FORBIDDEN;
    }

    long failing() {
        return visit.plan()
                .map(p -> p.stacks().values().stream()
                        .flatMap(s -> s.layers().stream())
                        .filter(l -> fails(l.boundary().verdict()))
                        .count())
                .orElse(0L);
    }

    /** After something that Kemdro offered: it neither ended the plan nor made layers fail. */
    void offered(long before, String what) {
        if (visit.plan().isEmpty()) {
            visit.wrong(what + " ended the plan: "
                    + visit.on().plans().of(visit.job()).problems().get(0).what());
        }
        if (failing() > before) {
            visit.wrong(what + " made layers fail");
        }
    }
}
