package app.kemdro.web.rooms.look;

import app.kemdro.core.body.Body;
import app.kemdro.core.body.Capitals;
import app.kemdro.core.look.BareSkin;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.look.LookEntry.Strength;
import app.kemdro.core.material.Material;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Technique.Effect;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Areas;
import app.kemdro.core.plan.BenchWork;
import app.kemdro.core.plan.Costs;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.plan.Proposals;
import app.kemdro.core.plan.Proposals.Proposal;
import app.kemdro.core.plan.Proposals.Weighed;
import app.kemdro.core.plan.Trials;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.paint.Faces;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.plan.Removals;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** What the look room says about the zones that are pressed, and about the character where none is. */
final class LookRoom {
    private final Trade trade;
    private final Body body;
    private final Plans plans;
    private final Removals removals;
    private final Job job;
    private final Optional<Plan> plan;
    private final List<String> zones;
    private final Proposals proposals;
    private final TechniqueOffers offers;

    LookRoom(
            Trade trade,
            Plans plans,
            Removals removals,
            Job job,
            Optional<Plan> plan,
            List<String> zones,
            Map<String, String> usualSchools) {
        this.trade = trade;
        this.body = trade.body();
        this.plans = plans;
        this.removals = removals;
        this.job = job;
        this.plan = plan;
        this.zones = zones;
        this.proposals =
                new Proposals(trade, job.brief(), plan.map(p -> p.inHand() < 0).orElse(false), usualSchools);
        this.offers = new TechniqueOffers(trade, job, zones, proposals);
    }

    /** A technique that lies on a pressed zone. */
    record Chosen(
            String entryId,
            String had,
            String name,
            String because,
            String where,
            Map<String, String> facts,
            Counts coats,
            Counts items,
            Strength strength,
            int coverage,
            boolean shades,
            String sides,
            boolean part,
            String risk,
            String neverFilmed,
            List<String> cautions,
            String asks,
            List<Choice> choices,
            List<Instead> instead) {}

    /** Something that is chosen inside a school. */
    record Choice(String techniqueId, String says, boolean now) {}

    /** A number that can be chosen. */
    record Counts(String word, int now, int least, int most, boolean choice) {}

    /** Another school of the same family. */
    record Instead(String techniqueId, String name, String because, String risk, String barred) {}

    /** A technique that could be put on the pressed zones, and the schools beside it. */
    record Offer(
            String techniqueId,
            String name,
            String because,
            String suits,
            String barred,
            String only,
            List<Offer> schools) {}

    String title() {
        return zones.isEmpty() ? "Press a zone" : Capitals.capital(body.say(zones));
    }

    String area() {
        return zones.isEmpty() ? "" : Math.round(Areas.of(zones, job.brief().performer(), body)) + " cm²";
    }

    List<Chosen> chosen() {
        return job.look().entries().stream()
                .filter(e -> trade.has(e.techniqueId()))
                .filter(e -> zonesOf(e).stream().anyMatch(zones::contains))
                .map(this::chosen)
                .toList();
    }

    private List<String> zonesOf(LookEntry entry) {
        Technique technique = trade.technique(entry.techniqueId());
        return technique.covers().isEmpty() ? entry.zones() : body.sorted(technique.covers());
    }

    private Chosen chosen(LookEntry entry) {
        Technique technique = trade.technique(entry.techniqueId());
        List<String> on = zonesOf(entry);
        int coats = entry.coats() == 0 ? technique.coats().usual() : entry.coats();
        int items = Areas.items(entry, technique, Areas.of(on, job.brief().performer(), body));
        boolean shades = technique.effect() != Effect.PREPARE && technique.effect() != Effect.ADD;
        return new Chosen(
                entry.id(),
                had(entry),
                technique.name(),
                technique.because(),
                body.say(on),
                facts(entry, technique),
                counts(technique.coats(), coats),
                counts(technique.items(), items),
                entry.strength(),
                entry.coverage(),
                shades && technique.covers().isEmpty(),
                sides(entry, technique),
                technique.covers().isEmpty() && LookChange.isPart(entry, zones),
                technique.profile().risk(),
                technique.profile().neverFilmed(),
                technique.cautions(),
                technique.choice().map(Technique.Choice::asks).orElse(""),
                choices(entry, technique),
                schools(entry, technique));
    }

