package app.kemdro.core.plan;

import static app.kemdro.core.plan.Samples.CALL;
import static app.kemdro.core.plan.Samples.assistant;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.lead;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Hands;
import app.kemdro.core.look.Brief.Performer;
import app.kemdro.core.look.Brief.Room;
import app.kemdro.core.look.Brief.Skill;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class BriefCheckTest {

    @Test
    void anOrdinaryBriefHasNoProblem() {
        assertThat(BriefCheck.problems(brief(lead("Ines"), assistant("Pell")))).isEmpty();
    }

    @Test
    void noHandsNoLeadAndTwinsAreNamed() {
        assertThat(says(brief())).contains("no hands");
        assertThat(says(brief(assistant("Pell")))).contains("Nobody on the crew leads");
        assertThat(says(brief(lead("Ines"), assistant("Ines")))).contains("Two artists are called Ines");
    }

    @Test
    void hoursTheWrongWayRoundAreNamed() {
        Hands backwards = new Hands("Ines", Skill.LEAD, CALL, CALL.minusHours(1));
        assertThat(says(brief(backwards))).contains("goes at 06:45, before coming at 07:45");
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, 4, 101, 1e9, Double.NaN})
    void absurdHumidityIsRefusedWithWhatIsOrdinary(double humidity) {
        Brief b = brief(lead("Ines"));
        Brief absurd = new Brief(
                b.call(), b.chairIn(), b.performer(), b.crew(), new Room(22, humidity, 1), Set.of(), 0, false);
        assertThat(BriefCheck.problems(absurd))
                .anySatisfy(p -> assertThat(p.remedy()).contains("35 to 55"));
    }

    @Test
    void anImpossibleChairInIsRefused() {
        assertThat(says(seated(CALL.plusMinutes(5)))).contains("not before the call");
        assertThat(says(seated(CALL.minusDays(3)))).contains("more than 20 hours");
    }

    @Test
    void aHeadNobodyHasIsRefused() {
        Brief b = brief(lead("Ines"));
        Brief odd = new Brief(
                b.call(),
                b.chairIn(),
                new Performer("Tomas", 183, 84, 560, Set.of()),
                b.crew(),
                b.room(),
                Set.of(),
                0,
                false);
        assertThat(says(odd)).contains("560 cm round");
    }

    private static Brief seated(LocalDateTime chairIn) {
        Brief b = brief(lead("Ines"));
        return new Brief(b.call(), Optional.of(chairIn), b.performer(), b.crew(), b.room(), Set.of(), 0, false);
    }

    private static String says(Brief brief) {
        List<Problem> problems = BriefCheck.problems(brief);
        return String.join(" | ", problems.stream().map(Problem::what).toList());
    }
}
