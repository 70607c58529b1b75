package app.kemdro.web.look;

import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.Technique;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.UnaryOperator;

/** Changes to a look, each giving a new look. */
final class LookChange {
    private static final String PIECE = "piece";

    private LookChange() {}

    /**
     * Puts a technique on zones. The same work in other zones is one piece of work and joins it; every piece is a piece of
     * its own.
     */
    static Look add(Look look, Technique technique, List<String> zones) {
        List<String> fit = zones.stream().filter(technique.zones()::contains).toList();
        boolean known = look.entries().stream().anyMatch(e -> e.techniqueId().equals(technique.id()));
        if (known && !technique.slot().equals(PIECE)) {
            return new Look(look.entries().stream()
                    .map(e -> e.techniqueId().equals(technique.id()) ? joined(e, fit) : e)
                    .toList());
        }
        List<LookEntry> entries = new ArrayList<>(look.entries());
        entries.add(new LookEntry(
                freeId(look, technique.id()),
                technique.id(),
                technique.covers().isEmpty() ? fit : List.copyOf(technique.covers()),
                0));
        return new Look(entries);
    }

    private static LookEntry joined(LookEntry entry, List<String> zones) {
        Set<String> all = new LinkedHashSet<>(entry.zones());
        all.addAll(zones);
        return entry.on(List.copyOf(all));
    }

    private static String freeId(Look look, String base) {
        int number = 1;
        while (true) {
            String id = base + "-" + number++;
            if (look.entries().stream().noneMatch(e -> e.id().equals(id))) {
                return id;
            }
        }
    }

    static Look remove(Look look, String entryId) {
        return new Look(
                look.entries().stream().filter(e -> !e.id().equals(entryId)).toList());
    }

    /** Takes zones out of an entry; an entry without zones goes. */
    static Look lift(Look look, String entryId, List<String> zones) {
        return new Look(look.entries().stream()
                .map(e -> e.id().equals(entryId)
                        ? e.on(e.zones().stream()
                                .filter(z -> !zones.contains(z))
                                .toList())
                        : e)
                .filter(e -> !e.zones().isEmpty())
                .toList());
    }

    static Look coats(Look look, String entryId, int coats) {
        return each(look, entryId, e -> e.coated(coats));
    }

    static Look school(Look look, String entryId, Technique school) {
        return each(look, entryId, e -> e.by(school.id()));
    }

    private static Look each(Look look, String entryId, UnaryOperator<LookEntry> change) {
        return new Look(look.entries().stream()
                .map(e -> e.id().equals(entryId) ? change.apply(e) : e)
                .toList());
    }
}
