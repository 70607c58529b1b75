package app.kemdro.web.records.performer;

import java.time.Clock;
import java.time.LocalDateTime;
import java.util.List;
import org.springframework.stereotype.Service;

/** Keeps who looked at what is known of somebody's health. */
@Service
public class HealthLooks {
    /** Looking again within the hour is the same look. */
    private static final int HOURS = 1;

    private final HealthLookRepository repository;
    private final Clock clock;

    HealthLooks(HealthLookRepository repository, Clock clock) {
        this.repository = repository;
        this.clock = clock;
    }

    /** An account looked at this place. */
    public void looked(long performer, String account, String place) {
        LocalDateTime now = LocalDateTime.now(clock);
        if (!repository.existsByPerformerIdAndAccountAndPlaceAndSeenAtAfter(
                performer, account, place, now.minusHours(HOURS))) {
            repository.save(new HealthLook(performer, account, place, now));
        }
    }

    /** An account looked at this place of a job; nothing where there is no such job. */
    public void lookedAtJob(long job, String account, String place) {
        LocalDateTime now = LocalDateTime.now(clock);
        repository
                .notSeenYet(job, account, place, now.minusHours(HOURS))
                .ifPresent(p -> repository.save(new HealthLook(p, account, place, now)));
    }

    /** The latest looks, the last first. */
    public List<HealthLook> of(Performer performer) {
        return repository.findTop60ByPerformerIdOrderByIdDesc(performer.id());
    }
}
