package app.kemdro.solver;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.Test;

/** Asked of the system itself: what it says of the thread and of one begun by it. */
class CourtesyTest {
    private static final int NICE = 18;

    /** What a thread says of itself after it let others pass, and what one says that it began. */
    private static List<String> after(BooleanSupplier courtesy) throws InterruptedException {
        assumeThat(Path.of("/proc/thread-self/stat")).exists();
        List<String> said = Collections.synchronizedList(new ArrayList<>());
        Thread thread = new Thread(() -> {
            said.add("" + courtesy.getAsBoolean());
            said.add(nice());
            Thread child = new Thread(() -> said.add(nice()));
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
        assertThat(nice()).isEqualTo(before);
        return said;
    }

    @Test
    void aThreadThatStepsBackIsLastInLineAndWhatItBeginsToo() throws InterruptedException {
        assertThat(after(Courtesy::stepBack)).containsExactly("true", "19", "19");
    }

    @Test
    void aThreadThatLetsOthersPassStandsBeforeThose() throws InterruptedException {
        assertThat(after(Courtesy::letPass)).containsExactly("true", "10", "10");
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
