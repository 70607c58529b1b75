package app.kemdro.core.look;

import java.util.List;

/** A character described on the body: what happens where. The order of entries carries no meaning. */
public record Look(List<LookEntry> entries) {
    public static final Look EMPTY = new Look(List.of());

    public Look {
        entries = List.copyOf(entries);
    }

    /** Entries that lie on this zone. */
    public List<LookEntry> on(String zone) {
        return entries.stream().filter(e -> e.zones().contains(zone)).toList();
    }
}
