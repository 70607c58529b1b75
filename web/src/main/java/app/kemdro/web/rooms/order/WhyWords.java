package app.kemdro.web.rooms.order;

import app.kemdro.core.body.Capitals;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.schedule.Binding;
import app.kemdro.core.schedule.Binding.Kind;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.core.schedule.Task.Mode;
import app.kemdro.web.parts.words.Words;
import java.util.Comparator;
import java.util.Objects;
import java.util.Optional;

/** Why a step stands where it stands, and what hangs on it, in trade words. */
final class WhyWords {
    /** Seconds within which one goes on at once. */
    private static final int AT_ONCE = 60;

    private final Plan plan;

    WhyWords(Plan plan) {
        this.plan = plan;
    }

    String of(PlannedStep step, int slackSeconds) {
        ScheduledTask at = plan.schedule().of(step.id());
        Binding binding = Binding.of(plan.network(), plan.schedule(), step.id());
        return rule(binding, step) + why(binding, step, at) + " " + window(step, at) + slack(slackSeconds);
    }

    private String why(Binding binding, PlannedStep step, ScheduledTask at) {
        String clock = Words.hour(plan.clock(at.start()));
        return switch (binding.kind()) {
            case FIRST -> "Nothing comes before it; it begins at chair-in.";
            case FOLLOWS -> follows(binding, at, clock);
            case ZONE -> "Its zone is free only at " + clock + ", after " + title(binding) + ".";
            case HANDS -> busy(binding, at) + " is at " + title(binding) + " until " + clock + ".";
            case POSTURE -> "The performer keeps still in another way for " + title(binding) + " until " + clock + ".";
            case HOURS -> at.worker() + " comes at " + clock + ".";
            case REST -> "The break ends at " + clock + ".";
            case WISH -> "You want it not earlier than " + clock + ".";
            case WINDOW -> "It waits so that " + title(binding) + " still meets its window.";
            case SLACK ->
                goesOn(step, at)
                        .map(next -> "It waits so that “" + next + "” goes on with it at once.")
                        .orElse("It could begin sooner, but nothing would be ready sooner.");
        };
    }

    /** The trade's reason for coming so late, where what binds it is only that somebody is busy: the last of what it has to follow. */
    private String rule(Binding binding, PlannedStep step) {
        if (binding.kind() == Kind.FIRST || binding.kind() == Kind.FOLLOWS || binding.kind() == Kind.WISH) {
            return "";
        }
        return plan.network().lags().stream()
                .filter(l -> l.to().equals(step.id())
                        && !plan.step(l.from()).entryId().equals(step.entryId()))
                .max(Comparator.comparingInt(l -> l.opens(plan.schedule().of(l.from()))))
                .map(l -> sentence(l.because()) + " “" + plan.step(l.from()).titleWithPlace() + "” is over at "
                        + Words.hour(plan.clock(l.opens(plan.schedule().of(l.from())))) + ". ")
                .orElse("");
    }

    /** The step of the same work that begins as soon as this one lets it. */
    private Optional<String> goesOn(PlannedStep step, ScheduledTask at) {
        return plan.network().lags().stream()
                .filter(l -> l.from().equals(step.id())
                        && plan.step(l.to()).entryId().equals(step.entryId())
                        && plan.schedule().of(l.to()).start() - l.opens(at) < AT_ONCE)
                .findFirst()
                .map(l -> plan.step(l.to()).title());
    }

    private static String sentence(String because) {
        String reason = Capitals.capital(because);
        return reason.endsWith(".") ? reason : reason + ".";
    }

    /** Whoever of those it takes was at the other step. */
    private String busy(Binding binding, ScheduledTask at) {
        ScheduledTask other = plan.schedule().of(Objects.requireNonNull(binding.task()));
        return other.takes(at.worker()) ? String.valueOf(at.worker()) : String.valueOf(at.helper());
    }

    private String follows(Binding binding, ScheduledTask at, String clock) {
        var lag = Objects.requireNonNull(binding.lag());
        ScheduledTask before = plan.schedule().of(lag.from());
        boolean waited = at.start() > before.end();
        String reason = sentence(lag.because());
        return waited
                ? reason + " " + title(binding) + " is down at " + Words.hour(plan.clock(before.end())) + ", ready at "
                        + clock + "."
                : reason + " It follows " + title(binding) + " at " + clock + ".";
    }

    private String title(Binding binding) {
        return binding.task() == null ? "" : "“" + plan.step(binding.task()).titleWithPlace() + "”";
    }

    private String window(PlannedStep step, ScheduledTask at) {
        return plan.network().lags().stream()
                .filter(l -> l.from().equals(step.id()) && l.ties())
                .findFirst()
                .map(l -> {
                    String next = "“" + plan.step(l.to()).title() + "”";
                    return switch (l.kind()) {
                        case FRESH ->
                            next + " must begin while it is wet, before " + Words.hour(plan.clock(at.usable())) + ". ";
                        case USABLE ->
                            at.closes() >= Mode.NEVER
                                    ? next + " follows while it grabs. "
                                    : next + " must begin before it closes at " + Words.hour(plan.clock(at.closes()))
                                            + ". ";
                        default ->
                            next + " must begin within "
                                    + Words.span(Math.round((l.within() == null ? 0 : l.within()) / 60.0))
                                    + " of its being clear. ";
                    };
                })
                .orElse("");
    }

    private static String slack(int seconds) {
        long minutes = seconds / 60;
        return seconds < 30
                ? "Later, and ready slips with it."
                : "It may slip " + (minutes == 0 ? "half a minute" : Words.span(minutes)) + " before ready does.";
    }
}
