package app.kemdro.web.rooms.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.core.look.Brief;
import app.kemdro.core.plan.BenchDays.Hours;
import app.kemdro.core.plan.Plan;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.paint.JobColours;
import app.kemdro.web.records.plan.Plans;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.time.DayOfWeek;
import java.time.LocalTime;
import java.util.List;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.test.web.servlet.assertj.MvcTestResult;

@DemoTest
class ExchangeTest {
    @Autowired
    private MockMvcTester mvc;

    @Autowired
    private Jobs jobs;

    @Autowired
    private Plans plans;

    @Autowired
    private JobColours colours;

    private Job founder() {
        return DemoJobs.called("Orrin Vask", jobs);
    }

    private String get(String path) throws Exception {
        return mvc.get()
                .uri(path)
                .with(user("ines").roles("LEAD"))
                .exchange()
                .getResponse()
                .getContentAsString(StandardCharsets.UTF_8);
    }

    private MvcTestResult take(String text) {
        return mvc.post()
                .multipart()
                .uri("/import")
                .file(new MockMultipartFile(
                        "file", "job.json", "application/json", text.getBytes(StandardCharsets.UTF_8)))
                .with(csrf())
                .with(user("ines").roles("LEAD"))
                .exchange();
    }

    @Test
    void aJobThatGoesOutComesInAgainTheSame() throws Exception {
        Job out = jobs.change(
                founder().id(),
                j -> j.planBench(
                        new Hours(LocalTime.of(8, 30), LocalTime.of(16, 0), 2, Set.of(DayOfWeek.SUNDAY)),
                        Set.of(j.look().entries().get(0).id())));
        String file = get("/jobs/" + out.id() + "/health.json").replace("Tomas Brandvik", "Tomas Elsewhere");
        String at = String.valueOf(take(file).getResponse().getRedirectedUrl());
        Job in = jobs.get(Long.parseLong(at.replaceAll("\\D+", "")));
        Brief.Performer tomas = out.brief().performer();
        Brief.Performer elsewhere = new Brief.Performer(
                "Tomas Elsewhere",
                tomas.heightCm(),
                tomas.weightKg(),
                tomas.headCm(),
                tomas.reactsTo(),
                tomas.brows(),
                tomas.hair());
        assertThat(in.brief()).isEqualTo(out.brief().on(elsewhere));
        assertThat(in.look()).isEqualTo(out.look());
        assertThat(in.title()).isEqualTo(out.title());
        assertThat(in.benchHours()).isEqualTo(out.benchHours());
        assertThat(in.made()).isEqualTo(out.made()).hasSize(1);
        assertThat(colours.mixes(in.id())).isEqualTo(colours.mixes(out.id())).hasSizeGreaterThan(3);
    }

    /** A mix that needs a paint this house does not have brings it along; one it has is left as it is here. */
    @Test
    void aJobBringsAlongThePaintsItsMixesNeed() throws Exception {
        String file = get("/jobs/" + founder().id() + "/export.json")
                .replace("Bell castor grease, umber", "Bell castor grease, unheard of");
        String at = String.valueOf(take(file).getResponse().getRedirectedUrl());
        long in = Long.parseLong(at.replaceAll("\\D+", ""));
        assertThat(colours.paints(colours.mixes(in)))
                .extracting(p -> p.get("name"))
                .contains("Bell castor grease, unheard of", "Bell castor grease, bronze");
        assertThat(take(file.replaceAll("\"family\"\\s*:\\s*\"castor-grease\"", "\"family\": \"foam\"")))
                .hasStatus(200)
                .bodyText()
                .contains("is no family of paints");
    }

    @Test
    void theExportCarriesTheRunsThatWereHeld() throws Exception {
        Job test = DemoJobs.called("Orrin Vask, camera test", jobs);
        assertThat(get("/jobs/" + test.id() + "/export.json"))
                .contains("\"events\"")
                .contains("\"FINISH\"");
    }

    @Test
    void stepsComeOutAsCsvWithADocumentedHeader() throws Exception {
        List<CSVRecord> rows = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .get()
                .parse(new StringReader(get("/jobs/" + founder().id() + "/steps.csv")))
                .getRecords();
        assertThat(rows).hasSizeBetween(45, 80);
        assertThat(rows.get(0).toMap())
                .containsKeys("number", "begins", "ends", "dry", "hands", "step", "zones", "material", "look_for");
    }

