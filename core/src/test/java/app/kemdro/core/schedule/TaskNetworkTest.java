package app.kemdro.core.schedule;

import static app.kemdro.core.schedule.Networks.INES;
import static app.kemdro.core.schedule.Networks.PELL;
import static app.kemdro.core.schedule.Networks.film;
import static app.kemdro.core.schedule.Networks.lag;
import static app.kemdro.core.schedule.Networks.of;
import static app.kemdro.core.schedule.Networks.plain;
import static app.kemdro.core.schedule.Networks.task;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.kemdro.core.schedule.Task.Mode;
import app.kemdro.core.schedule.Task.Needs;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** Tasks, lags and hands as they are asked for by everything that schedules. */
class TaskNetworkTest {
    private static final Task GUM = film("gum", 60, 60, 120, 300, "a");
    private static final Task PRESS = task("press", 60, "a");
    private static final Lag GRABS = lag("gum", "press", Lag.Kind.USABLE);

    private static TaskNetwork network(Task first, Lag lag, int tools, BreakRule breaks, Pin... pins) {
        return new TaskNetwork(List.of(first, PRESS), List.of(lag), List.of(INES, PELL), tools, breaks, List.of(pins));
    }

    /** Whatever differs in it differs in its print, and nothing else does. */
    @Test
    void aPrintTellsNetworksApart() {
        TaskNetwork usual = network(GUM, GRABS, 1, BreakRule.USUAL);
        Task held = new Task("gum", 60, Set.of("a"), Set.of("b"), Map.of(), Needs.ANYONE, GUM.modes());
        Task posed = new Task("gum", 60, Set.of("a"), Set.of(), Map.of("eyes", "shut"), Needs.ANYONE, GUM.modes());
        Task lead = new Task("gum", 60, Set.of("a"), Set.of(), Map.of(), Needs.LEAD, GUM.modes());
        List<TaskNetwork> all = List.of(
                usual,
                network(film("gum", 61, 60, 120, 300, "a"), GRABS, 1, BreakRule.USUAL),
                network(film("gum", 60, 61, 120, 300, "a"), GRABS, 1, BreakRule.USUAL),
                network(film("gum", 60, 60, 120, 300, "b"), GRABS, 1, BreakRule.USUAL),
                network(held, GRABS, 1, BreakRule.USUAL),
                network(posed, GRABS, 1, BreakRule.USUAL),
                network(lead, GRABS, 1, BreakRule.USUAL),
                network(GUM, lag("gum", "press", Lag.Kind.FRESH), 1, BreakRule.USUAL),
                network(GUM, new Lag("gum", "press", Lag.Kind.USABLE, 30, ""), 1, BreakRule.USUAL),
                network(GUM, GRABS, 2, BreakRule.USUAL),
                network(GUM, GRABS, 1, new BreakRule(3600, 600, 1800)),
                network(GUM, GRABS, 1, BreakRule.USUAL, new Pin("gum", 10, Mode.NEVER, null)));
        assertThat(all.stream().map(TaskNetwork::fingerprint))
                .doesNotHaveDuplicates()
                .allMatch(f -> f.matches("[0-9a-f]{64}"));
        Set<String> zones = new HashSet<>();
        Stream.iterate(40, k -> k - 1).limit(40).forEach(k -> zones.add("z" + k));
        Task many = new Task("gum", 60, zones, Set.of(), Map.of(), Needs.ANYONE, GUM.modes());
        Task same =
                new Task("gum", 60, new HashSet<>(List.copyOf(zones)), Set.of(), Map.of(), Needs.ANYONE, GUM.modes());
        assertThat(network(many, GRABS, 1, BreakRule.USUAL).fingerprint())
                .isEqualTo(network(
                                same,
                                new Lag("gum", "press", Lag.Kind.USABLE, null, "said otherwise"),
                                1,
                                BreakRule.USUAL)
                        .fingerprint());
    }

