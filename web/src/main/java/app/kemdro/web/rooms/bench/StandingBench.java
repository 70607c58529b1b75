package app.kemdro.web.rooms.bench;

import app.kemdro.core.plan.BenchDays.Hours;
import app.kemdro.web.parts.typed.StandingForm;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import java.time.DayOfWeek;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** When the bench is worked at and what is made, as it stands. */
@Component
class StandingBench implements StandingForm {
    private final Jobs jobs;

    StandingBench(Jobs jobs) {
        this.jobs = jobs;
    }

    @Override
    public String at() {
        return "/jobs/{id}/bench";
    }

    @Override
    public Optional<Map<String, List<String>>> now(Sent sent) {
        return Optional.of(fields(jobs.get(sent.id())));
    }

    static Map<String, List<String>> fields(Job job) {
        Hours hours = job.benchHours();
        return Map.of(
                "from", List.of(hours.from().toString()),
                "until", List.of(hours.until().toString()),
                "hands", List.of(Integer.toString(hours.hands())),
                "off", hours.off().stream().sorted().map(DayOfWeek::name).toList(),
                "made", List.copyOf(job.made()));
    }

    @Override
    public String page(Sent sent) {
        return "/jobs/" + sent.id() + "/bench";
    }

    @Override
    public Set<String> sets() {
        return Set.of("off", "made");
    }

    @Override
    public String called(String field) {
        return switch (field) {
            case "from" -> "The bench is worked at from";
            case "until" -> "until";
            case "hands" -> "Pairs of hands";
            case "off" -> "Days off";
            default -> "What is made already";
        };
    }
}
