package app.kemdro.core.plan;

import app.kemdro.core.body.Capitals;
import app.kemdro.core.look.BareSkin;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.Fact;
import app.kemdro.core.method.Role;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What Kemdro would do with this brief, this performer and this time, and why. */
public final class Proposals {
    /** What one's own usual school weighs beside one fact. */
    private static final double USUAL = 1.5;

    /** A school must be better by this much before it is proposed in place of one that was chosen. */
    private static final double MUCH_BETTER = 2;

    private static final int WHOLE = 100;

    private final Trade trade;
    private final Brief brief;
    private final boolean late;
    private final Map<String, String> usual;

    /**
     * Proposals under a brief.
     *
     * @param late whether the plan misses its call
     * @param usual an artist's own school by family
     */
    public Proposals(Trade trade, Brief brief, boolean late, Map<String, String> usual) {
        this.trade = trade;
        this.brief = brief;
        this.late = late;
        this.usual = Map.copyOf(usual);
    }

    /**
     * One proposal.
     *
     * @param says what is proposed, as on the button
     * @param because why, in words
     * @param look the look with it
     */
    public record Proposal(String says, String because, Look look) {}

    /**
     * A school weighed against the facts of the job.
     *
     * @param because what speaks for it and against it, in words
     * @param barred whether the performer reacts to something in it
     */
    public record Weighed(Technique technique, double points, String because, boolean barred) {}

    /** All that is proposed for a look; the most needed first. Looks with unknown techniques get none. */
    public List<Proposal> of(Look look) {
        if (look.entries().stream().anyMatch(e -> !trade.has(e.techniqueId()))) {
            return List.of();
        }
        List<Proposal> proposals = new ArrayList<>();
        proposals.addAll(vanishing(look));
        proposals.addAll(needed(look));
        proposals.addAll(better(look));
        proposals.addAll(fills(look));
        return proposals;
    }

    /**
     * Schools of a family for these zones, best first; what the performer reacts to comes last. Of what is chosen inside a school only
     * the usual stands here, or the first choice that the performer bears.
     */
    public List<Weighed> schools(String family, Collection<String> zones) {
        List<Weighed> all = choices(family, zones);
        return all.stream()
                .filter(w -> w.equals(all.stream()
                        .filter(o -> o.technique().school().equals(w.technique().school()))
                        .min(Comparator.comparing(Weighed::barred)
                                .thenComparing(o ->
                                        !o.technique().id().equals(o.technique().school())))
                        .orElseThrow()))
                .toList();
    }

    private List<Weighed> choices(String family, Collection<String> zones) {
        return weigh(
                trade.techniques().stream()
                        .filter(t -> t.family().equals(family) && t.zones().containsAll(zones))
                        .toList(),
                zones);
    }

    private List<Weighed> weigh(Collection<Technique> techniques, Collection<String> zones) {
        Set<Fact> facts = Facts.of(brief, zones, late, trade);
        return techniques.stream()
                .map(t -> weigh(t, facts, zones))
                .sorted(Comparator.comparing(Weighed::barred)
                        .thenComparing(
                                Comparator.comparingDouble(Weighed::points).reversed()))
                .toList();
    }

    private Weighed weigh(Technique technique, Set<Fact> facts, Collection<String> zones) {
        List<Fact> suits =
                technique.profile().suits().stream().filter(facts::contains).toList();
        List<Fact> poor =
                technique.profile().poorFor().stream().filter(facts::contains).toList();
        boolean own = technique.id().equals(usual.get(technique.family()));
        boolean barred = !Reactions.barring(technique, zones, brief.performer().reactsTo(), trade)
                .isEmpty();
        List<String> words = new ArrayList<>();
        if (own) {
            words.add("your usual school");
        }
        if (!suits.isEmpty()) {
            words.add("it suits: " + say(suits));
        }
        if (!poor.isEmpty()) {
            words.add("against it: " + say(poor));
        }
        return new Weighed(technique, suits.size() - poor.size() + (own ? USUAL : 0), String.join("; ", words), barred);
    }

    private static String say(List<Fact> facts) {
        return facts.stream().map(Fact::words).collect(Collectors.joining(", "));
    }

