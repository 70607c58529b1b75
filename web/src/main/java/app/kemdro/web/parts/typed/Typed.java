package app.kemdro.web.parts.typed;

import app.kemdro.web.parts.json.Json;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Component;

/** Fields of forms as text that a page carries. */
@Component
public class Typed {
    /** What the form was opened with. */
    static final String WAS = "_was";

    private final Json json;

    Typed(Json json) {
        this.json = json;
    }

    /** For the hidden field {@code _was} of a form that is opened with these. */
    public String text(Map<String, List<String>> fields) {
        return json.text(fields);
    }

    /** What {@link #text} wrote; empty where it is something else. */
    Map<String, List<String>> read(String text) {
        Map<String, List<String>> fields = new LinkedHashMap<>();
        try {
            Map<?, ?> all = json.read(text, Map.class);
            for (Map.Entry<?, ?> entry : all.entrySet()) {
                List<String> values = new ArrayList<>();
                if (entry.getValue() instanceof List<?> some) {
                    some.forEach(v -> values.add(String.valueOf(v)));
                }
                fields.put(String.valueOf(entry.getKey()), values);
            }
            return fields;
        } catch (RuntimeException e) {
            return Map.of();
        }
    }

    /** What stands in the fields of a request, but for those that say something about the form itself. */
    static Map<String, List<String>> sent(Map<String, String[]> parameters) {
        Map<String, List<String>> fields = new LinkedHashMap<>();
        parameters.forEach((name, values) -> {
            if (!name.startsWith("_")) {
                fields.put(name, Arrays.asList(values));
            }
        });
        return fields;
    }
}
