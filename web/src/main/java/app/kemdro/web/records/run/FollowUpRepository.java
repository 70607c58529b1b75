package app.kemdro.web.records.run;

import java.time.LocalDateTime;
import java.util.Collection;
import java.util.List;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface FollowUpRepository extends Repository<FollowUp, Long> {
    List<FollowUp> findTop50ByDueAtBeforeOrderBySeq(LocalDateTime now);

    List<FollowUp> saveAllAndFlush(Iterable<FollowUp> rows);

    FollowUp saveAndFlush(FollowUp row);

    @Modifying
    @Query("delete from FollowUp f where f.seq in :done")
    void remove(Collection<Long> done);
}
