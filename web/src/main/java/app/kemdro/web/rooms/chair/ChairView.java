package app.kemdro.web.rooms.chair;

import app.kemdro.core.method.Trade;
import app.kemdro.web.parts.ribbon.Ribbon;
import app.kemdro.web.records.run.RunNow;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Everything the chair screen shows. Times are epoch milliseconds, so that the device's own clock can count between
 * answers.
 *
 * @param sure when it is ready 9 times of 10
 * @param pace minutes that pass in one; 1 where it is no rehearsal
 * @param trouble what somebody has to see to, or empty
 * @param spare what deserves the minutes that are left over, or empty
 * @param hands what each pair of hands does now and next
 * @param clocks films that are open, the ones to look at first coming first
 * @param zones state of each zone that has one, as a word
 */
record ChairView(
        long now,
        long call,
        String callText,
        long ready,
        String readyText,
        long inHand,
        String inHandText,
        String sure,
        int pace,
        String room,
        String trouble,
        String spare,
        boolean ended,
        boolean allDone,
        boolean onBreak,
        String pauseWhy,
        @Nullable Long breakUntil,
        @Nullable Upcoming rest,
        List<Hands> hands,
        List<Clock> clocks,
        Map<String, String> zones,
        Ribbon ribbon,
        int done,
        int steps) {

    /**
     * One pair of hands, or the performer where a step takes none.
     *
     * @param name as events name them; empty for the performer
     * @param helps what these hands are to help with, or empty
     * @param restDue whether the planned break comes before their next step
     * @param ahead their steps after the one at hand, for a device that is cut off
     * @param driver the device that reports for them, or empty
     */
    record Hands(
            String name,
            String label,
            @Nullable Now running,
            @Nullable Now upcoming,
            @Nullable String waitsFor,
            String helps,
            boolean restDue,
            @Nullable Upcoming next,
            boolean canTakeBack,
            List<Now> ahead,
            String driver) {}

    /**
     * A step at or before hands.
     *
     * @param with who helps, or who does which part; empty where one does it alone
     */
    record Now(
            String step,
            String title,
            String where,
            String look,
            String performer,
            String with,
            List<String> zones,
            List<String> cautions,
            long from,
            long until,
            @Nullable Long closes,
            @Nullable Long doneAt) {}

    /** Something later, in short. */
    record Upcoming(String title, String hour) {}

    /**
     * A drying clock.
     *
     * @param dryer whether the cool dryer may help it
     * @param blown whether it blows at it now
     * @param zones where it lies open
     * @param wanted the step that must begin while it is open, or none
     * @param wantedTitle what that step is
     */
    record Clock(
            String step,
            String where,
            String material,
            String state,
            String look,
            long laid,
            @Nullable Long tacky,
            @Nullable Long closes,
            long clear,
            boolean confirmed,
            boolean dryer,
            boolean blown,
            List<String> zones,
            @Nullable String wanted,
            String wantedTitle) {}

    static ChairView of(RunNow standing, LocalDateTime now, Trade trade) {
        return new ChairViewMaker(standing, now, trade).view();
    }
}
