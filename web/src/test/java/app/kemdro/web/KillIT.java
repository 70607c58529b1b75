package app.kemdro.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The server is killed in the middle of a run, with no chance to tidy up; what it acknowledged must be there again. */
class KillIT {
    @TempDir
    private Path home;

    private RealServer server;

    @BeforeEach
    void start() throws Exception {
        server = new RealServer(home);
        server.start();
    }

    @AfterEach
    void stop() throws Exception {
        server.kill();
    }

    @Test
    void noAcknowledgedEventIsLost() throws Exception {
        String token = server.signIn();
        server.post("/jobs/3/chair/begin", token, "application/x-www-form-urlencoded", "");
        List<String> acknowledged = new ArrayList<>();
        for (int k = 0; k < 12; k++) {
            String id = UUID.randomUUID().toString();
            assertThat(server.note(3, token, id, "note " + k).statusCode()).isEqualTo(200);
            acknowledged.add(id);
        }
        server.kill();
        server.start();
        // nobody is asked to sign in again, and the page that stood open can still report
        assertThat(server.note(3, token, UUID.randomUUID().toString(), "from the page of before")
                        .statusCode())
                .isEqualTo(200);
        String file = server.get("/jobs/3/export.json");
        assertThat(acknowledged).allSatisfy(id -> assertThat(file).contains(id));
        assertThat(server.get("/jobs/3/chair/state")).as("the run goes on").contains("\"ended\":false");
    }
}
