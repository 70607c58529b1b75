package app.kemdro.web.records.product;

import app.kemdro.core.kit.UsualBox;
import app.kemdro.core.material.Material;
import app.kemdro.core.method.Trade;
import app.kemdro.web.parts.typed.TypedDay;
import app.kemdro.web.records.habit.Habits;
import java.time.Clock;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.util.StringUtils;
import org.springframework.util.function.SingletonSupplier;

/** Keeps the products of the house. */
@Service
public class Products {
    private final ProductRepository repository;
    private static final List<String> DAYS = List.of("opened", "expires");

    private final Trade trade;
    private final Clock clock;
    private final Habits habits;
    private final SingletonSupplier<List<UsualBox.Pack>> box;

    Products(ProductRepository repository, Trade trade, Habits habits, Clock clock) {
        this.habits = habits;
        this.clock = clock;
        this.box = SingletonSupplier.of(() -> UsualBox.standard(trade.materials()));
        this.repository = repository;
        this.trade = trade;
    }

    public boolean isEmpty() {
        return repository.count() == 0;
    }

    public Optional<Product> find(String code) {
        return repository.findByCode(code);
    }

    /** Products whose name, code, supplier, family or note holds all of these words; retired ones only when asked for. */
    public List<Product> search(String words, boolean retiredToo) {
        List<String> wanted = List.of(words.strip().toLowerCase(Locale.ROOT).split("\\s+"));
        return repository.findAllByOrderByName().stream()
                .filter(p -> retiredToo || !p.values().retired())
                .filter(p -> wanted.stream().allMatch(text(p)::contains))
                .toList();
    }

    private String text(Product product) {
        ProductValues v = product.values();
        String family = trade.materials().has(v.family())
                ? trade.materials().family(v.family()).name()
                : "";
        return String.join(" ", v.code(), v.name(), v.supplier(), v.family(), family, v.note())
                .toLowerCase(Locale.ROOT);
    }

    /** The family of a product; empty where the trade's data no longer has it. */
    public Optional<Material> family(Product product) {
        return trade.materials().has(product.family())
                ? Optional.of(trade.materials().family(product.family()))
                : Optional.empty();
    }

    /**
     * Keeps a product as it was typed.
     *
     * @param code the product that is changed, empty for a new one
     * @return complaints by column; empty when it was kept
     */
    @Transactional
    public Map<String, String> keep(String code, Map<String, String> typed) {
        Map<String, String> plain = new LinkedHashMap<>(typed);
        LocalDate today = LocalDate.now(clock);
        DAYS.forEach(d -> plain.computeIfPresent(
                d,
                (column, day) ->
                        TypedDay.read(day, today).map(LocalDate::toString).orElse(day)));
        ProductReading.Read read = ProductReading.read(plain, trade.materials());
        if (read.values().isEmpty()) {
            return read.wrong();
        }
        ProductValues values = read.values().get();
        Optional<Product> known = repository.findByCode(code);
        Optional<Product> other = repository.findByCode(values.code());
        if (other.isPresent() && (known.isEmpty() || !known.get().code().equals(values.code()))) {
            return Map.of("code", "'" + values.code() + "' is there already; choose another.");
        }
        if (known.isPresent()) {
            known.get().take(values);
        } else {
            repository.save(new Product(values));
        }
        return Map.of();
    }

    /**
     * Takes a file over, whole or not at all; products whose code is there already are replaced.
     *
     * @param file a CSV, or JSON where it begins with a bracket
     * @return what is wrong with it and where; empty when it was taken
     */
    @Transactional
    public List<String> take(String file) {
        ProductRows.Read read =
                file.stripLeading().startsWith("[") || file.stripLeading().startsWith("{")
                        ? ProductJson.read(file, trade.materials())
                        : ProductCsv.read(file, trade.materials());
        Map<String, Product> known =
                repository.findAllByOrderByName().stream().collect(Collectors.toMap(Product::code, p -> p));
        for (ProductValues values : read.products()) {
            known.computeIfAbsent(values.code(), c -> repository.save(new Product(values)))
                    .take(values);
        }
        return read.wrong();
    }

    /** Families of the usual box of which the house has nothing. */
    public List<UsualBox.Pack> missing() {
        Set<String> had =
                repository.findAllByOrderByName().stream().map(Product::family).collect(Collectors.toSet());
        return box.obtain().stream().filter(p -> !had.contains(p.family().id())).toList();
    }

    /** Lays a pack of each of them in, called plainly by its family. */
    @Transactional
    public int layIn() {
        List<UsualBox.Pack> missing = missing();
        for (UsualBox.Pack p : missing) {
            String code = p.family().id();
            repository.save(new Product(new ProductValues(
                    repository.findByCode(code).isPresent() ? "usual-" + code : code,
                    StringUtils.capitalize(p.family().name()),
                    p.family().id(),
                    "",
                    p.size(),
                    p.unit(),
                    p.price() * habits.money().perEuro(),
                    null,
                    p.months(),
                    null,
                    1,
                    null,
                    null,
                    "from the usual box",
                    false)));
        }
        return missing.size();
    }

    /** Takes so many packs of a product off the stock, or puts them back where the number is below 0. */
    @Transactional
    public void use(String code, double packs) {
        repository.findByCode(code).ifPresent(p -> p.use(packs));
    }

    /** Counts that something was worn once more, or once less. */
    @Transactional
    public void wear(String code, int more) {
        repository.findByCode(code).ifPresent(p -> p.wear(more));
    }

    /** A product as it is typed in a form. */
    public static Map<String, String> typed(Product product) {
        Map<String, String> typed = new LinkedHashMap<>(ProductReading.written(product.values()));
        DAYS.forEach(d -> typed.computeIfPresent(d, (column, day) -> TypedDay.shown(day)));
        return typed;
    }

    /** All products as a CSV file. */
    public String csv() {
        return ProductCsv.write(values());
    }

    /** All products as JSON. */
    public String json() {
        return ProductJson.write(values());
    }

    private List<ProductValues> values() {
        return repository.findAllByOrderByName().stream().map(Product::values).toList();
    }
}
