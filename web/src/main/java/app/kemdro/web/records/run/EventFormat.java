package app.kemdro.web.records.run;

import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.Stamp;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/**
 * How an event is written down, sent and read: its kind in capitals, the version of the form, and its own fields as JSON. What was
 * written in an older form is read through {@link EventUpcasts}, for ever.
 */
@Component
public class EventFormat {
    /** The version in which events are written today. */
    public static final int VERSION = 2;

    private static final String STAMP = "stamp";

    private static final Map<String, Class<? extends RunEvent>> KINDS =
            kinds(RunEvent.class).distinct().collect(Collectors.toMap(EventFormat::name, Function.identity()));

    private final JsonMapper mapper;

    public EventFormat(JsonMapper mapper) {
        this.mapper = mapper;
    }

    @SuppressWarnings("unchecked")
    private static Stream<Class<? extends RunEvent>> kinds(Class<?> of) {
        return of.isRecord()
                ? Stream.of((Class<? extends RunEvent>) of)
                : Arrays.stream(of.getPermittedSubclasses()).flatMap(EventFormat::kinds);
    }

    private static String name(Class<?> kind) {
        return kind.getSimpleName().replaceAll("(?<=[a-z])(?=[A-Z])", "_").toUpperCase(Locale.ROOT);
    }

    /** How many kinds there are. */
    static int kinds() {
        return KINDS.size();
    }

    /** The kind of an event, as it is written down. */
    public static String kind(RunEvent event) {
        return name(event.getClass());
    }

    /** The fields of an event without its stamp. */
    public ObjectNode fields(RunEvent event) {
        ObjectNode fields = mapper.valueToTree(event);
        fields.remove(STAMP);
        return fields;
    }

    /** An event as it is sent and handed out: kind, version, stamp and fields side by side. */
    public ObjectNode whole(RunEvent event) {
        ObjectNode all = mapper.createObjectNode();
        all.put("type", kind(event)).put("version", VERSION);
        all.setAll(mapper.<ObjectNode>valueToTree(event.stamp()));
        all.setAll(fields(event));
        return all;
    }

    /** What a screen sends when it reports this; which, when and from where it says itself. */
    public ObjectNode toReport(RunEvent event) {
        ObjectNode all = whole(event);
        all.remove(List.of("id", "at", "device"));
        return all;
    }

    /** Fields as text. */
    String text(ObjectNode fields) {
        return mapper.writeValueAsString(fields);
    }

    /** What was written down. */
    RunEvent stored(String kind, int version, Stamp stamp, String fields) {
        return read(kind, version, stamp, mapper.readValue(fields, ObjectNode.class));
    }

    /**
     * An event of this kind with these fields; a word that is not there is empty, a number that is not there nought.
     *
     * @param version of the form in which the fields are
     * @throws IllegalArgumentException where there is no such kind, or a field cannot be read, said so that one can mend it
     */
    public RunEvent read(String kind, int version, Stamp stamp, ObjectNode fields) {
        Class<? extends RunEvent> type = KINDS.get(kind);
        if (type == null) {
            throw new IllegalArgumentException("The report does not say what happened.");
        }
        ObjectNode now = EventUpcasts.lift(kind, version, fields.deepCopy());
        ObjectNode event = mapper.createObjectNode();
        event.set(STAMP, mapper.valueToTree(stamp));
        for (RecordComponent part : type.getRecordComponents()) {
            if (!part.getName().equals(STAMP)) {
                event.set(part.getName(), field(part, now.get(part.getName())));
            }
        }
        try {
            return mapper.treeToValue(event, type);
        } catch (JacksonException wrong) {
            throw new IllegalArgumentException("The report could not be read.", wrong);
        }
    }

    private JsonNode field(RecordComponent part, @Nullable JsonNode said) {
        boolean missing = said == null || said.isNull();
        try {
            Object value = missing
                    ? absent(part.getType())
                    : mapper.treeToValue(said, mapper.constructType(part.getGenericType()));
            if (value != null) {
                return mapper.valueToTree(value);
            }
        } catch (JacksonException wrong) {
            // said below
        }
        String choices = part.getType().isEnum()
                ? " Say one of "
                        + Arrays.stream(part.getType().getEnumConstants())
                                .map(Object::toString)
                                .collect(Collectors.joining(", "))
                        + "."
                : "";
        throw new IllegalArgumentException("“" + part.getName() + "” of the report could not be read." + choices);
    }

    private static @Nullable Object absent(Class<?> type) {
        if (type == String.class) {
            return "";
        }
        if (type == int.class) {
            return 0;
        }
        if (type == boolean.class) {
            return false;
        }
        return type == List.class ? List.of() : null;
    }
}
