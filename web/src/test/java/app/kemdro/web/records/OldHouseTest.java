package app.kemdro.web.records;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.run.RunEvent;
import app.kemdro.web.AsLead;
import app.kemdro.web.DemoTest;
import app.kemdro.web.TestClock;
import app.kemdro.web.records.run.Course;
import app.kemdro.web.records.run.EventFormat;
import app.kemdro.web.records.run.EventLog;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Timestamp;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import javax.sql.DataSource;
import org.h2.util.StringUtils;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

/**
 * Today's application on a house that the version of six migrations kept: the demo after some use, with four jobs, five runs, one
 * of them still open and nearly every kind of event in them, eight pictures, two strikes and some hundred looks at skin.
 */
@DemoTest
class OldHouseTest {
    private static final Path KEPT = Path.of("src/test/resources/houses/house-6.zip");

    /** What the migrations after the sixth change on purpose; everything else is there as it was. */
    private static final Set<String> CHANGED = Set.of("RUN_EVENT", "STRIKE_EVENT");

    /** Every event as it was kept: its id, kind, and the four fields that every kind had. */
    private static final String AS_KEPT =
            "select event_id, at_time, hands, device, type, step, seconds, mode, text from run_event where run_id = ? order by seq";

    private static final Map<Long, List<Map<String, Object>>> EVENTS = new TreeMap<>();
    private static Map<String, List<String>> columns = Map.of();
    private static Map<String, List<String>> before = Map.of();

    private static List<String> strikeEvents = List.of();

    @Autowired
    private DataSource house;

    @Autowired
    private EventLog log;

    @Autowired
    private MockMvcTester mvc;

    @Autowired
    private TestClock clock;

    @DynamicPropertySource
    static void restored(DynamicPropertyRegistry registry) throws Exception {
        String url =
                "jdbc:h2:file:" + Files.createTempDirectory("kemdro-old-house").resolve("kemdro");
        try (Connection connection = DriverManager.getConnection(url, "kemdro", "")) {
            JdbcTemplate database = new JdbcTemplate(new SingleConnectionDataSource(connection, true));
            database.execute("runscript from " + StringUtils.quoteStringSQL(KEPT.toString()) + " compression zip");
            columns = columns(database);
            before = rows(database, columns);
            database.queryForList("select id from run", Long.class)
                    .forEach(run -> EVENTS.put(run, database.queryForList(AS_KEPT, run)));
            strikeEvents = database.queryForList("select event_id from strike_event order by event_id", String.class);
        }
        registry.add("spring.datasource.url", () -> url + ";DB_CLOSE_ON_EXIT=FALSE");
    }

    /** The day after the house was kept. */
    @BeforeEach
    void tomorrow() {
        clock.set(LocalDateTime.of(2026, 11, 28, 6, 0));
    }

    /** Columns by table, but for what was changed on purpose and the list of migrations. */
    private static Map<String, List<String>> columns(JdbcTemplate database) {
        Map<String, List<String>> columns = new TreeMap<>();
        database.query(
                "select table_name, column_name, data_type from information_schema.columns"
                        + " where table_schema = 'PUBLIC' and table_name <> 'flyway_schema_history'"
                        + " order by table_name, ordinal_position",
                row -> {
                    String table = row.getString(1);
                    String column = '"' + row.getString(2) + '"';
                    if (!CHANGED.contains(table) && !CHANGED.contains(table + "." + row.getString(2))) {
                        columns.computeIfAbsent(table, t -> new ArrayList<>())
                                .add(
                                        row.getString(3).equals("BINARY LARGE OBJECT")
                                                ? "rawtohex(hash('SHA-256', " + column + "))"
                                                : column);
                    }
                });
        return columns;
    }

    /** Every row of every table, with the values of these columns, whatever the order of rows. */
    private static Map<String, List<String>> rows(JdbcTemplate database, Map<String, List<String>> columns) {
        Map<String, List<String>> rows = new TreeMap<>();
        columns.forEach((table, names) -> rows.put(
                table,
                database
                        .queryForList(
                                "select json_array(" + String.join(", ", names) + " null on null) from \"" + table
                                        + '"',
                                String.class)
                        .stream()
                        .sorted()
                        .toList()));
        return rows;
    }

    @Test
    void nothingIsLostOnTheWayIn() {
        Map<String, List<String>> after = rows(new JdbcTemplate(house), columns);
        before.forEach((table, rows) -> assertThat(after.get(table)).as(table).isEqualTo(rows));
        assertThat(before.get("RUN_PICTURE")).hasSize(8);
    }

    /** Read through today's kinds, every event of every run says what it said, in the order in which it came in. */
    @Test
    void everyEventSaysWhatItSaid() {
        assertThat(EVENTS.values().stream().mapToInt(List::size).sum())
                .as("the house has been used")
                .isGreaterThan(600);
        EVENTS.forEach((run, kept) -> {
            List<RunEvent> read = log.of(Course.ofRun(run));
            assertThat(read).as("run " + run).hasSameSizeAs(kept);
            for (int k = 0; k < kept.size(); k++) {
                assertThat(said(read.get(k))).isEqualTo(said(kept.get(k)));
            }
        });
        List<String> strikes = new JdbcTemplate(house)
                .queryForList(
                        "select event_id from run_event where strike_id is not null order by event_id", String.class);
        assertThat(strikes).isNotEmpty().isEqualTo(strikeEvents);
    }

