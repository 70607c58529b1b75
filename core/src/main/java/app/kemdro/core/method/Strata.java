package app.kemdro.core.method;

import app.kemdro.core.datafile.DataNode;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;

/** The order in which kinds of work lie on one zone, from the skin outwards, unless a technique's needs say otherwise. */
public final class Strata {
    private final Map<String, Level> levels;

    private Strata(Map<String, Level> levels) {
        this.levels = levels;
    }

    /**
     * One kind of work.
     *
     * @param height 0 on the skin, growing outwards
     * @param block whether it is no layer but a time of its own, of which only the rules say when it comes
     * @param many whether several of the kind may lie on one zone
     * @param roles what must be known of all techniques of the kind
     * @param because why it stands here
     */
    public record Level(int height, boolean many, boolean block, Set<Role> roles, String because) {}

    static Strata read(DataNode file) {
        Map<String, Level> levels = new LinkedHashMap<>();
        for (DataNode node : file.items()) {
            node.onlyKeys(Set.of("slot", "many", "block", "roles", "because"));
            String slot = node.get("slot").text();
            Level level = new Level(
                    levels.size(),
                    node.flag("many"),
                    node.flag("block"),
                    Set.copyOf(node.choices("roles", Role.class)),
                    node.get("because").text());
            if (levels.put(slot, level) != null) {
                throw node.broken("slot '" + slot + "' stands here twice");
            }
        }
        return new Strata(levels);
    }

    /** Where the kind of work with this role stands; the first where there are several. */
    public Level level(Role role) {
        return levels.values().stream()
                .filter(l -> l.roles().contains(role))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("No kind of work is " + role));
    }

    public boolean has(String slot) {
        return levels.containsKey(slot);
    }

    /** Where a kind of work stands. */
    public Level level(String slot) {
        Level found = levels.get(slot);
        if (found == null) {
            throw new IllegalArgumentException("No kind of work is called '" + slot + "'");
        }
        return found;
    }
}
