package app.kemdro.core.material;

/**
 * A thick water-borne body: its water must wander to the surface before it can leave. Moisture is kg of water per kg of dry
 * solids.
 *
 * @param thicknessMm mm as it is laid
 * @param faces faces open to the air, 1 or 2
 * @param diffusivity of water inside, 10⁻⁹ m²/s
 * @param solids dry solids, kg per m³ of wet body
 * @param fresh moisture as it is laid
 * @param clear moisture at which it counts as dry through
 * @param sorbs moisture held in saturated air
 */
public record Bulk(
        double thicknessMm, int faces, double diffusivity, double solids, double fresh, double clear, double sorbs)
        implements Setting {

    @Override
    public Bulk times(double factor) {
        return new Bulk(thicknessMm * factor, faces, diffusivity, solids, fresh, clear, sorbs);
    }

    @Override
    public boolean grabs() {
        return false;
    }
}
