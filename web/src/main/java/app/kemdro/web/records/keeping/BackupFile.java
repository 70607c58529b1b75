package app.kemdro.web.records.keeping;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.UUID;
import java.util.stream.Stream;

/** A house as one file, in the database's own script, packed. */
final class BackupFile {
    private static final String MAKING = ".making";

    private static final String READING = ".reading";

    private static final String USER = "kemdro";

    /** A file up to this size is read into memory, a larger one into a folder beside it, bytes. */
    private static final long IN_MEMORY = 16_000_000;

    private BackupFile() {}

    /** A house that can be opened. */
    interface House {
        Connection open() throws SQLException;
    }

    /**
     * Writes a house as it is at this moment, reads that back and counts; only then it gets its name. What is reported meanwhile is
     * in the next one.
     *
     * @return what was read back
     * @throws Damaged where it did not come back whole; there is no such file then
     */
    static Contents make(House house, Path file) throws IOException, SQLException {
        Path part = Files.createTempFile(file.toAbsolutePath().getParent(), MAKING, ".part");
        try {
            Contents before;
            Contents after;
            try (Connection open = house.open()) {
                before = Contents.of(open);
                write(open, part);
                after = Contents.of(open);
            }
            Contents back = tried(part);
            back.between(before, after);
            Files.move(part, file, StandardCopyOption.REPLACE_EXISTING);
            return back;
        } finally {
            Files.deleteIfExists(part);
        }
    }

    private static void write(Connection house, Path file) throws SQLException, IOException {
        run(house, "script to '" + quoted(file) + "' compression zip");
        if (Files.getFileStore(file).supportsFileAttributeView("posix")) {
            Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rw-------"));
        }
    }

    /**
     * Brings a backup into a database and looks whether it is a whole house.
     *
     * @param url an empty database
     * @throws Damaged where the file cannot be read whole
     */
    static Contents read(Path file, String url) {
        try (Connection house = DriverManager.getConnection(url, USER, "")) {
            run(house, "runscript from '" + quoted(file) + "' compression zip");
            return Contents.of(house);
        } catch (SQLException e) {
            throw new Damaged("it cannot be read to its end");
        }
    }

    /**
     * Reads a backup back and throws away what was read.
     *
     * @throws Damaged where the file cannot be read whole
     */
    static Contents tried(Path file) throws IOException {
        if (Files.size(file) <= IN_MEMORY) {
            return read(file, "jdbc:h2:mem:" + UUID.randomUUID());
        }
        Path beside = Files.createTempDirectory(file.toAbsolutePath().getParent(), READING);
        try {
            return read(file, "jdbc:h2:file:" + beside.resolve("kemdro"));
        } finally {
            remove(beside);
        }
    }

    /** Takes away what was left half done when Kemdro was killed. */
    static void sweep(Path folder) throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            for (Path left : files.toList()) {
                String name = left.getFileName().toString();
                if (name.startsWith(MAKING)) {
                    Files.deleteIfExists(left);
                } else if (name.startsWith(READING)) {
                    remove(left);
                }
            }
        }
    }

    /** Removes a folder of files. */
    static void remove(Path folder) throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            for (Path file : files.toList()) {
                Files.delete(file);
            }
        }
        Files.delete(folder);
    }

    private static void run(Connection house, String sql) throws SQLException {
        try (Statement statement = house.createStatement()) {
            statement.execute(sql);
        }
    }

    private static String quoted(Path file) {
        return file.toString().replace("'", "''");
    }
}
