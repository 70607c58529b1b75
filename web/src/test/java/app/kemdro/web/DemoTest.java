package app.kemdro.web;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.boot.webmvc.test.autoconfigure.AutoConfigureMockMvc;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Import;
import org.springframework.context.annotation.Primary;
import org.springframework.test.context.ActiveProfiles;
import org.springframework.test.context.DynamicPropertyRegistrar;

/** The application with the demo world in a folder of its own and a clock that a test can move. */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@SpringBootTest(webEnvironment = SpringBootTest.WebEnvironment.RANDOM_PORT)
@AutoConfigureMockMvc
@ActiveProfiles("demo")
@Import(DemoTest.Setting.class)
public @interface DemoTest {

    /** Clock and folder. */
    @TestConfiguration
    class Setting {
        @Bean
        @Primary
        TestClock testClock() {
            return new TestClock();
        }

        @Bean
        DynamicPropertyRegistrar folder() {
            Path home;
            try {
                home = Files.createTempDirectory("kemdro-test");
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
            return registry -> {
                registry.add("kemdro.home", home::toString);
                registry.add("kemdro.backups.wanted", () -> "false");
            };
        }
    }
}
