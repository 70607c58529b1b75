package app.kemdro.web.records.floor;

import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface FloorLinkRepository extends Repository<FloorLink, Long> {
    Optional<FloorLink> findBySecret(String secret);

    List<FloorLink> findAllByJobIdAndRevokedAtIsNullOrderById(long jobId);

    FloorLink saveAndFlush(FloorLink link);
}
