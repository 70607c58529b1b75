package app.kemdro.web.records.usual;

import java.util.Optional;
import org.springframework.data.repository.Repository;

interface UsualHouseRepository extends Repository<UsualHouseRow, Integer> {
    Optional<UsualHouseRow> findById(int id);

    UsualHouseRow save(UsualHouseRow row);
}
