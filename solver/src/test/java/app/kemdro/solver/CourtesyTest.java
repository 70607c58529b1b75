package app.kemdro.solver;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.Test;

/** Asked of the system itself: what it says of the thread and of one begun by it. */
class CourtesyTest {
    private static final int NICE = 18;

    @Test
    void aThreadThatStepsBackIsLastInLineAndWhatItBeginsToo() throws InterruptedException {
        assumeThat(Path.of("/proc/thread-self/stat")).exists();
        AtomicReference<String> own = new AtomicReference<>("");
        AtomicReference<String> begun = new AtomicReference<>("");
        Thread thread = new Thread(() -> {
            assertThat(Courtesy.stepBack()).isTrue();
            own.set(nice());
            Thread child = new Thread(() -> begun.set(nice()));
            child.start();
            try {
                child.join();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        });
        String before = nice();
        thread.start();
        thread.join();
        assertThat(own.get()).isEqualTo("19");
        assertThat(begun.get()).isEqualTo("19");
        assertThat(nice()).isEqualTo(before);
    }

    /** The nineteenth word of proc(5)'s stat; the second, a name in brackets, may hold spaces. */
    private static String nice() {
        try {
            String stat = Files.readString(Path.of("/proc/thread-self/stat"));
            return stat.substring(stat.lastIndexOf(')') + 2).split(" ")[NICE - 2];
        } catch (IOException e) {
            return e.toString();
        }
    }
}
