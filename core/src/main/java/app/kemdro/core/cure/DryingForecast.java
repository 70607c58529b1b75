package app.kemdro.core.cure;

import app.kemdro.core.climate.Blow;
import app.kemdro.core.climate.Evaporation.Ground;
import app.kemdro.core.climate.HumidAir;
import app.kemdro.core.material.Bulk;
import app.kemdro.core.material.Film;
import app.kemdro.core.material.Melt;
import app.kemdro.core.material.Setting;
import java.util.OptionalDouble;

/**
 * What a drying card says: when to look, how sure that is, what a dryer saves, and why.
 *
 * @param tacky when it may be used
 * @param closes when it no longer may
 * @param clear when it is at rest
 * @param savedByCool seconds a dryer on cool saves until it is at rest, empty where it never comes to rest
 * @param savedByWarm the same on warm
 * @param because the reason in words
 */
public record DryingForecast(
        Moment tacky,
        Moment closes,
        Moment clear,
        OptionalDouble savedByCool,
        OptionalDouble savedByWarm,
        String because) {

    /** Spread of drying times on the log scale: coats are never even (judgement, until the house has learnt its own). */
    private static final double SPREAD = 0.22;

    /** Nine of ten lie within this many spreads on either side. */
    private static final double NINETY = 1.645;

    /** A moment with its two-sided band in which nine of ten lie, seconds; all empty where it never comes. */
    public record Moment(OptionalDouble early, OptionalDouble likely, OptionalDouble late) {
        static Moment of(OptionalDouble likely) {
            if (likely.isEmpty()) {
                return new Moment(likely, likely, likely);
            }
            double factor = Math.exp(SPREAD * NINETY);
            double at = likely.getAsDouble();
            return new Moment(OptionalDouble.of(at / factor), likely, OptionalDouble.of(at * factor));
        }
    }

    /** The forecast for this room and ground under this air. */
    public static DryingForecast of(Setting setting, HumidAir room, Ground ground, Blow blow) {
        DryingTimes now = Drying.of(setting, room, ground, blow);
        DryingTimes still = Drying.of(setting, room, ground, Blow.STILL);
        return new DryingForecast(
                Moment.of(now.tacky()),
                Moment.of(now.closes()),
                Moment.of(now.clear()),
                saved(still, Drying.of(setting, room, ground, Blow.COOL)),
                saved(still, Drying.of(setting, room, ground, Blow.WARM)),
                because(setting, room, now));
    }

    private static OptionalDouble saved(DryingTimes still, DryingTimes blown) {
        return still.clear().isPresent() && blown.clear().isPresent()
                ? OptionalDouble.of(still.clear().getAsDouble() - blown.clear().getAsDouble())
                : OptionalDouble.empty();
    }

    private static String because(Setting setting, HumidAir room, DryingTimes times) {
        String air = "%.0f °C and %.0f %%".formatted(room.temperatureC(), room.relativeHumidity() * 100);
        if (times.clear().isEmpty()) {
            return setting instanceof Melt
                    ? "It never gets firm on this ground: that is warmer than the temperature at which it sets."
                    : "At " + air + " the air gives back more than it takes: it never dries here.";
        }
        if (setting instanceof Film film) {
            return film.carrier() == Film.Carrier.WATER
                    ? "Water leaves a thin film through its surface; at " + air
                            + " the air takes it, and skin warms it from below. Damp air slows it, moving air helps."
                    : "Solvent leaves a thin film by itself; the room's humidity hardly matters, warmth and moving air do.";
        }
        if (setting instanceof Bulk bulk) {
            return "%.0f mm thick: water must wander up from inside first. Twice as thick takes four times as long, and a dryer helps little."
                    .formatted(bulk.thicknessMm());
        }
        return setting instanceof Melt melt
                ? "It is runny at %.0f °C, may touch skin under %.0f °C, no longer spreads at %.0f °C. A thin layer cools fast."
                        .formatted(melt.from(), melt.safe(), melt.gels())
                : "Its parts react: it can be worked until the pot life ends; ten degrees more halve both times.";
    }
}
