package app.kemdro.core.method;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * One step of a technique before it meets a body and a crew.
 *
 * @param law hands-on minutes on its zones, without what each counted thing takes
 * @param zones where it works, empty for the zones of the entry
 * @param each whether every zone is a step of its own
 * @param holds zones that must keep still or free meanwhile
 * @param after steps it follows, empty for the one before
 * @param waitsMinutes minutes that pass afterwards without hands, as while a gel warms
 * @param aside whether it is done beside the body, so that no zone is taken
 * @param within seconds after it may begin by which it must have begun, if there is such a window
 * @param minutesPerItem hands-on minutes for each thing counted
 * @param eachOwn whether every zone of the entry is a step of its own
 * @param material family it lays, if any
 * @param sets a form it sets, if any
 * @param setsOn where the form lies, empty for the step's own zones
 * @param alone how it goes for someone working on their own face
 * @param posture how the performer keeps a part of the face or body meanwhile, as "closed" for "eyes"
 * @param together share of the time alone that it takes when a second pair of hands helps; 0 where help is no use
 * @param strip where it is laid as a strip and not over the whole zone
 * @param coatWeight multiple of the family's normal coat
 * @param mist whether it fills the air round it with mist or specks
 * @param onlyAlone whether it is only done by somebody who works on themselves
 * @param fingers in what state it leaves the fingers: "greased", "clean" and so on; empty where it does not matter
 * @param aloneSays how the performer keeps meanwhile who does it on themselves, where that is another way
 */
public record StepTemplate(
        String id,
        String name,
        Coats coats,
        WorkLaw law,
        double minutesPerItem,
        List<String> zones,
        boolean each,
        boolean eachOwn,
        Set<String> holds,
        List<String> after,
        Begins begins,
        @Nullable Integer within,
        @Nullable String material,
        @Nullable String sets,
        Set<String> setsOn,
        double waitsMinutes,
        boolean aside,
        double coatWeight,
        boolean thinnerEachCoat,
        boolean dryer,
        Skill skill,
        Alone alone,
        String lookFor,
        String performer,
        Map<String, String> posture,
        double together,
        @Nullable Strip strip,
        boolean mist,
        boolean onlyAlone,
        String fingers,
        String aloneSays) {

    /** Whether fingers are clean afterwards, whatever was on them. */
    public boolean cleansFingers() {
        return fingers.equals("clean");
    }

    /** The same, following another step and as often as that. */
    StepTemplate after(StepTemplate other) {
        return copy(other.zones, other.each, other.eachOwn, List.of(other.id), lookFor, performer, posture, aloneSays);
    }

    /** The same as it is done on oneself: a pose that nobody can work in is not asked for. */
    public StepTemplate onOneself() {
        return aloneSays.isEmpty() ? this : copy(zones, each, eachOwn, after, lookFor, aloneSays, Map.of(), "");
    }

    /** The same, with something more to look for. */
    public StepTemplate looking(String more) {
        String both = lookFor.isEmpty() ? more : lookFor + "; " + more;
        return copy(zones, each, eachOwn, after, both, performer, posture, aloneSays);
    }

    private StepTemplate copy(
            List<String> on,
            boolean one,
            boolean own,
            List<String> follows,
            String look,
            String keeps,
            Map<String, String> pose,
            String says) {
        return new StepTemplate(
                id,
                name,
                coats,
                law,
                minutesPerItem,
                on,
                one,
                own,
                holds,
                follows,
                begins,
                within,
                material,
                sets,
                setsOn,
                waitsMinutes,
                aside,
                coatWeight,
                thinnerEachCoat,
                dryer,
                skill,
                alone,
                look,
                keeps,
                pose,
                together,
                strip,
                mist,
                onlyAlone,
                fingers,
                says);
    }

    /** A strip on a head of 56 cm round: its length grows with the head, its width does not. */
    public record Strip(double widthMm, double lengthCm) {}

    /** How a step follows the film of the one before. */
    public enum Begins {
        /** At once, film or not: both are one movement of work. */
        DONE,
        /** When the film is clear. */
        CLEAR,
        /** When the film grabs, and before it closes. */
        TACKY,
        /** While the film is still wet. */
        WET
    }

    /** How a step goes in a mirror. */
    public enum Alone {
        /** Longer, as everything in a mirror. */
        SLOWER,
        /** Reached without being seen, or one eye at a time. */
        BLIND,
        /** Not well: plan help or another way. */
        HELP
    }

    /** Which coats a step is repeated for. */
    public enum Coats {
        ONCE,
        EVERY,
        ALL_BUT_LAST
    }

    /** Whose hands it takes. */
    public enum Skill {
        LEAD,
        ANY,
        NONE
    }
}
