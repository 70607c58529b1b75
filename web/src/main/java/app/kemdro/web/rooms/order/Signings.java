package app.kemdro.web.rooms.order;

import app.kemdro.core.plan.Plan;
import app.kemdro.core.question.Answer;
import app.kemdro.core.question.Calmer;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.plan.KnownOf;
import app.kemdro.web.records.plan.Plans;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;

/** What is asked of an order before it is signed, and other orders of the same work; found once for each plan. */
@Service
class Signings {
    private final Plans plans;
    private final Calmer calmer;
    private final KnownOf<Choices> found = new KnownOf<>();
    private final KnownOf<Calmer.Order> asked = new KnownOf<>();

    Signings(Plans plans) {
        this.plans = plans;
        this.calmer = plans.calmer();
    }

    /**
     * Other orders of a job.
     *
     * @param between from the shortest to the calmest
     * @param mending by question, for those that are answered with no and can be mended
     */
    record Choices(Calmer.Order now, List<Calmer.Order> between, Map<String, Calmer.Order> mending) {}

    /** What is true of the order as it is. */
    List<Answer> answers(Job job, Plan plan) {
        return now(job, plan).answers();
    }

    private Calmer.Order now(Job job, Plan plan) {
        Plans.Answer answer = plans.of(job);
        return asked.of(answer, () -> calmer.now(plan, answer.look()));
    }

    /** Looks for other orders; takes a second or so the first time. */
    Choices choices(Job job, Plan plan) {
        return found.of(plans.of(job), () -> look(job, plan));
    }

    private Choices look(Job job, Plan plan) {
        var look = plans.of(job).look();
        Calmer.Order now = now(job, plan);
        List<Calmer.Order> between = calmer.between(plan, look);
        Map<String, Calmer.Order> mending = new LinkedHashMap<>();
        now.answers().stream()
                .filter(a -> !a.yes())
                .forEach(a -> calmer.mending(a, now, plan, look, between)
                        .ifPresent(o -> mending.put(a.question().id(), o)));
        return new Choices(now, between, mending);
    }
}
