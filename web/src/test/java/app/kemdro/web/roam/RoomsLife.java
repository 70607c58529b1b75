package app.kemdro.web.roam;

import app.kemdro.core.plan.Plan;
import app.kemdro.core.schedule.ScheduleCheck;
import app.kemdro.core.strike.Removal;
import java.nio.charset.StandardCharsets;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.springframework.mock.web.MockHttpServletResponse;
import tools.jackson.databind.JsonNode;

/** The other rooms: each answers, and what kit, strike and shelf say follows from the plan. */
final class RoomsLife {
    private final Visit visit;

    RoomsLife(Visit visit) {
        this.visit = visit;
    }

    void live() {
        for (String room : List.of(
                "brief",
                "bench",
                "kit",
                "kit/bag",
                "kit/mixes",
                "colour",
                "safety",
                "strike",
                "chair",
                "floor",
                "book",
                "bag.pdf",
                "safety.pdf",
                "strike.pdf",
                "kit.csv",
                "steps.csv",
                "days.ics",
                "figure.svg")) {
            MockHttpServletResponse answer = visit.fetch(visit.at(room));
            if (answer.getStatus() >= 400) {
                visit.wrong(room + " answers " + answer.getStatus());
            }
            String text = visit.body(answer);
            if (room.equals("days.ics")) {
                text.lines()
                        .filter(l -> l.getBytes(StandardCharsets.UTF_8).length > 75)
                        .findFirst()
                        .ifPresent(l -> visit.wrong("a line of the calendar is longer than 75 octets: " + l));
            }
        }
        visit.plan().ifPresent(this::kit);
        visit.plan().ifPresent(this::comesOff);
        shelf();
    }

    /** It is found by its title, and its line says the hour its plan says. */
    private void shelf() {
        Element line = Jsoup.parse(visit.get("/shelf?find=" + visit.job().title()))
                .selectFirst("[aria-labelledby=job-" + visit.job().id() + "] .about");
        if (line == null) {
            visit.wrong("the shelf does not show the job");
            return;
        }
        String hour = visit.plan()
                .map(p -> p.startBy().format(DateTimeFormatter.ofPattern("HH:mm")))
                .orElse("");
        if (!line.text().contains("start by " + hour)) {
            visit.wrong("the shelf says " + line.text() + ", its plan says " + hour);
        }
    }

    private void kit(Plan plan) {
        Set<String> packed = new HashSet<>();
        JsonNode kit = visit.on().json().readTree(visit.get(visit.at("kit.json")));
        kit.forEach(n -> packed.add(n.get("family").asString()));
        Set<String> used = new HashSet<>();
        plan.steps().forEach(s -> {
            s.material().ifPresent(m -> used.add(m.id()));
            s.form().ifPresent(m -> used.add(m.id()));
        });
        visit.on()
                .removals()
                .of(plan)
                .steps()
                .forEach(s -> s.remover().filter(r -> s.grams() > 0).ifPresent(r -> used.add(r.id())));
        used.removeAll(packed);
        if (!used.isEmpty()) {
            visit.wrong("the kit lacks " + used);
        }
    }

    /** All that is laid comes off, each layer once; nothing wet before teeth and lenses; nothing the performer reacts to. */
    private void comesOff(Plan plan) {
        Removal removal = visit.on().removals().of(plan);
        Map<String, List<String>> off = new HashMap<>();
        removal.steps()
                .forEach(s -> s.takes()
                        .forEach((zone, list) -> list.forEach(m -> off.computeIfAbsent(zone, k -> new ArrayList<>())
                                .add(m.id()))));
        plan.stacks().forEach((zone, stack) -> {
            List<String> laid = new ArrayList<>(
                    stack.layers().stream().map(l -> l.material().id()).toList());
            List<String> gone = new ArrayList<>(off.getOrDefault(zone, List.of()));
            laid.sort(null);
            gone.sort(null);
            if (!laid.equals(gone)) {
                visit.wrong("on " + zone + " lie " + laid + ", and " + gone + " come off");
            }
        });
        if (removal.schedule().placed().isEmpty() && !removal.steps().isEmpty()) {
            visit.wrong("the strike has steps and no times");
        }
        visit.none(ScheduleCheck.problems(removal.network(), removal.schedule()), "the strike is not sound");
        int dry = 0;
        int wet = Integer.MAX_VALUE;
        for (Removal.Step s : removal.steps()) {
            s.remover().ifPresent(r -> {
                List<String> bars = visit.on()
                        .afresh()
                        .reactions(r.id(), s.zones(), plan.brief().performer().reactsTo());
                if (!bars.isEmpty()) {
                    visit.wrong("the strike takes " + r.id() + ", which contains " + bars);
                }
            });
            boolean early = s.takes().values().stream()
                    .flatMap(List::stream)
                    .anyMatch(m -> m.kind().equals("lens") || m.id().endsWith("-teeth"));
            if (early) {
                dry = Math.max(dry, removal.schedule().of(s.id()).end());
            }
            boolean nails = s.takes().values().stream()
                            .flatMap(List::stream)
                            .anyMatch(m -> m.kind().equals("nail"))
                    || s.title().contains("nail");
            boolean wets = s.remover()
                    .filter(r -> !r.id().equals("lens-solution") && s.grams() > 0)
                    .isPresent();
            if (wets && !(nails && plan.brief().selfApplied())) {
                wet = Math.min(wet, removal.schedule().of(s.id()).start());
            }
        }
        if (dry > wet) {
            visit.wrong("remover is laid before teeth and lenses are out");
        }
        int nailsOff = off(removal, "false-nails").max().orElse(0);
        if (plan.brief().selfApplied() && off(removal, "lens").min().orElse(nailsOff) < nailsOff) {
            visit.wrong("one's own lenses are taken out with long nails on");
        }
        if (!removal.unknown().isEmpty() && !visit.get(visit.at("safety")).contains("Nothing known takes this off")) {
            visit.wrong("nobody says that nothing takes off " + removal.unknown());
        }
    }

    /** When such things are off, by kind or by id. */
    private static IntStream off(Removal removal, String what) {
        return removal.steps().stream()
                .filter(s -> s.takes().values().stream()
                        .flatMap(List::stream)
                        .anyMatch(m -> m.kind().equals(what) || m.id().equals(what)))
                .mapToInt(s -> removal.schedule().of(s.id()).end());
    }
}
