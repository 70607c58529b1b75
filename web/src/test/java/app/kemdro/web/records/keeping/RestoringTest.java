package app.kemdro.web.records.keeping;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.AdditionalAnswers.delegatesTo;
import static org.mockito.ArgumentMatchers.startsWith;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;

import app.kemdro.web.OwnProcess;
import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.flywaydb.core.Flyway;
import org.h2.jdbcx.JdbcDataSource;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A house is written, damaged in every way a file is damaged, and brought back whole or not at all. */
class RestoringTest {
    @TempDir
    private Path folder;

    private Path home;
    private Path empty;
    private Path file;

    @BeforeEach
    void aHouseWithAPressAndItsBackup() throws Exception {
        home = Files.createDirectories(folder.resolve("home"));
        empty = Files.createDirectories(folder.resolve("empty"));
        file = folder.resolve("house.backup");
        JdbcDataSource source = new JdbcDataSource();
        source.setURL("jdbc:h2:file:" + home.resolve("kemdro"));
        source.setUser("kemdro");
        Flyway.configure().dataSource(source).load().migrate();
        try (Connection house = source.getConnection()) {
            house.createStatement().execute("insert into keeping values (1, 21)");
        }
        assertThat(Restoring.backup(file, home)).startsWith("Kept in ").contains("0 jobs, 0 runs, 0 presses");
    }

    private int backupsKept(Path of) throws SQLException {
        try (Connection house = open(of);
                var found = house.createStatement().executeQuery("select backups from keeping")) {
            found.next();
            return found.getInt(1);
        }
    }

    private List<Path> left() throws Exception {
        try (var files = Files.list(empty)) {
            return files.toList();
        }
    }

    private void refused(byte[] damaged) throws Exception {
        Files.write(file, damaged);
        assertThatThrownBy(() -> Restoring.restore(file, empty))
                .isInstanceOf(Damaged.class)
                .hasMessageContaining("Nothing was restored.");
        assertThat(left()).isEmpty();
    }

    @Test
    void whatWasWrittenComesBack() throws Exception {
        assertThat(Restoring.restore(file, empty)).startsWith("Restored into " + empty);
        assertThat(left()).extracting(f -> f.getFileName().toString()).containsExactly("kemdro.mv.db");
        assertThat(backupsKept(empty)).isEqualTo(21);
    }

    /** What a backup knows of sessions lets nobody in. */
    @Test
    void nobodyIsSignedInWhereItIsRestored() throws Exception {
        try (Connection house = open(home);
                Statement does = house.createStatement()) {
            does.execute("insert into spring_session values ('p', 's', 1, 1, 1, 9223372036854775807, 'ines')");
            does.execute("insert into spring_session_attributes values ('p', 'a', x'00')");
            does.execute("insert into persistent_logins values ('ines', 'series', 'token', current_timestamp)");
        }
        Files.delete(file);
        Restoring.backup(file, home);
        Restoring.restore(file, empty);
        try (Connection house = open(empty);
                Statement does = house.createStatement()) {
            for (String table : List.of("spring_session", "spring_session_attributes", "persistent_logins")) {
                var rows = does.executeQuery("select count(*) from " + table);
                rows.next();
                assertThat(rows.getInt(1)).as(table).isZero();
            }
        }
    }

    @Test
    void aFileThatIsCutOffAnywhereLeavesNothingBehind() throws Exception {
        byte[] whole = Files.readAllBytes(file);
        for (int k = 0; k < 12; k++) {
            refused(Arrays.copyOf(whole, whole.length * k / 12));
        }
        refused(Arrays.copyOf(whole, whole.length - 200));
    }

    /** One bit somewhere in what is packed: the checksum of the packing finds it. */
    @Test
    void aFileWithAWrongBitLeavesNothingBehind() throws Exception {
        byte[] whole = Files.readAllBytes(file);
        Random chance = new Random(5);
        for (int k = 0; k < 20; k++) {
            byte[] wrong = whole.clone();
            // the first hundred bytes and the last hold names and dates of the packing that nobody needs
            int at = 100 + chance.nextInt(wrong.length - 300);
            wrong[at] ^= (byte) (1 << chance.nextInt(8));
            refused(wrong);
        }
    }

    @Test
    void whatIsNoHouseOfKemdrosIsRefused() throws Exception {
        refused("a letter".getBytes(StandardCharsets.UTF_8));
        refused(packed("create table something (id int);"));
        refused(packed("create alias run as 'int run() { return 1; }';"));
        // a whole house without its presses
        refused(packed("create table \"flyway_schema_history\" (\"version\" varchar, \"success\" boolean);"
                + "create table job (id int); create table run (id int); create table account (id int);"));
    }

