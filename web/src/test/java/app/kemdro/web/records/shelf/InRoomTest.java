package app.kemdro.web.records.shelf;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.web.records.shelf.Way.Mark;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What stands in the way, room by room. */
class InRoomTest {
    private static Way way(String room, Mark mark, String what, String brief) {
        return new Way(room, mark, what, "Do it.", brief);
    }

    @Test
    void roomsStandInTheOrderOfTheWorkAndEachPartIsNamedOnce() {
        List<InRoom> all = InRoom.of(List.of(
                way("safety", Mark.NEEDS, "No patch test.", "5 to do"),
                way("look", Mark.FAILS, "Cream under glue.", ""),
                way("kit", Mark.NEEDS, "Not enough.", "1 missing"),
                way("bench", Mark.LATE, "It should have begun.", "should have begun")));
        assertThat(all).extracting(InRoom::room).containsExactly("look", "bench", "kit", "safety");
        assertThat(all).extracting(InRoom::part).containsExactly("design", "prepare", "", "");
        assertThat(all)
                .extracting(InRoom::says)
                .containsExactly("1 will fail", "should have begun", "1 missing", "5 to do");
        assertThat(all).extracting(InRoom::style).containsExactly("fail", "late", "need", "need");
        assertThat(all).extracting(InRoom::figure).containsExactly("1 will fail", "should have begun", "1", "5");
    }

    @Test
    void ofARoomTheWorstIsSaidAndTheOthersAreCounted() {
        InRoom look = InRoom.of(List.of(
                        way("look", Mark.NEEDS, "Thin.", ""),
                        way("look", Mark.FAILS, "Cream under glue.", ""),
                        way("look", Mark.FAILS, "Wax under glue.", "")))
                .get(0);
        assertThat(look.says()).isEqualTo("2 will fail");
        assertThat(look.which()).isEqualTo("Cream under glue. Do it. And 2 more.");
        assertThat(InRoom.of(List.of(way("order", Mark.FAILS, "Nobody leads.", "")))
                        .get(0)
                        .says())
                .isEqualTo("no plan");
        assertThat(InRoom.of(List.of())).isEmpty();
    }
}
