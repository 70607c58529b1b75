package app.kemdro.core.method;

import java.util.Set;

/**
 * A small place, as one says where something went wrong.
 *
 * @param says what it is called aloud
 * @param zones zones of the body in which it lies
 */
public record SmallPlace(String id, String says, Set<String> zones) {
    public SmallPlace {
        zones = Set.copyOf(zones);
    }
}
