package app.kemdro.web.roam;

import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.core.material.Material;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.run.StepState;
import app.kemdro.core.safety.Finding;
import app.kemdro.core.safety.Safety;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.web.records.run.RunNow;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpServletResponse;
import tools.jackson.databind.JsonNode;

/** A run in the chair, pressed by chance; after each press it is asked what must be true of it then. */
final class ChairLife {
    private final Visit visit;
    private int presses;

    ChairLife(Visit visit) {
        this.visit = visit;
    }

    /** Rehearsed at speed, with every kind of press. */
    void live() {
        Optional<Plan> plan = visit.plan();
        if (plan.isEmpty()) {
            return;
        }
        lift(plan.get());
        visit.on().clock().set(plan.get().chairIn().plusMinutes(visit.dice().nextInt(30) - 10));
        visit.post(visit.at("chair/begin"));
        if (visit.on().runs().open(visit.id()).isEmpty()) {
            visit.on().count("chairs not begun");
            return;
        }
        visit.on().count("chairs");
        visit.found(visit.at("chair"));
        int many = 8 + visit.dice().nextInt(50);
        for (int k = 0; k < many && visit.on().runs().open(visit.id()).isPresent(); k++) {
            visit.on()
                    .clock()
                    .pass(Duration.ofSeconds(
                            visit.chance(12)
                                    ? 600 + visit.dice().nextInt(1800)
                                    : 5 + visit.dice().nextInt(150)));
            JsonNode view = visit.on()
                    .json()
                    .readTree(visit.get(visit.at("chair/state")))
                    .get("view");
            press(view);
            standing();
        }
        if (visit.chance(6)) {
            urgent();
        } else if (visit.on().runs().open(visit.id()).isPresent()) {
            report("END", "", "", 0, "");
            if (visit.on().runs().open(visit.id()).isPresent()) {
                visit.wrong("the run does not end");
            }
        }
    }

    private void lift(Plan plan) {
        List<Finding> findings = new Safety(visit.on().trade())
                .of(
                        plan,
                        visit.job().look(),
                        visit.on().removals().of(plan),
                        visit.job().performer().care(),
                        visit.job().consents(),
                        LocalDateTime.now(visit.on().clock()));
        findings.stream()
                .filter(f -> f.kind() == Finding.Kind.BLOCKS && f.mayBeLifted())
                .forEach(f -> visit.post(
                        visit.at("safety/lift"), "key", f.key(), "reason", "A lead has looked at it, roaming"));
    }

    private MockHttpServletResponse report(String type, String hands, String step, int seconds, String text) {
        Map<String, Object> report = new LinkedHashMap<>();
        report.put("type", type);
        report.put("step", step);
        report.put("seconds", seconds);
        report.put("text", text);
        return report(report, hands);
    }

    private MockHttpServletResponse report(Map<String, Object> report, String hands) {
        report.put("id", "roam-%d-%05d".formatted(visit.id(), presses++));
        report.put("hands", hands);
        report.put("device", "roamer");
        visit.on().count("presses");
        return send(report);
    }

