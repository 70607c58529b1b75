package app.kemdro.web.parts.words;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import java.time.LocalDateTime;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

@DemoTest
class WordsTest {
    @Autowired
    private Jobs jobs;

    @Autowired
    private Plans plans;

    @Test
    void spansAndChangesAreSaidAsInTheRoom() {
        assertThat(Words.span(47)).isEqualTo("47 min");
        assertThat(Words.span(110)).isEqualTo("1 h 50");
        assertThat(Words.change(6)).isEqualTo("+6 min");
        assertThat(Words.change(-3)).isEqualTo("−3 min");
        assertThat(Words.change(0)).isEqualTo("same time");
        assertThat(Words.inHand(4)).isEqualTo("4 min in hand");
        assertThat(Words.inHand(-13)).isEqualTo("13 min late");
    }

    @Test
    void aTimeToComeIsNeverSaidSoonerThanItIs() {
        assertThat(Words.ready(LocalDateTime.of(2026, 12, 3, 7, 40, 10))).isEqualTo("07:41");
        assertThat(Words.ready(LocalDateTime.of(2026, 12, 3, 7, 40))).isEqualTo("07:40");
    }

    @Test
    void leavingHalfOfItOutIsSaidAsMinutesWon() {
        Job job = DemoJobs.called("Sprue", jobs);
        Job own = new Job("half", "", "", job.brief());
        own.setLook(job.look());
        own = jobs.add(own);
        var half = new app.kemdro.core.look.Look(job.look().entries().subList(2, 4));
        assertThat(plans.change(own, j -> j.setLook(half)).said()).matches("−\\d+ min: ready .*");
        assertThat(Words.changed(Optional.empty(), plans.of(job).plan(), false)).startsWith("First plan: ready ");
        assertThat(Words.changed(Optional.empty(), plans.of(job).plan(), true)).startsWith("Planned again: ready ");
        assertThat(Words.changed(plans.of(job).plan(), plans.of(job).plan(), true))
                .startsWith("No change: ready ");
    }
}
