package app.kemdro.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.CookieManager;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.function.Consumer;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Somebody who uses a running demo over HTTP, signed in or not. */
final class Visitor {
    private static final Pattern TOKEN = Pattern.compile("name=\"csrf-token\" content=\"([^\"]+)\"");

    private static final Pattern NEXT = Pattern.compile(
            "\"name\":\"Ines\".*?\"running\":(null|\\{\"step\":\"([^\"]+)\").*?\"upcoming\":(null|\\{\"step\":\"([^\"]+)\")");

    private final String base;
    private final CookieManager cookies = new CookieManager();
    private final HttpClient http = HttpClient.newBuilder()
            .version(HttpClient.Version.HTTP_1_1)
            .cookieHandler(cookies)
            .build();
    private String token = "";

    Visitor(String base) {
        this.base = base;
    }

    /** Signs in as the demo's lead. */
    Visitor signIn() throws IOException, InterruptedException {
        token = tokenOf(get("/sign-in"));
        post("/sign-in", "application/x-www-form-urlencoded", "username=ines&password=bell-founder");
        token = tokenOf(get("/shelf"));
        return this;
    }

    private static String tokenOf(String page) {
        Matcher m = TOKEN.matcher(page);
        if (!m.find()) {
            throw new IllegalStateException("The page has no token");
        }
        return m.group(1);
    }

    private HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create(base + path)).timeout(Duration.ofSeconds(60));
    }

    String get(String path) throws IOException, InterruptedException {
        return http.send(request(path).build(), BodyHandlers.ofString()).body();
    }

    HttpResponse<String> post(String path, String type, String body) throws IOException, InterruptedException {
        return http.send(
                request(path)
                        .header("Content-Type", type)
                        .header("X-CSRF-TOKEN", token)
                        .POST(HttpRequest.BodyPublishers.ofString(body))
                        .build(),
                BodyHandlers.ofString());
    }

    /** Posts a form of one field. */
    HttpResponse<String> form(String path, String field, String value) throws IOException, InterruptedException {
        return post(
                path,
                "application/x-www-form-urlencoded",
                field + "=" + URLEncoder.encode(value, StandardCharsets.UTF_8));
    }

    /** What the demo's lead would press. */
    record Press(String type, String step) {}

    /** Real work: the step that is begun is ended, the next one begun; where neither is, something is noted. */
    Press next(String job) throws IOException, InterruptedException {
        Matcher now = NEXT.matcher(get("/jobs/" + job + "/chair/state"));
        if (!now.find() || now.group(2) == null && now.group(4) == null) {
            return new Press("NOTE", "");
        }
        return now.group(2) != null ? new Press("FINISH", now.group(2)) : new Press("START", now.group(4));
    }

    /** Presses in the chair of a job, and means it, though it be against the clock or the order. */
    HttpResponse<String> press(String job, String id, Press press) throws IOException, InterruptedException {
        return post(
                "/jobs/" + job + "/chair/events",
                "application/json",
                "{\"id\":\"%s\",\"version\":2,\"device\":\"bench\",\"type\":\"%s\",\"hands\":\"Ines\",\"step\":\"%s\",\"text\":\"press\",\"sure\":true}"
                        .formatted(id, press.type(), press.step()));
    }

    /** Asks for a stream of events and never reads of it, as a tablet does that has fallen asleep. */
    Socket asleep(String path) throws IOException {
        URI at = URI.create(base + path);
        Socket socket = new Socket();
        socket.setReceiveBufferSize(2048);
        socket.connect(new InetSocketAddress(at.getHost(), at.getPort()));
        String cookies = this.cookies.getCookieStore().getCookies().stream()
                .map(c -> c.getName() + "=" + c.getValue())
                .collect(Collectors.joining("; "));
        socket.getOutputStream()
                .write(("GET " + path + " HTTP/1.1\r\nHost: " + at.getAuthority()
                                + "\r\nAccept: text/event-stream\r\nCookie: " + cookies + "\r\n\r\n")
                        .getBytes(StandardCharsets.US_ASCII));
        return socket;
    }

    /** Listens to a stream of events until it ends; each line is handed on. */
    void listen(String path, Consumer<String> line) throws IOException, InterruptedException {
        var answer = http.send(HttpRequest.newBuilder(URI.create(base + path)).build(), BodyHandlers.ofInputStream());
        try (BufferedReader lines = new BufferedReader(new InputStreamReader(answer.body(), StandardCharsets.UTF_8))) {
            String next = lines.readLine();
            while (next != null) {
                line.accept(next);
                next = lines.readLine();
            }
        }
    }
}
