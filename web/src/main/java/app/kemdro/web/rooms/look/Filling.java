package app.kemdro.web.rooms.look;

import app.kemdro.core.look.Look;
import app.kemdro.core.plan.Proposals;
import app.kemdro.core.plan.Trials;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.plan.Plans;
import java.util.Optional;

/** Covers bare skin, one proposal after another. */
final class Filling {
    /** More than a body has zones. */
    private static final int MOST = 200;

    private Filling() {}

    /** The look once nothing is proposed any more that may be offered; every proposal leaves less skin bare. */
    static Look of(Look look, Job job, Proposals proposals, Plans plans) {
        Look now = look;
        for (int k = 0; k < MOST; k++) {
            Look before = now;
            Trials trials = plans.trials(before, job);
            Optional<Look> next = proposals.fills(before).stream()
                    .map(Proposals.Proposal::look)
                    .filter(l -> !l.equals(before) && trials.mayBeOffered(l))
                    .findFirst();
            if (next.isEmpty()) {
                break;
            }
            now = next.get();
        }
        return now;
    }
}
