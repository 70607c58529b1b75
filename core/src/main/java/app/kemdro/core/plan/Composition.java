package app.kemdro.core.plan;

import app.kemdro.core.body.Body;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.look.LookEntry.Strength;
import app.kemdro.core.material.Materials.Reaction;
import app.kemdro.core.method.Need;
import app.kemdro.core.method.Role;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;

/** Completes a look: checks every entry, and puts in the work that a technique needs and nobody has asked for. */
final class Composition {
    private static final int MOST_ROUNDS = 8;

    private final Trade trade;
    private final Body body;
    private final Brief brief;
    private final List<Entry> entries = new ArrayList<>();
    private final List<Problem> problems = new ArrayList<>();
    private final List<Problem> notes = new ArrayList<>();
    private final List<Missing> missing = new ArrayList<>();

    /** A need of a technique that nothing in the look meets and Kemdro does not meet by itself. */
    record Missing(Technique asking, Need need, List<String> zones) {}

    /**
     * An entry, or the part of it that is one piece of work, whose technique is known and whose zones are final.
     *
     * @param id its own; a part that is a piece of work of its own has the entry's with the region behind it
     * @param asked what was asked for, or what Kemdro put in
     * @param reach zones its own states lie on, and those its steps also work on
     */
    record Entry(
            String id, LookEntry asked, Technique technique, List<String> zones, boolean implied, Set<String> reach) {

        static Entry of(String id, LookEntry asked, Technique technique, List<String> zones, boolean implied) {
            Set<String> reach = new LinkedHashSet<>(zones);
            technique.steps().forEach(s -> reach.addAll(s.zones()));
            technique.givesAround().values().forEach(reach::addAll);
            return new Entry(id, asked, technique, zones, implied, reach);
        }

        static Entry implied(String id, Technique technique, List<String> zones) {
            return of(id, new LookEntry(id, technique.id(), zones, 0), technique, zones, true);
        }

        /** The entry of the look it is, or is a part of. */
        String origin() {
            return asked.id();
        }

        int coats() {
            return asked.coats() == 0 ? technique.coats().usual() : asked.coats();
        }

        Strength strength() {
            return asked.strength();
        }

        /** Whether it was asked to lie directly over that one. */
        boolean isOver(Entry other) {
            return !asked.over().isEmpty()
                    && Stream.of(asked.over().split(" "))
                            .anyMatch(o -> o.equals(other.origin()) || o.equals(other.id()));
        }

        /** Whether it was asked to lie directly on the body. */
        boolean isOnBody() {
            return asked.over().equals(LookEntry.BODY);
        }

        /** The addition it belongs to or was put in for; empty where it was in the look from the beginning. */
        String addition() {
            int at = id.indexOf(LookEntry.ADDED);
            return at < 0 ? "" : LookEntry.additionOf(id.substring(at));
        }

        boolean gives(String state, String zone) {
            return technique.gives().contains(state) && zones.contains(zone)
                    || technique.givesAround().getOrDefault(state, Set.of()).contains(zone);
        }

        /** Whether it gives a state that this technique wants, needed or not. */
        boolean servesNeedOf(Technique other) {
            return other.needs().stream().anyMatch(n -> n.givenBy().stream().anyMatch(technique.gives()::contains));
        }
    }

    Composition(Look look, Brief brief, Trade trade) {
        this.trade = trade;
        this.body = trade.body();
        this.brief = brief;
        look.entries().forEach(this::accept);
        if (problems.isEmpty()) {
            problems.addAll(new Beside(trade).problems(entries));
        }
        if (problems.isEmpty()) {
            addBlocks();
            supplyNeeds();
            guardHair();
            dropLoose();
        }
    }

    List<Entry> entries() {
        return entries;
    }

    /** Who gives what is needed, among all entries. */
    Giving giving() {
        return new Giving(entries, trade);
    }

    List<Problem> problems() {
        return problems;
    }

    List<Missing> missing() {
        return missing;
    }

    List<Problem> notes() {
        return notes;
    }

