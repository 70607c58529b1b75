package app.kemdro.web.chair;

import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface RunRepository extends Repository<Run, Long> {
    Optional<Run> findById(long id);

    List<Run> findAllByJobIdOrderByIdDesc(long jobId);

    Optional<Run> findFirstByJobIdAndEndedAtIsNullOrderByIdDesc(long jobId);

    List<Run> findAllByEndedAtIsNull();

    Run saveAndFlush(Run run);
}
