package app.kemdro.web.records.keeping;

import app.kemdro.web.parts.disk.DiskTrouble;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.List;

/**
 * The script's two commands on a house that stands still. A backup is brought into a folder of its own first, read to its end and
 * counted, and only then moved into place; one that is damaged leaves nothing behind.
 */
public final class Restoring {
    private static final String DATA = "kemdro.mv.db";
    private static final List<String> SIGNED_IN = List.of("SPRING_SESSION", "PERSISTENT_LOGINS");

    private Restoring() {}

    /** {@code backup FILE HOME} or {@code restore FILE HOME}; says in a sentence what was done, or why not. */
    public static void main(String[] arguments) {
        // the only class a backup names; a script that names others is nobody's backup
        System.setProperty("h2.allowedClasses", "org.h2.command.dml.ScriptCommand");
        Path file = Path.of(arguments[1]);
        Path home = Path.of(arguments[2]);
        try {
            System.out.println(arguments[0].equals("backup") ? backup(file, home) : restore(file, home));
        } catch (Damaged e) {
            System.err.println("kemdro: " + e.getMessage());
            System.exit(1);
        }
    }

    /**
     * Writes a house into a file and reads it back.
     *
     * @return what was done, as a sentence
     * @throws Damaged where that could not be done, with a sentence
     */
    static String backup(Path file, Path home) {
        if (!Files.exists(home.resolve(DATA))) {
            throw new Damaged(home + " holds no data to back up.");
        }
        try {
            Contents back = BackupFile.make(
                    () -> DriverManager.getConnection(url(home) + ";IFEXISTS=TRUE", "kemdro", ""), file);
            return "Kept in " + file + " and read back: " + back.says() + ".";
        } catch (SQLException e) {
            throw new Damaged(
                    DiskTrouble.isInUse(e)
                            ? "Kemdro is running. Stop it first, or take the backup from House, keeping."
                            : "the data in " + home + " cannot be read, or there is no room for " + file + ".");
        } catch (IOException e) {
            throw new Damaged(file + " cannot be written: " + e.getMessage());
        } catch (Damaged e) {
            throw new Damaged("the backup did not become whole: " + e.getMessage() + "; nothing was kept.");
        }
    }

    /**
     * Brings a backup into a folder that holds no house.
     *
     * @return what was done, as a sentence
     * @throws Damaged where that could not be done, with a sentence; the folder is as it was
     */
    static String restore(Path file, Path home) {
        if (!Files.isReadable(file)) {
            throw new Damaged("there is no file " + file + " that can be read.");
        }
        if (Files.exists(home.resolve(DATA))) {
            throw new Damaged(home + " holds data already; move that folder away first, nothing was changed.");
        }
        try {
            Files.createDirectories(home);
            Path beside = Files.createTempDirectory(home, ".restoring");
            try {
                Contents back = BackupFile.read(file, url(beside));
                signEverybodyOut(url(beside));
                // what is in one folder moves within one disk, whole or not at all
                Files.move(beside.resolve(DATA), home.resolve(DATA), StandardCopyOption.ATOMIC_MOVE);
                return "Restored into " + home + ": " + back.says() + ".";
            } finally {
                BackupFile.remove(beside);
            }
        } catch (IOException | SQLException e) {
            throw new Damaged(home + " cannot be written: " + e.getMessage());
        } catch (Damaged e) {
            throw new Damaged(file + " is damaged or is no backup: " + e.getMessage() + ". Nothing was restored.");
        }
    }

    /** Who was signed in at the moment of the backup is not signed in where it is restored; nor is a device that was remembered then. */
    private static void signEverybodyOut(String url) throws SQLException {
        try (Connection house = DriverManager.getConnection(url, "kemdro", "");
                Statement does = house.createStatement()) {
            for (String table : SIGNED_IN) {
                // a backup of before knows no such table
                try (ResultSet there = house.getMetaData().getTables(null, "PUBLIC", table, null)) {
                    if (there.next()) {
                        does.execute("delete from " + table);
                    }
                }
            }
        }
    }

    private static String url(Path folder) {
        return "jdbc:h2:file:" + folder.toAbsolutePath().resolve("kemdro");
    }
}
