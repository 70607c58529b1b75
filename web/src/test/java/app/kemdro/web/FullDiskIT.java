package app.kemdro.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The system refuses to let the data grow, as a full disk does, in the middle of a run; later it may grow again. */
class FullDiskIT {
    private static final int MOST = 4000;

    @TempDir
    private Path home;

    private RealServer server;

    @BeforeEach
    void start() throws Exception {
        assumeTrue(Files.isExecutable(Path.of("/usr/bin/prlimit")), "the limit is set with prlimit of util-linux");
        server = new RealServer(home);
        server.start();
    }

    @AfterEach
    void stop() throws Exception {
        server.kill();
    }

    private void files(String most) throws Exception {
        Process limit = new ProcessBuilder("prlimit", "--pid", "" + server.pid(), "--fsize=" + most + ":unlimited")
                .inheritIO()
                .start();
        assertThat(limit.waitFor()).isZero();
    }

    @Test
    void whatWasAcknowledgedIsThereAndItGoesOnByItself() throws Exception {
        String token = server.signIn();
        server.post("/jobs/3/chair/begin", token, "application/x-www-form-urlencoded", "");
        List<String> acknowledged = new ArrayList<>();
        acknowledged.add(press(token));
        files("" + (Files.size(home.resolve("kemdro.mv.db")) + 100_000));
        HttpResponse<String> last = null;
        for (int k = 0; k < MOST && (last == null || last.statusCode() == 200); k++) {
            String id = UUID.randomUUID().toString();
            last = server.note(3, token, id, "x".repeat(400));
            if (last.statusCode() == 200) {
                acknowledged.add(id);
            }
        }
        assertThat(last.statusCode()).as("it ends in words").isEqualTo(507);
        assertThat(last.body()).contains("The disk failed for a moment").doesNotContain("Exception", "h2");
        files("unlimited");
        // whatever stood open was thrown away: at the latest the second press is kept
        server.note(3, token, UUID.randomUUID().toString(), "perhaps");
        acknowledged.add(press(token));
        String file = server.get("/jobs/3/export.json");
        assertThat(acknowledged).allSatisfy(id -> assertThat(file).contains(id));
        server.kill();
        server.start();
        server.signIn();
        String after = server.get("/jobs/3/export.json");
        assertThat(acknowledged).allSatisfy(id -> assertThat(after).contains(id));
    }

    private String press(String token) throws Exception {
        String id = UUID.randomUUID().toString();
        assertThat(server.note(3, token, id, "kept").statusCode()).isEqualTo(200);
        return id;
    }

    @Test
    void aSecondServerOnTheSameDataSaysSoInOneSentence() throws Exception {
        Path says = Files.createTempFile("kemdro-second", ".log");
        Process second = server.second(says);
        try {
            assertThat(second.waitFor(6, TimeUnit.MINUTES)).isTrue();
        } finally {
            second.destroyForcibly();
        }
        assertThat(second.exitValue()).isEqualTo(1);
        assertThat(Files.readAllLines(says).stream().filter(line -> !line.contains(" INFO ")))
                .containsExactly(
                        "kemdro: Another Kemdro is using this data; stop it first, or point KEMDRO_HOME to another folder.");
    }
}
