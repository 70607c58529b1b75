package app.kemdro.web.records.jobfile;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Breaks;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.look.Wish;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.BenchDays.Hours;
import app.kemdro.core.plan.BriefCheck;
import app.kemdro.core.plan.LookPlanner;
import app.kemdro.core.plan.Problem;
import app.kemdro.core.schedule.Rest;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.core.schedule.Task;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.paint.JobColours;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Reads a job file strictly: nothing is guessed, nothing half is kept, and every complaint says where. */
@Component
public class JobReader {
    private static final int MOST_STEPS = 3000;
    private static final int MOST_WAYS = 20;
    private static final int LONGEST = 3 * 24 * 3600;
    private static final int MOST_OWN = 500;
    private static final int MOST_WISHES = 60;

    private final Trade trade;
    private final JobColours colours;

    JobReader(Trade trade, JobColours colours) {
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
        Brief brief = brief(file);
        List<Problem> problems = BriefCheck.problems(brief);
        if (!problems.isEmpty()) {
            throw new Unreadable(problems.get(0).what() + " " + problems.get(0).remedy());
        }
        Job job = new Job(
                text("title", file.title(), 80),
                optional("production", file.production(), 80),
                optional("idea", file.idea(), 600),
                brief);
        job.setLook(look(file.look() == null ? List.of() : file.look())
                .wishing(wishes(file.wishes() == null ? List.of() : file.wishes())));
        if (file.bench() != null) {
            job.planBench(hours(file.bench()), made(file.bench(), job.look()));
        }
        List<JobColours.Mix> mixes = mixes(file.mixes() == null ? List.of() : file.mixes());
        List<Map<String, String>> paints = file.paints() == null ? List.of() : file.paints();
        if (paints.stream().anyMatch(p -> p == null || p.containsValue(null))) {
            throw new Unreadable("paints: a cell is empty; write \"\" there.");
        }
        List<String> wrong = colours.wrong(mixes, paints);
        if (!wrong.isEmpty()) {
            throw new Unreadable(wrong.get(0));
        }
        return new Taken(job, mixes, paints, Optional.ofNullable(file.order()).map(JobReader::order));
    }

    /** What a file holds. */
    public record Taken(
            Job job, List<JobColours.Mix> mixes, List<Map<String, String>> paints, Optional<Schedule> order) {}

    /** An order as it stands in a file; whether it fits the job is found out when that is planned. */
    private static Schedule order(JobFile.Order given) {
        List<JobFile.Step> steps = needed("order.steps", given.steps());
        List<JobFile.Break> breaks = given.breaks() == null ? List.of() : given.breaks();
        if (steps.size() > MOST_STEPS || breaks.size() > MOST_STEPS) {
            throw new Unreadable("order: more than " + MOST_STEPS + " steps or breaks.");
        }
        List<ScheduledTask> placed = new ArrayList<>();
        for (JobFile.Step s : steps) {
            String at = "order.steps[" + placed.size() + "]";
            if (s == null) {
                throw new Unreadable(at + " is empty.");
            }
            int from = second(at + ".from", s.from());
            int until = second(at + ".until", s.until());
            int way = s.way() == null ? 0 : s.way();
            if (until < from || way < 0 || way > MOST_WAYS) {
                throw new Unreadable(at + ": it ends before it begins, or is done in no way there is.");
            }
            placed.add(new ScheduledTask(
                    text(at + ".step", s.step(), 200),
                    s.hands(),
                    s.help(),
                    way,
                    from,
                    until,
                    until,
                    Task.Mode.NEVER,
                    until,
                    0));
        }
        List<Rest> rests = new ArrayList<>();
        for (JobFile.Break b : breaks) {
            String at = "order.breaks[" + rests.size() + "]";
            if (b == null) {
                throw new Unreadable(at + " is empty.");
            }
            rests.add(new Rest(second(at + ".from", b.from()), second(at + ".until", b.until())));
        }
        return new Schedule(placed, rests, second("order.ready", given.ready()), 0);
    }

    private static int second(String at, @Nullable Integer given) {
        int second = needed(at, given);
        if (second < 0 || second > LONGEST) {
            throw new Unreadable(at + ": " + second + " is no second of a day in the chair.");
        }
        return second;
    }

