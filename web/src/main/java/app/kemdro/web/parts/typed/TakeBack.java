package app.kemdro.web.parts.typed;

import java.io.Serializable;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A press that takes the last change of a page back. A room offers it with what it says of the change, as flash attribute {@link #OFFER};
 * forms over something that is kept have theirs by themselves.
 *
 * @param says what it takes back, in words
 * @param path where it is sent
 * @param fields what is sent with it
 */
public record TakeBack(String says, String path, Map<String, List<String>> fields) implements Serializable {
    /** Name of the flash attribute. */
    public static final String OFFER = "app.kemdro.takeBack";

    /** The field in which such a press carries all the others, by which it is known. */
    static final String PRESS = "_back";

    public TakeBack {
        // lists and maps that a session can keep
        Map<String, List<String>> kept = new LinkedHashMap<>();
        fields.forEach((name, values) -> kept.put(name, List.copyOf(values)));
        fields = kept;
    }

    /** One whose fields have one value each. */
    public static TakeBack of(String says, String path, Map<String, String> fields) {
        Map<String, List<String>> all = new LinkedHashMap<>();
        fields.forEach((name, value) -> all.put(name, List.of(value)));
        return new TakeBack(says, path, all);
    }
}
