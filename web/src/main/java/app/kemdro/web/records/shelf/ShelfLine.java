package app.kemdro.web.records.shelf;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;

/** What the shelf shows of a job, as it was when this was written. */
@Entity
class ShelfLine {
    @Id
    private long jobId;

    /** Versions of everything it was made of but the stock; with another, it is made anew. */
    private String madeOf = "";

    private long stock;

    /** From then on something else may stand in the way, because time has passed; empty where nothing changes by itself. */
    private @Nullable LocalDateTime standsUntil;

    private @Nullable LocalDateTime startBy;
    private @Nullable LocalDateTime chairIn;
    private @Nullable LocalDateTime ready;

    @Lob
    private String figure = "";

    @Lob
    private String ribbon = "";

    @Lob
    private String inTheWay = "";

    protected ShelfLine() {}

    ShelfLine(long jobId, String madeOf, long stock, @Nullable LocalDateTime standsUntil, String inTheWay) {
        this.jobId = jobId;
        this.madeOf = madeOf;
        this.stock = stock;
        this.standsUntil = standsUntil;
        this.inTheWay = inTheWay;
    }

    void drawn(String figure, String ribbon) {
        this.figure = figure;
        this.ribbon = ribbon;
    }

    void planned(LocalDateTime startBy, LocalDateTime chairIn, LocalDateTime ready) {
        this.startBy = startBy;
        this.chairIn = chairIn;
        this.ready = ready;
    }

    boolean stands(String madeOfNow, long stockNow, LocalDateTime now) {
        return madeOf.equals(madeOfNow) && stock == stockNow && (standsUntil == null || now.isBefore(standsUntil));
    }

    /** Whether its times and drawings stand; what is in the way of a day that is over is not asked any more. */
    boolean stood(String madeOfNow) {
        return madeOf.equals(madeOfNow);
    }

    @Nullable
    LocalDateTime startBy() {
        return startBy;
    }

    @Nullable
    LocalDateTime chairIn() {
        return chairIn;
    }

    @Nullable
    LocalDateTime ready() {
        return ready;
    }

    String figure() {
        return figure;
    }

    String ribbon() {
        return ribbon;
    }

    String inTheWay() {
        return inTheWay;
    }
}
