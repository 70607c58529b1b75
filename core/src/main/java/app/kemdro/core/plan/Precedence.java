package app.kemdro.core.plan;

import app.kemdro.core.body.Body;
import app.kemdro.core.body.Capitals;
import app.kemdro.core.body.Zone;
import app.kemdro.core.look.Brief;
import app.kemdro.core.method.Need;
import app.kemdro.core.method.Role;
import app.kemdro.core.method.StepTemplate;
import app.kemdro.core.method.StepTemplate.Begins;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Composition.Entry;
import app.kemdro.core.plan.Expansion.Expanded;
import app.kemdro.core.schedule.Lag;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** What must come before what: within a technique, because of states, and by the rules of the trade. */
final class Precedence {
    private static final List<String> SIDES = List.of("-left", "-right");

    private final Trade trade;
    private final Body body;
    private final Composition composition;
    private final Map<String, List<Expanded>> byEntry;
    private final Links links = new Links();
    private final List<RulesKept.Unkept> unkept;

    Precedence(Trade trade, Composition composition, List<Expanded> steps, List<Lag> wished, Brief brief) {
        this.trade = trade;
        this.body = trade.body();
        this.composition = composition;
        this.byEntry = steps.stream()
                .collect(Collectors.groupingBy(e -> e.entry().id(), LinkedHashMap::new, Collectors.toList()));
        byEntry.values().forEach(this::within);
        Giving giving = composition.giving();
        composition.entries().forEach(e -> states(e, giving));
        List<Entry> laid = composition.entries().stream()
                .filter(e -> !trade.strata().level(e.technique().slot()).block())
                .toList();
        laid.forEach(e -> over(e, laid));
        wished.forEach(l -> links.add(l.from(), l.to(), l.kind(), l.within(), l.because()));
        unkept = new RulesKept(trade, composition, byEntry, links, brief).keep();
        strata(laid);
    }

    List<Lag> lags() {
        return links.lags();
    }

    /** Rules of the trade that this look turns round. */
    List<RulesKept.Unkept> unkept() {
        return unkept;
    }

    /** Steps of one technique follow one another, each in the way its template says. */
    private void within(List<Expanded> steps) {
        for (int k = 0; k < steps.size(); k++) {
            Expanded step = steps.get(k);
            StepTemplate template = step.step().template();
            for (Expanded before : predecessors(steps, k)) {
                links.add(
                        before.step().id(),
                        step.step().id(),
                        kind(template.begins(), before),
                        template.within(),
                        reason(template.begins(), before));
            }
            otherHandLast(steps.subList(0, k), step);
        }
        cleanFingers(steps);
    }

    /** What one's working hand does not do itself comes when it has done the same elsewhere. */
    private void otherHandLast(List<Expanded> earlier, Expanded step) {
        if (Expansion.OTHER_HAND.equals(step.eachZone())) {
            alike(earlier, step)
                    .forEach(e -> links.add(
                            e.step().id(), step.step().id(), Lag.Kind.AFTER, null, "one's working hand is done last"));
        }
    }

    /** What a technique does not do with greased or gluey fingers waits until they are clean. */
    private void cleanFingers(List<Expanded> steps) {
        for (Expanded washes : steps) {
            if (!washes.step().template().cleansFingers()) {
                continue;
            }
            String soils = washes.step().template().after().get(0);
            steps.stream()
                    .filter(s -> s.step().template().id().equals(soils) && belongs(washes, s))
                    .forEach(s -> steps.stream()
                            .filter(later -> later != washes
                                    && links.leads(s.step().id(), later.step().id())
                                    && needsClean(s, later))
                            .forEach(later -> links.add(
                                    washes.step().id(),
                                    later.step().id(),
                                    Lag.Kind.AFTER,
                                    null,
                                    "fingers are clean again first")));
        }
    }

    private static boolean belongs(Expanded one, Expanded other) {
        return one.eachZone() == null || one.eachZone().equals(other.eachZone());
    }

