package app.kemdro.web.records.stock;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import org.jspecify.annotations.Nullable;

/** What a day in the chair took of one product. */
@Entity
class StockUse {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    private long runId;
    private long jobId;
    private String code = "";
    private String name = "";
    private double packs;
    private String said = "";
    private boolean worn;

    protected StockUse() {}

    /**
     * Takes note of it.
     *
     * @param said how much, in words
     * @param worn whether it was only worn, and is still there
     */
    StockUse(long runId, long jobId, String code, String name, double packs, String said, boolean worn) {
        this.runId = runId;
        this.jobId = jobId;
        this.code = code;
        this.name = name;
        this.packs = packs;
        this.said = said;
        this.worn = worn;
    }

    String code() {
        return code;
    }

    double packs() {
        return packs;
    }

    boolean worn() {
        return worn;
    }

    long runId() {
        return runId;
    }

    /** "Quay acrylic adhesive 12 g". */
    String line() {
        return name + ", " + said;
    }
}
