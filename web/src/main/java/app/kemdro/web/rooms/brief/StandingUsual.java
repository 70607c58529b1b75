package app.kemdro.web.rooms.brief;

import app.kemdro.web.parts.typed.Fields;
import app.kemdro.web.parts.typed.StandingForm;
import app.kemdro.web.records.usual.UsualHouses;
import java.time.Clock;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** What the house usually has, as it stands. */
@Component
class StandingUsual implements StandingForm {
    /** What of a brief is not of one day only; rows of the crew besides. */
    private static final Set<String> USUAL = Set.of(
            "callHour",
            "temperature",
            "humidity",
            "dryers",
            "atSensor",
            "costumeMinutes",
            "benchDays",
            "breakEvery",
            "breakMinutes",
            "mealMinutes");

    private final UsualHouses houses;
    private final StandingBrief brief;
    private final Clock clock;

    StandingUsual(UsualHouses houses, StandingBrief brief, Clock clock) {
        this.houses = houses;
        this.brief = brief;
        this.clock = clock;
    }

    @Override
    public String at() {
        return "/house/usual";
    }

    @Override
    public Optional<Map<String, List<String>>> now(Sent sent) {
        return houses.now().map(usual -> {
            Map<String, List<String>> all = new LinkedHashMap<>(
                    Fields.of(FreshBrief.of(LocalDate.now(clock), List.of(), "", Optional.of(usual))));
            all.keySet().removeIf(f -> !USUAL.contains(f) && !f.startsWith("crew["));
            return all;
        });
    }

    @Override
    public String page(Sent sent) {
        return at();
    }

    @Override
    public Set<String> sets() {
        return Set.of();
    }

    @Override
    public String called(String field) {
        return brief.called(field);
    }

    @Override
    public String said(String field, List<String> values) {
        return brief.said(field, values);
    }
}
