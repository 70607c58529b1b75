package app.kemdro.web.records;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.flywaydb.core.Flyway;
import org.h2.jdbcx.JdbcDataSource;
import org.junit.jupiter.api.Test;
import org.springframework.jdbc.core.JdbcTemplate;

/** Houses of earlier versions are taken over with what is in them. */
class MigrationTest {
    private static JdbcDataSource house(String name) {
        JdbcDataSource source = new JdbcDataSource();
        source.setURL("jdbc:h2:mem:" + name + ";DB_CLOSE_DELAY=-1");
        return source;
    }

    private static void job(JdbcTemplate database, int id, String on, int height, String reacts, boolean panics) {
        database.update(
                "insert into job (id, version, title, production, idea, performer_name, height_cm, weight_kg, head_cm,"
                        + " reacts_to, call_at, temperature_c, humidity_percent, dryers, costume_covers,"
                        + " costume_minutes, self_applied, order_before, panics)"
                        + " values (?, 0, 'a job', '', '', ?, ?, 70, 56, ?, '2026-01-05 08:00:00', 20, 40, 1, '', 0,"
                        + " false, '', ?)",
                id,
                on,
                height,
                reacts,
                panics);
    }

    /** One person sat for two jobs of which each knew something of their health: nothing of it is lost, nobody is there twice. */
    @Test
    void performersOfJobsBecomePeopleOfTheirOwn() {
        JdbcDataSource source = house("people");
        Flyway.configure().dataSource(source).target("4").load().migrate();
        JdbcTemplate database = new JdbcTemplate(source);
        job(database, 1, "Rook Aldery", 170, "resin-gum", true);
        job(database, 2, "rook aldery", 171, "latex,zinc", false);
        job(database, 3, "Somebody Else", 160, "", false);
        database.update("insert into patch_test values (1, 0, 'cream', '2026-01-01 10:00:00', 'CLEAR')");
        database.update("insert into patch_test values (2, 0, 'cream', '2026-01-01 10:00:00', 'CLEAR')");
        database.update("insert into patch_test values (2, 1, 'liquid-latex', '2026-01-02 10:00:00', 'REACTED')");
        Flyway.configure().dataSource(source).load().migrate();
        List<Map<String, Object>> people = database.queryForList("select * from performer order by lower(name)");
        assertThat(people).hasSize(2);
        assertThat(people.get(1)).containsEntry("HEIGHT_CM", 160).containsEntry("PANICS", false);
        assertThat(people.get(0)).containsEntry("HEIGHT_CM", 171).containsEntry("PANICS", true);
        assertThat(people.get(0).get("REACTS_TO").toString().split(","))
                .containsExactlyInAnyOrder("resin-gum", "latex", "zinc");
        assertThat(database.queryForList("select performer_id from job order by id", Long.class))
                .containsExactly(id(people.get(0)), id(people.get(0)), id(people.get(1)));
        assertThat(database.queryForList("select position, family, result from patch_test order by position"))
                .extracting(r -> r.get("POSITION") + " " + r.get("FAMILY") + " " + r.get("RESULT"))
                .containsExactly("0 cream CLEAR", "1 liquid-latex REACTED");
    }

    private static long id(Map<String, Object> row) {
        return ((Number) row.get("ID")).longValue();
    }
}
