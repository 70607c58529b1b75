package app.kemdro.web.records.jobfile;

import app.kemdro.core.hour.Wall;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Breaks;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.look.Wish;
import app.kemdro.core.method.OrderSchool;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.BenchDays.Hours;
import app.kemdro.core.plan.BriefCheck;
import app.kemdro.core.plan.Problem;
import app.kemdro.core.schedule.Rest;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.core.schedule.Task;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.paint.JobColours;
import app.kemdro.web.records.reference.References;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Reads a job file strictly: nothing is guessed, nothing half is kept, and every complaint says where. */
@Component
public class JobReader {
    private final Trade trade;
    private final JobColours colours;
    private final FileRules rules;

    JobReader(Trade trade, JobColours colours, FileRules rules) {
        this.rules = rules;
        this.trade = trade;
        this.colours = colours;
    }

    /**
     * Turns the text of a file into a job that is not stored yet, with its mixes and the paints they need.
     *
     * @throws Unreadable saying what is wrong and where
     */
    public Taken read(String text) {
        JobFile file = JobParser.parse(text);
        if (!JobFile.FORMAT.equals(file.format())) {
            throw new Unreadable("This is no Kemdro job: \"format\" must be \"" + JobFile.FORMAT + "\".");
        }
        if (file.version() == null || file.version() < JobFile.OLDEST || file.version() > JobFile.VERSION) {
            throw new Unreadable("This Kemdro reads versions " + JobFile.OLDEST + " to " + JobFile.VERSION
                    + " of the job format; the file says version "
                    + file.version() + ". Export it again from the Kemdro that made it.");
        }
        rules.checked(file);
        Brief brief = brief(file);
        List<Problem> problems = BriefCheck.problems(brief);
        if (!problems.isEmpty()) {
            throw new Unreadable(problems.get(0).what() + " " + problems.get(0).remedy());
        }
        Job job = new Job(said(file.title()), said(file.production()), said(file.idea()), brief);
        job.setLook(look(some(file.look())).wishing(wishes(some(file.wishes()))));
        if (file.bench() != null) {
            job.planBench(hours(file.bench()), made(file.bench(), job.look()));
        }
        List<JobColours.Mix> mixes = some(file.mixes()).stream()
                .map(m -> new JobColours.Mix(said(m.name()), said(m.entry()), needed(m.parts())))
                .toList();
        List<Map<String, String>> paints = some(file.paints());
        List<String> wrong = colours.wrong(mixes, paints);
        if (!wrong.isEmpty()) {
            throw new Unreadable(wrong.get(0));
        }
        return new Taken(
                job,
                mixes,
                paints,
                FilePictures.read(some(file.pictures()), trade.body()),
                Optional.ofNullable(file.order()).map(JobReader::order));
    }

    /** What a file holds. */
    public record Taken(
            Job job,
            List<JobColours.Mix> mixes,
            List<Map<String, String>> paints,
            List<References.Kept> pictures,
            Optional<Schedule> order) {}

    /** An order as it stands in a file; whether it fits the job is found out when that is planned. */
    private static Schedule order(JobFile.Order given) {
        List<ScheduledTask> placed = new ArrayList<>();
        for (JobFile.Step s : some(given.steps())) {
            int from = needed(s.from());
            int until = needed(s.until());
            if (until < from) {
                throw new Unreadable("order.steps[" + placed.size() + "]: it ends before it begins.");
            }
            placed.add(new ScheduledTask(
                    said(s.step()),
                    s.hands(),
                    s.help(),
                    s.way() == null ? 0 : s.way(),
                    from,
                    until,
                    until,
                    Task.Mode.NEVER,
                    until,
                    0));
        }
        List<Rest> rests = some(given.breaks()).stream()
                .map(b -> new Rest(needed(b.from()), needed(b.until())))
                .toList();
        return new Schedule(placed, rests, needed(given.ready()), 0);
    }

