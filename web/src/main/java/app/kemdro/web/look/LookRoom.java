package app.kemdro.web.look;

import app.kemdro.core.body.Body;
import app.kemdro.core.layer.Stack;
import app.kemdro.core.look.BareSkin;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Technique.Effect;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.plan.Reactions;
import app.kemdro.web.job.Job;
import app.kemdro.web.plans.Plans;
import app.kemdro.web.plans.Words;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What the look room says about the zones that are pressed. */
final class LookRoom {
    private final Trade trade;
    private final Body body;
    private final Plans plans;
    private final Job job;
    private final Optional<Plan> plan;
    private final List<String> zones;

    LookRoom(Trade trade, Plans plans, Job job, Optional<Plan> plan, List<String> zones) {
        this.trade = trade;
        this.body = trade.body();
        this.plans = plans;
        this.job = job;
        this.plan = plan;
        this.zones = zones;
    }

    /** A technique that lies on a pressed zone. */
    record Chosen(
            String entryId,
            String name,
            String because,
            String where,
            String effect,
            String hands,
            String dries,
            int coats,
            int least,
            int most,
            boolean coatChoice,
            List<String> cautions,
            List<Instead> instead) {}

    /** Another school of the same family. */
    record Instead(String techniqueId, String name, String because, String barred) {}

    /** A technique that could be put on the pressed zones. */
    record Offer(String techniqueId, String name, String because, String barred, boolean fits, String only) {}

    /** A layer of the cut, from the skin outwards. */
    record Layer(String name, String detail, String kind) {}

    String title() {
        return zones.isEmpty() ? "Press a zone" : capital(body.say(zones));
    }

    String area() {
        double area = body.areaCm2(zones) * job.brief().performer().areaScale();
        return zones.isEmpty() ? "" : Math.round(area) + " cm²";
    }

    List<Chosen> chosen() {
        return job.look().entries().stream()
                .filter(e -> e.zones().stream().anyMatch(zones::contains)
                        || trade.has(e.techniqueId())
                                && trade.technique(e.techniqueId()).covers().stream()
                                        .anyMatch(zones::contains))
                .filter(e -> trade.has(e.techniqueId()))
                .map(this::chosen)
                .toList();
    }

    private Chosen chosen(LookEntry entry) {
        Technique technique = trade.technique(entry.techniqueId());
        int coats = entry.coats() == 0 ? technique.coats().usual() : entry.coats();
        List<PlannedStep> steps = plan.map(p -> p.steps().stream()
                        .filter(s -> s.entryId().equals(entry.id()))
                        .toList())
                .orElse(List.of());
        int hands = steps.stream()
                .map(s -> plan.orElseThrow().schedule().of(s.id()))
                .mapToInt(p -> p.end() - p.start())
                .sum();
        int drying = steps.stream()
                .map(s -> plan.orElseThrow().schedule().of(s.id()))
                .mapToInt(p -> p.settled() - p.end())
                .sum();
        return new Chosen(
                entry.id(),
                technique.name(),
                technique.because(),
                body.say(technique.covers().isEmpty() ? entry.zones() : technique.covers()),
                technique.effect().name().toLowerCase(Locale.ROOT),
                steps.isEmpty() ? "–" : Words.span(Math.round(hands / 60.0)),
                drying < 30 ? "nothing dries" : Words.span(Math.round(drying / 60.0)),
                coats,
                technique.coats().least(),
                technique.coats().most(),
                technique.coats().isChoice(),
                technique.cautions(),
                schools(entry, technique));
    }

    private List<Instead> schools(LookEntry entry, Technique technique) {
        return schoolsFor(entry, technique).stream()
                .map(t -> new Instead(t.id(), t.name(), t.because(), barred(t)))
                .toList();
    }

    private List<Technique> schoolsFor(LookEntry entry, Technique technique) {
        return trade.schoolsBeside(technique).stream()
                .filter(t -> t.zones().containsAll(entry.zones()))
                .toList();
    }

