package app.kemdro.web.rooms.book;

import app.kemdro.core.learn.Pace;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Hands;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.StepState;
import app.kemdro.web.parts.ahead.Ahead;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.learning.Day;
import app.kemdro.web.records.learning.Held;
import app.kemdro.web.records.learning.OwnPace;
import app.kemdro.web.records.paint.KeptMixes;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.run.EventWords;
import app.kemdro.web.records.run.Run;
import app.kemdro.web.records.run.RunNow;
import app.kemdro.web.records.run.RunPictures;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Standings;
import app.kemdro.web.records.stock.UsedUp;
import app.kemdro.web.records.strike.Strikes;
import app.kemdro.web.rooms.Rooms;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The book: what was planned beside what really happened. */
@Controller
class BookController {
    private final Jobs jobs;
    private final Runs runs;
    private final OwnPace paces;
    private final Plans plans;
    private final Rooms rooms;
    private final Trade trade;
    private final Held held;
    private final RunPictures pictures;
    private final Strikes strikes;
    private final UsedUp used;
    private final KeptMixes mixes;
    private final EventWords words;
    private final Standings standings;

    BookController(
            Jobs jobs,
            Runs runs,
            Rooms rooms,
            Trade trade,
            OwnPace paces,
            Plans plans,
            Held held,
            RunPictures pictures,
            Strikes strikes,
            UsedUp used,
            KeptMixes mixes,
            EventWords words,
            Standings standings) {
        this.standings = standings;
        this.words = words;
        this.used = used;
        this.mixes = mixes;
        this.held = held;
        this.pictures = pictures;
        this.strikes = strikes;
        this.paces = paces;
        this.plans = plans;
        this.trade = trade;
        this.jobs = jobs;
        this.runs = runs;
        this.rooms = rooms;
    }

    /** One step, planned and actual; bars are minutes after chair-in. */
    record Line(
            int number,
            String title,
            String who,
            String plannedAt,
            String actualAt,
            long planned,
            long actual,
            String over,
            boolean late,
            String status,
            String reason,
            Bar plan,
            Bar did) {}

    /** A bar of the drawing: 300 units stand for the whole run. */
    record Bar(double x, double width) {
        private static final double WHOLE = 300;

        static Bar of(double fromMinute, double toMinute, long spanMinutes) {
            double unit = WHOLE / Math.max(1, spanMinutes);
            return new Bar(fromMinute * unit, Math.max(1, (toMinute - fromMinute) * unit));
        }
    }

    /** A note with its time. */
    record Note(String hour, String hands, String text) {}

    /** A picture, and what it shows. */
    record Shown(String id, String says) {}

    private Note note(RunEvent n, Plan plan) {
        String text = words.of(n, plan);
        return new Note(Words.hour(n.at()), n.hands(), text);
    }

    @GetMapping("/jobs/{id}/book")
    String book(@PathVariable long id, @RequestParam Optional<Long> run, Model model, Authentication who) {
        Job job = jobs.get(id);
        rooms.open(model, job, "book");
        List<Run> all = runs.of(id);
        Optional<Run> shown = run.flatMap(
                        r -> all.stream().filter(x -> x.id() == r).findFirst())
                .or(() -> all.stream().findFirst());
        model.addAttribute("runs", all);
        List<Hands> crew = job.brief().crew();
        List<Pace> believed = paces.of(crew.stream().map(Hands::name).toList());
        model.addAttribute(
                "paces",
                IntStream.range(0, crew.size())
                        .mapToObj(k -> line(crew.get(k), believed.get(k)))
                        .toList());
        shown.ifPresent(r -> {
            fill(model, job, standings.of(r));
            model.addAttribute("used", used.of(id, r.id()));
            model.addAttribute("mixes", mixes.of(id));
            model.addAttribute("beside", held.beside(r, who));
            model.addAttribute(
                    "pictures", pictures.of(r).stream().map(this::shown).toList());
            model.addAttribute(
                    "places",
                    trade.body().zones().stream().filter(z -> z.isSkin()).toList());
            strikes.of(r).ifPresent(said -> model.addAttribute("strike", said));
        });
        return "rooms/book/book";
    }

