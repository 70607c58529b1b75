package app.kemdro.web.parts.live;

import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import org.springframework.scheduling.concurrent.CustomizableThreadFactory;

/** Work beside the requests: one thread each, which does not keep the application from ending. */
public final class Background {
    private Background() {}

    /** A thread of its own, of usual priority. */
    public static ScheduledExecutorService thread(String name) {
        return thread(name, Thread.NORM_PRIORITY);
    }

    /** A thread of its own. */
    public static ScheduledExecutorService thread(String name, int priority) {
        CustomizableThreadFactory factory = new CustomizableThreadFactory(name);
        factory.setDaemon(true);
        factory.setThreadPriority(priority);
        return Executors.newSingleThreadScheduledExecutor(factory);
    }
}
