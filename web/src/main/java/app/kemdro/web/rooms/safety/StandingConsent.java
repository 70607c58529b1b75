package app.kemdro.web.rooms.safety;

import app.kemdro.core.safety.Safety.Procedure;
import app.kemdro.web.parts.typed.StandingForm;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.safety.Gate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** What the performer agreed to, as it stands. */
@Component
class StandingConsent implements StandingForm {
    private static final String AGREED = "agreed";

    private final Jobs jobs;
    private final Plans plans;
    private final Gate gate;

    StandingConsent(Jobs jobs, Plans plans, Gate gate) {
        this.jobs = jobs;
        this.plans = plans;
        this.gate = gate;
    }

    /** What has to be agreed to as the job is planned now. */
    Set<String> asked(Job job) {
        return plans.of(job).plan().stream()
                .flatMap(p -> gate.procedures(p).stream())
                .map(Procedure::id)
                .collect(Collectors.toSet());
    }

    @Override
    public String at() {
        return "/jobs/{id}/safety/consent";
    }

    @Override
    public Optional<Map<String, List<String>>> now(Sent sent) {
        return Optional.of(fields(jobs.get(sent.id())));
    }

    Map<String, List<String>> fields(Job job) {
        return Map.of(
                AGREED,
                asked(job).stream().filter(job.consents()::contains).sorted().toList());
    }

    @Override
    public String page(Sent sent) {
        return "/jobs/" + sent.id() + "/safety";
    }

    @Override
    public Set<String> sets() {
        return Set.of(AGREED);
    }

    @Override
    public String called(String field) {
        return "What the performer agrees to";
    }
}
