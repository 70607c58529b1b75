package app.kemdro.web.records.start;

import app.kemdro.web.records.start.Starts.Start;
import java.util.List;
import java.util.Optional;
import org.springframework.data.repository.Repository;

interface StartRepository extends Repository<StartLook, Long> {
    /** What there is, without the files. */
    List<Start> findByOrderByName();

    Optional<StartLook> findById(long id);

    long countBySetAsideFalse();

    StartLook save(StartLook start);
}
