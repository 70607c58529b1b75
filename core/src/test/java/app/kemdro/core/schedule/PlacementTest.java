package app.kemdro.core.schedule;

import static app.kemdro.core.schedule.Networks.INES;
import static app.kemdro.core.schedule.Networks.PELL;
import static app.kemdro.core.schedule.Networks.film;
import static app.kemdro.core.schedule.Networks.lag;
import static app.kemdro.core.schedule.Networks.task;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.schedule.Task.Mode;
import app.kemdro.core.schedule.Task.Needs;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** One placement by hand: who is placed first, where, by whom, and what is said of the result. Times in seconds. */
class PlacementTest {
    private static final BreakRule NO_BREAKS = new BreakRule(100_000, 600, 1800);

    /** A network whose tasks are placed in the order in which they are named, as far as they may be. */
    private static final class Laid {
        private final IndexedNetwork net;
        private final SerialPlacement placement;
        private final PlacedTimes times;
        private final Encoding genes;

        Laid(TaskNetwork network, int... modes) {
            net = new IndexedNetwork(network, Progress.NOTHING);
            placement = new SerialPlacement(net);
            times = new PlacedTimes(placement);
            double[] priority = new double[net.n];
            for (int i = 0; i < net.n; i++) {
                priority[i] = net.n - i;
            }
            int[] gaps = new int[net.bounds.mostRests()];
            Arrays.fill(gaps, network.breaks().every());
            genes = new Encoding(priority, Arrays.copyOf(modes, net.n), gaps, new int[net.n], new int[net.n]);
        }

        Laid place() {
            assertThat(placement.place(genes)).isTrue();
            return this;
        }

        int[] starts() {
            return placement.start;
        }

        int[] ends() {
            return placement.end;
        }
    }

    private static TaskNetwork network(List<Task> tasks, List<Lag> lags, int tools, Worker... workers) {
        return new TaskNetwork(tasks, lags, List.of(workers), tools, NO_BREAKS);
    }

    private static Laid laid(List<Task> tasks, List<Lag> lags, Worker... workers) {
        return new Laid(network(tasks, lags, 1, workers)).place();
    }

    private static Task needing(String id, int seconds, Needs needs, String zone) {
        return new Task(id, seconds, Set.of(zone), Set.of(), needs, List.of(Mode.NOTHING));
    }

    /** 100 s of coat that is dry 200 s later, 60 s of powder on it, 30 s elsewhere: the powder waits, the rest does not. */
    private static Laid coat() {
        return laid(
                List.of(film("coat", 100, 50, Mode.NEVER, 200, "a"), task("dust", 60, "a"), task("other", 30, "b")),
                List.of(lag("coat", "dust", Lag.Kind.SETTLED)),
                INES);
    }

    @Test
    void eachBeginsAsEarlyAsItsHandsAndItsWaitsAllow() {
        Laid laid = coat();
        assertThat(laid.starts()).containsExactly(0, 300, 100);
        assertThat(laid.ends()).containsExactly(100, 360, 130);
        assertThat(laid.times.ready()).isEqualTo(360);
    }

    /** The powder is what is late, because of the coat; the thirty seconds elsewhere make nothing late. */
    @Test
    void theChainLeadsBackToWhatMakesItLate() {
        assertThat(coat().times.chain()).containsExactly(1, 0);
    }

    @Test
    void theChainGoesOnOverTheSameHands() {
        Laid laid = laid(List.of(task("one", 50, "a"), task("two", 70, "b"), task("three", 20, "c")), List.of(), INES);
        assertThat(laid.times.chain()).containsExactly(2, 1, 0);
    }

    /** On other hands but the same place: the place is free when the film there has settled. */
    @Test
    void theChainGoesOnOverTheSamePlace() {
        Laid laid = laid(
                List.of(film("wet", 50, 10, Mode.NEVER, 100, "a"), task("other", 120, "b"), task("on it", 40, "a")),
                List.of(),
                INES,
                PELL);
        assertThat(laid.starts()).containsExactly(0, 0, 150);
        assertThat(laid.times.chain()).containsExactly(2, 0);
    }

    /** From the end: powder 60; the rest 30 and the powder after it on the same hands; the coat 100, its 200 and the powder. */
    @Test
    void urgencyIsWhatStillHasToComeAfterATaskBegins() {
        assertThat(coat().times.urgency()).containsExactly(360, 60, 90);
    }