    private boolean needsClean(Expanded soils, Expanded later) {
        return trade.ownHands().states().stream()
                .filter(s -> s.state().equals(soils.step().template().fingers()))
                .anyMatch(s -> s.not().picksSteps()
                        && later.step().material().filter(s.not()::fits).isPresent());
    }

    /** What a step waits for that begins like this after another one. */
    static Lag.Kind kind(Begins begins, Expanded before) {
        boolean film =
                before.step().drying().isPresent() || before.step().template().waitsMinutes() > 0;
        return switch (begins) {
            case DONE -> Lag.Kind.END;
            case CLEAR -> film ? Lag.Kind.SETTLED : Lag.Kind.END;
            case TACKY -> Lag.Kind.USABLE;
            case WET -> Lag.Kind.FRESH;
        };
    }

    private static String reason(Begins begins, Expanded before) {
        String film = before.step().material().map(m -> m.name()).orElse("");
        return switch (begins) {
            case DONE -> "one movement of work with " + before.step().title();
            case CLEAR ->
                before.step().drying().isPresent()
                        ? "the " + film + " must be clear first"
                        : "it follows " + before.step().title();
            case TACKY -> "the " + film + " must grab, and not be closed";
            case WET -> "the " + film + " must still be wet";
        };
    }

    /** Steps it follows: those named, else the one before; steps made once per zone follow their own zone's. */
    private static List<Expanded> predecessors(List<Expanded> steps, int k) {
        Expanded step = steps.get(k);
        List<String> named = step.step().template().after();
        List<Expanded> earlier = steps.subList(0, k);
        List<Expanded> result = new ArrayList<>();
        if (named.isEmpty()) {
            for (int j = k - 1; j >= 0 && result.isEmpty(); j--) {
                if (!sameTemplate(steps.get(j), step) || steps.get(j).loop() != step.loop()) {
                    result.addAll(alike(earlier, steps.get(j)));
                }
            }
        } else {
            for (String id : named) {
                earlier.stream()
                        .filter(e -> e.step().template().id().equals(id))
                        .reduce((first, last) -> last)
                        .ifPresent(last -> result.addAll(alike(earlier, last)));
            }
        }
        if (step.eachZone() != null && result.stream().anyMatch(r -> belong(step.eachZone(), r.eachZone()))) {
            result.removeIf(r -> !belong(step.eachZone(), r.eachZone()));
        }
        return result;
    }

    /** Whether they are one zone, or two on the same side of the body, as an ear and what lies behind it. */
    private static boolean belong(String zone, @Nullable String other) {
        return zone.equals(other)
                || other != null && SIDES.stream().anyMatch(s -> zone.endsWith(s) && other.endsWith(s));
    }

    private static boolean sameTemplate(Expanded a, Expanded b) {
        return a.step().template().id().equals(b.step().template().id());
    }

    private static List<Expanded> alike(List<Expanded> steps, Expanded one) {
        return steps.stream()
                .filter(s -> sameTemplate(s, one) && s.loop() == one.loop())
                .toList();
    }

    private void states(Entry entry, Giving giving) {
        for (Need need : entry.technique().needs()) {
            for (String zone : giving.zonesOf(entry, need)) {
                Expanded needing = onZone(entry, zone).get(0);
                for (Entry giver : giving.givers(entry, need, zone)) {
                    // what was asked to lie over another goes there whatever a need says, as when two layers are turned
                    if (giver.isOver(entry)) {
                        continue;
                    }
                    List<Expanded> theirs = onZone(giver, zone);
                    Expanded last = theirs.get(theirs.size() - 1);
                    links.add(
                            last.step().id(),
                            needing.step().id(),
                            Lag.Kind.SETTLED,
                            null,
                            "it needs " + body.zone(zone).name() + " " + trade.say(need.state()));
                }
            }
        }
    }

    /** Steps of an entry on a zone, in working order; all of them if none works there. */
    private List<Expanded> onZone(Entry entry, String zone) {
        List<Expanded> all = byEntry.getOrDefault(entry.id(), List.of());
        List<Expanded> on = all.stream()
                .filter(e -> e.step().zones().contains(zone)
                        || e.step().template().holds().contains(zone))
                .toList();
        return on.isEmpty() ? all : on;
    }

