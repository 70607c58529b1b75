package app.kemdro.web.records.paint;

import app.kemdro.core.colour.Paint;
import app.kemdro.core.method.Trade;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the paints of the house as swatches. */
@Service
public class Swatches {
    private final SwatchRepository repository;
    private final Trade trade;

    /** Reading a paint from its swatch takes a millisecond or two; a table asks for forty at once. */
    private final Map<Key, Paint> read = new ConcurrentHashMap<>();

    private record Key(long id, long version) {}

    Swatches(SwatchRepository repository, Trade trade) {
        this.repository = repository;
        this.trade = trade;
    }

    public boolean isEmpty() {
        return repository.count() == 0;
    }

    public List<Swatch> all() {
        return repository.findAllByOrderByFamilyAscName();
    }

    public Optional<Swatch> named(String name) {
        return repository.findByName(name);
    }

    /** Those of these names that are in the house, by name. */
    Map<String, Swatch> named(Collection<String> names) {
        return repository.findAllByNameIn(names).stream().collect(Collectors.toMap(Swatch::name, s -> s, (a, b) -> a));
    }

    Paint paint(Swatch swatch) {
        return read.computeIfAbsent(new Key(swatch.id(), swatch.version()), k -> swatch.paint());
    }

    /**
     * Keeps a swatch as it was typed; one of the same name is changed.
     *
     * @return complaints by column; empty when it was kept
     */
    @Transactional
    public Map<String, String> keep(Map<String, String> typed) {
        SwatchReading.Read from = SwatchReading.read(typed, trade.materials());
        from.values().ifPresent(this::keep);
        return from.wrong();
    }

    private void keep(SwatchValues values) {
        repository
                .findByName(values.name())
                .ifPresentOrElse(s -> s.take(values), () -> repository.save(new Swatch(values)));
    }

    @Transactional
    public void remove(long id) {
        repository.deleteById(id);
    }

    /**
     * Takes a CSV file of swatches, whole or not at all.
     *
     * @return what is wrong with it by line; empty when it was taken
     */
    @Transactional
    public List<String> takeCsv(String text) {
        return take(SwatchFiles.csv(text, trade.materials()));
    }

    /** Takes an open palette file: each colour becomes a paint of this family, known by its colour only. */
    @Transactional
    public List<String> takePalette(String text, String family) {
        return take(SwatchFiles.palette(text, family, 20));
    }

    private List<String> take(SwatchFiles.Read file) {
        Map<String, Swatch> known = all().stream().collect(Collectors.toMap(Swatch::name, s -> s));
        for (SwatchValues values : file.swatches()) {
            known.computeIfAbsent(values.name(), n -> repository.save(new Swatch(values)))
                    .take(values);
        }
        return file.wrong();
    }
}
