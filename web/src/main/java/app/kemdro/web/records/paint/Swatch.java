package app.kemdro.web.records.paint;

import app.kemdro.core.colour.Lab;
import app.kemdro.core.colour.Paint;
import app.kemdro.core.colour.Reflectance;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import org.jspecify.annotations.Nullable;

/** A paint of the house as its film looks over the white and the black half of a card. */
@Entity
public class Swatch {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Version
    private long version;

    private String name = "";
    private String family = "";
    private double whiteLightness;
    private double whiteGreenRed;
    private double whiteBlueYellow;
    private @Nullable Double blackLightness;
    private @Nullable Double blackGreenRed;
    private @Nullable Double blackBlueYellow;
    private double grams;
    private boolean shimmers;

    protected Swatch() {}

    Swatch(SwatchValues values) {
        take(values);
    }

    final void take(SwatchValues values) {
        name = values.name();
        family = values.family();
        whiteLightness = values.white().l();
        whiteGreenRed = values.white().a();
        whiteBlueYellow = values.white().b();
        Lab black = values.black();
        blackLightness = black == null ? null : black.l();
        blackGreenRed = black == null ? null : black.a();
        blackBlueYellow = black == null ? null : black.b();
        grams = values.grams();
        shimmers = values.shimmers();
    }

    public long id() {
        return id == null ? 0 : id;
    }

    long version() {
        return version;
    }

    public String name() {
        return name;
    }

    public SwatchValues values() {
        return new SwatchValues(
                name,
                family,
                new Lab(whiteLightness, whiteGreenRed, whiteBlueYellow),
                blackLightness == null || blackGreenRed == null || blackBlueYellow == null
                        ? null
                        : new Lab(blackLightness, blackGreenRed, blackBlueYellow),
                grams,
                shimmers);
    }

    /** The paint it shows; without a film over black it counts as hiding fully. */
    Paint paint() {
        SwatchValues v = values();
        return v.black() == null
                ? Paint.opaque(Reflectance.of(v.white()), grams)
                : Paint.fromSwatches(Reflectance.of(v.white()), Reflectance.of(v.black()), grams);
    }
}
