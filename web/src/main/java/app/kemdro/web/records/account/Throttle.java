package app.kemdro.web.records.account;

import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.LoadingCache;
import io.github.bucket4j.Bucket;
import io.github.bucket4j.TimeMeter;
import java.time.Duration;
import org.springframework.stereotype.Component;

/**
 * Slows down whoever tries passwords: by name, so that one account is not guessed at from many places, and by address, so that many
 * are not from one. A lock is soft: it ends by itself, and whoever is signed in notices nothing of it.
 */
@Component
public class Throttle {
    /** So many wrong tries of a name at once, then one in half a minute. */
    static final int TRIES = 6;

    private static final Duration ONE_MORE = Duration.ofSeconds(30);

    /** So many from one address, where a whole department may sit behind it, then one in ten seconds. */
    static final int FROM_ONE_PLACE = 30;

    private static final Duration ONE_MORE_FROM_THERE = Duration.ofSeconds(10);

    private static final int REMEMBERED = 10_000;

    private final LoadingCache<String, Bucket> names;
    private final LoadingCache<String, Bucket> places;

    Throttle() {
        this(TimeMeter.SYSTEM_MILLISECONDS);
    }

    Throttle(TimeMeter clock) {
        names = buckets(TRIES, ONE_MORE, clock);
        places = buckets(FROM_ONE_PLACE, ONE_MORE_FROM_THERE, clock);
    }

    private static LoadingCache<String, Bucket> buckets(int most, Duration oneMore, TimeMeter clock) {
        return Caffeine.newBuilder()
                .maximumSize(REMEMBERED)
                .build(key -> Bucket.builder()
                        .addLimit(limit -> limit.capacity(most).refillIntervally(1, oneMore))
                        .withCustomTimePrecision(clock)
                        .build());
    }

    /** For how many seconds nobody may try this name from this address; 0 where they may now. */
    public long seconds(String name, String address) {
        return Math.max(wait(names.get(name)), wait(places.get(address)));
    }

    private static long wait(Bucket bucket) {
        long nanos = bucket.estimateAbilityToConsume(1).getNanosToWaitForRefill();
        return nanos == 0 ? 0 : Math.max(1, Duration.ofNanos(nanos).toSeconds() + 1);
    }

    /** A wrong password was tried. */
    public void wrong(String name, String address) {
        names.get(name).tryConsume(1);
        places.get(address).tryConsume(1);
    }

    /** Whoever knows the password is no longer counted against the name. */
    public void right(String name) {
        names.invalidate(name);
    }
}
