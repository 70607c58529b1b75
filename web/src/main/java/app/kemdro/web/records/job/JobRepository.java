package app.kemdro.web.records.job;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface JobRepository extends Repository<Job, Long> {
    Optional<Job> findById(long id);

    List<Job> findAllBySetAsideIsNullOrderByCallAt();

    List<Job> findAllBySetAsideIsNotNullOrderBySetAsideDesc();

    List<Job> findAllBySetAsideBefore(LocalDateTime then);

    List<Job> findAllByPerformerIdOrderByCallAt(long performerId);

    Job saveAndFlush(Job job);

    void delete(Job job);

    long countBySetAsideIsNull();
}
