package app.kemdro.web;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.body.Zone;
import app.kemdro.core.material.Material;
import app.kemdro.core.material.Materials.Reaction;
import app.kemdro.core.method.Repair;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * No rule of the trade hides in a string: what code must know of a technique, a material or a zone is a role or a property in the data. A
 * text in the application that is an id of the trade is found here.
 */
class TradeInCodeTest {
    private static final Trade TRADE = Trade.standard();
    private static final Pattern TEXT = Pattern.compile("\"([^\"\\n]*)\"|'([^'\\n]*)'");
    private static final Pattern COMMENT = Pattern.compile("/\\*.*?\\*/|(?<!:)//[^\\n]*|<!--.*?-->", Pattern.DOTALL);

    /** Invented jobs say what lies on them; the drawing's script names the parts of the drawings, which are zones. */
    private static final Set<String> OF_THE_TRADE = Set.of("ColdCasting.java", "DemoWorld.java", "views.js");

    /**
     * What still stands in code, and why. A line goes when its file no longer has it; none is added without a reason.
     */
    private static final Map<String, Set<String>> LEFT = Map.of(
            // the ground that a colour card is laid on: three of the house's materials, in words
            "PaintTable.java", Set.of("latex-cap", "foam-latex", "liquid-latex"),
            // a key of the figure's drawing
            "PaintedFigure.java", Set.of("ear-left", "ear-right", "behind-ear-left", "behind-ear-right"));

    /** Ids that are written as no word of English is: two words with a dash. */
    private static Set<String> ids() {
        Set<String> ids = new TreeSet<>();
        for (Technique t : TRADE.techniques()) {
            ids.add(t.id());
            ids.add(t.slot());
            ids.addAll(t.gives());
            t.givesAround().values().forEach(ids::addAll);
        }
        for (Material m : TRADE.materials().all()) {
            ids.add(m.id());
            ids.add(m.kind());
        }
        TRADE.materials().reactions().stream().map(Reaction::id).forEach(ids::add);
        TRADE.body().zones().stream().map(Zone::id).forEach(ids::add);
        TRADE.repairs().stream().map(Repair::id).forEach(ids::add);
        ids.removeIf(id -> !id.contains("-"));
        return ids;
    }

    private static Stream<Path> files() throws IOException {
        List<Path> roots = List.of(
                Path.of("../core/src/main/java"),
                Path.of("../solver/src/main/java"),
                Path.of("src/main/java"),
                Path.of("src/main/resources/static/js"),
                Path.of("src/main/resources/templates"));
        Stream<Path> all = Stream.of();
        for (Path root : roots) {
            List<Path> some;
            try (Stream<Path> files = Files.walk(root)) {
                some = files.filter(f -> f.toString().matches(".*\\.(java|js|html)"))
                        .toList();
            }
            all = Stream.concat(all, some.stream());
        }
        return all;
    }

    @Test
    void noIdOfTheTradeStandsInCode() throws IOException {
        Set<String> ids = ids();
        assertThat(ids).contains("foam-piece", "cheek-left", "acrylic-adhesive", "lens-late", "cap-on");
        Map<String, Set<String>> found = new TreeMap<>();
        for (Path file : files().toList()) {
            String name = file.getFileName().toString();
            if (OF_THE_TRADE.contains(name)) {
                continue;
            }
            Matcher texts = TEXT.matcher(COMMENT.matcher(Files.readString(file)).replaceAll(""));
            while (texts.find()) {
                String text = texts.group(1) == null ? texts.group(2) : texts.group(1);
                if (ids.contains(text)) {
                    found.computeIfAbsent(name, k -> new TreeSet<>()).add(text);
                }
            }
        }
        assertThat(found).isEqualTo(new TreeMap<>(LEFT));
    }
}
