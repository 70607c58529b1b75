package app.kemdro.web.records.paint;

import app.kemdro.core.colour.Lab;
import app.kemdro.core.colour.Reflectance;
import app.kemdro.core.colour.Srgb;
import app.kemdro.core.material.MaterialRole;
import app.kemdro.core.material.Materials;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Reads what was typed about a swatch, in a form or in a row of a file. */
public final class SwatchReading {
    public static final List<String> COLUMNS =
            List.of("name", "family", "over_white", "over_black", "grams_per_m2", "shimmers");

    private SwatchReading() {}

    /** What was read, or complaints by column. */
    record Read(Optional<SwatchValues> values, Map<String, String> wrong) {}

    static Read read(Map<String, String> typed, Materials materials) {
        Map<String, String> wrong = new LinkedHashMap<>();
        String name = typed.getOrDefault("name", "").strip();
        if (name.isEmpty() || name.length() > 80) {
            wrong.put("name", "A paint has a name of up to 80 letters.");
        }
        String family = typed.getOrDefault("family", "").strip();
        if (!materials.has(family) || !materials.family(family).is(MaterialRole.PAINT)) {
            wrong.put("family", "'" + family + "' is no family of paints.");
        }
        Lab white = colour("over_white", typed, wrong, false);
        Lab black = colour("over_black", typed, wrong, true);
        if (white != null && black != null && black.l() > white.l() + 0.5) {
            wrong.put("over_black", "Over black it cannot be lighter than over white; change the two.");
        }
        double grams = grams(typed.getOrDefault("grams_per_m2", ""), wrong);
        String shimmers = typed.getOrDefault("shimmers", "").strip().toLowerCase(Locale.ROOT);
        if (!List.of("", "no", "yes").contains(shimmers)) {
            wrong.put("shimmers", "'" + shimmers + "' is neither yes nor no.");
        }
        return wrong.isEmpty() && white != null
                ? new Read(
                        Optional.of(new SwatchValues(name, family, white, black, grams, shimmers.equals("yes"))),
                        Map.of())
                : new Read(Optional.empty(), wrong);
    }

    private static @Nullable Lab colour(
            String column, Map<String, String> typed, Map<String, String> wrong, boolean mayBeMissing) {
        String text = typed.getOrDefault(column, "").strip();
        if (text.isEmpty() && mayBeMissing) {
            return null;
        }
        try {
            Lab lab = colour(text);
            Reflectance.of(lab);
            return lab;
        } catch (IllegalArgumentException e) {
            wrong.put(column, String.valueOf(e.getMessage()));
            return null;
        }
    }

    /**
     * A colour as it is typed: "#a05c30", or L, a and b as "44 24 34".
     *
     * @throws IllegalArgumentException saying how to write it
     */
    static Lab colour(String text) {
        String[] numbers = text.strip().split("[\\s;/]+");
        if (numbers.length != 3) {
            return Srgb.hex(text).lab();
        }
        try {
            return new Lab(
                    Double.parseDouble(numbers[0].replace(',', '.')),
                    Double.parseDouble(numbers[1].replace(',', '.')),
                    Double.parseDouble(numbers[2].replace(',', '.')));
        } catch (NumberFormatException e) {
            throw new IllegalArgumentException("'" + text + "' is no colour; write #a05c30, or L a b as 44 24 34.");
        }
    }

    private static double grams(String text, Map<String, String> wrong) {
        try {
            double grams = Double.parseDouble(text.strip().replace(',', '.'));
            if (grams >= 0.5 && grams <= 500) {
                return grams;
            }
        } catch (NumberFormatException e) {
            // said below
        }
        wrong.put("grams_per_m2", "'" + text + "' is no weight of a film; 0.5 to 500 g/m², a thin even coat is 20.");
        return 0;
    }

    public static Map<String, String> written(SwatchValues v) {
        Map<String, String> cells = new LinkedHashMap<>();
        cells.put("name", v.name());
        cells.put("family", v.family());
        cells.put("over_white", lab(v.white()));
        cells.put("over_black", v.black() == null ? "" : lab(v.black()));
        cells.put("grams_per_m2", String.format(Locale.ROOT, "%.1f", v.grams()));
        cells.put("shimmers", v.shimmers() ? "yes" : "no");
        return cells;
    }

    public static String lab(Lab lab) {
        return String.format(Locale.ROOT, "%.2f %.2f %.2f", lab.l(), lab.a(), lab.b());
    }
}
