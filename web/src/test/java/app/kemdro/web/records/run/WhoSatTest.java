package app.kemdro.web.records.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.sql.Connection;
import java.sql.DriverManager;
import java.util.List;
import java.util.Map;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.SingleConnectionDataSource;

/** A house in which runs knew by name who sat, as those of the version before the sixth migration did. */
class WhoSatTest {
    private static int houses;

    private SingleConnectionDataSource source;
    private JdbcTemplate house;

    @BeforeEach
    void asItWas() throws Exception {
        Connection connection = DriverManager.getConnection("jdbc:h2:mem:who-sat-" + houses++);
        source = new SingleConnectionDataSource(connection, true);
        house = new JdbcTemplate(source);
        house.execute("runscript from 'src/test/resources/houses/house-6.zip' compression zip");
        house.update("update run set performer_id = null");
        house.update("update strike_run set performer_id = null");
    }

    private void migrate() {
        Flyway.configure()
                .dataSource(source)
                .javaMigrations(new V8__Who_sat())
                .load()
                .migrate();
    }

    private List<Map<String, Object>> sat(String table) {
        return house.queryForList("select id, performer_id from " + table + " order by id");
    }

    @Test
    void whoSatIsKnownByTheirName() {
        migrate();
        assertThat(sat("run"))
                .extracting(r -> r.get("PERFORMER_ID"))
                .as("Tomas, Tomas, Tomas, Marit, Tomas")
                .containsExactly(1L, 1L, 1L, 2L, 1L);
        assertThat(sat("strike_run"))
                .extracting(r -> r.get("PERFORMER_ID"))
                .as("one says it itself, the other through its run")
                .containsExactly(1L, 1L);
    }

    /** Somebody else sits for the job now: what was is theirs who sat. */
    @Test
    void theJobsPerformerOfTodayIsNotMeant() {
        house.update("update job set performer_id = 3 where id = 2");
        migrate();
        assertThat(house.queryForList("select performer_id from run where job_id = 2", Long.class))
                .containsOnly(1L);
    }

    @Test
    void whoIsCalledNobodyKnowsStaysUnknown() {
        house.update("update performer set name = 'Somebody Else' where id = 2");
        migrate();
        assertThat(house.queryForObject("select performer_id from run where id = 4", Long.class))
                .isNull();
    }

    /** A brief in the form that was written since. */
    @Test
    void theFormWithANumberIsReadAsWell() {
        house.update("update run set brief = '{\"form\":2,\"kept\":' || brief || '}' where id = 4");
        migrate();
        assertThat(house.queryForObject("select performer_id from run where id = 4", Long.class))
                .isEqualTo(2L);
    }

    @Test
    void theDataHoldsWhatRefersToWhat() {
        migrate();
        assertThatThrownBy(() -> house.update("update run set performer_id = 999 where id = 1"))
                .isInstanceOf(DataIntegrityViolationException.class);
        house.update("delete from job where performer_id = 2");
        house.update("delete from performer where id = 2");
        assertThat(house.queryForList("select performer_id from run where performer_id = 2"))
                .isEmpty();
    }
}
