package app.kemdro.core.look;

import java.time.Duration;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/**
 * What a look is made under.
 *
 * @param call when set is waiting
 * @param chairIn when the performer sits down; empty lets Kemdro choose it from the call
 * @param costumeMinutes costume, drink and toilet as a block of their own; 0 for none
 * @param breaks rest for everybody, by rule of the house
 * @param selfApplied whether the performer works on their own face in a mirror
 * @param own how many times as long as in the library something takes in this house: hands at a step, by {@link #step}, or a film to
 *     dry, by {@link #film}; only what was learnt and is to be planned with
 * @param allowed what the artist allows an order and a look
 */
public record Brief(
        LocalDateTime call,
        Optional<LocalDateTime> chairIn,
        Performer performer,
        List<Hands> crew,
        Room room,
        Set<String> costumeCovers,
        int costumeMinutes,
        boolean selfApplied,
        Purpose purpose,
        Breaks breaks,
        Map<String, Double> own,
        Allowed allowed) {
    public Brief {
        crew = List.copyOf(crew);
        costumeCovers = Set.copyOf(costumeCovers);
        purpose = Objects.requireNonNullElse(purpose, Purpose.USUAL);
        breaks = Objects.requireNonNullElse(breaks, Breaks.USUAL);
        own = own == null ? Map.of() : Map.copyOf(own);
        allowed = Objects.requireNonNullElse(allowed, Allowed.NOTHING);
    }

    /** With the library's times. */
    public Brief(
            LocalDateTime call,
            Optional<LocalDateTime> chairIn,
            Performer performer,
            List<Hands> crew,
            Room room,
            Set<String> costumeCovers,
            int costumeMinutes,
            boolean selfApplied,
            Purpose purpose,
            Breaks breaks) {
        this(
                call,
                chairIn,
                performer,
                crew,
                room,
                costumeCovers,
                costumeMinutes,
                selfApplied,
                purpose,
                breaks,
                Map.of(),
                Allowed.NOTHING);
    }

    /** Under which name the times of a technique's step are learnt. */
    public static String step(String technique, String step) {
        return technique + "/" + step;
    }

    /** Under which name the drying of a family is learnt. */
    public static String film(String family) {
        return "dries " + family;
    }

    /** How many times as long as in the library it takes. */
    public double own(String what) {
        return own.getOrDefault(what, 1.0);
    }

    /** For a camera, for a working day. */
    public Brief(
            LocalDateTime call,
            Optional<LocalDateTime> chairIn,
            Performer performer,
            List<Hands> crew,
            Room room,
            Set<String> costumeCovers,
            int costumeMinutes,
            boolean selfApplied) {
        this(
                call,
                chairIn,
                performer,
                crew,
                room,
                costumeCovers,
                costumeMinutes,
                selfApplied,
                Purpose.USUAL,
                Breaks.USUAL);
    }

    private Brief changed(
            LocalDateTime otherCall,
            Optional<LocalDateTime> seat,
            Performer sits,
            List<Hands> hands,
            Room air,
            Map<String, Double> learnt,
            Allowed allows) {
        return new Brief(
                otherCall,
                seat,
                sits,
                hands,
                air,
                costumeCovers,
                costumeMinutes,
                selfApplied,
                purpose,
                breaks,
                learnt,
                allows);
    }

    /** The same so much later: call, chair-in and the crew's hours move together. */
    public Brief moved(Duration by) {
        List<Hands> later = crew.stream()
                .map(h -> new Hands(
                        h.name(), h.skill(), h.from().plus(by), h.until().plus(by), h.factor()))
                .toList();
        return changed(call.plus(by), chairIn.map(t -> t.plus(by)), performer, later, room, own, allowed);
    }

    /** The same with this chair-in. */
    public Brief seated(LocalDateTime at) {
        return changed(call, Optional.of(at), performer, crew, room, own, allowed);
    }

    /** The same with other hands. */
    public Brief with(List<Hands> others) {
        return changed(call, chairIn, performer, others, room, own, allowed);
    }

    /** The same with what was learnt of these times. */
    public Brief with(Map<String, Double> learnt) {
        return changed(call, chairIn, performer, crew, room, learnt, allowed);
    }

    /** The same, allowing this. */
    public Brief allowing(Allowed other) {
        return changed(call, chairIn, performer, crew, room, own, other);
    }

    /** The same on somebody else. */
    public Brief on(Performer other) {
        return changed(call, chairIn, other, crew, room, own, allowed);
    }

    /** The same in another room. */
    public Brief in(Room other) {
        return changed(call, chairIn, performer, crew, other, own, allowed);
    }

    /**
     * What the artist allows.
     *
     * @param bare zones that are meant to stay bare, though they will be seen
     * @param minutes so many minutes later it may be ready where that makes for a calmer order, 0 to {@link #MOST_MINUTES}
     * @param schools the way that was chosen, by id of a question of order in which practitioners differ
     */
    public record Allowed(Set<String> bare, int minutes, Map<String, String> schools) {
        /** More than this is not allowed for an order. */
        public static final int MOST_MINUTES = 30;

        public static final Allowed NOTHING = new Allowed(Set.of(), 0, Map.of());

        public Allowed {
            bare = bare == null ? Set.of() : Set.copyOf(bare);
            schools = schools == null ? Map.of() : Map.copyOf(schools);
            if (minutes < 0 || minutes > MOST_MINUTES) {
                throw new IllegalArgumentException("A calmer order may cost 0 to " + MOST_MINUTES + " min");
            }
        }

        /** With the schools that hold where nobody has chosen. */
        public Allowed(Set<String> bare, int minutes) {
            this(bare, minutes, Map.of());
        }

        public Allowed withBare(Set<String> zones) {
            return new Allowed(zones, minutes, schools);
        }

        public Allowed withMinutes(int other) {
            return new Allowed(bare, other, schools);
        }

        public Allowed withSchools(Map<String, String> others) {
            return new Allowed(bare, minutes, others);
        }
    }

    /**
     * Rest for everybody.
     *
     * @param every longest stretch of work without a break, minutes
     * @param minutes how long a break lasts
     * @param meal how long every third one lasts, minutes
     */
    public record Breaks(int every, int minutes, int meal) {
        /** 10 minutes in any 120, half an hour for a meal (a house default; local codes come first). */
        public static final Breaks USUAL = new Breaks(120, 10, 30);
    }

    /**
     * What the look is for.
     *
     * @param seen from where it is looked at
     * @param lastsHours hours it must last after the call
     * @param mustVanish zones where brows, hairline or ears must disappear
     * @param moneyShort whether the cheaper way is wanted where there is one
     * @param benchDays working days free on the bench before the day
     */
    public record Purpose(Seen seen, int lastsHours, Set<String> mustVanish, boolean moneyShort, int benchDays) {
        public static final Purpose USUAL = new Purpose(Seen.CAMERA, 8, Set.of(), false, 3);

        public Purpose {
            mustVanish = Set.copyOf(mustVanish);
        }
    }

    /** From where a look is seen. */
    public enum Seen {
        CLOSE_CAMERA,
        CAMERA,
        STAGE,
        STREET
    }

    /**
     * Who is in the chair.
     *
     * @param headCm head circumference in cm, or 0 when it was not measured
     * @param reactsTo ids of what the performer reacts to
     * @param fineHair places where they have hair that glue would meet, as trade/fine-hair.yaml calls them
     */
    public record Performer(
            String name,
            int heightCm,
            int weightKg,
            double headCm,
            Set<String> reactsTo,
            Brows brows,
            Hair hair,
            Set<String> fineHair) {
        /** Head circumference of the figure's own mesh, cm. */
        private static final double FIGURE_HEAD_CM = 56.0;

        /** Body surface of the figure, m²: a person of 175 cm and 70 kg after Mosteller. */
        private static final double FIGURE_BODY_M2 = 1.845;

        public Performer {
            brows = Objects.requireNonNullElse(brows, Brows.MEDIUM);
            hair = Objects.requireNonNullElse(hair, Hair.SHORT);
            fineHair = fineHair == null ? Set.of() : Set.copyOf(fineHair);
        }

        /** With no hair but that of head and brows. */
        public Performer(
                String name, int heightCm, int weightKg, double headCm, Set<String> reactsTo, Brows brows, Hair hair) {
            this(name, heightCm, weightKg, headCm, reactsTo, brows, hair, Set.of());
        }

        /** With medium brows and short hair. */
        public Performer(String name, int heightCm, int weightKg, double headCm, Set<String> reactsTo) {
            this(name, heightCm, weightKg, headCm, reactsTo, Brows.MEDIUM, Hair.SHORT);
        }

        /** By how much this head's surface differs from the figure's: surfaces grow with the square of the girth. */
        public double areaScale() {
            return headCm == 0 ? 1 : Math.pow(headCm / FIGURE_HEAD_CM, 2);
        }

        /**
         * By how much the body's surface differs from the figure's: √(height · weight / 3600) in m² (Mosteller 1987, from
         * memory).
         */
        public double bodyScale() {
            return heightCm == 0 || weightKg == 0 ? 1 : Math.sqrt(heightCm * weightKg / 3600.0) / FIGURE_BODY_M2;
        }
    }

    /** How much brow there is to block. */
    public enum Brows {
        FINE,
        MEDIUM,
        THICK
    }

    /** How much hair there is to flatten. */
    public enum Hair {
        NONE,
        SHORT,
        LONG
    }

    /**
     * One pair of hands, and when it is there.
     *
     * @param factor how many times as long it takes as is usual for its skill, as its own runs have shown, within {@link
     *     #QUICKEST} and {@link #SLOWEST}; 1 where they were not asked, and where a plan kept from before says nothing (0)
     */
    public record Hands(String name, Skill skill, LocalDateTime from, LocalDateTime until, double factor) {
        public static final double QUICKEST = 0.4;
        public static final double SLOWEST = 2.5;

        public Hands {
            factor = factor == 0 ? 1 : Math.max(QUICKEST, Math.min(SLOWEST, factor));
        }

        /** Hands that take as long as is usual for their skill. */
        public Hands(String name, Skill skill, LocalDateTime from, LocalDateTime until) {
            this(name, skill, from, until, 1);
        }

        /** Multiple of a trained artist's time. */
        public double pace() {
            return skill.pace() * factor;
        }
    }

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