    @Test
    void aNameThatASpreadsheetWouldRunIsMadePlain() throws Exception {
        String file = get("/jobs/" + founder().id() + "/export.json")
                .replace("\"name\" : \"Ines\"", "\"name\" : \"=HYPERLINK(1)\"");
        String at = String.valueOf(take(file).getResponse().getRedirectedUrl()).replace("/brief", "");
        assertThat(get(at + "/steps.csv")).contains("'=HYPERLINK(1)").doesNotContain(",=HYPERLINK");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "\"kemdro-job\" | \"other\" | This is no Kemdro job",
                "\"version\" : 2 | \"version\" : 7 | reads versions 1 to 2",
                "\"cheek-left\" | \"tail\" | is no zone of the body",
                "\"foam-piece\" | \"magic\" | 'magic' is not known here",
                "\"LEAD\" | \"CHIEF\" | crew[0].skill: 'CHIEF' is none of LEAD, ASSISTANT, TRAINEE",
                "\"humidityPercent\" : 45.0 | \"humidityPercent\" : 0 | Humidity of 0 %",
                "\"factor\" : 1.0 | \"factor\" : 9.0 | 9.0 times as long as usual",
                "\"skill\" | \"skil\" | 'skil' is not known here",
                "\"call\" : | \"cal\" : | cannot be read in line",
                "\"hands\" : 1, | \"hands\" : 9, | pairs of hands",
                "\"resin-gum\" | \"moonlight\" | 'moonlight' is not known here"
            })
    void aFileThatCannotBeMeantSaysWhereAndLeavesNothingBehind(String good, String bad, String says) throws Exception {
        String file = get("/jobs/" + founder().id() + "/health.json").replace(good, bad);
        int before = DemoJobs.all(jobs).size();
        assertThat(take(file))
                .hasStatus(200)
                .bodyText()
                .contains(says.replace("'", "&#39;"))
                .doesNotContain("Exception");
        assertThat(DemoJobs.all(jobs)).hasSize(before);
    }

    @Test
    void hostileFilesAreRefused() {
        int before = DemoJobs.all(jobs).size();
        for (String text : new String[] {
            "",
            "null",
            "[]",
            "{",
            "\u0000\u0001",
            "[".repeat(5000),
            "{\"format\":\"kemdro-job\",\"version\":1}",
            "{\"format\":\"kemdro-job\",\"version\":1,\"crew\":[null]}"
        }) {
            assertThat(take(text))
                    .as(text.substring(0, Math.min(20, text.length())))
                    .hasStatus(200)
                    .bodyText()
                    .contains("role=\"alert\"")
                    .doesNotContain("Exception");
        }
        assertThat(DemoJobs.all(jobs)).hasSize(before);
    }

    /** The order travels with the job: where the first has a plan, so has the second, of the same steps and ready no later. */
    @Test
    void aJobTakenInAgainHasAPlanWhereTheFirstHasOne() throws Exception {
        Job out = plans.change(DemoJobs.like("Orrin Vask", "travels", jobs), j -> {})
                .job();
        String file = get("/jobs/" + out.id() + "/export.json");
        assertThat(file).contains("\"order\"");
        String at = String.valueOf(take(file).getResponse().getRedirectedUrl());
        long in = Long.parseLong(at.replaceAll("\\D+", ""));
        Plan first = plans.of(jobs.get(out.id())).plan().orElseThrow();
        Plan second = plans.of(jobs.get(in)).plan().orElseThrow();
        assertThat(second.steps()).isEqualTo(first.steps());
        assertThat(second.schedule().ready())
                .isLessThanOrEqualTo(first.schedule().ready());
    }

    /** RFC 5545, 3.1: lines of at most 75 octets, whatever letters they are of. */
    @Test
    void calendarLinesHaveAtMost75Octets() throws Exception {
        Job job = DemoJobs.like("Orrin Vask", "Ořechová skořápka žluťoučká, přípravná zkouška – číslo dvě", jobs);
        String file = get("/jobs/" + job.id() + "/days.ics");
        assertThat(file).contains("BEGIN:VCALENDAR");
        assertThat(file.split("\r\n"))
                .allSatisfy(l ->
                        assertThat(l.getBytes(StandardCharsets.UTF_8).length).isLessThanOrEqualTo(75));
    }

    /** What nobody can print breaks no sheet. */
    @ParameterizedTest
    @CsvSource({"order.pdf", "bag.pdf", "safety.pdf", "strike.pdf"})
    void lettersThatCannotBePrintedBreakNoSheet(String sheet) throws Exception {
        Job job = DemoJobs.like("Sprue", "a\u0007b\u0000c\u200f \ud83d\ude00 天", jobs);
        var answer = mvc.get()
                .uri("/jobs/" + job.id() + "/" + sheet)
                .with(user("ines").roles("LEAD"))
                .exchange()
                .getResponse();
        assertThat(answer.getStatus()).isEqualTo(200);
        assertThat(answer.getContentType()).startsWith("application/pdf");
    }
}
