package app.kemdro.web.records.shelf;

import app.kemdro.core.hour.HouseLine;
import app.kemdro.core.hour.Wall;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.web.parts.figure.LookTints;
import app.kemdro.web.parts.json.Json;
import app.kemdro.web.parts.live.Background;
import app.kemdro.web.parts.mishap.Unsaid;
import app.kemdro.web.parts.ribbon.Ribbon;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.job.NoSuchJob;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.plan.Plans.Answer;
import app.kemdro.web.records.plan.WhenPlanned;
import app.kemdro.web.records.shelf.ShelfRows.At;
import app.kemdro.web.records.shelf.ShelfRows.Row;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.dao.DataAccessException;
import org.springframework.stereotype.Service;

/**
 * Jobs by their call, a page at a time, with what is kept of each. What is kept is written when a plan is made, and made anew when it
 * is looked at and is no longer so.
 */
@Service
public class Shelf implements WhenPlanned, DisposableBean {
    /** So many jobs stand on a page. */
    public static final int PAGE = 12;

    /** A plan is often followed by the next press; what is kept of it waits so long, milliseconds. */
    private static final int SETTLES = 1500;

    /** Once it has started, a house looks so often for jobs of which nothing is kept yet, seconds. */
    private static final int FIRST_LOOK = 30;

    private static final int LOOK_EVERY = 300;
    private static final int AT_ONCE = 1000;
    private static final Logger LOG = LoggerFactory.getLogger(Shelf.class);

    private final ShelfRows rows;
    private final Jobs jobs;
    private final Plans plans;
    private final Obstacles obstacles;
    private final Trade trade;
    private final Json json;
    private final Clock clock;
    private final String build;
    private final Map<Long, Made> made = new ConcurrentHashMap<>();
    private final Cache<Answer, Lately> lately =
            Caffeine.newBuilder().weakKeys().build();
    private final ScheduledExecutorService beside = Background.thread("shelf", Thread.MIN_PRIORITY);

    private record Made(Job job, Answer answer) {}

    /** What stands in the way of a job that says this, with this stock and this block lifted last. */
    private record Lately(List<?> of, Obstacles.Gathered way) {}

    Shelf(
            ShelfRows rows,
            Jobs jobs,
            Plans plans,
            Obstacles obstacles,
            Trade trade,
            Json json,
            Clock clock,
            @Value("${kemdro.build}") String build) {
        this.rows = rows;
        this.jobs = jobs;
        this.plans = plans;
        this.obstacles = obstacles;
        this.trade = trade;
        this.json = json;
        this.clock = clock;
        this.build = build;
        beside.scheduleWithFixedDelay(this::makeUp, FIRST_LOOK, LOOK_EVERY, TimeUnit.SECONDS);
    }

    /**
     * A page of the shelf.
     *
     * @param later where it goes on towards what comes; empty where this is the last
     * @param earlier where it goes on towards the past; empty where there is nothing before
     */
    public record Page(List<OnShelf> jobs, Optional<Place> later, Optional<Place> earlier) {}

    /** Whom somebody sits for now, then what is still to come, the soonest first; what is past fills the page, the latest first. */
    public Page today() {
        Place here = new Place(now(), 0);
        List<At> running = rows.running();
        List<At> all =
                new ArrayList<>(running.stream().filter(r -> r.isBefore(here)).toList());
        all.addAll(rows.from(here, PAGE + 1));
        if (all.size() > PAGE) {
            return new Page(standing(all.subList(0, PAGE)), Optional.of(at(all.get(PAGE))), Optional.of(here));
        }
        int room = PAGE - all.size();
        List<At> past = rows.before(here, room + running.size() + 1).stream()
                .filter(p -> !running.contains(p))
                .toList();
        past.stream().limit(room).forEach(all::add);
        return new Page(
                standing(all),
                Optional.empty(),
                past.stream().skip(room).findFirst().map(Shelf::behind));
    }

    /** Jobs from a place on, the soonest first. */
    public Page from(Place place) {
        List<At> found = rows.from(place, PAGE + 1);
        return new Page(
                standing(found.stream().limit(PAGE).toList()),
                found.stream().skip(PAGE).findFirst().map(Shelf::at),
                Optional.of(place));
    }

    /** Jobs before a place, the latest first. */
    public Page before(Place place) {
        return towardsThePast(rows.before(place, PAGE + 1));
    }

    /**
     * Jobs before a place in whose name or production all of these words stand, the latest first.
     *
     * @param names whether they may stand in the performer's name as well
     */
    public Page holding(String words, boolean names, Place before) {
        return towardsThePast(rows.holding(
                Arrays.asList(words.strip().toLowerCase(Locale.ROOT).split("\\s+")), names, before, PAGE + 1));
    }

    private Page towardsThePast(List<At> found) {
        return new Page(
                standing(found.stream().limit(PAGE).toList()),
                Optional.empty(),
                found.stream().skip(PAGE).findFirst().map(Shelf::behind));
    }

    private static Place at(At job) {
        return new Place(job.call(), job.id());
    }

    /** Just behind a job, so that it is the first before this place. */
    private static Place behind(At job) {
        return new Place(job.call(), job.id() + 1);
    }

