package app.kemdro.web.parts.typed;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import java.util.Collections;
import java.util.Enumeration;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** A request with these fields instead of those that were sent. */
public final class WithFields extends HttpServletRequestWrapper {
    private final Map<String, String[]> fields;

    public WithFields(HttpServletRequest request, Map<String, String[]> fields) {
        super(request);
        this.fields = Collections.unmodifiableMap(new LinkedHashMap<>(fields));
    }

    /** Whether a request brings files: its fields are not to be asked for before it is where it goes. */
    public static boolean bringsFiles(HttpServletRequest request) {
        String type = request.getContentType();
        return type != null && type.regionMatches(true, 0, "multipart/", 0, "multipart/".length());
    }

    @Override
    public @Nullable String getParameter(String name) {
        String[] values = fields.get(name);
        return values == null || values.length == 0 ? null : values[0];
    }

    @Override
    public Map<String, String[]> getParameterMap() {
        return fields;
    }

    @Override
    public Enumeration<String> getParameterNames() {
        return Collections.enumeration(fields.keySet());
    }

    @Override
    public String @Nullable [] getParameterValues(String name) {
        return fields.get(name);
    }
}
