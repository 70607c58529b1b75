package app.kemdro.web.rooms.bench;

import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.BenchDays;
import app.kemdro.core.plan.BenchDays.Hours;
import app.kemdro.core.plan.BenchDays.Slot;
import app.kemdro.core.plan.BenchWork;
import app.kemdro.core.plan.Plan;
import app.kemdro.web.parts.file.Files;
import app.kemdro.web.parts.print.Sheets;
import app.kemdro.web.parts.typed.Typed;
import app.kemdro.web.parts.typed.TypedHour;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.plan.Removals;
import app.kemdro.web.rooms.Rooms;
import java.time.Clock;
import java.time.DayOfWeek;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.format.DateTimeParseException;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.IntStream;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Bench work, laid backwards over the days before the chair. */
@Controller
class BenchController {
    private static final double WIDTH = 496;

    private final Jobs jobs;
    private final Plans plans;
    private final Removals removals;
    private final Rooms rooms;
    private final Trade trade;
    private final Clock clock;
    private final Typed typed;
    private final Sheets sheets;

    BenchController(
            Jobs jobs,
            Plans plans,
            Removals removals,
            Rooms rooms,
            Trade trade,
            Clock clock,
            Typed typed,
            Sheets sheets) {
        this.sheets = sheets;
        this.typed = typed;
        this.removals = removals;
        this.jobs = jobs;
        this.plans = plans;
        this.rooms = rooms;
        this.trade = trade;
        this.clock = clock;
    }

    /** A day with what is done in it. */
    record Day(String name, String hands, List<Line> lines) {}

    /** What one pair of hands does in a day. */
    record Line(String hands, List<Piece> pieces) {}

    /** A stretch of work as it is drawn and said. */
    record Piece(double x, double width, String brief, String hours, String what, String forWhat, String rests) {}

    @GetMapping("/jobs/{id}/bench")
    String bench(@PathVariable long id, Model model) {
        Job job = jobs.get(id);
        rooms.open(model, job, "bench");
        BenchDays days = days(job);
        Hours hours = job.benchHours();
        model.addAttribute("was", typed.text(StandingBench.fields(job)));
        model.addAttribute("bench", hours);
        model.addAttribute("week", week(hours));
        model.addAttribute("things", things(job));
        model.addAttribute("days", drawn(days, hours));
        model.addAttribute("begins", days.slots().isEmpty() ? "" : moment(days.begins()));
        model.addAttribute("tooLate", days.tooLate());
        model.addAttribute("needed", moment(needed(job)));
        model.addAttribute("hours", marks(hours));
        return "rooms/bench/bench";
    }

    /** The same on paper. */
    @GetMapping("/jobs/{id}/bench.pdf")
    ResponseEntity<byte[]> sheet(@PathVariable long id) {
        Job job = jobs.get(id);
        return Files.sheet(
                "bench-" + id + ".pdf",
                sheets.pdf(
                        "rooms/bench/sheet",
                        Map.of(
                                "title", job.title(),
                                "needed", moment(needed(job)),
                                "things", things(job),
                                "days", drawn(days(job), job.benchHours()))));
    }

    private BenchDays days(Job job) {
        return BenchDays.of(job.benchWork(trade), needed(job), job.benchHours(), LocalDateTime.now(clock));
    }

    /** Something that is made for the look, or was already. */
    record Made(String entry, String what, String hands, boolean already) {}

    private List<Made> things(Job job) {
        Map<String, List<BenchWork>> byEntry = new LinkedHashMap<>();
        BenchWork.of(job.look(), job.brief(), trade)
                .forEach(w -> byEntry.computeIfAbsent(w.entry(), k -> new ArrayList<>())
                        .add(w));
        return byEntry.entrySet().stream()
                .map(e -> new Made(
                        e.getKey(),
                        e.getValue().get(0).forWhat(),
                        Words.span(Math.round(e.getValue().stream()
                                .mapToDouble(BenchWork::minutes)
                                .sum())),
                        job.made().contains(e.getKey())))
                .toList();
    }

    /** A day of the week that can be taken off. */
    record Weekday(DayOfWeek day, String name, boolean off) {}

    private static List<Weekday> week(Hours hours) {
        return Arrays.stream(DayOfWeek.values())
                .map(d -> new Weekday(
                        d,
                        d.getDisplayName(TextStyle.SHORT, Locale.ENGLISH),
                        hours.off().contains(d)))
                .toList();
    }

