package app.kemdro.web.roam;

import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.Need;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Unmet;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;

/** A whole job by chance, as a job file: any technique on any zones, any crew, room, reactions, breaks and day. */
final class Draw {
    /** Nights on which clocks are put forward and back in many places, and ordinary days. */
    private static final List<LocalDate> DAYS = List.of(
            LocalDate.of(2026, 12, 3),
            LocalDate.of(2026, 12, 24),
            LocalDate.of(2027, 3, 28),
            LocalDate.of(2027, 10, 31),
            LocalDate.of(2028, 2, 29));

    private static final List<String> NAMES =
            List.of("Ines Dorval", "Pell Okonra", "Zoë", "Joe \"Sticks\" O'Hara", "Ann-Marie");

    private final Trade trade;
    private final SplittableRandom dice;

    Draw(Trade trade, SplittableRandom dice) {
        this.trade = trade;
        this.dice = dice;
    }

    Map<String, Object> job(long seed) {
        Map<String, Object> job = new LinkedHashMap<>();
        job.put("format", "kemdro-job");
        job.put("version", 2);
        job.put("title", "Roamed " + seed);
        job.put("production", "Cold Casting");
        job.put("idea", "drawn by chance");
        LocalDateTime call = one(DAYS).atTime(LocalTime.of(dice.nextInt(24), 5 * dice.nextInt(12)));
        boolean alone = dice.nextInt(5) == 0;
        int hands = alone ? 1 : 1 + dice.nextInt(3);
        job.put("performer", performer(seed));
        job.put("call", call.toString());
        if (dice.nextInt(3) == 0) {
            job.put("chairIn", call.minusMinutes(30 + dice.nextInt(12 * 60)).toString());
        }
        job.put(
                "room",
                Map.of(
                        "temperatureC", 12.0 + dice.nextInt(24),
                        "humidityPercent", 20.0 + dice.nextInt(66),
                        "dryers", dice.nextInt(4)));
        job.put("crew", crew(hands, call));
        job.put("costumeCovers", some(zones(), dice.nextInt(12)));
        job.put("costumeMinutes", dice.nextInt(3) == 0 ? 0 : 5 + dice.nextInt(40));
        job.put("selfApplied", alone);
        job.put(
                "purpose",
                Map.of(
                        "seen", one(List.of("CAMERA", "CLOSE_CAMERA", "STAGE", "STREET")),
                        "lastsHours", 1 + dice.nextInt(14),
                        "mustVanish", some(List.of("brow-left", "brow-right", "crown"), dice.nextInt(3)),
                        "moneyShort", dice.nextBoolean(),
                        "benchDays", dice.nextInt(6)));
        int every = 20 + 20 * dice.nextInt(12);
        int minutes = 5 + 5 * dice.nextInt(3);
        job.put("breaks", Map.of("everyMinutes", every, "minutes", minutes, "mealMinutes", minutes + 15));
        job.put("look", look());
        return job;
    }

    private Map<String, Object> performer(long seed) {
        Map<String, Object> who = new LinkedHashMap<>();
        // people are people of their own: another name, or the reactions of two would run together
        who.put("name", "Performer " + seed);
        who.put("heightCm", dice.nextBoolean() ? 0 : 120 + dice.nextInt(85));
        who.put("weightKg", dice.nextBoolean() ? 0 : 35 + dice.nextInt(100));
        who.put("headCm", dice.nextBoolean() ? 0.0 : 50 + dice.nextInt(14));
        List<String> reactions =
                trade.materials().reactions().stream().map(r -> r.id()).toList();
        who.put("reactsTo", dice.nextInt(2) == 0 ? List.of() : some(reactions, 1 + dice.nextInt(3)));
        who.put("brows", one(List.of("FINE", "MEDIUM", "THICK")));
        who.put("hair", one(List.of("NONE", "SHORT", "LONG")));
        return who;
    }

