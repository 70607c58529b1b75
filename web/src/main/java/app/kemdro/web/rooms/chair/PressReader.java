package app.kemdro.web.rooms.chair;

import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.Stamp;
import app.kemdro.web.parts.mishap.NotPossible;
import app.kemdro.web.parts.print.Printable;
import app.kemdro.web.records.run.EventFormat;
import app.kemdro.web.records.run.Run;
import app.kemdro.web.records.run.Runs;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;
import tools.jackson.databind.node.StringNode;

/** Reads what a device reports: what it says is made printable and kept short; when it was is for the server to say. */
@Component
class PressReader {
    private static final int LONGEST_TEXT = 500;
    private static final int LONGEST_NAME = 60;
    private static final int LONGEST_STEP = 200;
    private static final int LONGEST_HANDS = 40;
    private static final Duration LONGEST_KEPT = Duration.ofHours(12);

    /** A report older than this was kept on a device that was cut off. */
    private static final long KEPT_MS = 3000;

    /** The form a report is in that does not say which. */
    private static final int FIRST = 1;

    private final EventFormat format;
    private final Runs runs;

    PressReader(EventFormat format, Runs runs) {
        this.format = format;
        this.runs = runs;
    }

    /** Whether it was kept on a device that was cut off. */
    static boolean wasKept(ObjectNode report) {
        return report.path("ago").asLong(0) > KEPT_MS;
    }

    /**
     * What was reported of this run.
     *
     * @param report id, type, version, hands, device, ago (how long ago it was pressed, milliseconds by the device's own count,
     *     where the device had been cut off) and the fields of its kind
     * @throws NotPossible where it cannot be read
     */
    RunEvent read(ObjectNode report, Run run) {
        String id = report.path("id").asString("");
        if (!id.matches("[A-Za-z0-9_-]{8,55}")) {
            throw new NotPossible("Every report needs an id of its own: 8 to 55 letters, digits or dashes.");
        }
        ObjectNode said = report.deepCopy();
        said.propertyStream().toList().forEach(f -> said.set(f.getKey(), tidy(f.getValue())));
        String device = said.path("device").asString("");
        if (device.length() > LONGEST_NAME || said.path("step").asString("").length() > LONGEST_STEP) {
            throw new NotPossible("The report names no device or step of this run.");
        }
        String hands = said.path("hands").asString("");
        if (hands.length() > LONGEST_HANDS) {
            throw new NotPossible("Names of hands take up to " + LONGEST_HANDS + " letters.");
        }
        long ago = report.path("ago").asLong(0);
        Stamp stamp = new Stamp(id, when(run, ago), hands, device);
        try {
            RunEvent event = format.read(
                    said.path("type").asString(""), said.path("version").asInt(FIRST), stamp, said);
            // what was begun while the line was down has begun
            return event instanceof RunEvent.Start start && wasKept(report)
                    ? new RunEvent.Start(stamp, start.step(), start.mode(), true)
                    : event;
        } catch (IllegalArgumentException wrong) {
            throw new NotPossible(wrong.getMessage());
        }
    }

    private static JsonNode tidy(JsonNode value) {
        if (!value.isString()) {
            return value;
        }
        String text = Printable.of(value.asString()).strip();
        if (text.length() > LONGEST_TEXT) {
            throw new NotPossible("Keep it under " + LONGEST_TEXT + " letters; this has " + text.length() + ".");
        }
        return StringNode.valueOf(text);
    }

    /** When something happened that was pressed so long ago; never before the run began. */
    private LocalDateTime when(Run run, long agoMillis) {
        long kept = Math.max(0, Math.min(LONGEST_KEPT.toMillis(), agoMillis));
        LocalDateTime at = runs.now(run)
                .minus(Duration.ofMillis(kept * Math.max(1, run.pace())))
                .truncatedTo(ChronoUnit.SECONDS);
        return at.isBefore(run.beganAt()) ? run.beganAt() : at;
    }
}
