package app.kemdro.core.look;

import java.util.List;

/**
 * One thing that happens to the body: a technique on some zones.
 *
 * @param id stable name within the look
 * @param coats number of coats; 0 for the technique's usual number
 */
public record LookEntry(String id, String techniqueId, List<String> zones, int coats) {
    public LookEntry {
        zones = List.copyOf(zones);
    }
}
