package app.kemdro.core.plan;

import static app.kemdro.core.plan.Samples.CALL;
import static app.kemdro.core.plan.Samples.TRADE;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Hands;
import app.kemdro.core.look.Brief.Skill;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.OrderSchool;
import app.kemdro.core.method.Technique;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.TreeMap;

/** Looks drawn by chance from the techniques of the trade, each where it may be; the same seed draws the same. */
final class RandomLooks {
    private final SplittableRandom random;

    private RandomLooks(long seed) {
        random = new SplittableRandom(seed);
    }

    /** Three to twelve things on the body. */
    static Look look(long seed) {
        return new RandomLooks(seed).draw();
    }

    /** One to three artists who have all day, or oneself. */
    static Brief brief(long seed) {
        SplittableRandom random = new SplittableRandom(seed + 1_000_000);
        List<Hands> crew = new ArrayList<>();
        int many = 1 + random.nextInt(3);
        for (int k = 0; k < many; k++) {
            Skill skill = k == 0 || random.nextBoolean() ? Skill.LEAD : Skill.ASSISTANT;
            crew.add(new Hands("Artist " + k, skill, CALL.minusHours(20), CALL.plusHours(20)));
        }
        Brief plain = Samples.brief(crew.toArray(new Hands[0]));
        Map<String, String> schools = new TreeMap<>();
        for (OrderSchool school : TRADE.orderSchools()) {
            schools.put(
                    school.id(),
                    school.ways().get(random.nextInt(school.ways().size())).id());
        }
        Set<String> covers = random.nextBoolean() ? Set.of("chest", "back") : Set.of();
        return new Brief(
                        plain.call(),
                        plain.chairIn(),
                        plain.performer(),
                        plain.crew(),
                        plain.room(),
                        covers,
                        random.nextInt(3) == 0 ? 0 : 12,
                        plain.selfApplied(),
                        plain.purpose(),
                        plain.breaks())
                .allowing(new Brief.Allowed(Set.of(), 0, schools));
    }

    private Look draw() {
        List<Technique> all = TRADE.techniques().stream()
                .filter(t -> !t.implied() && !t.between())
                .toList();
        List<LookEntry> entries = new ArrayList<>();
        Set<String> taken = new LinkedHashSet<>();
        int many = 3 + random.nextInt(10);
        for (int k = 0; k < 40 && entries.size() < many; k++) {
            Technique technique = all.get(random.nextInt(all.size()));
            List<String> zones = zones(technique);
            // one technique of a kind on a zone
            if (!zones.isEmpty() && zones.stream().noneMatch(z -> taken.contains(technique.slot() + z))) {
                zones.forEach(z -> taken.add(technique.slot() + z));
                entries.add(new LookEntry(technique.id() + "-" + k, technique.id(), zones, 0));
            }
        }
        return new Look(entries);
    }

    /** A stretch of one to eight zones of those it may be on, as they follow one another from the crown down; both of a pair. */
    private List<String> zones(Technique technique) {
        List<String> may = TRADE.body().sorted(technique.zones());
        if (may.isEmpty()) {
            return List.of();
        }
        int from = random.nextInt(may.size());
        int to = Math.min(may.size(), from + 1 + random.nextInt(8));
        Set<String> chosen = new LinkedHashSet<>(may.subList(from, to));
        List.copyOf(chosen).forEach(z -> {
            String other = TRADE.body().mirror(z);
            if (may.contains(other)) {
                chosen.add(other);
            }
        });
        return List.copyOf(chosen);
    }
}
