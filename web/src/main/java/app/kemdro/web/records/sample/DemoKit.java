package app.kemdro.web.records.sample;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Objects;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;

/** The kit of the invented production, as a CSV file whose days are counted from today: {@code today-40} is 40 days ago. */
final class DemoKit {
    private static final Pattern DAY = Pattern.compile("today([+-]\\d+)");

    private DemoKit() {}

    static String csv(LocalDate today) {
        return DAY.matcher(text("/demo/kit.csv"))
                .replaceAll((MatchResult m) ->
                        today.plusDays(Long.parseLong(m.group(1))).toString());
    }

    /** The paints of the kit, as swatches. */
    static String paints() {
        return text("/demo/paints.csv");
    }

    /** A drawing of the invented production. */
    static byte[] picture(String name) {
        return bytes("/demo/" + name + ".jpg");
    }

    private static String text(String file) {
        return new String(bytes(file), StandardCharsets.UTF_8);
    }

    private static byte[] bytes(String file) {
        try (InputStream in = Objects.requireNonNull(DemoKit.class.getResourceAsStream(file))) {
            return in.readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
