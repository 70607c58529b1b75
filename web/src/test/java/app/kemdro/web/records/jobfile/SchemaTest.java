package app.kemdro.web.records.jobfile;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.web.AsLead;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import com.networknt.schema.Error;
import com.networknt.schema.InputFormat;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

/** What is written is what the documents say is written. */
@DemoTest
class SchemaTest {
    @Autowired
    private Jobs jobs;

    @Autowired
    private JobReader reader;

    @Autowired
    private MockMvcTester mvc;

    private Schema schema;

    @BeforeEach
    void theDocumentedSchema() throws Exception {
        schema = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(Files.readString(Path.of("../docs/kemdro-job.schema.json")), InputFormat.JSON);
    }

    private List<Error> wrong(String file) {
        return schema.validate(file, InputFormat.JSON);
    }

    @Test
    void everyJobOfTheHouseGoesOutAsTheSchemaSays() throws Exception {
        AsLead lead = new AsLead(mvc);
        for (Job job : DemoJobs.all(jobs)) {
            for (String way : List.of("export.json", "health.json")) {
                assertThat(wrong(lead.get("/jobs/" + job.id() + "/" + way)))
                        .as(job.title() + " " + way)
                        .isEmpty();
            }
        }
    }

    /** What the schema refuses here, the reader refuses too. */
    @Test
    void schemaAndReaderRefuseTheSame() throws Exception {
        Job job = DemoJobs.called("Orrin Vask", jobs);
        String whole = new AsLead(mvc).get("/jobs/" + job.id() + "/export.json");
        assertThat(reader.read(whole).job().title()).isEqualTo("Orrin Vask");
        for (String[] change : new String[][] {
            {"\"title\" : \"Orrin Vask\"", "\"title\" : \"\""},
            {"\"skill\" : \"LEAD\"", "\"skill\" : \"CHIEF\""},
            {"\"dryers\" : 1", "\"dryers\" : \"one\""},
            {"\"everyMinutes\" : 120", "\"everyMinutes\" : 5"},
            {"\"version\" : 2", "\"version\" : 3"},
            {"\"costumeMinutes\"", "\"costume\""}
        }) {
            String odd = whole.replace(change[0], change[1]);
            assertThat(odd).as(change[0]).isNotEqualTo(whole);
            assertThat(wrong(odd)).as(change[1]).isNotEmpty();
            org.assertj.core.api.Assertions.assertThatThrownBy(() -> reader.read(odd))
                    .as(change[1])
                    .isInstanceOf(Unreadable.class);
        }
    }
}
