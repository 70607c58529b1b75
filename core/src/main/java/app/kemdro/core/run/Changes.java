package app.kemdro.core.run;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Hands;
import app.kemdro.core.look.Brief.Room;
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
    private static final char AT = '@';

    /** Before anything has changed. */
    public static Changes none(Look look, Brief brief) {
        return new Changes(look, brief, List.of());
    }

    /** Folds what changes a look or a brief. */
    public static Changes of(Look look, Brief brief, RunState state) {
        Changes now = none(look, brief);
        for (RunEvent e : state.events()) {
            now = now.after(e, state);
        }
        return now;
    }

    private Changes after(RunEvent e, RunState state) {
        return switch (e.type()) {
            case SCHOOL -> with(look.changing(e.step(), entry -> entry.by(e.text())));
            case COATS -> with(look.changing(e.step(), entry -> entry.coated(e.seconds())));
            case DROP -> with(look.without(e.step()));
            case JOIN -> new Changes(look, brief.with(joined(e)), extras);
            case LEAVE ->
                new Changes(
                        look,
                        brief.with(brief.crew().stream()
                                .filter(h -> !h.name().equals(e.hands()))
                                .toList()),
                        extras);
            case ROOM -> new Changes(look, brief.in(room(e.text())), extras);
            case TROUBLE -> extra(e, repairOf(e.text()), zonesOf(e.text()), state);
            case REDO -> extra(e, "", List.of(), state);
            default -> this;
        };
    }

    private Changes with(Look other) {
        return new Changes(other, brief, extras);
    }

    private List<Hands> joined(RunEvent e) {
        List<Hands> crew = new ArrayList<>(
                brief.crew().stream().filter(h -> !h.name().equals(e.hands())).toList());
        crew.add(new Hands(e.hands(), Skill.valueOf(e.text()), e.at(), e.at().plusHours(A_SHIFT_HOURS)));
        return crew;
    }

    private Changes extra(RunEvent e, String repair, List<String> zones, RunState state) {
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

    /** The repair that a report of trouble speaks of. */
    public static String repairOf(String text) {
        int at = text.indexOf(AT);
        return at < 0 ? text : text.substring(0, at);
    }

    /** The zones that a report of trouble speaks of; none where it is all of the step's. */
    public static List<String> zonesOf(String text) {
        int at = text.indexOf(AT);
        return at < 0 ? List.of() : List.of(text.substring(at + 1).split(","));
    }

    /** A room as an event says it: temperature, humidity and dryers. */
    public static String say(Room room) {
        return "%s;%s;%d".formatted(room.temperatureC(), room.humidityPercent(), room.dryers());
    }

    /**
     * Reads a room as an event says it.
     *
     * @throws IllegalArgumentException where it does not
     */
    public static Room room(String text) {
        String[] part = text.split(";");
        if (part.length != 3) {
            throw new IllegalArgumentException("A room is said as temperature;humidity;dryers");
        }
        return new Room(Double.parseDouble(part[0]), Double.parseDouble(part[1]), Integer.parseInt(part[2]));
    }
}
