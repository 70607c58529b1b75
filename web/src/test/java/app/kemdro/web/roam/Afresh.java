package app.kemdro.web.roam;

import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduledTask;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.yaml.snakeyaml.Yaml;

/**
 * The trade's data read afresh, past every reader and planner: what a plan claims is held against it. Nothing here calls what
 * plans, orders or judges.
 */
final class Afresh {
    private static final int A_MOMENT = 6;
    private static final int NEVER = Integer.MAX_VALUE / 8;

    private final Map<String, Map<String, Object>> techniques = new LinkedHashMap<>();
    private final Map<String, Map<String, Object>> materials = new LinkedHashMap<>();
    private final Map<String, List<String>> reactionPlaces = new HashMap<>();
    private final Map<String, String> placeOf = new HashMap<>();

    Afresh() {
        files("techniques").forEach(techniques::putAll);
        files("materials").forEach(materials::putAll);
        map(yaml("/trade/allergens.yaml"))
                .forEach((id, node) -> reactionPlaces.put(id, words(map(node).get("places"))));
        Map<String, Object> zones = map(map(yaml("/trade/zones.yaml")).get("zones"));
        zones.forEach((id, node) -> placeOf.put(
                id, String.valueOf(map(node).getOrDefault("place", "skin")).toLowerCase(java.util.Locale.ROOT)));
        Map<String, Object> repairs = map(yaml("/trade/repairs.yaml"));
        repairs.forEach((id, node) -> map(map(node).get("ways")).forEach((way, how) -> {
            Map<String, Object> own = new LinkedHashMap<>(map(how));
            if (own.get("like") != null) {
                own.put("like", id + "-" + own.get("like"));
            }
            techniques.put(id + "-" + way, own);
        }));
    }

    private List<Map<String, Map<String, Object>>> files(String folder) {
        List<Map<String, Map<String, Object>>> all = new ArrayList<>();
        for (String file : words(yaml("/trade/" + folder + "/index.yaml"))) {
            Map<String, Map<String, Object>> entries = new LinkedHashMap<>();
            map(yaml("/trade/" + folder + "/" + (file.endsWith(".yaml") ? file : file + ".yaml")))
                    .forEach((id, node) -> entries.put(id, map(node)));
            all.add(entries);
        }
        return all;
    }