    private static String said(Map<String, Object> kept) {
        String type = String.valueOf(kept.get("TYPE"));
        Object text = kept.get("TEXT");
        Object own = switch (type) {
            case "START" -> kept.get("STEP") + " " + kept.get("MODE") + " " + "sure".equals(text);
            case "NOT_YET", "ADD" -> kept.get("STEP") + " " + kept.get("SECONDS");
            case "FINISH", "CLEAR", "DRYER", "REDO" -> kept.get("STEP");
            case "SKIP", "TROUBLE", "SCHOOL", "DROP" -> kept.get("STEP") + " " + text;
            case "COATS" -> kept.get("STEP") + " " + kept.get("SECONDS");
            case "AWAY" -> kept.get("SECONDS");
            case "ROOM" ->
                Arrays.stream(text.toString().split(";")).map(Double::valueOf).toList();
            // words with one of these were taken in, and no screen ever sent or showed any
            case "BEGIN", "BREAK", "BACK", "LEAVE", "END" -> "";
            default -> text;
        };
        return String.join(
                "|",
                String.valueOf(kept.get("EVENT_ID")),
                String.valueOf(((Timestamp) kept.get("AT_TIME")).toLocalDateTime()),
                String.valueOf(kept.get("HANDS")),
                String.valueOf(kept.get("DEVICE")),
                type,
                String.valueOf(own));
    }

    private static String said(RunEvent e) {
        Object own = "";
        if (e instanceof RunEvent.Start s) {
            own = s.step() + " " + s.mode() + " " + s.sure();
        } else if (e instanceof RunEvent.NotYet n) {
            own = n.step() + " " + n.seconds();
        } else if (e instanceof RunEvent.Add a) {
            own = a.step() + " " + a.seconds();
        } else if (e instanceof RunEvent.Skip s) {
            own = s.step() + " " + s.text();
        } else if (e instanceof RunEvent.Trouble t) {
            own = t.step() + " " + t.repair() + (t.zones().isEmpty() ? "" : "@" + String.join(",", t.zones()));
        } else if (e instanceof RunEvent.AtStep s) {
            own = s.step();
        } else if (e instanceof RunEvent.School s) {
            own = s.entry() + " " + s.technique();
        } else if (e instanceof RunEvent.Drop d) {
            own = d.entry() + " " + d.reason();
        } else if (e instanceof RunEvent.Coats c) {
            own = c.entry() + " " + c.coats();
        } else if (e instanceof RunEvent.Away a) {
            own = a.seconds();
        } else if (e instanceof RunEvent.Join j) {
            own = j.skill();
        } else if (e instanceof RunEvent.Room r) {
            own = List.of(r.room().temperatureC(), r.room().humidityPercent(), (double)
                    r.room().dryers());
        } else if (e instanceof RunEvent.Drive d) {
            own = d.driver();
        } else if (e instanceof RunEvent.Picture p) {
            own = p.picture();
        } else if (e instanceof RunEvent.Undo u) {
            own = u.event();
        } else if (e instanceof RunEvent.InWords w) {
            own = w.text();
        }
        return String.join("|", e.id(), e.at().toString(), e.hands(), e.device(), EventFormat.kind(e), own.toString());
    }

    /** Every room of every job, every run of the book, and the runs as they were. */
    @Test
    void everyRoomOpens() throws Exception {
        AsLead lead = new AsLead(mvc);
        for (int job = 1; job <= 4; job++) {
            for (String room :
                    List.of("look", "order", "bench", "kit", "colour", "safety", "chair", "strike", "book", "brief")) {
                assertThat(lead.answer("/jobs/" + job + "/" + room).getStatus())
                        .as("job " + job + ", " + room)
                        .isEqualTo(200);
            }
            assertThat(lead.answer("/jobs/" + job + "/export.json").getStatus()).isEqualTo(200);
        }
        assertThat(lead.get("/shelf")).contains("Orrin Vask").contains("Orrin Vask, camera test");
        JdbcTemplate database = new JdbcTemplate(house);
        database.queryForList("select id, job_id from run where ended_at is not null")
                .forEach(run -> assertThat(lead.answer("/jobs/" + run.get("JOB_ID") + "/book?run=" + run.get("ID"))
                                .getStatus())
                        .as("run " + run.get("ID"))
                        .isEqualTo(200));
        database.queryForList("select p.id, r.job_id from run_picture p join run r on r.id = p.run_id")
                .forEach(p -> assertThat(lead.answer("/jobs/" + p.get("JOB_ID") + "/chair/pictures/" + p.get("ID"))
                                .getContentAsByteArray())
                        .as("picture " + p.get("ID"))
                        .isNotEmpty());
        assertThat(lead.get("/jobs/3/chair/state"))
                .as("the run that was open goes on")
                .contains("\"ended\":false");
    }
}
