package app.kemdro.core.safety;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Set;

/**
 * What is known of a performer beside their reactions.
 *
 * @param lensHours hours for which lenses were fitted at most, 0 where nobody said
 * @param panics whether being covered or breathing is a matter for them
 * @param minor whether they are not of age
 * @param guardian whether a guardian is there and has agreed
 * @param broken zones whose skin is broken, burnt, infected or irritated
 * @param tests patch tests, in any order
 */
public record Care(
        int lensHours, boolean panics, boolean minor, boolean guardian, Set<String> broken, List<PatchTest> tests) {
    public static final Care UNKNOWN = new Care(0, false, false, false, Set.of(), List.of());

    public Care {
        broken = Set.copyOf(broken);
        tests = List.copyOf(tests);
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
}
