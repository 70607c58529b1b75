package app.kemdro.web.parts.ribbon;

import app.kemdro.core.hour.Wall;
import app.kemdro.core.look.Wish;
import app.kemdro.core.method.StepTemplate.Begins;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.schedule.Confidence;
import app.kemdro.core.schedule.Critical;
import app.kemdro.core.schedule.Lag;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.core.schedule.Task.Mode;
import app.kemdro.core.schedule.Worker;
import app.kemdro.web.parts.words.Words;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;

/**
 * The strip, ready to be drawn. All positions are minutes after chair-in.
 *
 * @param clock minute of the day of chair-in
 * @param away stretches in which the performer is out of the chair
 * @param held steps about which something is wished, and what each wish costs
 * @param turn where the clocks change on the strip; none on all but two nights a year
 * @param smear how often, of all simulated mornings, it ends in each minute
 */
public record Ribbon(
        int clock,
        String chairIn,
        List<Row> rows,
        List<Film> films,
        List<Span> windows,
        List<Span> rests,
        List<Span> away,
        double ready,
        String readyText,
        @Nullable Double sure,
        String sureText,
        double call,
        String callText,
        List<Smear> smear,
        List<Held> held,
        @Nullable Turn turn) {

    /** A window longer than this is no worry, and not drawn; minutes. */
    private static final double LONGEST_WINDOW = 10;

    /** From so many minutes on, the wall is so many minutes ahead of what it was. */
    public record Turn(double at, int by) {}

    /** One pair of hands and what it does. */
    public record Row(String name, List<Block> blocks) {}

    /** A step under hands. */
    public record Block(String id, double from, double to, String label, String title, boolean critical) {}

    /** A coat that dries by itself. */
    public record Film(
            String id,
            double from,
            double to,
            @Nullable Double tacky,
            @Nullable Double closes) {}

    /** A stretch of time. */
    public record Span(double from, double to) {}

    /** A wish about a step under these hands, with its cost in minutes. */
    public record Held(double at, int hands, String costs) {}

    /** How many mornings end in this minute. */
    public record Smear(int minute, int mornings) {}

    /** The same without a word of what is done and by whom, for those who need only the times. */
    public Ribbon timesOnly() {
        List<Row> nobodys = rows.stream()
                .map(r -> new Row(
                        "",
                        r.blocks().stream()
                                .map(b -> new Block("", b.from(), b.to(), "", "", b.critical()))
                                .toList()))
                .toList();
        List<Film> unnamed = films.stream()
                .map(f -> new Film("", f.from(), f.to(), f.tacky(), f.closes()))
                .toList();
        return new Ribbon(
                clock, chairIn, nobodys, unnamed, windows, rests, away, ready, readyText, sure, sureText, call,
                callText, smear, List.of(), turn);
    }

    /** Draws nothing but the call, where there is no plan yet. */
    public static Ribbon empty(LocalDateTime call) {
        LocalDateTime chairIn = call.minusHours(3);
        return new Ribbon(
                minuteOfDay(chairIn),
                "",
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                0,
                "",
                null,
                "",
                180,
                Words.hour(call),
                List.of(),
                List.of(),
                null);
    }

    /** The strip of a plan. */
    public static Ribbon of(Plan plan, @Nullable Confidence confidence) {
        Set<String> critical = Critical.tasks(plan.network(), plan.schedule());
        List<Row> rows = new ArrayList<>();
        for (Worker worker : plan.network().workers()) {
            rows.add(new Row(
                    worker.id(),
                    plan.schedule().placed().stream()
                            .filter(p -> p.takes(worker.id()))
                            .map(p -> block(plan.step(p.task()), p, critical.contains(p.task())))
                            .toList()));
        }
        return new Ribbon(
                minuteOfDay(plan.chairIn()),
                Words.hour(plan.chairIn()),
                rows,
                films(plan),
                windows(plan),
                plan.schedule().rests().stream()
                        .map(r -> new Span(minutes(r.start()), minutes(r.end())))
                        .toList(),
                plan.schedule().placed().stream()
                        .filter(p -> p.worker() == null)
                        .map(p -> new Span(minutes(p.start()), minutes(p.end())))
                        .toList(),
                minutes(plan.schedule().ready()),
                Words.ready(plan.ready()),
                confidence == null ? null : minutes(confidence.by(0.9)),
                confidence == null ? "" : Words.ready(plan.clock(confidence.by(0.9))),
                minutes((int)
                        Duration.between(plan.chairIn(), plan.brief().call()).getSeconds()),
                Words.hour(plan.brief().call()),
                confidence == null ? List.of() : smear(confidence),
                List.of(),
                turn(plan));
    }

    /** The same with the wishes about it, and what each costs in seconds where that is known. */
    public Ribbon holding(Plan plan, List<Wish> wishes, Map<Wish, Integer> costs) {
        List<String> names = plan.network().workers().stream().map(Worker::id).toList();
        List<Held> all = new ArrayList<>();
        for (Wish wish : wishes) {
            int seconds = costs.getOrDefault(wish, 0);
            plan.schedule().placed().stream()
                    .filter(p -> p.task().equals(wish.step()) && p.worker() != null)
                    .findFirst()
                    .ifPresent(p -> all.add(new Held(
                            minutes(p.start()),
                            names.indexOf(p.worker()),
                            seconds < 60 ? "" : "+" + Math.round(seconds / 60.0))));
        }
        return new Ribbon(
                clock, chairIn, rows, films, windows, rests, away, ready, readyText, sure, sureText, call, callText,
                smear, all, turn);
    }

    private static Block block(PlannedStep step, ScheduledTask p, boolean critical) {
        return new Block(
                p.task(), minutes(p.start()), minutes(p.end()), Labels.brief(step), step.titleWithPlace(), critical);
    }

    private static List<Film> films(Plan plan) {
        return plan.schedule().placed().stream()
                .filter(p -> p.settled() > p.end())
                .map(p -> film(plan.step(p.task()), p))
                .toList();
    }

    private static Film film(PlannedStep step, ScheduledTask p) {
        boolean grabs = step.drying().map(d -> d.tacky().isPresent()).orElse(false);
        return new Film(
                p.task(),
                minutes(p.end()),
                minutes(p.settled()),
                grabs ? minutes(p.usable()) : null,
                p.closes() >= Mode.NEVER ? null : minutes(p.closes()));
    }

    /** Stretches in which something must be begun, or it must be laid again. */
    private static List<Span> windows(Plan plan) {
        List<Span> spans = new ArrayList<>();
        for (Lag lag : plan.network().lags()) {
            Optional<ScheduledTask> laid = plan.schedule().find(lag.from());
            if (laid.isEmpty() || plan.schedule().find(lag.to()).isEmpty()) {
                continue;
            }
            ScheduledTask from = laid.get();
            PlannedStep step = plan.step(lag.to());
            boolean wet = step.template().begins() == Begins.WET;
            if (lag.kind() == Lag.Kind.FRESH || wet) {
                spans.add(new Span(minutes(from.end()), minutes(from.usable())));
            } else if (lag.kind() == Lag.Kind.USABLE && from.closes() < Mode.NEVER) {
                spans.add(new Span(minutes(from.usable()), minutes(from.closes())));
            } else if (lag.kind() == Lag.Kind.SETTLED && lag.within() != null) {
                spans.add(new Span(minutes(from.settled()), minutes(from.settled() + lag.within())));
            }
        }
        return spans.stream().filter(s -> s.to() - s.from() <= LONGEST_WINDOW).toList();
    }

    private static List<Smear> smear(Confidence confidence) {
        List<Smear> result = new ArrayList<>();
        int minute = Integer.MIN_VALUE;
        int count = 0;
        for (int second : confidence.ready()) {
            if (second / 60 != minute) {
                if (count > 0) {
                    result.add(new Smear(minute, count));
                }
                minute = second / 60;
                count = 0;
            }
            count++;
        }
        if (count > 0) {
            result.add(new Smear(minute, count));
        }
        return result;
    }

    private static double minutes(int seconds) {
        return Math.round(seconds / 6.0) / 10.0;
    }

    private static @Nullable Turn turn(Plan plan) {
        return Wall.line()
                .flatMap(line -> line.turn(plan.chairIn(), plan.chairIn().plusDays(1)))
                .map(t -> new Turn(Duration.between(plan.chairIn(), t.at()).getSeconds() / 60.0, t.minutes()))
                .orElse(null);
    }

    private static int minuteOfDay(LocalDateTime time) {
        LocalDateTime wall = Wall.at(time);
        return wall.getHour() * 60 + wall.getMinute();
    }
}
