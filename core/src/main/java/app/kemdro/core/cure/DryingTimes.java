package app.kemdro.core.cure;

import java.util.OptionalDouble;

/**
 * When a film changes, in seconds after it was laid. Likely times: the clock says when to look, the artist's eye decides.
 *
 * @param tacky when it grabs; empty where it never does, or never in this room
 * @param closes when it no longer grabs; empty where it grabs until powdered
 * @param clear when it is clear or dry to the touch; empty where this room never lets it
 */
public record DryingTimes(OptionalDouble tacky, OptionalDouble closes, OptionalDouble clear) {

    /** Everything so many times as late. */
    public DryingTimes times(double factor) {
        return factor == 1 ? this : new DryingTimes(by(tacky, factor), by(closes, factor), by(clear, factor));
    }

    private static OptionalDouble by(OptionalDouble time, double factor) {
        return time.isPresent() ? OptionalDouble.of(time.getAsDouble() * factor) : time;
    }
}
