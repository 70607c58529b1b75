package app.kemdro.web.rooms.kit;

import app.kemdro.core.kit.Amounts;
import app.kemdro.core.kit.CapLoad;
import app.kemdro.core.kit.GlueLine;
import app.kemdro.core.kit.Need;
import app.kemdro.core.kit.Spend;
import app.kemdro.core.kit.Tool;
import app.kemdro.core.kit.Waste;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Substitutes;
import app.kemdro.core.safety.Safety;
import app.kemdro.web.parts.file.Files;
import app.kemdro.web.parts.file.Tables;
import app.kemdro.web.parts.print.Sheets;
import app.kemdro.web.parts.typed.TakeBack;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.habit.Habits;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.paint.ColourCards;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.product.Products;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.stock.Stock;
import app.kemdro.web.records.stock.Stocks;
import app.kemdro.web.records.stock.UsedUp;
import app.kemdro.web.rooms.Rooms;
import app.kemdro.web.rooms.kit.Jars.Jar;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Enough of the right things: amounts from the plan beside what the house has, a shopping list, and the bag. */
@Controller
class KitController {
    /** Small vital things that no amount tells of. */
    private static final int MOST_DAYS = 60;

    /** What is less is not worth a line, €. */
    private static final double LEAST_EUROS = 1;

    private static final int MOST_SPENDS = 6;

    private static final int ONE_DAY = 1;

    private final Jobs jobs;
    private final Plans plans;
    private final Rooms rooms;
    private final Trade trade;
    private final Amounts amounts;
    private final Waste waste;
    private final Jars jars;
    private final UsedUp used;
    private final Runs runs;
    private final Sheets sheets;
    private final Stocks stocks;
    private final Substitutes substitutes;
    private final Safety safety;
    private final List<Tool> tools;
    private final Bag bag;
    private final ColourCards colours;
    private final Habits habits;

    KitController(
            Jobs jobs,
            Plans plans,
            Products products,
            Rooms rooms,
            UsedUp used,
            Runs runs,
            Sheets sheets,
            Stocks stocks,
            Bag bag,
            ColourCards colours,
            Habits habits,
            Trade trade) {
        this.habits = habits;
        this.bag = bag;
        this.colours = colours;
        this.stocks = stocks;
        this.used = used;
        this.runs = runs;
        this.sheets = sheets;
        this.substitutes = plans.substitutes();
        this.waste = Waste.standard(trade.body());
        this.jobs = jobs;
        this.plans = plans;
        this.rooms = rooms;
        this.trade = trade;
        this.amounts = new Amounts(trade, waste);
        this.jars = new Jars(trade, waste, products);
        this.safety = new Safety(trade);
        this.tools = Tool.standard(trade);
    }

    @GetMapping("/jobs/{id}/kit")
    String kit(
            @PathVariable long id,
            @RequestParam(defaultValue = "1") int days,
            @RequestParam(defaultValue = "") String without,
            Model model) {
        Job job = jobs.get(id);
        int most = Math.max(1, Math.min(MOST_DAYS, days));
        rooms.open(model, job, "kit").ifPresent(plan -> {
            fill(model, plan, job, most);
            model.addAttribute("caps", caps(plan, job));
            model.addAttribute("spends", spends(plan, job));
        });
        model.addAttribute("days", most);
        model.addAttribute("weights", weights(job));
        model.addAttribute("used", used.last(id));
        if (trade.materials().has(without)) {
            model.addAttribute("without", trade.materials().family(without).name());
            model.addAttribute("instead", instead(job, without));
        }
        return "rooms/kit/kit";
    }

    /** A way of doing without a material. */
    record Instead(
            String entry, String school, String where, String minutes, String euros, String verdict, String id) {}

    private List<Instead> instead(Job job, String family) {
        return substitutes.of(job.look(), job.brief(), family).stream()
                .map(s -> new Instead(
                        s.entry().id(),
                        s.school().name(),
                        trade.body().say(s.entry().zones()),
                        Words.change(Math.round(s.later() / 60.0)),
                        Math.round(s.dearer()) == 0
                                ? "for the same money"
                                : "€ " + Math.round(Math.abs(s.dearer())) + (s.dearer() > 0 ? " more" : " less"),
                        s.troubles() > 0
                                ? s.troubles() + (s.troubles() == 1 ? " layer" : " layers")
                                        + " would not hold: mend in Look"
                                : s.conditions().isEmpty()
                                        ? "every layer holds"
                                        : "every layer holds if " + String.join(", and if ", s.conditions()),
                        s.school().id()))
                .toList();
    }

