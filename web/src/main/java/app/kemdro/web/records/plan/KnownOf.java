package app.kemdro.web.records.plan;

import app.kemdro.core.hour.Wall;
import app.kemdro.web.records.plan.Plans.Answer;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.ZoneId;
import java.util.function.Supplier;

/**
 * What hangs on an answer alone: worked out once, kept for as long as the answer is, and worked out again where the house has moved to
 * another zone of time, since it may say hours.
 */
public final class KnownOf<T> {
    private final Cache<Answer, Known<T>> known =
            Caffeine.newBuilder().weakKeys().build();

    private record Known<T>(ZoneId zone, T what) {}

    /** What is known of this answer. */
    public T of(Answer answer, Supplier<T> work) {
        ZoneId zone = Wall.zone();
        return known.asMap()
                .compute(
                        answer,
                        (a, before) ->
                                before != null && before.zone().equals(zone) ? before : new Known<>(zone, work.get()))
                .what();
    }
}
