package app.kemdro.core.look;

/**
 * What people want of the order, whatever is shortest.
 *
 * @param step the step it is about, by its id; for {@link Kind#IF_TIME} the entry of the look
 * @param to for {@link Kind#BEFORE} the step that comes later, for {@link Kind#BY_HANDS} whose hands; else empty
 * @param minutes for {@link Kind#NOT_BEFORE} and {@link Kind#BEGUN_BY} the moment as minutes before the call, so that it moves
 *     along with the call; else 0
 */
public record Wish(Kind kind, String step, String to, int minutes) {

    /** Sorts of wishes. */
    public enum Kind {
        /** It is done before another step begins. */
        BEFORE,
        /** It does not begin before a moment. */
        NOT_BEFORE,
        /** It has begun by a moment. */
        BEGUN_BY,
        /** These hands do it. */
        BY_HANDS,
        /** An entry of the look is done only where the call can be kept with it. */
        IF_TIME
    }

    /** One step is done before another begins. */
    public static Wish before(String step, String later) {
        return new Wish(Kind.BEFORE, step, later, 0);
    }

    /** These hands do it. */
    public static Wish by(String step, String hands) {
        return new Wish(Kind.BY_HANDS, step, hands, 0);
    }

    /** This entry is done only where there is time for it. */
    public static Wish ifTime(String entry) {
        return new Wish(Kind.IF_TIME, entry, "", 0);
    }

    /** It does not begin before so many minutes before the call. */
    public static Wish notBefore(String step, int minutes) {
        return new Wish(Kind.NOT_BEFORE, step, "", minutes);
    }

    /** It has begun by so many minutes before the call. */
    public static Wish begunBy(String step, int minutes) {
        return new Wish(Kind.BEGUN_BY, step, "", minutes);
    }

    /** Whether both say something of the same sort about the same step, so that only the later can be meant. */
    boolean replaces(Wish other) {
        return kind == other.kind && step.equals(other.step) && (kind != Kind.BEFORE || to.equals(other.to));
    }
}