    private void accept(LookEntry asked) {
        if (!trade.has(asked.techniqueId())) {
            problems.add(Problem.stop(
                    "The technique '" + asked.techniqueId() + "' is not known here.",
                    "Take it out of the look or choose another.",
                    asked.zones(),
                    List.of(asked.id())));
            return;
        }
        Technique technique = trade.technique(asked.techniqueId());
        if (trade.strata().level(technique.slot()).block()) {
            problems.add(Problem.stop(
                    technique.name() + " is not put on a zone.",
                    "Take it off the look; Kemdro plans it from the brief.",
                    asked.zones(),
                    List.of(asked.id())));
            return;
        }
        List<String> unknown = asked.zones().stream().filter(z -> !body.has(z)).toList();
        List<String> wrong = asked.zones().stream()
                .filter(z -> body.has(z) && !technique.zones().contains(z))
                .toList();
        if (!unknown.isEmpty() || !wrong.isEmpty()) {
            problems.add(Problem.stop(
                    unknown.isEmpty()
                            ? technique.name() + " cannot be used on " + body.say(wrong) + "."
                            : "No zone is called '" + unknown.get(0) + "'.",
                    "Take that zone out of it.",
                    wrong,
                    List.of(asked.id())));
            return;
        }
        if (asked.zones().isEmpty() && technique.covers().isEmpty()) {
            problems.add(Problem.stop(
                    technique.name() + " lies on no zone.",
                    "Choose at least one zone for it.",
                    List.of(),
                    List.of(asked.id())));
            return;
        }
        if (asked.coverage() < 1 || asked.coverage() > 100) {
            problems.add(Problem.stop(
                    technique.name() + " covers 1 to 100 % of its zones, not " + asked.coverage() + " %.",
                    "Choose a number in that range.",
                    asked.zones(),
                    List.of(asked.id())));
            return;
        }
        if (!allowed(technique.coats(), asked.coats(), technique, asked)
                || !allowed(technique.items(), asked.items(), technique, asked)) {
            return;
        }
        List<String> zones =
                technique.covers().isEmpty() ? body.sorted(asked.zones()) : body.sorted(technique.covers());
        barForReactions(technique, asked, zones);
        parts(technique, zones)
                .forEach((part, list) -> entries.add(Entry.of(
                        part.isEmpty() ? asked.id() : asked.id() + "~" + part, asked, technique, list, false)));
    }

    private boolean allowed(Technique.Count count, int number, Technique technique, LookEntry asked) {
        if (number == 0 || number >= count.least() && number <= count.most()) {
            return true;
        }
        problems.add(Problem.stop(
                technique.name() + " takes " + count.least() + " to " + count.most() + " " + count.word() + ", not "
                        + number + ".",
                "Choose a number in that range.",
                asked.zones(),
                List.of(asked.id())));
        return false;
    }

    /**
     * Head, face and neck are one piece of work, every other region is its own, so that hands can wait for the costume and two
     * artists can share a body; the first piece has no name.
     */
    private Map<String, List<String>> parts(Technique technique, List<String> zones) {
        if (!technique.covers().isEmpty()
                || technique.steps().stream().anyMatch(s -> !s.zones().isEmpty())) {
            return Map.of("", zones);
        }
        Map<String, List<String>> parts = new LinkedHashMap<>();
        for (String zone : zones) {
            String region = body.zone(zone).region();
            parts.computeIfAbsent(body.isOnePiece(region) ? "face" : region, k -> new ArrayList<>())
                    .add(zone);
        }
        Map<String, List<String>> named = new LinkedHashMap<>();
        parts.forEach((part, list) -> named.put(named.isEmpty() ? "" : part, list));
        return named;
    }

    private void barForReactions(Technique technique, LookEntry asked, List<String> zones) {
        for (Reaction reaction :
                Reactions.barring(technique, zones, brief.performer().reactsTo(), trade)) {
            problems.add(Problem.stop(
                    brief.performer().name() + " reacts to " + reaction.name() + ": " + technique.name()
                            + " is barred.",
                    reaction.caution(),
                    asked.zones(),
                    List.of(asked.id())));
        }
    }

    /** Costume as a block of its own, and the looks. */
    private void addBlocks() {
        if (entries.isEmpty()) {
            return;
        }
        Set<String> touched = new LinkedHashSet<>();
        Set<String> modelled = new LinkedHashSet<>();
        entries.forEach(e -> touched.addAll(e.reach()));
        entries.stream().filter(e -> e.technique().is(Role.MODELS)).forEach(e -> modelled.addAll(e.zones()));
        for (Technique technique : trade.techniques()) {
            boolean costume = technique.is(Role.DRESSING) && brief.costumeMinutes() > 0;
            boolean halfWay = technique.is(Role.HALF_WAY_LOOK) && !modelled.isEmpty();
            if (costume || halfWay || technique.is(Role.LAST_LOOK)) {
                entries.add(
                        Entry.implied("auto-" + technique.id(), technique, body.sorted(halfWay ? modelled : touched)));
            }
        }
    }

    /** A technique that is wanted, and the addition that wants it; empty where the look from the beginning does. */
    private record Wanted(String technique, String addition) {}

