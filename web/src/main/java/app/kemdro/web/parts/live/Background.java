package app.kemdro.web.parts.live;

import app.kemdro.solver.Courtesy;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ThreadFactory;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import org.springframework.scheduling.concurrent.CustomizableThreadFactory;

/** Work beside the requests, on threads that do not keep the application from ending. */
public final class Background {
    private static final int IDLE_SECONDS = 30;

    private Background() {}

    /** A thread of its own, of usual priority. */
    public static ScheduledExecutorService thread(String name) {
        return thread(name, Thread.NORM_PRIORITY);
    }

    /** A thread of its own. */
    public static ScheduledExecutorService thread(String name, int priority) {
        return Executors.newSingleThreadScheduledExecutor(factory(name, priority));
    }

    /** Up to so many threads, each only as long as there is something to do. */
    public static ExecutorService threads(String name, int most) {
        return pool(most, factory(name, Thread.NORM_PRIORITY));
    }

    private static ExecutorService pool(int most, ThreadFactory factory) {
        ThreadPoolExecutor threads = new ThreadPoolExecutor(
                most, most, IDLE_SECONDS, TimeUnit.SECONDS, new LinkedBlockingQueue<>(), factory);
        threads.allowCoreThreadTimeOut(true);
        return threads;
    }

    /** One thread, only as long as there is something to do, behind whoever presses something. */
    public static ExecutorService behind(String name) {
        ThreadFactory usual = factory(name, Thread.NORM_PRIORITY);
        return pool(
                1,
                work -> usual.newThread(() -> {
                    Courtesy.letPass();
                    work.run();
                }));
    }

    private static CustomizableThreadFactory factory(String name, int priority) {
        CustomizableThreadFactory factory = new CustomizableThreadFactory(name);
        factory.setDaemon(true);
        factory.setThreadPriority(priority);
        return factory;
    }
}
