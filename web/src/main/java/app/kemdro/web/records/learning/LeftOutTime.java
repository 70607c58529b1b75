package app.kemdro.web.records.learning;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;

/** A step or a film that somebody has said not to learn from. */
@Entity
class LeftOutTime {
    @Id
    private String what = "";

    protected LeftOutTime() {}

    LeftOutTime(String what) {
        this.what = what;
    }

    String what() {
        return what;
    }
}