    @Test
    void whatDoesNotBelongTogetherIsRefused() {
        assertThatThrownBy(() -> of(List.of(GUM, GUM), List.of(), INES))
                .hasMessageContaining("Two tasks are called gum");
        assertThatThrownBy(() -> of(List.of(GUM), List.of(GRABS), INES)).hasMessageContaining("A lag joins a task");
        assertThatThrownBy(() -> of(List.of(PRESS), List.of(GRABS), INES)).hasMessageContaining("A lag joins a task");
        assertThatThrownBy(() -> network(GUM, GRABS, 1, BreakRule.USUAL, new Pin("wash", 0, 1, null)))
                .hasMessageContaining("A pin holds a task");
        assertThatThrownBy(() -> of(List.of(GUM), List.of(), INES).task("press"))
                .hasMessageContaining("No task is called press");
        assertThat(of(List.of(GUM, PRESS), List.of(), INES).task("press")).isEqualTo(PRESS);
    }

    /** Pell takes a tenth longer; two take six tenths of the time of one. */
    @Test
    void handsTakeTheirOwnTime() {
        TaskNetwork network = of(List.of(GUM, PRESS), List.of(), INES, PELL);
        assertThat(network.pace("Pell")).isEqualTo(1.1);
        assertThat(network.pace("Ines")).isEqualTo(1);
        assertThat(network.pace("Rook")).isEqualTo(1);
        assertThat(network.pace(null)).isEqualTo(1);
        assertThat(network.seconds(PRESS, Mode.NOTHING, "Pell")).isEqualTo(60 * 1.1);
        assertThat(network.seconds(PRESS, Mode.NOTHING.together(0.6), "Pell")).isEqualTo(60 * 0.6 * 1.1);
        assertThat(PRESS.lasting(120, Mode.NOTHING).work()).isEqualTo(120);
        assertThat(PRESS.lasting(120, Mode.NOTHING.together(0.6)).work()).isEqualTo(200);
        assertThat(PRESS.lasting(0, Mode.NOTHING).work()).isEqualTo(1);
    }

    /** Two hours of work in an hour of hands cannot be; in two it can; a lead's work counts the hours of leads alone. */
    @Test
    void thereIsNoMoreWorkThanHours() {
        Worker hour = new Worker("Ines", true, 1, 100, 3700);
        Worker other = new Worker("Pell", false, 1, -500, 3600);
        List<Task> work = List.of(task("a", 3600, "a"), task("b", 3600, "b"));
        assertThat(of(work, List.of(), hour).isShortOfHands()).isTrue();
        assertThat(of(work, List.of(), hour, other).isShortOfHands()).isFalse();
        assertThat(of(List.of(task("a", 3601, "a"), task("b", 3600, "b")), List.of(), hour, other)
                        .isShortOfHands())
                .isTrue();
        Task lead = new Task("a", 3600, Set.of("a"), Set.of(), Needs.LEAD, List.of(Mode.NOTHING));
        Task more = new Task("b", 1, Set.of("b"), Set.of(), Needs.LEAD, List.of(Mode.NOTHING));
        assertThat(of(List.of(lead), List.of(), hour, other).isShortOfHands()).isFalse();
        assertThat(of(List.of(lead, more), List.of(), hour, other).isShortOfHands())
                .isTrue();
        Task nobody = new Task("n", 90_000, Set.of("n"), Set.of(), Needs.NOBODY, List.of(Mode.NOTHING));
        assertThat(of(List.of(nobody), List.of(), hour).isShortOfHands()).isFalse();
    }

    /** What has begun waits for nothing that has not; everything else waits as before. */
    @Test
    void whatHasBegunWaitsForNothing() {
        TaskNetwork three =
                of(List.of(GUM, PRESS, task("c", 60, "c")), List.of(GRABS, lag("press", "c", Lag.Kind.END)), INES);
        assertThat(three.from(Progress.NOTHING)).isSameAs(three);
        Progress pressed = new Progress(100, List.of(plain("press", "Ines", 0, 60)), List.of(), List.of());
        assertThat(three.from(pressed).lags()).extracting(Lag::to).containsExactly("c");
        Progress both = new Progress(
                100, List.of(plain("gum", "Ines", 0, 30), plain("press", "Ines", 30, 60)), List.of(), List.of());
        assertThat(three.from(both).lags()).hasSize(2);
        Progress gum = new Progress(100, List.of(plain("gum", "Ines", 0, 60)), List.of(), List.of());
        assertThat(three.from(gum).lags()).hasSize(2);
    }

