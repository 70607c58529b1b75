package app.kemdro.web.records.reference;

import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface ReferenceRepository extends Repository<Reference, Long> {
    List<Reference> findByJobIdOrderById(long jobId);

    Optional<Reference> findByIdAndJobId(long id, long jobId);

    long countByJobId(long jobId);

    Reference save(Reference reference);

    void delete(Reference reference);
}