    /** As the script calls it, in a process of its own. */
    private String called(String what, Path of, Path in) throws Exception {
        OwnProcess.Said said = OwnProcess.run(Restoring.class, "-XX:TieredStopAtLevel=1", what, of, in);
        return said.code() + " " + String.join("\n", said.lines());
    }

    @Test
    void theScriptsCommandsSayInASentenceWhatWasDone() throws Exception {
        assertThat(called("restore", file, empty)).startsWith("0 Restored into " + empty);
        assertThat(backupsKept(empty)).isEqualTo(21);
        assertThat(called("backup", folder.resolve("again.backup"), empty)).startsWith("0 Kept in ");
        assertThat(called("restore", file, empty)).startsWith("1 kemdro: ").endsWith("nothing was changed.");
        assertThat(called("backup", folder.resolve("none.backup"), folder.resolve("nowhere")))
                .startsWith("1 kemdro: ")
                .endsWith("holds no data to back up.");
    }

    /** Somebody sends a file that calls a program of the machine. */
    @Test
    void aScriptThatNamesOtherClassesIsNotRun() throws Exception {
        Path evil = folder.resolve("evil.backup");
        Files.write(evil, packed("create alias quit for 'java.lang.System.exit'; call quit(7);"));
        assertThat(called("restore", evil, empty)).startsWith("1 kemdro: ").endsWith("Nothing was restored.");
        assertThat(left()).isEmpty();
    }

    private static byte[] packed(String script) throws Exception {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            zip.putNextEntry(new ZipEntry("script.sql"));
            zip.write(script.getBytes(StandardCharsets.UTF_8));
        }
        return out.toByteArray();
    }

    @Test
    void aFolderThatHoldsAHouseIsNotTouched() throws Exception {
        try (Connection house = open(home)) {
            house.createStatement().execute("update keeping set backups = 9");
        }
        assertThatThrownBy(() -> Restoring.restore(file, home)).hasMessageContaining("holds data already");
        assertThat(backupsKept(home)).isEqualTo(9);
    }

    @Test
    void aHouseThatIsOpenElsewhereIsNotWritten() throws Exception {
        // as another process would hold it
        Path data = home.resolve("kemdro.mv.db");
        Files.delete(file);
        try (var channel = java.nio.channels.FileChannel.open(data, java.nio.file.StandardOpenOption.WRITE);
                var lock = channel.lock()) {
            assertThat(lock.isValid()).isTrue();
            assertThatThrownBy(() -> Restoring.backup(file, home)).isInstanceOf(Damaged.class);
        }
        assertThat(file).doesNotExist();
    }

    /** What is written is another house, with a row less, as a tool that loses something would write it: the file never gets its name. */
    @Test
    void aBackupThatDoesNotHoldWhatTheHouseHoldsGetsNoName() throws Exception {
        Path poorer = Files.createDirectories(folder.resolve("poorer"));
        Restoring.restore(file, poorer);
        Path made = folder.resolve("made.backup");
        try (Connection rich = open(home);
                Connection poor = open(poorer)) {
            poor.createStatement().execute("delete from keeping");
            Connection losing = mock(Connection.class, delegatesTo(rich));
            doAnswer(call -> {
                        Statement statement = mock(Statement.class, delegatesTo(rich.createStatement()));
                        doAnswer(sql -> poor.createStatement().execute(sql.getArgument(0)))
                                .when(statement)
                                .execute(startsWith("script"));
                        return statement;
                    })
                    .when(losing)
                    .createStatement();
            assertThatThrownBy(() -> BackupFile.make(() -> losing, made))
                    .isInstanceOf(Damaged.class)
                    .hasMessageContaining("of table keeping 0 rows came back, where there were 1");
        }
        assertThat(made).doesNotExist();
        try (var files = Files.list(folder)) {
            assertThat(files).noneMatch(f -> f.getFileName().toString().startsWith(".making"));
        }
    }

    private static Connection open(Path house) throws SQLException {
        return DriverManager.getConnection("jdbc:h2:file:" + house.resolve("kemdro"), "kemdro", "");
    }

    /** The rows that came back are counted apart: a backup that lost some of a table never gets a backup's name. */
    @Test
    void aBackupThatHasLostRowsIsFound() {
        Contents before = new Contents(19, java.util.Map.of("JOB", 4L, "RUN_EVENT", 10L));
        Contents after = new Contents(19, java.util.Map.of("JOB", 4L, "RUN_EVENT", 12L));
        new Contents(19, java.util.Map.of("JOB", 4L, "RUN_EVENT", 11L)).between(before, after);
        assertThatThrownBy(() -> new Contents(19, java.util.Map.of("JOB", 3L, "RUN_EVENT", 11L)).between(before, after))
                .hasMessageContaining("of table job 3 rows came back, where there were 4");
        assertThatThrownBy(() -> new Contents(19, java.util.Map.of("JOB", 4L)).between(before, after))
                .hasMessageContaining("tables are missing");
    }
}
