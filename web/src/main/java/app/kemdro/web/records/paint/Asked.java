package app.kemdro.web.records.paint;

import app.kemdro.core.colour.Lab;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What is asked at the paint table. It stands in the address, so that it can be gone back to and sent on.
 *
 * @param mix parts by the swatch's id, in the order in which they were taken up
 * @param on ground that the film lies on
 * @param coats coats that are looked at
 * @param aim colour that a recipe is wanted for, as typed
 * @param shadow colour of a cast that is to be neutralised, as typed
 */
public record Asked(Map<Long, Integer> mix, String on, int coats, String aim, String shadow) {
    static final int MOST_PAINTS = 6;
    static final int MOST_PARTS = 60;
    static final int MOST_COATS = 12;

    /** Reads an address; what cannot be meant is left aside. */
    public static Asked of(String mix, String on, int coats, String aim, String shadow) {
        Map<Long, Integer> parts = new LinkedHashMap<>();
        for (String part : mix.split(",")) {
            if (part.matches("\\d{1,12}:\\d{1,3}") && parts.size() < MOST_PAINTS) {
                String[] two = part.split(":");
                parts.put(Long.parseLong(two[0]), Math.max(1, Math.min(MOST_PARTS, Integer.parseInt(two[1]))));
            }
        }
        return new Asked(parts, on, Math.max(1, Math.min(MOST_COATS, coats)), aim.strip(), shadow.strip());
    }

    /** The colour aimed at; empty where nothing was typed. */
    public Optional<Lab> aimed() {
        return aim.isEmpty() ? Optional.empty() : Optional.of(SwatchReading.colour(aim));
    }

    public Optional<Lab> cast() {
        return shadow.isEmpty() ? Optional.empty() : Optional.of(SwatchReading.colour(shadow));
    }

    public Asked adding(long swatch, int more) {
        Map<Long, Integer> next = new LinkedHashMap<>(mix);
        int now = next.getOrDefault(swatch, 0) + more;
        if (now <= 0) {
            next.remove(swatch);
        } else if (now <= MOST_PARTS && (mix.containsKey(swatch) || mix.size() < MOST_PAINTS)) {
            next.put(swatch, now);
        }
        return new Asked(next, on, coats, aim, shadow);
    }

    public Asked mixing(Map<Long, Integer> other) {
        return new Asked(new LinkedHashMap<>(other), on, coats, aim, shadow);
    }

    /** The same table, aiming at another colour. */
    public Asked aiming(String colour) {
        return new Asked(mix, on, coats, colour, shadow);
    }

    Asked on(String ground) {
        return new Asked(mix, ground, coats, aim, shadow);
    }

    Asked coats(int other) {
        return new Asked(mix, on, other, aim, shadow);
    }

    public String mixText() {
        List<String> parts = new ArrayList<>();
        mix.forEach((id, n) -> parts.add(id + ":" + n));
        return String.join(",", parts);
    }

    /** The query of an address. */
    public String query() {
        return "?mix=" + mixText() + "&on=" + word(on) + "&coats=" + coats + "&aim=" + word(aim) + "&shadow="
                + word(shadow);
    }

    private static String word(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }
}
