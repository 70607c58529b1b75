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
        double sorbs)
        implements Setting {

    /** Density of what stays, g/cm³; most dry films of the trade lie near it (judgement). */
    private static final double SOLIDS_DENSITY = 1.1;

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

    @Override
    public boolean grabs() {
        return tacky != null;
    }

    @Override
    public double thicknessMm() {
        return coat * solids / SOLIDS_DENSITY / 1000;
    }

    @Override
    public Film times(double factor) {
        return new Film(carrier, coat * factor, solids, critical, tacky, closes, clear, sorbs);
    }
}
