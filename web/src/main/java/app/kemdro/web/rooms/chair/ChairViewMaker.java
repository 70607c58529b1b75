package app.kemdro.web.rooms.chair;

import app.kemdro.core.hour.Wall;
import app.kemdro.core.look.Brief.Room;
import app.kemdro.core.method.Role;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.plan.Transfer;
import app.kemdro.core.run.Chair;
import app.kemdro.core.run.LiveFilm;
import app.kemdro.core.run.StepState;
import app.kemdro.core.run.StepState.Status;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.core.schedule.Task.Mode;
import app.kemdro.web.parts.ribbon.Ribbon;
import app.kemdro.web.parts.words.Shares;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.run.RehearsalDraw;
import app.kemdro.web.records.run.RunNow;
import app.kemdro.web.rooms.chair.ChairView.Clock;
import app.kemdro.web.rooms.chair.ChairView.Hands;
import app.kemdro.web.rooms.chair.ChairView.Now;
import app.kemdro.web.rooms.chair.ChairView.Upcoming;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Makes what a screen of the chair shows of a run. */
final class ChairViewMaker {
    private static final int A_MINUTE = 60;
    private static final int SOON = 20;
    private static final int AHEAD = 3;
    private static final int TO_SPARE = 8;

    private final RunNow standing;
    private final Plan plan;
    private final Schedule schedule;
    private final Chair chair;
    private final LocalDateTime now;
    private final Trade trade;
    private final List<LiveFilm> films;

    ChairViewMaker(RunNow standing, LocalDateTime now, Trade trade) {
        // what is pushed to screens is made on threads that have opened no job
        Wall.of(standing.plan().brief().call());
        this.trade = trade;
        this.standing = standing;
        this.plan = standing.plan().with(standing.schedule());
        this.schedule = standing.schedule();
        this.chair = new Chair(standing.plan(), standing.state());
        this.now = now;
        this.films = chair.films(now);
    }

    ChairView view() {
        long minutes = Words.minutesInHand(plan);
        boolean pause = standing.state().onBreak();
        return new ChairView(
                millis(now),
                millis(plan.brief().call()),
                Words.hour(plan.brief().call()),
                millis(plan.ready()),
                Words.ready(plan.ready()),
                minutes,
                Words.inHand(minutes),
                sure(),
                standing.run().isRehearsal() ? standing.run().pace() : 1,
                room(),
                standing.trouble(),
                spare(minutes),
                standing.run().endedAt() != null,
                standing.allDone(),
                pause,
                standing.state()
                        .pause()
                        .map(p -> p.why().name().toLowerCase(Locale.ROOT))
                        .orElse(""),
                chair.breakEnds().map(ChairViewMaker::millis).orElse(null),
                rest().orElse(null),
                allHands(),
                clocks(),
                zones(),
                Ribbon.of(plan, null),
                (int) standing.state().steps().values().stream()
                        .filter(s -> s.status() == Status.DONE || s.status() == Status.SKIPPED)
                        .count(),
                plan.steps().size());
    }

    private String sure() {
        if (standing.run().endedAt() != null) {
            return "";
        }
        return "9 of 10: " + Words.ready(plan.clock(standing.confidence(now).by(0.9)));
    }

    private String room() {
        Room room = plan.brief().room();
        return "%.0f °C, %.0f %%, %s"
                .formatted(
                        room.temperatureC(),
                        room.humidityPercent(),
                        room.dryers() == 0 ? "no dryer" : room.dryers() == 1 ? "one dryer" : room.dryers() + " dryers");
    }

    /** Time left over is best spent on edges, once they are on. */
    private String spare(long minutes) {
        boolean edges = plan.steps().stream()
                .anyMatch(s -> s.technique().is(Role.BLENDS_EDGES)
                        && standing.state().step(s.id()).status() == Status.DONE);
        long open = plan.steps().stream()
                .filter(s -> standing.state().step(s.id()).status() == Status.WAITING)
                .count();
        return minutes >= TO_SPARE && edges && open * 4 < plan.steps().size()
                ? minutes + " min left over. Spend them on edges."
                : "";
    }

    private Optional<Upcoming> rest() {
        int second = second(now);
        return schedule.rests().stream()
                .filter(r -> r.end() > second)
                .filter(r -> standing.state().pauses().stream().noneMatch(p -> second(p.from()) == r.start()))
                .findFirst()
                .map(r -> new Upcoming("break", Words.hour(plan.clock(r.start()))));
    }

    private List<Hands> allHands() {
        List<Hands> all = new ArrayList<>();
        plan.network().workers().forEach(w -> all.add(hands(w.id(), w.id())));
        Hands performer = hands(Chair.NOBODY, plan.brief().performer().name().split(" ")[0]);
        if (performer.running() != null || performer.upcoming() != null) {
            all.add(performer);
        }
        return all;
    }

