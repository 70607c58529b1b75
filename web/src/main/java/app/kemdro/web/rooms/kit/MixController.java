package app.kemdro.web.rooms.kit;

import app.kemdro.core.kit.Amounts;
import app.kemdro.core.kit.Mix;
import app.kemdro.core.kit.Need;
import app.kemdro.core.kit.Waste;
import app.kemdro.core.method.Trade;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.paint.ColourCards;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.rooms.Rooms;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Mixing cards: what is stirred together for a job, in the amounts it needs, and the trade's other mixes. */
@Controller
class MixController {
    private static final double USUAL = 100;

    private final Jobs jobs;
    private final Plans plans;
    private final Rooms rooms;
    private final ColourCards colours;
    private final Amounts amounts;
    private final List<Mix> mixes;

    MixController(Jobs jobs, Plans plans, Rooms rooms, ColourCards colours, Trade trade) {
        this.jobs = jobs;
        this.plans = plans;
        this.rooms = rooms;
        this.colours = colours;
        Waste waste = Waste.standard(trade.body());
        this.amounts = new Amounts(trade, waste);
        this.mixes = Mix.standard(trade.materials(), waste);
    }

    /** One part on a card. */
    record Line(String what, String parts, String grams, String millilitres) {}

    /** A mixing card. */
    record Card(
            String name,
            String whole,
            List<Line> lines,
            String pot,
            String how,
            List<String> cautions,
            String because) {}

    @GetMapping("/jobs/{id}/kit/mixes")
    String mixes(@PathVariable long id, @RequestParam(defaultValue = "") String grams, Model model) {
        Job job = jobs.get(id);
        Optional<Double> asked = read(grams, model);
        List<Need> needs = rooms.open(model, job, "kit")
                .map(p -> amounts.laid(p, job.look()))
                .orElse(List.of());
        List<Card> own = new ArrayList<>();
        List<Card> others = new ArrayList<>();
        for (Mix mix : mixes) {
            Optional<Need> need = needs.stream()
                    .filter(n -> !n.removes()
                            && !n.isCounted()
                            && mix.makes().contains(n.family().id()))
                    .findFirst();
            need.ifPresentOrElse(
                    n -> own.add(card(mix, asked.orElse(Math.max(1, n.packed())))),
                    () -> others.add(card(mix, asked.orElse(USUAL))));
        }
        model.addAttribute("own", own);
        model.addAttribute("others", others);
        model.addAttribute("grams", grams);
        model.addAttribute(
                "colours", plans.of(job).plan().map(p -> colours.of(p, job)).orElse(List.of()));
        return "rooms/kit/mixes";
    }

    private static Optional<Double> read(String grams, Model model) {
        if (grams.isBlank()) {
            return Optional.empty();
        }
        try {
            double read = Double.parseDouble(grams.strip().replace(',', '.'));
            if (read >= 0.1 && read <= 100_000) {
                return Optional.of(read);
            }
        } catch (NumberFormatException e) {
            // said below
        }
        model.addAttribute(
                "wrong", "'" + grams.strip() + "' is no amount; 0.1 to 100000 g. The cards show what is usual.");
        return Optional.empty();
    }

    private static Card card(Mix mix, double grams) {
        return new Card(
                mix.name(),
                Words.grams(grams),
                mix.of(grams).stream()
                        .map(m -> new Line(
                                m.part().what(),
                                plain(m.part().parts()),
                                Words.grams(m.grams()),
                                mix.by() == Mix.By.WEIGHT ? "" : millilitres(m.millilitres())))
                        .toList(),
                mix.potMinutes() == 0 ? "keeps" : "use within " + mix.potMinutes() + " min",
                mix.how(),
                mix.cautions(),
                mix.because());
    }

    private static String millilitres(double value) {
        return value < 10 ? String.format(Locale.ROOT, "%.1f ml", value) : Math.round(value) + " ml";
    }

    private static String plain(double value) {
        return value == Math.rint(value) ? Long.toString((long) value) : Double.toString(value);
    }
}
