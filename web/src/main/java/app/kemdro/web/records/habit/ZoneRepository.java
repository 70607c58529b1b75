package app.kemdro.web.records.habit;

import java.util.Optional;
import org.springframework.data.repository.Repository;

interface ZoneRepository extends Repository<ZoneRow, Integer> {
    Optional<ZoneRow> findById(int id);

    ZoneRow save(ZoneRow row);
}
