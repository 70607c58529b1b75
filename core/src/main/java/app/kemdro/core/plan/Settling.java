package app.kemdro.core.plan;

import app.kemdro.core.cure.DryingTimes;
import app.kemdro.core.material.Material;
import app.kemdro.core.method.StepTemplate;
import app.kemdro.core.method.StepTemplate.Begins;
import app.kemdro.core.plan.Composition.Entry;
import app.kemdro.core.schedule.Task.Mode;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/** How what a step lays settles, and how long it can be worked into. */
final class Settling {
    private static final int GRID = 5;

    /** A dryer is only picked up for what would otherwise take longer than this, seconds. */
    private static final int WORTH_A_DRYER = 75;

    /** A window shorter than this is none to work with, seconds (judgement). */
    private static final int LEAST_WINDOW = 30;

    private Settling() {}

    /** How what comes next in a technique waits for the film of this step. */
    static Set<Begins> follow(Entry entry, StepTemplate template) {
        Set<Begins> waits = EnumSet.noneOf(Begins.class);
        List<StepTemplate> steps = entry.technique().steps();
        for (int k = 0; k < steps.size(); k++) {
            StepTemplate next = steps.get(k);
            boolean follows = next.after().isEmpty()
                    ? k > 0 && steps.get(k - 1).id().equals(template.id())
                    : next.after().contains(template.id());
            if (follows) {
                waits.add(next.begins());
            }
        }
        return waits;
    }

    /** Ways to let it settle: in still air, and with a dryer where that is worth it. */
    static List<Mode> modes(
            StepTemplate template,
            Optional<DryingTimes> drying,
            Optional<DryingTimes> cool,
            Optional<Material> material,
            Set<Begins> follow) {
        if (drying.isEmpty()) {
            int waits = (int) Math.round(template.waitsMinutes() * 60);
            return List.of(waits == 0 ? Mode.NOTHING : new Mode(0, waits, Mode.NEVER, waits));
        }
        List<Mode> modes = new ArrayList<>();
        DryingTimes times = drying.get();
        if (times.clear().isPresent()) {
            int settled = seconds(times.clear());
            modes.add(
                    new Mode(0, times.tacky().isPresent() ? seconds(times.tacky()) : settled, closes(times), settled));
        }
        if (cool.isPresent() && cool.get().clear().isPresent()) {
            Mode blown = blown(times, cool.get(), follow.contains(Begins.TACKY));
            boolean worth = modes.isEmpty() || modes.get(0).settled() > Math.max(WORTH_A_DRYER, blown.tool());
            if (worth) {
                modes.add(blown);
            }
        }
        if (modes.isEmpty()) {
            throw new NeverDry(material.map(Material::name).orElse(""));
        }
        return modes;
    }

    /**
     * The dryer in hand until it is clear; what closes and is wanted tacky is blown only until it grabs, and the rest of its time
     * runs in still air.
     */
    private static Mode blown(DryingTimes still, DryingTimes cool, boolean wantedTacky) {
        if (still.closes().isEmpty()) {
            return new Mode(seconds(cool.clear()), 0, Mode.NEVER, 0);
        }
        if (!wantedTacky || still.tacky().isEmpty() || cool.tacky().isEmpty()) {
            return new Mode(seconds(cool.clear()), 0, 0, 0);
        }
        int grabs = seconds(still.tacky());
        int closes = Math.max(GRID, seconds(still.closes()) - grabs);
        int clear = still.clear().isPresent() ? Math.max(closes, seconds(still.clear()) - grabs) : closes;
        return new Mode(seconds(cool.tacky()), 0, closes, clear);
    }

    /**
     * A window counts from the first stroke of what must still be open when the next step comes. Where laying takes longer than
     * that leaves, it is laid and worked into section by section, and the window is that of the last.
     */
    static Mode fromFirstStroke(Mode mode, int laying, Set<Begins> follow) {
        return sections(mode, laying, follow) == 1 && worksInto(follow) && open(mode, follow) < Mode.NEVER
                ? mode.openFor(open(mode, follow) - laying)
                : mode;
    }

    /** In how many sections something is laid and worked into, because its film does not stay open for all of it; 1 in one go. */
    static int sections(Mode mode, int laying, Set<Begins> follow) {
        int open = open(mode, follow);
        int opens = follow.contains(Begins.WET) ? 0 : mode.usable();
        return !worksInto(follow) || open >= Mode.NEVER || open - laying >= opens + LEAST_WINDOW
                ? 1
                : (int) Math.ceil(laying / (double) Math.max(LEAST_WINDOW, open - opens)) + 1;
    }

    private static boolean worksInto(Set<Begins> follow) {
        return follow.contains(Begins.TACKY) || follow.contains(Begins.WET);
    }

    /** Seconds after the end for which the last stroke is open for what follows. */
    private static int open(Mode mode, Set<Begins> follow) {
        return follow.contains(Begins.WET) ? Math.min(mode.usable(), mode.closes()) : mode.closes();
    }

    private static int closes(DryingTimes times) {
        return times.closes().isPresent() ? seconds(times.closes()) : Mode.NEVER;
    }

    private static int seconds(OptionalDouble time) {
        return (int) Math.ceil(time.orElseThrow() / GRID) * GRID;
    }
}
