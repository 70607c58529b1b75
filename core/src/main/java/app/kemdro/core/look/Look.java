package app.kemdro.core.look;

import java.util.List;

/** A character described on the body: what happens where. The order of entries carries no meaning. */
public record Look(List<LookEntry> entries) {
    public static final Look EMPTY = new Look(List.of());

    public Look {
        entries = List.copyOf(entries);
    }

    /** A name for another entry that no entry has yet. */
    public String freeId(String base) {
        int number = 1;
        while (true) {
            String id = base + "-" + number;
            if (entries.stream().noneMatch(e -> e.id().equals(id))) {
                return id;
            }
            number++;
        }
    }

    /** Entries that lie on this zone. */
    public List<LookEntry> on(String zone) {
        return entries.stream().filter(e -> e.zones().contains(zone)).toList();
    }
}
