package app.kemdro.web.parts.json;

import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Values for scripts, as data inside a page: nothing in them can end the element they stand in. */
@Component
public class Json {
    private final JsonMapper mapper;

    Json(JsonMapper mapper) {
        this.mapper = mapper;
    }

    /** A value that {@link #text} wrote. */
    public <T> T read(String text, Class<T> type) {
        return mapper.readValue(text, type);
    }

    public String text(Object value) {
        return mapper.writeValueAsString(value).replace("<", "\\u003c");
    }
}
