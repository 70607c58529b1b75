package app.kemdro.web.rooms.house;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.web.AsLead;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.TestClock;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.keeping.Backup.Why;
import app.kemdro.web.records.keeping.Backups;
import app.kemdro.web.records.run.Reports;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Seats;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.BeforeEach;
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
    private Runs runs;

    @Autowired
    private Reports reports;

    @Autowired
    private JdbcTemplate database;

    @Autowired
    private Backups backups;

    @Autowired
    private TestClock clock;

    @Autowired
    private MockMvcTester mvc;

    /** Nothing that other tests have left rehearsing plays on while rows are counted. */
    @BeforeEach
    void nobodyRehearses() {
        database.queryForList("select job_id from run where ended_at is null and pace > 0", Long.class)
                .forEach(job ->
                        runs.open(job).ifPresent(run -> reports.end(run, "end-for-backup-" + run.id(), "ines")));
    }

    /**
     * Taken while a run is on, brought into an empty house: every row of every table that stood all the time is there again, and
     * none that never stood. What the house does by itself meanwhile, as tidying up, may be in it or not.
     */
    @Test
    void aBackupBroughtIntoAnEmptyHouseIsEqual(@TempDir Path folder) throws Exception {
        long job = DemoJobs.like("Sprue", "kept", jobs).id();
        seats.begin(job, "ines");
        Path file = folder.resolve("house.backup");
        Map<String, Set<String>> before = house();
        String name = backups.make(Why.ASKED).backup().name();
        Files.write(file, new AsLead(mvc).answer("/house/keeping/" + name).getContentAsByteArray());
        Map<String, Set<String>> after = house();
        String url = "jdbc:h2:file:" + folder.resolve("kemdro");
        org.h2.tools.RunScript.main(
                "-url", url, "-user", "kemdro", "-script", file.toString(), "-options", "compression", "zip");
        assertThat(before).containsKeys("JOB", "RUN_EVENT", "SWATCH", "PATCH_TEST");
        assertThat(before.get("RUN_EVENT")).isNotEmpty();
        try (Connection restored = DriverManager.getConnection(url, "kemdro", "")) {
            for (String table : before.keySet()) {
                List<String> found = rows(restored, "select * from \"" + table + "\"");
                Set<String> ever = new HashSet<>(before.get(table));
                ever.addAll(after.get(table));
                Set<String> always = new HashSet<>(before.get(table));
                always.retainAll(after.get(table));
                assertThat(ever).as(table + ": nothing that never stood").containsAll(found);
                assertThat(found).as(table + ": all that stood").containsAll(always);
            }
        }
    }

    private Map<String, Set<String>> house() {
        Map<String, Set<String>> house = new TreeMap<>();
        database.queryForList(
                        "select table_name from information_schema.tables where table_schema = 'PUBLIC'", String.class)
                .forEach(table -> house.put(
                        table,
                        Set.copyOf(
                                database.execute((Connection here) -> rows(here, "select * from \"" + table + "\"")))));
        return house;
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
        String name = backups.make(Why.ASKED).backup().name();
        assertThat(mvc.get().uri("/house/keeping/" + name).with(user("pell").roles("HANDS")))
                .hasStatus(403);
        assertThat(mvc.get().uri("/house/keeping").with(user("pell").roles("HANDS")))
                .hasStatus(403);
    }

    @Test
    void nothingElseOfTheDiskIsTaken() {
        AsLead lead = new AsLead(mvc);
        assertThat(lead.answer("/house/keeping/kemdro.mv.db").getStatus()).isEqualTo(409);
        assertThat(lead.answer("/house/keeping/..%2Fkemdro.mv.db").getStatus()).isGreaterThanOrEqualTo(400);
    }

    @Test
    void theOldestGoButNotWhatStoodBeforeANewerKemdro() throws Exception {
        AsLead lead = new AsLead(mvc);
        Path before = backups.folder().resolve("kemdro-20250101T020000Z-before.backup");
        Files.createDirectories(backups.folder());
        Files.writeString(before, "of long ago");
        // as a server that was killed in the middle of it has left them
        Files.writeString(backups.folder().resolve(".making123.part"), "half of a");
        Files.createDirectories(backups.folder().resolve(".reading456"));
        Files.writeString(backups.folder().resolve(".reading456").resolve("kemdro.mv.db"), "half");
        assertThat(lead.post("/house/keeping/most", "most", "2")).containsKey("change");
        for (int k = 0; k < 4; k++) {
            clock.pass(Duration.ofMinutes(1));
            backups.make(Why.NIGHT);
        }
        try (var files = Files.list(backups.folder())) {
            assertThat(files)
                    .as("nothing half done")
                    .noneMatch(f -> f.getFileName().toString().startsWith("."));
        }
        assertThat(backups.kept())
                .hasSize(3)
                .last()
                .satisfies(b -> assertThat(b.file()).isEqualTo(before));
        assertThat(lead.get("/house/keeping")).contains("Last backup", "just now", "of the night");
        assertThat(lead.post("/house/keeping/most", "most", "0").get("wrong").toString())
                .contains("from 1 to 365");
        assertThat(backups.most()).isEqualTo(2);
        Files.delete(before);
    }

    @Test
    void oneThatCannotBeWrittenIsSaidAndLeavesTheOthers() throws Exception {
        int there = backups.kept().size();
        Path folder = backups.folder();
        Path aside = folder.resolveSibling("aside");
        if (Files.exists(folder)) {
            Files.move(folder, aside);
        }
        Files.writeString(folder, "no folder");
        try {
            assertThat(new AsLead(mvc).post("/house/keeping/backup")).doesNotContainKey("change");
            assertThat(backups.fault()).startsWith("The last backup failed: it could not be written to");
        } finally {
            Files.delete(folder);
            if (Files.exists(aside)) {
                Files.move(aside, folder);
            }
        }
        assertThat(new AsLead(mvc).get("/house/keeping")).contains("The last backup failed");
        assertThat(backups.kept()).hasSize(there);
        backups.make(Why.ASKED);
        assertThat(backups.fault()).isEmpty();
    }
}
