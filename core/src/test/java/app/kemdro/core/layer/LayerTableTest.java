package app.kemdro.core.layer;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.material.Material;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;

/**
 * Keeps docs/layers.md, the table of all pairs, the same as the data. Written anew with
 * {@code KEMDRO_WRITE=layers mvn -pl core test -Dtest=LayerTableTest}.
 */
class LayerTableTest {
    private static final Path TABLE = Path.of("..", "docs", "layers.md");
    private static final Trade TRADE = Trade.standard();
    private static final LayerRules RULES = LayerRules.standard(TRADE);
    private static final List<String> GROUNDS = List.of("skin", "clean-skin", "hairy", "lid", "lip", "tooth", "nail");

    @Test
    void theTableInTheDocsIsTheData() throws IOException {
        String table = table();
        if ("layers".equals(System.getenv("KEMDRO_WRITE"))) {
            Files.writeString(TABLE, table);
        }
        assertThat(Files.readString(TABLE)).isEqualTo(table);
    }

    private static String table() {
        Map<String, List<String>> alike = new LinkedHashMap<>();
        for (String ground : GROUNDS) {
            alike.computeIfAbsent(section(Surface.body(ground)), k -> new ArrayList<>())
                    .add(RULES.surfaces().get(ground));
        }
        for (Material below : layers()) {
            alike.computeIfAbsent(section(Surface.of(below)), k -> new ArrayList<>())
                    .add(below.name());
        }
        StringBuilder text = new StringBuilder("""
                # What lies on what

                Every family of material on every other, and on the body itself. Written from `core/src/main/resources/trade/layers.yaml`
                by a test; change the data, not this file. Common practice, from the trade's handbook, unless the data say
                "judgement". Labels, local codes, doctors and licensed professionals go first.

                """);
        alike.forEach((section, names) -> text.append("## On ")
                .append(String.join(", ", names))
                .append("\n\n")
                .append(section)
                .append('\n'));
        return text.toString();
    }

    private static List<Material> layers() {
        return TRADE.materials().all().stream().filter(Material::isLayer).toList();
    }

    /** What is said about everything laid on one surface, alike judgements together. */
    private static String section(Surface below) {
        Map<Judgement, List<String>> byJudgement = new LinkedHashMap<>();
        for (Material above : layers()) {
            byJudgement
                    .computeIfAbsent(RULES.judge(below, above), k -> new ArrayList<>())
                    .add(above.name());
        }
        StringBuilder text = new StringBuilder();
        for (Verdict verdict : Verdict.values()) {
            byJudgement.forEach((judgement, names) -> {
                if (judgement.verdict() == verdict) {
                    text.append("- **")
                            .append(verdict.name().toLowerCase(Locale.ROOT).replace('_', ' '))
                            .append("** ")
                            .append(String.join(", ", names))
                            .append(": ")
                            .append(judgement.condition().isEmpty() ? "" : judgement.condition() + ". ")
                            .append(judgement.because())
                            .append(mend(judgement.mend()))
                            .append('\n');
                }
            });
        }
        text.append(forOneKindOfWork(below));
        return text.toString();
    }

    /** What is said otherwise where it is laid for one kind of work. */
    private static String forOneKindOfWork(Surface below) {
        Map<String, List<String>> said = new LinkedHashMap<>();
        for (Material above : layers()) {
            TRADE.techniques().stream().map(Technique::slot).distinct().sorted().forEach(slot -> {
                Judgement judgement = RULES.judge(below, above, slot);
                if (!judgement.equals(RULES.judge(below, above))) {
                    said.computeIfAbsent(
                                    "- **%s** as work of the kind *%s*, %%s: %s%s\n"
                                            .formatted(
                                                    judgement
                                                            .verdict()
                                                            .name()
                                                            .toLowerCase(Locale.ROOT)
                                                            .replace('_', ' '),
                                                    slot,
                                                    judgement.condition().isEmpty() ? "" : judgement.condition() + ". ",
                                                    judgement.because()),
                                    k -> new ArrayList<>())
                            .add(above.name());
                }
            });
        }
        StringBuilder text = new StringBuilder();
        said.forEach((line, names) -> text.append(line.formatted(String.join(", ", names))));
        return text.toString();
    }

    private static String mend(Mend mend) {
        List<String> words = new ArrayList<>();
        mend.lay().forEach(t -> words.add(TRADE.technique(t).name().toLowerCase(Locale.ROOT)));
        if (!mend.above().isEmpty()) {
            words.add("use " + String.join(" or ", said(mend.above())) + " instead");
        }
        if (!mend.below().isEmpty()) {
            words.add("put " + String.join(" or ", said(mend.below())) + " beneath");
        }
        if (mend.turn()) {
            words.add("lay them the other way round");
        }
        return words.isEmpty() ? "" : " Mend: " + String.join("; ", words) + ".";
    }

    private static List<String> said(List<String> natures) {
        return natures.stream().map(n -> RULES.natures().get(n)).toList();
    }
}