    private static List<JobColours.Mix> mixes(List<JobFile.Mix> given) {
        List<JobColours.Mix> mixes = new ArrayList<>();
        for (JobFile.Mix m : given) {
            String at = "mixes[" + mixes.size() + "]";
            if (m == null) {
                throw new Unreadable(at + " is empty.");
            }
            mixes.add(new JobColours.Mix(
                    text(at + ".name", m.name(), 80),
                    optional(at + ".entry", m.entry(), 200),
                    needed(at + ".parts", m.parts())));
        }
        return mixes;
    }

    private Brief brief(JobFile file) {
        JobFile.Performer who = needed("performer", file.performer());
        JobFile.Room room = needed("room", file.room());
        List<Brief.Hands> crew = new ArrayList<>();
        for (JobFile.Hands h : needed("crew", file.crew())) {
            String at = "crew[" + crew.size() + "]";
            if (h == null) {
                throw new Unreadable(at + " is empty.");
            }
            crew.add(new Brief.Hands(
                    text(at + ".name", h.name(), 40),
                    needed(at + ".skill", h.skill()),
                    day(at + ".from", h.from()),
                    day(at + ".until", h.until()),
                    factor(at + ".factor", h.factor())));
        }
        return new Brief(
                day("call", file.call()),
                Optional.ofNullable(file.chairIn()).map(c -> day("chairIn", c)),
                new Brief.Performer(
                        text("performer.name", who.name(), 80),
                        who.heightCm() == null ? 0 : who.heightCm(),
                        who.weightKg() == null ? 0 : who.weightKg(),
                        who.headCm() == null ? 0 : who.headCm(),
                        reactions(who.reactsTo()),
                        who.brows() == null ? Brief.Brows.MEDIUM : who.brows(),
                        who.hair() == null ? Brief.Hair.SHORT : who.hair()),
                crew,
                new Brief.Room(
                        needed("room.temperatureC", room.temperatureC()),
                        needed("room.humidityPercent", room.humidityPercent()),
                        room.dryers() == null ? 0 : room.dryers()),
                zones("costumeCovers", file.costumeCovers() == null ? List.of() : file.costumeCovers()),
                file.costumeMinutes() == null ? 0 : file.costumeMinutes(),
                Boolean.TRUE.equals(file.selfApplied()),
                purpose(file.purpose()),
                breaks(file.breaks()),
                own(file.ownTimes()));
    }

    private static LocalDateTime day(String at, @Nullable LocalDateTime given) {
        LocalDateTime moment = needed(at, given);
        if (!BriefCheck.isDay(moment.toLocalDate())) {
            throw new Unreadable(at + ": the year " + moment.getYear() + " cannot be meant.");
        }
        return moment;
    }

    private static Map<String, Double> own(@Nullable Map<String, Double> given) {
        if (given == null) {
            return Map.of();
        }
        if (given.size() > MOST_OWN) {
            throw new Unreadable("ownTimes: " + given.size() + " of them; " + MOST_OWN + " is the most.");
        }
        Map<String, Double> own = new LinkedHashMap<>();
        given.forEach((what, factor) -> {
            String at = "ownTimes[" + what + "]";
            own.put(text(at, what, 140), factor(at, needed(at, factor)));
        });
        return own;
    }

    private static double factor(String at, @Nullable Double given) {
        if (given != null && !(given >= Brief.Hands.QUICKEST && given <= Brief.Hands.SLOWEST)) {
            throw new Unreadable(at + ": " + given + " times as long as usual; " + Brief.Hands.QUICKEST + " to "
                    + Brief.Hands.SLOWEST + " can be meant.");
        }
        return given == null ? 1 : given;
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
        int every = needed("breaks.everyMinutes", given.everyMinutes());
        int length = needed("breaks.minutes", given.minutes());
        int meal = given.mealMinutes() == null ? length : given.mealMinutes();
        if (every < 20 || every > 240 || length < 5 || length > 60 || meal < length || meal > 90) {
            throw new Unreadable("breaks: every 20 to 240 minutes, for 5 to 60, and a meal of no less up to 90.");
        }
        return new Breaks(every, length, meal);
    }

