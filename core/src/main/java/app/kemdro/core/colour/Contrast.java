package app.kemdro.core.colour;

/**
 * How far apart two colours are, and stay.
 *
 * @param bare as they were painted
 * @param powdered after powder over both
 * @param warm after powder, in the light of a lamp
 */
public record Contrast(double bare, double powdered, double warm) {

    /** Of a highlight and a shadow under a film of powder of this weight; differences are CIEDE2000. */
    public static Contrast of(Reflectance one, Reflectance other, Paint powder, double gramsPerM2) {
        Reflectance a = powder.over(one, gramsPerM2);
        Reflectance b = powder.over(other, gramsPerM2);
        return new Contrast(
                one.lab().difference(other.lab()),
                a.lab().difference(b.lab()),
                a.lab(Light.WARM).difference(b.lab(Light.WARM)));
    }
}
