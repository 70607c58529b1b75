package app.kemdro.core.colour;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Objects;

/** Rows of a committed reference table. */
final class ColourFiles {
    private ColourFiles() {}

    static List<String[]> rows(String file) throws IOException {
        try (BufferedReader in = new BufferedReader(new InputStreamReader(
                Objects.requireNonNull(ColourFiles.class.getResourceAsStream("/colour/" + file)),
                StandardCharsets.UTF_8))) {
            return in.lines()
                    .filter(l -> !l.startsWith("#"))
                    .skip(1)
                    .map(l -> l.split(","))
                    .toList();
        }
    }
}
