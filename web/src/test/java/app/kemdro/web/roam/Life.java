package app.kemdro.web.roam;

import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.core.layer.Stack;
import app.kemdro.core.layer.Verdict;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.material.Material;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Mending;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.plan.Problem;
import app.kemdro.core.safety.Finding;
import app.kemdro.core.safety.Safety;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduleCheck;
import app.kemdro.core.strike.Removal;
import app.kemdro.web.TestClock;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.plan.Removals;
import app.kemdro.web.records.run.RunNow;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Standings;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Element;
import org.springframework.http.MediaType;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * One drawn job, lived from its file to the skin afterwards through the addresses that screens use, with a question after every
 * answer: is anything of it untrue?
 */
final class Life {
    private static final int REMEMBERED = 12;
    private static final Pattern SAYS =
            Pattern.compile("/look/propose\".*?name=\"says\" value=\"([^\"]*)\"", Pattern.DOTALL);
    private static final Pattern LEVER =
            Pattern.compile("name=\"says\" value=\"([^\"]*)\".{0,400}?−(?:(\\d+) h ?)?(?:(\\d+) min)?", Pattern.DOTALL);
    private static final Pattern BUTTON = Pattern.compile(
            "name=\"press\" value=\"([^\"]*)\"><input type=\"hidden\" name=\"type\" value=\"([A-Z_]*)\">"
                    + "(?:<input type=\"hidden\" name=\"hands\" value=\"([^\"]*)\">)?"
                    + "(?:<input type=\"hidden\" name=\"step\" value=\"([^\"]*)\">)?");

    private final Roamed on;
    private final SplittableRandom dice;
    private final Draw draw;
    private final Deque<String> last = new ArrayDeque<>();
    private long id;
    private int presses;

    /** What is roamed on. */
    record Roamed(
            MockMvcTester mvc,
            TestClock clock,
            Jobs jobs,
            Plans plans,
            Runs runs,
            Standings standings,
            Removals removals,
            Trade trade,
            Afresh afresh,
            JsonMapper json,
            Map<String, Integer> counted) {
        void count(String what) {
            counted.merge(what, 1, Integer::sum);
        }
    }

    Life(Roamed on, SplittableRandom dice) {
        this.on = on;
        this.dice = dice;
        this.draw = new Draw(on.trade(), dice);
    }

    // ------------------------------------------------------------------ asking and pressing

    private MockHttpServletResponse heard(String what, MockHttpServletResponse answer) {
        last.add(what + " -> " + answer.getStatus());
        if (last.size() > REMEMBERED) {
            last.remove();
        }
        on.count("requests");
        if (answer.getStatus() >= 500) {
            wrong(what + " answers " + answer.getStatus());
        }
        return answer;
    }

    private String body(MockHttpServletResponse answer) {
        String text = new String(answer.getContentAsByteArray(), StandardCharsets.UTF_8);
        if (text.contains("Kemdro stumbled")) {
            wrong("a page says that Kemdro stumbled");
        }
        return text;
    }

    private String get(String path) {
        return body(heard(
                "GET " + path,
                on.mvc()
                        .get()
                        .uri(path)
                        .with(user("ines").roles("LEAD"))
                        .exchange()
                        .getResponse()));
    }

    private void found(String path) {
        MockHttpServletResponse answer = heard(
                "GET " + path,
                on.mvc()
                        .get()
                        .uri(path)
                        .with(user("ines").roles("LEAD"))
                        .exchange()
                        .getResponse());
        if (answer.getStatus() >= 400) {
            wrong(path + " answers " + answer.getStatus());
        }
        body(answer);
    }

    private MockHttpServletResponse post(String path, String... parameters) {
        var request = on.mvc().post().uri(path).with(csrf()).with(user("ines").roles("LEAD"));
        for (int k = 0; k < parameters.length; k += 2) {
            request.param(parameters[k], parameters[k + 1]);
        }
        MockHttpServletResponse answer = heard(
                "POST " + path + " " + List.of(parameters), request.exchange().getResponse());
        body(answer);
        return answer;
    }

    private MockHttpServletResponse send(Map<String, Object> report) {
        MockHttpServletResponse answer = heard(
                "REPORT " + report,
                on.mvc()
                        .post()
                        .uri(at("chair/events"))
                        .contentType(MediaType.APPLICATION_JSON)
                        .content(on.json().writeValueAsString(report))
                        .with(csrf())
                        .with(user("ines").roles("LEAD"))
                        .exchange()
                        .getResponse());
        if (answer.getStatus() != 200 && answer.getStatus() != 409) {
            wrong(report + " answers " + answer.getStatus() + ": " + body(answer));
        }
        body(answer);
        return answer;
    }

