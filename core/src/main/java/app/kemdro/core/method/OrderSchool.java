package app.kemdro.core.method;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A question of order in which practitioners differ, and both are right.
 *
 * @param id by which rules and jobs speak of it
 * @param asks the question, as it is put to an artist
 * @param byHand whether it is about the hand that one works with oneself, and nothing that rules say
 * @param ways answers to it; the first one holds where nobody has chosen
 */
public record OrderSchool(String id, String asks, boolean byHand, List<Way> ways) {
    public OrderSchool {
        ways = List.copyOf(ways);
    }

    /**
     * One answer.
     *
     * @param says when it is done, as on a button
     * @param risk what may go wrong with it
     * @param technique the technique that does it this way, where it is not the same work at another time
     */
    public record Way(String id, String says, String because, String risk, Optional<String> technique) {}

    /** One way of one school. */
    public record Taken(String school, String way) {}

    /** The way of this id. */
    public Optional<Way> way(String wayId) {
        return ways.stream().filter(w -> w.id().equals(wayId)).findFirst();
    }

    /** The way that is taken: the chosen one, by id of schools, or the first where none of its ways was chosen. */
    public Way taken(Map<String, String> chosen) {
        return Optional.ofNullable(chosen.get(id)).flatMap(this::way).orElse(ways.get(0));
    }

    /** Whether it is a choice between techniques, which the look says already, and not one between rules. */
    public boolean byTechnique() {
        return ways.get(0).technique().isPresent();
    }
}
