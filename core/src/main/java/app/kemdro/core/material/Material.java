package app.kemdro.core.material;

import app.kemdro.core.body.Place;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * A family of products.
 *
 * @param kind shelf of the trade it stands on, as in "adhesive"
 * @param roles what has to be known of whatever stands on that shelf
 * @param nature what it is while it is laid, a word of layers.yaml; empty for what leaves no layer
 * @param surface what it offers to whatever is laid on it, a word of layers.yaml
 * @param drawn pattern in which its layer is drawn
 * @param setting how it comes to rest, or none for what rests at once
 * @param load g/m² of one normal coat of what has no film, 0 where that follows from what it is
 * @param each whether it is counted in things, as a nail's tab is, and not weighed
 * @param places surfaces of the body it may lie on; empty for the bench and for pieces off the body
 * @param seals whether no vapour passes through it, so that nothing below it can dry
 * @param strips surfaces that it takes off again, for a cleaner
 * @param degreases whether it leaves skin that glue takes to
 * @param tackyTest what shows that it may be used, empty where there is nothing to see
 * @param lookFor what shows that it is clear or dry, empty where there is nothing to see
 * @param remover how it comes off, in words
 * @param removedBy families that take it off
 * @param soakMinutes how long the remover works before it is lifted
 * @param contains families of reaction that bar it for a performer
 * @param ruins tools and cloth it ruins
 * @param pricePer100g reference price, €, until a product in the house says otherwise (judgement)
 * @param because why it is used
 */
public record Material(
        String id,
        String name,
        String kind,
        Set<MaterialRole> roles,
        String nature,
        String surface,
        String drawn,
        @Nullable Setting setting,
        double load,
        boolean each,
        Set<Place> places,
        boolean seals,
        Set<String> strips,
        boolean degreases,
        String tackyTest,
        String lookFor,
        String remover,
        List<String> removedBy,
        int soakMinutes,
        Set<String> contains,
        List<String> ruins,
        List<String> cautions,
        double pricePer100g,
        String because) {

    private static final double GREASE_MM = 0.05;
    private static final double DUST_MM = 0.02;
    private static final double CM2_IN_M2 = 10_000;

    public boolean is(MaterialRole role) {
        return roles.contains(role);
    }

    /** Whether it leaves a layer. */
    public boolean isLayer() {
        return !nature.isEmpty();
    }

    /** Whether it is a form made beforehand, whose thickness its technique says. */
    public boolean isForm() {
        return setting == null && is(MaterialRole.FORM);
    }

    /** Thickness of what one normal coat leaves, mm; dust counts as a fiftieth (judgement). */
    public double thicknessMm() {
        if (setting != null) {
            return setting.thicknessMm();
        }
        return isForm() ? 1 : is(MaterialRole.PAINT) ? GREASE_MM : DUST_MM;
    }

    /**
     * Grams laid on a square centimetre in one coat. What says its load has that. Creams count 2 mg/cm², the thin even
     * film of ISO 24444 (from memory); dust 0.3 mg/cm² (judgement).
     */
    public double gramsPerCm2() {
        if (load > 0) {
            return load / CM2_IN_M2;
        }
        if (setting instanceof Film film) {
            return film.coat() / CM2_IN_M2;
        }
        return setting == null ? is(MaterialRole.PAINT) ? 0.002 : 0.0003 : setting.thicknessMm() / 10 * 1.1;
    }
}
