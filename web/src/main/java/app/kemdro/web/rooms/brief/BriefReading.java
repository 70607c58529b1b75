package app.kemdro.web.rooms.brief;

import app.kemdro.core.hour.Wall;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Breaks;
import app.kemdro.core.look.Brief.Hands;
import app.kemdro.core.look.Brief.Performer;
import app.kemdro.core.look.Brief.Purpose;
import app.kemdro.core.look.Brief.Room;
import app.kemdro.core.plan.BriefCheck;
import app.kemdro.web.parts.typed.TypedDay;
import app.kemdro.web.parts.typed.TypedHour;
import jakarta.validation.Validator;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;

/** Reads the form; complaints are kept under the field they are about. */
final class BriefReading {
    /** A number that could be meant, for whoever typed none. */
    private static final Map<String, String> SUCH_AS = Map.ofEntries(
            Map.entry("temperature", "17"),
            Map.entry("humidity", "45"),
            Map.entry("head", "56.5"),
            Map.entry("height", "172"),
            Map.entry("weight", "68"),
            Map.entry("dryers", "1"),
            Map.entry("lastsHours", "6"),
            Map.entry("benchDays", "3"),
            Map.entry("breakEvery", "120"),
            Map.entry("mealMinutes", "30"));

    private final BriefForm form;
    private final LocalDate today;
    private final Map<String, String> wrong = new TreeMap<>();

    BriefReading(BriefForm form, Validator validator, LocalDate today) {
        this.form = form;
        this.today = today;
        // a row of the table of hands is complained of as the table
        validator
                .validate(form)
                .forEach(v -> wrong.put(v.getPropertyPath().toString().replaceAll("\\[.*", ""), v.getMessage()));
    }

    Map<String, String> wrong() {
        return wrong;
    }

    Optional<Brief> brief() {
        LocalDateTime call = call();
        List<Hands> hands = hands(call);
        Performer who = new Performer(
                form.getPerformer().strip(),
                (int) number("height", form.getHeight(), 0),
                (int) number("weight", form.getWeight(), 0),
                number("head", form.getHead(), 0),
                new LinkedHashSet<>(form.getReactsTo()),
                form.getBrows(),
                form.getHair(),
                new LinkedHashSet<>(form.getFineHair()));
        Room room = new Room(
                number("temperature", form.getTemperature(), Double.NaN),
                number("humidity", form.getHumidity(), Double.NaN),
                (int) number("dryers", form.getDryers(), 0));
        Optional<LocalDateTime> seat = seat(call);
        int costume = (int) number("costumeMinutes", form.getCostumeMinutes(), 0);
        Purpose purpose = new Purpose(
                form.getSeen(),
                within("lastsHours", form.getLastsHours(), 48, "Hours it must last: 0 to 48."),
                Set.copyOf(form.getMustVanish()),
                form.isMoneyShort(),
                within("benchDays", form.getBenchDays(), 60, "Free days on the bench: 0 to 60."));
        Optional<Breaks> breaks = breaks();
        if (!wrong.isEmpty() || breaks.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(new Brief(
                call,
                seat,
                who,
                hands,
                room,
                Set.copyOf(form.getCovers()),
                costume,
                form.isSelfApplied(),
                purpose,
                breaks.get()));
    }

    private Optional<Breaks> breaks() {
        int every = within("breakEvery", form.getBreakEvery(), 240, "A break every 20 to 240 minutes.");
        int length = within("breakMinutes", form.getBreakMinutes(), 60, "A break lasts 5 to 60 minutes.");
        int meal =
                within("mealMinutes", form.getMealMinutes(), 90, "A meal lasts as long as a break, up to 90 minutes.");
        if (every < 20) {
            wrong.put("breakEvery", "A break every 20 to 240 minutes.");
        } else if (length < 5) {
            wrong.put("breakMinutes", "A break lasts 5 to 60 minutes.");
        } else if (meal < length) {
            wrong.put("mealMinutes", "A meal lasts as long as a break, up to 90 minutes.");
        } else {
            return Optional.of(new Breaks(every, length, meal));
        }
        return Optional.empty();
    }

    private int within(String field, String typed, int most, String says) {
        double value = number(field, typed, 0);
        if (value < 0 || value > most) {
            wrong.put(field, says);
        }
        return (int) value;
    }

    private LocalDateTime call() {
        try {
            LocalDate day = TypedDay.meant(form.getCallDay(), today);
            if (!BriefCheck.isDay(day, today)) {
                wrong.put(
                        "call", "Set the call at most five years back or ahead; " + day.getYear() + " is farther off.");
            }
            LocalDateTime call = day.atTime(TypedHour.meant(form.getCallHour()));
            Wall.doubt(call).ifPresent(doubt -> wrong.put("call", doubt));
            // hours typed below are those of this night
            Wall.of(call);
            return call;
        } catch (DateTimeParseException e) {
            wrong.put("call", "Set the call as a day and an hour, such as 3 Dec and 07:45.");
            return LocalDateTime.of(2000, 1, 1, 0, 0);
        }
    }

    private Optional<LocalDateTime> seat(LocalDateTime call) {
        if (form.getChairIn().isBlank()) {
            return Optional.empty();
        }
        return hour("chairIn", form.getChairIn()).map(t -> before(call, t));
    }

    /** An hour of the night before belongs to the day before. */
    private LocalDateTime before(LocalDateTime call, LocalTime time) {
        LocalDateTime same = call.toLocalDate().atTime(time);
        return Wall.line(same.isBefore(call) || same.equals(call) || time.getHour() < 18 ? same : same.minusDays(1));
    }

    private Optional<LocalTime> hour(String field, String typed) {
        try {
            return Optional.of(TypedHour.meant(typed));
        } catch (DateTimeParseException e) {
            wrong.put(field, "'" + typed + "' is no hour; write it as 05:00.");
            return Optional.empty();
        }
    }

    private List<Hands> hands(LocalDateTime call) {
        List<Hands> hands = new ArrayList<>();
        for (HandsForm line : form.getCrew()) {
            if (line.getName().isBlank()) {
                continue;
            }
            LocalDateTime from = line.getFrom().isBlank()
                    ? call.minusHours(14)
                    : hour("crew", line.getFrom()).map(t -> before(call, t)).orElse(call.minusHours(14));
            LocalDateTime until = line.getUntil().isBlank()
                    ? call.plusHours(10)
                    : hour("crew", line.getUntil())
                            .map(t -> untilAfter(call, from, t))
                            .orElse(call.plusHours(10));
            hands.add(new Hands(line.getName().strip(), line.getSkill(), from, until));
        }
        return hands;
    }

    private LocalDateTime untilAfter(LocalDateTime call, LocalDateTime from, LocalTime time) {
        LocalDateTime same = call.toLocalDate().atTime(time);
        return Wall.line(same.isAfter(from) || from.toLocalDate().equals(call.toLocalDate()) ? same : same.plusDays(1));
    }

    private double number(String field, String typed, double whenEmpty) {
        if (typed.isBlank() && !Double.isNaN(whenEmpty)) {
            return whenEmpty;
        }
        try {
            double value = Double.parseDouble(typed.strip().replace(',', '.'));
            if (Double.isFinite(value) && Math.abs(value) < 100_000) {
                return value;
            }
        } catch (NumberFormatException e) {
            // said below, the same way as for a number that is out of all proportion
        }
        wrong.put(
                field,
                StandingBrief.name(field) + " needs a number, such as " + SUCH_AS.getOrDefault(field, "10") + ".");
        return 0;
    }
}
