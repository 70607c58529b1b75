package app.kemdro.web.records.job;

import jakarta.persistence.LockModeType;
import java.time.LocalDateTime;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface JobRepository extends Repository<Job, Long> {
    Optional<Job> findById(long id);

    /** The job, which nobody else changes until this is over. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select j from Job j where j.id = :id")
    Optional<Job> findToChange(long id);

    @Query("select new app.kemdro.web.records.job.Aside(j.id, j.title, j.setAside) from Job j"
            + " where j.setAside is not null order by j.setAside desc")
    List<Aside> aside(Limit most);

    @Query("select new app.kemdro.web.records.job.SitsFor(p.id, p.name, j.title) from Performer p"
            + " left join Job j on j.performer = p and j.setAside is null order by p.name, p.id, j.callAt")
    List<SitsFor> sitting();

    @Query("select h from Job j join j.crew h where j.setAside is null order by j.callAt, j.id")
    List<HandsRow> working();

    @Query("select new app.kemdro.web.records.job.InCrew(j.id, h.name) from Job j join j.crew h where j.id in :ids")
    List<InCrew> crews(Collection<Long> ids);

    List<Job> findAllBySetAsideBefore(LocalDateTime then);

    List<Job> findAllByPerformerIdOrderByCallAt(long performerId);

    Job saveAndFlush(Job job);

    void delete(Job job);

    long countBySetAsideIsNull();
}