    /** What must vanish and does not yet. */
    private List<Proposal> vanishing(Look look) {
        Set<String> must = brief.purpose().mustVanish();
        List<Proposal> proposals = new ArrayList<>();
        List<String> brows = trade.body().sorted(trade.first(Role.HIDES_BROWS).zones()).stream()
                .filter(must::contains)
                .filter(z -> look.on(z).stream().noneMatch(e -> does(Role.HIDES_BROWS, e)))
                .toList();
        if (!brows.isEmpty()) {
            best(Role.HIDES_BROWS, brows)
                    .ifPresent(w -> proposals.add(new Proposal(
                            w.technique().name() + ", " + trade.body().say(brows),
                            why("the brief says they vanish", w),
                            add(look, w.technique(), brows))));
        }
        List<String> head = trade.body().sorted(trade.first(Role.HIDES_HAIR).covers());
        if (head.stream().anyMatch(must::contains)
                && look.entries().stream().noneMatch(e -> does(Role.HIDES_HAIR, e))) {
            best(Role.HIDES_HAIR, head)
                    .ifPresent(w -> proposals.add(new Proposal(
                            w.technique().name(),
                            why("the brief says the hair vanishes", w),
                            flattened(add(look, w.technique(), head), head))));
        }
        return proposals;
    }

    private Look flattened(Look look, List<String> head) {
        return look.entries().stream().anyMatch(e -> does(Role.FLATTENS_HAIR, e))
                ? look
                : best(Role.FLATTENS_HAIR, head)
                        .map(w -> add(look, w.technique(), head))
                        .orElse(look);
    }

    private boolean does(Role role, LookEntry entry) {
        return trade.technique(entry.techniqueId()).is(role);
    }

    /** Of the family that does it, what suits best. */
    private Optional<Weighed> best(Role role, List<String> zones) {
        return schools(trade.first(role).family(), zones).stream()
                .filter(w -> !w.barred())
                .findFirst();
    }

    private static String why(String first, Weighed weighed) {
        return sentence(weighed.because().isEmpty() ? first : first + "; " + weighed.because());
    }

    private static Look add(Look look, Technique technique, List<String> zones) {
        List<LookEntry> entries = new ArrayList<>(look.entries());
        entries.add(new LookEntry(look.freeId(technique.id()), technique.id(), zones, 0));
        return look.with(entries);
    }

    /** What another technique of the look waits for and nobody gives. */
    private List<Proposal> needed(Look look) {
        List<Proposal> proposals = new ArrayList<>();
        for (Composition.Missing missing : new Composition(look, brief, trade).missing()) {
            List<Technique> givers = trade.techniques().stream()
                    .filter(t -> !t.between() && t.zones().containsAll(missing.zones()))
                    .filter(t -> missing.need().givenBy().stream().anyMatch(t.gives()::contains))
                    .toList();
            weigh(givers, missing.zones()).stream()
                    .filter(w -> !w.barred())
                    .findFirst()
                    .ifPresent(w -> proposals.add(new Proposal(
                            w.technique().name() + ", " + trade.body().say(missing.zones()),
                            why("\"" + missing.asking().name() + "\" needs it first", w),
                            add(
                                    look,
                                    w.technique(),
                                    w.technique().covers().isEmpty()
                                            ? missing.zones()
                                            : trade.body().sorted(w.technique().covers())))));
        }
        return proposals;
    }

    /** Schools that fit this job much better than the one that was chosen. */
    private List<Proposal> better(Look look) {
        List<Proposal> proposals = new ArrayList<>();
        for (LookEntry entry : look.entries()) {
            Technique now = trade.technique(entry.techniqueId());
            List<Weighed> all = now.between() ? List.of() : schools(now.family(), entry.zones());
            if (all.size() < 2) {
                continue;
            }
            Weighed best = all.get(0);
            double chosen = choices(now.family(), entry.zones()).stream()
                    .filter(w -> w.technique().equals(now))
                    .mapToDouble(Weighed::points)
                    .findFirst()
                    .orElse(0);
            if (!best.barred()
                    && !best.technique().school().equals(now.school())
                    && best.points() - chosen >= MUCH_BETTER) {
                proposals.add(new Proposal(
                        best.technique().name() + " instead of " + now.name().toLowerCase(Locale.ROOT) + ", "
                                + trade.body().say(entry.zones()),
                        sentence(best.because()),
                        look.changing(entry.id(), e -> e.by(best.technique().id()))));
            }
        }
        return proposals;
    }