    private Shown shown(RunPictures.Shown p) {
        String place = p.zone().isEmpty() ? "" : trade.body().zone(p.zone()).name();
        return new Shown(
                p.id(),
                switch (p.shows()) {
                    case BEFORE -> "before";
                    case CHAIR -> "in the chair, " + Words.hour(p.takenAt());
                    case AFTER -> "ready";
                    case ZONE -> place.isEmpty() ? "one place" : place;
                    case SKIN -> "skin, when it was off" + (place.isEmpty() ? "" : ": " + place);
                });
    }

    /**
     * How quick somebody is.
     *
     * @param own whether their own pace is planned with
     */
    record OwnPaceLine(String name, String says, boolean learnt, boolean own) {}

    private static OwnPaceLine line(Hands hands, Pace pace) {
        return new OwnPaceLine(hands.name(), OwnPace.says(pace), OwnPace.held(pace) > 0, hands.factor() != 1);
    }

    /** Plans this job with somebody's own pace, or with the library's again. */
    @Ahead.Plannable
    @PostMapping("/jobs/{id}/book/pace")
    String pace(
            @PathVariable long id, @RequestParam String hands, @RequestParam boolean own, RedirectAttributes after) {
        runs.refuseWhileRunning(id);
        double factor = own ? paces.of(List.of(hands)).get(0).factor() : 1;
        after.addFlashAttribute(
                Rooms.CHANGE,
                plans.change(jobs.get(id), j -> j.pace(hands, factor)).said());
        return "redirect:/jobs/" + id + "/book";
    }

    private void fill(Model model, Job job, RunNow s) {
        LocalDateTime began = s.run().beganAt();
        Optional<LocalDateTime> last = s.state().steps().values().stream()
                .map(StepState::ended)
                .filter(java.util.Objects::nonNull)
                .max(LocalDateTime::compareTo);
        Plan first = standings.planned(s.run());
        long planned = Math.round(first.schedule().ready() / 60.0);
        long took = last.map(t -> Duration.between(began, t).toMinutes()).orElse(0L);
        model.addAttribute("shown", s.run());
        long span = Math.max(planned, took) + 5;
        List<Line> lines = new ArrayList<>();
        Day.of(job, s, first).steps().values().forEach(x -> lines.add(line(lines.size() + 1, began, x, span)));
        model.addAttribute("lines", lines);
        model.addAttribute(
                "otherwise",
                lines.stream()
                        .filter(l -> !l.over().isEmpty() || l.status().equals("skipped"))
                        .toList());
        Brief.Room air = s.plan().brief().room();
        model.addAttribute("air", Words.air(air));
        model.addAttribute("day", Words.day(began));
        model.addAttribute("began", Words.hour(began));
        model.addAttribute("ended", last.map(Words::hour).orElse("–"));
        model.addAttribute("plannedSpan", Words.span(planned));
        model.addAttribute("tookSpan", last.isPresent() ? Words.span(took) : "–");
        model.addAttribute("open", s.run().endedAt() == null);
        model.addAttribute("difference", last.isPresent() ? Words.change(took - planned) : "");
        model.addAttribute(
                "notes",
                s.state().notes().stream()
                        .filter(n -> !(n instanceof RunEvent.Picture))
                        .map(n -> note(n, s.plan()))
                        .toList());
        model.addAttribute("notYet", count(s, RunEvent.NotYet.class));
        model.addAttribute("skipped", count(s, RunEvent.Skip.class));
    }

    private static long count(RunNow s, Class<? extends RunEvent> kind) {
        return s.state().events().stream().filter(kind::isInstance).count();
    }

    /** A line of the book; what was not planned has no bar of its plan. */
    private static Line line(int number, LocalDateTime began, Day.Step step, long span) {
        long planned = step.planned().map(p -> Math.round(p.takes() / 60.0)).orElse(0L);
        long actual = Math.round(step.took() / 60.0);
        boolean did = step.done();
        return new Line(
                number,
                step.title(),
                step.hands().isEmpty() ? "–" : step.hands(),
                step.planned()
                        .map(p -> Words.hour(began.plusSeconds(p.start())))
                        .orElse("came in"),
                did ? Words.hour(began.plusSeconds(step.start())) : "–",
                planned,
                actual,
                did && actual != planned ? Words.change(actual - planned) : "",
                did && actual > planned,
                step.status().name().toLowerCase(Locale.ROOT),
                step.reason(),
                step.planned()
                        .map(p -> Bar.of(p.start() / 60.0, p.end() / 60.0, span))
                        .orElse(new Bar(0, 0)),
                Bar.of(step.start() / 60.0, step.end() / 60.0, span));
    }
}