    private static Counts counts(Technique.Count count, int now) {
        return new Counts(count.word(), now, count.least(), count.most(), count.isChoice());
    }

    /** What it takes and costs, by name. */
    private Map<String, String> facts(LookEntry entry, Technique technique) {
        Map<String, String> facts = new LinkedHashMap<>();
        List<PlannedStep> steps = steps(entry);
        if (!steps.isEmpty()) {
            Plan p = plan.orElseThrow();
            int hands = steps.stream()
                    .map(s -> p.schedule().of(s.id()))
                    .mapToInt(s -> s.end() - s.start())
                    .sum();
            int drying = steps.stream()
                    .map(s -> p.schedule().of(s.id()))
                    .mapToInt(s -> s.settled() - s.end())
                    .sum();
            facts.put("hands", Words.span(Math.round(hands / 60.0)));
            if (drying >= 30) {
                facts.put("dries", Words.span(Math.round(drying / 60.0)));
            }
            facts.put("a day", euros(Costs.euros(steps, job.brief().performer(), trade)));
        }
        double grams = Costs.carried(entry, job.brief().performer(), trade);
        if (grams >= 1) {
            facts.put("weighs", Math.round(grams) + " g");
        }
        List<BenchWork> bench = BenchWork.of(new Look(List.of(entry)), job.brief(), trade);
        if (!bench.isEmpty()) {
            facts.put("bench", bench(bench));
        }
        if (technique.profile().lastsHours() > 0) {
            facts.put("lasts", technique.profile().lastsHours() + " h");
        }
        String off = comesOff(technique);
        if (!off.isEmpty()) {
            facts.put("comes off", off);
        }
        return facts;
    }

    private List<PlannedStep> steps(LookEntry entry) {
        return plan.map(p -> p.steps().stream()
                        .filter(s -> s.entryId().equals(entry.id()))
                        .toList())
                .orElse(List.of());
    }

    private static String bench(List<BenchWork> work) {
        double minutes = work.stream().mapToDouble(BenchWork::minutes).sum();
        double rests = work.stream().mapToDouble(BenchWork::restsHours).sum();
        return Words.span(Math.round(minutes)) + " of hands"
                + (rests >= 1 ? ", " + Math.round(rests) + " h of drying and rest" : "");
    }

    private static String euros(double euros) {
        return euros < 0.5 ? "under € 1" : "€ " + Math.round(euros);
    }

    /** The remover of what holds it: its glue, else what it is made of. */
    private String comesOff(Technique technique) {
        return technique.materials().stream()
                .map(trade.materials()::family)
                .filter(Material::isLayer)
                .filter(m -> !m.kind().equals("powder") && !m.remover().isEmpty())
                .map(Material::remover)
                .distinct()
                .limit(2)
                .collect(Collectors.joining("; "));
    }

    /** "apart" where both sides are one piece of work and could be two, "together" the other way round, else empty. */
    private String sides(LookEntry entry, Technique technique) {
        if (!technique.covers().isEmpty()) {
            return "";
        }
        if (LookChange.isMirrored(entry, body)) {
            return "apart";
        }
        return LookChange.otherSide(job.look(), entry, body).isPresent() ? "together" : "";
    }

    private List<Choice> choices(LookEntry entry, Technique technique) {
        return trade.techniques().stream()
                .filter(t -> t.school().equals(technique.school()) && t.choice().isPresent())
                .filter(t ->
                        t.equals(technique) || offers.barred(t, zonesOf(entry)).isEmpty())
                .map(t -> new Choice(t.id(), t.choice().orElseThrow().says(), t.equals(technique)))
                .toList();
    }

    private List<Instead> schools(LookEntry entry, Technique technique) {
        return schoolsFor(entry, technique).stream()
                .map(w -> new Instead(
                        w.technique().id(),
                        w.technique().name(),
                        w.technique().because(),
                        risk(w),
                        offers.barred(w.technique(), zonesOf(entry))))
                .toList();
    }