    private Brief brief(JobFile file) {
        JobFile.Performer who = needed(file.performer());
        JobFile.Room room = needed(file.room());
        List<Brief.Hands> crew = new ArrayList<>();
        for (JobFile.Hands h : some(file.crew())) {
            String at = "crew[" + crew.size() + "]";
            crew.add(new Brief.Hands(
                    said(h.name()),
                    needed(h.skill()),
                    day(at + ".from", h.from()),
                    day(at + ".until", h.until()),
                    h.factor() == null ? 1 : h.factor()));
        }
        return new Brief(
                call(file.call()),
                Optional.ofNullable(file.chairIn()).map(c -> day("chairIn", c)),
                new Brief.Performer(
                        said(who.name()),
                        who.heightCm() == null ? 0 : who.heightCm(),
                        who.weightKg() == null ? 0 : who.weightKg(),
                        who.headCm() == null ? 0 : who.headCm(),
                        reactions(who.reactsTo()),
                        who.brows() == null ? Brief.Brows.MEDIUM : who.brows(),
                        who.hair() == null ? Brief.Hair.SHORT : who.hair(),
                        fineHair(some(who.fineHair()))),
                crew,
                new Brief.Room(
                        needed(room.temperatureC()),
                        needed(room.humidityPercent()),
                        room.dryers() == null ? 0 : room.dryers()),
                zones("costumeCovers", some(file.costumeCovers())),
                file.costumeMinutes() == null ? 0 : file.costumeMinutes(),
                Boolean.TRUE.equals(file.selfApplied()),
                purpose(file.purpose()),
                breaks(file.breaks()),
                file.ownTimes() == null ? Map.of() : file.ownTimes(),
                allowed(file.allowed()));
    }

    private Brief.Allowed allowed(JobFile.@Nullable Allowed given) {
        return given == null
                ? Brief.Allowed.NOTHING
                : new Brief.Allowed(
                        zones("allowed.bare", some(given.bare())),
                        given.minutes() == null ? 0 : given.minutes(),
                        schools(given.schools() == null ? Map.of() : given.schools()));
    }

    /** Questions of order and ways that the trade knows. */
    private Map<String, String> schools(Map<String, String> given) {
        given.forEach((school, way) -> trade.orderSchools().stream()
                .filter(s -> s.id().equals(school) && !s.byTechnique())
                .findFirst()
                .orElseThrow(() -> new Unreadable("allowed.schools: there is no question of order called \"" + school
                        + "\". There are: "
                        + named(trade.orderSchools().stream()
                                .filter(s -> !s.byTechnique())
                                .map(OrderSchool::id))))
                .way(way)
                .orElseThrow(() -> new Unreadable("allowed.schools." + school + ": there is no way called \"" + way
                        + "\". There are: "
                        + named(trade.orderSchools().stream()
                                .filter(s -> s.id().equals(school))
                                .flatMap(s -> s.ways().stream())
                                .map(OrderSchool.Way::id)))));
        return given;
    }

    private static String named(Stream<String> ids) {
        return ids.collect(Collectors.joining(", ")) + ".";
    }

    /** The call, in an hour that comes once where the house is. */
    private static LocalDateTime call(@Nullable LocalDateTime given) {
        LocalDateTime call = day("call", given);
        Wall.doubt(call).ifPresent(doubt -> {
            throw new Unreadable("call: " + doubt);
        });
        return call;
    }

    private static LocalDateTime day(String at, @Nullable LocalDateTime given) {
        LocalDateTime moment = needed(given);
        if (!BriefCheck.isDay(moment.toLocalDate())) {
            throw new Unreadable(at + ": the year " + moment.getYear() + " cannot be meant.");
        }
        return moment;
    }

    private static Hours hours(JobFile.Bench given) {
        Hours usual = Hours.USUAL;
        try {
            return new Hours(
                    given.from() == null ? usual.from() : given.from(),
                    given.until() == null ? usual.until() : given.until(),
                    given.hands() == null ? usual.hands() : given.hands(),
                    given.off() == null ? usual.off() : given.off());
        } catch (IllegalArgumentException e) {
            throw new Unreadable("bench: " + e.getMessage());
        }
    }

    /** Those of the made things that the look still has. */
    private static Set<String> made(JobFile.Bench given, Look look) {
        return given.made() == null
                ? Set.of()
                : look.entries().stream()
                        .map(LookEntry::id)
                        .filter(given.made()::contains)
                        .collect(Collectors.toSet());
    }

