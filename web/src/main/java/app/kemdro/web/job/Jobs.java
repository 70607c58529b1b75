package app.kemdro.web.job;

import java.util.List;
import java.util.function.Consumer;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The jobs on the shelf. */
@Service
public class Jobs {
    private final JobRepository repository;

    Jobs(JobRepository repository) {
        this.repository = repository;
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
        return repository.saveAndFlush(job);
    }

    /** Changes a job in one transaction and returns it as stored. */
    @Transactional
    public Job change(long id, Consumer<Job> change) {
        Job job = get(id);
        change.accept(job);
        return repository.saveAndFlush(job);
    }

    @Transactional
    public void remove(long id) {
        repository.delete(get(id));
    }
}
