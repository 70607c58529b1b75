package app.kemdro.web.records.run;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.flywaydb.core.api.migration.Context;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Runs and strikes of before knew by name who sat. From here on all know them by number, where somebody of that name is still
 * known, and the data holds what refers to what.
 */
@Component
@SuppressWarnings("checkstyle:TypeName") // Flyway reads number and title from the name
public class V8__Who_sat extends BaseJavaMigration {
    private static final JsonMapper MAPPER = new JsonMapper();

    @Override
    public void migrate(Context context) throws SQLException {
        Connection house = context.getConnection();
        byName(house, "run");
        byName(house, "strike_run");
        try (Statement change = house.createStatement()) {
            // what comes off after a run comes off whoever sat in it
            change.execute(
                    "update strike_run s set performer_id = (select r.performer_id from run r where r.id = s.run_id)"
                            + " where s.performer_id is null and s.run_id is not null");
            for (String table : new String[] {"run", "strike_run"}) {
                change.execute("update " + table + " set performer_id = null where performer_id is not null"
                        + " and performer_id not in (select id from performer)");
                change.execute("alter table " + table + " add constraint " + table + "_sat foreign key (performer_id)"
                        + " references performer (id) on delete set null");
            }
            change.execute("delete from stock_use where job_id not in (select id from job)");
            change.execute("alter table stock_use add constraint stock_use_of_job foreign key (job_id)"
                    + " references job (id) on delete cascade");
        }
    }

    private static void byName(Connection house, String table) throws SQLException {
        for (Map.Entry<Long, String> row : briefs(house, table).entrySet()) {
            Optional<Long> who = known(house, name(row.getValue()));
            if (who.isPresent()) {
                try (PreparedStatement keep =
                        house.prepareStatement("update " + table + " set performer_id = ? where id = ?")) {
                    keep.setLong(1, who.get());
                    keep.setLong(2, row.getKey());
                    keep.executeUpdate();
                }
            }
        }
    }

    private static Map<Long, String> briefs(Connection house, String table) throws SQLException {
        Map<Long, String> briefs = new LinkedHashMap<>();
        try (Statement ask = house.createStatement();
                ResultSet rows = ask.executeQuery("select id, brief from " + table + " where performer_id is null")) {
            while (rows.next()) {
                briefs.put(rows.getLong(1), rows.getString(2));
            }
        }
        return briefs;
    }

    /** The name in a brief of either form that was kept until then; empty where there is no brief. */
    private static String name(String brief) {
        if (brief.isEmpty()) {
            return "";
        }
        JsonNode kept = MAPPER.readTree(brief);
        return (kept.has("kept") ? kept.get("kept") : kept)
                .path("performer")
                .path("name")
                .asString("");
    }

    private static Optional<Long> known(Connection house, String name) throws SQLException {
        try (PreparedStatement ask =
                house.prepareStatement("select min(id) from performer where lower(name) = lower(?)")) {
            ask.setString(1, name.strip());
            try (ResultSet found = ask.executeQuery()) {
                found.next();
                long id = found.getLong(1);
                return found.wasNull() ? Optional.empty() : Optional.of(id);
            }
        }
    }
}