    @PostMapping("/jobs/{id}/kit/instead")
    String take(
            @PathVariable long id, @RequestParam String entry, @RequestParam String school, RedirectAttributes after) {
        Job job = jobs.get(id);
        runs.refuseWhileRunning(id);
        boolean fits = trade.has(school)
                && job.look()
                        .entry(entry)
                        .filter(e -> trade.schoolsBeside(trade.technique(e.techniqueId()), e.zones()).stream()
                                .anyMatch(t -> t.id().equals(school)))
                        .isPresent();
        if (fits) {
            String before = job.look().entry(entry).orElseThrow().techniqueId();
            after.addFlashAttribute(
                    TakeBack.OFFER,
                    TakeBack.of(
                            "Take back: as before, “" + trade.technique(before).name() + "”",
                            "/jobs/" + id + "/kit/instead",
                            Map.of("entry", entry, "school", before)));
        }
        after.addFlashAttribute(
                Rooms.CHANGE,
                fits
                        ? plans.changeLook(job, l -> l.changing(entry, e -> e.by(school)))
                                .said()
                        : "That way is not there any more. Nothing was changed.");
        return "redirect:/jobs/" + id + "/kit";
    }

    @PostMapping("/jobs/{id}/kit/put-back")
    String putBack(@PathVariable long id, RedirectAttributes after) {
        used.putBack(id);
        after.addFlashAttribute(Rooms.CHANGE, "The last day's use is put back.");
        return "redirect:/jobs/" + id + "/kit";
    }

    /** A piece and what it hangs on. */
    record Weight(String what, String grams, String load, String advice, boolean over) {}

    private List<Weight> weights(Job job) {
        return GlueLine.of(job.look(), job.brief().performer(), trade, waste).stream()
                .map(g -> new Weight(
                        trade.technique(g.entry().techniqueId()).name() + ", "
                                + trade.body().say(g.entry().zones()),
                        Words.grams(g.grams()),
                        String.format(
                                Locale.ROOT,
                                "%.0f %% of what %s bears",
                                100 * g.load() / g.limit(),
                                g.glue().name()),
                        advice(g),
                        g.isOver()))
                .toList();
    }

    private List<Weight> caps(Plan plan, Job job) {
        return CapLoad.of(plan, job.look(), trade, waste).stream()
                .map(c -> new Weight(
                        String.join(", ", c.hanging()) + " on the "
                                + trade.technique(c.cap().techniqueId()).name().toLowerCase(Locale.ROOT),
                        Words.grams(c.grams()),
                        String.format(
                                Locale.ROOT,
                                "of %.0f g, glued along %.0f cm, the hair %s",
                                c.carries(),
                                c.gluedCm(),
                                c.flat() ? "flat" : "not flat"),
                        c.advice(),
                        c.isOver()))
                .toList();
    }

    /** Where money goes: a row of the body, and a school that takes less. */
    record Spending(String euros, String where, String most, String instead, String look) {}

    private List<Spending> spends(Plan plan, Job job) {
        return Spend.of(plan, job.look(), trade).stream()
                .filter(s -> s.euros() >= LEAST_EUROS)
                .limit(MOST_SPENDS)
                .map(s -> new Spending(
                        "€ " + Math.round(s.euros()),
                        trade.body().say(s.zones()),
                        (s.most() < s.euros() - LEAST_EUROS / 2 ? "most of it: " : "")
                                + s.dearest().name(),
                        s.cheaper()
                                .map(c -> "%s saves about € %d a day"
                                        .formatted(c.school().name(), Math.round(c.saves())))
                                .orElse(""),
                        String.join(",", s.zones())))
                .toList();
    }

    private static String advice(GlueLine g) {
        if (g.isOver()) {
            return "Too heavy for this glue: "
                    + (g.better().isEmpty()
                            ? "support it, by a tight cap, a tie or a hidden strap."
                            : g.better().get(0).name() + " carries it, or support it.");
        }
        return g.isNear() ? "Near its limit: more glue at the load, and support from the cap." : "";
    }

    /** The bag, to be ticked on paper or on a screen. */
    @GetMapping("/jobs/{id}/kit/bag")
    String bag(@PathVariable long id, Model model) {
        Job job = jobs.get(id);
        rooms.open(model, job, "kit").ifPresent(plan -> {
            fill(model, plan, job, ONE_DAY);
            model.addAttribute("shades", colours.shades(plan, job));
            model.addAttribute("things", bag.things(plan, job));
        });
        return "rooms/kit/bag";
    }

    private List<Stock> stock(Plan plan, Job job, int days) {
        return stocks.of(plan, job, days);
    }

