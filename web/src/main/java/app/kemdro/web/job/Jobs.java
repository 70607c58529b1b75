package app.kemdro.web.job;

import app.kemdro.web.performer.Performers;
import java.util.List;
import java.util.function.Consumer;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The jobs on the shelf. */
@Service
public class Jobs {
    private final JobRepository repository;
    private final Performers performers;

    Jobs(JobRepository repository, Performers performers) {
        this.repository = repository;
        this.performers = performers;
    }

    /**
     * The job of this number.
     *
     * @throws NoSuchJob when there is none
     */
    public Job get(long id) {
        return repository.findById(id).orElseThrow(() -> new NoSuchJob(id));
    }

    /** All jobs, the soonest call first. */
    public List<Job> byCall() {
        return repository.findAllByOrderByCallAt();
    }

    public boolean isEmpty() {
        return repository.count() == 0;
    }

    @Transactional
    public Job add(Job job) {
        job.newcomer().ifPresent(told -> job.seat(performers.meant(told)));
        return repository.saveAndFlush(job);
    }

    /** Changes a job in one transaction and returns it as stored. */
    @Transactional
    public Job change(long id, Consumer<Job> change) {
        Job job = get(id);
        change.accept(job);
        job.newcomer().ifPresent(told -> job.seat(performers.meant(told)));
        return repository.saveAndFlush(job);
    }

    @Transactional
    public void remove(long id) {
        repository.delete(get(id));
    }
}
