package app.kemdro.web.records.reference;

import java.util.Optional;
import org.springframework.data.repository.Repository;

interface ReferenceImageRepository extends Repository<ReferenceImage, Long> {
    Optional<ReferenceImage> findById(long referenceId);

    ReferenceImage save(ReferenceImage image);

    void deleteById(long referenceId);
}
