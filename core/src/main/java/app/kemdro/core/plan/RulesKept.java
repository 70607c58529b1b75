package app.kemdro.core.plan;

import app.kemdro.core.body.Body;
import app.kemdro.core.look.Brief;
import app.kemdro.core.method.Rule;
import app.kemdro.core.method.Rule.Near;
import app.kemdro.core.method.Rule.Pick;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Composition.Entry;
import app.kemdro.core.plan.Expansion.Expanded;
import app.kemdro.core.schedule.Lag;
import java.util.ArrayList;
import java.util.Collection;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The rules of the trade that hold across zones and techniques: what is picked first is wholly finished before what is picked then
 * begins. What a need, or somebody who asked for it, has turned round already stays so and is named.
 */
final class RulesKept {
    private final Trade trade;
    private final Brief brief;
    private final Body body;
    private final List<Entry> entries;
    private final Map<String, List<Expanded>> byEntry;
    private final Map<String, Set<String>> regions;
    private final Links links;
    private final List<Unkept> unkept = new ArrayList<>();

    /**
     * A rule that could not be kept between two pieces of work.
     *
     * @param before what should have been finished first
     * @param after what begins before that
     */
    record Unkept(Rule rule, Entry before, Entry after) {}

    RulesKept(Trade trade, Composition composition, Map<String, List<Expanded>> byEntry, Links links, Brief brief) {
        this.brief = brief;
        this.trade = trade;
        this.body = trade.body();
        this.entries = composition.entries();
        this.byEntry = byEntry;
        this.links = links;
        this.regions = entries.stream()
                .collect(Collectors.toMap(
                        Entry::id,
                        e -> e.zones().stream().map(z -> body.zone(z).region()).collect(Collectors.toSet())));
    }

    /** Links what they say, and returns what cannot be kept. */
    List<Unkept> keep() {
        trade.rules(brief.selfApplied(), brief.allowed().schools()).forEach(this::keep);
        return List.copyOf(unkept);
    }

    private void keep(Rule rule) {
        List<Entry> first = entries.stream().filter(e -> fits(rule.before(), e)).toList();
        List<Entry> second = entries.stream().filter(e -> fits(rule.after(), e)).toList();
        Map<Entry, List<Expanded>> starts = new IdentityHashMap<>();
        second.forEach(e -> starts.put(e, starts(picked(rule.after(), e))));
        for (Entry before : first) {
            List<Expanded> ends = second.isEmpty() ? List.of() : ends(picked(rule.before(), before));
            for (Entry after : second) {
                if (!after.technique().slot().equals(before.technique().slot())) {
                    keep(rule, before, ends, after, starts.get(after));
                }
            }
        }
    }

    private boolean fits(Pick pick, Entry entry) {
        return pick.fits(
                entry.technique(),
                regions.getOrDefault(entry.id(), Set.of()),
                entry.reach().stream().anyMatch(brief.costumeCovers()::contains));
    }

    private void keep(Rule rule, Entry before, List<Expanded> earlier, Entry after, List<Expanded> later) {
        boolean turned = false;
        for (Expanded end : earlier) {
            for (Expanded start : later) {
                if (rule.near() != Near.ANYWHERE && !near(rule, end, before, start, after)) {
                    continue;
                }
                String from = end.step().id();
                String to = start.step().id();
                if (links.leads(to, from)) {
                    turned = true;
                } else {
                    links.add(from, to, Lag.Kind.SETTLED, null, rule.because());
                }
            }
        }
        if (turned && before.addition().isEmpty() && after.addition().isEmpty()) {
            unkept.add(new Unkept(rule, before, after));
        }
    }

    /** Steps of an entry that are meant: of work on arms and hands, for a rule of hands, those on hands. */
    private List<Expanded> picked(Pick pick, Entry entry) {
        return byEntry.getOrDefault(entry.id(), List.of()).stream()
                .filter(e -> !pick.picksSteps()
                        || e.step().material().filter(pick::fits).isPresent())
                .filter(e -> pick.regions().isEmpty() || isIn(pick.regions(), e))
                .toList();
    }

    private boolean isIn(Set<String> some, Expanded step) {
        return zones(step).isEmpty()
                || zones(step).stream().anyMatch(z -> some.contains(body.zone(z).region()));
    }

    /** Steps that none of the others leads to. */
    private List<Expanded> starts(List<Expanded> steps) {
        return steps.stream()
                .filter(e -> steps.stream()
                        .noneMatch(o -> links.leads(o.step().id(), e.step().id())))
                .toList();
    }

    /** Steps that lead to none of the others. */
    private List<Expanded> ends(List<Expanded> steps) {
        return steps.stream()
                .filter(e -> steps.stream()
                        .noneMatch(o -> links.leads(e.step().id(), o.step().id())))
                .toList();
    }

    private boolean near(Rule rule, Expanded end, Entry before, Expanded start, Entry after) {
        Collection<String> here = zones(rule.before(), end, before);
        Collection<String> there = zones(rule.after(), start, after);
        if (rule.near() == Near.BESIDE && here.stream().anyMatch(there::contains)) {
            return false;
        }
        return here.stream()
                .anyMatch(a ->
                        there.contains(a) || body.zone(a).neighbours().stream().anyMatch(there::contains));
    }

    private static Collection<String> zones(Pick pick, Expanded step, Entry entry) {
        return pick.picksSteps() ? zones(step) : entry.reach();
    }

    private static List<String> zones(Expanded step) {
        return Stream.of(step.step().zones(), step.step().formZones())
                .flatMap(Collection::stream)
                .toList();
    }
}
