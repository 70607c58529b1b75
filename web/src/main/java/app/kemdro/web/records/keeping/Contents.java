package app.kemdro.web.records.keeping;

import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;

/**
 * What a house holds, counted.
 *
 * @param form the number of its latest migration
 * @param rows how many rows by table
 */
record Contents(int form, Map<String, Long> rows) {
    private static final String HISTORY = "flyway_schema_history";
    private static final String TABLES = "select table_name from information_schema.tables"
            + " where table_schema = 'PUBLIC' and table_type = 'BASE TABLE' order by table_name";

    /**
     * Counts, and looks whether the presses of every run stand together with their run.
     *
     * @throws Damaged where this is no house of Kemdro's, or a part of it is missing
     */
    static Contents of(Connection database) throws SQLException {
        Map<String, Long> rows = new TreeMap<>();
        for (String table : texts(database, TABLES)) {
            rows.put(table, number(database, "select count(*) from \"" + table + "\""));
        }
        if (!rows.containsKey(HISTORY)) {
            throw new Damaged("it holds no house of Kemdro's");
        }
        if (!rows.keySet().containsAll(List.of("JOB", "RUN", "RUN_EVENT", "ACCOUNT"))) {
            throw new Damaged("tables are missing");
        }
        long lost = number(
                database,
                "select count(*) from run_event e where e.run_id is not null and not exists"
                        + " (select 1 from run r where r.id = e.run_id)");
        if (lost > 0) {
            throw new Damaged("a part of what was pressed (" + lost + ") belongs to no run");
        }
        return new Contents(
                (int) number(
                        database,
                        "select coalesce(max(cast(\"version\" as int)), 0) from \"" + HISTORY
                                + "\" where \"success\" and \"version\" is not null"),
                rows);
    }

    /** How many rows a table has. */
    long of(String table) {
        return rows.getOrDefault(table, 0L);
    }

    /** It in words. */
    String says() {
        return count("JOB", "job", "jobs") + ", " + count("RUN", "run", "runs") + ", "
                + count("RUN_EVENT", "press", "presses");
    }

    private String count(String table, String one, String more) {
        return of(table) == 1 ? "1 " + one : of(table) + " " + more;
    }

    /**
     * Whether this can be what stood between two looks at a house in use.
     *
     * @throws Damaged where a table is missing or has more or fewer rows than it ever had
     */
    void between(Contents before, Contents after) {
        if (!rows.keySet().equals(before.rows.keySet())) {
            throw new Damaged("tables are missing");
        }
        rows.forEach((table, found) -> {
            long a = before.of(table);
            long b = after.of(table);
            if (found < Math.min(a, b) || found > Math.max(a, b)) {
                throw new Damaged("of table " + table.toLowerCase(Locale.ROOT) + " " + found
                        + " rows came back, where there were " + a);
            }
        });
    }

    private static List<String> texts(Connection database, String query) throws SQLException {
        try (Statement statement = database.createStatement();
                ResultSet found = statement.executeQuery(query)) {
            List<String> all = new ArrayList<>();
            while (found.next()) {
                all.add(found.getString(1));
            }
            return all;
        }
    }

    private static long number(Connection database, String query) throws SQLException {
        try (Statement statement = database.createStatement();
                ResultSet found = statement.executeQuery(query)) {
            found.next();
            return found.getLong(1);
        }
    }
}
