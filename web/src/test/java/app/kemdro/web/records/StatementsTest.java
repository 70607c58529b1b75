package app.kemdro.web.records;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.web.AsLead;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.records.job.Jobs;
import java.util.ArrayList;
import java.util.List;
import org.hibernate.resource.jdbc.spi.StatementInspector;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

/** How often a page asks the data once its plan is made. */
@DemoTest
@TestPropertySource(
        properties = "spring.jpa.properties.hibernate.session_factory.statement_inspector"
                + "=app.kemdro.web.records.StatementsTest$Asked")
class StatementsTest {
    private static final int A_JOB = 13;

    /** What the thread that is watched asks; what goes on beside it does not count. */
    public static final class Asked implements StatementInspector {
        private static final long serialVersionUID = 1L;
        private static final ThreadLocal<List<String>> BY = new ThreadLocal<>();

        @Override
        public String inspect(String sql) {
            if (BY.get() != null) {
                BY.get().add(sql);
            }
            return sql;
        }
    }

    @Autowired
    private MockMvcTester mvc;

    @Autowired
    private Jobs jobs;

    private List<String> asked(String path) throws Exception {
        AsLead lead = new AsLead(mvc);
        lead.get(path); // plans are made
        Asked.BY.set(new ArrayList<>());
        try {
            assertThat(lead.answer(path).getStatus()).isEqualTo(200);
            return Asked.BY.get();
        } finally {
            Asked.BY.remove();
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"brief", "look", "order", "bench", "kit", "safety", "chair", "strike"})
    void aRoomOfAJobAsksAFewTimes(String room) throws Exception {
        assertThat(asked("/jobs/2/" + room)).isNotEmpty().hasSizeLessThanOrEqualTo(A_JOB);
    }

    /** However many mixes it has, and paints in them. */
    @Test
    void whatAJobIsPaintedWithIsAskedForTogether() throws Exception {
        assertThat(asked("/jobs/2/colour"))
                .filteredOn(sql -> sql.contains("from recipe_part"))
                .hasSizeLessThan(4);
    }

    /** However long it is. */
    @Test
    void theShelfAsksAsOftenWithMoreOnIt() throws Exception {
        List<String> few = asked("/shelf");
        for (int k = 0; k < 5; k++) {
            DemoJobs.like("Sprue", "one of many " + k, jobs);
        }
        assertThat(asked("/shelf")).hasSizeLessThanOrEqualTo(6);
        assertThat(few).hasSizeLessThanOrEqualTo(6);
    }

    @Test
    void peopleAreAskedForTogether() throws Exception {
        assertThat(asked("/people")).hasSizeLessThanOrEqualTo(20);
    }
}
