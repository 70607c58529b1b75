package app.kemdro.web.records.keeping;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A backup that lies in the folder of backups. One that stands there under such a name was read back whole when it was made.
 *
 * @param at moment it is of
 * @param bytes size of the file
 */
public record Backup(Path file, Instant at, Why why, long bytes) {
    private static final DateTimeFormatter STAMP =
            DateTimeFormatter.ofPattern("uuuuMMdd'T'HHmmss'Z'").withZone(ZoneOffset.UTC);
    private static final Pattern NAME = Pattern.compile("kemdro-(\\d{8}T\\d{6}Z)-([a-z]+)\\.backup");

    /** Why it was made. */
    public enum Why {
        NIGHT("of the night"),
        RUN("after a run"),
        ASKED("asked for"),
        BEFORE("before a newer Kemdro changed the data");

        private final String says;

        Why(String says) {
            this.says = says;
        }

        /** It in words. */
        public String says() {
            return says;
        }
    }

    static String name(Instant at, Why why) {
        return "kemdro-" + STAMP.format(at.truncatedTo(ChronoUnit.SECONDS)) + "-"
                + why.name().toLowerCase(Locale.ROOT) + ".backup";
    }

    static Optional<Backup> of(Path file) {
        Matcher name = NAME.matcher(file.getFileName().toString());
        if (!name.matches()) {
            return Optional.empty();
        }
        try {
            Why why = Why.valueOf(name.group(2).toUpperCase(Locale.ROOT));
            return Optional.of(new Backup(file, STAMP.parse(name.group(1), Instant::from), why, Files.size(file)));
        } catch (IllegalArgumentException | DateTimeException other) {
            return Optional.empty();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** By which it is asked for. */
    public String name() {
        return file.getFileName().toString();
    }
}
