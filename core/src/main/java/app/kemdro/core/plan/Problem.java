package app.kemdro.core.plan;

import java.util.List;

/**
 * Something in the way of a plan, said so that it can be mended.
 *
 * @param stops whether it cannot be done like this: nothing is planned, or that entry stands aside, or a layer will not hold
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

    /** Something that stands in the way, on these zones. */
    public static Problem obstacle(boolean stops, String what, String remedy, List<String> zones) {
        return new Problem(stops, what, remedy, zones, List.of());
    }

    static Problem note(String what, String remedy, List<String> zones) {
        return new Problem(false, what, remedy, zones, List.of());
    }
}
