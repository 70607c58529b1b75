package app.kemdro.web.records.safety;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface SafetyLiftRepository extends JpaRepository<SafetyLift, Long> {
    void deleteByJobId(long jobId);

    List<SafetyLift> findByJobIdOrderById(long jobId);
}
