package app.kemdro.core.material;

/**
 * A material that is laid warm and sets as it cools.
 *
 * @param from °C at which it is runny in its pot
 * @param safe °C at which it may touch skin; well under the contact-burn thresholds of ISO 13732-1, because it clings
 * @param gels °C at which it no longer spreads
 * @param firm °C at which it is firm
 * @param thicknessMm mm as it is laid
 * @param heat volumetric heat capacity, MJ/(m³·K)
 */
public record Melt(double from, double safe, double gels, double firm, double thicknessMm, double heat)
        implements Setting {

    @Override
    public Melt times(double factor) {
        return new Melt(from, safe, gels, firm, thicknessMm * factor, heat);
    }

    @Override
    public boolean grabs() {
        return true;
    }
}
