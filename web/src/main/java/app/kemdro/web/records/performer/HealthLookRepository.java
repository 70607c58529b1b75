package app.kemdro.web.records.performer;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface HealthLookRepository extends Repository<HealthLook, Long> {
    boolean existsByPerformerIdAndAccountAndPlaceAndSeenAtAfter(
            long performerId, String account, String place, LocalDateTime since);

    /** Whoever sits for this job, where the account has not looked at the place since then. */
    @Query(
            "select j.performer.id from Job j where j.id = :job and not exists (select 1 from HealthLook h"
                    + " where h.performerId = j.performer.id and h.account = :account and h.place = :place and h.seenAt > :since)")
    Optional<Long> notSeenYet(long job, String account, String place, LocalDateTime since);

    List<HealthLook> findTop60ByPerformerIdOrderByIdDesc(long performerId);

    HealthLook save(HealthLook look);
}
