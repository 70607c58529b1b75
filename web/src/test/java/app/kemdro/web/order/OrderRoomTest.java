package app.kemdro.web.order;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.schedule.ScheduleCheck;
import app.kemdro.web.DemoTest;
import app.kemdro.web.job.Job;
import app.kemdro.web.job.Jobs;
import app.kemdro.web.plans.Plans;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

@DemoTest
class OrderRoomTest {
    @Autowired
    private Jobs jobs;

    @Autowired
    private Plans plans;

    @Autowired
    private Trade trade;

    @Test
    void everyDemoJobIsPlannedSoundly() {
        assertThat(jobs.byCall()).hasSizeGreaterThanOrEqualTo(4).allSatisfy(job -> {
            Plan plan = plans.of(job).plan().orElseThrow();
            assertThat(ScheduleCheck.problems(plan.network(), plan.schedule())).isEmpty();
        });
    }

    @Test
    void theBellFounderHas45To80StepsAndMakesTheCall() {
        Job job = jobs.byCall().stream()
                .filter(j -> j.title().equals("Orrin Vask"))
                .findFirst()
                .orElseThrow();
        Plan plan = plans.of(job).plan().orElseThrow();
        assertThat(plan.steps()).hasSizeBetween(45, 80);
        assertThat(plan.inHand()).isGreaterThanOrEqualTo(0);
    }

    @Test
    void everyStepSaysWhyItStandsWhereItStands() {
        Plan plan = plans.of(jobs.byCall().get(1)).plan().orElseThrow();
        OrderModel order = OrderModel.of(plan, trade);
        assertThat(order.steps())
                .allSatisfy(s -> assertThat(s.why()).hasSizeGreaterThan(20).endsWith("."));
        assertThat(order.steps()).anyMatch(OrderModel.Step::critical);
    }
}