    /** What nobody works into has to settle, too. */
    @Test
    void urgencyCountsWhatSettlesAtTheEnd() {
        Laid laid = laid(List.of(film("gloss", 100, 0, Mode.NEVER, 40, "a")), List.of(), INES);
        assertThat(laid.times.urgency()).containsExactly(140);
        assertThat(laid.times.ready()).isEqualTo(140);
    }

    /** 360 s to be ready; starts at 0, 300 and 100 are 133 on average, ten for each; no tool and no help. */
    @Test
    void costIsReadyFirstThenStarts() {
        assertThat(coat().times.cost()).isEqualTo(360L * SerialPlacement.SECOND + 1330);
        assertThat(coat().times.lateness()).isEqualTo(360);
    }

    /** A dryer for 30 s, and 60 s by two instead of 100 alone: 30 and 60 more. */
    @Test
    void costCountsToolAndHelp() {
        Task dried = new Task(
                "dried",
                50,
                Set.of("a"),
                Set.of(),
                Needs.ANYONE,
                List.of(Mode.NOTHING, new Mode(30, 0, Mode.NEVER, 0)));
        Task shared = new Task(
                "shared", 100, Set.of("b"), Set.of(), Needs.ANYONE, List.of(Mode.NOTHING, Mode.NOTHING.together(0.6)));
        Worker second = new Worker("Mori", true, 1, 0, 100_000);
        Laid laid = new Laid(network(List.of(dried, shared), List.of(), 1, INES, second), 1, 1).place();
        assertThat(laid.starts()).containsExactly(0, 80);
        assertThat(laid.ends()).containsExactly(80, 140);
        assertThat(laid.times.cost()).isEqualTo(140L * SerialPlacement.SECOND + 400 + 30 + 60);
        ScheduledTask both = laid.times.schedule(0).of("shared");
        assertThat(List.of(both.worker(), both.helper())).containsExactlyInAnyOrder("Ines", "Mori");
    }

    /** With one dryer the second waits for it, with two it does not; work before it is done by hand alone. */
    @Test
    void oneDryerDriesOneThingAtATime() {
        List<Mode> dried = List.of(Mode.NOTHING, new Mode(100, 0, Mode.NEVER, 0));
        List<Task> tasks = List.of(
                new Task("one", 50, Set.of("a"), Set.of(), Needs.ANYONE, dried),
                new Task("two", 50, Set.of("b"), Set.of(), Needs.ANYONE, dried));
        Worker second = new Worker("Mori", true, 1, 0, 100_000);
        Laid alone = new Laid(network(tasks, List.of(), 1, INES, second), 1, 1).place();
        assertThat(alone.starts()).containsExactly(0, 100);
        Laid both = new Laid(network(tasks, List.of(), 2, INES, second), 1, 1).place();
        assertThat(both.starts()).containsExactly(0, 0);
    }

    /** Help that nobody can give is done without. */
    @Test
    void whatWasToBeSharedIsDoneAloneWhereThereIsNobody() {
        Task shared = new Task(
                "shared", 100, Set.of("b"), Set.of(), Needs.ANYONE, List.of(Mode.NOTHING, Mode.NOTHING.together(0.6)));
        Worker gone = new Worker("Mori", true, 1, 0, 50);
        Laid laid = new Laid(network(List.of(shared), List.of(), 1, INES, gone), 1).place();
        assertThat(laid.ends()).containsExactly(100);
        assertThat(laid.times.schedule(0).of("shared").mode()).isZero();
        Worker later = new Worker("Mori", true, 1, 500, 1000);
        Laid waits = new Laid(network(List.of(shared), List.of(), 1, INES, later), 1).place();
        assertThat(waits.starts()).containsExactly(500);
        assertThat(waits.ends()).containsExactly(560);
    }

    /** Of two who can, whoever ends first: Pell takes a tenth longer; what Ines alone may do is done by Ines. */
    @Test
    void whoeverIsDoneFirstDoesIt() {
        Laid laid = laid(
                List.of(
                        needing("lead", 100, Needs.LEAD, "a"),
                        needing("any", 100, Needs.ANYONE, "b"),
                        needing("any too", 100, Needs.ANYONE, "c")),
                List.of(),
                INES,
                PELL);
        Schedule schedule = laid.times.schedule(0);
        assertThat(schedule.of("lead").worker()).isEqualTo("Ines");
        assertThat(schedule.of("any").worker()).isEqualTo("Pell");
        assertThat(schedule.of("any").end()).isEqualTo(110);
        // 100 + 100 by Ines, 110 + 110 by Pell
        assertThat(schedule.of("any too").worker()).isEqualTo("Ines");
    }

