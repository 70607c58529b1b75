package app.kemdro.web.records.job;

import app.kemdro.core.hour.Wall;
import app.kemdro.core.look.Brief;
import app.kemdro.web.parts.ahead.Ahead;
import app.kemdro.web.records.performer.PerformerRenamed;
import app.kemdro.web.records.performer.Performers;
import java.time.LocalDateTime;
import java.util.Collection;
import java.util.List;
import java.util.function.Consumer;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The jobs on the shelf. */
@Service
public class Jobs {
    /** So many days a job that was taken off the shelf can be put back. */
    public static final int DAYS_ASIDE = 30;

    private final JobRepository repository;
    private final Performers performers;
    private final ApplicationEventPublisher told;

    Jobs(JobRepository repository, Performers performers, ApplicationEventPublisher told) {
        this.told = told;
        this.repository = repository;
        this.performers = performers;
    }

    /**
     * The job of this number.
     *
     * @throws NoSuchJob when there is none
     */
    public Job get(long id) {
        Job job = repository.findById(id).orElseThrow(() -> new NoSuchJob(id));
        // hours that are said from here on are those of this job's night
        Wall.of(job.brief().call());
        return job;
    }

    /** Jobs that were taken off the shelf and can still be put back, the latest first; so many at most. */
    public List<Aside> aside(LocalDateTime now, int most) {
        return repository.aside(Limit.of(most)).stream()
                .filter(a -> !a.until().isBefore(now))
                .toList();
    }

    /** Everybody who sits, by name, with the jobs for which they do, the soonest call first. */
    public List<SitsFor> sitting() {
        return repository.sitting();
    }

    /** Hands as every job on the shelf has them, the soonest call first. */
    public List<Brief.Hands> working() {
        return repository.working().stream().map(HandsRow::hands).toList();
    }

    /** Who works on these jobs. */
    public List<InCrew> crews(Collection<Long> ids) {
        return repository.crews(ids);
    }

    /** Jobs this person sits for, on the shelf or beside it. */
    public List<Job> satFor(long performer) {
        return repository.findAllByPerformerIdOrderByCallAt(performer);
    }

    public boolean isEmpty() {
        return repository.countBySetAsideIsNull() == 0;
    }

    @Transactional
    public Job add(Job job) {
        return kept(job);
    }

    /**
     * Changes a job in one transaction and returns it as stored.
     *
     * @throws Ahead.Enough where it is only asked ahead: then nothing is changed
     */
    @Transactional
    public Job change(long id, Consumer<Job> change) {
        if (Ahead.isAsked()) {
            throw new Ahead.Enough();
        }
        Job job = repository.findToChange(id).orElseThrow(() -> new NoSuchJob(id));
        long sat = job.performer().id();
        String called = job.performer().name();
        change.accept(job);
        Job kept = kept(job);
        if (kept.performer().id() == sat && !kept.performer().name().equals(called)) {
            told.publishEvent(new PerformerRenamed(sat));
        }
        return kept;
    }

    private Job kept(Job job) {
        job.newcomer().ifPresent(newcomer -> job.seat(performers.meant(newcomer)));
        Job kept = repository.saveAndFlush(job);
        told.publishEvent(new JobChanged(kept.id()));
        return kept;
    }

    /** Takes a job off the shelf; it stays beside it for {@link #DAYS_ASIDE} days and can be put back. */
    @Transactional
    public void setAside(long id, LocalDateTime at) {
        Job job = get(id);
        job.setAside(at);
        repository.saveAndFlush(job);
    }

    /** Puts a job back on the shelf. */
    @Transactional
    public void putBack(long id) {
        Job job = get(id);
        job.setAside(null);
        repository.saveAndFlush(job);
    }

    /** Lets go of what has been set aside for longer than it is kept. */
    @Transactional
    public void letGo(LocalDateTime now) {
        repository.findAllBySetAsideBefore(now.minusDays(DAYS_ASIDE)).forEach(repository::delete);
    }
}
