package app.kemdro.core.method;

import java.util.Set;

/**
 * What goes wrong in the chair, and how it is put right.
 *
 * @param says what went wrong, as said aloud
 * @param on kinds of work it happens to
 * @param how the work that puts it right
 */
public record Repair(String id, String says, Set<String> on, Technique how) {

    /** Whether it can happen to this work. */
    public boolean happensTo(Technique technique) {
        return on.contains(technique.slot());
    }
}
