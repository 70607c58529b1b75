package app.kemdro.web.records.shelf;

import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Problem;
import app.kemdro.core.safety.Finding;
import app.kemdro.core.safety.HealthRecord;
import app.kemdro.web.DemoJobs;
import app.kemdro.web.DemoTest;
import app.kemdro.web.TestClock;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.InTheWay;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.product.Product;
import app.kemdro.web.records.product.Products;
import app.kemdro.web.records.run.Seats;
import app.kemdro.web.records.safety.Gate;
import app.kemdro.web.records.shelf.Shelf.Page;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.annotation.DirtiesContext;

/** What is kept of a job says at any moment what its rooms would say if they were asked then. */
@DemoTest
@DirtiesContext
class ShelfTest {
    private static final LocalDateTime NOW = LocalDateTime.of(2026, 12, 2, 19, 40);

    @Autowired
    private Shelf shelf;

    @Autowired
    private Jobs jobs;

    @Autowired
    private Plans plans;

    @Autowired
    private Products products;

    @Autowired
    private Gate gate;

    @Autowired
    private Seats seats;

    @Autowired
    private List<InTheWay> rooms;

    @Autowired
    private TestClock clock;

    @Autowired
    private JdbcTemplate database;

    @BeforeEach
    void evening() {
        clock.set(NOW);
    }

    private Job called(String name, LocalDateTime call) {
        Job job = DemoJobs.like("Orrin Vask", name, jobs);
        return jobs.change(
                job.id(),
                j -> j.describe(
                        j.title(),
                        "Cold Casting",
                        "",
                        j.brief().moved(Duration.between(j.brief().call(), call))));
    }

    private OnShelf standing(Job job) {
        return shelf.holding(job.title(), true, Place.LAST).jobs().get(0);
    }

    /** Not through what is kept: asked of the rooms as they stand. */
    private List<String> afresh(long id) {
        Job job = jobs.get(id);
        Optional<Plan> plan = plans.of(job).plan();
        List<Problem> all = new ArrayList<>(plans.of(job).problems());
        plan.ifPresent(p -> rooms.forEach(r -> r.of(job, p).lines().forEach(l -> all.add(l.problem()))));
        Stream<String> late = plan.filter(p -> p.ready().isAfter(job.brief().call())).stream()
                .map(p -> "Ready " + Words.ready(p.ready()) + ", " + Words.inHand(Words.minutesInHand(p)) + ".");
        return Stream.concat(late, all.stream().map(Problem::what)).sorted().toList();
    }

    private void saysWhatRoomsSay(Job job) {
        OnShelf now = standing(job);
        assertThat(now.inTheWay().stream().map(Way::what).sorted().toList()).isEqualTo(afresh(job.id()));
        // the header of every room says the same, whether it was kept or not
        Job stored = jobs.get(job.id());
        assertThat(shelf.inTheWay(stored, plans.of(stored))).isEqualTo(now.rooms());
        saysThePlansHours(job);
    }

    /** Once a day is over, nothing stands in its way any more, but its hours do. */
    private void saysThePlansHours(Job job) {
        OnShelf now = standing(job);
        Plan plan = plans.of(jobs.get(job.id())).plan().orElseThrow();
        assertThat(now.startBy()).isEqualTo(plan.startBy());
        assertThat(now.ready()).isEqualTo(plan.ready());
    }

    /** Bench work begins, then should have begun; patch tests come too late: nothing of it is a change of the job. */
    @Test
    void whatTheHourChangesIsSaid() {
        Job job = called("by the hour", NOW.plusDays(6).withHour(9));
        Set<List<String>> said = new HashSet<>();
        while (LocalDateTime.now(clock).isBefore(job.brief().call())) {
            saysWhatRoomsSay(job);
            said.add(afresh(job.id()));
            clock.pass(Duration.ofMinutes(45));
        }
        assertThat(said).as("what was said on the way").hasSizeGreaterThan(2);
    }

    @Test
    void whatTheHouseAndThePerformerChangeIsSaid() {
        Job job = called("by the house", NOW.plusDays(1).withHour(9));
        saysWhatRoomsSay(job);
        List<String> before = afresh(job.id());
        for (Product p : products.search("", false)) {
            products.use(p.code(), 1000);
        }
        saysWhatRoomsSay(job);
        assertThat(afresh(job.id())).isNotEqualTo(before);
        List<String> empty = afresh(job.id());
        jobs.change(job.id(), j -> j.performer().careFor(new HealthRecord(0, false, true, false, Set.of(), List.of())));
        saysWhatRoomsSay(job);
        assertThat(afresh(job.id())).isNotEqualTo(empty);
    }

