package app.kemdro.core.plan;

import java.util.List;
import java.util.Set;

/**
 * Work that came in while a plan was being carried out.
 *
 * @param id what its steps are called after, unlike any entry of the look
 * @param repair the repair, or empty where a step is done once more
 * @param step the step it happened to, or that is done once more
 * @param zones zones it is on, empty for all of the step's
 * @param past steps begun before it came in; it comes before all others on its zones
 */
public record Extra(String id, String repair, String step, List<String> zones, Set<String> past) {
    public Extra {
        zones = List.copyOf(zones);
        past = Set.copyOf(past);
    }
}
