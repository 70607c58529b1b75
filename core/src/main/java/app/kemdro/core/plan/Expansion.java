package app.kemdro.core.plan;

import app.kemdro.core.body.Body;
import app.kemdro.core.body.Zone;
import app.kemdro.core.climate.Blow;
import app.kemdro.core.climate.Evaporation.Ground;
import app.kemdro.core.climate.HumidAir;
import app.kemdro.core.cure.Drying;
import app.kemdro.core.cure.DryingTimes;
import app.kemdro.core.look.Brief;
import app.kemdro.core.material.Material;
import app.kemdro.core.material.MaterialRole;
import app.kemdro.core.material.Setting;
import app.kemdro.core.method.Role;
import app.kemdro.core.method.StepTemplate;
import app.kemdro.core.method.StepTemplate.Begins;
import app.kemdro.core.method.StepTemplate.Coats;
import app.kemdro.core.method.Trade;
import app.kemdro.core.method.WorkLaw;
import app.kemdro.core.plan.Composition.Entry;
import app.kemdro.core.schedule.Task;
import app.kemdro.core.schedule.Task.Mode;
import app.kemdro.core.schedule.Trait;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** Turns the steps of each technique into steps on this body and tasks of this room. */
final class Expansion {
    /** Working on one's own face in a mirror takes longer, and longer still where one cannot see (judgement). */
    private static final double MIRROR = 1.2;

    private static final double BLIND = 1.8;
    private static final double WITHOUT_HELP = 2.2;

    /** Each coat of an edge is laid thinner than the one before (common practice; the factor is a judgement). */
    private static final double THINNER = 0.8;

    /** What takes less than this is done sooner than it is shared out, seconds (judgement). */
    private static final int WORTH_SHARING = 240;

    /** Names of the parts that each of one's own hands does. */
    private static final String ONE_HAND = "one-hand";

    static final String OTHER_HAND = "other-hand";

    private static final int GRID = 5;

    private final Trade trade;
    private final Body body;
    private final Brief brief;
    private final HumidAir air;
    private final HandsApart hands;
    private final Composition composition;
    private final Map<Laying, DryingTimes> known = new HashMap<>();

    private record Laying(Setting setting, Ground ground, Blow blow) {}

    /** A step, its task, the place of its template in the technique, and in how many sections it is laid and worked into. */
    record Expanded(
            Entry entry,
            PlannedStep step,
            Task task,
            int loop,
            @Nullable String eachZone,
            int sections) {}

