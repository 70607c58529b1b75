package app.kemdro.core.plan;

import app.kemdro.core.body.Body;
import app.kemdro.core.method.Need;
import app.kemdro.core.method.Rule;
import app.kemdro.core.method.StepTemplate;
import app.kemdro.core.method.StepTemplate.Begins;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Composition.Entry;
import app.kemdro.core.plan.Expansion.Expanded;
import app.kemdro.core.schedule.Lag;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** What must come before what: within a technique, because of states, and by the rules of the trade. */
final class Precedence {
    private final Trade trade;
    private final Body body;
    private final Composition composition;
    private final Map<String, List<Expanded>> byEntry;
    private final Map<String, Set<String>> regions;
    private final Map<String, Lag> lags = new LinkedHashMap<>();

    Precedence(Trade trade, Composition composition, List<Expanded> steps) {
        this.trade = trade;
        this.body = trade.body();
        this.composition = composition;
        this.byEntry = steps.stream()
                .collect(Collectors.groupingBy(e -> e.entry().id(), LinkedHashMap::new, Collectors.toList()));
        this.regions = composition.entries().stream()
                .collect(Collectors.toMap(
                        Entry::id,
                        e -> e.zones().stream().map(z -> body.zone(z).region()).collect(Collectors.toSet())));
        byEntry.values().forEach(this::within);
        composition.entries().forEach(this::states);
        trade.rules().forEach(this::rule);
    }

    List<Lag> lags() {
        return List.copyOf(lags.values());
    }

    private void add(String from, String to, Lag.Kind kind, @Nullable Integer within, String because) {
        lags.putIfAbsent(key(from, to), new Lag(from, to, kind, within, because));
    }

    /** Steps of one technique follow one another, each in the way its template says. */
    private void within(List<Expanded> steps) {
        for (int k = 0; k < steps.size(); k++) {
            Expanded step = steps.get(k);
            StepTemplate template = step.step().template();
            for (Expanded before : predecessors(steps, k)) {
                add(
                        before.step().id(),
                        step.step().id(),
                        kind(template.begins(), before),
                        template.within(),
                        reason(template.begins(), before));
            }
        }
    }

    private static Lag.Kind kind(Begins begins, Expanded before) {
        boolean film = before.step().drying().isPresent();
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
        if (step.eachZone() != null
                && result.stream().anyMatch(r -> step.eachZone().equals(r.eachZone()))) {
            result.removeIf(r -> !step.eachZone().equals(r.eachZone()));
        }
        return result;
    }

    private static boolean sameTemplate(Expanded a, Expanded b) {
        return a.step().template().id().equals(b.step().template().id());
    }

    private static List<Expanded> alike(List<Expanded> steps, Expanded one) {
        return steps.stream()
                .filter(s -> sameTemplate(s, one) && s.loop() == one.loop())
                .toList();
    }

    private void states(Entry entry) {
        for (Need need : entry.technique().needs()) {
            for (String zone : composition.zonesOf(entry, need)) {
                Expanded needing = onZone(entry, zone).get(0);
                for (Entry giver : composition.givers(entry, need, zone)) {
                    List<Expanded> giving = onZone(giver, zone);
                    Expanded last = giving.get(giving.size() - 1);
                    add(
                            last.step().id(),
                            needing.step().id(),
                            Lag.Kind.SETTLED,
                            null,
                            "it needs " + body.zone(zone).name() + " " + say(need.state()));
                }
            }
        }
    }

    private static String say(String state) {
        return switch (state) {
            case "hair-flat" -> "with the hair flat and dry";
            case "cap-on", "rubber-to-paint" -> "with the cap on";
            case "piece-on" -> "with its piece on";
            case "edge-to-blend" -> "with something whose edge can be blended";
            case "base-to-shade" -> "with its base on";
            case "base" -> "with its base on";
            case "rubber-ground" -> "with castor grease as a barrier";
            case "set" -> "powdered";
            default -> state.replace('-', ' ');
        };
    }

    /** Steps of an entry on a zone, in working order; all of them if none works there. */
    private List<Expanded> onZone(Entry entry, String zone) {
        List<Expanded> all = byEntry.getOrDefault(entry.id(), List.of());
        List<Expanded> on =
                all.stream().filter(e -> e.step().zones().contains(zone)).toList();
        return on.isEmpty() ? all : on;
    }

    private void rule(Rule rule) {
        List<Entry> first = composition.entries().stream()
                .filter(e -> fits(rule.before(), e))
                .toList();
        List<Entry> second = composition.entries().stream()
                .filter(e -> fits(rule.after(), e))
                .toList();
        for (Entry before : first) {
            for (Entry after : second) {
                if (!after.technique().slot().equals(before.technique().slot())) {
                    ends(before)
                            .forEach(e -> starts(after)
                                    .forEach(s ->
                                            add(e.step().id(), s.step().id(), Lag.Kind.SETTLED, null, rule.because())));
                }
            }
        }
    }

    private boolean fits(Rule.Pick pick, Entry entry) {
        return pick.fits(entry.technique(), regions.getOrDefault(entry.id(), Set.of()));
    }

    /** Steps that nothing of the same entry follows. */
    private List<Expanded> ends(Entry entry) {
        List<Expanded> all = byEntry.getOrDefault(entry.id(), List.of());
        return all.stream()
                .filter(e -> all.stream().noneMatch(o -> joined(e, o)))
                .toList();
    }

    /** Steps that follow nothing of the same entry. */
    private List<Expanded> starts(Entry entry) {
        List<Expanded> all = byEntry.getOrDefault(entry.id(), List.of());
        return all.stream()
                .filter(e -> all.stream().noneMatch(o -> joined(o, e)))
                .toList();
    }

    private boolean joined(Expanded from, Expanded to) {
        return lags.containsKey(key(from.step().id(), to.step().id()));
    }

    private static String key(String from, String to) {
        return from + " > " + to;
    }
}
