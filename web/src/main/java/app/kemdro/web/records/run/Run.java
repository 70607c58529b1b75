package app.kemdro.web.records.run;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import java.time.Duration;
import java.time.LocalDateTime;
import org.hibernate.annotations.DynamicUpdate;
import org.jspecify.annotations.Nullable;

/** One morning in the chair. */
@Entity
@DynamicUpdate
public class Run {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    private long jobId;
    private LocalDateTime beganAt = LocalDateTime.MIN;
    private LocalDateTime callAt = LocalDateTime.MIN;
    private @Nullable LocalDateTime endedAt;

    /** Look, brief and schedule as they were when it began, as JSON. */
    @Lob
    private String look = "";

    @Lob
    private String brief = "";

    @Lob
    private String planned = "";

    /** The schedule people have in mind now, as JSON. */
    @Lob
    private String standing = "";

    /** Minutes that pass in one in a rehearsal; 0 where it is none. */
    private int pace;

    private @Nullable LocalDateTime anchorReal;
    private @Nullable LocalDateTime anchorTime;
    private String trouble = "";
    private @Nullable Long performerId;

    protected Run() {}

    Run(long jobId, LocalDateTime beganAt, LocalDateTime callAt, String look, String brief, String planned) {
        this.jobId = jobId;
        this.beganAt = beganAt;
        this.callAt = callAt;
        this.look = look;
        this.brief = brief;
        this.planned = planned;
        this.standing = planned;
    }

    public long id() {
        if (id == null) {
            throw new IllegalStateException("The run is not stored yet");
        }
        return id;
    }

    void satBy(long performer) {
        this.performerId = performer;
    }

    public long jobId() {
        return jobId;
    }

    public LocalDateTime beganAt() {
        return beganAt;
    }

    /** The call it works towards. */
    public LocalDateTime callAt() {
        return callAt;
    }

    public @Nullable LocalDateTime endedAt() {
        return endedAt;
    }

    /** Says no longer who sat, or how they are. */
    void forget(String newBrief) {
        this.brief = newBrief;
    }

    String look() {
        return look;
    }

    String brief() {
        return brief;
    }

    String planned() {
        return planned;
    }

    String standing() {
        return standing;
    }

    /** Takes over the schedule people have in mind now, and what keeps it from being kept. */
    void stand(String schedule, String whatIsMissing) {
        this.standing = schedule;
        this.trouble = whatIsMissing;
    }

    String trouble() {
        return trouble;
    }

    /** Whether it runs on a clock of its own. */
    public boolean isRehearsal() {
        return pace > 0;
    }

    public int pace() {
        return pace;
    }

    /** From now on its own clock runs at this pace. */
    public void pace(LocalDateTime real, LocalDateTime time, int minutesInOne) {
        this.anchorReal = real;
        this.anchorTime = time;
        this.pace = minutesInOne;
    }

    /** What its clock says when the world's says this. */
    LocalDateTime time(LocalDateTime real) {
        if (pace == 0 || anchorReal == null || anchorTime == null) {
            return real;
        }
        return anchorTime.plus(Duration.between(anchorReal, real).multipliedBy(pace));
    }

    void end(LocalDateTime at) {
        this.endedAt = at;
    }
}
