package app.kemdro.web.look;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.web.DemoTest;
import app.kemdro.web.job.Job;
import app.kemdro.web.job.Jobs;
import app.kemdro.web.plans.Plans;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.test.web.servlet.assertj.MvcTestResult;

@DemoTest
class LookRoomTest {
    @Autowired
    private MockMvcTester mvc;

    @Autowired
    private Jobs jobs;

    @Autowired
    private Plans plans;

    private Job fresh(String title) {
        Job from = jobs.byCall().stream()
                .filter(j -> j.title().equals("Orrin Vask"))
                .findFirst()
                .orElseThrow();
        Job copy = new Job(title, "", "", from.brief());
        copy.setLook(from.look());
        return jobs.add(copy);
    }

    private MvcTestResult press(Job job, String path, String... params) {
        var request = mvc.post()
                .uri("/jobs/" + job.id() + "/look/" + path)
                .with(csrf())
                .with(user("ines").roles("LEAD"));
        for (int k = 0; k < params.length; k += 2) {
            request.param(params[k], params[k + 1]);
        }
        return request.exchange();
    }

    @Test
    void aThirdEdgeCoatIsSaidInMinutes() {
        Job job = fresh("coats");
        MvcTestResult result = press(job, "coats", "entry", "crust-edges", "coats", "3", "zones", "cheek-left");
        assertThat(result).hasStatus(302);
        assertThat(String.valueOf(result.getMvcResult().getFlashMap().get("change")))
                .containsPattern(
                        "^(\\+\\d+ min|same time|−\\d+ min with \\d+ min more work, in a better order): ready \\d\\d:\\d\\d, ");
    }

    @Test
    void aZoneTakenOffIsCountedAsBare() {
        Job job = fresh("bare");
        press(job, "lift", "entry", "neck", "zones", "ear-left,ear-right");
        assertThat(mvc.get()
                        .uri("/jobs/" + job.id() + "/look")
                        .with(user("ines").roles("LEAD")))
                .bodyText()
                .contains("2 zones bare")
                .contains("both ears");
    }

    @Test
    void aContradictionIsNamedAndCanBeTakenOffAgain() {
        Job job = fresh("contradiction");
        press(job, "add", "technique", "brow-powder-each", "zones", "brow-left");
        assertThat(plans.of(jobs.get(job.id())).plan()).isEmpty();
        assertThat(mvc.get()
                        .uri("/jobs/" + job.id() + "/order")
                        .with(user("ines").roles("LEAD")))
                .bodyText()
                .contains("one excludes the other")
                .contains("Take one of them off");
        press(job, "remove", "entry", "brow-powder-each-1");
        assertThat(plans.of(jobs.get(job.id())).plan()).isPresent();
    }

    @Test
    void aBarredTechniqueCannotBePressedAndSaysWhy() {
        Job job = fresh("barred");
        assertThat(mvc.get()
                        .uri("/jobs/" + job.id() + "/look?zones=cheek-left")
                        .with(user("ines").roles("LEAD")))
                .bodyText()
                .contains("Tomas Brandvik reacts to resin gum.");
    }

    @Test
    void anUnknownTechniqueChangesNothing() {
        Job job = fresh("unknown");
        press(job, "add", "technique", "no-such-thing", "zones", "nose");
        assertThat(jobs.get(job.id()).look()).isEqualTo(job.look());
    }

    @Test
    void aHostileZoneIsLeftAside() {
        assertThat(mvc.get()
                        .uri("/jobs/1/look?zones={z}", "<img src=x onerror=alert(1)>")
                        .with(user("ines").roles("LEAD")))
                .hasStatus(200)
                .bodyText()
                .doesNotContain("<img src=x");
    }

    @Test
    void theSameWorkElsewhereJoinsAndEveryPieceIsItsOwn() {
        Job job = fresh("joining");
        press(job, "add", "technique", "base-cream", "zones", "throat");
        press(job, "add", "technique", "foam-piece", "zones", "chin");
        var entries = jobs.get(job.id()).look().entries();
        assertThat(entries)
                .filteredOn(e -> e.techniqueId().equals("base-cream"))
                .singleElement()
                .satisfies(e -> assertThat(e.zones()).contains("throat", "chin"));
        assertThat(entries)
                .filteredOn(e -> e.techniqueId().equals("foam-piece"))
                .hasSize(5);
    }
}
