package app.kemdro.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Set;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class HostsTest {
    @ParameterizedTest
    @CsvSource({
        "localhost, true",
        "LOCALHOST, true",
        "127.0.0.1, true",
        "192.168.1.20, true",
        "[::1], true",
        "::1, true",
        "fe80::1%eth0, true",
        "bench.local, true",
        "Bench.Local, true",
        "elsewhere.example, false",
        "localhost.elsewhere.example, false",
        "127.0.0.1.elsewhere.example, false",
        "cafe, false",
        "'', false"
    })
    void onlyNamesOfThisMachine(String name, boolean own) {
        assertThat(SecurityConfig.isOwn(name, Set.of("bench.local", ""))).isEqualTo(own);
    }
}
