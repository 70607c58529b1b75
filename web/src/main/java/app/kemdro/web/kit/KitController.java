package app.kemdro.web.kit;

import app.kemdro.core.kit.Amounts;
import app.kemdro.core.kit.Need;
import app.kemdro.core.kit.Waste;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.web.job.Job;
import app.kemdro.web.job.Jobs;
import app.kemdro.web.plans.Plans;
import app.kemdro.web.plans.Words;
import app.kemdro.web.product.ProductValues;
import app.kemdro.web.product.Products;
import app.kemdro.web.room.Rooms;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Enough of the right things: amounts from the plan beside what the house has, a shopping list, and the bag. */
@Controller
class KitController {
    private static final String ANYWHERE = "wherever it is sold";

    private final Jobs jobs;
    private final Plans plans;
    private final Products products;
    private final Rooms rooms;
    private final Trade trade;
    private final Amounts amounts;

    KitController(Jobs jobs, Plans plans, Products products, Rooms rooms, Trade trade) {
        this.jobs = jobs;
        this.plans = plans;
        this.products = products;
        this.rooms = rooms;
        this.trade = trade;
        this.amounts = new Amounts(trade, Waste.standard(trade.body()));
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
            boolean removes) {}

    /** Something to buy. */
    record Buy(String what, String amount, String euros) {}

    @GetMapping("/jobs/{id}/kit")
    String kit(@PathVariable long id, Model model) {
        Job job = jobs.get(id);
        rooms.open(model, job, "kit").ifPresent(plan -> fill(model, plan, job));
        return "kit/kit";
    }

    /** The bag, to be ticked on paper or on a screen. */
    @GetMapping("/jobs/{id}/kit/bag")
    String bag(@PathVariable long id, Model model) {
        Job job = jobs.get(id);
        rooms.open(model, job, "kit").ifPresent(plan -> fill(model, plan, job));
        return "kit/bag";
    }

    private List<Stock> stock(Plan plan, Job job) {
        var house = products.search("", false);
        return amounts.of(plan, job.look()).stream()
                .map(n -> Stock.of(
                        n,
                        house,
                        plan.brief().call().toLocalDate(),
                        plan.brief().performer().reactsTo(),
                        barring(n, plan)))
                .toList();
    }

    private List<String> barring(Need need, Plan plan) {
        return trade.materials().reactions().stream()
                .filter(r -> need.family().contains().contains(r.id())
                        && plan.brief().performer().reactsTo().contains(r.id()))
                .map(r -> r.name())
                .toList();
    }

    private void fill(Model model, Plan plan, Job job) {
        List<Stock> all = stock(plan, job);
        List<Jar> jars = all.stream().map(this::jar).toList();
        int[] wipes = amounts.wipes(plan);
        model.addAttribute("short", jars.stream().filter(Jar::isShort).toList());
        model.addAttribute("enough", jars.stream().filter(j -> !j.isShort()).toList());
        model.addAttribute("jars", jars);
        model.addAttribute("shopping", shopping(all));
        model.addAttribute(
                "euros", Math.round(all.stream().mapToDouble(Stock::euros).sum()));
        model.addAttribute("wipes", wipes[0] + " to " + wipes[1]);
        model.addAttribute("ruined", ruined(all));
        model.addAttribute("day", Words.day(plan.brief().call()));
    }

    private Jar jar(Stock s) {
        Need n = s.need();
        String state = "enough";
        String why = "";
        if (!s.barred().isEmpty()) {
            state = "not for this performer";
            why = "reacts to " + s.barred();
        } else if (Stock.isFromTheTap(n)) {
            state = "from the tap";
        } else if (s.good().isEmpty() && !s.past().isEmpty()) {
            state = "past its day";
            why = s.past().get(0).name();
        } else if (s.good().isEmpty()) {
            state = "not in the house";
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
                amount(s.have(), n),
                state,
                why,
                String.format(Locale.ROOT, "%.1f", 38 - 20 * Math.min(1.0, s.full())),
                s.isShort() || !s.barred().isEmpty(),
                n.removes());
    }

    private static String amount(double value, Need n) {
        if (n.isCounted()) {
            long pieces = Math.round(value);
            return pieces + (pieces == 1 ? " piece" : " pieces");
        }
        return value < 10 ? String.format(Locale.ROOT, "%.1f g", value) : Math.round(value) + " g";
    }

    /** What is short, by who sells it. */
    private static Map<String, List<Buy>> shopping(List<Stock> all) {
        Map<String, List<Buy>> bySupplier = new TreeMap<>();
        for (Stock s : all) {
            if (!s.isShort()) {
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
                                    "€ " + Math.round(s.packs(v) * v.price())))
                            .orElseGet(() ->
                                    new Buy(s.need().family().name(), amount(s.wanted() - s.have(), s.need()), "")));
        }
        return new LinkedHashMap<>(bySupplier);
    }

    private static String plain(double value) {
        return value == Math.rint(value) ? Long.toString((long) value) : Double.toString(value);
    }

    /** Tools that are thrown away afterwards. */
    private static String ruined(List<Stock> all) {
        TreeSet<String> ruined = new TreeSet<>();
        all.forEach(s -> ruined.addAll(s.need().family().ruins()));
        return String.join(", ", ruined);
    }

    @GetMapping("/jobs/{id}/kit.csv")
    ResponseEntity<byte[]> csv(@PathVariable long id) throws IOException {
        Job job = jobs.get(id);
        StringBuilder text = new StringBuilder();
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader("material", "laid_g", "needed_g", "packed_g", "pieces", "in_house", "state", "zones")
                .get();
        try (CSVPrinter csv = new CSVPrinter(text, format)) {
            for (Stock s : plans.of(job).plan().map(p -> stock(p, job)).orElse(List.of())) {
                Need n = s.need();
                csv.printRecord(
                        n.family().name(),
                        round(n.laid()),
                        round(n.grams()),
                        round(n.packed()),
                        n.pieces(),
                        round(s.have()),
                        jar(s).state(),
                        String.join(" ", n.zones()));
            }
        }
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"kit-" + id + ".csv\"")
                .body(text.toString().getBytes(StandardCharsets.UTF_8));
    }

    private static String round(double value) {
        return String.format(Locale.ROOT, "%.1f", value);
    }
}
