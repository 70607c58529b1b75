package app.kemdro.web.plans;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.LookPlanner;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.schedule.Confidence;
import app.kemdro.core.schedule.Planner;
import app.kemdro.web.job.Job;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Plans of jobs, made once for each version of a job. */
@Service
public class Plans {
    /** Placements tried: as many as fit in a tenth of a second for a job of 80 steps on a small machine. */
    private static final int FULL = 120;

    private static final int LIVE = 40;
    private static final int ROUGH = 8;
    private static final int MORNINGS = 300;
    private static final int REMEMBERED = 60;

    private final LookPlanner full;
    private final LookPlanner rough;
    private final LookPlanner live;
    private final Map<Key, Answer> answers = Collections.synchronizedMap(new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, Answer> eldest) {
            return size() > REMEMBERED;
        }
    });

    private record Key(long job, long version) {}

    /** What was computed for a version of a job; confidence only where there is a plan. */
    public record Answer(Planning planning, Optional<Confidence> confidence) {

        public Optional<Plan> plan() {
            return planning instanceof Planning.Done done ? Optional.of(done.plan()) : Optional.empty();
        }
    }

    Plans(Trade trade) {
        full = new LookPlanner(trade, Planner.trying(FULL));
        rough = new LookPlanner(trade, Planner.trying(ROUGH));
        live = new LookPlanner(trade, Planner.trying(LIVE));
    }

    /** The plan of this job, or what stands in its way. */
    public Answer of(Job job) {
        Key key = new Key(job.id(), job.version());
        Answer known = answers.get(key);
        if (known == null) {
            known = answer(full.plan(job.look(), job.brief()));
            answers.put(key, known);
        }
        return known;
    }

    private static Answer answer(Planning planning) {
        Optional<Confidence> confidence = planning instanceof Planning.Done done
                ? Optional.of(Confidence.of(done.plan().network(), done.plan().schedule(), MORNINGS))
                : Optional.empty();
        return new Answer(planning, confidence);
    }

    /** A plan of something that is not stored, as carefully as a stored one. */
    public Planning full(Look look, Brief brief) {
        return full.plan(look, brief);
    }

    /** A rough plan, for comparing choices with one another; only ever compared with another rough one. */
    public Planning rough(Look look, Brief brief) {
        return rough.plan(look, brief);
    }

    /** The planner for what is left of a run. */
    public LookPlanner live() {
        return live;
    }
}
