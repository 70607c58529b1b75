package app.kemdro.web.plans;

import app.kemdro.core.method.Trade;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

@Configuration
class TradeConfig {
    /** The trade's data, read and checked once; a broken file stops the start with file, line and reason. */
    @Bean
    Trade trade() {
        return Trade.standard();
    }
}
