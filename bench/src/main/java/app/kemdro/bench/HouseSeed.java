package app.kemdro.bench;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;

/**
 * Makes a department of years out of the demo, while Kemdro is stopped: thousands of jobs on two hundred performers, most of them past,
 * two thousand with a run, its events and a picture.
 */
public final class HouseSeed {
    private static final int JOBS = 5000;
    private static final int RUNS = 2000;
    private static final int COMING = 200;
    private static final int PERFORMERS = 200;
    private static final int A_DAY = 8;

    /** Ids of copies lie so far apart. */
    private static final long STRIDE = 100_000;

    private static final int PICTURE = 40_000;

    /** Columns that hold the number of something that is copied as well. */
    private static final List<String> NUMBERS = List.of("ID", "JOB_ID", "RUN_ID", "SEQ", "RECIPE_ID");

    private final Connection data;
    private final Map<String, List<String>> columns = new LinkedHashMap<>();

    private HouseSeed(Connection data) {
        this.data = data;
    }

    /** Takes the folder of the demo's data. */
    public static void main(String[] arguments) throws SQLException {
        try (Connection data = DriverManager.getConnection("jdbc:h2:file:" + arguments[0] + "/kemdro", "kemdro", "")) {
            data.setAutoCommit(false);
            new HouseSeed(data).grow();
            data.commit();
        }
    }

    private void grow() throws SQLException {
        List<Long> demo = numbers("select id from job where set_aside is null order by id");
        long tested = numbers("select job_id from run order by id").get(0);
        for (int k = 1; k < PERFORMERS / demo.size(); k++) {
            copy("performer", "id < " + STRIDE, k, "name", "name || ' " + k + "'");
        }
        for (int k = 1; k <= JOBS; k++) {
            boolean held = k <= RUNS;
            long job = held ? tested : demo.get(k % demo.size());
            // runs and most jobs are past; the rest is still to come
            int days = k <= JOBS - COMING ? -k / A_DAY - 1 : (k - JOBS + COMING) / A_DAY + 1;
            String own = "id = " + job;
            String of = "job_id = " + job;
            copy(
                    "job",
                    own,
                    k,
                    "performer_id",
                    "performer_id + " + k % (PERFORMERS / demo.size()) * STRIDE,
                    "call_at",
                    moved("call_at", days),
                    "chair_in",
                    moved("chair_in", days),
                    "title",
                    "title || ', day " + k + "'");
            copy("job_hands", of, k, "from_at", moved("from_at", days), "until_at", moved("until_at", days));
            for (String table : List.of("look_entry", "wish", "consent", "made_already", "recipe")) {
                copy(table, of, k);
            }
            copy("recipe_part", "recipe_id in (select id from recipe where " + of + ")", k);
            copy(
                    "shelf_line",
                    of,
                    k,
                    "stands_until",
                    "null",
                    "start_by",
                    moved("start_by", days),
                    "chair_in",
                    moved("chair_in", days),
                    "ready",
                    moved("ready", days));
            if (held) {
                String run = "run_id in (select id from run where " + of + ")";
                copy(
                        "run",
                        of,
                        k,
                        "pace",
                        "0",
                        "began_at",
                        moved("began_at", days),
                        "call_at",
                        moved("call_at", days),
                        "ended_at",
                        moved("ended_at", days),
                        "anchor_real",
                        moved("anchor_real", days),
                        "anchor_time",
                        moved("anchor_time", days));
                copy("run_event", run, k, "at_time", moved("at_time", days));
                picture(k, tested);
            }
            run(
                    "insert into find_text (job_id, build, unread, low, lines) select id, '', 1, '', '[]' from job where id = "
                            + (job + k * STRIDE));
            if (k % 500 == 0) {
                data.commit();
                System.out.println(k + " jobs");
            }
        }
        for (String table : List.of("performer", "job", "recipe", "run", "run_event")) {
            String number = table.equals("run_event") ? "seq" : "id";
            run("alter table " + table + " alter column " + number + " restart with " + STRIDE * (JOBS + 2));
        }
    }

    /** Copies rows of a table; numbers are moved, and some columns are written otherwise. */
    private void copy(String table, String where, int copy, String... otherwise) throws SQLException {
        Map<String, String> written = new LinkedHashMap<>();
        for (String column : columns(table)) {
            written.put(column, NUMBERS.contains(column) ? column + " + " + copy * STRIDE : column);
        }
        for (int k = 0; k < otherwise.length; k += 2) {
            written.put(otherwise[k].toUpperCase(Locale.ROOT), otherwise[k + 1]);
        }
        run("insert into " + table + " (" + String.join(", ", written.keySet()) + ") select "
                + String.join(", ", written.values()) + " from " + table + " where " + where);
    }

    private static String moved(String time, int days) {
        return "dateadd(day, " + days + ", " + time + ")";
    }

    private List<String> columns(String table) throws SQLException {
        List<String> known = columns.get(table);
        if (known == null) {
            known = new ArrayList<>();
            try (PreparedStatement ask = data.prepareStatement(
                    "select column_name from information_schema.columns where table_name = ? and is_generated = 'NEVER'"
                            + " and table_schema = 'PUBLIC' order by ordinal_position")) {
                ask.setString(1, table.toUpperCase(Locale.ROOT));
                try (ResultSet rows = ask.executeQuery()) {
                    while (rows.next()) {
                        known.add(rows.getString(1));
                    }
                }
            }
            columns.put(table, known);
        }
        return known;
    }

    private void picture(int copy, long job) throws SQLException {
        byte[] image = new byte[PICTURE];
        new Random(copy).nextBytes(image);
        try (PreparedStatement add = data.prepareStatement(
                "insert into run_picture (id, run_id, taken_at, kind, image) select 'pic-" + copy + "', id + "
                        + copy * STRIDE + ", began_at, 'image/jpeg', ? from run where job_id = " + job + " limit 1")) {
            add.setBytes(1, image);
            add.executeUpdate();
        }
    }

    private void run(String sql) throws SQLException {
        try (Statement statement = data.createStatement()) {
            statement.executeUpdate(sql);
        }
    }

    private List<Long> numbers(String sql) throws SQLException {
        List<Long> all = new ArrayList<>();
        try (Statement statement = data.createStatement();
                ResultSet rows = statement.executeQuery(sql)) {
            while (rows.next()) {
                all.add(rows.getLong(1));
            }
        }
        return all;
    }
}
