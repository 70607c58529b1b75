package app.kemdro.web.records.jobfile;

import app.kemdro.web.records.paint.JobColours;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.reference.References;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Takes jobs in, with their mixes, paints and pictures: all of it or nothing. */
@Component
public class JobTaking {
    private final Plans plans;
    private final JobColours colours;
    private final References references;
    private final TransactionTemplate transaction;

    JobTaking(Plans plans, JobColours colours, References references, TransactionTemplate transaction) {
        this.plans = plans;
        this.colours = colours;
        this.references = references;
        this.transaction = transaction;
    }

    /** Sets a job on the shelf and returns its id. */
    public long take(JobReader.Taken taken) {
        return transaction.execute(t -> {
            long stored = plans.add(taken.job(), taken.order()).id();
            besides(stored, taken);
            return stored;
        });
    }

    /** Takes only what stands beside a job: mixes, paints, pictures. */
    public void besides(long job, JobReader.Taken taken) {
        transaction.executeWithoutResult(t -> {
            colours.take(job, taken.mixes(), taken.paints());
            references.take(job, taken.pictures());
        });
    }
}
