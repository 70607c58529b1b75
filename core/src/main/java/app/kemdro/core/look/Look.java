package app.kemdro.core.look;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;

/**
 * A character described on the body: what happens where. The order of entries carries no meaning.
 *
 * @param wishes what people want of the order, the oldest first
 */
public record Look(List<LookEntry> entries, List<Wish> wishes) {
    public static final Look EMPTY = new Look(List.of());

    /** Without wishes. */
    public Look(List<LookEntry> entries) {
        this(entries, List.of());
    }

    public Look(List<LookEntry> entries, @Nullable List<Wish> wishes) {
        this.entries = List.copyOf(entries);
        this.wishes = wishes == null ? List.of() : List.copyOf(wishes);
    }

    /** The same wishes for other entries. */
    public Look with(List<LookEntry> others) {
        return new Look(others, wishes);
    }

    /** The entry of this id, if it has one. */
    public Optional<LookEntry> entry(String id) {
        return entries.stream().filter(e -> e.id().equals(id)).findFirst();
    }

    /** The same with one entry changed. */
    public Look changing(String id, UnaryOperator<LookEntry> change) {
        return with(entries.stream()
                .map(e -> e.id().equals(id) ? change.apply(e) : e)
                .toList());
    }

    /** The same without one entry. */
    public Look without(String id) {
        return with(entries.stream().filter(e -> !e.id().equals(id)).toList());
    }

    /** Entries that are done only where there is time for them. */
    public List<String> ifTime() {
        return wishes.stream()
                .filter(w -> w.kind() == Wish.Kind.IF_TIME)
                .map(Wish::step)
                .filter(id -> entry(id).isPresent())
                .toList();
    }

    /** The same with these wishes. */
    public Look wishing(List<Wish> others) {
        return new Look(entries, others);
    }

    /** The same with one wish more; it takes the place of one of the same sort about the same step. */
    public Look wishing(Wish wish) {
        List<Wish> all = new ArrayList<>(wishes);
        all.removeIf(wish::replaces);
        all.add(wish);
        return wishing(all);
    }

    /** A name for another entry that no entry has yet. */
    public String freeId(String base) {
        int number = 1;
        while (true) {
            String id = base + "-" + number;
            if (entries.stream().noneMatch(e -> e.id().equals(id))) {
                return id;
            }
            number++;
        }
    }

    /** Entries that lie on this zone. */
    public List<LookEntry> on(String zone) {
        return entries.stream().filter(e -> e.zones().contains(zone)).toList();
    }
}