    private static Object yaml(String path) {
        try (InputStream in = Afresh.class.getResourceAsStream(path)) {
            return new Yaml().load(in);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @SuppressWarnings("unchecked")
    private static Map<String, Object> map(Object node) {
        return node instanceof Map<?, ?> m ? (Map<String, Object>) m : Map.of();
    }

    private static List<String> words(Object node) {
        if (node instanceof Map<?, ?> m) {
            return m.values().stream().flatMap(v -> words(v).stream()).toList();
        }
        return node instanceof List<?> list
                ? list.stream().map(String::valueOf).toList()
                : node == null ? List.of() : List.of(String.valueOf(node));
    }

    /** A key of a step of a technique, its own or of what it is like. */
    private Object key(String technique, String step, String key) {
        Map<String, Object> own = techniques.get(technique);
        if (own == null) {
            return null;
        }
        Map<String, Object> changed = map(map(own.get("change-steps")).get(step));
        if (changed.containsKey(key)) {
            return changed.get(key);
        }
        if (own.get("steps") instanceof List<?> steps) {
            return steps.stream()
                    .map(Afresh::map)
                    .filter(s -> String.valueOf(s.get("id")).equals(step))
                    .map(s -> s.get(key))
                    .filter(v -> v != null)
                    .findFirst()
                    .orElse(null);
        }
        return own.get("like") == null ? null : key(String.valueOf(own.get("like")), step, key);
    }

    /** What a performer reacts to in this material on these zones; empty where they bear it. */
    List<String> reactions(String material, List<String> zones, Set<String> reactsTo) {
        return words(materials.getOrDefault(material, Map.of()).get("contains")).stream()
                .filter(reactsTo::contains)
                .filter(r -> reactionPlaces.getOrDefault(r, List.of()).isEmpty()
                        || zones.stream()
                                .anyMatch(z -> reactionPlaces.get(r).contains(placeOf.getOrDefault(z, "skin"))))
                .toList();
    }

    /** What is wrong with a plan by the data alone. */
    List<String> problems(Plan plan, Schedule schedule) {
        List<String> wrong = new ArrayList<>();
        Set<String> reactsTo = plan.brief().performer().reactsTo();
        for (PlannedStep step : plan.steps()) {
            List<String> laid = new ArrayList<>();
            step.material().ifPresent(m -> laid.add(m.id()));
            step.form().ifPresent(m -> laid.add(m.id()));
            for (String m : laid) {
                List<String> bars = reactions(m, step.zones(), reactsTo);
                if (!bars.isEmpty()) {
                    wrong.add(step.id() + " lays " + m + ", which contains " + bars);
                }
            }
            window(plan, schedule, step, wrong);
        }
        hands(plan, schedule, wrong);
        return wrong;
    }

    /** What must be worked into while it grabs, or while it is wet, is; by the film's own curve. */
    private void window(Plan plan, Schedule schedule, PlannedStep step, List<String> wrong) {
        Object begins = key(step.technique().id(), step.template().id(), "begins");
        boolean tacky = "tacky".equals(String.valueOf(begins));
        boolean wet = "wet".equals(String.valueOf(begins));
        ScheduledTask mine = schedule.find(step.id()).orElse(null);
        if (mine == null || !tacky && !wet) {
            return;
        }
        for (PlannedStep film : plan.steps()) {
            boolean follows = film.entryId().equals(step.entryId())
                    && film.technique().equals(step.technique())
                    && film.id()
                            .substring(0, film.id().indexOf('/'))
                            .equals(step.id().substring(0, step.id().indexOf('/')))
                    && isBefore(film, step);
            ScheduledTask laid = schedule.find(film.id()).orElse(null);
            if (!follows || film.drying().isEmpty() || laid == null) {
                continue;
            }
            var times = film.drying().get();
            int tool = plan.network().task(film.id()).way(laid.mode()).tool();
            int grabs = times.tacky().isPresent() ? (int) times.tacky().getAsDouble() : NEVER;
            int closes = times.closes().isPresent() ? (int) times.closes().getAsDouble() : NEVER;
            if (tool > 0 && closes < NEVER) {
                closes = closes - grabs;
            }
            if (tacky && tool == 0 && mine.start() < laid.end() + grabs - A_MOMENT) {
                wrong.add(step.id() + " begins before " + film.id() + " grabs");
            }
            if (tacky && closes < NEVER && mine.start() > laid.end() + closes + A_MOMENT && mine.missed() == 0) {
                wrong.add(step.id() + " begins after " + film.id() + " has closed, and nothing says so");
            }
            if (wet && mine.start() > laid.end() + Math.min(grabs, closes) + A_MOMENT && mine.missed() == 0) {
                wrong.add(step.id() + " begins when " + film.id() + " is no longer wet");
            }
        }
    }

    private static boolean isBefore(PlannedStep film, PlannedStep step) {
        List<String> after = step.template().after();
        List<String> ids = step.technique().steps().stream().map(s -> s.id()).toList();
        String before = after.isEmpty()
                ? ids.indexOf(step.template().id()) == 0
                        ? ""
                        : ids.get(ids.indexOf(step.template().id()) - 1)
                : after.get(0);
        boolean sameZone = step.zones().stream().anyMatch(film.zones()::contains)
                || step.technique().steps().stream().anyMatch(s -> s.each());
        return film.template().id().equals(before) && film.coat() == step.coat() && sameZone && sameSide(film, step);
    }

    /** What is done once for each side follows what was done on that side. */
    private static boolean sameSide(PlannedStep film, PlannedStep step) {
        return side(film).isEmpty() || side(step).isEmpty() || side(film).equals(side(step));
    }

    private static String side(PlannedStep step) {
        int at = step.id().indexOf('@');
        return at < 0
                ? ""
                : step.id().endsWith("-left")
                        ? "left"
                        : step.id().endsWith("-right") ? "right" : step.id().substring(at);
    }

    /** Nobody works outside their hours, or at two things at once. */
    private static void hands(Plan plan, Schedule schedule, List<String> wrong) {
        plan.brief().crew().forEach(h -> {
            List<ScheduledTask> theirs = schedule.placed().stream()
                    .filter(p -> h.name().equals(p.worker()) || h.name().equals(p.helper()))
                    .sorted(java.util.Comparator.comparingInt(ScheduledTask::start))
                    .toList();
            for (int k = 0; k < theirs.size(); k++) {
                ScheduledTask p = theirs.get(k);
                if (plan.clock(p.start()).isBefore(h.from().minusSeconds(1))
                        || plan.clock(p.end()).isAfter(h.until().plusSeconds(1))) {
                    wrong.add(h.name() + " works at " + p.task() + " outside their hours");
                }
                if (k > 0 && theirs.get(k - 1).end() > p.start()) {
                    wrong.add(h.name() + " is at " + theirs.get(k - 1).task() + " and " + p.task() + " at once");
                }
            }
        });
        Set<String> seen = new HashSet<>();
        schedule.placed().stream()
                .filter(p -> !seen.add(p.task()))
                .forEach(p -> wrong.add(p.task() + " is done twice"));
    }
}
