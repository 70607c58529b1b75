package app.kemdro.web.records.keeping;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.flywaydb.core.Flyway;
import org.h2.jdbcx.JdbcDataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.jdbc.core.JdbcTemplate;

class MovingTest {
    @TempDir
    private Path folder;

    private JdbcDataSource house(String name) {
        JdbcDataSource source = new JdbcDataSource();
        source.setURL("jdbc:h2:mem:moving-" + name + ";DB_CLOSE_DELAY=-1");
        return source;
    }

    private List<Path> backups() throws Exception {
        try (var files = Files.list(folder)) {
            return files.toList();
        }
    }

    @Test
    void dataOfAnOlderKemdroIsBroughtUpToDateAndKeptAsItWas() throws Exception {
        JdbcDataSource source = house("older");
        Flyway.configure().dataSource(source).target("18").load().migrate();
        new JdbcTemplate(source).update("insert into house_money (id, sign, per_euro) values (1, 'kr', 7.5)");
        new Moving(source, folder).migrate(Flyway.configure().dataSource(source).load());
        assertThat(new JdbcTemplate(source).queryForList("select * from keeping"))
                .isEmpty();
        assertThat(backups()).hasSize(1);
        Contents before = BackupFile.tried(backups().get(0));
        assertThat(before.form()).isEqualTo(18);
        assertThat(before.of("HOUSE_MONEY")).isEqualTo(1);
        assertThat(Backup.of(backups().get(0)))
                .hasValueSatisfying(b -> assertThat(b.why()).isEqualTo(Backup.Why.BEFORE));
    }

    /** Every form there ever was (the eighth is not SQL and changes no table) can be written, read back and counted before it is changed. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19})
    void dataOfEveryFormIsKeptAsItWas(int form) throws Exception {
        JdbcDataSource source = house("form-" + form);
        Flyway.configure().dataSource(source).target("" + form).load().migrate();
        new Moving(source, folder).migrate(Flyway.configure().dataSource(source).load());
        assertThat(backups()).hasSize(1);
        assertThat(BackupFile.tried(backups().get(0)).form()).isEqualTo(form);
    }

    @Test
    void aNewHouseAndOneOfTodayAreNotBackedUpForIt() throws Exception {
        JdbcDataSource source = house("today");
        new Moving(source, folder).migrate(Flyway.configure().dataSource(source).load());
        new Moving(source, folder).migrate(Flyway.configure().dataSource(source).load());
        assertThat(backups()).isEmpty();
    }

    @Test
    void dataOfANewerKemdroIsLeftAsItIs() {
        JdbcDataSource source = house("newer");
        Flyway.configure().dataSource(source).load().migrate();
        JdbcTemplate database = new JdbcTemplate(source);
        database.update(
                "insert into \"flyway_schema_history\" select 99, '99', 'later', 'SQL', 'V99__later.sql', 1, 'x',"
                        + " current_timestamp, 1, true");
        assertThatThrownBy(() -> new Moving(source, folder)
                        .migrate(Flyway.configure().dataSource(source).load()))
                .isInstanceOf(Moving.Newer.class)
                .hasMessageContaining("written by a newer Kemdro (form 99; this one knows forms up to ");
    }
}
