package app.kemdro.core.method;

import java.util.List;
import java.util.Set;

/**
 * What goes wrong in the chair, and how it is put right.
 *
 * @param says what went wrong, as said aloud
 * @param on kinds of work it happens to
 * @param at small places at which it happens, by id; empty where it may anywhere
 * @param spare whether nothing went wrong and it is for time that is left
 * @param ways how it may be put right, the usual first; which of them depends on what lies there and on the performer
 */
public record Repair(String id, String says, Set<String> on, Set<String> at, boolean spare, List<Way> ways) {
    public Repair {
        ways = List.copyOf(ways);
    }

    /**
     * One way to put it right.
     *
     * @param of materials one of which the work it happened to has laid; empty where that does not matter
     * @param under whether its first glue goes beneath the form, which must then hold on it
     */
    public record Way(Set<String> of, boolean under, Technique how) {}

    /** Whether it can happen to this work. */
    public boolean happensTo(Technique technique) {
        return on.contains(technique.slot());
    }

    /** Whether it happens at this small place. */
    public boolean happensAt(SmallPlace place) {
        return at.isEmpty() || at.contains(place.id());
    }

    /** Whether it can be put right in some way on this zone. */
    public boolean mayBeOn(String zone) {
        return ways.stream().anyMatch(w -> w.how().zones().contains(zone));
    }
}