    /** A lead is spared for so many seconds, or preferred for so many. */
    @Test
    void theLeadIsSparedOrPreferredByAsMuchAsIsSaid() {
        for (int spare : new int[] {9, 11, -30}) {
            Laid laid = new Laid(network(List.of(task("any", 100, "a")), List.of(), 1, INES, PELL));
            laid.genes.spare()[0] = spare;
            laid.place();
            assertThat(laid.times.schedule(0).of("any").worker()).isEqualTo(spare > 10 ? "Pell" : "Ines");
        }
    }

    /** What one wants with eyes shut, and another with eyes open, is not done at once; two with eyes shut are. */
    @Test
    void posturesThatCannotBeKeptTogetherAreNot() {
        Task lids = new Task(
                "lids", 100, Set.of("a"), Set.of(), Map.of("eyes", "closed"), Needs.ANYONE, List.of(Mode.NOTHING));
        Task lens = new Task(
                "lens", 50, Set.of("b"), Set.of(), Map.of("eyes", "open"), Needs.ANYONE, List.of(Mode.NOTHING));
        Task spray = new Task(
                "spray", 70, Set.of("c"), Set.of(), Map.of("eyes", "closed"), Needs.ANYONE, List.of(Mode.NOTHING));
        Worker second = new Worker("Mori", true, 1, 0, 100_000);
        Laid laid = laid(List.of(lids, lens, spray), List.of(), INES, second);
        assertThat(laid.starts()).containsExactly(0, 100, 0);
        assertThat(laid.times.chain()).containsExactly(1, 0);
    }

    /** The second coat must come within 20 s: where its hands come late, the first one waits for them. */
    @Test
    void whatIsTiedByAWindowIsMovedUntilItIsKept() {
        Task first = film("first", 40, 0, 20, 300, "a");
        Task second = new Task("second", 40, Set.of("a"), Set.of(), Needs.LEAD, List.of(Mode.NOTHING));
        Lag tied = new Lag("first", "second", Lag.Kind.USABLE, 20, "while it is open");
        Worker late = new Worker("Ines", true, 1, 200, 100_000);
        Worker early = new Worker("Pell", false, 1, 0, 100_000);
        Laid laid = laid(List.of(first, second), List.of(tied), late, early);
        assertThat(laid.starts()[1]).isEqualTo(200);
        assertThat(laid.starts()[0]).isEqualTo(140);
    }

    /** Not before the second that was asked for; begun late where hands are not free, and that is said. */
    @Test
    void pinsHoldBackAndLatenessIsCounted() {
        TaskNetwork network = new TaskNetwork(
                List.of(task("one", 100, "a"), task("two", 100, "b"), task("three", 100, "c")),
                List.of(),
                List.of(INES),
                0,
                NO_BREAKS,
                List.of(
                        new Pin("one", 30, Mode.NEVER, null),
                        new Pin("two", 0, 50, null),
                        new Pin("three", 0, 60, null)));
        Laid laid = new Laid(network).place();
        assertThat(laid.starts()).containsExactly(30, 130, 230);
        assertThat(laid.times.overdue(0)).isZero();
        assertThat(laid.times.overdue(1)).isEqualTo(80);
        assertThat(laid.times.overdue(2)).isEqualTo(170);
        assertThat(laid.times.latest()).isEqualTo(2);
        assertThat(laid.times.lateness()).isEqualTo(330 + 20 * (80 + 170));
    }

    @Test
    void nothingIsLateWhereNothingIsDue() {
        assertThat(coat().times.latest()).isEqualTo(-1);
    }

    /** Held back by hand of the search, and no longer than that. */
    @Test
    void aTaskThatIsHeldBackBeginsThen() {
        Laid laid = new Laid(network(List.of(task("one", 100, "a"), task("two", 50, "b")), List.of(), 1, INES));
        laid.genes.from()[0] = 70;
        laid.place();
        assertThat(laid.starts()).containsExactly(70, 0);
        laid.genes.from()[0] = 0;
        laid.place();
        assertThat(laid.starts()).containsExactly(0, 100);
    }

