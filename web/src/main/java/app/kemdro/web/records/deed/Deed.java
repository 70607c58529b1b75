package app.kemdro.web.records.deed;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import java.time.LocalDateTime;
import org.jspecify.annotations.Nullable;

/** Something somebody did that a lead may have to know of later. It is written once and never changed. */
@Entity
public class Deed {
    /** What it was done to. */
    public enum About {
        ACCOUNT("accounts"),
        HEALTH("health"),
        BLOCK("blocks"),
        BACKUP("backups");

        private final String says;

        About(String says) {
            this.says = says;
        }

        public String says() {
            return says;
        }
    }

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private @Nullable Long id;

    private LocalDateTime doneAt = LocalDateTime.MIN;

    @Enumerated(EnumType.STRING)
    private About about = About.ACCOUNT;

    private String who = "";
    private String what = "";

    protected Deed() {}

    Deed(LocalDateTime doneAt, About about, String who, String what) {
        this.doneAt = doneAt;
        this.about = about;
        this.who = who;
        this.what = what;
    }

    public LocalDateTime doneAt() {
        return doneAt;
    }

    /** The account that did it, or "nobody" where nobody was signed in. */
    public String who() {
        return who;
    }

    /** What was done, in words; nothing of anybody's health stands in it, and no password. */
    public String what() {
        return what;
    }
}
