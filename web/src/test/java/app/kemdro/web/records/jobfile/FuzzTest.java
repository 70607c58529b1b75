package app.kemdro.web.records.jobfile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.web.AsLead;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.SplittableRandom;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.test.web.servlet.assertj.MvcTestResult;

/** Damaged and hostile files: each is taken whole or refused whole, in words. What was taken is nothing for other tests. */
@DemoTest
@DirtiesContext
class FuzzTest {
    private static final Pattern VALUE =
            Pattern.compile("(?<=[:\\[,] ?)(\"[^\"]*\"|-?[0-9.]+|true|false|null)|(?<=[,\\n\\t ])[^,\\n\\t ]+");
    private static final String[] ODD = {
        "null",
        "-1",
        "1e308",
        "99999999999999999999",
        "\"\"",
        "[]",
        "{}",
        "true",
        "\"../../x\"",
        "\"\\u0000\"",
        "NaN",
        "\"2026-13-45T99:00\"",
        "\"<b>x</b>\"",
        "\"; drop table job; --\"",
        "0.0000001",
        "\"é😀\"",
        "\r\n",
        "255 255",
        "\""
    };

    /** Everything that a file of any kind can add rows to. */
    private static final List<String> TABLES = List.of(
            "job",
            "performer",
            "look_entry",
            "job_hands",
            "job_own_time",
            "recipe",
            "recipe_part",
            "swatch",
            "product");

    @Autowired
    private Jobs jobs;

    @Autowired
    private JobReader reader;

    @Autowired
    private JdbcTemplate database;

    @Autowired
    private MockMvcTester mvc;

    private static String damaged(String whole, SplittableRandom random) {
        StringBuilder text = new StringBuilder(whole);
        for (int n = random.nextInt(1, 5); n > 0 && text.length() > 2; n--) {
            switch (random.nextInt(4)) {
                case 0 -> text.setCharAt(random.nextInt(text.length()), (char) random.nextInt(1, 400));
                case 1 -> {
                    int from = random.nextInt(text.length());
                    text.delete(from, Math.min(text.length(), from + random.nextInt(1, 40)));
                }
                case 2 -> {
                    int from = random.nextInt(text.length());
                    int to = Math.min(text.length(), from + random.nextInt(1, 200));
                    text.insert(random.nextInt(text.length()), text.substring(from, to));
                }
                default -> {
                    List<MatchResult> values = VALUE.matcher(text).results().toList();
                    if (!values.isEmpty()) {
                        MatchResult value = values.get(random.nextInt(values.size()));
                        text.replace(value.start(), value.end(), ODD[random.nextInt(ODD.length)]);
                    }
                }
            }
        }
        return text.toString();
    }

    /** Thousands of damaged job files: each is read as a job or refused with a sentence; nothing else ever comes out. */
    @Test
    void aDamagedJobFileIsReadOrRefusedInWords() throws Exception {
        Job job = DemoJobs.called("Orrin Vask", jobs);
        String whole = new AsLead(mvc).get("/jobs/" + job.id() + "/health.json");
        SplittableRandom random = new SplittableRandom(17);
        int refused = 0;
        for (int k = 0; k < 4000; k++) {
            String file = damaged(whole, random);
            try {
                assertThat(reader.read(file).job().look()).isNotNull();
            } catch (Unreadable wrong) {
                refused++;
                assertThat(wrong.getMessage()).isNotBlank().doesNotContain("Exception", "java.", "app.kemdro");
            }
        }
        assertThat(refused).isBetween(1000, 3999);
    }

    private MvcTestResult send(String to, String name, String text) {
        return mvc.post()
                .uri(to)
                .multipart()
                .file(new MockMultipartFile("file", name, "text/plain", text.getBytes(StandardCharsets.UTF_8)))
                .param("family", "cream")
                .with(csrf())
                .with(user("ines").roles("LEAD"))
                .exchange();
    }

    private long rows(String table) {
        return database.queryForObject("select count(*) from " + table, Long.class);
    }

    /** Sent as a browser sends them: never a server error, never a part of a file. */
    @Test
    void noDamagedFileIsAServerErrorOrHalfTaken() throws Exception {
        AsLead lead = new AsLead(mvc);
        Job job = DemoJobs.like("Sprue", "called", jobs);
        String calendar = "BEGIN:VCALENDAR\r\nVERSION:2.0\r\nBEGIN:VEVENT\r\nUID:1\r\nDTSTAMP:20261101T000000Z\r\n"
                + "DTSTART:20261205T061500\r\nSUMMARY:Unit call\r\nEND:VEVENT\r\nEND:VCALENDAR\r\n";
        record Way(String to, String name, String whole) {}
        List<Way> ways = List.of(
                new Way("/house/paints/file", "a.csv", lead.get("/house/paints.csv")),
                new Way("/house/paints/file", "a.gpl", lead.get("/house/paints.gpl")),
                new Way("/house/products/file", "a.csv", lead.get("/house/products.csv")),
                new Way("/house/products/file", "a.json", lead.get("/house/products.json")),
                new Way("/jobs/" + job.id() + "/brief/call", "a.ics", calendar),
                new Way("/import", "a.json", lead.get("/jobs/" + job.id() + "/export.json")));
        SplittableRandom random = new SplittableRandom(23);
        int refused = 0;
        int taken = 0;
        for (Way way : ways) {
            for (int k = 0; k < 60; k++) {
                String file = damaged(way.whole(), random);
                List<Long> before = TABLES.stream().map(this::rows).toList();
                MvcTestResult answer = send(way.to(), way.name(), file);
                int status = answer.getResponse().getStatus();
                assertThat(status).as(way + "\n" + file).isLessThan(500);
                boolean complains = answer.getMvcResult().getFlashMap().get("complaints") instanceof List<?> wrong
                        && !wrong.isEmpty();
                // a refused job stays on the form, a refused table says its complaints after a redirect
                if (complains || status != 302) {
                    refused++;
                    assertThat(TABLES.stream().map(this::rows))
                            .as("half taken\n" + file)
                            .containsExactlyElementsOf(before);
                } else {
                    taken++;
                }
            }
        }
        assertThat(refused).isGreaterThan(100);
        assertThat(taken).isGreaterThan(20);
    }
}
