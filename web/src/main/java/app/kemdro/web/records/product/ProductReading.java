package app.kemdro.web.records.product;

import app.kemdro.core.habit.Unit;
import app.kemdro.core.material.Film;
import app.kemdro.core.material.Materials;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** Reads a product from text, as it is typed in a form or stands in a row of a file; complaints are kept by column. */
final class ProductReading {
    /** Columns of the file, in order; also the fields of the form. */
    static final List<String> COLUMNS = List.of(
            "code",
            "name",
            "family",
            "supplier",
            "pack_size",
            "pack_unit",
            "price_eur",
            "opened",
            "months_after_opening",
            "expires",
            "packs",
            "solids",
            "coat_g_m2",
            "note",
            "retired");

    private static final Set<String> UNITS = Set.of("g", "ml", "pcs");

    /** What else a label may say, and what one of it is of the unit that is kept. */
    private static final Map<String, Unit> OTHERS = Map.of("oz", Unit.GRAM, "fl oz", Unit.ML);

    private static final int LONGEST_NOTE = 300;

    private final Map<String, String> typed;
    private final Materials materials;
    private final Map<String, String> wrong = new LinkedHashMap<>();

    private ProductReading(Map<String, String> typed, Materials materials) {
        this.typed = typed;
        this.materials = materials;
    }

    /**
     * What came of it.
     *
     * @param wrong complaints by column; empty where there is a value
     */
    record Read(Optional<ProductValues> values, Map<String, String> wrong) {}

    static Read read(Map<String, String> typed, Materials materials) {
        return new ProductReading(typed, materials).read();
    }

    private Read read() {
        String family = text("family", 60, true);
        boolean known = materials.has(family);
        if (!family.isEmpty() && !known) {
            wrong.put("family", "'" + family + "' is no family of materials; the list of materials has their names.");
        }
        ProductValues values = new ProductValues(
                code(),
                text("name", 80, true),
                family,
                text("supplier", 60, false),
                packSize(),
                unit(),
                number("price_eur", 0, 100_000, false),
                day("opened"),
                (int) number("months_after_opening", 0, 120, false),
                day("expires"),
                number("packs", 0, 10_000, false),
                own("solids", 0.001, 0.99, family, known),
                own("coat_g_m2", 1, 5000, family, known),
                text("note", LONGEST_NOTE, false),
                yes());
        return new Read(wrong.isEmpty() ? Optional.of(values) : Optional.empty(), wrong);
    }

    private String raw(String column) {
        return typed.getOrDefault(column, "").strip();
    }

    private String code() {
        String code = text("code", 40, true).toLowerCase(Locale.ROOT);
        if (!code.isEmpty() && !code.matches("[a-z0-9][a-z0-9._-]*")) {
            wrong.put("code", "a code holds letters, digits, dots and dashes; '" + code + "' does not.");
        }
        return code;
    }

    private String text(String column, int longest, boolean needed) {
        String text = raw(column);
        if (needed && text.isEmpty()) {
            wrong.put(column, "it is missing; fill it in.");
        } else if (text.length() > longest) {
            wrong.put(column, "it takes up to " + longest + " letters; this has " + text.length() + ".");
        }
        return text;
    }

    private double packSize() {
        double size = number("pack_size", 0.01, 100_000, true);
        Unit other = OTHERS.get(raw("pack_unit"));
        return other == null ? size : other.kept(size);
    }

    private String unit() {
        String unit = raw("pack_unit");
        Unit other = OTHERS.get(unit);
        if (other != null) {
            return other.symbol();
        }
        if (!UNITS.contains(unit)) {
            wrong.put("pack_unit", "'" + unit + "' is no unit here; write g, ml, pcs, oz or fl oz.");
        }
        return unit;
    }

    private double number(String column, double least, double most, boolean needed) {
        String text = raw(column).replace(',', '.');
        if (text.isEmpty()) {
            if (needed) {
                wrong.put(column, "it is missing; fill it in.");
            }
            return 0;
        }
        try {
            double value = Double.parseDouble(text);
            if (value >= least && value <= most) {
                return value;
            }
            wrong.put(column, raw(column) + " is outside " + plain(least) + " to " + plain(most) + ".");
        } catch (NumberFormatException e) {
            wrong.put(column, "'" + raw(column) + "' is no number; write it as 120 or 0.45.");
        }
        return 0;
    }

    /** A number of the product's own, which only a film can have. */
    private @Nullable Double own(String column, double least, double most, String family, boolean known) {
        if (raw(column).isEmpty()) {
            return null;
        }
        if (known && !(materials.family(family).setting() instanceof Film)) {
            wrong.put(column, "only what dries as a thin film has it; leave it empty for " + family + ".");
            return null;
        }
        return number(column, least, most, true);
    }

    private @Nullable LocalDate day(String column) {
        if (raw(column).isEmpty()) {
            return null;
        }
        try {
            return LocalDate.parse(raw(column));
        } catch (DateTimeParseException e) {
            wrong.put(column, "'" + raw(column) + "' is no day; write it as 2026-11-30.");
            return null;
        }
    }

    private boolean yes() {
        String text = raw("retired").toLowerCase(Locale.ROOT);
        if (!Set.of("", "no", "yes", "on").contains(text)) {
            wrong.put("retired", "'" + raw("retired") + "' is neither yes nor no.");
        }
        return text.equals("yes") || text.equals("on");
    }

    private static String plain(double value) {
        return value == Math.rint(value) ? Long.toString((long) value) : Double.toString(value);
    }

    /** The same as text, by column. */
    static Map<String, String> written(ProductValues v) {
        Map<String, String> cells = new LinkedHashMap<>();
        cells.put("code", v.code());
        cells.put("name", v.name());
        cells.put("family", v.family());
        cells.put("supplier", v.supplier());
        cells.put("pack_size", plain(v.packSize()));
        cells.put("pack_unit", v.packUnit());
        cells.put("price_eur", plain(v.price()));
        cells.put("opened", v.opened() == null ? "" : v.opened().toString());
        cells.put("months_after_opening", plain(v.monthsAfterOpening()));
        cells.put("expires", v.expires() == null ? "" : v.expires().toString());
        cells.put("packs", plain(v.packs()));
        cells.put("solids", v.solids() == null ? "" : plain(v.solids()));
        cells.put("coat_g_m2", v.coat() == null ? "" : plain(v.coat()));
        cells.put("note", v.note());
        cells.put("retired", v.retired() ? "yes" : "no");
        return cells;
    }
}
