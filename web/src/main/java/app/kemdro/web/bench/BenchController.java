package app.kemdro.web.bench;

import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.BenchDays;
import app.kemdro.core.plan.BenchDays.Hours;
import app.kemdro.core.plan.BenchDays.Slot;
import app.kemdro.core.plan.BenchWork;
import app.kemdro.core.plan.Plan;
import app.kemdro.web.job.Job;
import app.kemdro.web.job.Jobs;
import app.kemdro.web.plans.Plans;
import app.kemdro.web.plans.Words;
import app.kemdro.web.room.Rooms;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** Bench work, laid backwards over the days before the chair. */
@Controller
class BenchController {
    private static final double HOUR = 62;

    private final Jobs jobs;
    private final Plans plans;
    private final Rooms rooms;
    private final Trade trade;
    private final Clock clock;

    BenchController(Jobs jobs, Plans plans, Rooms rooms, Trade trade, Clock clock) {
        this.jobs = jobs;
        this.plans = plans;
        this.rooms = rooms;
        this.trade = trade;
        this.clock = clock;
    }

    /** A day with what is done in it. */
    record Day(String name, String hands, List<Piece> pieces) {}

    /** A stretch of work as it is drawn and said. */
    record Piece(double x, double width, String brief, String hours, String what, String forWhat, String rests) {}

    @GetMapping("/jobs/{id}/bench")
    String bench(@PathVariable long id, Model model) {
        Job job = jobs.get(id);
        rooms.open(model, job, "bench");
        BenchDays days = days(job);
        model.addAttribute("days", drawn(days));
        model.addAttribute("begins", days.slots().isEmpty() ? "" : moment(days.begins()));
        model.addAttribute("tooLate", days.tooLate());
        model.addAttribute("needed", moment(needed(job)));
        model.addAttribute("hours", hours());
        return "bench/bench";
    }

    private BenchDays days(Job job) {
        return BenchDays.of(
                BenchWork.of(job.look(), job.brief(), trade), needed(job), Hours.USUAL, LocalDateTime.now(clock));
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

    private static List<String> hours() {
        List<String> hours = new ArrayList<>();
        for (LocalTime at = Hours.USUAL.from(); !at.isAfter(Hours.USUAL.until()); at = at.plusHours(1)) {
            hours.add(at.toString());
        }
        return hours;
    }

    private static List<Day> drawn(BenchDays days) {
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
                    slots.stream().map(BenchController::piece).toList()));
        });
        return drawn;
    }

    private static long minutes(Slot slot) {
        return Duration.between(slot.from(), slot.until()).toMinutes();
    }

    private static Piece piece(Slot slot) {
        double from =
                Duration.between(Hours.USUAL.from(), slot.from().toLocalTime()).toMinutes() / 60.0;
        double width = minutes(slot) / 60.0 * HOUR;
        String word = slot.work().name().split("[ ,]")[0];
        return new Piece(
                from * HOUR,
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
        String text = Calendars.write(job, plans.of(job).plan(), days(job));
        String name = job.title().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "calendar", StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + ".ics\"")
                .body(text.getBytes(StandardCharsets.UTF_8));
    }
}
