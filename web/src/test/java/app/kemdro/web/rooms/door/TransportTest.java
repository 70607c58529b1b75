package app.kemdro.web.rooms.door;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyStore;
import javax.net.ssl.SSLContext;
import javax.net.ssl.TrustManagerFactory;
import org.junit.jupiter.api.Test;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.test.context.ActiveProfiles;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;

/** HTTPS with a certificate made here, as {@code ./kemdro run --address} makes it, by the same tool. */
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
@ActiveProfiles("demo")
class TransportTest {
    private static final String WORD = "kemdro-certificate";
    private static Path folder = Path.of("");

    @LocalServerPort
    private int port;

    @DynamicPropertySource
    static void certificate(DynamicPropertyRegistry registry) throws Exception {
        folder = Files.createTempDirectory("kemdro-transport");
        tool(
                "-genkeypair",
                "-alias",
                "kemdro",
                "-keyalg",
                "EC",
                "-groupname",
                "secp256r1",
                "-dname",
                "CN=bench",
                "-ext",
                "san=dns:localhost,ip:127.0.0.1",
                "-storetype",
                "PKCS12",
                "-keystore",
                folder.resolve("certificate.p12").toString(),
                "-storepass",
                WORD);
        Files.writeString(
                folder.resolve("certificate.pem"),
                tool(
                        "-exportcert",
                        "-rfc",
                        "-alias",
                        "kemdro",
                        "-keystore",
                        folder.resolve("certificate.p12").toString(),
                        "-storepass",
                        WORD));
        registry.add("kemdro.home", () -> folder.resolve("home").toString());
        registry.add(
                "kemdro.certificate", () -> folder.resolve("certificate.pem").toString());
        registry.add("server.ssl.key-store", () -> "file:" + folder.resolve("certificate.p12"));
        registry.add("server.ssl.key-store-password", () -> WORD);
    }

    private static String tool(String... arguments) throws IOException, InterruptedException {
        ProcessBuilder keytool = new ProcessBuilder(
                Path.of(System.getProperty("java.home"), "bin", "keytool").toString());
        keytool.command().addAll(java.util.List.of(arguments));
        Process process = keytool.redirectError(ProcessBuilder.Redirect.DISCARD).start();
        String out = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor()).isZero();
        return out;
    }

    /** Trusts this one certificate and no other. */
    private HttpClient trusting() throws Exception {
        KeyStore store = KeyStore.getInstance("PKCS12");
        try (InputStream in = Files.newInputStream(folder.resolve("certificate.p12"))) {
            store.load(in, WORD.toCharArray());
        }
        KeyStore trusted = KeyStore.getInstance("PKCS12");
        trusted.load(null, null);
        trusted.setCertificateEntry("kemdro", store.getCertificate("kemdro"));
        TrustManagerFactory managers = TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
        managers.init(trusted);
        SSLContext context = SSLContext.getInstance("TLS");
        context.init(null, managers.getTrustManagers(), null);
        return HttpClient.newBuilder().sslContext(context).build();
    }

    private HttpResponse<String> get(String path) throws Exception {
        return trusting()
                .send(
                        HttpRequest.newBuilder(URI.create("https://127.0.0.1:" + port + path))
                                .build(),
                        BodyHandlers.ofString());
    }

    @Test
    void everythingGoesOverHttpsAndTheSessionNeverLeavesIt() throws Exception {
        HttpResponse<String> door = get("/sign-in");
        assertThat(door.statusCode()).isEqualTo(200);
        assertThat(door.body()).contains("Trust this machine once");
        assertThat(door.headers().allValues("set-cookie"))
                .isNotEmpty()
                .allSatisfy(cookie -> assertThat(cookie)
                        .contains("Secure")
                        .contains("HttpOnly")
                        .contains("SameSite=Lax"));
        assertThat(door.headers().firstValue("referrer-policy")).hasValue("same-origin");
        assertThat(RawVisit.raw(port, "127.0.0.1")).startsWith("HTTP/1.1 400");
    }

    /** What the page shows is what the certificate's own tool says of it. */
    @Test
    void theFingerprintIsTheCertificates() throws Exception {
        String said =
                tool("-printcert", "-file", folder.resolve("certificate.pem").toString());
        String fingerprint = said.lines()
                .filter(l -> l.contains("SHA256:"))
                .findFirst()
                .orElseThrow()
                .replaceAll(".*SHA256:\\s*", "")
                .strip();
        assertThat(fingerprint).hasSize(95);
        assertThat(get("/certificate").body()).contains(fingerprint);
        assertThat(get("/certificate.pem").body()).isEqualTo(Files.readString(folder.resolve("certificate.pem")));
    }
}
