package app.kemdro.web.records.run;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.look.Brief;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.LookPlanner;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.schedule.Planner;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.sample.ColdCasting;
import java.time.Duration;
import java.time.LocalDateTime;
import org.junit.jupiter.api.Test;

class SeatingTest {
    private static final LocalDateTime CALL = LocalDateTime.of(2026, 12, 3, 7, 45);
    private static final Job FOUNDER = ColdCasting.founder("Orrin Vask", CALL);
    private static final Plan PLAN = ((Planning.Done)
                    new LookPlanner(Trade.standard(), Planner.trying(5)).plan(FOUNDER.look(), FOUNDER.brief()))
            .plan();

    @Test
    void aFewMinutesLateIsStillMeantForTheCall() {
        assertThat(Seating.call(PLAN, PLAN.chairIn().plusMinutes(12))).isEqualTo(CALL);
        assertThat(Seating.call(PLAN, PLAN.chairIn().minusHours(2))).isEqualTo(CALL);
    }

    @Test
    void theEveningBeforeIsARehearsalTowardsACallAsFarOff() {
        LocalDateTime evening = CALL.minusHours(12);
        Duration planned = Duration.between(PLAN.chairIn(), CALL);
        assertThat(Seating.call(PLAN, evening)).isEqualTo(evening.plus(planned));
    }

    @Test
    void theCrewsHoursMoveAlongWithTheCall() {
        LocalDateTime evening = CALL.minusHours(12);
        Brief moved = Seating.brief(FOUNDER.brief(), evening, evening.plusHours(2));
        Duration by = Duration.between(CALL, evening.plusHours(2));
        assertThat(moved.crew().get(0).from())
                .isEqualTo(FOUNDER.brief().crew().get(0).from().plus(by));
        assertThat(moved.chairIn()).contains(evening);
    }
}
