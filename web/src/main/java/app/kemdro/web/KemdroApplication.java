package app.kemdro.web;

import app.kemdro.web.records.plan.TradeConfig;
import java.time.Clock;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.context.annotation.Bean;

/** Starts Kemdro. */
@SpringBootApplication
public class KemdroApplication {
    public static void main(String[] args) {
        TradeConfig.begin();
        SpringApplication.run(KemdroApplication.class, args);
    }

    @Bean
    Clock clock() {
        return new HouseClock();
    }
}
