package app.kemdro.web.records.keeping;

import java.util.Optional;
import org.springframework.data.repository.Repository;

interface KeepingRepository extends Repository<KeepingRow, Integer> {
    Optional<KeepingRow> findById(int id);

    KeepingRow save(KeepingRow row);
}
