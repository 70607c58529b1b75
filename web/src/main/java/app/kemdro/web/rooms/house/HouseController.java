package app.kemdro.web.rooms.house;

import app.kemdro.core.climate.Blow;
import app.kemdro.core.climate.HumidAir;
import app.kemdro.core.material.Film;
import app.kemdro.core.material.Material;
import app.kemdro.core.material.MaterialRole;
import app.kemdro.core.method.OrderSchool;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import app.kemdro.web.parts.card.DryingCard;
import app.kemdro.web.parts.card.DryingCard.Lies;
import app.kemdro.web.parts.file.Files;
import app.kemdro.web.parts.sensor.Reading;
import app.kemdro.web.parts.sensor.RoomSensor;
import app.kemdro.web.parts.sensor.SimulatedSensor;
import app.kemdro.web.parts.typed.Typed;
import app.kemdro.web.records.product.Product;
import app.kemdro.web.records.product.Products;
import app.kemdro.web.records.school.UsualSchools;
import app.kemdro.web.rooms.Rooms;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.Principal;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The house room: the kit, the materials of the trade, one's own schools, the room and its sensor, drying cards. */
@Controller
class HouseController {
    private static final double USUAL_C = 22;
    private static final double USUAL_PERCENT = 45;
    private static final double DAMP_C = 30;
    private static final double DAMP_PERCENT = 80;

    private final Products products;
    private final UsualSchools usual;
    private final RoomSensor sensor;
    private final SimulatedSensor simulated;
    private final Trade trade;
    private final Clock clock;
    private final Typed fields;

    HouseController(
            Products products,
            UsualSchools usual,
            RoomSensor sensor,
            SimulatedSensor simulated,
            Trade trade,
            Clock clock,
            Typed fields) {
        this.fields = fields;
        this.products = products;
        this.usual = usual;
        this.sensor = sensor;
        this.simulated = simulated;
        this.trade = trade;
        this.clock = clock;
    }

    /** A product as a line of the list. */
    record Line(
            String code,
            String name,
            String familyName,
            String family,
            String supplier,
            String kind,
            String drawn,
            String pack,
            String left,
            String good,
            boolean past,
            boolean retired) {}

