package app.kemdro.web.records.school;

import jakarta.persistence.Embeddable;
import jakarta.persistence.EmbeddedId;
import jakarta.persistence.Entity;

/** One artist's own school for one kind of work. */
@Entity
class UsualSchool {
    @EmbeddedId
    private Key key = new Key("", "");

    private String technique = "";

    /** Whose, and for what. */
    @Embeddable
    record Key(String artist, String family) {}

    protected UsualSchool() {}

    UsualSchool(Key key, String technique) {
        this.key = key;
        this.technique = technique;
    }

    String family() {
        return key.family();
    }

    String technique() {
        return technique;
    }
}
