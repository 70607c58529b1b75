package app.kemdro.web.records.product;

import app.kemdro.core.material.Film;
import app.kemdro.core.material.Setting;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Version;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/** A product of a family of materials, as it stands in the box. */
@Entity
public class Product {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    @Version
    private long version;

    private String code = "";
    private String name = "";
    private String family = "";
    private String supplier = "";
    private double packSize;
    private String packUnit = "";
    private double price;
    private @Nullable LocalDate opened;
    private int monthsAfterOpening;
    private @Nullable LocalDate expires;
    private double packs;
    private @Nullable Double solids;
    private @Nullable Double coat;
    private String note = "";
    private boolean retired;
    private int wears;

    protected Product() {}

    Product(ProductValues values) {
        take(values);
    }

    /** Takes over everything but the code, which stays. */
    final void take(ProductValues values) {
        code = values.code();
        name = values.name();
        family = values.family();
        supplier = values.supplier();
        packSize = values.packSize();
        packUnit = values.packUnit();
        price = values.price();
        opened = values.opened();
        monthsAfterOpening = values.monthsAfterOpening();
        expires = values.expires();
        packs = values.packs();
        solids = values.solids();
        coat = values.coat();
        note = values.note();
        retired = values.retired();
    }

    /** Everything the house knows of it. */
    public ProductValues values() {
        return new ProductValues(
                code,
                name,
                family,
                supplier,
                packSize,
                packUnit,
                price,
                opened,
                monthsAfterOpening,
                expires,
                packs,
                solids,
                coat,
                note,
                retired);
    }

    /** How often it was worn, for what is worn again. */
    public int wears() {
        return wears;
    }

    public String name() {
        return name;
    }

    /** Takes so many packs of the stock, or puts them back where the number is below 0; never below none. */
    void use(double less) {
        packs = Math.max(0, Math.round((packs - less) * 1000) / 1000.0);
    }

    void wear(int more) {
        wears = Math.max(0, wears + more);
    }

    public String code() {
        return code;
    }

    public String family() {
        return family;
    }

    /** The day after which it is no longer used: its own date, or so many months after it was opened. */
    public @Nullable LocalDate goodUntil() {
        LocalDate afterOpening =
                opened == null || monthsAfterOpening == 0 ? null : opened.plusMonths(monthsAfterOpening);
        if (expires == null || afterOpening == null) {
            return expires == null ? afterOpening : expires;
        }
        return expires.isBefore(afterOpening) ? expires : afterOpening;
    }

    /** The family's way of setting with this product's own numbers, where its label gives any. */
    public Setting setting(Setting ofFamily) {
        if (ofFamily instanceof Film f && (solids != null || coat != null)) {
            return new Film(
                    f.carrier(),
                    coat == null ? f.coat() : coat,
                    solids == null ? f.solids() : solids,
                    f.critical(),
                    f.tacky(),
                    f.closes(),
                    f.clear(),
                    f.sorbs());
        }
        return ofFamily;
    }
}
