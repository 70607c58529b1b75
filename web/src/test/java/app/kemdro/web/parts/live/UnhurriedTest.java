package app.kemdro.web.parts.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assumptions.assumeThat;

import app.kemdro.core.hour.Wall;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class UnhurriedTest {
    private final Unhurried unhurried = new Unhurried();

    @Test
    void oneIsWorkedOutAfterAnother() {
        AtomicInteger now = new AtomicInteger();
        AtomicInteger most = new AtomicInteger();
        int sum = IntStream.rangeClosed(1, 40)
                .parallel()
                .map(k -> unhurried.ask(() -> {
                    most.accumulateAndGet(now.incrementAndGet(), Math::max);
                    Thread.yield();
                    now.decrementAndGet();
                    return k;
                }))
                .sum();
        assertThat(sum).isEqualTo(820);
        assertThat(most).hasValue(1);
    }

    /** Asked of the system itself. */
    @Test
    void whoeverPressesSomethingGoesFirst() {
        assumeThat(Path.of("/proc/thread-self/stat")).exists();
        String stat = unhurried.ask(() -> {
            try {
                return Files.readString(Path.of("/proc/thread-self/stat"));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
        // the nineteenth word of proc(5)'s stat; the second, a name in brackets, may hold spaces
        assertThat(stat.substring(stat.lastIndexOf(')') + 2).split(" ")[16]).isEqualTo("10");
    }

    @Test
    void whatGoesWrongIsSaidToWhoeverAsked() {
        IllegalArgumentException wrong = new IllegalArgumentException("no such job");
        assertThatThrownBy(() -> unhurried.ask(() -> {
                    throw wrong;
                }))
                .isSameAs(wrong);
    }

    @Test
    void hoursOfOneJobAreNotThoseOfTheNext() {
        boolean opened = unhurried.ask(() -> {
            Wall.of(LocalDateTime.of(2026, 10, 25, 6, 0));
            return Wall.line().isPresent();
        });
        assertThat(opened).isTrue();
        assertThat(unhurried.ask(() -> Wall.line().isPresent())).isFalse();
    }
}
