package app.kemdro.web.rooms.kit;

import app.kemdro.core.kit.Need;
import app.kemdro.core.kit.Waste;
import app.kemdro.core.method.Trade;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.product.Product;
import app.kemdro.web.records.product.ProductValues;
import app.kemdro.web.records.product.Products;
import app.kemdro.web.records.stock.Stock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/** What the house has of each need, as jars that are more or less full. */
final class Jars {
    private static final String ANYWHERE = "wherever it is sold";

    private final Trade trade;
    private final Waste waste;
    private final Products products;

    Jars(Trade trade, Waste waste, Products products) {
        this.trade = trade;
        this.waste = waste;
        this.products = products;
    }

    /** A jar: what is in it, how much should be. */
    record Jar(
            String family,
            String drawn,
            String where,
            String needed,
            String packed,
            String have,
            String state,
            String why,
            String top,
            boolean isShort,
            boolean removes,
            String familyId,
            String note) {}

    /** Something to buy. */
    record Buy(String what, String amount, String euros) {}

    /** A jar; what is made for this look is in no house yet, whatever lies on its shelves. */
    Jar of(Stock s, Set<String> made) {
        Need n = s.need();
        boolean isMade = made.contains(n.family().id()) && s.barred().isEmpty();
        String state = "enough";
        String why = "";
        if (!s.barred().isEmpty()) {
            state = "not for this performer";
            why = "reacts to " + s.barred();
        } else if (isMade) {
            state = "made on the bench";
            why = "for this look";
        } else if (Stock.isFromTheTap(n)) {
            state = "from the tap";
        } else if (s.good().isEmpty() && !s.past().isEmpty()) {
            state = "past its day";
            why = s.past().get(0).name();
        } else if (s.good().isEmpty()) {
            state = "none in stock";
        } else if (s.isShort()) {
            state = "short";
            why = s.good().get(0).name();
        } else {
            why = s.good().get(0).name();
        }
        return new Jar(
                n.family().name(),
                n.family().isLayer() ? n.family().drawn() : "film",
                trade.body().say(n.zones()),
                amount(n.isCounted() ? n.pieces() : n.grams(), n),
                amount(s.wanted(), n),
                (isMade ? "" : amount(s.have(), n) + " in the house")
                        + (isMade || s.isShort() || Stock.isFromTheTap(n)
                                ? ""
                                : ", leaves " + amount(s.have() - s.wanted(), n)),
                state,
                why,
                String.format(Locale.ROOT, "%.1f", 38 - 20 * Math.min(1.0, s.full())),
                !isMade && s.isShort() || !s.barred().isEmpty(),
                n.removes(),
                n.family().id(),
                note(s));
    }

    /** What is worth saying of it: what people underestimate, and how often what is worn again was worn. */
    private String note(Stock s) {
        String family = s.need().family().id();
        Waste.Wear wear = waste.wears().get(family);
        if (wear == null) {
            return waste.underestimated().getOrDefault(family, "");
        }
        int worn = s.good().stream()
                .flatMap(v -> products.find(v.code()).stream())
                .mapToInt(Product::wears)
                .max()
                .orElse(0);
        String count =
                worn == 0 ? "" : "Worn " + worn + (worn == 1 ? " time" : " times") + " of about " + wear.times() + ". ";
        return worn * 3 >= wear.times() ? count + wear.edge() : count.strip();
    }

    private static String amount(double value, Need n) {
        if (n.isCounted()) {
            long pieces = Math.round(value);
            return pieces + (pieces == 1 ? " piece" : " pieces");
        }
        return Words.grams(value);
    }

    /** What is short, by who sells it. */
    static Map<String, List<Buy>> shopping(List<Stock> all, Set<String> made) {
        Map<String, List<Buy>> bySupplier = new TreeMap<>();
        for (Stock s : all) {
            if (!s.isShort() || made.contains(s.need().family().id())) {
                continue;
            }
            Optional<ProductValues> product = s.toBuy();
            bySupplier
                    .computeIfAbsent(
                            product.map(ProductValues::supplier)
                                    .filter(x -> !x.isBlank())
                                    .orElse(ANYWHERE),
                            k -> new ArrayList<>())
                    .add(product.map(v -> new Buy(
                                    v.name(),
                                    s.packs(v) + " × " + plain(v.packSize()) + " " + v.packUnit(),
                                    "¤ " + Math.round(s.packs(v) * v.price())))
                            .orElseGet(() ->
                                    new Buy(s.need().family().name(), amount(s.wanted() - s.have(), s.need()), "")));
        }
        return new LinkedHashMap<>(bySupplier);
    }

    private static String plain(double value) {
        return value == Math.rint(value) ? Long.toString((long) value) : Double.toString(value);
    }

    /** Tools that are thrown away afterwards. */
    static String ruined(List<Stock> all) {
        TreeSet<String> ruined = new TreeSet<>();
        all.forEach(s -> ruined.addAll(s.need().family().ruins()));
        return String.join(", ", ruined);
    }
}
