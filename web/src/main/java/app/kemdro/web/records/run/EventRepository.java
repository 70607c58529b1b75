package app.kemdro.web.records.run;

import java.util.List;
import org.springframework.data.repository.Repository;

interface EventRepository extends Repository<EventRow, Long> {
    List<EventRow> findAllByRunIdOrderBySeq(long runId);

    List<EventRow> findAllByStrikeIdOrderBySeq(long strikeId);

    EventRow saveAndFlush(EventRow row);

    List<EventRow> saveAllAndFlush(Iterable<EventRow> rows);
}
