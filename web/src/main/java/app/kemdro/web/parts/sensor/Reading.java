package app.kemdro.web.parts.sensor;

import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What a room sensor said once. One line each, in US-ASCII: {@code KR1 <instant> T=<°C> RH=<percent>}, as in
 * {@code KR1 2026-12-03T05:00:00Z T=21.4 RH=47.2}.
 *
 * @param temperatureC −20 to 60 °C
 * @param humidityPercent 0 to 100 %
 */
public record Reading(Instant at, double temperatureC, double humidityPercent) {
    private static final Pattern LINE =
            Pattern.compile("KR1 (\\S{1,40}) T=(-?\\d{1,2}(?:\\.\\d{1,3})?) RH=(\\d{1,3}(?:\\.\\d{1,3})?)\\s*");

    /** Reads a line; one that is not of this shape or says what no room is like is passed over. */
    static Optional<Reading> of(String line) {
        Matcher parts = LINE.matcher(line);
        if (!parts.matches()) {
            return Optional.empty();
        }
        try {
            double temperature = Double.parseDouble(parts.group(2));
            double humidity = Double.parseDouble(parts.group(3));
            return temperature < -20 || temperature > 60 || humidity > 100
                    ? Optional.empty()
                    : Optional.of(new Reading(Instant.parse(parts.group(1)), temperature, humidity));
        } catch (DateTimeParseException e) {
            return Optional.empty();
        }
    }

    /** The line that says this. */
    String line() {
        return "KR1 %s T=%.1f RH=%.1f".formatted(at, temperatureC, humidityPercent);
    }
}
