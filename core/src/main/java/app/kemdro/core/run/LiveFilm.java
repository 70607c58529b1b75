package app.kemdro.core.run;

import app.kemdro.core.plan.PlannedStep;
import java.time.LocalDateTime;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A film that was laid and has not been worked into since: the clock says when to look, the artist says what is.
 *
 * @param zones zones on which it still lies open
 * @param laid when it was laid
 * @param tacky when it grabs, if it ever does
 * @param closes when it no longer grabs, if so
 * @param clear when to look whether it is clear
 * @param confirmed whether the artist said it is clear
 * @param blown whether the dryer blows at it now
 */
public record LiveFilm(
        PlannedStep step,
        List<String> zones,
        LocalDateTime laid,
        @Nullable LocalDateTime tacky,
        @Nullable LocalDateTime closes,
        LocalDateTime clear,
        boolean confirmed,
        boolean blown) {

    /** Minutes before a window closes in which it is said to be closing. */
    private static final int LAST_MINUTES = 2;

    /** States a film is in, as words and patterns everywhere. */
    public enum State {
        WET,
        TACKY,
        CLOSING,
        DRY
    }

    /** What the clock expects at this time. */
    public State at(LocalDateTime now) {
        if (confirmed || (closes == null && !now.isBefore(clear)) || (closes != null && !now.isBefore(closes))) {
            return State.DRY;
        }
        if (closes != null
                && !now.isBefore(closes.minusMinutes(LAST_MINUTES))
                && tacky != null
                && !now.isBefore(tacky)) {
            return State.CLOSING;
        }
        return tacky != null && !now.isBefore(tacky) ? State.TACKY : State.WET;
    }
}
