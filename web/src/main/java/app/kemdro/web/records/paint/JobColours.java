package app.kemdro.web.records.paint;

import app.kemdro.core.method.Trade;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The mixes of a job and the paints they need, for whoever takes the job elsewhere. */
@Component
public class JobColours {
    private static final int MOST_PARTS = 12;

    private final KeptRecipes recipes;
    private final Swatches swatches;
    private final Trade trade;

    JobColours(KeptRecipes recipes, Swatches swatches, Trade trade) {
        this.recipes = recipes;
        this.swatches = swatches;
        this.trade = trade;
    }

    /**
     * A mix.
     *
     * @param entry the entry of the look that is painted with it, or empty
     * @param parts so many parts of each paint, by its name
     */
    public record Mix(String name, String entry, Map<String, Integer> parts) {}

    /** The mixes of a job. */
    public List<Mix> mixes(long job) {
        return recipes.of(job).stream()
                .map(r -> {
                    Map<String, Integer> parts = new LinkedHashMap<>();
                    r.parts().forEach(p -> parts.put(p.paint(), p.parts()));
                    return new Mix(r.name(), r.entry(), parts);
                })
                .toList();
    }

    /** The paints that these mixes need, by the columns of the table of paints. */
    public List<Map<String, String>> paints(List<Mix> mixes) {
        return mixes.stream()
                .flatMap(m -> m.parts().keySet().stream())
                .distinct()
                .sorted()
                .flatMap(name -> swatches.named(name).stream())
                .map(s -> (Map<String, String>) new TreeMap<>(SwatchReading.written(s.values())))
                .toList();
    }

    /** What is wrong with mixes and paints of a file, in words; empty where they can be taken. */
    public List<String> wrong(List<Mix> mixes, List<Map<String, String>> paints) {
        List<String> wrong = new ArrayList<>();
        for (int k = 0; k < paints.size(); k++) {
            String at = "paints[" + k + "].";
            SwatchReading.read(paints.get(k), trade.materials())
                    .wrong()
                    .forEach((column, says) -> wrong.add(at + column + ": " + says));
        }
        if (mixes.size() > KeptRecipes.MOST) {
            wrong.add("mixes: " + mixes.size() + " of them; " + KeptRecipes.MOST + " is the most.");
        }
        for (int k = 0; k < mixes.size(); k++) {
            Mix mix = mixes.get(k);
            boolean parts = !mix.parts().isEmpty()
                    && mix.parts().size() <= MOST_PARTS
                    && mix.parts().values().stream().allMatch(n -> n != null && n >= 1 && n <= 99)
                    && mix.parts().keySet().stream().allMatch(p -> !p.isBlank() && p.length() <= 80);
            if (!parts) {
                wrong.add("mixes[" + k + "].parts: 1 to " + MOST_PARTS + " paints by name, 1 to 99 parts of each.");
            }
        }
        return wrong;
    }

    /** Takes over mixes, and those of the paints that the house does not have by that name yet. */
    @Transactional
    public void take(long job, List<Mix> mixes, List<Map<String, String>> paints) {
        paints.stream()
                .filter(p -> swatches.named(p.getOrDefault("name", "").strip()).isEmpty())
                .forEach(swatches::keep);
        mixes.forEach(m -> recipes.keep(job, m.name(), m.entry(), m.parts()));
    }
}
