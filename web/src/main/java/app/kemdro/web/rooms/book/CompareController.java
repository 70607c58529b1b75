package app.kemdro.web.rooms.book;

import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.learning.Day;
import app.kemdro.web.records.learning.Day.Step;
import app.kemdro.web.records.learning.Held;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Two days in the chair side by side. */
@Controller
class CompareController {
    private static final double WIDTH = 1000;
    private static final int MOST_SAID = 6;

    /** Less than this is the same, seconds. */
    private static final int SAME = 30;

    private final Held held;

    CompareController(Held held) {
        this.held = held;
    }

    /** One of the two days. */
    record Side(
            String name, String title, String took, String planned, String ready, String call, long run, long job) {}

    /** A step on both days. */
    record Line(String title, String one, String other, String difference, boolean slower, String why, int weight) {}

    /** What one pair of hands did on one of the days, as it is drawn. */
    record Row(String name, List<Bar> bars) {}

    record Bar(double x, double width, String word) {}

    @GetMapping("/jobs/{id}/book/compare")
    String compare(
            @PathVariable long id, @RequestParam long run, @RequestParam long with, Model model, Authentication who) {
        Optional<Day> one = held.day(run, who).filter(d -> d.job().id() == id);
        Optional<Day> other = held.day(with, who);
        if (one.isEmpty() || other.isEmpty()) {
            return "redirect:/jobs/" + id + "/book";
        }
        Day a = one.get();
        Day b = other.get();
        List<Line> lines = lines(a, b);
        int span = Math.max(1, Math.max(a.took(), b.took()));
        model.addAttribute("job", a.job());
        model.addAttribute("room", "book");
        model.addAttribute("one", side(a));
        model.addAttribute("other", side(b));
        model.addAttribute("rowsOne", rows(a, span));
        model.addAttribute("rowsOther", rows(b, span));
        model.addAttribute("lines", lines);
        model.addAttribute("most", most(lines));
        model.addAttribute("difference", Words.change(a.took() / 60 - b.took() / 60));
        return "rooms/book/compare";
    }

    private static Side side(Day day) {
        return new Side(
                day.name(),
                day.job().title(),
                Words.span(day.took() / 60),
                Words.span(Math.round(day.planned() / 60.0)),
                Words.hour(day.ready()),
                Words.hour(day.run().callAt()),
                day.run().id(),
                day.job().id());
    }

    private static List<Line> lines(Day a, Day b) {
        Set<String> ids = new LinkedHashSet<>(a.steps().keySet());
        ids.addAll(b.steps().keySet());
        List<Line> lines = new ArrayList<>();
        for (String id : ids) {
            Step one = a.steps().get(id);
            Step other = b.steps().get(id);
            lines.add(line(one, other));
        }
        return lines;
    }

    private static Line line(
            @org.jspecify.annotations.Nullable Step one, @org.jspecify.annotations.Nullable Step other) {
        Step any = one == null ? java.util.Objects.requireNonNull(other) : one;
        boolean both = one != null && other != null && one.done() && other.done();
        int difference = both ? one.took() - other.took() : 0;
        return new Line(
                any.title(),
                said(one),
                said(other),
                both && Math.abs(difference) >= SAME ? Words.change(Math.round(difference / 60.0)) : "",
                difference > 0,
                both ? why(one, other) : "",
                Math.abs(difference));
    }

    private static String said(@org.jspecify.annotations.Nullable Step step) {
        if (step == null) {
            return "not in the look";
        }
        return step.done()
                ? Day.minutes(step.took()) + (step.hands().isEmpty() ? "" : ", " + step.hands())
                : step.undone();
    }

    private static String why(Step one, Step other) {
        List<String> why = new ArrayList<>();
        if (!one.hands().equals(other.hands())) {
            why.add("other hands");
        }
        if (one.looks() != other.looks()) {
            why.add("looked too soon " + one.looks() + " and " + other.looks() + " times");
        }
        if (one.given() != other.given()) {
            why.add("was given minutes " + (one.given() ? "here" : "there"));
        }
        return String.join(", ", why);
    }

    private static List<Line> most(List<Line> lines) {
        return lines.stream()
                .filter(l -> l.weight() >= SAME)
                .sorted(Comparator.comparingInt(Line::weight).reversed())
                .limit(MOST_SAID)
                .toList();
    }

    private static List<Row> rows(Day day, int span) {
        Map<String, List<Bar>> rows = new LinkedHashMap<>();
        day.plan().brief().crew().forEach(h -> rows.put(h.name(), new ArrayList<>()));
        day.steps().values().stream()
                .filter(s -> s.done() && !s.hands().isEmpty())
                .sorted(Comparator.comparingInt(Step::start))
                .forEach(s -> rows.computeIfAbsent(s.hands(), k -> new ArrayList<>())
                        .add(new Bar(
                                WIDTH * s.start() / span,
                                Math.max(1.5, WIDTH * s.took() / span - 1),
                                WIDTH * s.took() / span > 60 ? s.title().split("[ ,]")[0] : "")));
        return rows.entrySet().stream()
                .map(e -> new Row(e.getKey(), e.getValue()))
                .toList();
    }
}
