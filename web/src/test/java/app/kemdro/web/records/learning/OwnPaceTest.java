package app.kemdro.web.records.learning;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.web.AsLead;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

@DemoTest
class OwnPaceTest {
    @Autowired
    private Jobs jobs;

    @Autowired
    private Plans plans;

    @Autowired
    private MockMvcTester mvc;

    /** The demo's camera test was held, so its artists have a pace of their own; a press plans with it, another no longer does. */
    @Test
    void ownTimesAreSaidAndPlannedWithAtAPress() throws Exception {
        AsLead lead = new AsLead(mvc);
        Job job = DemoJobs.like("Orrin Vask", "own pace", jobs);
        String at = "/jobs/" + job.id() + "/book";
        assertThat(lead.get(at)).contains("than the library, from 1 run");
        int before = plans.of(job).plan().orElseThrow().schedule().ready();
        lead.post(at + "/pace", "hands", "Ines", "own", "true");
        Job own = jobs.get(job.id());
        double factor = own.brief().crew().get(0).factor();
        assertThat(factor).isNotEqualTo(1).isBetween(0.8, 1.25);
        // what was learnt is within minutes of the library; a fifth slower is planned as slower
        Job slower = jobs.change(job.id(), j -> j.pace("Ines", 1.2));
        assertThat(plans.of(slower).plan().orElseThrow().schedule().ready()).isGreaterThan(before + 300);
        jobs.change(job.id(), j -> j.pace("Ines", factor));
        assertThat(lead.get("/jobs/" + job.id() + "/export.json")).contains("\"factor\" : " + factor);
        lead.post(at + "/pace", "hands", "Ines", "own", "false");
        assertThat(jobs.get(job.id()).brief().crew().get(0).factor()).isEqualTo(1);
    }

    /** The brief's form says nothing of pace, and leaves it as it is. */
    @Test
    void describingAJobAgainKeepsWhatWasLearnt() {
        Job job = DemoJobs.like("Orrin Vask", "described", jobs);
        jobs.change(job.id(), j -> j.pace("Ines", 1.2));
        Job from = jobs.get(job.id());
        var plain = from.brief()
                .with(from.brief().crew().stream()
                        .map(h -> new app.kemdro.core.look.Brief.Hands(h.name(), h.skill(), h.from(), h.until()))
                        .toList());
        jobs.change(job.id(), j -> j.describe("described", "", "", plain));
        assertThat(jobs.get(job.id()).brief().crew().get(0).factor()).isEqualTo(1.2);
    }
}