    private void press(JsonNode view) {
        JsonNode hands = view.get("hands");
        JsonNode one = hands.get(visit.dice().nextInt(hands.size()));
        String name = one.get("name").asString();
        switch (visit.dice().nextInt(26)) {
            case 0 -> trouble(name);
            case 1 -> report("UNDO", name, "", 0, "");
            case 2 -> report("NOTE", name, "", 0, "a note of " + name);
            case 3 -> clocks(view, name);
            case 4 -> swap(name);
            case 5 -> chairLever(name);
            case 24, 25 -> more(name);
            case 6 ->
                report(
                        "JOIN",
                        visit.draw().one(List.of("Zoë", "Joe \"Sticks\"", "Mara", name)),
                        "",
                        0,
                        visit.draw().one(List.of("LEAD", "ASSISTANT", "TRAINEE")));
            case 7 -> report("LEAVE", name, "", 0, "");
            case 8 ->
                report(
                        "ROOM",
                        "",
                        "",
                        0,
                        visit.draw().one(List.of("30.0;80.0;0", "18.5;35.0;2", "22.0;45.0;1", "x;y")));
            case 9 -> {
                report("AWAY", name, "", 60 + visit.dice().nextInt(2400), "");
                visit.on().clock().pass(Duration.ofSeconds(visit.dice().nextInt(1500)));
                report("BACK", name, "", 0, "");
            }
            case 10 -> report("BREAK", name, "", 0, "");
            case 11 -> {
                if (visit.chance(4)) {
                    report("REACTION", name, "", 0, "left cheek burns");
                    visit.on().clock().pass(Duration.ofSeconds(200));
                    report("BACK", name, "", 0, "");
                }
            }
            case 12 -> redo(name);
            case 13 -> {
                JsonNode step = step(one);
                if (step != null) {
                    report("SKIP", name, step.get("step").asString(), 0, "no time");
                }
            }
            case 14 -> {
                if (!one.get("running").isNull()) {
                    report("ADD", name, one.get("running").get("step").asString(), 120, "");
                }
            }
            default -> goOn(view, one, name);
        }
    }

    private static JsonNode step(JsonNode hands) {
        return !hands.get("running").isNull()
                ? hands.get("running")
                : hands.get("upcoming").isNull() ? null : hands.get("upcoming");
    }

    private void goOn(JsonNode view, JsonNode one, String name) {
        if (view.get("onBreak").asBoolean()) {
            report("BACK", name, "", 0, "");
        } else if (!one.get("running").isNull()) {
            report("FINISH", name, one.get("running").get("step").asString(), 0, "");
        } else if (!one.get("upcoming").isNull()) {
            String step = one.get("upcoming").get("step").asString();
            MockHttpServletResponse answer = report("START", name, step, 0, "");
            if (answer.getStatus() == 409 && visit.chance(2)) {
                report("START", name, step, 0, "sure");
            }
        }
    }

    private void clocks(JsonNode view, String name) {
        JsonNode clocks = view.get("clocks");
        if (clocks.size() > 0) {
            String step =
                    clocks.get(visit.dice().nextInt(clocks.size())).get("step").asString();
            report(visit.draw().one(List.of("CLEAR", "NOT_YET", "NOT_YET", "DRYER")), name, step, 0, "");
        }
    }

    private JsonNode anyOf(JsonNode all) {
        return all.get(visit.dice().nextInt(all.size()));
    }

    private void trouble(String name) {
        JsonNode spots = visit.on()
                .json()
                .readTree(visit.get(visit.at("chair/troubles")))
                .get("spots");
        if (spots.size() > 0) {
            JsonNode one = anyOf(anyOf(spots).get("troubles"));
            JsonNode place = anyOf(one.get("places"));
            Map<String, Object> report = new LinkedHashMap<>();
            report.put("type", "TROUBLE");
            report.put("version", 2);
            report.put("step", place.get("step").asString());
            report.put("repair", one.get("id").asString());
            report.put("zones", place.get("zones"));
            MockHttpServletResponse answer = report(report, name);
            if (answer.getStatus() != 200) {
                visit.wrong("a trouble that is offered is refused: " + visit.body(answer));
            }
            visit.on().count("troubles");
        }
    }

    /** Something more is put on; what is said before it is pressed comes true. */
    private void more(String name) {
        JsonNode parts =
                visit.on().json().readTree(visit.get(visit.at("chair/more"))).get("parts");
        String row = anyOf(parts).get("row").asString();
        JsonNode offers = visit.on().json().readTree(visit.get(visit.at("chair/more/at?row=" + row)));
        if (offers.size() == 0) {
            return;
        }
        JsonNode offer = anyOf(offers);
        Map<String, Object> report = new LinkedHashMap<>();
        report.put("type", "ADDITION");
        report.put("version", 2);
        report.put("technique", offer.get("technique").asString());
        report.put("zones", anyOf(offer.get("where")).get("zones"));
        report.put("id", "would-%d-%05d".formatted(visit.id(), presses));
        MockHttpServletResponse would = send("chair/would", report);
        MockHttpServletResponse answer = report(report, name);
        if (would.getStatus() != answer.getStatus()) {
            visit.wrong("what was said before a press (%d) does not come true: %s"
                    .formatted(would.getStatus(), visit.body(answer)));
        }
        visit.on().count("additions");
    }

