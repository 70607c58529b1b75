package app.kemdro.web.parts.mishap;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.web.DemoTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

/** What was asked wrongly is the asker's mistake and never this house's. */
@DemoTest
class ErrorAdviceTest {
    @Autowired
    private MockMvcTester mvc;

    @ParameterizedTest
    @CsvSource({
        "GET, /no/such/room, 404",
        "GET, /jobs/999999/look, 404",
        "GET, /jobs/1/nowhere, 404",
        "GET, /jobs/one/look, 400",
        "DELETE, /jobs/1/look, 405",
        "GET, /jobs/1/look/add, 405",
        "POST, /jobs/1/look/coats, 400",
        "POST, /import, 400",
        "GET, /people/999999, 404",
    })
    void whatIsAskedWronglyIsSaidSo(String method, String path, int status) {
        assertThat(mvc.method(HttpMethod.valueOf(method))
                        .uri(path)
                        .with(csrf())
                        .with(user("ines").roles("LEAD")))
                .hasStatus(status)
                .bodyText()
                .doesNotContain("stumbled")
                .doesNotContain("at app.kemdro")
                .doesNotContain("Exception");
    }

    @Test
    void aPressThatIsNoJsonIsRefusedAsSuch() {
        assertThat(mvc.post()
                        .uri("/jobs/1/chair/events")
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("{nothing")
                        .with(csrf())
                        .with(user("ines").roles("LEAD")))
                .hasStatus(400);
    }
}