    @Test
    void aRingIsFoundAndTheLoosestHasNone() {
        TaskNetwork ring = new TaskNetwork(
                List.of(GUM, PRESS, task("c", 60, "c"), task("d", 60, "d")),
                List.of(
                        lag("d", "gum", Lag.Kind.END),
                        GRABS,
                        new Lag("press", "c", Lag.Kind.SETTLED, 10, ""),
                        lag("c", "gum", Lag.Kind.END)),
                List.of(new Worker("Pell", false, 1.1, 500, 600)),
                1,
                BreakRule.USUAL,
                List.of(new Pin("c", 5, 6, null)));
        assertThat(ring.cycle()).hasValueSatisfying(r -> assertThat(r).containsExactly("gum", "press", "c"));
        TaskNetwork loose = ring.loosest();
        assertThat(loose.cycle()).isEmpty();
        assertThat(loose.lags())
                .extracting(l -> l.from() + " " + l.to())
                .containsExactly("d gum", "gum press", "press c");
        assertThat(loose.lags()).allMatch(l -> l.within() == null);
        assertThat(loose.pins()).isEmpty();
        assertThat(loose.task("gum").modes()).allMatch(m -> m.closes() == Mode.NEVER);
        assertThat(loose.workers()).singleElement().satisfies(w -> {
            assertThat(w.lead()).isTrue();
            assertThat(w.from()).isZero();
            assertThat(w.until()).isGreaterThan(100_000);
            assertThat(w.pace()).isEqualTo(1.1);
        });
        assertThat(of(List.of(GUM, PRESS), List.of(GRABS), INES).cycle()).isEmpty();
    }

    /** Usable a minute after its end, closed two, settled five: by mode, and once it has its times. */
    @Test
    void aLagOpensAndShutsAsItsKindSays() {
        Mode mode = GUM.modes().get(0);
        ScheduledTask gum = new ScheduledTask("gum", "Ines", 0, 0, 60, 120, 180, 360, 0);
        record Row(Lag.Kind kind, int least, int most) {}
        for (Row row : List.of(
                new Row(Lag.Kind.END, 0, Mode.NEVER),
                new Row(Lag.Kind.AFTER, 0, Mode.NEVER),
                new Row(Lag.Kind.USABLE, 60, 120),
                new Row(Lag.Kind.FRESH, 0, 60),
                new Row(Lag.Kind.SETTLED, 300, Mode.NEVER))) {
            Lag lag = lag("gum", "press", row.kind());
            Lag within = new Lag("gum", "press", row.kind(), 25, "");
            assertThat(lag.opensAfter(mode)).as(row.toString()).isEqualTo(row.least());
            assertThat(lag.shutsAfter(mode)).as(row.toString()).isEqualTo(row.most());
            assertThat(within.shutsAfter(mode)).isEqualTo(Math.min(row.most(), row.least() + 25));
            assertThat(lag.latest(60, mode)).isEqualTo(60L + row.most());
            assertThat(lag.opens(gum)).isEqualTo(60 + row.least());
            assertThat(lag.shuts(gum)).isEqualTo(row.most() == Mode.NEVER ? Mode.NEVER : 60 + row.most());
            assertThat(within.shuts(gum))
                    .isEqualTo(
                            Math.min(row.most() == Mode.NEVER ? Mode.NEVER : 60 + row.most(), 60 + row.least() + 25));
            assertThat(lag.into()).isEqualTo(row.kind() != Lag.Kind.SETTLED && row.kind() != Lag.Kind.AFTER);
            assertThat(lag.ties()).isEqualTo(row.kind() == Lag.Kind.USABLE || row.kind() == Lag.Kind.FRESH);
            assertThat(within.ties()).isTrue();
        }
    }

