package app.kemdro.web.rooms.house;

import app.kemdro.web.parts.typed.StandingForm;
import app.kemdro.web.records.product.Product;
import app.kemdro.web.records.product.Products;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/** A product of the house, as it stands. */
@Component
class StandingProduct implements StandingForm {
    private static final String KNOWN = "known";

    private final Products products;

    StandingProduct(Products products) {
        this.products = products;
    }

    @Override
    public String at() {
        return "/house/products";
    }

    @Override
    public Optional<Map<String, List<String>>> now(Sent sent) {
        return products.find(code(sent)).map(StandingProduct::fields);
    }

    private static String code(Sent sent) {
        return sent.typed().getOrDefault(KNOWN, List.of("")).get(0);
    }

    static Map<String, List<String>> fields(Product product) {
        Map<String, List<String>> fields = new LinkedHashMap<>();
        fields.put(KNOWN, List.of(product.code()));
        Products.typed(product).forEach((field, value) -> fields.put(field, List.of(value)));
        // a tick that is not set is not sent
        fields.computeIfPresent("retired", (field, value) -> value.equals(List.of("yes")) ? value : List.of());
        return fields;
    }

    @Override
    public String page(Sent sent) {
        return "/house/products/" + code(sent);
    }

    @Override
    public Set<String> sets() {
        return Set.of();
    }

    @Override
    public String called(String field) {
        return switch (field) {
            case "price_eur" -> "Price, ¤ a pack";
            case "packs" -> "Packs in the house";
            case "months_after_opening" -> "Good for months once opened";
            case "pack_size" -> "Pack holds";
            case "coat_g_m2" -> "Coat in g/m²";
            default -> StandingForm.super.called(field);
        };
    }
}