    private static Breaks breaks(JobFile.@Nullable Breaks given) {
        if (given == null) {
            return Breaks.USUAL;
        }
        int every = needed(given.everyMinutes());
        int length = needed(given.minutes());
        int meal = given.mealMinutes() == null ? length : given.mealMinutes();
        if (every < 20 || every > 240 || length < 5 || length > 60 || meal < length || meal > 90) {
            throw new Unreadable("breaks: every 20 to 240 minutes, for 5 to 60, and a meal of no less up to 90.");
        }
        return new Breaks(every, length, meal);
    }

    private static List<Wish> wishes(List<JobFile.Wish> given) {
        return given.stream()
                .map(w ->
                        new Wish(needed(w.kind()), said(w.step()), said(w.to()), w.minutes() == null ? 0 : w.minutes()))
                .toList();
    }

    private Brief.Purpose purpose(JobFile.@Nullable Purpose given) {
        Brief.Purpose usual = Brief.Purpose.USUAL;
        if (given == null) {
            return usual;
        }
        return new Brief.Purpose(
                given.seen() == null ? usual.seen() : given.seen(),
                given.lastsHours() == null ? usual.lastsHours() : given.lastsHours(),
                zones("purpose.mustVanish", some(given.mustVanish())),
                Boolean.TRUE.equals(given.moneyShort()),
                given.benchDays() == null ? usual.benchDays() : given.benchDays());
    }

    private Set<String> reactions(@Nullable List<String> ids) {
        Set<String> known = new HashSet<>();
        trade.materials().reactions().forEach(r -> known.add(r.id()));
        for (String id : some(ids)) {
            if (!known.contains(id)) {
                throw new Unreadable("performer.reactsTo: '" + id + "' is not known here; known are "
                        + String.join(", ", known.stream().sorted().toList()) + ".");
            }
        }
        return ids == null ? Set.of() : new LinkedHashSet<>(ids);
    }

    private Set<String> fineHair(List<String> places) {
        List<String> known = trade.fineHair().asked().stream().map(p -> p.id()).toList();
        for (String place : places) {
            if (!known.contains(place)) {
                throw new Unreadable("performer.fineHair: '" + place + "' is not known here; known are "
                        + String.join(", ", known) + ".");
            }
        }
        return new LinkedHashSet<>(places);
    }

    private Look look(List<JobFile.Entry> entries) {
        List<LookEntry> look = new ArrayList<>();
        Set<String> ids = new HashSet<>();
        for (JobFile.Entry e : entries) {
            String at = "look[" + look.size() + "]";
            String id = said(e.id());
            if (!id.matches("[A-Za-z0-9._-]+")) {
                throw new Unreadable(at + ".id may hold letters, digits, dots and dashes only.");
            }
            if (!ids.add(id)) {
                throw new Unreadable(at + ".id: '" + id + "' stands twice; give each entry its own.");
            }
            String technique = said(e.technique());
            if (!trade.has(technique)) {
                throw new Unreadable(at + ".technique: '" + technique + "' is not known here.");
            }
            // a zone that this technique is not for stands aside in Look and says so: what went out comes in again
            Set<String> zones = zones(at + ".zones", some(e.zones()));
            look.add(new LookEntry(
                    id,
                    technique,
                    List.copyOf(zones),
                    e.coats() == null ? 0 : e.coats(),
                    e.items() == null ? 0 : e.items(),
                    e.strength(),
                    e.coverage() == null ? 100 : e.coverage(),
                    said(e.over())));
        }
        return new Look(look);
    }

    private Set<String> zones(String at, List<String> ids) {
        for (String id : ids) {
            if (id == null || !trade.body().has(id)) {
                throw new Unreadable(at + ": '" + id + "' is no zone of the body.");
            }
        }
        return new LinkedHashSet<>(ids);
    }

    /** What the rules of the file have made sure of. */
    private static <T> T needed(@Nullable T value) {
        return Objects.requireNonNull(value);
    }

    private static <T> List<T> some(@Nullable List<T> given) {
        return given == null ? List.of() : given;
    }

    private static String said(@Nullable String text) {
        return text == null ? "" : text.strip();
    }
}
