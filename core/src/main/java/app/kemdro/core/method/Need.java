package app.kemdro.core.method;

import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A state a zone must have before a technique begins there.
 *
 * @param state its name, as said to people
 * @param givenBy states any one of which will do; usually just {@code state}
 * @param required false where it counts only if something in the look gives it
 * @param zones zones that need it, empty for the zones of the entry
 * @param where counts only on zones that have this state, if set
 * @param unless counts only on zones that lack this state, if set
 */
public record Need(
        String state,
        List<String> givenBy,
        boolean required,
        Set<String> zones,
        @Nullable String where,
        @Nullable String unless) {}
