package app.kemdro.web.records.start;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.Lob;
import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;

/** A look as a file, under a name. */
@Entity
class StartLook {
    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    private String name = "";
    private LocalDateTime keptAt = LocalDateTime.MIN;
    private int techniques;

    @Lob
    private String file = "";

    private boolean setAside;

    protected StartLook() {}

    StartLook(String name, LocalDateTime keptAt, int techniques, String file) {
        this.name = name;
        this.keptAt = keptAt;
        this.techniques = techniques;
        this.file = file;
    }

    String file() {
        return file;
    }

    void setAside(boolean is) {
        setAside = is;
    }
}
