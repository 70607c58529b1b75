package app.kemdro.web.records.habit;

import java.util.List;
import org.springframework.data.repository.Repository;

interface HabitRepository extends Repository<HabitRow, String> {
    List<HabitRow> findAll();

    HabitRow save(HabitRow row);

    void deleteById(String account);
}
