package app.kemdro.core.look;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What a look is made under.
 *
 * @param call when set is waiting
 * @param chairIn when the performer sits down; empty lets Kemdro choose it from the call
 * @param costumeMinutes costume, drink and toilet as a block of their own; 0 for none
 * @param selfApplied whether the performer works on their own face in a mirror
 */
public record Brief(
        LocalDateTime call,
        Optional<LocalDateTime> chairIn,
        Performer performer,
        List<Hands> crew,
        Room room,
        Set<String> costumeCovers,
        int costumeMinutes,
        boolean selfApplied) {
    public Brief {
        crew = List.copyOf(crew);
        costumeCovers = Set.copyOf(costumeCovers);
    }

    /**
     * Who is in the chair.
     *
     * @param headCm head circumference in cm, or 0 when it was not measured
     * @param reactsTo ids of what the performer reacts to
     */
    public record Performer(String name, int heightCm, int weightKg, double headCm, Set<String> reactsTo) {
        /** Head circumference of the figure's own mesh, cm. */
        private static final double FIGURE_HEAD_CM = 56.0;

        /** By how much this head's surface differs from the figure's: surfaces grow with the square of the girth. */
        public double areaScale() {
            return headCm == 0 ? 1 : Math.pow(headCm / FIGURE_HEAD_CM, 2);
        }
    }

    /** One pair of hands, and when it is there. */
    public record Hands(String name, Skill skill, LocalDateTime from, LocalDateTime until) {}

    /** How much a pair of hands can be given, and its pace beside a trained artist's (judgement). */
    public enum Skill {
        LEAD(1.0),
        ASSISTANT(1.1),
        TRAINEE(1.35);

        private final double pace;

        Skill(double pace) {
            this.pace = pace;
        }

        /** Multiple of a trained artist's time. */
        public double pace() {
            return pace;
        }
    }

    /** Where it happens: temperature in °C, humidity in percent, and how many hand dryers. */
    public record Room(double temperatureC, double humidityPercent, int dryers) {}
}
