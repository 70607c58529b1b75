package app.kemdro.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The glossary names classes and folders that are there. */
class WordsTest {
    private static final Path ROOT = Path.of("..");
    private static final Pattern NAMED = Pattern.compile("`([\\w./-]+)`");

    @Test
    void everythingNamedIsThere() throws IOException {
        Set<String> classes;
        try (Stream<Path> files = Files.walk(ROOT)) {
            classes = files.map(f -> f.getFileName().toString())
                    .filter(f -> f.endsWith(".java"))
                    .map(f -> f.replace(".java", ""))
                    .collect(Collectors.toSet());
        }
        Set<String> missing = new TreeSet<>();
        Matcher named = NAMED.matcher(Files.readString(ROOT.resolve("docs/words.md")));
        int seen = 0;
        while (named.find()) {
            String name = named.group(1);
            if (name.matches("[A-Z]\\w+(\\.\\w+)*")) {
                seen++;
                if (!classes.contains(name.split("\\.")[0])) {
                    missing.add(name);
                }
            } else if (name.startsWith("records/") || name.startsWith("rooms/") || name.startsWith("parts/")) {
                seen++;
                if (!Files.isDirectory(
                        ROOT.resolve("web/src/main/java/app/kemdro/web").resolve(name))) {
                    missing.add(name);
                }
            }
        }
        assertThat(missing).isEmpty();
        assertThat(seen).isGreaterThan(40);
    }
}