    /** Bare skin, filled region by region with what is made for it or what the rest of the look wears. */
    public List<Proposal> fills(Look look) {
        if (look.entries().isEmpty()) {
            return List.of();
        }
        List<String> bare = BareSkin.of(look, brief, trade).zones();
        List<Proposal> proposals = new ArrayList<>();
        for (LookEntry thin : look.entries()) {
            List<String> under = thin.zones().stream().filter(bare::contains).toList();
            if (!under.isEmpty() && thin.coverage() < WHOLE && BareSkin.covers(trade.technique(thin.techniqueId()))) {
                proposals.add(new Proposal(
                        trade.technique(thin.techniqueId()).name() + " all over "
                                + trade.body().say(under),
                        "It covers only %d %% there.".formatted(thin.coverage()),
                        look.changing(thin.id(), e -> e.covering(WHOLE))));
            }
        }
        Map<String, List<String>> byRegion = new LinkedHashMap<>();
        bare.stream()
                .filter(z -> look.on(z).stream()
                        .noneMatch(e -> e.coverage() < WHOLE && BareSkin.covers(trade.technique(e.techniqueId()))))
                .forEach(z -> byRegion.computeIfAbsent(trade.body().zone(z).region(), k -> new ArrayList<>())
                        .add(z));
        for (List<String> zones : byRegion.values()) {
            fillers(look, zones).findFirst().ifPresent(fill -> {
                List<String> fit = fitting(fill, zones);
                proposals.add(new Proposal(
                        fill.name() + ", " + trade.body().say(fit),
                        "Neither costume nor look covers it.",
                        extended(look, fill, fit)));
            });
        }
        return proposals;
    }

    /**
     * What these zones may be filled with, the likeliest first: what is made for the skin that gets forgotten, the base that the
     * look wears, any other base; nothing that the performer reacts to, and nothing that what lies there excludes.
     */
    private Stream<Technique> fillers(Look look, List<String> zones) {
        Technique carry = trade.first(Role.FIRST_FILL);
        Stream<Technique> worn = look.entries().stream()
                .map(e -> trade.technique(e.techniqueId()))
                .filter(t -> t.slot().equals(carry.slot()));
        Stream<Technique> bases =
                trade.techniques().stream().filter(t -> t.slot().equals(carry.slot()));
        return Stream.of(
                        Stream.of(carry).filter(t -> t.zones().containsAll(zones)),
                        worn,
                        Stream.of(trade.first(Role.USUAL_FILL)),
                        bases)
                .flatMap(s -> s)
                .distinct()
                .filter(t -> BareSkin.covers(t) && zones.stream().anyMatch(t.zones()::contains))
                .filter(t -> Reactions.barring(
                                t, fitting(t, zones), brief.performer().reactsTo(), trade)
                        .isEmpty())
                .filter(t -> fitting(t, zones).stream()
                        .noneMatch(z -> look.on(z).stream()
                                .map(e -> trade.technique(e.techniqueId()))
                                .anyMatch(o -> o.slot().equals(t.slot()) && !o.equals(t))));
    }

    private static List<String> fitting(Technique technique, List<String> zones) {
        return zones.stream().filter(technique.zones()::contains).toList();
    }

    private static Look extended(Look look, Technique technique, List<String> zones) {
        Optional<LookEntry> there = look.entries().stream()
                .filter(e -> e.techniqueId().equals(technique.id()) && e.coverage() == WHOLE)
                .findFirst();
        if (there.isEmpty()) {
            return add(look, technique, zones);
        }
        List<String> all = new ArrayList<>(there.get().zones());
        all.addAll(zones);
        return look.changing(there.get().id(), e -> e.on(all));
    }

    private static String sentence(String text) {
        return text.isEmpty() ? "" : Capitals.capital(text) + ".";
    }
}
