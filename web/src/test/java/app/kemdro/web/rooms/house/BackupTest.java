package app.kemdro.web.rooms.house;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.web.AsLead;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.run.Seats;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

@DemoTest
class BackupTest {
    @Autowired
    private Jobs jobs;

    @Autowired
    private Seats seats;

    @Autowired
    private JdbcTemplate database;

    @Autowired
    private MockMvcTester mvc;

    /** Taken while a run is on, brought into an empty house: every row of every table is there again. */
    @Test
    void aBackupBroughtIntoAnEmptyHouseIsEqual(@TempDir Path folder) throws Exception {
        long job = DemoJobs.like("Sprue", "kept", jobs).id();
        seats.begin(job, "ines");
        Path file = folder.resolve("house.backup");
        Files.write(file, new AsLead(mvc).answer("/house/backup").getContentAsByteArray());
        String url = "jdbc:h2:file:" + folder.resolve("kemdro");
        org.h2.tools.RunScript.main(
                "-url", url, "-user", "kemdro", "-script", file.toString(), "-options", "compression", "zip");
        List<String> tables = database.queryForList(
                "select table_name from information_schema.tables where table_schema = 'PUBLIC'", String.class);
        assertThat(tables).contains("JOB", "RUN_EVENT", "SWATCH", "PATCH_TEST");
        try (Connection restored = DriverManager.getConnection(url, "kemdro", "")) {
            for (String table : tables) {
                String all = "select * from \"" + table + "\"";
                assertThat(rows(restored, all))
                        .as(table)
                        .containsExactlyInAnyOrderElementsOf(database.execute((Connection here) -> rows(here, all)));
            }
        }
    }

    private static List<String> rows(Connection from, String query) {
        try (ResultSet rows = from.createStatement().executeQuery(query)) {
            List<String> all = new ArrayList<>();
            while (rows.next()) {
                StringBuilder row = new StringBuilder();
                for (int c = 1; c <= rows.getMetaData().getColumnCount(); c++) {
                    row.append(rows.getString(c)).append('|');
                }
                all.add(row.toString());
            }
            return all;
        } catch (java.sql.SQLException e) {
            throw new IllegalStateException(e);
        }
    }

    @Test
    void onlyALeadTakesIt() {
        assertThat(mvc.get().uri("/house/backup").with(user("pell").roles("HANDS")))
                .hasStatus(403);
    }
}
