package app.kemdro.web.records.paint;

import jakarta.persistence.CollectionTable;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Embeddable;
import jakarta.persistence.Entity;
import jakarta.persistence.FetchType;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.OrderColumn;
import jakarta.persistence.Table;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** A mix that is kept with a job. */
@Entity
@Table(name = "recipe")
public class KeptRecipe {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    private long jobId;
    private String name = "";
    private String entry = "";

    @ElementCollection(fetch = FetchType.EAGER)
    @CollectionTable(name = "recipe_part", joinColumns = @JoinColumn(name = "recipe_id"))
    @OrderColumn(name = "position")
    private List<Part> parts = new ArrayList<>();

    protected KeptRecipe() {}

    public KeptRecipe(long jobId, String name, String entry, List<Part> parts) {
        this.jobId = jobId;
        this.name = name;
        this.entry = entry;
        this.parts = new ArrayList<>(parts);
    }

    /** So many parts of a paint, by the paint's name. */
    @Embeddable
    public record Part(String paint, int parts) {}

    public long id() {
        return id == null ? 0 : id;
    }

    long jobId() {
        return jobId;
    }

    public String name() {
        return name;
    }

    /** The entry of the look that is painted with it, or empty. */
    public String entry() {
        return entry;
    }

    public List<Part> parts() {
        return List.copyOf(parts);
    }

    /** "Ochre 3, umber 1". */
    public String said() {
        return parts.stream()
                .map(p -> p.paint() + " " + p.parts())
                .reduce((a, b) -> a + ", " + b)
                .orElse("");
    }
}