    private List<Object> crew(int hands, LocalDateTime call) {
        List<Object> crew = new ArrayList<>();
        for (int k = 0; k < hands; k++) {
            boolean longDay = dice.nextInt(4) > 0;
            crew.add(Map.of(
                    "name",
                    NAMES.get((k + dice.nextInt(2)) % NAMES.size()) + (k == 0 ? "" : " " + k),
                    "skill",
                    k == 0 ? "LEAD" : one(List.of("LEAD", "ASSISTANT", "TRAINEE")),
                    "from",
                    call.minusHours(longDay ? 16 : 5 + dice.nextInt(6)).toString(),
                    "until",
                    call.plusHours(longDay ? 12 : 1 + dice.nextInt(4)).toString(),
                    "factor",
                    0.8 + dice.nextInt(5) / 10.0));
        }
        return crew;
    }

    private List<Object> look() {
        List<Technique> all = trade.techniques().stream()
                .filter(t -> !t.between() && !trade.strata().level(t.slot()).block())
                .toList();
        List<LookEntry> entries = new ArrayList<>();
        int wanted = 1 + dice.nextInt(dice.nextInt(4) == 0 ? 16 : 7);
        for (int k = 0; k < wanted; k++) {
            Technique technique = one(all);
            List<String> zones = technique.covers().isEmpty()
                    ? some(technique.zones(), 1 + dice.nextInt(5))
                    : some(technique.zones(), 1);
            add(technique, zones, entries);
            // mostly what it needs comes with it, sometimes it does not
            for (int deep = 0; deep < 3 && dice.nextInt(6) > 0; deep++) {
                supply(entries);
            }
        }
        return entries.stream().map(e -> (Object) file(e)).toList();
    }

    private void add(Technique technique, List<String> zones, List<LookEntry> entries) {
        int coats = technique.coats().isChoice() && dice.nextInt(3) == 0
                ? between(technique.coats().least(), technique.coats().most())
                : 0;
        int items = technique.items().isChoice() && dice.nextInt(3) == 0
                ? between(
                        technique.items().least(),
                        Math.min(40, technique.items().most()))
                : 0;
        entries.add(new LookEntry(
                technique.id() + "-" + (entries.size() + 1),
                technique.id(),
                zones,
                coats,
                items,
                one(List.of(LookEntry.Strength.values())),
                dice.nextInt(6) == 0 ? 25 * (1 + dice.nextInt(3)) : 100,
                ""));
    }

    private int between(int least, int most) {
        return least + dice.nextInt(Math.max(1, most - least + 1));
    }

    private void supply(List<LookEntry> entries) {
        for (LookEntry e : List.copyOf(entries)) {
            Technique t = trade.technique(e.techniqueId());
            Collection<String> on = t.covers().isEmpty() ? e.zones() : t.covers();
            if (Unmet.of(new Look(entries), t, on, trade).isEmpty()) {
                continue;
            }
            for (Need need : t.needs()) {
                Collection<String> at = need.zones().isEmpty() ? on : need.zones();
                List<Technique> givers = trade.techniques().stream()
                        .filter(g -> !g.between() && need.givenBy().stream().anyMatch(g.gives()::contains))
                        .filter(g -> at.stream().anyMatch(g.zones()::contains))
                        .toList();
                if (!givers.isEmpty() && trade.impliedGivers(need.state()).isEmpty()) {
                    Technique giver = one(givers);
                    List<String> zones =
                            at.stream().filter(giver.zones()::contains).toList();
                    boolean there = entries.stream()
                            .anyMatch(x -> x.techniqueId().equals(giver.id())
                                    && x.zones().containsAll(zones));
                    if (!there) {
                        add(giver, zones, entries);
                    }
                }
            }
        }
    }

    private static Map<String, Object> file(LookEntry e) {
        Map<String, Object> entry = new LinkedHashMap<>();
        entry.put("id", e.id());
        entry.put("technique", e.techniqueId());
        entry.put("zones", e.zones());
        entry.put("coats", e.coats());
        entry.put("items", e.items());
        entry.put("strength", e.strength().name());
        entry.put("coverage", e.coverage());
        return entry;
    }

    private List<String> zones() {
        return trade.body().zones().stream().map(z -> z.id()).toList();
    }

    <T> T one(Collection<T> of) {
        return new ArrayList<>(of).get(dice.nextInt(of.size()));
    }

    List<String> some(Collection<String> of, int many) {
        List<String> sorted = of.stream().sorted().toList();
        Set<String> some = new LinkedHashSet<>();
        for (int k = 0; k < many; k++) {
            some.add(one(sorted));
        }
        return List.copyOf(some);
    }
}
