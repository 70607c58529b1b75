package app.kemdro.web.records.keeping;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.web.DemoTest;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.test.context.TestPropertySource;

/** Health and numbers at a port of their own, and nothing else there. */
@DemoTest
@TestPropertySource(properties = "management.server.port=0")
class WatchingTest {
    @Value("${local.management.port}")
    private int watch;

    @Value("${local.server.port}")
    private int port;

    private static HttpResponse<String> get(int at, String path) throws Exception {
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + at + path))
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
    }

    @Test
    void whoeverRunsItSeesHealthAndNumbersAtAPortOfTheirOwn() throws Exception {
        assertThat(get(watch, "/actuator/health").body())
                .contains("\"status\":\"UP\"", "\"free bytes\"", "\"last backup\":\"none yet\"")
                .doesNotContain("/tmp", "kemdro.mv.db");
        assertThat(get(watch, "/actuator/metrics/jvm.memory.used").body()).contains("\"VALUE\"");
        String numbers = get(watch, "/actuator/prometheus").body();
        assertThat(numbers).contains("jvm_memory_used_bytes").doesNotContain("ines", "Aldery");
    }

    @Test
    void nothingElseIsThereAndNothingOfItInTheHouse() throws Exception {
        for (String other : new String[] {"env", "beans", "heapdump", "loggers", "configprops", "mappings"}) {
            assertThat(get(watch, "/actuator/" + other).statusCode()).as(other).isNotEqualTo(200);
        }
        assertThat(get(watch, "/shelf").statusCode()).isNotEqualTo(200);
        assertThat(get(port, "/actuator/health").statusCode()).isNotEqualTo(200);
    }
}
