package app.kemdro.web.records.run;

import java.util.List;
import org.springframework.data.repository.Repository;

interface EventRepository extends Repository<EventRow, Long> {
    List<EventRow> findAllByRunIdOrderBySeq(long runId);

    EventRow saveAndFlush(EventRow row);

    List<EventRow> saveAll(Iterable<EventRow> rows);
}
