package app.kemdro.web.records.reference;

import app.kemdro.web.parts.figure.FigureView;
import app.kemdro.web.parts.picture.Frame;
import app.kemdro.web.records.performer.Joined;
import jakarta.persistence.CollectionTable;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Embeddable;
import jakarta.persistence.Embedded;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.OrderColumn;
import jakarta.persistence.Table;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/** A picture of what a character shall look like, without the picture itself. */
@Entity
@Table(name = "reference")
public class Reference {
    public static final int LONGEST_NOTE = 600;
    public static final int MOST_MARKS = 30;

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    private long jobId;
    private LocalDateTime addedAt = LocalDateTime.MIN;
    private String note = "";

    @Enumerated(EnumType.STRING)
    private @Nullable FigureView seenFrom;

    private String zones = "";
    private int width;
    private int height;

    @Embedded
    private Frame frame = Frame.WHOLE;

    private boolean ofPerformer;
    private boolean setAside;

    @ElementCollection(fetch = FetchType.EAGER)
    @CollectionTable(name = "reference_mark", joinColumns = @JoinColumn(name = "reference_id"))
    @OrderColumn(name = "position")
    private List<Mark> marks = new ArrayList<>();

    protected Reference() {}

    Reference(long jobId, LocalDateTime addedAt, int width, int height) {
        this.jobId = jobId;
        this.addedAt = addedAt;
        this.width = width;
        this.height = height;
    }

    /**
     * A place on a picture.
     *
     * @param fromLeft from the left of the whole picture, 0 to 1
     * @param fromTop from its top, 0 to 1
     * @param colour what colour it has there, "#a05c30"
     * @param note what is to be seen there, or empty
     */
    @Embeddable
    public record Mark(double fromLeft, double fromTop, String colour, String note) {
        public static final int LONGEST_NOTE = 200;
    }

    public long id() {
        return id == null ? 0 : id;
    }

    public String note() {
        return note;
    }

    public Optional<FigureView> seenFrom() {
        return Optional.ofNullable(seenFrom);
    }

    /** Zones it is pinned to; none where it is about all of them. */
    public Set<String> zones() {
        return Joined.split(zones);
    }

    public Frame frame() {
        return frame;
    }

    /** Width of what is shown, pixels. */
    public int shownWidth() {
        return Math.max(1, (int) Math.round(width * frame.wide()));
    }

    /** Height of what is shown, pixels. */
    public int shownHeight() {
        return Math.max(1, (int) Math.round(height * frame.high()));
    }

    /** Whether the performer is to be known on it. */
    public boolean isOfPerformer() {
        return ofPerformer;
    }

    public List<Mark> marks() {
        return List.copyOf(marks);
    }

    void say(String other, @Nullable FigureView from, boolean performer) {
        note = other;
        seenFrom = from;
        ofPerformer = performer;
    }

    void pin(Set<String> to) {
        zones = Joined.join(to);
    }

    void show(Frame other) {
        frame = other;
    }

    void mark(List<Mark> other) {
        marks.clear();
        marks.addAll(other);
    }

    void setAside(boolean is) {
        setAside = is;
    }

    boolean isSetAside() {
        return setAside;
    }
}