    private static List<Wish> wishes(List<JobFile.Wish> given) {
        if (given.size() > MOST_WISHES) {
            throw new Unreadable("wishes: " + given.size() + " of them; " + MOST_WISHES + " is the most.");
        }
        List<Wish> wishes = new ArrayList<>();
        for (JobFile.Wish w : given) {
            String at = "wishes[" + wishes.size() + "]";
            if (w == null) {
                throw new Unreadable(at + " is empty.");
            }
            wishes.add(new Wish(
                    needed(at + ".kind", w.kind()),
                    text(at + ".step", w.step(), 200),
                    optional(at + ".to", w.to(), 200),
                    w.minutes() == null ? 0 : w.minutes()));
        }
        return wishes;
    }

    private Brief.Purpose purpose(JobFile.@Nullable Purpose given) {
        Brief.Purpose usual = Brief.Purpose.USUAL;
        if (given == null) {
            return usual;
        }
        return new Brief.Purpose(
                given.seen() == null ? usual.seen() : given.seen(),
                given.lastsHours() == null ? usual.lastsHours() : given.lastsHours(),
                zones("purpose.mustVanish", given.mustVanish() == null ? List.of() : given.mustVanish()),
                Boolean.TRUE.equals(given.moneyShort()),
                given.benchDays() == null ? usual.benchDays() : given.benchDays());
    }

    private Set<String> reactions(@Nullable List<String> ids) {
        Set<String> known = new HashSet<>();
        trade.materials().reactions().forEach(r -> known.add(r.id()));
        for (String id : ids == null ? List.<String>of() : ids) {
            if (!known.contains(id)) {
                throw new Unreadable("performer.reactsTo: '" + id + "' is not known here; known are "
                        + String.join(", ", known.stream().sorted().toList()) + ".");
            }
        }
        return ids == null ? Set.of() : new LinkedHashSet<>(ids);
    }

    private Look look(List<JobFile.Entry> entries) {
        if (entries.size() > LookPlanner.MOST_ENTRIES) {
            throw new Unreadable(
                    "look has " + entries.size() + " entries; " + LookPlanner.MOST_ENTRIES + " is the most.");
        }
        List<LookEntry> look = new ArrayList<>();
        Set<String> ids = new HashSet<>();
        for (JobFile.Entry e : entries) {
            String at = "look[" + look.size() + "]";
            if (e == null) {
                throw new Unreadable(at + " is empty.");
            }
            String id = text(at + ".id", e.id(), 60);
            if (!id.matches("[A-Za-z0-9._-]+")) {
                throw new Unreadable(at + ".id may hold letters, digits, dots and dashes only.");
            }
            if (!ids.add(id)) {
                throw new Unreadable(at + ".id: '" + id + "' stands twice; give each entry its own.");
            }
            String technique = text(at + ".technique", e.technique(), 60);
            if (!trade.has(technique)) {
                throw new Unreadable(at + ".technique: '" + technique + "' is not known here.");
            }
            // a zone that this technique is not for stands aside in Look and says so: what went out comes in again
            Set<String> zones = zones(at + ".zones", needed(at + ".zones", e.zones()));
            look.add(new LookEntry(
                    id,
                    technique,
                    List.copyOf(zones),
                    e.coats() == null ? 0 : e.coats(),
                    e.items() == null ? 0 : e.items(),
                    e.strength(),
                    e.coverage() == null ? 100 : e.coverage(),
                    e.over() == null ? "" : optional(at + ".over", e.over(), 80)));
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

    private static <T> T needed(String at, @Nullable T value) {
        if (value == null) {
            throw new Unreadable("\"" + at + "\" is missing. Add it to the file.");
        }
        return value;
    }

    private static String text(String at, @Nullable String value, int longest) {
        String text = needed(at, value).strip();
        if (text.isEmpty() || text.length() > longest) {
            throw new Unreadable("\"" + at + "\" takes 1 to " + longest + " letters; this has " + text.length() + ".");
        }
        return text;
    }

    private static String optional(String at, @Nullable String value, int longest) {
        return value == null || value.isBlank() ? "" : text(at, value, longest);
    }
}
