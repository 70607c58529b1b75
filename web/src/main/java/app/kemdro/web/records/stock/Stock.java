package app.kemdro.web.records.stock;

import app.kemdro.core.kit.Need;
import app.kemdro.core.material.Material;
import app.kemdro.web.records.product.Product;
import app.kemdro.web.records.product.ProductValues;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What the house has of one need.
 *
 * @param have g or pieces of what may be used on the day
 * @param wanted the same of what should be packed
 * @param barred why the family is not for this performer, or empty
 * @param past products that are past their day
 * @param good products that may be used
 * @param density g/ml
 */
public record Stock(
        Need need,
        double have,
        double wanted,
        String barred,
        List<ProductValues> past,
        List<ProductValues> good,
        double density) {
    private static final String PIECES = "pcs";
    private static final String MILLILITRES = "ml";

    /** The stock beside what so many days take, single-use pieces once a day; g/ml turns packs in ml into g. */
    static Stock of(
            Need need,
            int days,
            double density,
            List<Product> house,
            LocalDate day,
            Set<String> reactsTo,
            List<String> reactions) {
        List<ProductValues> good = new ArrayList<>();
        List<ProductValues> past = new ArrayList<>();
        for (Product product : house) {
            ProductValues v = product.values();
            if (!v.family().equals(need.family().id()) || v.retired()) {
                continue;
            }
            LocalDate until = product.goodUntil();
            (until != null && until.isBefore(day) ? past : good).add(v);
        }
        double have = good.stream()
                .filter(v -> v.packUnit().equals(PIECES) == need.isCounted())
                .mapToDouble(v -> v.packs() * contents(v, density))
                .sum();
        Optional<String> bars =
                need.family().contains().stream().filter(reactsTo::contains).findFirst();
        double wanted = need.isCounted() ? need.pieces() * days : need.packed() + (days - 1) * need.grams();
        return new Stock(
                need,
                isFromTheTap(need) ? wanted : have,
                wanted,
                bars.map(b -> String.join(", ", reactions)).orElse(""),
                past,
                good,
                density);
    }

    /** What is in a pack: g, or pieces. */
    static double contents(ProductValues v, double density) {
        return v.packUnit().equals(MILLILITRES) ? v.packSize() * density : v.packSize();
    }

    /** Whether it costs nothing and is found everywhere, as warm water is. */
    public static boolean isFromTheTap(Need need) {
        return need.removes() && need.family().pricePer100g() == 0;
    }

    /** Whether this product's packs hold what is counted here. */
    private boolean measures(ProductValues v) {
        return v.packUnit().equals(PIECES) == need.isCounted();
    }

    public boolean isShort() {
        return have < wanted;
    }

    /** How full the jar is of what should be in it, 0 to 1.2. */
    public double full() {
        return wanted <= 0 ? 1.2 : Math.min(1.2, have / wanted);
    }

    /** The product to buy, if the house knows one: the one that was used, or the cheapest by its contents. */
    public Optional<ProductValues> toBuy() {
        List<ProductValues> known = new ArrayList<>(good);
        known.addAll(past);
        return known.stream()
                .filter(this::measures)
                .filter(v -> v.packSize() > 0)
                .min(Comparator.comparingDouble(v -> v.price() / v.packSize()));
    }

    /** Packs of it that close the gap. */
    public int packs(ProductValues v) {
        return (int) Math.ceil((wanted - have) / contents(v, density));
    }

    /**
     * What is used up on the day, in the house's money: by the price of what it has, else by the trade's reference price.
     *
     * @param perEuro how much of that money a euro is, in which reference prices are
     */
    public double cost(double perEuro) {
        Material family = need.family();
        double amount = need.isCounted() ? need.pieces() : need.grams();
        return toBuy().map(v -> amount * v.price() / contents(v, density))
                .orElse(need.isCounted() ? 0 : amount * family.pricePer100g() / 100 * perEuro);
    }
}
