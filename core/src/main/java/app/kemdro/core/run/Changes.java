package app.kemdro.core.run;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Hands;
import app.kemdro.core.look.Brief.Skill;
import app.kemdro.core.look.Look;
import app.kemdro.core.plan.Extra;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What events have made of a look and its brief, and the work that came in.
 *
 * @param extras repairs and steps done once more, in the order in which they came in
 */
public record Changes(Look look, Brief brief, List<Extra> extras) {
    private static final int A_SHIFT_HOURS = 16;

    /** Before anything has changed. */
    public static Changes none(Look look, Brief brief) {
        return new Changes(look, brief, List.of());
    }

    /** Folds what changes a look or a brief. */
    public static Changes of(Look look, Brief brief, RunState state) {
        Changes now = none(look, brief);
        for (RunEvent e : state.events()) {
            if (e instanceof RunEvent.Reshaping reshaping) {
                now = reshaping.change(now, state);
            }
        }
        return now;
    }

    Changes with(Look other) {
        return new Changes(other, brief, extras);
    }

    /** With these hands, from now on for as long as a shift is. */
    Changes joined(String hands, Skill skill, LocalDateTime at) {
        List<Hands> crew = new ArrayList<>(left(hands).brief.crew());
        crew.add(new Hands(hands, skill, at, at.plusHours(A_SHIFT_HOURS)));
        return new Changes(look, brief.with(crew), extras);
    }

    /** Without these hands. */
    Changes left(String hands) {
        List<Hands> crew =
                brief.crew().stream().filter(h -> !h.name().equals(hands)).toList();
        return new Changes(look, brief.with(crew), extras);
    }

    /**
     * With a step put right, or done once more, after what had begun by then.
     *
     * @param repair how it is put right, or empty where it is done once more
     * @param zones where, or none for all of the step's
     */
    Changes putRight(RunEvent.AtStep e, String repair, List<String> zones, RunState state) {
        Set<String> past = state.steps().entrySet().stream()
                .filter(s -> begunBy(s, e.at()))
                .map(Map.Entry::getKey)
                .collect(Collectors.toSet());
        List<Extra> all = new ArrayList<>(extras);
        all.add(new Extra("extra-" + e.id(), repair, e.step(), zones, past));
        return new Changes(look, brief, all);
    }

    private static boolean begunBy(Map.Entry<String, StepState> step, LocalDateTime at) {
        LocalDateTime started = step.getValue().started();
        return started != null && !started.isAfter(at);
    }
}
