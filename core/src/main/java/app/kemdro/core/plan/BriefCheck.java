package app.kemdro.core.plan;

import app.kemdro.core.hour.Wall;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Hands;
import app.kemdro.core.look.Brief.Skill;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** Finds what cannot be meant in a brief, before anything is planned from it. */
public final class BriefCheck {
    private static final int FIRST_YEAR = 2000;
    private static final int LAST_YEAR = 2199;

    /** A call farther off is a slip of the hand, years. */
    private static final int FAR = 5;

    private BriefCheck() {}

    /** Whether a job can be called on this day at all: what is far off is a slip of the hand. */
    public static boolean isDay(LocalDate day) {
        return day.getYear() >= FIRST_YEAR && day.getYear() <= LAST_YEAR;
    }

    /** Whether a job can be called on this day by somebody who writes today: at most five years from it. */
    public static boolean isDay(LocalDate day, LocalDate today) {
        return !day.isBefore(today.minusYears(FAR)) && !day.isAfter(today.plusYears(FAR));
    }

    /** What must be mended; empty when the brief can be planned from. */
    public static List<Problem> problems(Brief brief) {
        List<Problem> problems = new ArrayList<>();
        if (!isDay(brief.call().toLocalDate())) {
            problems.add(Problem.stop(
                    "The call lies in the year " + brief.call().getYear() + ".",
                    "Set a day between " + FIRST_YEAR + " and " + LAST_YEAR + "."));
            return problems;
        }
        crew(brief, problems);
        room(brief.room(), problems);
        performer(brief.performer(), problems);
        brief.chairIn().ifPresent(chairIn -> {
            if (!chairIn.isBefore(brief.call())) {
                problems.add(Problem.stop(
                        "Chair-in at %s is not before the call at %s."
                                .formatted(Wall.hour(chairIn), Wall.hour(brief.call())),
                        "Set an earlier chair-in, or leave it empty and Kemdro works it out from the call."));
            } else if (Duration.between(chairIn, brief.call()).toHours() > 20) {
                problems.add(Problem.stop(
                        "There are more than 20 hours between chair-in and call.", "Check the dates of both."));
            }
        });
        if (brief.costumeMinutes() < 0 || brief.costumeMinutes() > 240) {
            problems.add(Problem.stop("Costume takes 0 to 240 minutes.", "Set a number in that range."));
        }
        return problems;
    }

    private static void crew(Brief brief, List<Problem> problems) {
        List<Hands> crew = brief.crew();
        if (crew.isEmpty()) {
            problems.add(Problem.stop("There are no hands to do the work.", "Put at least one artist on the crew."));
            return;
        }
        if (crew.size() > 3) {
            problems.add(Problem.stop(
                    "More than three pairs of hands.",
                    "Name at most three; more get in each other's way at one face."));
        }
        Set<String> names = new HashSet<>();
        for (Hands hands : crew) {
            if (hands.name().isBlank()) {
                problems.add(Problem.stop("One pair of hands has no name.", "Give every artist a name."));
            } else if (!names.add(hands.name())) {
                problems.add(
                        Problem.stop("Two artists are called " + hands.name() + ".", "Tell them apart by an initial."));
            }
            if (!hands.until().isAfter(hands.from())) {
                problems.add(Problem.stop(
                        "%s goes at %s, before coming at %s."
                                .formatted(hands.name(), Wall.hour(hands.until()), Wall.hour(hands.from())),
                        "Set the hours of " + hands.name() + " the right way round."));
            }
        }
        if (crew.stream().noneMatch(h -> h.skill() == Skill.LEAD)) {
            problems.add(Problem.stop(
                    "Nobody on the crew leads, and caps, pieces and shading are a lead's work.",
                    "Set one artist to lead."));
        }
    }

    private static void room(Brief.Room room, List<Problem> problems) {
        if (!(room.humidityPercent() >= 5 && room.humidityPercent() <= 100)) {
            problems.add(Problem.stop(
                    "Humidity of %.0f %% does not exist in a room people work in.".formatted(room.humidityPercent()),
                    "Set 5 to 100 %; an ordinary heated room has 35 to 55."));
        }
        if (!(room.temperatureC() >= 5 && room.temperatureC() <= 45)) {
            problems.add(Problem.stop(
                    "%s °C is no room to work in.".formatted(plain(room.temperatureC())), "Set 5 to 45 °C."));
        }
        if (room.dryers() < 0 || room.dryers() > 3) {
            problems.add(Problem.stop("Dryers: 0 to 3.", "Set a number in that range."));
        }
    }

    private static void performer(Brief.Performer performer, List<Problem> problems) {
        if (performer.headCm() != 0 && !(performer.headCm() >= 45 && performer.headCm() <= 70)) {
            problems.add(Problem.stop(
                    "A head of %s cm round is outside 45 to 70 cm.".formatted(plain(performer.headCm())),
                    "Measure above the brows and over the widest part at the back, or leave it empty."));
        }
        if (performer.heightCm() != 0 && (performer.heightCm() < 60 || performer.heightCm() > 250)) {
            problems.add(Problem.stop("Height is 60 to 250 cm.", "Correct it or leave it empty."));
        }
        if (performer.weightKg() != 0 && (performer.weightKg() < 10 || performer.weightKg() > 300)) {
            problems.add(Problem.stop("Weight is 10 to 300 kg.", "Correct it or leave it empty."));
        }
    }

    /** As exact as it was typed. */
    private static String plain(double value) {
        return value == Math.rint(value) ? Long.toString(Math.round(value)) : Double.toString(value);
    }

    /**
     * A problem when the hours of the crew leave a stretch of the work without its hands.
     *
     * @param proven whether no order can have hands for all of it; else none was found
     */
    static Problem tooShort(Brief brief, LocalDateTime neededUntil, String step, boolean proven) {
        LocalDateTime last = brief.crew().stream()
                .map(Hands::until)
                .max(LocalDateTime::compareTo)
                .orElseThrow();
        return Problem.stop(
                "The crew's hours are too short%s: \"%s\" finds no free hands that may do it before %tR."
                        .formatted(proven ? "" : ", as far as was found", step, last),
                "The work would last until about %tR. Let somebody stay longer, begin earlier, or take something out of the look."
                        .formatted(neededUntil));
    }
}
