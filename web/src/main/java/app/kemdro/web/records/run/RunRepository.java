package app.kemdro.web.records.run;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface RunRepository extends Repository<Run, Long> {
    List<Run> findTop30ByEndedAtIsNotNullAndPaceOrderByIdDesc(int pace);

    List<Run> findAllByPerformerIdOrderById(long performerId);

    Optional<Run> findById(long id);

    List<Run> findAllByJobIdOrderByIdDesc(long jobId);

    Optional<Run> findFirstByJobIdAndEndedAtIsNullOrderByIdDesc(long jobId);

    List<Run> findAllByEndedAtIsNullAndPaceGreaterThan(int pace);

    List<Run> findAllByEndedAtIsNullAndPace(int pace);

    @Query("select r.jobId from Run r where r.endedAt is null")
    Set<Long> openJobs();

    @Query("select new app.kemdro.web.records.run.RunOf(r.id, j.id, j.title, r.beganAt, r.pace) from Run r"
            + " join Job j on j.id = r.jobId where j.setAside is null"
            + " and (lower(j.title) = lower(:title) or j.performer.id = :performer) order by r.id desc")
    List<RunOf> like(String title, long performer, Limit most);

    @Query("select max(r.endedAt) from Run r where r.pace = 0")
    Optional<LocalDateTime> lastEnd();

    boolean existsByEndedAtIsNotNull();

    Run saveAndFlush(Run run);
}