    /** 5000 s of work, 3000 after: a break after 7200 at the latest, so that the second waits for it; tight, it comes after 5000. */
    @Test
    void aBreakIsDrawnForwardToTheEndOfTheWorkBeforeIt() {
        TaskNetwork network = new TaskNetwork(
                List.of(task("long", 5000, "a"), task("longer", 3000, "b")),
                List.of(),
                List.of(INES),
                0,
                new BreakRule(7200, 600, 1800));
        Laid laid = new Laid(network).place();
        assertThat(laid.starts()).containsExactly(0, 7800);
        int[] tight = laid.times.tightGaps();
        assertThat(tight[0]).isEqualTo(5000);
        System.arraycopy(tight, 0, laid.genes.gap(), 0, tight.length);
        laid.place();
        assertThat(laid.starts()).containsExactly(0, 5600);
        assertThat(laid.times.schedule(0).rests()).containsExactly(new Rest(5000, 5600));
        assertThat(laid.times.ready()).isEqualTo(8600);
    }

    /** After work that ends at 100 nobody needs a break that was laid later: it is not part of the schedule. */
    @Test
    void breaksAfterTheLastWorkAreLeftOut() {
        Schedule schedule = coat().times.schedule(500);
        assertThat(schedule.rests()).isEmpty();
        assertThat(schedule.leastReady()).isEqualTo(360);
        assertThat(coat().times.schedule(300).leastReady()).isEqualTo(300);
        ScheduledTask coat = schedule.of("coat");
        assertThat(List.of(coat.usable(), coat.settled())).containsExactly(150, 300);
        assertThat(coat.closes()).isEqualTo(Mode.NEVER);
    }

    /** A film that closes is said with the second at which it does. */
    @Test
    void aWindowIsSaidWithItsSecond() {
        Laid laid = laid(List.of(film("latex", 100, 20, 90, 300, "a")), List.of(), INES);
        assertThat(laid.times.schedule(0).of("latex").closes()).isEqualTo(190);
    }

    /** Hands that leave before the work is done do not begin it. */
    @Test
    void whoLeavesDoesNotBeginWhatCannotBeFinished() {
        Worker leaves = new Worker("Ines", true, 1, 0, 99);
        Laid laid = new Laid(network(List.of(task("work", 100, "a")), List.of(), 1, leaves));
        assertThat(laid.placement.place(laid.genes)).isFalse();
        assertThat(laid.placement.failedAt).isZero();
        assertThat(laid.placement.failedForHands).isTrue();
        Worker stays = new Worker("Ines", true, 1, 0, 100);
        assertThat(laid(List.of(task("work", 100, "a")), List.of(), stays).ends())
                .containsExactly(100);
    }

    private static final Worker MORI = new Worker("Mori", true, 1, 0, 100_000);

    private static Task shared(String id, int seconds, String zone) {
        return new Task(
                id, seconds, Set.of(zone), Set.of(), Needs.ANYONE, List.of(Mode.NOTHING, Mode.NOTHING.together(0.6)));
    }

    /** Whoever helped is free when the shared work is over; and shared work waits for whoever is to help. */
    @Test
    void theChainGoesOnOverWhoeverHelps() {
        Laid after = new Laid(
                        network(
                                List.of(shared("both", 100, "a"), task("one", 50, "b"), task("two", 70, "c")),
                                List.of(),
                                0,
                                INES,
                                MORI),
                        1)
                .place();
        assertThat(after.starts()).containsExactly(0, 60, 60);
        assertThat(after.times.chain()).containsExactly(2, 0);
        Laid before = new Laid(
                        network(List.of(task("long", 90, "b"), shared("both", 100, "a")), List.of(), 0, INES, MORI),
                        0,
                        1)
                .place();
        assertThat(before.starts()).containsExactly(0, 90);
        assertThat(before.times.chain()).containsExactly(1, 0);
        assertThat(before.times.urgency()).containsExactly(150, 60);
    }

    /** What shares neither hands nor place is not what makes another late. */
    @Test
    void whatIsBesideIsNotInTheChain() {
        Laid laid = laid(
                List.of(
                        needing("first", 100, Needs.LEAD, "a"),
                        task("beside", 90, "b"),
                        needing("then", 50, Needs.LEAD, "c")),
                List.of(),
                INES,
                new Worker("Pell", false, 1, 0, 100_000));
        assertThat(laid.times.chain()).containsExactly(2, 0);
        assertThat(laid.times.urgency()).containsExactly(150, 90, 50);
    }