    private Hands hands(String name, String label) {
        Optional<String> running = standing.state()
                .runningBy(name)
                .filter(step -> schedule.find(step).isPresent());
        List<ScheduledTask> ahead = chair.ahead(schedule, name);
        Optional<ScheduledTask> first = ahead.stream().findFirst();
        boolean idle = running.isEmpty();
        Optional<ScheduledTask> next = idle ? ahead.stream().skip(1).findFirst() : first;
        return new Hands(
                name,
                label,
                running.map(this::running).orElse(null),
                idle ? first.map(this::upcoming).orElse(null) : null,
                idle ? first.flatMap(this::waits).orElse(null) : null,
                chair.helping(schedule, name).stream()
                        .findFirst()
                        .filter(p -> first.isEmpty() || p.start() <= first.get().start())
                        .map(this::helps)
                        .orElse(""),
                idle && first.filter(this::afterRest).isPresent(),
                next.map(p -> new Upcoming(plan.step(p.task()).titleWithPlace(), Words.hour(plan.clock(p.start()))))
                        .orElse(null),
                standing.state().lastBy(name).isPresent(),
                ahead.stream()
                        .skip(idle ? 1 : 0)
                        .limit(AHEAD)
                        .map(this::upcoming)
                        .toList(),
                standing.state().drivers().getOrDefault(name, ""));
    }

    private String helps(ScheduledTask p) {
        boolean on = standing.state().step(p.task()).status() == Status.RUNNING;
        return "Help " + p.worker() + (on ? " now" : " at " + Words.hour(plan.clock(p.start()))) + ": "
                + plan.step(p.task()).title();
    }

    private boolean afterRest(ScheduledTask next) {
        int second = second(now);
        return schedule.rests().stream()
                .anyMatch(r -> r.end() == next.start() && r.start() <= second + A_MINUTE && r.end() > second);
    }

    private Optional<String> waits(ScheduledTask next) {
        if (afterRest(next)) {
            return Optional.of("the break");
        }
        return chair.waitsFor(schedule, next)
                .map(s -> s.material().map(m -> m.name()).orElse("film") + " on " + s.where() + " to be ready")
                .or(() -> next.start() > second(now) + SOON
                        ? Optional.of("the zone or other hands to be free")
                        : Optional.empty());
    }

    private Now running(String id) {
        StepState s = standing.state().step(id);
        ScheduledTask p = schedule.of(id);
        LocalDateTime began = s.started() == null ? now : s.started();
        return step(plan.step(id), millis(began), millis(plan.clock(p.end())), p);
    }

    private Now upcoming(ScheduledTask p) {
        return step(plan.step(p.task()), millis(plan.clock(p.start())), millis(plan.clock(p.end())), p);
    }

    private Now step(PlannedStep step, long from, long until, ScheduledTask placed) {
        Optional<Long> window = window(step);
        return new Now(
                step.id(),
                step.title(),
                step.where(),
                step.lookFor(),
                step.template().performer(),
                Shares.help(step, placed),
                step.zones(),
                Transfer.cautions(plan, step, trade),
                from,
                until,
                window.orElse(null),
                fate(step));
    }

    /** In a rehearsal, when the work is really done; nobody knows before. */
    private @Nullable Long fate(PlannedStep step) {
        StepState s = standing.state().step(step.id());
        if (!standing.run().isRehearsal() || s.status() != Status.RUNNING || s.started() == null) {
            return null;
        }
        ScheduledTask placed = schedule.of(step.id());
        LocalDateTime done = RehearsalDraw.ends(standing.run().id(), plan, placed, s.started());
        return done.isAfter(now) ? null : millis(done);
    }

    /** When the window in which this step must begin closes, if it has one that is open. */
    private Optional<Long> window(PlannedStep step) {
        return plan.network().lags().stream()
                .filter(l -> l.to().equals(step.id()))
                .filter(l -> standing.state().step(l.from()).status() == Status.DONE)
                .map(l -> l.shuts(schedule.of(l.from())))
                .filter(second -> second < Mode.NEVER)
                .min(Integer::compareTo)
                .filter(second -> standing.state().step(step.id()).status() == Status.WAITING)
                .map(second -> millis(plan.clock(second)));
    }

    private List<Clock> clocks() {
        List<Clock> clocks = new ArrayList<>();
        for (LiveFilm film : films) {
            PlannedStep step = film.step();
            Optional<PlannedStep> wanted = wanted(step);
            clocks.add(new Clock(
                    step.id(),
                    step.where(),
                    step.material().map(m -> m.name()).orElse(""),
                    film.at(now).name().toLowerCase(Locale.ROOT),
                    step.material().map(m -> m.lookFor()).orElse(""),
                    millis(film.laid()),
                    film.tacky() == null ? null : millis(film.tacky()),
                    film.closes() == null ? null : millis(film.closes()),
                    millis(film.clear()),
                    film.confirmed(),
                    step.dryingCool().isPresent(),
                    film.blown(),
                    film.zones(),
                    wanted.map(PlannedStep::id).orElse(null),
                    wanted.map(PlannedStep::title).orElse("")));
        }
        return clocks;
    }

    /** What is to be worked into this film before it closes and has not begun. */
    private Optional<PlannedStep> wanted(PlannedStep film) {
        return plan.network().lags().stream()
                .filter(l -> l.from().equals(film.id()) && l.ties())
                .filter(l -> standing.state().step(l.to()).status() == Status.WAITING)
                .map(l -> plan.step(l.to()))
                .findFirst();
    }

    private Map<String, String> zones() {
        Map<String, String> zones = new LinkedHashMap<>();
        for (int k = films.size() - 1; k >= 0; k--) {
            String state = films.get(k).at(now).name().toLowerCase(Locale.ROOT);
            films.get(k).zones().forEach(z -> zones.put(z, state));
        }
        return zones;
    }

    private int second(LocalDateTime at) {
        return (int) ChronoUnit.SECONDS.between(plan.chairIn(), at);
    }

    private static long millis(LocalDateTime at) {
        return Wall.instant(at).toEpochMilli();
    }
}
