package app.kemdro.web.records.strike;

import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface StrikeRunRepository extends Repository<StrikeRun, Long> {
    Optional<StrikeRun> findFirstByJobIdAndEndedAtIsNullOrderByIdDesc(long jobId);

    List<StrikeRun> findAllByJobIdOrderByIdDesc(long jobId);

    List<StrikeRun> findAllByPerformerId(long performerId);

    StrikeRun saveAndFlush(StrikeRun run);
}
