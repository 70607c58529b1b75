package app.kemdro.web.rooms.brief;

import app.kemdro.core.plan.Problem;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.springframework.util.StringUtils;

/** Each part of a brief in a line that can be read, so that nobody meets thirty fields; what is wrong is open. */
final class BriefLines {
    private static final Map<String, Set<String>> FIELDS = Map.of(
            "like", Set.of("idea", "production", "lastsHours", "benchDays"),
            "sits", Set.of("height", "weight", "head"),
            "when", Set.of("chairIn", "costumeMinutes"),
            "hands", Set.of("crew"),
            "rest", Set.of("breakEvery", "breakMinutes", "mealMinutes"),
            "room", Set.of("temperature", "humidity", "dryers"));

    private static final Map<String, Pattern> WORDS = Map.of(
            "sits", Pattern.compile("head|Height|Weight"),
            "when", Pattern.compile("[Cc]hair-?[Ii]n|Costume"),
            "hands", Pattern.compile("hands|crew|artist|works"),
            "rest", Pattern.compile("[Bb]reak|meal"),
            "room", Pattern.compile("Humidity|°C|Dryers"));

    private BriefLines() {}

    /**
     * The lines by their part.
     *
     * @param zone what a zone that must vanish is called
     * @param reaction what a reaction is called
     */
    static Map<String, String> of(BriefForm form, UnaryOperator<String> zone, UnaryOperator<String> reaction) {
        return Map.of(
                "like", like(form),
                "sits", sits(form, zone, reaction),
                "when", when(form),
                "hands", hands(form),
                "rest",
                        "A break of " + form.getBreakMinutes() + " min every " + form.getBreakEvery()
                                + ", every third a meal of " + form.getMealMinutes() + ".",
                "room", room(form));
    }

    /** Parts in which something typed cannot be meant, or is refused; of a refusal it is read off its words. */
    static Set<String> open(Map<String, String> wrong, List<Problem> refusals) {
        Set<String> open = new HashSet<>(wrongIn(wrong));
        refusals.forEach(p -> WORDS.entrySet().stream()
                .filter(w -> w.getValue().matcher(p.what()).find())
                .map(Map.Entry::getKey)
                .forEach(open::add));
        return open;
    }

    private static Set<String> wrongIn(Map<String, String> wrong) {
        return FIELDS.entrySet().stream()
                .filter(f ->
                        wrong.keySet().stream().anyMatch(w -> f.getValue().contains(w) || w.startsWith(f.getKey())))
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
    }

    private static String like(BriefForm form) {
        List<String> all = new ArrayList<>();
        if (!form.getProduction().isBlank()) {
            all.add(form.getProduction());
        }
        all.add("seen by " + words(form.getSeen()));
        all.add(form.getLastsHours() + " h on the face");
        all.add(form.getBenchDays() + " days to make pieces");
        if (form.isMoneyShort()) {
            all.add("kept cheap");
        }
        return sentence(all);
    }

    private static String sits(BriefForm form, UnaryOperator<String> zone, UnaryOperator<String> reaction) {
        List<String> all = new ArrayList<>();
        measure(all, "head ", form.getHead(), " cm");
        measure(all, "", form.getHeight(), " cm tall");
        measure(all, "", form.getWeight(), " kg");
        all.add(words(form.getBrows()) + " brows");
        all.add("hair " + words(form.getHair()));
        if (!form.getMustVanish().isEmpty()) {
            all.add(form.getMustVanish().stream().map(zone).sorted().collect(Collectors.joining(", "))
                    + " must vanish");
        }
        if (!form.getReactsTo().isEmpty()) {
            all.add("reacts to "
                    + form.getReactsTo().stream().map(reaction).sorted().collect(Collectors.joining(", ")));
        }
        if (form.isSelfApplied()) {
            all.add("on one's own face");
        }
        return sentence(all);
    }

    private static String when(BriefForm form) {
        return (form.getChairIn().isBlank() ? "Chair-in as the call asks" : "Chair-in " + form.getChairIn())
                + "; costume, drink and toilet " + form.getCostumeMinutes() + " min.";
    }

    private static String hands(BriefForm form) {
        String all = form.getCrew().stream()
                .filter(h -> !h.getName().isBlank())
                .map(h -> h.getName() + ", " + words(h.getSkill()) + hour(", from ", h.getFrom())
                        + hour(" until ", h.getUntil()))
                .collect(Collectors.joining("; "));
        return all.isEmpty() ? "Nobody yet." : all + ".";
    }

    private static String room(BriefForm form) {
        String dryers = switch (form.getDryers().strip()) {
            case "", "0" -> "no dryer";
            case "1" -> "one dryer";
            case "2" -> "two dryers";
            default -> form.getDryers() + " dryers";
        };
        return form.getTemperature() + " °C, " + form.getHumidity() + " %, " + dryers
                + (form.isAtSensor() ? "; follows the sensor." : ".");
    }

    private static void measure(List<String> all, String before, String value, String unit) {
        if (!value.isBlank()) {
            all.add(before + value + unit);
        }
    }

    private static String hour(String before, String hour) {
        return hour.isBlank() ? "" : before + hour;
    }

    private static String words(Enum<?> one) {
        return one.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    private static String sentence(List<String> all) {
        return StringUtils.capitalize(String.join(", ", all)) + ".";
    }
}
