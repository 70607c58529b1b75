package app.kemdro.core.method;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A way of doing something to the body, as the trade does it.
 *
 * @param family name shared by the schools between which an artist chooses
 * @param slot two techniques of one slot cannot both lie on a zone, unless the slot takes many
 * @param roles what must be known of it and of its kind
 * @param zones zones it may be used on
 * @param covers zones it always takes, empty where it takes those that were pressed
 * @param implied whether Kemdro inserts it by itself where a need is not met
 * @param between whether it is only ever put between two layers, to mend what would not hold
 * @param worn whether it is worn over skin like a second one: over nose or mouth it can close an airway, and being covered by it is
 *     agreed to
 * @param gives states its zones have afterwards
 * @param givesAround states that other zones have afterwards, as the forehead under a cap's edge
 * @param spoils states that no longer hold where it was done
 * @param performerOnly whether the performer leaves and no hands work
 * @param coats how many coats, or rounds, are usual and allowed
 * @param items how many things are usual and allowed, for what is counted
 * @param accepts pairs of layers, one of them its own, that this school lays knowingly
 * @param choice how something that is chosen inside a school is chosen here; empty where nothing is
 */
public record Technique(
        String id,
        String name,
        String family,
        String slot,
        Set<Role> roles,
        Effect effect,
        Set<String> zones,
        Set<String> covers,
        boolean implied,
        boolean between,
        boolean performerOnly,
        boolean worn,
        Count coats,
        Count items,
        List<Need> needs,
        Set<String> gives,
        Map<String, Set<String>> givesAround,
        Set<String> spoils,
        String because,
        List<String> cautions,
        List<StepTemplate> steps,
        Profile profile,
        Make make,
        List<Acceptance> accepts,
        Optional<Choice> choice) {

    public boolean is(Role role) {
        return roles.contains(role);
    }

    /** Whether this state holds somewhere afterwards. */
    public boolean givesAnywhere(String state) {
        return gives.contains(state) || givesAround.containsKey(state);
    }

    /**
     * What is chosen inside a school.
     *
     * @param of the school as it is usual, by id
     * @param asks what is chosen, as "cover"
     * @param says how it is chosen here
     */
    public record Choice(String of, String asks, String says) {}

    /** The school it belongs to, whatever is chosen inside it: its own id where nothing is. */
    public String school() {
        return choice.map(Choice::of).orElse(id);
    }

    /** What happens in a zone, as drawn on the figure. */
    public enum Effect {
        PREPARE,
        VANISH,
        RESHAPE,
        TEXTURE,
        COLOUR,
        ADD,
        FINISH
    }

    /**
     * How many are usual and allowed.
     *
     * @param word what is counted, as in "coats"
     * @param per100Cm2 whether the usual number is for each 100 cm²
     */
    public record Count(String word, int usual, int least, int most, boolean per100Cm2) {
        static final Count ONE = new Count("coats", 1, 1, 1, false);

        public boolean isChoice() {
            return most > least;
        }

        /** The usual number on this area, cm². */
        public int usualOn(double areaCm2) {
            int number = per100Cm2 ? (int) Math.round(usual * areaCm2 / 100) : usual;
            return Math.max(least, Math.min(most, number));
        }
    }

    /**
     * When it is the right choice, and what it costs.
     *
     * @param suits what speaks for it
     * @param poorFor what speaks against it
     * @param risk what may go wrong, empty where nothing special may
     * @param neverFilmed what must never be filmed with it, empty where all may be
     * @param eachTime € for what is used up each time besides coats (judgement)
     * @param lastsHours hours it stays good, 0 where it lasts the day
     */
    public record Profile(
            Set<Fact> suits, Set<Fact> poorFor, String risk, String neverFilmed, double eachTime, int lastsHours) {}

    /**
     * What is made on the bench.
     *
     * @param gramsPerCm2 weight on the body, 0 where it is not worth counting
     * @param thicknessMm thickness of the form at its ridge, mm, 0 where a coat decides
     */
    public record Make(List<BenchStep> bench, double gramsPerCm2, double thicknessMm) {}

    /**
     * A pair that this school lays knowingly.
     *
     * @param below surface below
     * @param above material laid on it
     * @param condition what the artist sees to
     */
    public record Acceptance(String below, String above, String condition, String because) {}

    /** Families of material its steps lay or set, on the body and on the bench. */
    public List<String> materials() {
        return Stream.concat(
                        steps.stream().flatMap(s -> Stream.of(s.material(), s.sets())),
                        make.bench().stream().map(BenchStep::material))
                .filter(m -> m != null)
                .distinct()
                .toList();
    }
}