    /** 5000, 3000 and 6000 s: breaks after 5000 and after 3000 more; drawn forward to the end of work they are no later than that. */
    @Test
    void everyBreakIsDrawnForward() {
        TaskNetwork network = new TaskNetwork(
                List.of(task("one", 5000, "a"), task("two", 3000, "b"), task("three", 6000, "c")),
                List.of(),
                List.of(INES),
                0,
                new BreakRule(7200, 600, 1800));
        Laid laid = new Laid(network).place();
        // breaks at 7200 and at 15000 by the rule
        assertThat(laid.starts()).containsExactly(0, 7800, 15_600);
        int[] tight = laid.times.tightGaps();
        assertThat(tight[0]).isEqualTo(5000);
        // as the work lies now, two ends at 10 800
        assertThat(tight[1]).isEqualTo(10_800 - 5600);
        System.arraycopy(tight, 0, laid.genes.gap(), 0, tight.length);
        laid.place();
        assertThat(laid.starts()).containsExactly(0, 5600, 11_400);
        int[] again = laid.times.tightGaps();
        assertThat(again[0]).isEqualTo(5000);
        assertThat(again[1]).isEqualTo(3000);
        System.arraycopy(again, 0, laid.genes.gap(), 0, again.length);
        laid.place();
        assertThat(laid.starts()).containsExactly(0, 5600, 9200);
        assertThat(laid.times.schedule(0).rests()).containsExactly(new Rest(5000, 5600), new Rest(8600, 9200));
    }

    /** Work beyond the breaks that were laid goes on being broken by the rule. */
    @Test
    void breaksGoOnByTheRule() {
        BreakRule hourly = new BreakRule(3600, 600, 1800);
        List<Task> tasks = java.util.stream.IntStream.range(0, 8)
                .mapToObj(k -> task("t" + k, 3600, "z" + k))
                .toList();
        Laid laid = new Laid(new TaskNetwork(tasks, List.of(), List.of(INES), 0, hourly));
        Encoding none = new Encoding(
                laid.genes.priority(), laid.genes.mode(), new int[] {3600}, laid.genes.spare(), laid.genes.from());
        assertThat(laid.placement.place(none)).isTrue();
        // every third one is the meal
        assertThat(laid.starts()).containsExactly(0, 4200, 8400, 13_800, 18_000, 22_200, 27_600, 31_800);
    }

    /** Two things must follow within ten seconds, and there is one pair of hands: however late it begins, it cannot be. */
    @Test
    void aWindowThatNothingKeepsIsSaidToBeTheWindow() {
        List<Lag> tied = List.of(
                new Lag("first", "one", Lag.Kind.AFTER, 10, "test"),
                new Lag("first", "two", Lag.Kind.AFTER, 10, "test"));
        Laid laid = new Laid(
                network(List.of(task("first", 40, "a"), task("one", 50, "b"), task("two", 50, "c")), tied, 0, INES));
        assertThat(laid.placement.place(laid.genes)).isFalse();
        assertThat(laid.placement.failedForHands).isFalse();
        // with a second pair of hands it can
        assertThat(laid(List.of(task("first", 40, "a"), task("one", 50, "b"), task("two", 50, "c")), tied, INES, MORI)
                        .starts())
                .containsExactly(0, 40, 40);
    }

    /** What was moved later leaves nothing behind where it was: no hands, no help, no dryer, no posture, no place. */
    @Test
    void whatIsMovedLeavesItsHandsAndItsPlaceFree() {
        Task first = new Task(
                "first",
                40,
                Set.of("a"),
                Set.of("h"),
                Map.of("eyes", "closed"),
                Needs.ANYONE,
                List.of(Mode.NOTHING, new Mode(30, 0, 20, 0, 0.5)));
        Task second = new Task("second", 40, Set.of("a"), Set.of(), Needs.LEAD, List.of(Mode.NOTHING));
        Task other = new Task(
                "other",
                20,
                Set.of("h"),
                Set.of(),
                Map.of("eyes", "open"),
                Needs.ANYONE,
                List.of(Mode.NOTHING, new Mode(30, 0, Mode.NEVER, 0)));
        Lag tied = new Lag("first", "second", Lag.Kind.USABLE, 20, "while it is open");
        Worker late = new Worker("Ines", true, 1, 400, 100_000);
        Worker one = new Worker("Pell", false, 1, 0, 100_000);
        Worker two = new Worker("Mori", false, 1, 0, 100_000);
        Laid laid = new Laid(network(List.of(first, second, other), List.of(tied), 1, late, one, two), 1, 0, 1).place();
        // 20 by two and 30 of the dryer: it ends when the window can still be kept, 20 before the lead is there
        assertThat(laid.ends()[0]).isEqualTo(380);
        assertThat(laid.starts()[1]).isEqualTo(400);
        assertThat(laid.starts()[2]).isZero();
    }

