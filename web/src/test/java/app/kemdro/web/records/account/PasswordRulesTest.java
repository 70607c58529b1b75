package app.kemdro.web.records.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PasswordRulesTest {
    private final PasswordRules rules = new PasswordRules();

    /** Among those found most often in what has leaked (from memory), and what names of the account make. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "password", "12345678", "qwertyuiop", "iloveyou", "football", "sunshine", "princess", "letmein1",
                "passw0rd", "baseball1", "superman", "trustno1", "11111111", "abcdefgh", "Password1", "monkey123",
                "ines1990", "inesdorval", "dorval12", "kemdro123"
            })
    void whatIsTriedFirstIsRefused(String password) {
        assertThatThrownBy(() -> rules.check(password, List.of("ines", "Ines Dorval", "kemdro", "Ines", "Dorval")))
                .hasMessageContaining("Take another");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"brass heron under snow", "vat cobble ninepin", "tHr33-gu11s-0v3r-kelp", "ölbaum wehr kranich"})
    void wordsThatDoNotBelongTogetherWillDo(String password) {
        assertThatCode(() -> rules.check(password, List.of("ines"))).doesNotThrowAnyException();
    }

    @Test
    void lengthsAreWhatTheyAreSaidToBe() {
        String long128 = "brass heron under snow ".repeat(6).substring(0, 128);
        assertThatCode(() -> rules.check(long128, List.of())).doesNotThrowAnyException();
        assertThatThrownBy(() -> rules.check(long128 + "x", List.of())).hasMessageContaining("this one has 129");
        assertThatThrownBy(() -> rules.check("vat cob", List.of())).hasMessageContaining("this one has 7");
        assertThat(long128).hasSize(128);
    }
}