    private String at(String room) {
        return "/jobs/" + id + "/" + room;
    }

    private void wrong(String what) {
        throw new AssertionError(what + "\n  after " + String.join("\n        ", last));
    }

    private void none(List<String> wrongs, String when) {
        if (!wrongs.isEmpty()) {
            wrong(when + ": " + wrongs.subList(0, Math.min(4, wrongs.size())));
        }
    }

    private Job job() {
        return on.jobs().get(id);
    }

    private Optional<Plan> plan() {
        return on.plans().of(job()).plan();
    }

    private boolean chance(int in) {
        return dice.nextInt(in) == 0;
    }

    // ------------------------------------------------------------------ the whole life

    void live(String file) throws Exception {
        id = take(file);
        look();
        order();
        rooms();
        thereAndBack();
        chair();
        afterwards();
        post(at("remove"));
        found("/shelf");
    }

    private long take(String file) {
        MockHttpServletResponse answer = heard(
                "POST /import",
                on.mvc()
                        .post()
                        .multipart()
                        .uri("/import")
                        .file(new MockMultipartFile(
                                "file", "job.json", "application/json", file.getBytes(StandardCharsets.UTF_8)))
                        .with(csrf())
                        .with(user("ines").roles("LEAD"))
                        .exchange()
                        .getResponse());
        String to = answer.getRedirectedUrl();
        if (to == null) {
            wrong("the file is refused: " + text(body(answer), "class=\"stop\"|role=\"alert\""));
        }
        return Long.parseLong(String.valueOf(to).replaceAll("\\D+", " ").strip().split(" ")[0]);
    }

    private static String text(String page, String from) {
        Matcher m = Pattern.compile(from).matcher(page);
        return m.find()
                ? page.substring(m.start(), Math.min(page.length(), m.start() + 300))
                        .replaceAll("<[^>]*>", " ")
                : "";
    }

    // ------------------------------------------------------------------ what must be true of a plan

    /** Everything that is asked of a plan, whatever led to it. */
    private void asked(String when) {
        Plans.Answer answer = on.plans().of(job());
        if (answer.planning() instanceof Planning.Refused refused) {
            boolean said = !refused.problems().isEmpty()
                    && refused.problems().stream()
                            .allMatch(p -> !p.what().isBlank() && !p.remedy().isBlank());
            if (!said) {
                wrong(when + ": no plan, and no word why");
            }
            if (refused.problems().get(0).what().contains("could not be planned")) {
                wrong(when + ": planning stumbled");
            }
            on.count("plans refused");
            return;
        }
        on.count("plans");
        Plan plan = answer.plan().orElseThrow();
        none(ScheduleCheck.problems(plan.network(), plan.schedule()), when + ": the schedule is not sound");
        none(on.afresh().problems(plan, plan.schedule()), when + ": by the data read afresh");
        List<String> failing = new ArrayList<>();
        plan.stacks()
                .forEach((zone, stack) -> stack.layers().stream()
                        .filter(l -> fails(l.boundary().verdict()))
                        .forEach(l -> failing.add(l.entry() + " " + l.material().id() + " on " + zone)));
        failing.stream()
                .filter(f -> f.startsWith("auto-") || f.startsWith("mend-"))
                .findFirst()
                .ifPresent(f -> wrong(when + ": Kemdro itself put there what fails: " + f));
        boolean said = answer.problems().stream()
                .anyMatch(p -> p.what().contains("will fail") || p.what().contains("may never lie there"));
        if (!failing.isEmpty() && !said) {
            wrong(when + ": nobody says that " + failing.get(0) + " fails");
        }
    }

    private static boolean fails(Verdict verdict) {
        return verdict == Verdict.FAILS || verdict == Verdict.FORBIDDEN;
    }

    private long failing() {
        return plan().map(p -> p.stacks().values().stream()
                        .flatMap(s -> s.layers().stream())
                        .filter(l -> fails(l.boundary().verdict()))
                        .count())
                .orElse(0L);
    }

    // ------------------------------------------------------------------ look

