package app.kemdro.web.rooms.brief;

import app.kemdro.web.parts.typed.Fields;
import app.kemdro.web.parts.typed.StandingForm;
import app.kemdro.web.records.job.Jobs;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** The brief as it stands, for those who have it open. */
@Component
class StandingBrief implements StandingForm {
    private static final Map<String, String> CALLED = Map.ofEntries(
            Map.entry("title", "Who the character is"),
            Map.entry("idea", "What the character is like"),
            Map.entry("lastsHours", "On the face for, hours"),
            Map.entry("benchDays", "Days to make pieces"),
            Map.entry("moneyShort", "Keep it cheap"),
            Map.entry("seen", "Seen from"),
            Map.entry("head", "Head size, cm"),
            Map.entry("height", "Height, cm"),
            Map.entry("weight", "Weight, kg"),
            Map.entry("mustVanish", "Must vanish"),
            Map.entry("reactsTo", "Reacts to"),
            Map.entry("callHour", "Call"),
            Map.entry("callDay", "Day of the call"),
            Map.entry("chairIn", "Chair-in"),
            Map.entry("costumeMinutes", "Costume, drink and toilet, min"),
            Map.entry("crew", "Whose hands"),
            Map.entry("breakEvery", "A break every, min"),
            Map.entry("breakMinutes", "A break for, min"),
            Map.entry("mealMinutes", "A meal, min"),
            Map.entry("temperature", "Temperature, °C"),
            Map.entry("humidity", "Humidity, %"),
            Map.entry("dryers", "Hand dryers"),
            Map.entry("covers", "What costume covers"),
            Map.entry("selfApplied", "Applied to one's own face"),
            Map.entry("atSensor", "Follows the room's air"));

    /** What a field is called, without its unit. */
    static String name(String field) {
        return CALLED.getOrDefault(field, field).split(",")[0];
    }

    private final Jobs jobs;

    StandingBrief(Jobs jobs) {
        this.jobs = jobs;
    }

    @Override
    public String at() {
        return "/jobs/{id}/brief";
    }

    @Override
    public Optional<Map<String, List<String>>> now(Sent sent) {
        return Optional.of(Fields.of(BriefForm.of(jobs.get(sent.id()))));
    }

    @Override
    public String page(Sent sent) {
        return "/jobs/" + sent.id() + "/brief";
    }

    @Override
    public Set<String> sets() {
        return Set.of("reactsTo", "covers", "mustVanish");
    }

    @Override
    public String called(String field) {
        String called = CALLED.get(field);
        return called == null ? StandingForm.super.called(field) : called;
    }

    @Override
    public String said(String field, List<String> values) {
        return values.equals(List.of("true")) ? "yes" : StandingForm.super.said(field, values);
    }
}
