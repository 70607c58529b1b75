package app.kemdro.core.method;

import java.util.Set;

/** A rule of order that is not a state: what {@code before} picks comes before what {@code after} picks. */
public record Rule(Pick before, Pick after, String because) {

    /** Slots, and regions of the body; empty regions mean the whole body. */
    public record Pick(Set<String> slots, Set<String> regions) {
        public boolean fits(Technique technique, Set<String> touchedRegions) {
            return slots.contains(technique.slot())
                    && (regions.isEmpty() || touchedRegions.stream().anyMatch(regions::contains));
        }
    }
}