    /** In the middle of a morning: what is done stays, whose hands it was counts, and what was missed is counted. */
    @Test
    void whatIsDoneIsWhereItWas() {
        TaskNetwork network = network(
                List.of(film("coat", 100, 0, 50, 300, "a"), task("press", 60, "a"), task("other", 30, "b")),
                List.of(new Lag("coat", "press", Lag.Kind.USABLE, null, "while it is open")),
                0,
                INES,
                MORI);
        ScheduledTask done = new ScheduledTask("coat", "Mori", 0, 0, 130, 130, 180, 430, 0);
        Progress progress = new Progress(200, List.of(done), List.of(), List.of());
        IndexedNetwork net = new IndexedNetwork(network, progress);
        SerialPlacement placement = new SerialPlacement(net);
        Encoding genes = new Encoding(
                new double[] {3, 2, 1}, new int[3], new int[net.bounds.mostRests()], new int[3], new int[3]);
        Arrays.fill(genes.gap(), 100_000);
        assertThat(placement.place(genes)).isTrue();
        assertThat(placement.start).containsExactly(0, 200, 200);
        assertThat(net.network.workers().get(placement.hands[0]).id()).isEqualTo("Mori");
        assertThat(placement.missed).containsExactly(0, 20, 0);
        PlacedTimes times = new PlacedTimes(placement);
        assertThat(times.lateness()).isEqualTo(times.ready() + 20 * 20);
        assertThat(placement.settled(0)).isEqualTo(430);
        // and once more: nothing is left of the first time
        assertThat(placement.place(genes)).isTrue();
        assertThat(placement.missed).containsExactly(0, 20, 0);
    }

    /** Without a dryer nothing is dried, and alone nothing is shared; with both every way is open. */
    @Test
    void onlyWaysThatThereAreHandsAndToolsForAreTaken() {
        Task task = new Task(
                "any",
                100,
                Set.of("a"),
                Set.of(),
                Needs.ANYONE,
                List.of(Mode.NOTHING, new Mode(30, 0, Mode.NEVER, 0), Mode.NOTHING.together(0.6)));
        assertThat(new IndexedNetwork(network(List.of(task), List.of(), 0, INES), Progress.NOTHING).ways[0])
                .containsExactly(0);
        assertThat(new IndexedNetwork(network(List.of(task), List.of(), 1, INES), Progress.NOTHING).ways[0])
                .containsExactly(0, 1);
        assertThat(new IndexedNetwork(network(List.of(task), List.of(), 0, INES, MORI), Progress.NOTHING).ways[0])
                .containsExactly(0, 2);
        assertThat(new IndexedNetwork(network(List.of(task), List.of(), 1, INES, MORI), Progress.NOTHING).ways[0])
                .containsExactly(0, 1, 2);
    }

    /** What has to be begun soon is pulled forward, and so is what comes before it. */
    @Test
    void whatIsDueIsPulledForward() {
        List<Task> tasks = List.of(task("first", 100, "a"), task("due", 50, "b"), task("long", 400, "c"));
        List<Lag> lags = List.of(lag("first", "due", Lag.Kind.AFTER));
        IndexedNetwork plain = new IndexedNetwork(
                new TaskNetwork(tasks, lags, List.of(INES), 0, NO_BREAKS, List.of()), Progress.NOTHING);
        assertThat(plain.pull).containsExactly(150, 50, 400);
        IndexedNetwork due = new IndexedNetwork(
                new TaskNetwork(tasks, lags, List.of(INES), 0, NO_BREAKS, List.of(new Pin("due", 0, 200, null))),
                Progress.NOTHING);
        // 550 s of work at the longest chain of 400: twice the longest less its second
        assertThat(due.pull[1]).isEqualTo(2 * 400 - 200);
        assertThat(due.pull[0]).isEqualTo(100 + due.pull[1]);
        assertThat(due.pull[2]).isEqualTo(400);
    }

