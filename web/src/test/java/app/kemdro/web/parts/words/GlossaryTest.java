package app.kemdro.web.parts.words;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.datafile.DataNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Words on screen and docs/words.md come from one file. KEMDRO_WRITE=words writes the document. */
class GlossaryTest {
    private static final Path DOCUMENT = Path.of("../docs/words.md");
    private static final Path TEMPLATES = Path.of("src/main/resources/templates/rooms");

    private static String written() {
        DataNode file = DataNode.resource("/words.yaml");
        StringBuilder text = new StringBuilder("# Words\n\n"
                + "One word for one thing, in the trade, in planning, and in the code. Made from `web/src/main/resources/words.yaml`; "
                + "do not edit it here.\n\n## What one meets on screen\n\nA press on `?` in a room lists its words; all of them stand under House, words.\n\n"
                + "| word | what it means |\n|---|---|\n");
        new Glossary().all().forEach(w -> text.append("| **" + w.word() + "** | " + w.says() + " |\n"));
        for (DataNode table : file.get("tables").items()) {
            text.append("\n## " + table.get("title").text()
                    + "\n\n| field's term | our word | what it is, and where |\n|---|---|---|\n");
            for (DataNode row : table.get("rows").items()) {
                text.append("| " + row.get("field").text() + " | "
                        + row.get("ours").text() + " | " + row.get("what").text() + " |\n");
            }
        }
        return text.toString();
    }

    @Test
    void theDocumentIsMadeFromTheFile() throws IOException {
        if ("words".equals(System.getenv("KEMDRO_WRITE"))) {
            Files.writeString(DOCUMENT, written());
        }
        assertThat(Files.readString(DOCUMENT)).isEqualTo(written());
    }

    /** A word that is pressed somewhere is explained, and rooms are those that there are. */
    @Test
    void whatIsPressedIsExplained() throws IOException {
        List<String> keys =
                new Glossary().all().stream().map(Glossary.Word::key).toList();
        assertThat(keys).doesNotHaveDuplicates();
        try (Stream<Path> files = Files.walk(TEMPLATES)) {
            for (Path template :
                    files.filter(f -> f.toString().endsWith(".html")).toList()) {
                java.util.regex.Pattern.compile("data-means=\"([^\"]+)\"")
                        .matcher(Files.readString(template))
                        .results()
                        .forEach(m -> assertThat(keys).as(template.toString()).contains(m.group(1)));
            }
        }
        for (Glossary.Word word : new Glossary().all()) {
            assertThat(word.rooms())
                    .isNotEmpty()
                    .allSatisfy(r -> assertThat(TEMPLATES.resolve(r)).isDirectory());
        }
    }
}
