package app.kemdro.web.rooms.door;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.web.DemoTest;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.test.web.servlet.assertj.MvcTestResultAssert;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

@DemoTest
class WhoMayTest {
    @Autowired
    private MockMvcTester mvc;

    @Autowired
    private RequestMappingHandlerMapping requestMappingHandlerMapping;

    @ParameterizedTest
    @CsvSource({
        "LEAD, /shelf, 200",
        "HANDS, /shelf, 200",
        "FLOOR, /shelf, 200",
        "LEAD, /jobs/1/look, 200",
        "HANDS, /jobs/1/look, 200",
        "FLOOR, /jobs/1/look, 403",
        "LEAD, /people, 200",
        "HANDS, /people, 403",
        "FLOOR, /people, 403",
        "HANDS, /people/1, 403",
        "FLOOR, /people/1, 403",
        "HANDS, /jobs/2/floor, 200",
        "FLOOR, /jobs/2/floor, 403",
        "FLOOR, /jobs/2/chair, 403",
        "FLOOR, /jobs/1/chair/pictures/any, 403",
        "HANDS, /jobs/2/order.pdf, 200",
        "FLOOR, /jobs/2/order.pdf, 403",
        "HANDS, /jobs/new, 403",
        "HANDS, /import, 403",
        "FLOOR, /jobs/1/export.json, 403"
    })
    void everyRoleSeesWhatItMay(String role, String path, int status) {
        assertThat(mvc.get().uri(path).with(user("pell").roles(role))).hasStatus(status);
    }

    @Test
    void strangersAreSentToTheSignInPage() {
        assertThat(mvc.get().uri("/jobs/1/look")).hasStatus(302).hasRedirectedUrl("/sign-in");
    }

    /** Whoever holds the address of a board, and nothing else, reaches boards and nothing else. */
    @Test
    void withoutAnAccountThereAreBoardsAndTheDoorAndNothingElse() {
        var all = requestMappingHandlerMapping.getHandlerMethods().keySet().stream()
                .flatMap(m -> m.getPatternValues().stream())
                .filter(p -> !p.startsWith("/board/")
                        && !List.of("/sign-in", "/first-lead", "/error", "/certificate", "/certificate.pem")
                                .contains(p))
                .map(p -> p.replaceAll("\\{[^}]+}", "2"))
                .distinct()
                .toList();
        assertThat(all).hasSizeGreaterThan(100);
        assertThat(all).allSatisfy(path -> {
            assertThat(mvc.get().uri(path)).as(path).hasStatus(302).hasRedirectedUrl("/sign-in");
            assertThat(mvc.post().uri(path).with(csrf()))
                    .as(path)
                    .hasStatus(302)
                    .hasRedirectedUrl("/sign-in");
        });
    }

    /** Read from the page's source: neither who sits, nor a step of the plan, nor whose hands. */
    @ParameterizedTest
    @CsvSource({"floor, FLOOR", "stranger, HANDS"})
    void whoeverDoesNotWorkOnAJobSeesItsTimesOnly(String name, String role) throws Exception {
        String seenByLead = source("ines", "LEAD", "/shelf");
        String seen = source(name, role, "/shelf");
        Set<String> secrets = new TreeSet<>(List.of("Tomas Brandvik", "Marit Oyelaran", "Davin Orrel"));
        for (String job : List.of("1", "2", "3")) {
            CSVParser.parse(
                            source("ines", "LEAD", "/jobs/" + job + "/steps.csv"),
                            CSVFormat.DEFAULT.builder().setHeader().get())
                    .forEach(line -> secrets.add(line.get("step")));
        }
        secrets.removeIf(secret -> secret.length() < 9);
        assertThat(secrets).as("names and titles of steps").hasSizeGreaterThan(40);
        assertThat(secrets.stream().filter(seenByLead::contains))
                .as("a lead sees some of them")
                .hasSizeGreaterThan(10);
        assertThat(secrets).noneMatch(seen::contains);
        assertThat(seen).contains("Orrin Vask").contains("start by");
    }

    /** Who sits is read by the floor where a lead allows it, and found by it; a step or hands are not. */
    @Test
    void theFloorReadsNamesWhereALeadAllowsIt() throws Exception {
        assertThat(source("floor", "FLOOR", "/shelf")).doesNotContain("Tomas Brandvik");
        assertThat(source("floor", "FLOOR", "/shelf?find=Brandvik")).doesNotContain("Orrin Vask");
        allowed("floor", true).hasStatus(302);
        assertThat(source("floor", "FLOOR", "/shelf"))
                .contains("Tomas Brandvik")
                .doesNotContain("/jobs/2/look");
        assertThat(source("floor", "FLOOR", "/shelf?find=Brandvik")).contains("Orrin Vask");
        allowed("floor", false).hasStatus(302);
        assertThat(source("floor", "FLOOR", "/shelf")).doesNotContain("Tomas Brandvik");
        allowed("pell", true).flash().containsKey("refused");
    }

    private MvcTestResultAssert allowed(String account, boolean names) {
        return assertThat(mvc.post()
                .uri("/people/accounts/" + account + "/names")
                .param("allowed", String.valueOf(names))
                .with(csrf())
                .with(user("ines").roles("LEAD")));
    }

    private String source(String name, String role, String path) throws Exception {
        return mvc.get()
                .uri(path)
                .with(user(name).roles(role))
                .exchange()
                .getResponse()
                .getContentAsString();
    }

    @Test
    void handsMayRunTheChairButNotChangeTheLook() {
        assertThat(mvc.post()
                        .uri("/jobs/1/look/add")
                        .param("technique", "base-cream")
                        .param("zones", "nose")
                        .with(csrf())
                        .with(user("pell").roles("HANDS")))
                .hasStatus(403);
        assertThat(mvc.post()
                        .uri("/jobs/3/chair/begin")
                        .with(csrf())
                        .with(user("pell").roles("HANDS")))
                .hasStatus(302);
    }

    @Test
    void onlyALeadGivesAddressesOutAndWishes() {
        for (String path : new String[] {"/jobs/2/floor", "/jobs/2/order/back", "/jobs/2/order/chair-in"}) {
            assertThat(mvc.post().uri(path).with(csrf()).with(user("pell").roles("HANDS")))
                    .hasStatus(403);
        }
        assertThat(mvc.get().uri("/board/no-such-secret"))
                .hasStatus(200)
                .bodyText()
                .contains("closed");
    }

    @Test
    void aPressFromAnotherSiteIsRefused() {
        assertThat(mvc.post().uri("/jobs/1/again").with(user("ines").roles("LEAD")))
                .hasStatus(403);
    }

    @Test
    void nothingInlineAndNothingFromOutsideMayRun() {
        assertThat(mvc.get().uri("/sign-in"))
                .hasHeader(
                        "Content-Security-Policy",
                        "default-src 'none'; script-src 'self'; style-src 'self'; img-src 'self' data:; font-src 'self'; "
                                + "connect-src 'self'; form-action 'self'; base-uri 'none'; frame-ancestors 'none'");
        assertThat(mvc.get().uri("/jobs/2/order").with(user("ines").roles("LEAD")))
                .bodyText()
                .doesNotContain(" style=\"")
                .doesNotContain(" onclick=");
    }

    @Test
    void aPageThatDoesNotExistIsSaidInPlainWords() {
        assertThat(mvc.get().uri("/jobs/999/look").with(user("ines").roles("LEAD")))
                .hasStatus(404)
                .bodyText()
                .contains("No job 999 stands on the shelf")
                .doesNotContain("Exception");
    }
}
