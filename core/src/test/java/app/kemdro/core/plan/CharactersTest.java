package app.kemdro.core.plan;

import static app.kemdro.core.plan.Samples.CALL;
import static app.kemdro.core.plan.Samples.PLANNER;
import static app.kemdro.core.plan.Samples.TRADE;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.layer.Verdict;
import app.kemdro.core.look.BareSkin;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Breaks;
import app.kemdro.core.look.Brief.Brows;
import app.kemdro.core.look.Brief.Hair;
import app.kemdro.core.look.Brief.Hands;
import app.kemdro.core.look.Brief.Performer;
import app.kemdro.core.look.Brief.Purpose;
import app.kemdro.core.look.Brief.Room;
import app.kemdro.core.look.Brief.Seen;
import app.kemdro.core.look.Brief.Skill;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.material.Material;
import app.kemdro.core.method.Technique;
import app.kemdro.core.schedule.ScheduleCheck;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The characters of characters.yaml: each can be planned, holds together, and is removed again. */
public class CharactersTest {
    private static final DataNode FILE = DataNode.resource("/characters/characters.yaml");

    public record Character(String name, Look look, Brief brief, Set<String> bare) {
        @Override
        public String toString() {
            return name;
        }
    }

    public static Stream<Character> characters() {
        return FILE.entries().entrySet().stream().map(e -> character(e.getKey(), e.getValue()));
    }

    private static Character character(String name, DataNode node) {
        List<LookEntry> entries = new ArrayList<>();
        for (DataNode happens : node.get("look").items()) {
            String technique = happens.get("do").text();
            entries.add(new LookEntry(
                    technique + "-" + entries.size(),
                    technique,
                    zones(happens.words("on")),
                    (int) happens.number("coats", 0, 0, 9),
                    (int) happens.number("items", 0, 0, 400),
                    LookEntry.Strength.USUAL,
                    (int) happens.number("coverage", 100, 1, 100),
                    ""));
        }
        List<Hands> crew = new ArrayList<>();
        for (int k = 0; k < (int) node.get("artists").number(1, 3); k++) {
            crew.add(new Hands(
                    "Artist " + k, k == 0 ? Skill.LEAD : Skill.ASSISTANT, CALL.minusHours(16), CALL.plusHours(16)));
        }
        Brief brief = new Brief(
                CALL,
                Optional.empty(),
                new Performer(
                        "Sitter",
                        0,
                        0,
                        0,
                        new LinkedHashSet<>(node.words("reacts")),
                        Brows.MEDIUM,
                        node.find("hair") == null
                                ? Hair.SHORT
                                : node.get("hair").choice(Hair.class)),
                crew,
                new Room(21, 45, 1),
                new LinkedHashSet<>(zones(node.words("covers"))),
                10,
                node.flag("alone"),
                new Purpose(node.get("seen").choice(Seen.class), 8, Set.of(), false, 5),
                Breaks.USUAL);
        return new Character(name, new Look(entries), brief, new TreeSet<>(zones(node.words("bare"))));
    }

    private static List<String> zones(List<String> words) {
        return words.stream()
                .flatMap(w -> TRADE.body().named(w).stream())
                .distinct()
                .toList();
    }

    @ParameterizedTest
    @MethodSource("characters")
    void aCharacterIsPlannedHoldsAndComesOffAgain(Character character) {
        Planning planning = PLANNER.plan(character.look(), character.brief());
        assertThat(planning).isInstanceOf(Planning.Done.class);
        Plan plan = ((Planning.Done) planning).plan();
        assertThat(ScheduleCheck.problems(plan.network(), plan.schedule())).isEmpty();
        assertThat(plan.stacks()).isNotEmpty();
        plan.stacks()
                .forEach((zone, stack) -> assertThat(stack.layers())
                        .as(zone)
                        .allSatisfy(l -> assertThat(l.boundary().verdict())
                                .as(l.what() + " " + l.boundary().because())
                                .isIn(Verdict.HOLDS, Verdict.HOLDS_IF)));
        assertThat(new TreeSet<>(
                        BareSkin.of(character.look(), character.brief(), TRADE).zones()))
                .isEqualTo(character.bare());
        assertThat(plan.stacks().values().stream().flatMap(s -> s.layers().stream()))
                .allSatisfy(l ->
                        assertThat(comesOff(l.material())).as(l.material().id()).isTrue());
    }

    /** By a remover that Kemdro knows, or by hand where its words say how. */
    private static boolean comesOff(Material material) {
        return !material.remover().isBlank()
                && material.removedBy().stream()
                        .allMatch(r -> !TRADE.materials().family(r).isLayer());
    }

    @Test
    void thereAreEnoughOfThem() {
        assertThat(characters()).hasSizeGreaterThanOrEqualTo(45);
        assertThat(characters().map(c -> c.brief().crew().size()).distinct()).containsExactlyInAnyOrder(1, 2, 3);
        assertThat(characters()).anyMatch(c -> c.brief().selfApplied());
    }

    @Test
    void togetherTheyUseEveryTechniqueAndSchool() {
        Set<String> used = characters()
                .flatMap(c -> c.look().entries().stream())
                .map(LookEntry::techniqueId)
                .collect(Collectors.toSet());
        List<String> unused = TRADE.techniques().stream()
                .filter(t -> !t.implied() && !t.between())
                .map(Technique::id)
                .filter(id -> !used.contains(id))
                .toList();
        assertThat(unused).isEmpty();
    }
}
