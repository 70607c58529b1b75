package app.kemdro.web.rooms.look;

import app.kemdro.core.body.Body;
import app.kemdro.core.body.Capitals;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Technique.Effect;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Proposals;
import app.kemdro.core.plan.Proposals.Weighed;
import app.kemdro.core.plan.Reactions;
import app.kemdro.core.plan.Unmet;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.rooms.look.LookRoom.Offer;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** Techniques that can be added to the zones that are pressed. */
final class TechniqueOffers {
    private static final int WHOLE = 100;

    private final Trade trade;
    private final Body body;
    private final Brief.Performer performer;
    private final Look look;
    private final List<String> zones;
    private final Proposals proposals;

    TechniqueOffers(Trade trade, Job job, List<String> zones, Proposals proposals) {
        this.trade = trade;
        this.body = trade.body();
        this.performer = job.brief().performer();
        this.look = job.look();
        this.zones = zones;
        this.proposals = proposals;
    }

    /** Techniques that can be added, by what they do; of each family the school that suits the job best comes first. */
    Map<String, List<Offer>> all() {
        Map<Effect, List<Offer>> byEffect = new EnumMap<>(Effect.class);
        Set<String> taken = taken();
        Map<String, List<Technique>> families = trade.techniques().stream()
                .filter(t -> !zones.isEmpty() && !t.between())
                .filter(t -> !trade.strata().level(t.slot()).block())
                .filter(t -> isShared(t.slot())
                        ? !taken.contains(t.id())
                        : !taken.contains(t.slot()) && !taken.contains(t.family()))
                .filter(t -> zones.stream().anyMatch(t.zones()::contains))
                .collect(Collectors.groupingBy(Technique::family, LinkedHashMap::new, Collectors.toList()));
        families.forEach((family, techniques) -> {
            List<Offer> schools = weighed(family, techniques).stream()
                    .map(w -> offer(w, List.of()))
                    .toList();
            Offer first = schools.get(0);
            byEffect.computeIfAbsent(trade.technique(first.techniqueId()).effect(), k -> new ArrayList<>())
                    .add(new Offer(
                            first.techniqueId(),
                            first.name(),
                            first.because(),
                            first.suits(),
                            first.barred(),
                            first.only(),
                            schools.subList(1, schools.size())));
        });
        Map<String, List<Offer>> named = new LinkedHashMap<>();
        byEffect.forEach((effect, list) -> named.put(word(effect), list));
        return named;
    }

    private List<Weighed> weighed(String family, List<Technique> techniques) {
        List<String> fit =
                zones.stream().filter(techniques.get(0).zones()::contains).toList();
        List<Weighed> all = proposals.schools(family, fit).stream()
                .filter(w -> techniques.contains(w.technique()))
                .toList();
        return all.isEmpty()
                ? techniques.stream()
                        .filter(t -> t.school().equals(t.id()))
                        .map(t -> new Weighed(t, 0, "", !barred(t, zones).isEmpty()))
                        .toList()
                : all;
    }

    /** What stands open where nothing was chosen yet: work, before what prepares for it. */
    static String first(Map<String, List<Offer>> offers) {
        return offers.keySet().stream()
                .filter(effect -> !effect.equals(word(Effect.PREPARE)))
                .findFirst()
                .orElse(word(Effect.PREPARE));
    }

    private static String word(Effect effect) {
        return effect.name().toLowerCase(Locale.ROOT);
    }

    private Offer offer(Weighed w, List<Offer> schools) {
        Technique t = w.technique();
        List<String> fit = zones.stream().filter(t.zones()::contains).toList();
        return new Offer(
                t.id(),
                t.name(),
                t.because(),
                w.because().isEmpty() ? "" : Capitals.capital(w.because()) + ".",
                cannot(t, fit),
                fit.size() == zones.size() ? "" : "only " + body.say(fit),
                schools);
    }

    /** Kinds of work, and families, of which nothing more fits on all pressed zones. */
    private Set<String> taken() {
        Set<String> taken = new HashSet<>();
        for (LookEntry entry : look.entries()) {
            if (!trade.has(entry.techniqueId())) {
                continue;
            }
            Technique technique = trade.technique(entry.techniqueId());
            Collection<String> on = technique.covers().isEmpty() ? entry.zones() : technique.covers();
            if (on.containsAll(zones)) {
                taken.add(technique.id());
                taken.add(technique.family());
                if (!trade.strata().level(technique.slot()).many()) {
                    taken.add(technique.slot());
                }
            }
        }
        return taken;
    }

    /** Whether work of this kind takes a share of the pressed zones, so that another may have the rest beside it. */
    private boolean isShared(String slot) {
        return zones.stream().allMatch(z -> {
            int share = LookChange.taken(look, slot, z, trade);
            return share > 0 && share < WHOLE;
        });
    }

    /** What of a technique the performer reacts to, in words; empty where nothing is. */
    String barred(Technique technique, List<String> on) {
        return Reactions.barring(technique, on, performer.reactsTo(), trade).stream()
                .findFirst()
                .map(r -> performer.name() + " reacts to " + r.name() + ".")
                .orElse("");
    }

    /** Why a technique cannot be put on these zones now: what the performer reacts to, or what is not there yet. */
    private String cannot(Technique technique, List<String> on) {
        String barred = barred(technique, on);
        return barred.isEmpty() ? Unmet.of(look, technique, on, trade).orElse("") : barred;
    }
}
