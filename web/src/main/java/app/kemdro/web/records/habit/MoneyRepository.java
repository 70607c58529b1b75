package app.kemdro.web.records.habit;

import java.util.Optional;
import org.springframework.data.repository.Repository;

interface MoneyRepository extends Repository<MoneyRow, Integer> {
    Optional<MoneyRow> findById(int id);

    MoneyRow save(MoneyRow row);
}
