package app.kemdro.web.records.performer;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Everybody who sits or has sat. */
@Service
public class Performers {
    private final PerformerRepository repository;

    private final ApplicationEventPublisher told;

    Performers(PerformerRepository repository, ApplicationEventPublisher told) {
        this.told = told;
        this.repository = repository;
    }

    /** What everybody is called. */
    public List<String> names() {
        return repository.names();
    }

    /**
     * The performer of this number.
     *
     * @throws NoSuchPerformer when there is none
     */
    public Performer get(long id) {
        return repository.findById(id).orElseThrow(() -> new NoSuchPerformer(id));
    }

    /** Whoever is known by this name. */
    public Optional<Performer> named(String name) {
        return repository.findFirstByNameIgnoreCaseOrderById(name.strip());
    }

    /**
     * Whoever is meant: somebody known by the name keeps what is known of them, and reactions told of are added to theirs; anybody
     * else is new.
     */
    public Performer meant(Performer told) {
        Optional<Performer> known = named(told.name());
        known.ifPresent(k -> k.alsoReactsTo(told.facts().reactsTo()));
        return repository.save(known.orElse(told));
    }

    /** Changes what is known of somebody. */
    @Transactional
    public void change(long id, Consumer<Performer> change) {
        Performer performer = get(id);
        String called = performer.name();
        change.accept(performer);
        repository.save(performer);
        if (!performer.name().equals(called)) {
            told.publishEvent(new PerformerRenamed(id));
        }
    }

    /** Forgets somebody who sits for no job. */
    @Transactional
    public void remove(Performer performer) {
        repository.delete(performer);
    }
}