    @Test
    void aTaskIsMovedAndSettlesOtherwise() {
        ScheduledTask gum = new ScheduledTask("gum", "Ines", "Pell", 0, 10, 70, 130, 190, 370, 5);
        assertThat(gum.later(100)).isEqualTo(new ScheduledTask("gum", "Ines", "Pell", 0, 110, 170, 230, 290, 470, 5));
        assertThat(gum.settling(new Mode(0, 1, 2, 3)))
                .isEqualTo(new ScheduledTask("gum", "Ines", "Pell", 0, 10, 70, 71, 72, 73, 5));
        assertThat(gum.settling(Mode.NOTHING).closes()).isEqualTo(Mode.NEVER);
        assertThat(plain("a", "Ines", 0, 10).later(5).closes()).isEqualTo(Mode.NEVER);
        assertThat(gum.hands()).containsExactly("Ines", "Pell");
        assertThat(plain("a", "Ines", 0, 10).hands()).containsExactly("Ines");
        assertThat(gum.takes("Pell")).isTrue();
        assertThat(gum.takes("Rook")).isFalse();
        assertThat(gum.takes(null)).isFalse();
        assertThat(gum.sharesHands(plain("b", "Pell", 0, 10))).isTrue();
        assertThat(gum.sharesHands(plain("b", "Rook", 0, 10))).isFalse();
    }

    @Test
    void placesAndPosturesAreShared() {
        Task holds = new Task("h", 60, Set.of("b"), Set.of("a"), Needs.ANYONE, List.of(Mode.NOTHING));
        assertThat(GUM.touched()).containsExactly("a");
        assertThat(holds.touched()).containsExactlyInAnyOrder("a", "b");
        assertThat(holds.sharesZone(PRESS)).isTrue();
        assertThat(PRESS.sharesZone(holds)).isTrue();
        assertThat(PRESS.sharesZone(task("c", 60, "c"))).isFalse();
        Task open = new Task(
                "o",
                60,
                Set.of("o"),
                Set.of(),
                Map.of("eyes", "open", "head", "up"),
                Needs.ANYONE,
                List.of(Mode.NOTHING));
        Task shut =
                new Task("s", 60, Set.of("s"), Set.of(), Map.of("eyes", "shut"), Needs.ANYONE, List.of(Mode.NOTHING));
        Task up = new Task("u", 60, Set.of("u"), Set.of(), Map.of("head", "up"), Needs.ANYONE, List.of(Mode.NOTHING));
        assertThat(open.otherPosture(shut)).isTrue();
        assertThat(open.otherPosture(up)).isFalse();
        assertThat(up.otherPosture(shut)).isFalse();
        assertThat(GUM.way(0)).isEqualTo(GUM.modes().get(0));
        assertThat(GUM.way(7)).isEqualTo(GUM.modes().get(0));
    }

    /** Ten minutes in any two hours, every third half an hour. */
    @Test
    void breaksThatWorkCannotDoWithout() {
        BreakRule usual = BreakRule.USUAL;
        assertThat(usual.within(7200)).isZero();
        assertThat(usual.within(7201)).isEqualTo(600);
        assertThat(usual.within(3 * 7200 + 1)).isEqualTo(600 + 600 + 1800);
        assertThat(usual.isMeal(1)).isFalse();
        assertThat(usual.isMeal(2)).isTrue();
        assertThat(usual.isMeal(5)).isTrue();
        assertThat(usual.length(3)).isEqualTo(600);
        assertThat(new BreakRule(60, 1, 1).every()).isEqualTo(60);
        assertThatThrownBy(() -> new BreakRule(59, 1, 1)).hasMessageContaining("at least a minute apart");
        assertThatThrownBy(() -> new BreakRule(60, 0, 1)).hasMessageContaining("at least a minute apart");
        assertThatThrownBy(() -> new BreakRule(60, 2, 1)).hasMessageContaining("at least a minute apart");
    }
}
