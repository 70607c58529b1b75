package app.kemdro.web.records.jobfile;

import app.kemdro.core.hour.Wall;
import app.kemdro.core.look.Brief;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.paint.JobColours;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.reference.References;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/** Repeats a job: the same look, people, mixes and pictures, a day later; what has happened stays with the first. */
@Component
public class Again {
    private final Plans plans;
    private final JobColours colours;
    private final References references;
    private final Clock clock;
    private final TransactionTemplate transaction;

    Again(Plans plans, JobColours colours, References references, Clock clock, TransactionTemplate transaction) {
        this.plans = plans;
        this.colours = colours;
        this.references = references;
        this.clock = clock;
        this.transaction = transaction;
    }

    /**
     * Sets a copy on the shelf, for the day after the first or, where that is past, for tomorrow.
     *
     * @param with what else is to be known when it is planned
     */
    public Job of(Job from, UnaryOperator<Brief> with) {
        LocalDate day = from.brief().call().toLocalDate();
        LocalDate today = LocalDate.now(clock);
        LocalDate next = (day.isBefore(today) ? today : day).plusDays(1);
        if (Wall.doubt(next.atTime(from.brief().call().toLocalTime())).isPresent()) {
            next = next.plusDays(1); // its hour does not come once in that night
        }
        Duration later = Duration.between(day.atStartOfDay(), next.atStartOfDay());
        Job copy = new Job(
                from.title(),
                from.production(),
                from.idea(),
                with.apply(from.brief().moved(later)));
        copy.setLook(from.look());
        return transaction.execute(t -> {
            Job stored = plans.add(copy);
            colours.take(stored.id(), colours.mixes(from.id()), List.of());
            references.take(stored.id(), references.kept(from.id()));
            return stored;
        });
    }
}