    /** What stands in the way of a job, room by room, as it is planned now. */
    public List<InRoom> inTheWay(Job job, Answer answer) {
        Optional<Row> row = rows.of(job.id());
        LocalDateTime now = now();
        if (row.isEmpty() || isOver(row.get(), now)) {
            return List.of();
        }
        ShelfLine line = row.get().line();
        return InRoom.of(
                line != null && !job.isSupposed() && stands(row.get(), now)
                        ? ways(line)
                        : gathered(job, answer, row.get(), now));
    }

    /** Gathered once of all that a line is kept by, so that a press that was pointed at before finds it there. */
    private List<Way> gathered(Job job, Answer answer, Row row, LocalDateTime now) {
        List<?> of = Arrays.asList(job.shown(), row.lift(), row.stock());
        Lately known = lately.getIfPresent(answer);
        if (known == null || !known.of().equals(of) || !known.way().isStill(now)) {
            known = new Lately(of, obstacles.of(job, answer));
            lately.put(answer, known);
        }
        return known.way().lines();
    }

    /** How long it is until the soonest chair-in, whatever clocks do meanwhile. */
    public Optional<Duration> untilChairIn() {
        return rows.nextChairIn(now())
                .map(next -> Duration.between(
                        clock.instant(), HouseLine.of(Wall.zone(), next.call()).instant(next.at())));
    }

    private List<OnShelf> standing(List<At> jobs) {
        LocalDateTime now = now();
        return rows.rows(jobs).stream().map(r -> standing(r, now)).toList();
    }

    private LocalDateTime now() {
        return LocalDateTime.now(clock);
    }

    /** Nobody is asked any more what was in the way of it. */
    private static boolean isOver(Row row, LocalDateTime now) {
        return row.call().isBefore(now) && row.run() == null;
    }

    /** Whether what is kept of a job says what it would say if it were made now. */
    private boolean stands(Row row, LocalDateTime now) {
        ShelfLine line = row.line();
        return line != null
                && (isOver(row, now) ? line.stood(row.madeOf()) : line.stands(build, row.madeOf(), row.stock(), now));
    }

    private OnShelf standing(Row row, LocalDateTime now) {
        ShelfLine line = row.line();
        if (line == null || !stands(row, now)) {
            Job job = jobs.get(row.id());
            line = make(job, plans.of(job), row);
            keep(line);
        }
        return new OnShelf(
                row.id(),
                row.title(),
                row.production(),
                row.performer(),
                row.call(),
                row.run() != null,
                line.startBy(),
                line.chairIn(),
                line.ready(),
                line.figure(),
                line.ribbon(),
                isOver(row, now) ? List.of() : ways(line));
    }

    private List<Way> ways(ShelfLine line) {
        return List.of(json.read(line.inTheWay(), Way[].class));
    }

    private ShelfLine make(Job job, Answer answer, Row row) {
        Obstacles.Gathered way = obstacles.of(job, answer);
        ShelfLine line = new ShelfLine(
                job.id(), build, row.madeOf(), row.stock(), way.until().orElse(null), json.text(way.lines()));
        Optional<Plan> plan = answer.plan();
        plan.ifPresent(p -> line.planned(p.startBy(), p.chairIn(), p.ready()));
        line.drawn(
                json.text(LookTints.worn(job.look(), trade)),
                json.text(plan.map(p -> Ribbon.of(p, null))
                        .orElseGet(() -> Ribbon.empty(job.brief().call()))));
        return line;
    }

    /** What cannot be kept is made again at the next look: somebody else was quicker, or the job is gone. */
    /** One at a time: a page and what runs beside it may have made the same line. */
    private synchronized void keep(ShelfLine line) {
        try {
            rows.keep(line);
        } catch (DataAccessException e) {
            LOG.debug("A line of the shelf was not kept", e);
        }
    }

    @Override
    public void planned(Job job, Answer answer) {
        if (made.put(job.id(), new Made(job, answer)) == null) {
            beside.schedule(() -> write(job.id()), SETTLES, TimeUnit.MILLISECONDS);
        }
    }

    private void write(long job) {
        Made last = made.remove(job);
        try {
            Optional<Row> row = rows.of(job);
            if (last != null
                    && row.isPresent()
                    && !stands(row.get(), now())
                    && last.job().version().equals(row.get().jobVersion())) {
                keep(make(last.job(), last.answer(), row.get()));
            }
        } catch (RuntimeException e) {
            LOG.warn("What the shelf shows of job {} was not kept", job, Unsaid.of(e));
        }
    }

    /** Lets go of what was set aside long ago, and makes what is missing of jobs to come once an older house was opened. */
    void makeUp() {
        try {
            jobs.letGo(now());
            for (long id : rows.unmade(now(), build, AT_ONCE)) {
                rows.of(id).ifPresent(row -> standing(row, now()));
            }
        } catch (NoSuchJob e) {
            LOG.debug("A job went meanwhile", e);
        } catch (RuntimeException e) {
            LOG.warn("The shelf could not be made up", Unsaid.of(e));
        }
    }

    @Override
    public void destroy() {
        beside.shutdownNow();
    }
}
