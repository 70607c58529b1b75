package app.kemdro.web.records.jobfile;

import app.kemdro.core.look.Brief.Brows;
import app.kemdro.core.look.Brief.Hair;
import app.kemdro.core.look.Brief.Seen;
import app.kemdro.core.look.Brief.Skill;
import app.kemdro.core.look.LookEntry.Strength;
import app.kemdro.core.look.Wish.Kind;
import java.time.DayOfWeek;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.node.ObjectNode;

/**
 * A job as a file: format "kemdro-job", version 2; version 1 is read too, it only knows less. Times are local, without a zone, as they are said in the room.
 *
 * @param ownTimes what the house has learnt and the job is planned with, by technique/step or "dries" and a family: so many times as
 *     long as in the library
 * @param paints what the mixes need, by the columns of the table of paints
 * @param order the order it was planned in, so that whoever takes it in has the same; left aside where it does not fit
 * @param runs what happened, written on export and left aside on import
 */
public record JobFile(
        @Nullable String format,
        @Nullable Integer version,
        @Nullable String title,
        @Nullable String production,
        @Nullable String idea,
        @Nullable Performer performer,
        @Nullable LocalDateTime call,
        @Nullable LocalDateTime chairIn,
        @Nullable Room room,
        @Nullable List<Hands> crew,
        @Nullable List<String> costumeCovers,
        @Nullable Integer costumeMinutes,
        @Nullable Boolean selfApplied,
        @Nullable Purpose purpose,
        @Nullable Breaks breaks,
        @Nullable List<Entry> look,
        @Nullable List<Wish> wishes,
        @Nullable Bench bench,
        @Nullable Map<String, Double> ownTimes,
        @Nullable List<Mix> mixes,
        @Nullable List<Map<String, String>> paints,
        @Nullable Order order,
        @Nullable List<Happened> runs) {
    public static final String FORMAT = "kemdro-job";
    public static final int VERSION = 2;
    static final int OLDEST = 1;

    public record Performer(
            @Nullable String name,
            @Nullable Integer heightCm,
            @Nullable Integer weightKg,
            @Nullable Double headCm,
            @Nullable List<String> reactsTo,
            @Nullable Brows brows,
            @Nullable Hair hair) {}

    public record Room(
            @Nullable Double temperatureC,
            @Nullable Double humidityPercent,
            @Nullable Integer dryers) {}

    public record Hands(
            @Nullable String name,
            @Nullable Skill skill,
            @Nullable LocalDateTime from,
            @Nullable LocalDateTime until,
            @Nullable Double factor) {}

    public record Entry(
            @Nullable String id,
            @Nullable String technique,
            @Nullable List<String> zones,
            @Nullable Integer coats,
            @Nullable Integer items,
            @Nullable Strength strength,
            @Nullable Integer coverage,
            @Nullable String over) {}

    public record Purpose(
            @Nullable Seen seen,
            @Nullable Integer lastsHours,
            @Nullable List<String> mustVanish,
            @Nullable Boolean moneyShort,
            @Nullable Integer benchDays) {}

    /** Rest for everybody: the longest stretch of work, a break, and every third one, in minutes. */
    public record Breaks(
            @Nullable Integer everyMinutes,
            @Nullable Integer minutes,
            @Nullable Integer mealMinutes) {}

    /** What is wanted of the order; see {@link app.kemdro.core.look.Wish}. */
    public record Wish(
            @Nullable Kind kind,
            @Nullable String step,
            @Nullable String to,
            @Nullable Integer minutes) {}

    /** When the bench is worked at, and the entries of the look for which nothing has to be made any more. */
    public record Bench(
            @Nullable LocalTime from,
            @Nullable LocalTime until,
            @Nullable Integer hands,
            @Nullable Set<DayOfWeek> off,
            @Nullable Set<String> made) {}

    /** A mix of paints by their names, and the entry of the look that is painted with it. */
    public record Mix(
            @Nullable String name,
            @Nullable String entry,
            @Nullable Map<String, Integer> parts) {}

    /** An order: seconds from chair-in. */
    public record Order(
            @Nullable List<Step> steps,
            @Nullable List<Break> breaks,
            @Nullable Integer ready) {}

    /** A step, whose hands, whose help, in which of its ways, and from when to when. */
    public record Step(
            @Nullable String step,
            @Nullable String hands,
            @Nullable String help,
            @Nullable Integer way,
            @Nullable Integer from,
            @Nullable Integer until) {}

    public record Break(@Nullable Integer from, @Nullable Integer until) {}

    public record Happened(LocalDateTime began, @Nullable LocalDateTime ended, List<ObjectNode> events) {}
}
