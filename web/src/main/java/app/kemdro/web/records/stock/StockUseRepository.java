package app.kemdro.web.records.stock;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface StockUseRepository extends JpaRepository<StockUse, Long> {
    List<StockUse> findByJobIdOrderByRunIdDescNameAsc(long jobId);
}
