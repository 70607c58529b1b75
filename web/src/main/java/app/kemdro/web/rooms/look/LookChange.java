package app.kemdro.web.rooms.look;

import app.kemdro.core.body.Body;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Changes to a look, each giving a new look. */
final class LookChange {
    private static final int WHOLE = 100;

    private LookChange() {}

    /**
     * Puts a technique on zones. The same work in other zones is one piece of work and joins it; every form is a piece of its
     * own. Where a technique of its kind takes a share of these zones, it takes the rest, beside it.
     */
    static Look add(Look look, Technique technique, List<String> zones, Trade trade) {
        List<String> fit = zones.stream().filter(technique.zones()::contains).toList();
        int left = fit.stream()
                .mapToInt(z -> WHOLE - taken(look, technique.slot(), z, trade))
                .filter(share -> share > 0)
                .min()
                .orElse(WHOLE);
        if (left < WHOLE) {
            List<LookEntry> entries = new ArrayList<>(look.entries());
            entries.add(new LookEntry(look.freeId(technique.id()), technique.id(), fit, 0).covering(left));
            return look.with(entries);
        }
        boolean form = technique.make().thicknessMm() > 0 && technique.covers().isEmpty();
        Optional<LookEntry> same = look.entries().stream()
                .filter(e -> e.techniqueId().equals(technique.id()) && e.over().isEmpty())
                .findFirst();
        if (same.isPresent() && !form) {
            return look.changing(same.get().id(), e -> joined(e, fit));
        }
        List<LookEntry> entries = new ArrayList<>(look.entries());
        entries.add(new LookEntry(
                look.freeId(technique.id()),
                technique.id(),
                technique.covers().isEmpty() ? fit : List.copyOf(technique.covers()),
                0));
        return look.with(entries);
    }

    /** The share of a zone, percent, that work of this kind takes. */
    static int taken(Look look, String slot, String zone, Trade trade) {
        return trade.strata().level(slot).many()
                ? 0
                : look.entries().stream()
                        .filter(e -> e.over().isEmpty() && trade.has(e.techniqueId()))
                        .filter(e -> trade.technique(e.techniqueId()).slot().equals(slot))
                        .filter(e -> e.zones().contains(zone)
                                || trade.technique(e.techniqueId()).covers().contains(zone))
                        .mapToInt(LookEntry::coverage)
                        .sum();
    }

    private static LookEntry joined(LookEntry entry, List<String> zones) {
        Set<String> all = new LinkedHashSet<>(entry.zones());
        all.addAll(zones);
        return entry.on(List.copyOf(all));
    }

    /** Takes zones out of an entry; an entry without zones goes. */
    static Look lift(Look look, String entryId, List<String> zones) {
        return look.with(look.entries().stream()
                .map(e -> e.id().equals(entryId)
                        ? e.on(e.zones().stream()
                                .filter(z -> !zones.contains(z))
                                .toList())
                        : e)
                .filter(e -> !e.zones().isEmpty())
                .toList());
    }

    static Look school(Look look, String entryId, Technique school) {
        return look.changing(entryId, e -> e.by(school.id()));
    }

    /** Whether both sides of the body are in it, and only such pairs. */
    static boolean isMirrored(LookEntry entry, Body body) {
        return entry.zones().size() > 1
                && entry.zones().stream()
                        .allMatch(
                                z -> !body.mirror(z).equals(z) && entry.zones().contains(body.mirror(z)));
    }

    /** The entry that is the same on the other side. */
    static Optional<LookEntry> otherSide(Look look, LookEntry entry, Body body) {
        Set<String> mirrored = new LinkedHashSet<>();
        entry.zones().forEach(z -> mirrored.add(body.mirror(z)));
        return look.entries().stream()
                .filter(e -> !e.id().equals(entry.id()) && e.techniqueId().equals(entry.techniqueId()))
                .filter(e -> mirrored.equals(Set.copyOf(e.zones())))
                .findFirst();
    }

    /** Makes each side a piece of work of its own, or both one again. */
    static Look sides(Look look, String entryId, Body body) {
        List<LookEntry> entries = new ArrayList<>();
        Optional<LookEntry> other = look.entry(entryId).flatMap(e -> otherSide(look, e, body));
        for (LookEntry e : look.entries()) {
            if (!e.id().equals(entryId)) {
                if (other.isEmpty() || !e.equals(other.get())) {
                    entries.add(e);
                }
            } else if (other.isPresent()) {
                entries.add(joined(e, other.get().zones()));
            } else if (isMirrored(e, body)) {
                entries.add(e.on(side(e, "-left")));
                entries.add(copy(e, look, side(e, "-right")));
            } else {
                entries.add(e);
            }
        }
        return look.with(entries);
    }

    /** Makes what lies on these zones a piece of work of its own, so that it may have its own coats, share and strength. */
    static Look apart(Look look, String entryId, List<String> zones) {
        Optional<LookEntry> whole = look.entry(entryId).filter(e -> isPart(e, zones));
        if (whole.isEmpty()) {
            return look;
        }
        LookEntry entry = whole.get();
        List<LookEntry> entries = new ArrayList<>();
        look.entries().forEach(e -> {
            if (e.equals(entry)) {
                entries.add(
                        e.on(e.zones().stream().filter(z -> !zones.contains(z)).toList()));
                entries.add(
                        copy(e, look, e.zones().stream().filter(zones::contains).toList()));
            } else {
                entries.add(e);
            }
        });
        return look.with(entries);
    }

    /** Whether an entry lies on some of these zones and elsewhere. */
    static boolean isPart(LookEntry entry, List<String> zones) {
        return entry.zones().stream().anyMatch(zones::contains) && !zones.containsAll(entry.zones());
    }

    private static LookEntry copy(LookEntry e, Look look, List<String> zones) {
        return new LookEntry(
                look.freeId(e.techniqueId()),
                e.techniqueId(),
                zones,
                e.coats(),
                e.items(),
                e.strength(),
                e.coverage(),
                e.over());
    }

    private static List<String> side(LookEntry entry, String ending) {
        return entry.zones().stream().filter(z -> z.endsWith(ending)).toList();
    }
}
