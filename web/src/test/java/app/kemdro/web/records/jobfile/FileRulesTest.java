package app.kemdro.web.records.jobfile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jakarta.validation.Validation;
import jakarta.validation.ValidatorFactory;
import java.util.Collections;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A file that breaks one rule is refused with the field, what is wrong with it, and what could stand there. */
class FileRulesTest {
    private static final ValidatorFactory VALIDATORS = Validation.buildDefaultValidatorFactory();
    private static final FileRules RULES = new FileRules(VALIDATORS.getValidator());
    private static final String WHOLE = """
            { "format": "kemdro-job", "version": 2, "title": "Bell", "production": "", "idea": "bronze",
              "performer": { "name": "Tomas" }, "call": "2026-12-03T07:45:00",
              "room": { "temperatureC": 22, "humidityPercent": 45 },
              "crew": [ { "name": "Ines", "skill": "LEAD", "from": "2026-12-03T04:00:00", "until": "2026-12-03T20:00:00", "factor": 1.5 } ],
              "look": [ { "id": "a", "technique": "t", "zones": [] } ],
              "wishes": [ { "kind": "BEFORE", "step": "s", "to": "", "minutes": 1 } ],
              "breaks": { "everyMinutes": 120, "minutes": 10 },
              "ownTimes": { "t/s": 1.2 },
              "mixes": [ { "name": "m", "entry": "", "parts": {} } ],
              "paints": [ { "name": "n" } ],
              "order": { "steps": [ { "step": "s", "way": 1, "from": 0, "until": 60 } ], "breaks": [ { "from": 60, "until": 90 } ], "ready": 90 } }
            """;

    @AfterAll
    static void close() {
        VALIDATORS.close();
    }

    @Test
    void aWholeFileIsTaken() {
        JobFile file = JobParser.parse(WHOLE);
        assertThat(RULES.checked(file)).isSameAs(file);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '`',
            value = {
                "\"title\": \"Bell\"|\"title\": null|\"title\" is missing. Add it to the file.",
                "\"title\": \"Bell\"|\"title\": \"  \"|\"title\" takes 1 to 80 letters; this has 0.",
                "\"performer\": { \"name\": \"Tomas\" }|\"performer\": {}|\"performer.name\" is missing. Add it to the file.",
                "\"performer\": { \"name\": \"Tomas\" }|\"performer\": null|\"performer\" is missing. Add it to the file.",
                "\"call\": \"2026-12-03T07:45:00\"|\"call\": null|\"call\" is missing. Add it to the file.",
                "\"temperatureC\": 22|\"temperatureC\": null|\"room.temperatureC\" is missing. Add it to the file.",
                "\"skill\": \"LEAD\"|\"skill\": null|\"crew[0].skill\" is missing. Add it to the file.",
                "\"factor\": 1.5|\"factor\": 9|crew[0].factor: 9.0 times as long as usual; 0.4 to 2.5 can be meant.",
                "\"t/s\": 1.2|\"t/s\": 0.1|ownTimes[t/s]: 0.1 times as long as usual; 0.4 to 2.5 can be meant.",
                "\"t/s\": 1.2|\"t/s\": null|ownTimes[t/s] is empty.",
                "\"look\": [ {|\"look\": [ null, {|look[0] is empty.",
                "\"technique\": \"t\"|\"technique\": null|\"look[0].technique\" is missing. Add it to the file.",
                "\"kind\": \"BEFORE\"|\"kind\": null|\"wishes[0].kind\" is missing. Add it to the file.",
                "\"everyMinutes\": 120|\"everyMinutes\": null|\"breaks.everyMinutes\" is missing. Add it to the file.",
                "\"parts\": {}|\"parts\": null|\"mixes[0].parts\" is missing. Add it to the file.",
                "{ \"name\": \"n\" }|{ \"name\": null }|paints[0][name] is empty.",
                "\"from\": 0|\"from\": -1|order.steps[0].from: -1 is no second of a day in the chair.",
                "\"ready\": 90|\"ready\": 9999999|order.ready: 9999999 is no second of a day in the chair.",
                "\"way\": 1|\"way\": 99|order.steps[0].way: 99 is no way in which a step is done."
            })
    void aBrokenRuleIsSaidWithItsField(String part, String instead, String says) {
        assertThat(WHOLE).contains(part);
        JobFile file = JobParser.parse(WHOLE.replace(part, instead));
        assertThatThrownBy(() -> RULES.checked(file))
                .isInstanceOf(Unreadable.class)
                .hasMessage(says);
    }

    @Test
    void nothingIsTooLongOrTooMany() {
        assertThatThrownBy(() -> RULES.checked(JobParser.parse(WHOLE.replace("bronze", "x".repeat(601)))))
                .hasMessage("\"idea\" takes 0 to 600 letters; this has 601.");
        String entry = "{ \"id\": \"a\", \"technique\": \"t\", \"zones\": [] }";
        String many = WHOLE.replace(entry, String.join(",", Collections.nCopies(401, entry)));
        assertThatThrownBy(() -> RULES.checked(JobParser.parse(many)))
                .hasMessageMatching("look: that is too many; \\d+ is the most\\.");
    }
}