    private void look() {
        asked("taken from the file");
        String page = get(at("look"));
        plan().ifPresent(p -> {
            if (!page.contains("Ready " + Words.ready(p.ready()))) {
                wrong("the page does not say what the plan says: ready " + Words.ready(p.ready()));
            }
        });
        for (String show : List.of("layers", "minutes", "risk", "bare")) {
            found(at("look?show=" + show));
        }
        int many = 2 + dice.nextInt(6);
        for (int k = 0; k < many; k++) {
            pressLook();
        }
    }

    private void pressLook() {
        List<LookEntry> entries = job().look().entries();
        Optional<LookEntry> entry = entries.isEmpty() ? Optional.empty() : Optional.of(draw.one(entries));
        String zones = String.join(",", draw.some(zoneIds(), 1 + dice.nextInt(3)));
        switch (dice.nextInt(13)) {
            case 0, 1 -> {
                Technique t = draw.one(on.trade().techniques());
                String on = String.join(",", draw.some(t.zones(), 1 + dice.nextInt(3)));
                post(at("look/add"), "zones", on, "technique", t.id());
            }
            case 2 -> entry.ifPresent(e -> post(at("look/remove"), "entry", e.id()));
            case 3 -> entry.ifPresent(e -> post(at("look/lift"), "entry", e.id(), "zones", zones));
            case 4 -> entry.ifPresent(e -> post(at("look/coats"), "entry", e.id(), "coats", "" + dice.nextInt(5)));
            case 5 ->
                entry.ifPresent(e -> on.trade().schoolsBeside(on.trade().technique(e.techniqueId())).stream()
                        .findFirst()
                        .ifPresent(t -> post(at("look/school"), "entry", e.id(), "technique", t.id())));
            case 6 ->
                entry.ifPresent(e -> post(at("look/coverage"), "entry", e.id(), "coverage", "" + 25 * dice.nextInt(6)));
            case 7 -> entry.ifPresent(e -> post(at("look/sides"), "entry", e.id()));
            case 8 -> post(at("look/back"));
            case 9, 10 -> mend();
            case 11 -> propose();
            default -> fill();
        }
        asked("after a press in Look");
        found(at("look?zones=" + zones));
        if (chance(4)) {
            get(at("look/insteads?zones=" + zones));
        }
    }

    private List<String> zoneIds() {
        return on.trade().body().zones().stream().map(z -> z.id()).toList();
    }

    private void mend() {
        Optional<Plan> plan = plan();
        if (plan.isEmpty()) {
            return;
        }
        for (Map.Entry<String, Stack> e : plan.get().stacks().entrySet()) {
            for (int k = 0; k < e.getValue().layers().size(); k++) {
                if (e.getValue().layers().get(k).boundary().verdict().isFine()) {
                    continue;
                }
                List<Mending.Offer> offers = on.plans().mending().offers(job().look(), job().brief(), e.getKey(), k);
                if (!offers.isEmpty()) {
                    long before = failing();
                    String says = draw.one(offers).says();
                    post(at("look/mend"), "zones", e.getKey(), "layer", "" + k, "mend", says);
                    on.count("mends");
                    offered(before, "the mend “" + says + "”");
                    return;
                }
            }
        }
    }

    private void offered(long before, String what) {
        if (plan().isEmpty()) {
            wrong(what + " ended the plan: "
                    + on.plans().of(job()).problems().get(0).what());
        }
        if (failing() > before) {
            wrong(what + " made layers fail");
        }
    }

    private void propose() {
        Matcher m = SAYS.matcher(get(at("look")));
        List<String> says = new ArrayList<>();
        while (m.find()) {
            says.add(unescaped(m.group(1)));
        }
        if (!says.isEmpty()) {
            boolean planned = plan().isPresent();
            long before = failing();
            String one = draw.one(says);
            post(at("look/propose"), "says", one);
            on.count("proposals");
            if (planned) {
                offered(before, "the proposal “" + one + "”");
            }
        }
    }

    private void fill() {
        boolean planned = plan().isPresent();
        long before = failing();
        post(at("look/fill"));
        on.count("fills");
        if (planned) {
            offered(before, "covering all that is bare");
        }
    }

    private static String unescaped(String text) {
        return text.replace("&quot;", "\"")
                .replace("&#39;", "'")
                .replace("&lt;", "<")
                .replace("&gt;", ">")
                .replace("&amp;", "&");
    }

    // ------------------------------------------------------------------ order