    @PostMapping("/jobs/{id}/bench")
    String change(
            @PathVariable long id,
            @RequestParam String from,
            @RequestParam String until,
            @RequestParam int hands,
            @RequestParam(defaultValue = "") Set<DayOfWeek> off,
            @RequestParam(defaultValue = "") Set<String> made,
            RedirectAttributes after) {
        try {
            Hours hours = new Hours(TypedHour.meant(from), TypedHour.meant(until), hands, off);
            Job job = jobs.change(id, j -> j.planBench(hours, made));
            BenchDays days = days(job);
            after.addFlashAttribute(
                    Rooms.CHANGE,
                    days.slots().isEmpty()
                            ? "Nothing is left to make."
                            : "Begin " + moment(days.begins()) + (days.tooLate() ? ", which is past." : "."));
        } catch (DateTimeParseException e) {
            after.addFlashAttribute(
                    Rooms.CHANGE, "'" + e.getParsedString() + "' is no hour; write it as 09:00. Nothing was changed.");
        } catch (IllegalArgumentException e) {
            after.addFlashAttribute(Rooms.CHANGE, e.getMessage() + " Nothing was changed.");
        }
        return "redirect:/jobs/" + id + "/bench";
    }

    /** All is on the table when the performer sits down. */
    private LocalDateTime needed(Job job) {
        return plans.of(job)
                .plan()
                .map(Plan::chairIn)
                .orElseGet(() -> job.brief().chairIn().orElse(job.brief().call()));
    }

    private static String moment(LocalDateTime time) {
        return Words.day(time) + ", " + Words.hour(time);
    }

    /** A full hour under the line of a day. */
    record Mark(double x, String text) {}

    private static List<Mark> marks(Hours hours) {
        List<Mark> marks = new ArrayList<>();
        for (int hour = hours.from().getHour(); hour <= hours.until().getHour(); hour++) {
            LocalTime at = LocalTime.of(hour, 0);
            if (!at.isBefore(hours.from()) && !at.isAfter(hours.until())) {
                marks.add(new Mark(x(at, hours), marks.size() % 2 == 0 ? at.toString() : ""));
            }
        }
        return marks;
    }

    private static double x(LocalTime at, Hours hours) {
        return WIDTH
                * Duration.between(hours.from(), at).toMinutes()
                / Duration.between(hours.from(), hours.until()).toMinutes();
    }

    private static List<Day> drawn(BenchDays days, Hours hours) {
        Map<LocalDate, List<Slot>> byDay = new TreeMap<>();
        days.slots()
                .forEach(s -> byDay.computeIfAbsent(s.from().toLocalDate(), k -> new ArrayList<>())
                        .add(s));
        List<Day> drawn = new ArrayList<>();
        byDay.forEach((day, slots) -> {
            long minutes = slots.stream().mapToLong(BenchController::minutes).sum();
            drawn.add(new Day(
                    Words.day(day.atStartOfDay()),
                    Words.span(minutes),
                    IntStream.range(0, hours.hands())
                            .mapToObj(k -> new Line(
                                    hours.hands() == 1 ? "" : "hands " + (k + 1),
                                    slots.stream()
                                            .filter(s -> s.hands() == k)
                                            .map(s -> piece(s, hours))
                                            .toList()))
                            .filter(l -> !l.pieces().isEmpty())
                            .toList()));
        });
        return drawn;
    }

    private static long minutes(Slot slot) {
        return Duration.between(slot.from(), slot.until()).toMinutes();
    }

    private static Piece piece(Slot slot, Hours hours) {
        double from = x(slot.from().toLocalTime(), hours);
        double width = x(slot.until().toLocalTime(), hours) - from;
        String word = slot.work().name().split("[ ,]")[0];
        return new Piece(
                from,
                Math.max(3, width - 2),
                width > word.length() * 8.5 ? word : "",
                Words.hour(slot.from()) + "–" + Words.hour(slot.until()),
                slot.work().name(),
                slot.work().forWhat(),
                slot.work().restsHours() < 1
                        ? ""
                        : "then " + Math.round(slot.work().restsHours()) + " h of rest, needed "
                                + moment(slot.rested()));
    }

    /** Bench days, chair and call as an iCalendar file. */
    @GetMapping("/jobs/{id}/days.ics")
    ResponseEntity<byte[]> calendar(@PathVariable long id) {
        Job job = jobs.get(id);
        String text = Calendars.write(
                job,
                plans.of(job).plan(),
                days(job),
                p -> Duration.ofSeconds(removals.of(p).seconds()));
        return Files.kept(Files.named(job.title()) + ".ics", "text/calendar", text);
    }
}
