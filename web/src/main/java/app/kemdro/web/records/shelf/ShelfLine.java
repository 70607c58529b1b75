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

    private String build = "";

    /** Versions of the job, of who sits and of what was lifted. */
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

    ShelfLine(
            long jobId, String build, String madeOf, long stock, @Nullable LocalDateTime standsUntil, String inTheWay) {
        this.jobId = jobId;
        this.build = build;
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

    boolean stands(String buildNow, String madeOfNow, long stockNow, LocalDateTime now) {
        return build.equals(buildNow)
                && madeOf.equals(madeOfNow)
                && stock == stockNow
                && (standsUntil == null || now.isBefore(standsUntil));
    }

    /** Whether it still shows a day that is over: as it was planned then, by whatever build; what was in its way is not asked any more. */
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
