package app.kemdro.web.rooms.order;

import app.kemdro.core.hour.Wall;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.Wish;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.web.parts.ahead.Ahead;
import app.kemdro.web.parts.typed.TypedHour;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.plan.Supposed;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.rooms.Rooms;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** What people want of the order, whatever is shortest: wished, dropped, and taken back. */
@Controller
@Ahead.Plannable
class WishController {
    private static final int MOST = 40;

    private final Jobs jobs;
    private final Plans plans;
    private final Runs runs;
    private final OrderRoom room;

    WishController(Jobs jobs, Plans plans, Runs runs, OrderRoom room) {
        this.room = room;
        this.jobs = jobs;
        this.plans = plans;
        this.runs = runs;
    }

    /** What is pressed beside a step. */
    enum Press {
        BEFORE,
        AFTER,
        NOT_BEFORE,
        BEGUN_BY,
        BY_HANDS,
        HOLD,
        IF_TIME
    }

    /** Whether a script asked; it is answered with the room. */
    @ModelAttribute("live")
    boolean isLive(@RequestHeader(name = "X-Live", required = false) @Nullable String live) {
        return live != null;
    }

    @PostMapping("/jobs/{id}/order/wishes")
    String wish(
            @PathVariable long id,
            @RequestParam Press press,
            @RequestParam String step,
            @RequestParam(defaultValue = "") String to,
            @RequestParam(defaultValue = "") String at,
            Model model,
            RedirectAttributes after) {
        Job job = jobs.get(id);
        Optional<Plan> plan = plans.of(job).plan();
        if (plan.isEmpty()) {
            return say(job, "There is no order to wish about yet. Nothing was changed.", model, after);
        }
        Optional<ScheduledTask> placed = placed(plan.get(), step);
        boolean other = press == Press.BEFORE || press == Press.AFTER;
        if (placed.isEmpty() || other && (placed(plan.get(), to).isEmpty() || to.equals(step))) {
            return say(job, "That step is not in the order any more. Nothing was changed.", model, after);
        }
        if (job.look().wishes().size() >= MOST) {
            return say(job, "There are " + MOST + " wishes already. Drop one first.", model, after);
        }
        return switch (press) {
            case BEFORE -> change(id, l -> l.wishing(Wish.before(step, to)), model, after);
            case AFTER -> change(id, l -> l.wishing(Wish.before(to, step)), model, after);
            case BY_HANDS -> change(id, l -> l.wishing(Wish.by(step, to)), model, after);
            case HOLD -> change(id, l -> held(l, plan.get(), placed.get()), model, after);
            case IF_TIME -> onlyIfTime(job, plan.get().step(step), model, after);
            case NOT_BEFORE, BEGUN_BY -> timed(job, press, step, at, model, after);
        };
    }

    /** What a look asked for may be left out; what Kemdro put in because the look needs it may not. */
    private String onlyIfTime(Job job, PlannedStep step, Model model, RedirectAttributes after) {
        if (step.implied()
                || job.look().entry(step.entryId()).isEmpty()
                || job.look().entries().size() < 2) {
            return say(job, "“" + step.title() + "” is needed by the rest. Nothing was changed.", model, after);
        }
        return change(job.id(), l -> l.wishing(Wish.ifTime(step.entryId())), model, after);
    }

    private String timed(Job job, Press press, String step, String at, Model model, RedirectAttributes after) {
        Optional<Integer> minutes = minutesBeforeCall(job.brief().call(), at);
        if (minutes.isEmpty()) {
            return say(job, "'" + at + "' is no hour; write it as 05:10. Nothing was changed.", model, after);
        }
        return change(
                job.id(),
                l -> l.wishing(
                        press == Press.NOT_BEFORE
                                ? Wish.notBefore(step, minutes.get())
                                : Wish.begunBy(step, minutes.get())),
                model,
                after);
    }

    private static Optional<ScheduledTask> placed(Plan plan, String step) {
        return plan.schedule().placed().stream()
                .filter(p -> p.task().equals(step))
                .findFirst();
    }

    /** It stays with these hands, and neither before nor after the minute at which it stands now. */
    private static Look held(Look look, Plan plan, ScheduledTask p) {
        LocalDateTime call = plan.brief().call();
        long seconds = Duration.between(plan.clock(p.start()), call).getSeconds();
        Look held = look.wishing(Wish.notBefore(p.task(), (int) -Math.floorDiv(-seconds, 60L)))
                .wishing(Wish.begunBy(p.task(), (int) Math.floorDiv(seconds, 60L)));
        return p.worker() == null ? held : held.wishing(Wish.by(p.task(), p.worker()));
    }

    /** An hour as minutes before the call; an hour later in the day than the call belongs to the evening before. */
    private static Optional<Integer> minutesBeforeCall(LocalDateTime call, String hour) {
        try {
            LocalDateTime at = call.toLocalDate().atTime(TypedHour.meant(hour));
            LocalDateTime before = at.isAfter(call) ? at.minusDays(1) : at;
            return Optional.of((int) Duration.between(Wall.line(before), call).toMinutes());
        } catch (DateTimeParseException e) {
            return Optional.empty();
        }
    }

    @PostMapping("/jobs/{id}/order/wishes/drop")
    String drop(
            @PathVariable long id,
            @RequestParam Wish.Kind kind,
            @RequestParam String step,
            @RequestParam(defaultValue = "") String to,
            Model model,
            RedirectAttributes after) {
        return change(
                id,
                l -> l.wishing(l.wishes().stream()
                        .filter(w -> w.kind() != kind || !w.step().equals(step) || !to.isEmpty() && !w.to().equals(to))
                        .toList()),
                model,
                after);
    }

    @PostMapping("/jobs/{id}/order/wishes/none")
    String none(
            @PathVariable long id, @RequestParam(defaultValue = "") String had, Model model, RedirectAttributes after) {
        Job job = jobs.get(id);
        if (Rooms.isOverdue(had, job)) {
            return say(job, Rooms.CHANGED_MEANWHILE, model, after);
        }
        return change(id, l -> l.wishing(List.of()), model, after);
    }

    /** Takes the last change back; pressed again, it is done again. */
    @PostMapping("/jobs/{id}/order/back")
    String back(
            @PathVariable long id, @RequestParam(defaultValue = "") String had, Model model, RedirectAttributes after) {
        Job job = jobs.get(id);
        if (Rooms.isOverdue(had, job)) {
            return say(job, Rooms.CHANGED_MEANWHILE, model, after);
        }
        return change(id, l -> plans.lookBefore(job).orElse(l), model, after);
    }

    private String change(long id, UnaryOperator<Look> change, Model model, RedirectAttributes after) {
        runs.refuseWhileRunning(id);
        try {
            Plans.Changed changed = plans.changeLook(jobs.get(id), change);
            return say(changed.job(), changed.said(), model, after);
        } catch (Supposed ahead) {
            return say(ahead.would().job(), ahead.would().said(), model, after);
        }
    }

    private String say(Job job, String said, Model model, RedirectAttributes after) {
        if (Boolean.TRUE.equals(model.getAttribute("live"))) {
            model.addAttribute(Rooms.CHANGE, said);
            return room.open(job, true, model);
        }
        after.addFlashAttribute(Rooms.CHANGE, said);
        return "redirect:/jobs/" + job.id() + "/order";
    }
}
