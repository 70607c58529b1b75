package app.kemdro.core.look;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * One thing that happens to the body: a technique on some zones.
 *
 * @param id stable name within the look
 * @param zones where it happens, each once
 * @param coats number of coats; 0 for the technique's usual number
 * @param items number of things where the technique counts them; 0 for the usual number
 * @param strength how strongly it is done
 * @param coverage percent of its zones that it takes, 1 to 100; 0 stands for all
 * @param over id of the entry it lies directly over, or several with spaces between, where that is not left to the usual order; empty
 *     otherwise
 */
public record LookEntry(
        String id,
        String techniqueId,
        List<String> zones,
        int coats,
        int items,
        Strength strength,
        int coverage,
        String over) {
    /** Says under {@code over} that it lies directly on the body. */
    public static final String BODY = "body";

    /** Names of entries that came in while a run was on begin so; those of one addition are alike up to a full stop. */
    public static final String ADDED = "added-";

    public LookEntry(
            String id,
            String techniqueId,
            List<String> zones,
            int coats,
            int items,
            @Nullable Strength strength,
            int coverage,
            @Nullable String over) {
        this.id = id;
        this.techniqueId = techniqueId;
        this.zones = zones.stream().distinct().toList();
        this.coats = coats;
        this.items = items;
        this.strength = strength == null ? Strength.USUAL : strength;
        this.coverage = coverage == 0 ? 100 : coverage;
        this.over = over == null ? "" : over;
    }

    /** As it is usually done. */
    public LookEntry(String id, String techniqueId, List<String> zones, int coats) {
        this(id, techniqueId, zones, coats, 0, Strength.USUAL, 100, "");
    }

    /** The addition it belongs to; empty where it was in the look from the beginning. */
    public static String additionOf(String entry) {
        return entry.startsWith(ADDED) ? entry.split("[.~]", 2)[0] : "";
    }

    /** The same on other zones. */
    public LookEntry on(List<String> others) {
        return new LookEntry(id, techniqueId, others, coats, items, strength, coverage, over);
    }

    /** The same done in another way; coats and things go back to what is usual there. */
    public LookEntry by(String otherTechnique) {
        return new LookEntry(id, otherTechnique, zones, 0, 0, strength, coverage, over);
    }

    /** The same with another number of coats. */
    public LookEntry coated(int number) {
        return new LookEntry(id, techniqueId, zones, number, items, strength, coverage, over);
    }

    /** The same with another number of things. */
    public LookEntry counted(int number) {
        return new LookEntry(id, techniqueId, zones, coats, number, strength, coverage, over);
    }

    /** The same, done more or less strongly. */
    public LookEntry strong(Strength other) {
        return new LookEntry(id, techniqueId, zones, coats, items, other, coverage, over);
    }

    /** The same on another share of its zones, percent. */
    public LookEntry covering(int percent) {
        return new LookEntry(id, techniqueId, zones, coats, items, strength, percent, over);
    }

    /** The same, laid directly over another entry. */
    public LookEntry above(String entry) {
        return new LookEntry(id, techniqueId, zones, coats, items, strength, coverage, entry);
    }

    /** How strongly something is done: what it takes in hands-on time and in coat, beside the usual (judgement). */
    public enum Strength {
        LIGHT(0.8, 0.7),
        USUAL(1, 1),
        HEAVY(1.3, 1.4);

        private final double time;
        private final double coat;

        Strength(double time, double coat) {
            this.time = time;
            this.coat = coat;
        }

        /** Multiple of the usual hands-on time. */
        public double time() {
            return time;
        }

        /** Multiple of the usual coat. */
        public double coat() {
            return coat;
        }
    }
}
