package app.kemdro.web.records.learning;

import java.util.List;
import org.springframework.data.repository.Repository;

interface LeftOutTimeRepository extends Repository<LeftOutTime, String> {
    List<LeftOutTime> findAll();

    LeftOutTime save(LeftOutTime left);

    void deleteById(String what);

    boolean existsById(String what);
}
