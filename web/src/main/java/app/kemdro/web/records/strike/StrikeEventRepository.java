package app.kemdro.web.records.strike;

import java.util.List;
import org.springframework.data.repository.Repository;

interface StrikeEventRepository extends Repository<StrikeEventRow, Long> {
    List<StrikeEventRow> findAllByStrikeIdOrderBySeq(long strikeId);

    StrikeEventRow saveAndFlush(StrikeEventRow row);
}
