package app.kemdro.web.records.keeping;

import app.kemdro.web.records.keeping.Backup.Why;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.SQLException;
import java.time.Instant;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationInfo;
import org.flywaydb.core.api.MigrationState;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationStrategy;
import org.springframework.stereotype.Component;

/** Brings data of an older Kemdro up to date, with a backup of before; leaves data of a newer one as it is. */
@Component
public class Moving implements FlywayMigrationStrategy {
    private static final Logger LOG = LoggerFactory.getLogger(Moving.class);

    private final DataSource house;
    private final Path folder;

    Moving(DataSource house, @Value("${kemdro.backups.folder}") Path folder) {
        this.house = house;
        this.folder = folder.toAbsolutePath();
    }

    /** Data that a newer Kemdro has written. */
    public static class Newer extends RuntimeException {
        private static final long serialVersionUID = 1L;

        Newer(String form, String known) {
            super("The data was written by a newer Kemdro (form " + form + "; this one knows forms up to " + known
                    + "). Start that one, or restore a backup of before; nothing was changed.");
        }
    }

    @Override
    public void migrate(Flyway flyway) {
        MigrationInfo[] all = flyway.info().all();
        String known = "";
        for (MigrationInfo m : all) {
            if (m.getState() == MigrationState.FUTURE_SUCCESS) {
                throw new Newer(String.valueOf(m.getVersion()), known);
            }
            known = String.valueOf(m.getVersion());
        }
        MigrationInfo stands = flyway.info().current();
        if (stands != null && flyway.info().pending().length > 0) {
            String from = String.valueOf(stands.getVersion());
            Path before = before();
            flyway.migrate();
            LOG.info(
                    "Data of an older Kemdro was brought up to date, from form {} to {}; as it was before: {}",
                    from,
                    known,
                    before);
        } else {
            flyway.migrate();
        }
    }

    private Path before() {
        try {
            Files.createDirectories(folder);
            Path file = folder.resolve(Backup.name(Instant.now(), Why.BEFORE));
            BackupFile.make(house::getConnection, file);
            return file;
        } catch (IOException | SQLException | Damaged e) {
            throw new IllegalStateException("No backup could be made before the data is changed, in " + folder, e);
        }
    }
}
