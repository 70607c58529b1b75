package app.kemdro.web.records.plan;

import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Problem;
import app.kemdro.web.records.job.Job;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;

/** A room that knows of things that stand in the way of a job; the shelf gathers them. */
public interface InTheWay {
    /**
     * Something in the way.
     *
     * @param brief the same in a few words, for beside the room's name
     * @param late whether it should have happened already
     */
    record Line(Problem problem, String brief, boolean late) {
        public Line(Problem problem, String brief) {
            this(problem, brief, false);
        }
    }

    /** The room, by the name in its address. */
    String room();

    /**
     * What stands in its way. It may hang on the job, on who sits, on blocks that were lifted, on the products of the house and on the
     * hour; with anything else the shelf would not know that it has changed.
     */
    Said of(Job job, Plan plan);

    /**
     * What a room says.
     *
     * @param lines a line or two, the worst first
     * @param until from then on it may say something else because time has passed; empty where it does not look at the clock
     */
    record Said(List<Line> lines, Optional<LocalDateTime> until) {
        public Said {
            lines = List.copyOf(lines);
        }

        /** Said whatever the hour is. */
        public static Said always(List<Line> lines) {
            return new Said(lines, Optional.empty());
        }
    }
}