    Expansion(Trade trade, Brief brief, Composition composition) {
        this.composition = composition;
        this.trade = trade;
        this.body = trade.body();
        this.brief = brief;
        this.hands = new HandsApart(trade, brief);
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
                for (StepTemplate step : asDone(steps.subList(k, end))) {
                    place(entry, step, coats == Coats.ONCE || entry.coats() == 1 ? 0 : coat, result);
                }
            }
            k = end;
        }
        return result;
    }

    /** What is only done on oneself falls away on somebody else. */
    private List<StepTemplate> asDone(List<StepTemplate> steps) {
        return steps.stream()
                .filter(s -> !s.onlyAlone() || brief.selfApplied())
                .map(s -> brief.selfApplied() ? s.onOneself() : s)
                .toList();
    }

    private void place(Entry entry, StepTemplate template, int coat, List<Expanded> into) {
        List<String> zones = template.zones().isEmpty() ? entry.zones() : body.sorted(template.zones());
        List<List<String>> parts = hands.parts(zones);
        if (template.each() || template.eachOwn() && zones.size() > 1) {
            parts.forEach(p -> p.forEach(z -> into.add(expanded(entry, template, coat, List.of(z), z))));
        } else if (parts.size() > 1) {
            into.add(expanded(entry, template, coat, parts.get(0), ONE_HAND));
            into.add(expanded(entry, template, coat, parts.get(1), OTHER_HAND));
        } else {
            into.add(expanded(entry, template, coat, zones, null));
        }
    }

    private Expanded expanded(Entry entry, StepTemplate written, int coat, List<String> zones, @Nullable String each) {
        StepTemplate template = seen(written, zones);
        String id = entry.id() + "/" + template.id() + (coat > 0 ? "#" + coat : "") + (each == null ? "" : "@" + each);
        Optional<Material> material = Optional.ofNullable(template.material()).map(trade.materials()::family);
        double thickness = template.coatWeight()
                * entry.strength().coat()
                * (template.thinnerEachCoat() ? Math.pow(THINNER, Math.max(0, coat - 1)) : 1);
        Optional<Setting> laid = material.map(Material::setting).map(s -> s.times(thickness));
        double worn = laid.isPresent() ? composition.wornBelow(entry.technique(), zones) : 0;
        Ground ground = worn > 0 ? Ground.worn(worn) : Ground.SKIN;
        double own = material.map(m -> brief.own(Brief.film(m.id()))).orElse(1.0);
        Optional<DryingTimes> drying =
                laid.map(s -> drying(s, ground, Blow.STILL).times(own));
        Optional<DryingTimes> dryingCool = template.dryer() && brief.room().dryers() > 0
                ? laid.map(s -> drying(s, ground, Blow.COOL).times(own))
                : Optional.empty();
        boolean away = entry.technique().performerOnly();
        int work = away ? brief.costumeMinutes() * 60 : work(entry, template, zones);
        Optional<Sharing> sharing = sharing(template, zones, work);
        Set<String> rows = new LinkedHashSet<>();
        zones.forEach(z -> rows.add(body.zone(z).row()));
        boolean everything =
                template.skill() == StepTemplate.Skill.NONE || entry.technique().is(Role.LAST_LOOK);
        PlannedStep step = new PlannedStep(
                id,
                entry.origin(),
                entry.implied(),
                entry.technique(),
                template,
                coat,
                zones,
                List.copyOf(rows),
                everything || template.cleansFingers() ? "" : body.say(zones),
                material,
                Optional.ofNullable(template.sets()).map(trade.materials()::family),
                template.setsOn().isEmpty() ? zones : body.sorted(template.setsOn()),
                thickness,
                share(entry),
                drying,
                dryingCool,
                sharing);
        Set<String> holds = new TreeSet<>(hands.doing(entry.technique(), template, zones));
        if (!template.aside()) {
            holds.addAll(template.holds());
            if (everything) {
                holds.addAll(zones);
            } else {
                holds.removeAll(zones);
            }
        }
        Set<Begins> follow = drying.isPresent() ? Settling.follow(entry, template) : Set.of();
        int laying = (int) Math.ceil(work
                * brief.crew().stream().mapToDouble(Brief.Hands::pace).max().orElse(1));
        List<Mode> modes = Settling.modes(template, drying, dryingCool, material, follow);
        Task task = new Task(
                id,
                work,
                everything || template.aside() ? Set.of() : Set.copyOf(zones),
                holds,
                template.posture(),
                switch (template.skill()) {
                    case LEAD -> Task.Needs.LEAD;
                    case ANY -> Task.Needs.ANYONE;
                    case NONE -> Task.Needs.NOBODY;
                },
                ways(
                        template,
                        sharing,
                        modes.stream()
                                .map(m -> Settling.fromFirstStroke(m, laying, follow))
                                .toList()),
                trait(entry, template, coat, zones, everything));
        return new Expanded(entry, step, task, coat, each, Settling.sections(modes.get(0), laying, follow));
    }

    /** On oneself, what lies where one does not see it is looked at otherwise. */
    private StepTemplate seen(StepTemplate template, List<String> zones) {
        boolean blind = brief.selfApplied()
                && !template.aside()
                && !body.blindLook().isEmpty()
                && zones.stream().anyMatch(z -> body.zone(z).blindInMirror());
        return blind ? template.looking(body.blindLook()) : template;
    }

    private Trait trait(Entry entry, StepTemplate template, int coat, List<String> zones, boolean everything) {
        Set<String> left = new TreeSet<>();
        zones.forEach(z -> left.add(z.compareTo(body.mirror(z)) <= 0 ? z : body.mirror(z)));
        boolean oneSided = zones.stream().noneMatch(z -> zones.contains(body.mirror(z)));
        return new Trait(
                entry.id(),
                oneSided && !everything ? entry.technique().id() + "/" + template.id() + "#" + coat + left : "",
                template.material() == null ? "" : entry.id() + "/" + template.id() + "#" + coat,
                template.material() == null ? "" : template.material(),
                everything
                        ? -1
                        : zones.stream()
                                .mapToInt(z -> body.rows().indexOf(body.zone(z).row()))
                                .min()
                                .orElse(-1),
                template.sets() != null && entry.technique().is(Role.IN_THE_EYE),
                template.mist()
                        || template.material() != null
                                && trade.materials().family(template.material()).is(MaterialRole.DUST),
                template.material() != null
                        && !trade.materials().family(template.material()).is(MaterialRole.CLEANS),
                beside(zones));
    }

    private Set<String> beside(List<String> zones) {
        Set<String> near = new TreeSet<>(zones);
        zones.forEach(z -> near.addAll(body.zone(z).neighbours()));
        return near;
    }

    private DryingTimes drying(Setting setting, Ground ground, Blow blow) {
        return known.computeIfAbsent(
                new Laying(setting, ground, blow), k -> Drying.of(k.setting(), air, k.ground(), k.blow()));
    }

    private static double share(Entry entry) {
        return entry.asked().coverage() / 100.0;
    }

    private int work(Entry entry, StepTemplate template, List<String> zones) {
        double area = Areas.of(zones, brief.performer(), body) * share(entry);
        StepTemplate.Strip strip = template.strip();
        double edge = strip == null
                ? WorkLaw.edgeOf(area)
                : strip.lengthCm() * Math.sqrt(brief.performer().areaScale());
        double minutes = template.law().start()
                + (template.law().growing(area, edge) + template.minutesPerItem() * things(entry, zones))
                        * entry.strength().time();
        minutes *= brief.own(Brief.step(entry.technique().id(), template.id()));
        if (brief.selfApplied()) {
            minutes *= inTheMirror(template, zones) * hands.slower(zones);
        }
        return Math.max(GRID, (int) Math.round(minutes * 60 / GRID) * GRID);
    }

    /** How many of the counted things lie on these zones. */
    private double things(Entry entry, List<String> zones) {
        double all = Areas.of(entry.zones(), brief.performer(), body);
        return Areas.items(entry.asked(), entry.technique(), all) * Areas.of(zones, brief.performer(), body) / all;
    }

    /** Longer on oneself only where mirror, reach or a third hand matter; each place weighs by its surface. */
    private double inTheMirror(StepTemplate template, List<String> zones) {
        if (template.aside()) {
            return 1;
        }
        if (template.alone() != StepTemplate.Alone.SLOWER) {
            return template.alone() == StepTemplate.Alone.HELP ? WITHOUT_HELP : BLIND;
        }
        double mirror = template.law().alone() == 0 ? MIRROR : template.law().alone();
        double longer = 0;
        for (String id : zones) {
            Zone zone = body.zone(id);
            longer += zone.areaCm2() * (zone.blindInMirror() ? BLIND : Math.max(mirror, zone.inMirror()));
        }
        return zones.isEmpty()
                ? mirror
                : longer
                        / zones.stream()
                                .mapToDouble(z -> body.zone(z).areaCm2())
                                .sum();
    }

    /** The same ways, and each of them with a second pair of hands where that helps and there is one. */
    private List<Mode> ways(StepTemplate template, Optional<Sharing> sharing, List<Mode> alone) {
        double together = sharing.isPresent() ? template.law().together() : template.together();
        if (together == 0 || brief.crew().size() < 2) {
            return alone;
        }
        return Stream.concat(alone.stream(), alone.stream().map(m -> m.together(together)))
                .toList();
    }

    /** Who does which part of what is large enough to be shared out; empty where one holds for the other. */
    private Optional<Sharing> sharing(StepTemplate template, List<String> zones, int work) {
        return template.together() == 0 && template.law().together() > 0 && work >= WORTH_SHARING
                ? Sharing.of(zones, body)
                : Optional.empty();
    }
}
