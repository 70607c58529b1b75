package app.kemdro.web.parts.words;

import app.kemdro.core.hour.Wall;
import app.kemdro.core.look.Brief;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.schedule.Confidence;
import app.kemdro.core.schedule.ScheduledTask;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Times and changes as they are said. */
public final class Words {
    private static final int SHOWN = 3;

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEEE d MMMM", Locale.ENGLISH);

    private Words() {}

    /** 07:41; a part of a minute counts as begun. */
    public static String hour(LocalDateTime time) {
        return Wall.hour(time);
    }

    public static String day(LocalDateTime time) {
        return DAY.format(Wall.at(time));
    }

    /** A time that is still to come, said no earlier than it is: 07:40:10 is 07:41. */
    public static String ready(LocalDateTime time) {
        return hour(time.getSecond() == 0 ? time : time.plusMinutes(1));
    }

    /** Whole minutes between ready and call, rounded against us. */
    public static long minutesInHand(Plan plan) {
        return Math.floorDiv(plan.inHand(), 60);
    }

    /** "4 min in hand" or "13 min late". */
    public static String inHand(long minutes) {
        return minutes >= 0 ? span(minutes) + " in hand" : span(-minutes) + " late";
    }

    /** "47 min", "1 h 50". */
    public static String span(long minutes) {
        return minutes < 100 ? minutes + " min" : minutes / 60 + " h " + "%02d".formatted(minutes % 60);
    }

    /** "+6 min", "−3 min", "same time". */
    public static String change(long minutes) {
        if (minutes == 0) {
            return "same time";
        }
        return (minutes > 0 ? "+" : "−") + span(Math.abs(minutes));
    }

    /**
     * What a change did to the plan: "+6 min: ready 07:41, 4 min in hand."
     *
     * @param again whether there was a plan some time before
     */
    public static String changed(Optional<Plan> before, Optional<Plan> after, boolean again) {
        if (after.isEmpty()) {
            return before.isPresent() ? "No plan: see below." : "";
        }
        Plan now = after.get();
        String said = "ready " + ready(now.ready()) + ", " + inHand(minutesInHand(now)) + ".";
        if (before.isEmpty()) {
            return (again ? "Planned again: " : "First plan: ") + said;
        }
        long minutes =
                Math.round((now.schedule().ready() - before.get().schedule().ready()) / 60.0);
        boolean moved = !now.chairIn().equals(before.get().chairIn());
        String from = moved ? " Chair-in is now " + hour(now.chairIn()) + "." : "";
        return (minutes == 0 ? "No change" : change(minutes)) + although(minutes, work(now) - work(before.get())) + ": "
                + said + from;
    }

    /** "4 min later", "12 min sooner" or "same time", of seconds by which it is later. */
    public static String later(int seconds) {
        long minutes = Math.round(seconds / 60.0);
        return minutes == 0 ? "same time" : span(Math.abs(minutes)) + (minutes > 0 ? " later" : " sooner");
    }

    /** More work and ready sooner would be taken for a mistake if the reason were not said. */
    private static String although(long minutes, long moreWork) {
        return minutes < 0 && moreWork > 0 ? " with " + span(moreWork) + " more work, in a better order" : "";
    }

    private static long work(Plan plan) {
        return Math.round(plan.schedule().placed().stream()
                        .filter(p -> p.worker() != null)
                        .mapToInt(p -> (p.end()
                                        - p.start()
                                        - plan.network()
                                                .task(p.task())
                                                .way(p.mode())
                                                .tool())
                                * (p.helper() == null ? 1 : 2))
                        .sum()
                / 60.0);
    }

    /** "Thursday 26 November, 21:10". */
    public static String moment(LocalDateTime at) {
        return day(at) + ", " + hour(at);
    }

    /** "21 °C, 45 % humidity". */
    public static String air(Brief.Room room) {
        return "%.0f °C, %.0f %% humidity".formatted(room.temperatureC(), room.humidityPercent());
    }

    /** Who does it: "Ines", "Ines with Pell", or the performer where it takes nobody's hands. */
    public static String hands(ScheduledTask placed) {
        if (placed.worker() == null) {
            return "performer";
        }
        return placed.helper() == null ? placed.worker() : placed.worker() + " with " + placed.helper();
    }

    /** "4.2 g" or "18 g". */
    public static String grams(double grams) {
        return grams < 10 ? String.format(Locale.ROOT, "%.1f g", grams) : Math.round(grams) + " g";
    }

    /** "9 times of 10 by 07:50; chair-in 04:55 makes the call." */
    public static String nineOfTen(Plan plan, Confidence confidence) {
        int by = confidence.by(0.9);
        return "9 times of 10 by " + ready(plan.clock(by)) + "; chair-in " + hour(startBySure(plan, confidence))
                + " makes the call.";
    }

    /** The latest five-minute mark from which 9 of 10 mornings make the call. */
    public static LocalDateTime startBySure(Plan plan, Confidence confidence) {
        return startBy(plan, confidence, 0.9);
    }

    /** The latest five-minute mark from which this share of mornings makes the call. */
    public static LocalDateTime startBy(Plan plan, Confidence confidence, double share) {
        LocalDateTime at = plan.brief().call().minusSeconds(confidence.by(share));
        LocalDateTime minute = at.withSecond(0).withNano(0);
        return minute.minusMinutes(minute.getMinute() % 5);
    }

    /** The first few of many, and how many there are besides. */
    public static String few(List<String> all) {
        int shown = all.size() <= SHOWN + 1 ? all.size() : SHOWN;
        String said = String.join("; ", all.subList(0, shown));
        return shown == all.size() ? said : said + "; and " + (all.size() - shown) + " more";
    }
}
