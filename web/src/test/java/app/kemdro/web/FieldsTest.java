package app.kemdro.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.MatchResult;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** docs/fields.md names every field of every page, and none that is not there. */
class FieldsTest {
    private static final Pattern FIELD = Pattern.compile("<(?:input|select|textarea)\\b[^>]*>");
    private static final Pattern NAME = Pattern.compile("(?:\\sname=\"([^\"$]+)\"|th:field=\"\\*\\{(.+?)}\")");
    private static final Pattern LISTED = Pattern.compile("(?m)^\\| [^|]+ \\| `([^`]+)` \\|");

    @Test
    void everyFieldIsListed() throws IOException {
        Set<String> shown = new TreeSet<>();
        try (Stream<Path> files = Files.walk(Path.of("src/main/resources/templates"))) {
            for (Path file : files.filter(f -> f.toString().endsWith(".html")).toList()) {
                Matcher fields = FIELD.matcher(Files.readString(file));
                while (fields.find()) {
                    Matcher name = NAME.matcher(fields.group());
                    if (!fields.group().contains("type=\"hidden\"") && name.find()) {
                        String called = name.group(1) != null ? name.group(1) : name.group(2);
                        shown.add(called.replaceAll("\\[.*]", "[]"));
                    }
                }
            }
        }
        Set<String> listed = LISTED.matcher(Files.readString(Path.of("../docs/fields.md")))
                .results()
                .map((MatchResult m) -> m.group(1))
                .collect(Collectors.toCollection(TreeSet::new));
        assertThat(shown).hasSizeGreaterThan(80);
        assertThat(listed).containsExactlyElementsOf(shown);
    }
}