    /**
     * What each other school on the pressed zones would change, in minutes, by entry and technique joined with a space.
     * Rough plans are compared with rough plans; the room is shown before they are made.
     */
    Map<String, String> insteads() {
        Map<String, String> changes = new java.util.LinkedHashMap<>();
        Optional<Plan> now = rough(job.look());
        for (Chosen chosen : chosen()) {
            LookEntry entry = job.look().entries().stream()
                    .filter(e -> e.id().equals(chosen.entryId()))
                    .findFirst()
                    .orElseThrow();
            schoolsFor(entry, trade.technique(entry.techniqueId())).stream()
                    .filter(t -> barred(t).isEmpty())
                    .forEach(t -> changes.put(entry.id() + " " + t.id(), change(entry, t, now)));
        }
        return changes;
    }

    private String change(LookEntry entry, Technique school, Optional<Plan> now) {
        Optional<Plan> then = rough(LookChange.school(job.look(), entry.id(), school));
        if (then.isEmpty()) {
            return "will not do";
        }
        return now.map(p -> Words.change(
                        Math.round((then.get().schedule().ready() - p.schedule().ready()) / 60.0)))
                .orElse("");
    }

    private Optional<Plan> rough(Look look) {
        return plans.rough(look, job.brief()) instanceof Planning.Done done
                ? Optional.of(done.plan())
                : Optional.empty();
    }

    private String barred(Technique technique) {
        return Reactions.barring(
                        technique,
                        zones.isEmpty() ? technique.zones() : zones,
                        job.brief().performer().reactsTo(),
                        trade)
                .stream()
                .findFirst()
                .map(r -> job.brief().performer().name() + " reacts to " + r.name() + ".")
                .orElse("");
    }

    /** Techniques that can be added, by what they do. */
    Map<String, List<Offer>> offers() {
        Map<Effect, List<Offer>> byEffect = new EnumMap<>(Effect.class);
        Set<String> taken = takenSlots();
        for (Technique technique : trade.techniques()) {
            if (technique.performerOnly() || technique.slot().equals("check") || zones.isEmpty()) {
                continue;
            }
            List<String> fit =
                    zones.stream().filter(technique.zones()::contains).toList();
            if (fit.isEmpty() || taken.contains(technique.slot())) {
                continue;
            }
            byEffect.computeIfAbsent(technique.effect(), k -> new ArrayList<>())
                    .add(new Offer(
                            technique.id(),
                            technique.name(),
                            technique.because(),
                            barred(technique),
                            fit.size() == zones.size(),
                            fit.size() == zones.size() ? "" : "only " + body.say(fit)));
        }
        Map<String, List<Offer>> named = new java.util.LinkedHashMap<>();
        byEffect.forEach((effect, list) -> named.put(effect.name().toLowerCase(Locale.ROOT), list));
        return named;
    }

    private Set<String> takenSlots() {
        Set<String> slots = new java.util.HashSet<>();
        for (LookEntry entry : job.look().entries()) {
            if (trade.has(entry.techniqueId()) && entry.zones().containsAll(zones)) {
                slots.add(trade.technique(entry.techniqueId()).slot());
            }
        }
        return slots;
    }

    /** What lies on the first pressed zone, from the body outwards. */
    List<Layer> layers() {
        List<Layer> layers = new ArrayList<>();
        layers.add(new Layer("Skin", "", "skin"));
        if (zones.isEmpty() || plan.isEmpty()) {
            return layers;
        }
        Stack stack = plan.get().stacks().get(zones.get(0));
        if (stack != null) {
            stack.layers()
                    .forEach(l -> layers.add(new Layer(
                            capital(l.material().name()) + (l.coats() > 1 ? ", " + l.coats() + " coats" : ""),
                            l.what(),
                            l.material().drawn())));
        }
        return layers;
    }

    BareSkin bare() {
        return BareSkin.of(job.look(), job.brief().costumeCovers(), trade);
    }

    private static String capital(String text) {
        return text.isEmpty() ? text : text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
    }
}
