package app.kemdro.web.rooms.brief;

import app.kemdro.core.hour.Wall;
import app.kemdro.core.look.Brief.Hands;
import app.kemdro.core.look.Brief.Skill;
import app.kemdro.web.records.usual.UsualHouse;
import jakarta.validation.constraints.Size;
import java.time.LocalTime;
import org.jspecify.annotations.Nullable;

/** One line of the crew as typed. */
public class HandsForm {
    @Size(max = 40, message = "Names of artists take up to 40 letters.")
    private String name = "";

    private Skill skill = Skill.ASSISTANT;
    private String from = "";
    private String until = "";

    static HandsForm of(Hands hands) {
        return of(
                hands.name(),
                hands.skill(),
                Wall.at(hands.from()).toLocalTime(),
                Wall.at(hands.until()).toLocalTime());
    }

    static HandsForm of(UsualHouse.Hands hands) {
        return of(hands.name(), hands.skill(), hands.from(), hands.until());
    }

    private static HandsForm of(String name, Skill skill, @Nullable LocalTime from, @Nullable LocalTime until) {
        HandsForm line = new HandsForm();
        line.name = name;
        line.skill = skill;
        line.from = from == null ? "" : from.toString();
        line.until = until == null ? "" : until.toString();
        return line;
    }

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
