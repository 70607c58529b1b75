package app.kemdro.core.material;

import org.jspecify.annotations.Nullable;

/**
 * A coat as it is laid, and the moistures at which it changes. Moisture is kg of liquid per kg of dry solids.
 *
 * @param carrier what it loses
 * @param coat one normal coat, g/m² wet
 * @param solids share that stays, above 0 and below 1
 * @param critical moisture below which drying slows
 * @param tacky moisture at which it grabs, or none
 * @param closes moisture at which it no longer grabs, or none
 * @param clear moisture at which it is clear or dry to the touch
 * @param sorbs moisture held in saturated air
 */
public record Film(
        Carrier carrier,
        double coat,
        double solids,
        double critical,
        @Nullable Double tacky,
        @Nullable Double closes,
        double clear,
        double sorbs) {

    /** What a film loses while it dries. */
    public enum Carrier {
        WATER,
        ETHANOL,
        ISOPROPANOL,
        HEXAMETHYLDISILOXANE
    }

    /** Moisture of the fresh coat, kg per kg of solids. */
    public double fresh() {
        return (1 - solids) / solids;
    }

    /** The same film laid thicker or thinner. */
    public Film coatTimes(double factor) {
        return new Film(carrier, coat * factor, solids, critical, tacky, closes, clear, sorbs);
    }
}