    @GetMapping("/house")
    String kit(
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "false") boolean retired,
            Model model) {
        Map<String, List<Line>> byKind = new LinkedHashMap<>();
        products.search(q, retired).stream()
                .map(this::line)
                .sorted((a, b) -> a.kind().compareTo(b.kind()))
                .forEach(l ->
                        byKind.computeIfAbsent(l.kind(), k -> new ArrayList<>()).add(l));
        model.addAttribute("lines", byKind);
        model.addAttribute("q", q);
        model.addAttribute("retired", retired);
        model.addAttribute("missing", products.missing().size());
        return "rooms/house/kit";
    }

    private Line line(Product product) {
        var v = product.values();
        Optional<Material> family = products.family(product);
        LocalDate until = product.goodUntil();
        boolean past = until != null && until.isBefore(LocalDate.now(clock));
        return new Line(
                v.code(),
                v.name(),
                family.map(Material::name).orElse(v.family() + ", which this Kemdro does not know"),
                v.family(),
                v.supplier(),
                family.map(Material::kind).orElse("not known"),
                family.filter(Material::isLayer).map(Material::drawn).orElse("film"),
                plain(v.packSize()) + " " + v.packUnit() + ", ¤ " + plain(v.price()),
                plain(v.packs()) + (v.packs() == 1 ? " pack" : " packs"),
                until == null ? "" : (past ? "past since " : "good until ") + until,
                past,
                v.retired());
    }

    private static String plain(double value) {
        return value == Math.rint(value) ? Long.toString((long) value) : Double.toString(value);
    }

    @GetMapping("/house/products/new")
    String blank(@RequestParam(defaultValue = "") String family, Model model) {
        return form("", Map.of("family", family, "pack_unit", "g", "packs", "1"), Map.of(), model);
    }

    @GetMapping("/house/products/{code}")
    String product(@PathVariable String code, Model model, RedirectAttributes after) {
        return products.find(code)
                .map(p -> {
                    model.addAttribute("was", fields.text(StandingProduct.fields(p)));
                    return form(code, Products.typed(p), Map.of(), model);
                })
                .orElseGet(() -> {
                    after.addFlashAttribute(Rooms.CHANGE, "There is no product '" + code + "' in the house.");
                    return "redirect:/house";
                });
    }

    @PostMapping("/house/products")
    String keep(
            @RequestParam(defaultValue = "") String known,
            @RequestParam Map<String, String> typed,
            Model model,
            RedirectAttributes after) {
        Map<String, String> wrong = products.keep(known, typed);
        if (!wrong.isEmpty()) {
            return form(known, typed, wrong, model);
        }
        after.addFlashAttribute(Rooms.CHANGE, typed.getOrDefault("name", "It") + " is kept.");
        return "redirect:/house";
    }

    private String form(String known, Map<String, String> typed, Map<String, String> wrong, Model model) {
        model.addAttribute("known", known);
        model.addAttribute("typed", typed);
        model.addAttribute("wrong", wrong);
        model.addAttribute(
                "families",
                trade.materials().all().stream()
                        .sorted((a, b) -> (a.kind() + a.name()).compareTo(b.kind() + b.name()))
                        .toList());
        return "rooms/house/product";
    }

    /** Lays a usual box in: a plain pack of each family that the house has nothing of. */
    @PostMapping("/house/products/usual-box")
    String layIn(RedirectAttributes after) {
        int laid = products.layIn();
        after.addFlashAttribute(
                Rooms.CHANGE,
                laid == 0
                        ? "The house has something of every family already. Nothing was added."
                        : laid + (laid == 1 ? " product is" : " products are")
                                + " in the box, one pack each. Open one to write in what really stands there.");
        return "redirect:/house";
    }

    @GetMapping("/house/products.csv")
    ResponseEntity<byte[]> csv() {
        return Files.kept("kit.csv", "text/csv", products.csv());
    }

    @GetMapping("/house/products.json")
    ResponseEntity<byte[]> json() {
        return Files.kept("kit.json", "application/json", products.json());
    }

    @PostMapping("/house/products/file")
    String take(@RequestParam MultipartFile file, Model model, RedirectAttributes after) throws IOException {
        List<String> wrong = products.take(new String(file.getBytes(), StandardCharsets.UTF_8));
        if (!wrong.isEmpty()) {
            model.addAttribute("refused", wrong);
            return kit("", false, model);
        }
        after.addFlashAttribute(Rooms.CHANGE, "The file is taken over.");
        return "redirect:/house";
    }

    /** A kind of work that has several schools. */
    record Schools(String family, List<School> schools) {}

    /** One of them. */
    record School(Technique technique, boolean usual) {}

    /** A question of order, with the way that is one's own, if any. */
    record OrderChoice(OrderSchool school, String own) {}

    @GetMapping("/house/schools")
    String schools(Model model, Principal who) {
        Map<String, String> ways = usual.ways(who.getName());
        model.addAttribute(
                "orders",
                trade.orderSchools().stream()
                        .filter(s -> !s.byTechnique())
                        .map(s -> new OrderChoice(s, ways.getOrDefault(s.id(), "")))
                        .toList());
        Map<String, String> own = usual.of(who.getName());
        Map<String, List<School>> byFamily = new LinkedHashMap<>();
        trade.techniques().stream()
                .filter(t -> !trade.schoolsBeside(t).isEmpty() && !t.between())
                .forEach(t -> byFamily.computeIfAbsent(t.family(), k -> new ArrayList<>())
                        .add(new School(t, t.id().equals(own.get(t.family())))));
        model.addAttribute(
                "families",
                byFamily.entrySet().stream()
                        .map(e -> new Schools(e.getKey(), e.getValue()))
                        .toList());
        return "rooms/house/schools";
    }

    @PostMapping("/house/schools")
    String press(@RequestParam String technique, Principal who) {
        if (!trade.has(technique)) {
            return "redirect:/house/schools";
        }
        usual.press(who.getName(), trade.technique(technique));
        return "redirect:/house/schools#" + technique;
    }

    @PostMapping("/house/schools/order")
    String pressOrder(@RequestParam String school, @RequestParam String way, Principal who) {
        return trade.orderSchools().stream()
                .filter(s -> s.id().equals(school))
                .findFirst()
                .map(s -> {
                    s.way(way).ifPresent(w -> usual.press(who.getName(), s, w));
                    return "redirect:/house/schools#order-" + s.id();
                })
                .orElse("redirect:/house/schools");
    }

    @GetMapping("/house/room")
    String room(Model model) {
        model.addAttribute("reading", sensor.now().orElse(null));
        model.addAttribute("scenario", simulated.playing().orElse(null));
        model.addAttribute("scenarios", SimulatedSensor.Scenario.values());
        return "rooms/house/room";
    }

    @PostMapping("/house/room")
    String play(@RequestParam SimulatedSensor.Scenario scenario) {
        simulated.play(scenario);
        return "redirect:/house/room";
    }

    /** What a drying card is asked for, as typed. */
    record Asked(String of, double t, double rh, double t2, double rh2, Lies on, Blow air, double thickness) {}

    @GetMapping("/house/card")
    String card(
            @RequestParam(name = "of", defaultValue = "") String wanted,
            @RequestParam(defaultValue = "") String t,
            @RequestParam(defaultValue = "") String rh,
            @RequestParam(defaultValue = "") String t2,
            @RequestParam(defaultValue = "") String rh2,
            @RequestParam(defaultValue = "SKIN") Lies on,
            @RequestParam(defaultValue = "STILL") Blow air,
            @RequestParam(defaultValue = "1") String thickness,
            Model model) {
        // the first that sticks by drying is what is most often asked about
        String of = wanted.isEmpty()
                ? trade.materials().all().stream()
                        .filter(m -> m.is(MaterialRole.GLUE) && m.setting() instanceof Film)
                        .findFirst()
                        .map(Material::id)
                        .orElse("")
                : wanted;
        Optional<Product> product = products.find(of);
        Optional<Material> family = product.flatMap(products::family)
                .or(() -> trade.materials().has(of)
                        ? Optional.of(trade.materials().family(of))
                        : Optional.empty());
        Optional<Reading> now = sensor.now();
        List<String> wrong = new ArrayList<>();
        Asked asked = new Asked(
                of,
                number("Temperature", t, now.map(Reading::temperatureC).orElse(USUAL_C), 5, 45, wrong),
                number("Humidity", rh, now.map(Reading::humidityPercent).orElse(USUAL_PERCENT), 5, 100, wrong),
                number("Temperature of the other room", t2, DAMP_C, 5, 45, wrong),
                number("Humidity of the other room", rh2, DAMP_PERCENT, 5, 100, wrong),
                on,
                air,
                number("Thickness", thickness, 1, 0.1, 20, wrong));
        model.addAttribute("asked", asked);
        model.addAttribute("wrong", wrong);
        model.addAttribute("fromSensor", t.isBlank() && now.isPresent());
        model.addAttribute("family", family.orElse(null));
        model.addAttribute("product", product.map(Product::values).orElse(null));
        model.addAttribute(
                "drying",
                trade.materials().all().stream()
                        .filter(m -> m.setting() != null)
                        .toList());
        model.addAttribute(
                "card",
                family.map(Material::setting)
                        .map(s -> product.map(p -> p.setting(s)).orElse(s))
                        .map(s -> DryingCard.of(
                                s.times(asked.thickness()),
                                on,
                                air,
                                new HumidAir(asked.t(), asked.rh() / 100),
                                new HumidAir(asked.t2(), asked.rh2() / 100)))
                        .orElse(null));
        return "rooms/house/card";
    }

    private static double number(
            String what, String typed, double usual, double least, double most, List<String> wrong) {
        if (typed.isBlank()) {
            return usual;
        }
        try {
            double value = Double.parseDouble(typed.strip().replace(',', '.'));
            if (value >= least && value <= most) {
                return value;
            }
        } catch (NumberFormatException e) {
            // said below
        }
        wrong.add("%s: '%s' is not %.1f to %.0f; %.0f is shown instead.".formatted(what, typed, least, most, usual));
        return usual;
    }
}
