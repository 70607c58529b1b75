package app.kemdro.web.records.performer;

import java.time.LocalDateTime;
import java.util.List;
import org.springframework.data.repository.Repository;

interface HealthLookRepository extends Repository<HealthLook, Long> {
    boolean existsByPerformerIdAndAccountAndPlaceAndSeenAtAfter(
            long performerId, String account, String place, LocalDateTime since);

    List<HealthLook> findTop60ByPerformerIdOrderByIdDesc(long performerId);

    HealthLook save(HealthLook look);
}
