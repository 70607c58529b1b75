package app.kemdro.web.parts.typed;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A form over something that is kept: it is opened with what stands there, and whoever sends it may have been overtaken. Its page holds
 * {@code _was}, what it was opened with.
 */
public interface StandingForm {
    /** The address it is sent to, as a path pattern. */
    String at();

    /** What stands there now, by field; empty where there is nothing yet. */
    Optional<Map<String, List<String>>> now(Sent sent);

    /** The page on which it is opened. */
    String page(Sent sent);

    /** Fields of which any number is chosen: what one adds and another takes away do not get in each other's way. */
    Set<String> sets();

    /** What a field is called on its page, its own name where nothing else is said; a table's rows go by the name before the bracket. */
    default String called(String field) {
        return Character.toUpperCase(field.charAt(0)) + field.substring(1).replace('_', ' ');
    }

    /** How a value is said there. */
    default String said(String field, List<String> values) {
        return values.isEmpty() ? "–" : String.join(", ", values);
    }

    /**
     * A form as it was sent.
     *
     * @param path what stands in its address
     * @param typed what stands in its fields
     */
    record Sent(Map<String, String> path, Map<String, List<String>> typed) {
        /** The number in its address. */
        public long id() {
            return Long.parseLong(path.getOrDefault("id", "0"));
        }
    }
}
