package app.kemdro.web.records.jobfile;

import app.kemdro.core.look.Brief.Brows;
import app.kemdro.core.look.Brief.Hair;
import app.kemdro.core.look.Brief.Seen;
import app.kemdro.core.look.Brief.Skill;
import app.kemdro.core.look.LookEntry.Strength;
import app.kemdro.core.look.Wish.Kind;
import app.kemdro.core.plan.LookPlanner;
import app.kemdro.web.parts.figure.FigureView;
import app.kemdro.web.records.reference.Reference;
import app.kemdro.web.records.reference.References;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
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
 * @param allowed skin that is meant to stay bare, minutes that a calmer order may cost, and schools of order
 * @param paints what the mixes need, by the columns of the table of paints
 * @param pictures what the character shall look like; those on which the performer is to be known only where health is told too
 * @param order the order it was planned in, so that whoever takes it in has the same; left aside where it does not fit
 * @param runs what happened, written on export and left aside on import
 */
public record JobFile(
        @Nullable String format,
        @Nullable Integer version,
        @Nullable @Text(max = 80) String title,
        @Nullable @Size(max = 80) String production,
        @Nullable @Size(max = 600) String idea,
        @Nullable @NotNull @Valid Performer performer,
        @Nullable @NotNull LocalDateTime call,
        @Nullable LocalDateTime chairIn,
        @Nullable @NotNull @Valid Room room,
        @Nullable @NotNull List<@NotNull @Valid Hands> crew,
        @Nullable List<String> costumeCovers,
        @Nullable Integer costumeMinutes,
        @Nullable Boolean selfApplied,
        @Nullable Purpose purpose,
        @Nullable @Valid Breaks breaks,
        @Nullable @Valid Allowed allowed,
        @Nullable @Size(max = LookPlanner.MOST_ENTRIES) List<@NotNull @Valid Entry> look,
        @Nullable @Size(max = MOST_WISHES) List<@NotNull @Valid Wish> wishes,
        @Nullable Bench bench,

        @Nullable @Size(max = MOST_OWN)
        Map<
                        @Text(max = 140) String,
                        @NotNull @DecimalMin(value = QUICKEST, message = PACE)
                        @DecimalMax(value = SLOWEST, message = PACE) Double>
                ownTimes,

        @Nullable List<@NotNull @Valid Mix> mixes,
        @Nullable List<@NotNull Map<String, @NotNull String>> paints,
        @Nullable @Size(max = References.MOST) List<@NotNull @Valid Picture> pictures,
        @Nullable @Valid Order order,
        @Nullable List<Happened> runs) {
    public static final String FORMAT = "kemdro-job";
    public static final int VERSION = 2;
    static final int OLDEST = 1;

    private static final int MOST_STEPS = 3000;
    private static final int MOST_WAYS = 20;
    private static final int LONGEST = 3 * 24 * 3600;
    private static final int MOST_OWN = 500;
    private static final int MOST_WISHES = 60;
    private static final String QUICKEST = "" + app.kemdro.core.look.Brief.Hands.QUICKEST;
    private static final String SLOWEST = "" + app.kemdro.core.look.Brief.Hands.SLOWEST;
    private static final String PACE = "times as long as usual; " + QUICKEST + " to " + SLOWEST + " can be meant.";
    private static final String SECOND = "is no second of a day in the chair.";
    private static final String WAY = "is no way in which a step is done.";

    public record Performer(
            @Nullable @Text(max = 80) String name,
            @Nullable Integer heightCm,
            @Nullable Integer weightKg,
            @Nullable Double headCm,
            @Nullable List<String> reactsTo,
            @Nullable Brows brows,
            @Nullable Hair hair,
            @Nullable List<String> fineHair) {}

    public record Room(
            @Nullable @NotNull Double temperatureC,
            @Nullable @NotNull Double humidityPercent,
            @Nullable Integer dryers) {}

    public record Hands(
            @Nullable @Text(max = 40) String name,
            @Nullable @NotNull Skill skill,
            @Nullable @NotNull LocalDateTime from,
            @Nullable @NotNull LocalDateTime until,

            @Nullable @DecimalMin(value = QUICKEST, message = PACE) @DecimalMax(value = SLOWEST, message = PACE)
            Double factor) {}

    public record Entry(
            @Nullable @Text(max = 60) String id,
            @Nullable @Text(max = 60) String technique,
            @Nullable @NotNull List<String> zones,
            @Nullable Integer coats,
            @Nullable Integer items,
            @Nullable Strength strength,
            @Nullable Integer coverage,
            @Nullable @Size(max = 80) String over) {}

    public record Purpose(
            @Nullable Seen seen,
            @Nullable Integer lastsHours,
            @Nullable List<String> mustVanish,
            @Nullable Boolean moneyShort,
            @Nullable Integer benchDays) {}

    /** What the artist allows. */
    public record Allowed(
            @Nullable List<String> bare,

            @Nullable @Min(0) @Max(app.kemdro.core.look.Brief.Allowed.MOST_MINUTES)
            Integer minutes,

            @Nullable Map<String, String> schools) {}

    /** Rest for everybody: the longest stretch of work, a break, and every third one, in minutes. */
    public record Breaks(
            @Nullable @NotNull Integer everyMinutes,
            @Nullable @NotNull Integer minutes,
            @Nullable Integer mealMinutes) {}

    /** What is wanted of the order; see {@link app.kemdro.core.look.Wish}. */
    public record Wish(
            @Nullable @NotNull Kind kind,
            @Nullable @Text(max = 200) String step,
            @Nullable @Size(max = 200) String to,
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
            @Nullable @Text(max = 80) String name,
            @Nullable @Size(max = 200) String entry,
            @Nullable @NotNull Map<String, Integer> parts) {}

    /**
     * A picture of what the character shall look like.
     *
     * @param seenFrom one of {@link FigureView}'s keys, or none
     * @param frame what is shown of it: from the left, from the top, width and height, as shares of the whole
     * @param image JPEG or PNG, base64
     */
    public record Picture(
            @Nullable @Size(max = Reference.LONGEST_NOTE) String note,
            @Nullable String seenFrom,
            @Nullable List<@NotNull String> zones,
            @Nullable @Size(max = 4) List<@NotNull Double> frame,
            @Nullable Boolean ofPerformer,
            @Nullable @Size(max = Reference.MOST_MARKS) List<@NotNull @Valid Mark> marks,
            byte @Nullable @NotNull [] image) {}

    /** A place on a picture, as shares of its width and height, and the colour it has there. */
    public record Mark(
            @Nullable @NotNull @DecimalMin("0") @DecimalMax("1")
            Double fromLeft,

            @Nullable @NotNull @DecimalMin("0") @DecimalMax("1")
            Double fromTop,

            @Nullable @NotNull String colour,

            @Nullable @Size(max = Reference.Mark.LONGEST_NOTE)
            String note) {}

    /** An order: seconds from chair-in. */
    public record Order(
            @Nullable @NotNull @Size(max = MOST_STEPS) List<@NotNull @Valid Step> steps,
            @Nullable @Size(max = MOST_STEPS) List<@NotNull @Valid Break> breaks,

            @Nullable @NotNull @Min(value = 0, message = SECOND) @Max(value = LONGEST, message = SECOND)
            Integer ready) {}

    /** A step, whose hands, whose help, in which of its ways, and from when to when. */
    public record Step(
            @Nullable @Text(max = 200) String step,
            @Nullable String hands,
            @Nullable String help,

            @Nullable @Min(value = 0, message = WAY) @Max(value = MOST_WAYS, message = WAY)
            Integer way,

            @Nullable @NotNull @Min(value = 0, message = SECOND) @Max(value = LONGEST, message = SECOND)
            Integer from,

            @Nullable @NotNull @Min(value = 0, message = SECOND) @Max(value = LONGEST, message = SECOND)
            Integer until) {}

    public record Break(
            @Nullable @NotNull @Min(value = 0, message = SECOND) @Max(value = LONGEST, message = SECOND)
            Integer from,

            @Nullable @NotNull @Min(value = 0, message = SECOND) @Max(value = LONGEST, message = SECOND)
            Integer until) {}

    public record Happened(LocalDateTime began, @Nullable LocalDateTime ended, List<ObjectNode> events) {}
}