    /** Steps of an entry that leave something on a zone or work on it, in working order. */
    private List<Expanded> working(Entry entry, String zone) {
        return byEntry.getOrDefault(entry.id(), List.of()).stream()
                .filter(e ->
                        e.step().zones().contains(zone) || e.step().formZones().contains(zone))
                .toList();
    }

    /** What lies directly on the body comes after cleaning and before all else. */
    private void onBody(Entry entry, List<Entry> laid) {
        int prepared = trade.strata().level(Role.CLEANS_SKIN).height();
        for (Entry other : laid) {
            if (other == entry || other.technique().between()) {
                continue;
            }
            for (String zone : entry.zones()) {
                List<Expanded> mine = working(entry, zone);
                List<Expanded> theirs = working(other, zone);
                if (theirs.isEmpty()) {
                    continue;
                }
                if (height(other) <= prepared) {
                    settled(
                            theirs.get(theirs.size() - 1),
                            mine.get(0),
                            entry.technique().because());
                } else {
                    settled(
                            mine.get(mine.size() - 1),
                            theirs.get(0),
                            entry.technique().because());
                }
            }
        }
    }

    /** What lies directly over another comes after it, and before all that lies above. */
    private void over(Entry entry, List<Entry> laid) {
        if (entry.isOnBody()) {
            onBody(entry, laid);
        }
        for (Entry lower : laid) {
            if (!entry.isOver(lower) || lower == entry) {
                continue;
            }
            for (String zone : entry.reach()) {
                List<Expanded> mine = working(entry, zone);
                List<Expanded> below = working(lower, zone);
                if (mine.isEmpty() || below.isEmpty()) {
                    continue;
                }
                settled(
                        below.get(below.size() - 1),
                        mine.get(0),
                        "it lies over " + lower.technique().name().toLowerCase(Locale.ROOT));
                if (entry.technique().between()) {
                    laid.stream()
                            .filter(e -> e != entry
                                    && !entry.isOver(e)
                                    && height(e) > height(lower)
                                    && !e.technique().between())
                            .forEach(e -> working(e, zone).stream().findFirst().ifPresent(s -> {
                                if (!links.leads(
                                        s.step().id(), mine.get(0).step().id())) {
                                    settled(
                                            mine.get(mine.size() - 1),
                                            s,
                                            entry.technique().because());
                                }
                            }));
                }
            }
        }
    }

    private int height(Entry entry) {
        return trade.strata().level(entry.technique().slot()).height();
    }

    private void settled(Expanded from, Expanded to, String because) {
        links.add(from.step().id(), to.step().id(), Lag.Kind.SETTLED, null, because);
    }

    /** What is left open on a zone is decided by the kinds of work, from the body outwards; alike kinds as they were asked for. */
    private void strata(List<Entry> laid) {
        List<Entry> outwards = laid.stream()
                .filter(e -> !e.technique().between())
                .sorted(Comparator.comparingInt(this::height))
                .toList();
        for (Zone zone : body.zones()) {
            List<List<Expanded>> on = outwards.stream()
                    .map(e -> working(e, zone.id()))
                    .filter(list -> !list.isEmpty())
                    .toList();
            for (int above = 1; above < on.size(); above++) {
                for (int below = above - 1; below >= 0; below--) {
                    stack(on.get(below), on.get(above));
                }
            }
        }
    }

    private void stack(List<Expanded> below, List<Expanded> above) {
        Expanded last = below.get(below.size() - 1);
        Expanded first = above.get(0);
        String from = last.step().id();
        String to = first.step().id();
        if (!links.leads(from, to) && !links.leads(to, from)) {
            String because =
                    trade.strata().level(last.entry().technique().slot()).because();
            settled(last, first, Capitals.low(because.substring(0, because.length() - 1)));
        }
    }
}