    private void supplyNeeds() {
        for (int round = 0; round < MOST_ROUNDS; round++) {
            Map<Wanted, Set<String>> wanted = new LinkedHashMap<>();
            List<Problem> wanting = new ArrayList<>();
            missing.clear();
            Giving giving = giving();
            for (Entry entry : entries) {
                for (Need need : entry.technique().needs()) {
                    want(entry, need, giving, wanted, wanting);
                }
            }
            if (wanted.isEmpty()) {
                problems.addAll(wanting);
                return;
            }
            wanted.forEach((what, zones) -> insertByRegion(trade.technique(what.technique()), what.addition(), zones));
        }
    }

    /** Fine hair beside glue is guarded, by what does it where nothing in the look does. */
    private void guardHair() {
        Unguarded unguarded = new Unguarded(trade, brief);
        for (String addition : entries.stream().map(Entry::addition).distinct().toList()) {
            Set<String> open = unguarded.zones(entries, addition);
            trade.fineHair().guard().filter(g -> !open.isEmpty()).ifPresent(g -> insertByRegion(g, addition, open));
        }
    }

    private void want(Entry entry, Need need, Giving giving, Map<Wanted, Set<String>> wanted, List<Problem> wanting) {
        if (!need.required()) {
            return;
        }
        List<String> lacking = giving.zonesOf(entry, need).stream()
                .filter(z -> giving.givers(entry, need, z).isEmpty())
                .toList();
        if (lacking.isEmpty()) {
            return;
        }
        List<Technique> implied = trade.impliedGivers(need.state());
        if (implied.isEmpty()) {
            missing.add(new Missing(entry.technique(), need, lacking));
            wanting.add(Problem.stop(
                    "%s on %s needs %s first."
                            .formatted(entry.technique().name(), body.say(lacking), saying(need, lacking)),
                    "Add it there, or take " + entry.technique().name().toLowerCase(java.util.Locale.ROOT)
                            + " off those zones.",
                    lacking,
                    List.of(entry.id())));
            return;
        }
        Technique giver = implied.get(0);
        lacking.stream()
                .filter(giver.zones()::contains)
                .forEach(z -> wanted.computeIfAbsent(
                                new Wanted(giver.id(), entry.addition()), k -> new LinkedHashSet<>())
                        .add(z));
    }

    private String saying(Need need, List<String> zones) {
        List<String> names = trade.techniques().stream()
                .filter(t -> need.givenBy().stream().anyMatch(s -> t.gives().contains(s))
                        && zones.stream().anyMatch(t.zones()::contains))
                .sorted(Comparator.comparing(t -> !t.zones().containsAll(zones)))
                .map(t -> t.family().toLowerCase(java.util.Locale.ROOT))
                .distinct()
                .toList();
        if (names.isEmpty()) {
            return need.state().replace('-', ' ');
        }
        return names.size() > 2 ? names.get(0) + ", " + names.get(1) + " or the like" : String.join(" or ", names);
    }

    private void insertByRegion(Technique technique, String addition, Set<String> zones) {
        Map<String, List<String>> byRegion = new TreeMap<>();
        body.sorted(zones)
                .forEach(z -> byRegion.computeIfAbsent(body.zone(z).region(), k -> new ArrayList<>())
                        .add(z));
        byRegion.forEach((region, list) -> {
            String id = "auto-" + technique.id() + "-" + region + (addition.isEmpty() ? "" : "-" + addition);
            entries.stream().filter(e -> e.id().equals(id)).findFirst().ifPresent(old -> {
                entries.remove(old);
                list.addAll(old.zones());
            });
            entries.add(Entry.implied(id, technique, body.sorted(list)));
        });
    }

    /** What was put between two layers has no place once the lower one is gone. */
    private void dropLoose() {
        List<Entry> loose = entries.stream()
                .filter(e -> e.technique().between()
                        && !e.isOnBody()
                        && entries.stream().noneMatch(o -> e.isOver(o) && sharesZone(e, o)))
                .toList();
        entries.removeAll(loose);
        loose.stream()
                .map(Entry::asked)
                .distinct()
                .forEach(asked -> notes.add(Problem.note(
                        "\"" + trade.technique(asked.techniqueId()).name() + "\" on " + body.say(asked.zones())
                                + " is left out: what it lay on is gone.",
                        "Take it off the look.",
                        asked.zones())));
    }

    private static boolean sharesZone(Entry a, Entry b) {
        return a.zones().stream().anyMatch(b.reach()::contains);
    }

    /** Thickness of the thickest worn form below a kind of work on these zones, mm; 0 on skin. */
    double wornBelow(Technique technique, Collection<String> zones) {
        int height = trade.strata().level(technique.slot()).height();
        return entries.stream()
                .filter(e -> trade.strata().level(e.technique().slot()).height() < height)
                .filter(e -> e.technique().make().thicknessMm() > 0
                        && e.zones().stream().anyMatch(zones::contains))
                .mapToDouble(e -> e.technique().make().thicknessMm())
                .max()
                .orElse(0);
    }
}