    private void order() {
        String page = get(at("order"));
        Optional<Plan> plan = plan();
        if (plan.isPresent()) {
            int drawn = count(page, "\"number\":");
            if (drawn != plan.get().steps().size()) {
                wrong("the order draws " + drawn + " steps of "
                        + plan.get().steps().size());
            }
            wish(plan.get());
        }
        found(at("order"));
        found(at("order/list"));
        found(at("order.pdf"));
        if (plan().isPresent() && chance(2)) {
            post(at("order/chair-in"), "often", draw.one(List.of("half", "9 of 10", "19 of 20", "likely")));
            asked("after another chair-in");
        }
        lever();
    }

    private static int count(String text, String word) {
        return text.split(Pattern.quote(word), -1).length - 1;
    }

    private void wish(Plan plan) {
        int many = dice.nextInt(3);
        for (int k = 0; k < many; k++) {
            PlannedStep one = draw.one(plan.steps());
            PlannedStep other = draw.one(plan.steps());
            String press =
                    draw.one(List.of("BEFORE", "AFTER", "HOLD", "NOT_BEFORE", "BEGUN_BY", "BY_HANDS", "IF_TIME"));
            String to =
                    press.equals("BY_HANDS") ? draw.one(job().brief().crew()).name() : other.id();
            post(
                    at("order/wishes"),
                    "press",
                    press,
                    "step",
                    one.id(),
                    "to",
                    to,
                    "at",
                    "%02d:%02d".formatted(dice.nextInt(24), dice.nextInt(60)));
            asked("after a wish");
            found(at("order"));
        }
        if (many > 0 && chance(2)) {
            post(at("order/wishes/none"));
            asked("without wishes");
        }
    }

    private void lever() {
        if (plan().isEmpty() || !chance(3)) {
            return;
        }
        String page = get(at("order/levers"));
        Matcher m = LEVER.matcher(page);
        if (!m.find()) {
            return;
        }
        int before = plan().orElseThrow().schedule().ready();
        int minutes = 60 * number(m.group(2)) + number(m.group(3));
        post(at("order/levers"), "says", unescaped(m.group(1)));
        on.count("levers");
        asked("after a lever");
        int saved = (before - plan().map(p -> p.schedule().ready()).orElse(before)) / 60;
        if (saved < minutes - 1) {
            wrong("a lever promised " + minutes + " min and brought " + saved + ": " + m.group(1));
        }
    }

    private static int number(String digits) {
        return digits == null ? 0 : Integer.parseInt(digits);
    }

    // ------------------------------------------------------------------ the other rooms

