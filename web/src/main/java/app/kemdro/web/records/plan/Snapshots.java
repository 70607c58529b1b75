package app.kemdro.web.records.plan;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.schedule.Schedule;
import java.util.Optional;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Looks, briefs and schedules as they were, as JSON that says the version of its form. Whoever gives a component of these another
 * name or meaning raises the version, and lifts here what is older before it is read; a test holds the names.
 */
@Component
public class Snapshots {
    /** The version in which they are written today. The first form said none. */
    private static final int VERSION = 2;

    private static final String FORM = "form";
    private static final String KEPT = "kept";

    private final JsonMapper mapper;

    public Snapshots(JsonMapper mapper) {
        this.mapper = mapper;
    }

    /** A look, a brief or a schedule, as it is kept. */
    public String write(Record what) {
        return mapper.writeValueAsString(
                mapper.createObjectNode().put(FORM, VERSION).set(KEPT, mapper.valueToTree(what)));
    }

    public Look look(String text) {
        return read(text, Look.class);
    }

    /** A look that is only offered; empty where there is none, or what is kept cannot be read any more. */
    public Optional<Look> lookIfRead(String text) {
        try {
            return text.isEmpty() ? Optional.empty() : Optional.of(look(text));
        } catch (JacksonException e) {
            return Optional.empty();
        }
    }

    public Brief brief(String text) {
        return read(text, Brief.class);
    }

    public Schedule schedule(String text) {
        return read(text, Schedule.class);
    }

    private <T> T read(String text, Class<T> type) {
        JsonNode kept = mapper.readTree(text);
        if (!kept.has(FORM)) {
            // the first form has the same fields as the second, and nothing around them
            return mapper.treeToValue(kept, type);
        }
        if (kept.get(FORM).asInt() > VERSION) {
            throw new IllegalStateException("This was kept by a newer Kemdro: open the house with that one.");
        }
        return mapper.treeToValue(kept.get(KEPT), type);
    }
}