    private static String risk(Weighed school) {
        List<String> words = new ArrayList<>();
        if (!school.because().isEmpty()) {
            words.add(Capitals.capital(school.because()) + ".");
        }
        if (!school.technique().profile().risk().isEmpty()) {
            words.add(school.technique().profile().risk());
        }
        if (!school.technique().profile().neverFilmed().isEmpty()) {
            words.add(
                    "Never filmed: " + Capitals.low(school.technique().profile().neverFilmed()));
        }
        return String.join(" ", words);
    }

    private List<Weighed> schoolsFor(LookEntry entry, Technique technique) {
        return proposals.schools(technique.family(), zonesOf(entry)).stream()
                .filter(w -> !w.technique().school().equals(technique.school()))
                .toList();
    }

    /** What other schools of what lies here would change. */
    Map<String, String> insteads() {
        Map<String, String> changes = new LinkedHashMap<>();
        Consequences would = would();
        for (Chosen chosen : chosen()) {
            LookEntry entry = job.look().entry(chosen.entryId()).orElseThrow();
            schoolsFor(entry, trade.technique(entry.techniqueId())).stream()
                    .filter(w -> !w.barred())
                    .forEach(w -> changes.put(
                            entry.id() + " " + w.technique().id(),
                            would.change(LookChange.school(job.look(), entry.id(), w.technique()))));
        }
        return changes;
    }

    /** What adding these techniques here would change, by their ids. */
    Map<String, String> additions(List<String> techniques) {
        Map<String, String> changes = new LinkedHashMap<>();
        Consequences would = would();
        techniques.stream()
                .filter(trade::has)
                .map(trade::technique)
                .filter(t -> zones.stream().anyMatch(t.zones()::contains))
                .forEach(t -> changes.put(t.id(), would.change(LookChange.add(job.look(), t, zones, trade))));
        return changes;
    }

    private Consequences would() {
        return new Consequences(trade, plans, removals, job);
    }

    /** Techniques that can be added, by what they do. */
    Map<String, List<Offer>> offers() {
        return offers.all();
    }

    Optional<Cut> cut(Faces faces) {
        if (zones.isEmpty() || plan.isEmpty()) {
            return Optional.empty();
        }
        String zone = zones.get(0);
        return Optional.of(Cut.of(
                body.zone(zone),
                plan.get(),
                faces.layers(job, plan.get(), zone),
                number -> plans.mending().offers(job.look(), job.brief(), zone, number)));
    }

    BareSkin bare() {
        return BareSkin.of(job.look(), job.brief(), trade);
    }

    /** All that is proposed, each tried on a copy first. */
    List<Proposal> proposed() {
        return tried(proposals.of(job.look()));
    }

    /** What is proposed besides covering bare skin, which is said where bare skin is. */
    List<Proposal> advised() {
        List<String> fills =
                proposals.fills(job.look()).stream().map(Proposal::says).toList();
        return tried(proposals.of(job.look()).stream()
                .filter(p -> !fills.contains(p.says()))
                .toList());
    }

    List<Proposal> fills() {
        return tried(proposals.fills(job.look()));
    }

    private List<Proposal> tried(List<Proposal> all) {
        if (all.isEmpty()) {
            return List.of();
        }
        Trials trials = plans.trials(job);
        return all.stream().filter(p -> trials.mayBeOffered(p.look())).toList();
    }

    List<BenchWork> benchWork() {
        return BenchWork.of(job.look(), job.brief(), trade);
    }

    String benchTotal() {
        return bench(benchWork());
    }

    /** Money and weight of the whole character, in words. */
    String whole() {
        if (plan.isEmpty()) {
            return "";
        }
        double grams = job.look().entries().stream()
                .mapToDouble(e -> Costs.carried(e, job.brief().performer(), trade))
                .sum();
        return euros(Costs.euros(plan.get().steps(), job.brief().performer(), trade)) + " a day in coats and things"
                + (grams >= 1 ? "; " + Math.round(grams) + " g to carry." : ".");
    }

    /** How an entry stands, so that a press on a page of before is known for one. */
    static String had(LookEntry entry) {
        return Integer.toHexString(entry.toString().hashCode());
    }
}
