package app.kemdro.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.File;
import java.io.IOException;
import java.io.UncheckedIOException;
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
import java.util.List;
import java.util.concurrent.locks.LockSupport;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The packaged application as a process of its own, and somebody who is signed in to it. */
final class RealServer {
    private final Path home;
    private final int port = freePort();
    private final HttpClient http =
            HttpClient.newBuilder().cookieHandler(new CookieManager()).build();
    private Process process;

    RealServer(Path home) {
        this.home = home;
    }

    /** Starts and waits for the first page. */
    void start() throws Exception {
        process = begun(port, Files.createTempFile("kemdro-server", ".log"));
        long deadline = System.nanoTime() + Duration.ofMinutes(6).toNanos();
        while (System.nanoTime() < deadline) {
            try {
                if (http.send(request("/sign-in").build(), BodyHandlers.ofString())
                                .statusCode()
                        == 200) {
                    return;
                }
            } catch (IOException notYet) {
                assertThat(process.isAlive()).as("the server is starting").isTrue();
            }
            // spinning would take a core from the server that is waited for
            LockSupport.parkNanos(Duration.ofMillis(250).toNanos());
        }
        throw new AssertionError("the server did not answer in time");
    }

    /** Another one on the same data, at another port; what it says goes into a file. */
    Process second(Path says) throws IOException {
        return begun(freePort(), says);
    }

    private Process begun(int at, Path says) throws IOException {
        File[] jars = new File("target").listFiles((dir, name) -> name.matches("web-.*\\.jar"));
        assertThat(jars).as("the packaged application").isNotEmpty();
        return OwnProcess.begun(
                List.of(
                        OwnProcess.java(),
                        "-XX:TieredStopAtLevel=1",
                        "-Dspring.profiles.active=demo",
                        "-Dserver.port=" + at,
                        "-Dkemdro.home=" + home,
                        "-jar",
                        jars[0].getPath()),
                says);
    }

    /** Takes it away in the middle of whatever it does. */
    void kill() throws InterruptedException {
        process.destroyForcibly().waitFor();
    }

    long pid() {
        return process.pid();
    }

    /** Signs in; the token with which presses are sent. */
    String signIn() throws Exception {
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
                .timeout(Duration.ofMinutes(2));
    }

    String get(String path) throws Exception {
        return http.send(request(path).build(), BodyHandlers.ofString()).body();
    }

    HttpResponse<String> post(String path, String token, String type, String body) throws Exception {
        return http.send(
                request(path)
                        .header("Content-Type", type)
                        .header("X-CSRF-TOKEN", token)
                        .POST(HttpRequest.BodyPublishers.ofString(body))
                        .build(),
                BodyHandlers.ofString());
    }

    /** Reports a note in the chair of a job. */
    HttpResponse<String> note(int job, String token, String id, String text) throws Exception {
        return post(
                "/jobs/" + job + "/chair/events",
                token,
                "application/json",
                "{\"id\":\"%s\",\"type\":\"NOTE\",\"hands\":\"Pell\",\"text\":\"%s\"}".formatted(id, text));
    }

    private static int freePort() {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
