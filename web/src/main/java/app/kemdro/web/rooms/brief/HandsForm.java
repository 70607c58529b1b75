package app.kemdro.web.rooms.brief;

import app.kemdro.core.look.Brief.Skill;
import jakarta.validation.constraints.Size;

/** One line of the crew as typed. */
public class HandsForm {
    @Size(max = 40, message = "Names of artists take up to 40 letters.")
    private String name = "";

    private Skill skill = Skill.ASSISTANT;
    private String from = "";
    private String until = "";

    public String getName() {
        return name;
    }

    public void setName(String name) {
        this.name = name;
    }

    public Skill getSkill() {
        return skill;
    }

    public void setSkill(Skill skill) {
        this.skill = skill;
    }

    public String getFrom() {
        return from;
    }

    public void setFrom(String from) {
        this.from = from;
    }

    public String getUntil() {
        return until;
    }

    public void setUntil(String until) {
        this.until = until;
    }
}
