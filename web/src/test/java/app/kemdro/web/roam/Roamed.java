package app.kemdro.web.roam;

import app.kemdro.core.method.Trade;
import app.kemdro.web.TestClock;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.plan.Removals;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Standings;
import java.util.Map;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import tools.jackson.databind.json.JsonMapper;

/** What is roamed on. */
record Roamed(
        MockMvcTester mvc,
        TestClock clock,
        Jobs jobs,
        Plans plans,
        Runs runs,
        Standings standings,
        Removals removals,
        Trade trade,
        Afresh afresh,
        JsonMapper json,
        Map<String, Integer> counted) {
    void count(String what) {
        counted.merge(what, 1, Integer::sum);
    }
}
