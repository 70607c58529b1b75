package app.kemdro.web.records.run;

import java.util.stream.IntStream;
import org.springframework.stereotype.Component;

/**
 * What is reported of one job is taken in one after another; jobs that share a lock wait for each other now and then. That a job
 * has one run that is on is the data's own rule.
 */
@Component
public class JobLocks {
    private static final int LOCKS = 64;

    private final Object[] locks =
            IntStream.range(0, LOCKS).mapToObj(k -> new Object()).toArray();

    /** The lock of this job. */
    public Object of(long jobId) {
        return locks[(int) Math.floorMod(jobId, (long) LOCKS)];
    }
}
