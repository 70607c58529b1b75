package app.kemdro.web.records.run;

import app.kemdro.core.run.RunEvent;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.stereotype.Component;

/** Everything reported of runs and strikes, in the order in which it came in. Only ever added to. */
@Component
public class EventLog {
    /** Of so many runs and strikes the events are kept at hand. */
    private static final int AT_HAND = 200;

    private final EventRepository rows;
    private final EventFormat format;
    private final Cache<Course, List<RunEvent>> known =
            Caffeine.newBuilder().maximumSize(AT_HAND).build();

    EventLog(EventRepository rows, EventFormat format) {
        this.rows = rows;
        this.format = format;
    }

    /** Everything reported of this. */
    public List<RunEvent> of(Course course) {
        return known.get(
                course, c -> stored(c).stream().map(row -> row.event(format)).toList());
    }

    private List<EventRow> stored(Course course) {
        return course.run() != null
                ? rows.findAllByRunIdOrderBySeq(course.run())
                : rows.findAllByStrikeIdOrderBySeq(course.strike() == null ? 0 : course.strike());
    }

    /** Writes these down, in this order; whoever does it says so with {@link #keep} once the transaction has ended well. */
    public void add(Course course, List<RunEvent> events, String account) {
        rows.saveAllAndFlush(events.stream()
                .map(e -> new EventRow(course, e, format, account))
                .toList());
    }

    /** Takes over what a transaction that has ended well has made of it. */
    public void keep(Course course, List<RunEvent> all) {
        known.put(course, List.copyOf(all));
    }

    /** Says some of it in other words: where somebody is to be forgotten. */
    void reword(Course course, Function<RunEvent, Optional<RunEvent>> other) {
        for (EventRow row : stored(course)) {
            other.apply(row.event(format)).ifPresent(e -> {
                row.say(e, format);
                rows.saveAndFlush(row);
            });
        }
        known.invalidate(course);
    }
}