    /** Whoever has no use for what is ready later is told so sooner, and loses nothing that is ready in time. */
    @Test
    void whatIsGivenUpWouldHaveBeenReadyTooLate() {
        int sooner = 0;
        for (long seed = 1; seed <= 300; seed++) {
            SplittableRandom random = new SplittableRandom(seed);
            TaskNetwork network = switch ((int) (seed % 3)) {
                case 0 -> Networks.random(seed);
                case 1 -> Networks.pinned(seed, 20);
                default -> Networks.together(seed, 16);
            };
            IndexedNetwork net = new IndexedNetwork(network, Progress.NOTHING);
            SerialPlacement placement = new SerialPlacement(net);
            for (int k = 0; k < 5; k++) {
                Encoding genes = drawn(net, random);
                if (!placement.place(genes)) {
                    continue;
                }
                int ready = new PlacedTimes(placement).ready();
                int[] starts = placement.start.clone();
                assertThat(placement.place(genes, ready)).as("seed " + seed).isTrue();
                assertThat(placement.start).containsExactly(starts);
                sooner += placement.place(genes, ready - 60) ? 0 : 1;
            }
        }
        assertThat(sooner).isGreaterThan(500);
    }

    private static Encoding drawn(IndexedNetwork net, SplittableRandom random) {
        double[] priority = random.doubles(net.n).toArray();
        int[] mode = new int[net.n];
        for (int i = 0; i < net.n; i++) {
            mode[i] = net.ways[i][random.nextInt(net.ways[i].length)];
        }
        int[] gap = new int[net.bounds.mostRests()];
        Arrays.fill(gap, net.network.breaks().every());
        return new Encoding(priority, mode, gap, new int[net.n], new int[net.n]);
    }

    /** Where every place is two, as a zone and its neighbour that are always done together, everything is placed as where it is one. */
    @Test
    void zonesThatAreAlwaysUsedTogetherChangeNothing() {
        for (long seed = 1; seed <= 100; seed++) {
            TaskNetwork one = Networks.random(seed);
            TaskNetwork two = new TaskNetwork(
                    one.tasks().stream().map(PlacementTest::doubled).toList(),
                    one.lags(),
                    one.workers(),
                    one.tools(),
                    one.breaks());
            IndexedNetwork single = new IndexedNetwork(one, Progress.NOTHING);
            IndexedNetwork twice = new IndexedNetwork(two, Progress.NOTHING);
            assertThat(twice.zones).isEqualTo(single.zones);
            Encoding genes = drawn(single, new SplittableRandom(seed));
            SerialPlacement a = new SerialPlacement(single);
            SerialPlacement b = new SerialPlacement(twice);
            assertThat(a.place(genes)).isEqualTo(b.place(genes));
            assertThat(b.start).containsExactly(a.start);
        }
    }

    private static Task doubled(Task t) {
        return new Task(t.id(), t.work(), doubled(t.zones()), doubled(t.holds()), t.posture(), t.needs(), t.modes());
    }

    private static Set<String> doubled(Set<String> zones) {
        return zones.stream().flatMap(z -> Stream.of(z, z + "-beside")).collect(Collectors.toSet());
    }

    /** What the search passes over as the same is placed the same; with two pairs of hands, who is spared matters. */
    @Test
    void encodingsThatAreAlikeArePlacedAlike() {
        boolean mattered = false;
        for (long seed = 0; seed < 60; seed++) {
            TaskNetwork network = Networks.random(seed);
            IndexedNetwork net = new IndexedNetwork(network, Progress.NOTHING);
            SerialPlacement placement = new SerialPlacement(net);
            Encoding genes = new Laid(network).genes;
            Encoding other = genes.copy();
            SplittableRandom random = new SplittableRandom(seed);
            Arrays.setAll(other.spare(), i -> 240 * (random.nextInt(5) - 2));
            boolean alone = network.workers().size() < 2;
            boolean placed = placement.place(genes);
            int[] starts = placement.start.clone();
            boolean same = placement.place(other) == placed && (!placed || Arrays.equals(starts, placement.start));
            assertThat(same || !genes.isLike(other, alone)).isTrue();
            assertThat(genes.isLike(genes.copy(), false)).isTrue();
            mattered |= !same;
            other.mode()[0]++;
            assertThat(genes.isLike(other, true)).isFalse();
        }
        assertThat(mattered).isTrue();
    }
}