    @Test
    void aBlockThatIsLiftedNoLongerStandsInTheWay() {
        Job job = called("lifted", NOW.plusDays(1).withHour(9));
        jobs.change(job.id(), j -> j.performer().careFor(new HealthRecord(0, false, true, false, Set.of(), List.of())));
        saysWhatRoomsSay(job);
        Job stored = jobs.get(job.id());
        Finding block =
                gate.findings(stored, plans.of(stored).plan().orElseThrow()).get(0);
        assertThat(block.kind()).isEqualTo(Finding.Kind.BLOCKS);
        List<String> before = afresh(job.id());
        gate.lift(stored, block, "seen to", "ines");
        assertThat(afresh(job.id())).isNotEqualTo(before);
        saysWhatRoomsSay(job);
    }

    @Test
    void aDayThatIsOverIsMadeAnewOnceItsJobIsChanged() {
        LocalDateTime call = NOW.minusDays(20).withHour(9);
        Job job = called("long past", call);
        saysThePlansHours(job);
        LocalDateTime before = standing(job).startBy();
        jobs.change(
                job.id(),
                j -> j.describe(j.title(), j.production(), "", j.brief().moved(Duration.ofHours(3))));
        saysThePlansHours(job);
        assertThat(standing(job).startBy()).isNotEqualTo(before);
    }

    @Test
    void pagesGoOnWhereTheLastOneEndedWithNothingTwiceAndNothingLost() {
        List<Long> made = new ArrayList<>();
        for (int k = 0; k < 30; k++) {
            made.add(called("queue " + k, NOW.plusDays(40 + k / 9).withHour(9)).id());
        }
        List<Long> met = new ArrayList<>();
        Page page = shelf.from(new Place(NOW.plusDays(39), 0));
        page.jobs().forEach(j -> met.add(j.id()));
        while (page.later().isPresent()) {
            page = shelf.from(Place.of(page.later().get().toString()).orElseThrow());
            page.jobs().forEach(j -> met.add(j.id()));
        }
        assertThat(met).containsExactlyElementsOf(made);
        List<Long> back = new ArrayList<>();
        page = shelf.holding("queue CASTING", true, Place.LAST);
        page.jobs().forEach(j -> back.add(j.id()));
        while (page.earlier().isPresent()) {
            page = shelf.holding("queue casting", true, page.earlier().get());
            page.jobs().forEach(j -> back.add(j.id()));
        }
        assertThat(back).containsExactlyInAnyOrderElementsOf(made).hasSize(30);
        assertThat(shelf.holding("queue%", true, Place.LAST).jobs()).isEmpty();
    }

    @Test
    void whoSitsNowStandsOnTopThoughTheCallIsPast() {
        Job job = called("sits long", NOW.plusHours(4));
        seats.begin(job.id(), "ines");
        clock.set(NOW.plusHours(9));
        assertThat(shelf.today().jobs().get(0).title()).isEqualTo("sits long");
        assertThat(shelf.today().jobs())
                .filteredOn(j -> j.title().equals("sits long"))
                .hasSize(1);
    }

    @Test
    void whatWasSetAsideLongAgoGoes() {
        Job job = called("long ago", NOW.plusDays(2));
        jobs.setAside(job.id(), NOW);
        assertThat(jobs.aside(NOW.plusDays(30), 9)).anyMatch(a -> a.id() == job.id());
        clock.set(NOW.plusDays(30).plusMinutes(1));
        assertThat(jobs.aside(NOW.plusDays(30).plusMinutes(1), 9)).noneMatch(a -> a.id() == job.id());
        shelf.makeUp();
        assertThat(database.queryForObject("select count(*) from job where id = ?", Long.class, job.id()))
                .isZero();
    }

    /** A house that an older build kept has none of it yet, or not as it is made today. */
    @Test
    void anOlderHouseIsMadeUp() {
        Job job = called("older", NOW.plusDays(2));
        standing(job);
        database.update("update shelf_line set build = 'an older one', start_by = null");
        shelf.makeUp();
        assertThat(database.queryForList("select start_by from shelf_line where job_id = ?", job.id())
                        .get(0))
                .extractingByKey("START_BY")
                .isNotNull();
    }
}