    private void rooms() {
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
            MockHttpServletResponse answer = heard(
                    "GET " + at(room),
                    on.mvc()
                            .get()
                            .uri(at(room))
                            .with(user("ines").roles("LEAD"))
                            .exchange()
                            .getResponse());
            if (answer.getStatus() >= 400) {
                wrong(room + " answers " + answer.getStatus());
            }
            String text = body(answer);
            if (room.equals("days.ics")) {
                text.lines()
                        .filter(l -> l.getBytes(StandardCharsets.UTF_8).length > 75)
                        .findFirst()
                        .ifPresent(l -> wrong("a line of the calendar is longer than 75 octets: " + l));
            }
        }
        plan().ifPresent(this::kit);
        plan().ifPresent(this::comesOff);
        shelf();
    }

    /** It is found by its title, and its line says the hour its plan says. */
    private void shelf() {
        Element line = Jsoup.parse(get("/shelf?find=" + job().title()))
                .selectFirst("[aria-labelledby=job-" + job().id() + "] .about");
        if (line == null) {
            wrong("the shelf does not show the job");
            return;
        }
        String hour = plan().map(p -> p.startBy().format(DateTimeFormatter.ofPattern("HH:mm")))
                .orElse("");
        if (!line.text().contains("start by " + hour)) {
            wrong("the shelf says " + line.text() + ", its plan says " + hour);
        }
    }

    private void kit(Plan plan) {
        Set<String> packed = new HashSet<>();
        JsonNode kit = on.json().readTree(get(at("kit.json")));
        kit.forEach(n -> packed.add(n.get("family").asString()));
        Set<String> used = new HashSet<>();
        plan.steps().forEach(s -> {
            s.material().ifPresent(m -> used.add(m.id()));
            s.form().ifPresent(m -> used.add(m.id()));
        });
        on.removals()
                .of(plan)
                .steps()
                .forEach(s -> s.remover().filter(r -> s.grams() > 0).ifPresent(r -> used.add(r.id())));
        used.removeAll(packed);
        if (!used.isEmpty()) {
            wrong("the kit lacks " + used);
        }
    }

    /** All that is laid comes off, each layer once; nothing wet before teeth and lenses; nothing the performer reacts to. */
    private void comesOff(Plan plan) {
        Removal removal = on.removals().of(plan);
        Map<String, List<String>> off = new HashMap<>();
        removal.steps()
                .forEach(s -> s.takes()
                        .forEach((zone, list) -> list.forEach(m -> off.computeIfAbsent(zone, k -> new ArrayList<>())
                                .add(m.id()))));
        plan.stacks().forEach((zone, stack) -> {
            List<String> on = new ArrayList<>(
                    stack.layers().stream().map(l -> l.material().id()).toList());
            List<String> gone = new ArrayList<>(off.getOrDefault(zone, List.of()));
            on.sort(null);
            gone.sort(null);
            if (!on.equals(gone)) {
                wrong("on " + zone + " lie " + on + ", and " + gone + " come off");
            }
        });
        if (removal.schedule().placed().isEmpty() && !removal.steps().isEmpty()) {
            wrong("the strike has steps and no times");
        }
        none(ScheduleCheck.problems(removal.network(), removal.schedule()), "the strike is not sound");
        int dry = 0;
        int wet = Integer.MAX_VALUE;
        for (Removal.Step s : removal.steps()) {
            s.remover().ifPresent(r -> {
                List<String> bars = on.afresh()
                        .reactions(r.id(), s.zones(), plan.brief().performer().reactsTo());
                if (!bars.isEmpty()) {
                    wrong("the strike takes " + r.id() + ", which contains " + bars);
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
            wrong("remover is laid before teeth and lenses are out");
        }
        if (!removal.unknown().isEmpty() && !get(at("safety")).contains("Nothing known takes this off")) {
            wrong("nobody says that nothing takes off " + removal.unknown());
        }
    }

    // ------------------------------------------------------------------ files

    private void thereAndBack() {
        String file = get(at("health.json"));
        long first = id;
        Job before = job();
        Plans.Answer planned = on.plans().of(before);
        id = take(file.replace("\"Performer ", "\"Copy of performer "));
        Job after = job();
        if (!after.look().equals(before.look())) {
            wrong("the look that comes in is not the one that went out");
        }
        Plans.Answer then = on.plans().of(after);
        if (planned.plan().isPresent() != then.plan().isPresent()) {
            Problem none = (planned.plan().isPresent() ? then : planned)
                    .problems().stream()
                            .filter(Problem::stops)
                            .reduce((a, b) -> b)
                            .orElseThrow();
            // where nobody said that there is none, the next look may find one
            if (!none.what().contains("as far as was found")) {
                wrong("one has a plan and its copy has none: " + none.what());
            }
            return;
        }
        if (planned.plan().isPresent()) {
            int was = planned.plan().get().schedule().ready();
            int is = then.plan().orElseThrow().schedule().ready();
            boolean same =
                    planned.look().entries().size() == then.look().entries().size();
            if (same && is > was) {
                wrong("ready after " + was + " s, and its copy after " + is + " s; left out "
                        + planned.plan().get().left()
                        + " and " + then.plan().orElseThrow().left() + ", aside "
                        + (before.look().entries().size()
                                - planned.look().entries().size()) + " and "
                        + (after.look().entries().size() - then.look().entries().size()) + ", wishes "
                        + before.look().wishes().size());
            }
        }
        post(at("remove"));
        id = first;
    }

    // ------------------------------------------------------------------ the chair

    private void chair() {
        Optional<Plan> plan = plan();
        if (plan.isEmpty()) {
            return;
        }
        lift(plan.get());
        on.clock().set(plan.get().chairIn().plusMinutes(dice.nextInt(30) - 10));
        post(at("chair/begin"));
        if (on.runs().open(id).isEmpty()) {
            on.count("chairs not begun");
            return;
        }
        on.count("chairs");
        found(at("chair"));
        int many = 8 + dice.nextInt(50);
        for (int k = 0; k < many && on.runs().open(id).isPresent(); k++) {
            on.clock().pass(Duration.ofSeconds(chance(12) ? 600 + dice.nextInt(1800) : 5 + dice.nextInt(150)));
            JsonNode view = on.json().readTree(get(at("chair/state"))).get("view");
            press(view);
            standing();
        }
        if (chance(6)) {
            urgent();
        } else if (on.runs().open(id).isPresent()) {
            report("END", "", "", 0, "");
            if (on.runs().open(id).isPresent()) {
                wrong("the run does not end");
            }
        }
    }

    private void lift(Plan plan) {
        List<Finding> findings = new Safety(on.trade())
                .of(
                        plan,
                        job().look(),
                        on.removals().of(plan),
                        job().performer().care(),
                        job().consents(),
                        LocalDateTime.now(on.clock()));
        findings.stream()
                .filter(f -> f.kind() == Finding.Kind.BLOCKS && f.mayBeLifted())
                .forEach(f -> post(at("safety/lift"), "key", f.key(), "reason", "A lead has looked at it, roaming"));
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
        report.put("id", "roam-%d-%05d".formatted(id, presses++));
        report.put("hands", hands);
        report.put("device", "roamer");
        on.count("presses");
        return send(report);
    }

    private void press(JsonNode view) {
        JsonNode hands = view.get("hands");
        JsonNode one = hands.get(dice.nextInt(hands.size()));
        String name = one.get("name").asString();
        switch (dice.nextInt(26)) {
            case 0 -> trouble(name);
            case 1 -> report("UNDO", name, "", 0, "");
            case 2 -> report("NOTE", name, "", 0, "a note of " + name);
            case 3 -> clocks(view, name);
            case 4 -> swap(name);
            case 5 -> chairLever(name);
            case 6 ->
                report(
                        "JOIN",
                        draw.one(List.of("Zoë", "Joe \"Sticks\"", "Mara", name)),
                        "",
                        0,
                        draw.one(List.of("LEAD", "ASSISTANT", "TRAINEE")));
            case 7 -> report("LEAVE", name, "", 0, "");
            case 8 -> report("ROOM", "", "", 0, draw.one(List.of("30.0;80.0;0", "18.5;35.0;2", "22.0;45.0;1", "x;y")));
            case 9 -> {
                report("AWAY", name, "", 60 + dice.nextInt(2400), "");
                on.clock().pass(Duration.ofSeconds(dice.nextInt(1500)));
                report("BACK", name, "", 0, "");
            }
            case 10 -> report("BREAK", name, "", 0, "");
            case 11 -> {
                if (chance(4)) {
                    report("REACTION", name, "", 0, "left cheek burns");
                    on.clock().pass(Duration.ofSeconds(200));
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
            if (answer.getStatus() == 409 && chance(2)) {
                report("START", name, step, 0, "sure");
            }
        }
    }

    private void clocks(JsonNode view, String name) {
        JsonNode clocks = view.get("clocks");
        if (clocks.size() > 0) {
            String step = clocks.get(dice.nextInt(clocks.size())).get("step").asString();
            report(draw.one(List.of("CLEAR", "NOT_YET", "NOT_YET", "DRYER")), name, step, 0, "");
        }
    }

    private void trouble(String name) {
        JsonNode all = on.json().readTree(get(at("chair/troubles")));
        if (all.size() > 0) {
            JsonNode one = all.get(dice.nextInt(all.size()));
            JsonNode places = one.get("places");
            JsonNode place = places.get(dice.nextInt(places.size()));
            MockHttpServletResponse answer = report(
                    "TROUBLE",
                    name,
                    place.get("step").asString(),
                    0,
                    one.get("id").asString());
            if (answer.getStatus() != 200) {
                wrong("a trouble that is offered is refused: " + body(answer));
            }
            on.count("troubles");
        }
    }

    private void swap(String name) {
        JsonNode all = on.json().readTree(get(at("chair/swaps")));
        if (all.size() > 0) {
            JsonNode one = all.get(dice.nextInt(all.size()));
            JsonNode schools = one.get("schools");
            JsonNode school = schools.get(dice.nextInt(schools.size()));
            MockHttpServletResponse answer = report(
                    "SCHOOL",
                    name,
                    one.get("entry").asString(),
                    0,
                    school.get("id").asString());
            if (answer.getStatus() != 200) {
                wrong("a school that is offered is refused: " + body(answer));
            }
            on.count("schools");
        }
    }

    private void chairLever(String name) {
        JsonNode levers = on.json().readTree(get(at("chair/levers"))).get("levers");
        if (levers.size() > 0) {
            JsonNode lever = levers.get(dice.nextInt(levers.size()));
            lever.get("acts").forEach(a -> {
                String hands = a.get("hands").asString().isEmpty()
                        ? name
                        : a.get("hands").asString();
                Map<String, Object> report = new LinkedHashMap<>();
                a.propertyStream().forEach(f -> report.put(f.getKey(), f.getValue()));
                report(report, hands);
            });
            on.count("chair levers");
        }
    }

    private void redo(String name) {
        JsonNode done = on.json().readTree(get(at("chair/done")));
        if (done.size() > 0) {
            report("REDO", name, done.get(dice.nextInt(done.size())).get("step").asString(), 0, "");
        }
    }

    /** What is true of a run at any moment. */
    private void standing() {
        Optional<RunNow> now = on.runs().open(id).map(on.standings()::of);
        if (now.isEmpty()) {
            return;
        }
        Plan plan = now.get().plan();
        Schedule schedule = now.get().schedule();
        Set<String> reactsTo = plan.brief().performer().reactsTo();
        for (PlannedStep step : plan.steps()) {
            boolean left = now.get().state().step(step.id()).status() == app.kemdro.core.run.StepState.Status.SKIPPED;
            if (!left && schedule.find(step.id()).isEmpty()) {
                wrong(step.id() + " is still to be done and has no time");
            }
            for (Material m : java.util.stream.Stream.concat(step.material().stream(), step.form().stream())
                    .toList()) {
                List<String> bars = on.afresh().reactions(m.id(), step.zones(), reactsTo);
                if (!bars.isEmpty()) {
                    wrong("in the chair " + step.id() + " lays " + m.id() + ", which contains " + bars);
                }
            }
        }
    }

    private void urgent() {
        found(at("chair/off"));
        post(at("strike/begin"), "urgent", "true");
        on.count("emergencies");
    }

    // ------------------------------------------------------------------ afterwards

    private void afterwards() {
        boolean held = !on.runs().of(id).isEmpty();
        for (String room :
                List.of("book", "continuity.pdf", "export.json", "steps.csv", "book/times", "strike", "chair")) {
            found(at(room));
        }
        if (held) {
            found(at("chair/review"));
            strike();
        }
        if (chance(4)) {
            post(at("book/again"));
        }
    }

    private void strike() {
        post(at("strike/begin"));
        int count = 0;
        for (int k = 0; k < 160; k++) {
            MockHttpServletResponse answer = heard(
                    "GET " + at("strike/live"),
                    on.mvc()
                            .get()
                            .uri(at("strike/live"))
                            .with(user("ines").roles("LEAD"))
                            .exchange()
                            .getResponse());
            if (answer.getStatus() != 200) {
                break;
            }
            List<String[]> buttons = new ArrayList<>();
            Matcher m = BUTTON.matcher(body(answer));
            while (m.find()) {
                buttons.add(new String[] {m.group(1), m.group(2), m.group(3), m.group(4)});
            }
            Function<String[], Boolean> goesOn =
                    b -> b[1].equals("START") || b[1].equals("FINISH") || b[1].equals("CLEAR");
            List<String[]> on = buttons.stream().filter(goesOn::apply).toList();
            String[] b = chance(7) || on.isEmpty() ? draw.one(buttons) : draw.one(on);
            if (b[1].equals("END") && !chance(10) || b[1].equals("NOTE")) {
                this.on.clock().pass(Duration.ofMinutes(2));
                continue;
            }
            press(b);
            count++;
            this.on.clock().pass(Duration.ofSeconds(20 + dice.nextInt(200)));
        }
        on.count("strikes");
        found(at("strike/skin"));
        found(at("strike"));
        post(at("strike/skin"), "zone", "cheek-left", "skin", "RED", "text", "a little");
        if (count == 0) {
            on.count("strikes of nothing");
        }
    }

    private void press(String[] b) {
        List<String> parameters = new ArrayList<>(List.of("press", unescaped(b[0]), "type", b[1]));
        if (b[2] != null) {
            parameters.addAll(List.of("hands", unescaped(b[2])));
        }
        if (b[3] != null) {
            parameters.addAll(List.of("step", unescaped(b[3])));
        }
        var answer = on.mvc()
                .post()
                .uri(at("strike/press"))
                .with(csrf())
                .with(user("ines").roles("LEAD"));
        for (int k = 0; k < parameters.size(); k += 2) {
            answer.param(parameters.get(k), parameters.get(k + 1));
        }
        heard("PRESS " + parameters, answer.exchange().getResponse());
    }
}
