package app.kemdro.core.plan;

import java.util.List;

/**
 * Something in the way of a plan, said so that it can be mended.
 *
 * @param stops whether nothing can be planned until it is mended
 * @param what what is wrong and where
 * @param remedy what to do about it
 * @param zones zones it concerns, may be empty
 * @param entries entries of the look it concerns, may be empty
 */
public record Problem(boolean stops, String what, String remedy, List<String> zones, List<String> entries) {
    static Problem stop(String what, String remedy, List<String> zones, List<String> entries) {
        return new Problem(true, what, remedy, zones, entries);
    }

    static Problem stop(String what, String remedy) {
        return new Problem(true, what, remedy, List.of(), List.of());
    }

    static Problem note(String what, String remedy, List<String> zones) {
        return new Problem(false, what, remedy, zones, List.of());
    }
}
