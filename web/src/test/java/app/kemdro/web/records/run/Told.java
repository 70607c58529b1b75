package app.kemdro.web.records.run;

import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.Stamp;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Events as the first form of reports said them: every kind with the same four fields. */
public final class Told {
    private static final JsonMapper MAPPER = new JsonMapper();
    private static final EventFormat FORMAT = new EventFormat(MAPPER);

    private Told() {}

    public static RunEvent event(Stamp stamp, String kind, String step, int seconds, String text) {
        ObjectNode fields = MAPPER.createObjectNode();
        fields.put("step", step).put("seconds", seconds).put("mode", 0).put("text", text);
        return FORMAT.read(kind, 1, stamp, fields);
    }
}
