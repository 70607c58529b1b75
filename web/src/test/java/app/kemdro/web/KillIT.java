package app.kemdro.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.File;
import java.io.IOException;
import java.net.CookieManager;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.locks.LockSupport;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The server is killed in the middle of a run, with no chance to tidy up; what it acknowledged must be there again. */
class KillIT {
    @TempDir
    private Path home;

    private final int port = freePort();
    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
    private Process server;

    @AfterEach
    void stop() {
        if (server != null) {
            server.destroyForcibly();
        }
    }

    @Test
    void noAcknowledgedEventIsLost() throws Exception {
        start();
        String token = signIn();
        post("/jobs/3/chair/begin", token, "application/x-www-form-urlencoded", "");
        List<String> acknowledged = new ArrayList<>();
        for (int k = 0; k < 12; k++) {
            String id = UUID.randomUUID().toString();
            String body = "{\"id\":\"%s\",\"type\":\"NOTE\",\"hands\":\"Pell\",\"text\":\"note %d\"}".formatted(id, k);
            assertThat(post("/jobs/3/chair/events", token, "application/json", body)
                            .statusCode())
                    .isEqualTo(200);
            acknowledged.add(id);
        }
        server.destroyForcibly().waitFor();
        start();
        // nobody is asked to sign in again, and the page that stood open can still report
        String late = "{\"id\":\"%s\",\"type\":\"NOTE\",\"hands\":\"Pell\",\"text\":\"from the page of before\"}"
                .formatted(UUID.randomUUID());
        assertThat(post("/jobs/3/chair/events", token, "application/json", late).statusCode())
                .isEqualTo(200);
        String file = get("/jobs/3/export.json");
        assertThat(acknowledged).allSatisfy(id -> assertThat(file).contains(id));
        assertThat(get("/jobs/3/chair/state")).as("the run goes on").contains("\"ended\":false");
    }

    private void start() throws Exception {
        File[] jars = new File("target").listFiles((dir, name) -> name.matches("web-.*\\.jar"));
        assertThat(jars).as("the packaged application").isNotEmpty();
        server = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-XX:TieredStopAtLevel=1",
                        "-Dspring.profiles.active=demo",
                        "-Dserver.port=" + port,
                        "-Dkemdro.home=" + home,
                        "-jar",
                        jars[0].getPath())
                .redirectErrorStream(true)
                .redirectOutput(Files.createTempFile("kemdro-kill", ".log").toFile())
                .start();
        long deadline = System.nanoTime() + Duration.ofMinutes(6).toNanos();
        while (System.nanoTime() < deadline) {
            try {
                if (http.send(request("/sign-in").build(), BodyHandlers.ofString())
                                .statusCode()
                        == 200) {
                    return;
                }
            } catch (IOException notYet) {
                assertThat(server.isAlive()).as("the server is starting").isTrue();
            }
            // spinning would take a core from the server that is waited for
            LockSupport.parkNanos(Duration.ofMillis(250).toNanos());
        }
        throw new AssertionError("the server did not answer in time");
    }

    private String signIn() throws Exception {
        String token = token(get("/sign-in"));
        post("/sign-in", token, "application/x-www-form-urlencoded", "username=ines&password=bell-founder");
        return token(get("/shelf"));
    }

    private static String token(String page) {
        Matcher m = Pattern.compile("name=\"csrf-token\" content=\"([^\"]+)\"").matcher(page);
        assertThat(m.find()).isTrue();
        return m.group(1);
    }

    private HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                .timeout(Duration.ofSeconds(30));
    }

    private String get(String path) throws Exception {
        return http.send(request(path).build(), BodyHandlers.ofString()).body();
    }

    private HttpResponse<String> post(String path, String token, String type, String body) throws Exception {
        return http.send(
                request(path)
                        .header("Content-Type", type)
                        .header("X-CSRF-TOKEN", token)
                        .POST(HttpRequest.BodyPublishers.ofString(body))
                        .build(),
                BodyHandlers.ofString());
    }

    private static int freePort() {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }
}
