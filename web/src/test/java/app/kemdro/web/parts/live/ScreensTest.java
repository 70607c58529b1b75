package app.kemdro.web.parts.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.web.servlet.mvc.method.annotation.ResponseBodyEmitter.DataWithMediaType;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

class ScreensTest {
    private static final Duration LONG = Duration.ofMinutes(2);
    private final Screens screens = new Screens();

    /** A screen that writes down what it is told; one that is stalled reads nothing until it is let. */
    private static final class Listening extends SseEmitter {
        private final List<String> heard = new CopyOnWriteArrayList<>();
        private final CountDownLatch reads = new CountDownLatch(1);
        private volatile boolean ended;

        Listening(boolean stalled) {
            super(0L);
            if (!stalled) {
                reads.countDown();
            }
        }

        @Override
        public void send(SseEventBuilder event) throws IOException {
            try {
                reads.await();
            } catch (InterruptedException e) {
                throw new IOException(e);
            }
            String said = event.build().stream()
                    .map(DataWithMediaType::getData)
                    .map(String::valueOf)
                    .collect(Collectors.joining());
            heard.add(said.replaceAll("(?s).*data:", "").strip());
        }

        @Override
        public void complete() {
            ended = true;
        }
    }

    private Listening listen(boolean stalled) {
        Listening one = new Listening(stalled);
        screens.begin(one, "chair", "first", null, () -> true);
        return one;
    }

    @AfterEach
    void close() {
        screens.close();
    }

    @Test
    void screensThatDoNotReadDelayNoOther() {
        List<Listening> stalled =
                IntStream.range(0, 10).mapToObj(k -> listen(true)).toList();
        List<Listening> reading =
                IntStream.range(0, 30).mapToObj(k -> listen(false)).toList();
        List<String> said = IntStream.range(0, 40).mapToObj(k -> "word " + k).toList();
        said.forEach(w -> screens.tell("chair", "now", w));
        for (Listening one : reading) {
            await().atMost(LONG).until(() -> one.heard.size() == 41);
            assertThat(one.heard.subList(1, 41))
                    .as("in the order in which it was said")
                    .isEqualTo(said);
        }
        assertThat(stalled).allSatisfy(one -> assertThat(one.heard).isEmpty());
        // and once they read again, they are told everything that waited
        stalled.forEach(one -> one.reads.countDown());
        await().atMost(LONG).until(() -> stalled.stream().allMatch(one -> one.heard.size() == 41));
    }

    @Test
    void oneThatDoesNotReadForTooLongIsLetGo() {
        Listening stalled = listen(true);
        for (int k = 0; k <= Screen.MOST + 1; k++) {
            screens.tell("chair", "now", "word " + k);
        }
        stalled.reads.countDown();
        await().atMost(LONG).until(() -> stalled.ended);
        assertThat(stalled.heard).hasSizeLessThan(Screen.MOST);
    }

    @Test
    void whoMayNoLongerIsEndedBeforeAnythingIsSaid() {
        AtomicBoolean may = new AtomicBoolean(true);
        Listening one = new Listening(false);
        screens.begin(one, "chair", "first", "session 1", may::get);
        await().atMost(LONG).until(() -> one.heard.size() == 1);
        may.set(false);
        screens.tell("chair", "now", "a secret");
        await().atMost(LONG).until(() -> one.ended);
        assertThat(one.heard).noneMatch(w -> w.contains("secret"));
    }

    @Test
    void aSessionsScreensEndWithIt() {
        Listening mine = new Listening(false);
        Listening other = new Listening(false);
        screens.begin(mine, "chair", "first", "session 1", () -> true);
        screens.begin(other, "chair", "first", "session 2", () -> true);
        screens.endIn("session 1");
        await().atMost(LONG).until(() -> mine.ended);
        screens.tell("chair", "now", "on");
        await().atMost(LONG).until(() -> other.heard.contains("on"));
        assertThat(other.ended).isFalse();
    }
}
