package app.kemdro.web.records.plan;

import app.kemdro.core.method.FoundBy;
import app.kemdro.core.method.Trade;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The trade's data, read and checked once; a broken file stops the start with file, line and reason. */
@Configuration
public class TradeConfig {
    private static final CompletableFuture<Trade> READ = CompletableFuture.supplyAsync(Trade::standard);

    /** Begins to read beside everything else of the start, which needs the trade late. */
    public static void begin() {
        // whoever names this class has begun it
    }

    @Bean
    Trade trade() {
        try {
            return READ.join();
        } catch (CompletionException e) {
            throw e.getCause() instanceof RuntimeException broken ? broken : e;
        }
    }

    /** What people call what a technique makes. */
    @Bean
    FoundBy foundBy(Trade trade) {
        return FoundBy.standard(trade);
    }
}
