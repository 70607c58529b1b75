package app.kemdro.core.plan;

import app.kemdro.core.body.Body;
import app.kemdro.core.climate.Evaporation;
import app.kemdro.core.climate.HumidAir;
import app.kemdro.core.cure.Drying;
import app.kemdro.core.cure.DryingTimes;
import app.kemdro.core.look.Brief;
import app.kemdro.core.material.Film;
import app.kemdro.core.material.Material;
import app.kemdro.core.method.StepTemplate;
import app.kemdro.core.method.StepTemplate.Coats;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Composition.Entry;
import app.kemdro.core.schedule.Task;
import app.kemdro.core.schedule.Task.Mode;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/** Turns the steps of each technique into steps on this body and tasks of this room. */
final class Expansion {
    /** Working on one's own face in a mirror takes longer, and longer still where one cannot see (judgement). */
    private static final double MIRROR = 1.3;

    private static final double BLIND = 1.7;

    /** Each coat of an edge is laid thinner than the one before (common practice; the factor is a judgement). */
    private static final double THINNER = 0.8;

    /** A dryer is only picked up for what would otherwise take longer than this, seconds. */
    private static final int WORTH_A_DRYER = 75;

    private static final int GRID = 5;

    private final Trade trade;
    private final Body body;
    private final Brief brief;
    private final HumidAir air;
    private final Map<Film, DryingTimes> still = new HashMap<>();
    private final Map<Film, DryingTimes> cool = new HashMap<>();

    /** A step, its task, and the place of its template in the technique. */
    record Expanded(
            Entry entry,
            PlannedStep step,
            Task task,
            int loop,
            @Nullable String eachZone) {}

    Expansion(Trade trade, Brief brief) {
        this.trade = trade;
        this.body = trade.body();
        this.brief = brief;
        this.air = new HumidAir(brief.room().temperatureC(), brief.room().humidityPercent() / 100);
    }

    /** All steps of an entry, in working order. */
    List<Expanded> expand(Entry entry) {
        List<Expanded> result = new ArrayList<>();
        List<StepTemplate> steps = entry.technique().steps();
        int k = 0;
        while (k < steps.size()) {
            Coats coats = steps.get(k).coats();
            int end = k + 1;
            while (end < steps.size() && coats != Coats.ONCE && steps.get(end).coats() == coats) {
                end++;
            }
            int until = switch (coats) {
                case ONCE -> 1;
                case EVERY -> entry.coats();
                case ALL_BUT_LAST -> entry.coats() - 1;
            };
            for (int coat = 1; coat <= until; coat++) {
                for (StepTemplate step : steps.subList(k, end)) {
                    place(entry, step, coats == Coats.ONCE || entry.coats() == 1 ? 0 : coat, result);
                }
            }
            k = end;
        }
        return result;
    }

    private void place(Entry entry, StepTemplate template, int coat, List<Expanded> into) {
        List<String> zones = template.zones().isEmpty() ? entry.zones() : body.sorted(template.zones());
        if (template.each()) {
            zones.forEach(z -> into.add(expanded(entry, template, coat, List.of(z), z)));
        } else {
            into.add(expanded(entry, template, coat, zones, null));
        }
    }

    private Expanded expanded(Entry entry, StepTemplate template, int coat, List<String> zones, @Nullable String each) {
        String id = entry.id() + "/" + template.id() + (coat > 0 ? "#" + coat : "") + (each == null ? "" : "@" + each);
        Optional<Material> material = Optional.ofNullable(template.material()).map(trade.materials()::family);
        Optional<Film> film = material.map(Material::film)
                .map(f -> f.coatTimes(template.coatWeight()
                        * (template.thinnerEachCoat() ? Math.pow(THINNER, Math.max(0, coat - 1)) : 1)));
        Optional<DryingTimes> drying = film.map(
                f -> still.computeIfAbsent(f, k -> Drying.of(k, air, Evaporation.Ground.SKIN, Evaporation.STILL_AIR)));
        Optional<DryingTimes> dryingCool = template.dryer() && brief.room().dryers() > 0
                ? film.map(f -> cool.computeIfAbsent(
                        f, k -> Drying.of(k, air, Evaporation.Ground.SKIN, Evaporation.COOL_DRYER)))
                : Optional.empty();
        boolean away = entry.technique().performerOnly();
        Set<String> rows = new LinkedHashSet<>();
        zones.forEach(z -> rows.add(body.zone(z).row()));
        boolean everything = template.skill() == StepTemplate.Skill.NONE
                || entry.technique().slot().equals("check");
        PlannedStep step = new PlannedStep(
                id,
                entry.id(),
                entry.implied(),
                entry.technique(),
                template,
                coat,
                zones,
                List.copyOf(rows),
                everything ? "" : body.say(zones),
                material,
                drying,
                dryingCool);
        Set<String> holds = new TreeSet<>(template.holds());
        if (everything) {
            holds.addAll(zones);
        }
        holds.removeAll(everything ? Set.of() : Set.copyOf(zones));
        Task task = new Task(
                id,
                away ? brief.costumeMinutes() * 60 : work(template, zones),
                everything ? Set.of() : Set.copyOf(zones),
                holds,
                switch (template.skill()) {
                    case LEAD -> Task.Needs.LEAD;
                    case ANY -> Task.Needs.ANYONE;
                    case NONE -> Task.Needs.NOBODY;
                },
                modes(drying, dryingCool, material));
        return new Expanded(entry, step, task, coat, each);
    }

    private int work(StepTemplate template, List<String> zones) {
        double area = body.areaCm2(zones) * brief.performer().areaScale();
        double minutes = template.minutes() + template.minutesPer100Cm2() * area / 100;
        if (brief.selfApplied()) {
            boolean blind = zones.stream().anyMatch(z -> body.zone(z).blindInMirror());
            minutes *= blind ? BLIND : MIRROR;
        }
        return Math.max(GRID, (int) Math.round(minutes * 60 / GRID) * GRID);
    }

    private static List<Mode> modes(
            Optional<DryingTimes> drying, Optional<DryingTimes> cool, Optional<Material> material) {
        if (drying.isEmpty()) {
            return List.of(Mode.NOTHING);
        }
        List<Mode> modes = new ArrayList<>();
        DryingTimes times = drying.get();
        if (times.clear().isPresent()) {
            int settled = seconds(times.clear());
            modes.add(
                    new Mode(0, times.tacky().isPresent() ? seconds(times.tacky()) : settled, closes(times), settled));
        }
        if (cool.isPresent() && cool.get().clear().isPresent()) {
            int tool = seconds(cool.get().clear());
            boolean worth = modes.isEmpty() || modes.get(0).settled() > Math.max(WORTH_A_DRYER, tool);
            if (worth) {
                modes.add(new Mode(tool, 0, Mode.NEVER, 0));
            }
        }
        if (modes.isEmpty()) {
            throw new NeverDry(material.map(Material::name).orElse(""));
        }
        return modes;
    }

    private static int closes(DryingTimes times) {
        return times.closes().isPresent() ? seconds(times.closes()) : Mode.NEVER;
    }

    private static int seconds(OptionalDouble time) {
        return (int) Math.ceil(time.orElseThrow() / GRID) * GRID;
    }
}
