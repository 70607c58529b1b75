package app.kemdro.web.parts.typed;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

class MergeTest {
    private static Map<String, List<String>> form(String... pairs) {
        Map<String, List<String>> fields = new LinkedHashMap<>();
        for (int k = 0; k < pairs.length; k += 2) {
            fields.put(pairs[k], pairs[k + 1].isEmpty() ? List.of() : List.of(pairs[k + 1].split(",")));
        }
        return fields;
    }

    @Test
    void eachKeepsWhatOnlyTheyChanged() {
        Merge both = Merge.of(
                form("call", "07:45", "room", "22", "idea", "bronze"),
                form("call", "07:45", "room", "24", "idea", "bronze"),
                form("call", "08:00", "room", "22", "idea", "bronze"),
                Set.of());
        assertThat(both.clashes()).isEmpty();
        assertThat(both.others()).containsExactly("call");
        assertThat(both.fields()).containsAllEntriesOf(form("call", "08:00", "room", "24", "idea", "bronze"));
    }

    @Test
    void whatBothChangedIsAskedUnlessTheyMeanTheSame() {
        assertThat(Merge.of(form("call", "07:45"), form("call", "07:30"), form("call", "08:00"), Set.of())
                        .clashes())
                .containsExactly("call");
        assertThat(Merge.of(form("call", "07:45"), form("call", " 08:00 "), form("call", "08:00"), Set.of())
                        .clashes())
                .isEmpty();
        assertThat(Merge.of(form("call", "07:45"), form("call", ""), form("call", "08:00"), Set.of())
                        .clashes())
                .containsExactly("call");
    }

    /** A form that is not told of it would take what it begins with. */
    @Test
    void whatWasEmptiedIsSentEmpty() {
        assertThat(Merge.of(form("room", "22"), Map.of("room", List.of("")), form("room", "22"), Set.of())
                        .fields())
                .containsEntry("room", List.of(""));
        assertThat(Merge.of(form("room", "22"), form("room", "22"), Map.of("room", List.of("")), Set.of())
                        .fields())
                .containsEntry("room", List.of(""));
    }

    @Test
    void ticksOfBothAreKept() {
        Merge both = Merge.of(
                form("covers", "chest,arms,neck"),
                form("covers", "chest,neck,legs"),
                form("covers", "arms,neck"),
                Set.of("covers"));
        assertThat(both.clashes()).isEmpty();
        assertThat(both.fields().get("covers")).containsExactlyInAnyOrder("neck", "legs");
    }

    /** Half of one's rows and half of the other's would be a crew nobody meant. */
    @Test
    void rowsOfATableAreOne() {
        Merge both = Merge.of(
                form("crew[0].name", "Ines", "crew[1].name", "Pell"),
                form("crew[0].name", "Ines", "crew[1].name", "Ada"),
                form("crew[0].name", "Ada", "crew[1].name", "Pell"),
                Set.of());
        assertThat(both.clashes()).containsExactly("crew");
        assertThat(both.fields()).containsAllEntriesOf(form("crew[0].name", "Ines", "crew[1].name", "Ada"));
    }

    /** Whatever is typed on both sides: what only one changed stands, and nothing that both changed passes unasked. */
    @Test
    void nothingIsEverLostSilently() {
        Random dice = new Random(15);
        for (int k = 0; k < 5000; k++) {
            Map<String, List<String>> was = drawn(dice);
            Map<String, List<String>> mine = changed(was, dice);
            Map<String, List<String>> theirs = changed(was, dice);
            Merge both = Merge.of(was, mine, theirs, Set.of("s"));
            for (String field : List.of("a", "b", "c")) {
                List<String> w = was.getOrDefault(field, List.of());
                List<String> m = mine.getOrDefault(field, List.of());
                List<String> t = theirs.getOrDefault(field, List.of());
                List<String> stands = both.fields().getOrDefault(field, List.of());
                assertThat(both.clashes().contains(field)).isEqualTo(!m.equals(w) && !t.equals(w) && !m.equals(t));
                assertThat(stands).isEqualTo(m.equals(w) ? t : m);
            }
            for (String tick : List.of("1", "2", "3")) {
                boolean w = was.getOrDefault("s", List.of()).contains(tick);
                boolean m = mine.getOrDefault("s", List.of()).contains(tick);
                boolean t = theirs.getOrDefault("s", List.of()).contains(tick);
                assertThat(both.fields().getOrDefault("s", List.of()).contains(tick))
                        .isEqualTo(m == w ? t : m);
            }
        }
    }

    private static Map<String, List<String>> drawn(Random dice) {
        Map<String, List<String>> form = new LinkedHashMap<>();
        for (String field : List.of("a", "b", "c")) {
            form.put(field, List.of("v" + dice.nextInt(3)));
        }
        List<String> ticks = new ArrayList<>();
        for (String tick : List.of("1", "2", "3")) {
            if (dice.nextBoolean()) {
                ticks.add(tick);
            }
        }
        form.put("s", ticks);
        return form;
    }

    private static Map<String, List<String>> changed(Map<String, List<String>> was, Random dice) {
        Map<String, List<String>> form = new LinkedHashMap<>(was);
        Map<String, List<String>> other = drawn(dice);
        other.forEach((field, values) -> {
            if (dice.nextBoolean()) {
                form.put(field, values);
            }
        });
        return form;
    }
}
