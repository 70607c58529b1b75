package app.kemdro.web.rooms.safety;

import app.kemdro.core.safety.HealthRecord;
import app.kemdro.web.parts.typed.StandingForm;
import app.kemdro.web.records.job.Jobs;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** What was asked of the performer before, as it stands. */
@Component
class StandingCare implements StandingForm {
    private final Jobs jobs;

    StandingCare(Jobs jobs) {
        this.jobs = jobs;
    }

    @Override
    public String at() {
        return "/jobs/{id}/safety";
    }

    @Override
    public Optional<Map<String, List<String>>> now(Sent sent) {
        return Optional.of(fields(jobs.get(sent.id()).performer().care()));
    }

    static Map<String, List<String>> fields(HealthRecord care) {
        return Map.of(
                "lensHours", List.of(Integer.toString(care.lensHours())),
                "panics", tick(care.panics()),
                "minor", tick(care.minor()),
                "guardian", tick(care.guardian()),
                "broken", care.broken().stream().sorted().toList());
    }

    private static List<String> tick(boolean yes) {
        return yes ? List.of("true") : List.of();
    }

    @Override
    public String page(Sent sent) {
        return "/jobs/" + sent.id() + "/safety";
    }

    @Override
    public Set<String> sets() {
        return Set.of("broken");
    }

    @Override
    public String called(String field) {
        return switch (field) {
            case "lensHours" -> "Lenses fitted for, hours";
            case "panics" -> "Trouble with masks or breathing";
            case "minor" -> "Not of age";
            case "guardian" -> "A guardian is there and agrees";
            default -> "Skin that is broken or irritated";
        };
    }
}