    private void fill(Model model, Plan plan, Job job, int days) {
        List<Stock> all = stock(plan, job, days);
        Set<String> made = bag.made(plan);
        List<Jar> shelf = all.stream().map(s -> jars.of(s, made)).toList();
        int[] wipes = amounts.wipes(plan);
        model.addAttribute("short", shelf.stream().filter(Jar::isShort).toList());
        model.addAttribute("enough", shelf.stream().filter(j -> !j.isShort()).toList());
        model.addAttribute("jars", shelf);
        model.addAttribute("shopping", Jars.shopping(all, made));
        model.addAttribute(
                "cost",
                Math.round(all.stream()
                        .filter(s -> !made.contains(s.need().family().id()))
                        .mapToDouble(s -> s.cost(habits.money().perEuro()))
                        .sum()));
        model.addAttribute("wipes", wipes[0] + " to " + wipes[1]);
        model.addAttribute("ruined", Jars.ruined(all));
        model.addAttribute("small", small(plan));
        model.addAttribute("day", Words.day(plan.brief().call()));
    }

    /** Tools and throw-away things for what is done, and what they must be free of on this performer. */
    private List<String> small(Plan plan) {
        return Stream.concat(
                        safety.withoutIn(plan.brief().performer().reactsTo()).stream(),
                        Tool.of(plan, tools).stream().map(Tool::name))
                .toList();
    }

    @GetMapping("/jobs/{id}/kit.csv")
    ResponseEntity<byte[]> csv(@PathVariable long id) {
        Job job = jobs.get(id);
        List<List<Object>> rows = new ArrayList<>();
        Optional<Plan> plan = plans.of(job).plan();
        Set<String> made = plan.map(bag::made).orElse(Set.of());
        for (Stock s : plan.map(p -> stock(p, job, ONE_DAY)).orElse(List.of())) {
            Need n = s.need();
            rows.add(List.of(
                    n.family().name(),
                    round(n.laid()),
                    round(n.grams()),
                    round(n.packed()),
                    n.pieces(),
                    round(s.have()),
                    jars.of(s, made).state(),
                    String.join(" ", n.zones())));
        }
        return Files.kept(
                "kit-" + id + ".csv",
                "text/csv",
                Tables.write(
                        List.of("material", "laid_g", "needed_g", "packed_g", "pieces", "in_house", "state", "zones"),
                        rows));
    }

    /** The bag as a sheet of paper. */
    @GetMapping("/jobs/{id}/bag.pdf")
    ResponseEntity<byte[]> sheet(@PathVariable long id) {
        Job job = jobs.get(id);
        Optional<Plan> plan = plans.of(job).plan();
        if (plan.isEmpty()) {
            return Files.elsewhere("/jobs/" + id + "/kit");
        }
        Set<String> made = bag.made(plan.get());
        int[] wipes = amounts.wipes(plan.get());
        byte[] pdf = sheets.readable(
                "rooms/kit/bag-sheet",
                Map.of(
                        "title", job.title(),
                        "day", Words.day(plan.get().brief().call()),
                        "performer", job.brief().performer().name(),
                        "jars",
                                stock(plan.get(), job, ONE_DAY).stream()
                                        .map(s -> jars.of(s, made))
                                        .toList(),
                        "wipes", wipes[0] + " to " + wipes[1],
                        "small", small(plan.get()),
                        "shades", colours.shades(plan.get(), job),
                        "things", bag.things(plan.get(), job)));
        return Files.sheet("bag-" + id + ".pdf", pdf);
    }

    /** A need as it is exchanged. */
    record Needed(
            String family,
            double laidG,
            double neededG,
            double packedG,
            int pieces,
            double inHouse,
            String state,
            List<String> zones) {}

    @GetMapping(path = "/jobs/{id}/kit.json", produces = MediaType.APPLICATION_JSON_VALUE)
    @ResponseBody
    List<Needed> json(@PathVariable long id) {
        Job job = jobs.get(id);
        Optional<Plan> plan = plans.of(job).plan();
        Set<String> made = plan.map(bag::made).orElse(Set.of());
        return plan.map(p -> stock(p, job, ONE_DAY)).orElse(List.of()).stream()
                .map(s -> new Needed(
                        s.need().family().id(),
                        s.need().laid(),
                        s.need().grams(),
                        s.need().packed(),
                        s.need().pieces(),
                        s.have(),
                        jars.of(s, made).state(),
                        s.need().zones()))
                .toList();
    }

    private static String round(double value) {
        return String.format(Locale.ROOT, "%.1f", value);
    }
}
