package app.kemdro.core.safety;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What is known of a performer beside their reactions.
 *
 * @param lensHours hours for which lenses were fitted at most, 0 where nobody said
 * @param panics whether being covered or breathing is a matter for them
 * @param minor whether they are not of age
 * @param guardian whether a guardian is there and has agreed
 * @param broken zones whose skin is broken, burnt, infected or irritated
 * @param tests patch tests, in any order
 * @param seen what was seen of the skin, as it came in; the last look at a zone counts
 */
public record HealthRecord(
        int lensHours,
        boolean panics,
        boolean minor,
        boolean guardian,
        Set<String> broken,
        List<PatchTest> tests,
        List<SkinSeen> seen) {
    public static final HealthRecord UNKNOWN = new HealthRecord(0, false, false, false, Set.of(), List.of());

    public HealthRecord {
        broken = Set.copyOf(broken);
        tests = List.copyOf(tests);
        seen = List.copyOf(seen);
    }

    /** Of somebody whose skin nobody has written about yet. */
    public HealthRecord(
            int lensHours, boolean panics, boolean minor, boolean guardian, Set<String> broken, List<PatchTest> tests) {
        this(lensHours, panics, minor, guardian, broken, tests, List.of());
    }

    /** What came of a patch test. */
    public enum Result {
        /** Nobody has looked yet. */
        OPEN,
        CLEAR,
        REACTED
    }

    /** A patch test of a family of materials. */
    public record PatchTest(String family, LocalDateTime put, Result result) {}

    /** How skin looks when everything is off. */
    public enum Skin {
        /** As before. */
        FINE,
        /** Red or sore: it rests, or gets another adhesive. */
        RED,
        /** Broken, blistered or swollen: it is not worked on until somebody has seen it whole again. */
        BROKEN
    }

    /**
     * What was seen of a zone.
     *
     * @param under families that had been stuck there, by id
     */
    public record SkinSeen(String zone, LocalDateTime at, Skin skin, Set<String> under) {
        public SkinSeen {
            under = Set.copyOf(under);
        }
    }

    /** The last look at each zone. */
    public Map<String, SkinSeen> lastSeen() {
        return seen.stream()
                .collect(Collectors.toMap(SkinSeen::zone, s -> s, (a, b) -> b.at().isBefore(a.at()) ? a : b));
    }
}