    private void swap(String name) {
        JsonNode all = visit.on().json().readTree(visit.get(visit.at("chair/swaps")));
        if (all.size() > 0) {
            JsonNode one = all.get(visit.dice().nextInt(all.size()));
            JsonNode schools = one.get("schools");
            JsonNode school = schools.get(visit.dice().nextInt(schools.size()));
            MockHttpServletResponse answer = report(
                    "SCHOOL",
                    name,
                    one.get("entry").asString(),
                    0,
                    school.get("id").asString());
            if (answer.getStatus() != 200) {
                visit.wrong("a school that is offered is refused: " + visit.body(answer));
            }
            visit.on().count("schools");
        }
    }

    private void chairLever(String name) {
        JsonNode levers =
                visit.on().json().readTree(visit.get(visit.at("chair/levers"))).get("levers");
        if (levers.size() > 0) {
            JsonNode lever = levers.get(visit.dice().nextInt(levers.size()));
            lever.get("acts").forEach(a -> {
                String hands = a.get("hands").asString().isEmpty()
                        ? name
                        : a.get("hands").asString();
                Map<String, Object> report = new LinkedHashMap<>();
                a.propertyStream().forEach(f -> report.put(f.getKey(), f.getValue()));
                report(report, hands);
            });
            visit.on().count("chair levers");
        }
    }

    private void redo(String name) {
        JsonNode done = visit.on().json().readTree(visit.get(visit.at("chair/done")));
        if (done.size() > 0) {
            report(
                    "REDO",
                    name,
                    done.get(visit.dice().nextInt(done.size())).get("step").asString(),
                    0,
                    "");
        }
    }

    /** What is true of a run at any moment. */
    private void standing() {
        Optional<RunNow> now = visit.on().runs().open(visit.id()).map(visit.on().standings()::of);
        if (now.isEmpty()) {
            return;
        }
        Plan plan = now.get().plan();
        Schedule schedule = now.get().schedule();
        Set<String> reactsTo = plan.brief().performer().reactsTo();
        for (PlannedStep step : plan.steps()) {
            boolean left = now.get().state().step(step.id()).status() == StepState.Status.SKIPPED;
            if (!left && schedule.find(step.id()).isEmpty()) {
                visit.wrong(step.id() + " is still to be done and has no time");
            }
            for (Material m : Stream.concat(step.material().stream(), step.form().stream())
                    .toList()) {
                List<String> bars = visit.on().afresh().reactions(m.id(), step.zones(), reactsTo);
                if (!bars.isEmpty()) {
                    visit.wrong("in the chair " + step.id() + " lays " + m.id() + ", which contains " + bars);
                }
            }
        }
    }

    private void urgent() {
        visit.found(visit.at("chair/off"));
        visit.post(visit.at("strike/begin"), "urgent", "true");
        visit.on().count("emergencies");
    }

    private MockHttpServletResponse send(Map<String, Object> report) {
        return send("chair/events", report);
    }

    private MockHttpServletResponse send(String to, Map<String, Object> report) {
        MockHttpServletResponse answer = visit.heard(
                "REPORT " + report,
                visit.on()
                        .mvc()
                        .post()
                        .uri(visit.at(to))
                        .contentType(MediaType.APPLICATION_JSON)
                        .content(visit.on().json().writeValueAsString(report))
                        .with(csrf())
                        .with(user("ines").roles("LEAD"))
                        .exchange()
                        .getResponse());
        if (answer.getStatus() != 200 && answer.getStatus() != 409) {
            visit.wrong(report + " answers " + answer.getStatus() + ": " + visit.body(answer));
        }
        visit.body(answer);
        return answer;
    }
}
