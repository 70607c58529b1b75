package app.kemdro.web.rooms.house;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Everything the house holds as one file, while it runs; {@code ./kemdro restore} brings it back. */
@Controller
class BackupController {
    private final JdbcTemplate database;
    private final Clock clock;

    BackupController(JdbcTemplate database, Clock clock) {
        this.database = database;
        this.clock = clock;
    }

    @GetMapping("/house/backup")
    ResponseEntity<byte[]> backup() {
        try {
            Path file = Files.createTempFile("kemdro", ".backup");
            try {
                // as of one moment: what is reported meanwhile is in the next one
                database.execute("SCRIPT TO '" + file.toString().replace("'", "''") + "' COMPRESSION ZIP");
                return ResponseEntity.ok()
                        .contentType(MediaType.APPLICATION_OCTET_STREAM)
                        .header(
                                HttpHeaders.CONTENT_DISPOSITION,
                                "attachment; filename=\"kemdro-" + LocalDate.now(clock) + ".backup\"")
                        .body(Files.readAllBytes(file));
            } finally {
                Files.deleteIfExists(file);
            }
        } catch (IOException e) {
            throw new UncheckedIOException("The backup could not be written", e);
        }
    }
}
