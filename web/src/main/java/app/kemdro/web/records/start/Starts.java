package app.kemdro.web.records.start;

import app.kemdro.web.parts.mishap.NotPossible;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.jobfile.JobReader;
import app.kemdro.web.records.jobfile.JobWriter;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps looks as a start for others: with mixes and pictures, without anybody's health. */
@Service
public class Starts {
    private static final int MOST = 200;
    private static final int LONGEST = 80;

    private final StartRepository repository;
    private final JobWriter writer;
    private final JobReader reader;
    private final Clock clock;

    Starts(StartRepository repository, JobWriter writer, JobReader reader, Clock clock) {
        this.repository = repository;
        this.writer = writer;
        this.reader = reader;
        this.clock = clock;
    }

    /**
     * A start without its file.
     *
     * @param techniques how many techniques its look has
     */
    public record Start(long id, String name, LocalDateTime keptAt, int techniques, boolean setAside) {}

    /** All starts by name, also those that were set aside. */
    public List<Start> all() {
        return repository.findByOrderByName();
    }

    public boolean isEmpty() {
        return repository.countBySetAsideFalse() == 0;
    }

    /**
     * Keeps the look of a job as a start.
     *
     * @throws NotPossible where it has no name, no look, or there are too many
     */
    @Transactional
    public void keep(Job job, String name) {
        String called = name.strip();
        if (called.isEmpty() || called.length() > LONGEST) {
            throw new NotPossible("Give the start a name of up to " + LONGEST + " letters. Nothing was kept.");
        }
        if (job.look().entries().isEmpty()) {
            throw new NotPossible("There is no look yet to begin others with. Nothing was kept.");
        }
        if (all().size() >= MOST) {
            throw new NotPossible("There are " + MOST + " starts already. Nothing was kept.");
        }
        repository.save(new StartLook(
                called, LocalDateTime.now(clock), job.look().entries().size(), writer.look(job)));
    }

    /**
     * What a start holds.
     *
     * @throws NotPossible where it is not there any more
     */
    @Transactional(readOnly = true)
    public JobReader.Taken open(long id) {
        return reader.read(find(id).file());
    }

    @Transactional
    public void setAside(long id, boolean aside) {
        find(id).setAside(aside);
    }

    private StartLook find(long id) {
        return repository.findById(id).orElseThrow(() -> new NotPossible("This start is not there any more."));
    }
}
