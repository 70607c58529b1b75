package app.kemdro.web.rooms;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** The way through the rooms for whoever goes it the first time. */
class NextTest {
    @Test
    void leadsFromTheBriefToTheBookThroughEachRoomOnce() {
        List<String> way = new ArrayList<>();
        Optional<Next> next = Next.after("brief");
        while (next.isPresent()) {
            way.add(next.get().room());
            next = Next.after(next.get().room());
        }
        assertThat(way).containsExactly("look", "colour", "order", "bench", "kit", "safety", "chair", "strike", "book");
        assertThat(Next.after("floor")).isEmpty();
        assertThat(Next.after("house")).isEmpty();
    }
}
