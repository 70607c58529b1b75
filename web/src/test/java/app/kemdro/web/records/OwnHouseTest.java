package app.kemdro.web.records;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.test.context.support.WithMockUser;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.test.web.servlet.assertj.MockMvcTester;

/** A house of its own: what belongs to the demo is wired into it, and does nothing. */
@SpringBootTest
@AutoConfigureMockMvc
class OwnHouseTest {
    @Autowired
    private JdbcTemplate database;

    @Autowired
    private MockMvcTester mvc;

    @DynamicPropertySource
    static void empty(DynamicPropertyRegistry registry) throws IOException {
        Path folder = Files.createTempDirectory("kemdro-own-house");
        registry.add("kemdro.home", folder::toString);
    }

    @Test
    void nothingOfTheDemoIsThere() {
        for (String table : database.queryForList(
                "select table_name from information_schema.tables where table_schema = 'PUBLIC' and table_name <> 'flyway_schema_history' and lower(table_name) not like 'spring_session%'",
                String.class)) {
            assertThat(database.queryForObject("select count(*) from \"" + table + "\"", Integer.class))
                    .as(table)
                    .isZero();
        }
        assertThat(mvc.get().uri("/sign-in")).hasStatus3xxRedirection().hasRedirectedUrl("/first-lead");
        assertThat(mvc.get().uri("/first-lead")).bodyText().contains("Who leads?");
    }

    @Test
    @WithMockUser(roles = "LEAD")
    void noStandInPlaysTheRoom() {
        assertThat(mvc.get().uri("/house/room")).hasStatusOk().bodyText().doesNotContain("a kettle in a small room");
    }
}
