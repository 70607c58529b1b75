package app.kemdro.web.records.search;

import app.kemdro.core.schedule.Prover;
import app.kemdro.solver.ExactProver;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What looks for the best order. */
@Configuration
class SearchConfig {
    @Bean
    Prover prover() {
        return new ExactProver();
    }
}
