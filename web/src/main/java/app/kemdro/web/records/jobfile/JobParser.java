package app.kemdro.web.records.jobfile;

import java.util.stream.Collectors;
import java.util.stream.Stream;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.exc.InvalidFormatException;
import tools.jackson.databind.exc.UnrecognizedPropertyException;
import tools.jackson.databind.json.JsonMapper;

/** Turns the text of a job's file into what it says, or says where it cannot be read. */
final class JobParser {
    private static final int DEEPEST = 20;

    private static final JsonMapper MAPPER = JsonMapper.builder(JsonFactory.builder()
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxNestingDepth(DEEPEST)
                            .maxStringLength(20_000)
                            .build())
                    .build())
            .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
            .build();

    private JobParser() {}

    static JobFile parse(String text) {
        try {
            JobFile file = MAPPER.readValue(text, JobFile.class);
            if (file == null) {
                throw new Unreadable("The file is empty.");
            }
            return file;
        } catch (JacksonException e) {
            String where = e.getLocation() == null || e.getLocation().getLineNr() < 1
                    ? ""
                    : " in line " + e.getLocation().getLineNr() + ", column "
                            + e.getLocation().getColumnNr();
            throw new Unreadable("The file cannot be read" + where + ": " + why(e) + " Nothing was imported.");
        }
    }

    /** What is wrong, without a word of how it is read. */
    private static String why(JacksonException e) {
        String at = path(e);
        if (e instanceof UnrecognizedPropertyException unknown) {
            return "'" + unknown.getPropertyName() + "' is not known here; take it out, or write it as it is called.";
        }
        if (e instanceof InvalidFormatException odd) {
            return at + ": '" + odd.getValue() + "' "
                    + (odd.getTargetType().isEnum()
                            ? "is none of " + listed(odd.getTargetType().getEnumConstants())
                            : "cannot be meant there")
                    + ".";
        }
        return e instanceof DatabindException
                ? at + ": something else is written there than is expected."
                : "it is not whole JSON.";
    }

    private static String listed(Object[] words) {
        return Stream.of(words).map(String::valueOf).collect(Collectors.joining(", "));
    }

    private static String path(JacksonException e) {
        StringBuilder path = new StringBuilder();
        for (JacksonException.Reference step : e.getPath()) {
            if (step.getPropertyName() == null) {
                path.append('[').append(step.getIndex()).append(']');
            } else {
                path.append(path.isEmpty() ? "" : ".").append(step.getPropertyName());
            }
        }
        return path.isEmpty() ? "the file" : path.toString();
    }
}
