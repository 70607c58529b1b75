package app.kemdro.web.records.keeping;

import app.kemdro.web.parts.mishap.NotPossible;
import app.kemdro.web.records.keeping.Backup.Why;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Clock;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javax.sql.DataSource;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Service;

/** The folder of backups. Only what was read back whole gets a backup's name; the oldest go when there are more than are kept. */
@Service
public class Backups {
    private static final Logger LOG = LoggerFactory.getLogger(Backups.class);

    private final DataSource house;
    private final Path folder;
    private final Clock clock;
    private final KeepingRepository keeping;
    private volatile String fault = "";

    Backups(DataSource house, @Value("${kemdro.backups.folder}") Path folder, Clock clock, KeepingRepository keeping) {
        this.house = house;
        this.folder = folder.toAbsolutePath();
        this.clock = clock;
        this.keeping = keeping;
    }

    /**
     * A backup that was made, and what it holds.
     *
     * @param says what was read back from it, in words
     */
    public record Made(Backup backup, String says) {}

    /** Where they lie. */
    public Path folder() {
        return folder;
    }

    /** Why the last try failed, as a sentence; empty where it did not. */
    public String fault() {
        return fault;
    }

    /** All of them, the newest first. */
    public List<Backup> kept() {
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(folder)) {
            return files.flatMap(file -> Backup.of(file).stream())
                    .sorted(Comparator.comparing(Backup::at).reversed())
                    .toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** One of them by its name. */
    public Optional<Backup> find(String name) {
        return kept().stream().filter(b -> b.name().equals(name)).findFirst();
    }

    /** How many are kept. */
    public int most() {
        return keeping.findById(KeepingRow.ONLY).map(KeepingRow::backups).orElse(KeepingRow.USUAL);
    }

    /** Keeps so many from now on; the oldest go when the next one is made. */
    public void most(int count) {
        keeping.save(new KeepingRow(count));
    }

    /**
     * Makes one, reads it back and counts; then removes the oldest.
     *
     * @throws NotPossible where it could not be written or read back, with why; what was there before is still there
     */
    public synchronized Made make(Why why) {
        try {
            Made made = made(why);
            fault = "";
            LOG.info("Backup {}: {}", made.backup().name(), made.says());
            return made;
        } catch (IOException | SQLException | Damaged e) {
            fault = "The last backup failed: "
                    + (e instanceof Damaged
                            ? "it was read back and " + e.getMessage()
                            : "it could not be written to " + folder)
                    + ".";
            LOG.warn("{} {}", fault, e.getMessage());
            throw new NotPossible(fault);
        }
    }

    private Made made(Why why) throws IOException, SQLException {
        Files.createDirectories(folder);
        BackupFile.sweep(folder);
        Path file = folder.resolve(Backup.name(clock.instant(), why));
        Contents back = BackupFile.make(house::getConnection, file);
        thin();
        return new Made(Backup.of(file).orElseThrow(), back.says());
    }

    /** The oldest go; what stood before a newer Kemdro came is not counted, and stays until somebody removes it. */
    private void thin() throws IOException {
        List<Backup> old =
                kept().stream().filter(b -> b.why() != Why.BEFORE).skip(most()).toList();
        for (Backup backup : old) {
            Files.deleteIfExists(backup.file());
        }
    }
}
