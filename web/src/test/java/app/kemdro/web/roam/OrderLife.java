package app.kemdro.web.roam;

import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.nodes.Entities;

/** What is pressed in Order. */
final class OrderLife {
    private static final Pattern LEVER =
            Pattern.compile("name=\"says\" value=\"([^\"]*)\".{0,400}?−(?:(\\d+) h ?)?(?:(\\d+) min)?", Pattern.DOTALL);

    private final Visit visit;
    private final Questions questions;

    OrderLife(Visit visit, Questions questions) {
        this.visit = visit;
        this.questions = questions;
    }

    /** Its drawing, wishes, another chair-in, a lever. */
    void live() {
        String page = visit.get(visit.at("order"));
        Optional<Plan> plan = visit.plan();
        if (plan.isPresent()) {
            int drawn = count(page, "\"number\":");
            if (drawn != plan.get().steps().size()) {
                visit.wrong("the order draws " + drawn + " steps of "
                        + plan.get().steps().size());
            }
            wish(plan.get());
        }
        visit.found(visit.at("order"));
        visit.found(visit.at("order/list"));
        visit.found(visit.at("order.pdf"));
        if (visit.plan().isPresent() && visit.chance(2)) {
            visit.post(
                    visit.at("order/chair-in"),
                    "often",
                    visit.draw().one(List.of("half", "9 of 10", "19 of 20", "likely")));
            questions.asked("after another chair-in");
        }
        lever();
    }

    private static int count(String text, String word) {
        return text.split(Pattern.quote(word), -1).length - 1;
    }

    private void wish(Plan plan) {
        int many = visit.dice().nextInt(3);
        for (int k = 0; k < many; k++) {
            PlannedStep one = visit.draw().one(plan.steps());
            PlannedStep other = visit.draw().one(plan.steps());
            String press = visit.draw()
                    .one(List.of("BEFORE", "AFTER", "HOLD", "NOT_BEFORE", "BEGUN_BY", "BY_HANDS", "IF_TIME"));
            String to = press.equals("BY_HANDS")
                    ? visit.draw().one(visit.job().brief().crew()).name()
                    : other.id();
            visit.post(
                    visit.at("order/wishes"),
                    "press",
                    press,
                    "step",
                    one.id(),
                    "to",
                    to,
                    "at",
                    "%02d:%02d".formatted(visit.dice().nextInt(24), visit.dice().nextInt(60)));
            questions.asked("after a wish");
            visit.found(visit.at("order"));
        }
        if (many > 0 && visit.chance(2)) {
            visit.post(visit.at("order/wishes/none"));
            questions.asked("without wishes");
        }
    }

    private void lever() {
        if (visit.plan().isEmpty() || !visit.chance(3)) {
            return;
        }
        String page = visit.get(visit.at("order/levers"));
        Matcher m = LEVER.matcher(page);
        if (!m.find()) {
            return;
        }
        int before = visit.plan().orElseThrow().schedule().ready();
        int minutes = 60 * number(m.group(2)) + number(m.group(3));
        visit.post(visit.at("order/levers"), "says", Entities.unescape(m.group(1)));
        visit.on().count("levers");
        questions.asked("after a lever");
        int saved = (before - visit.plan().map(p -> p.schedule().ready()).orElse(before)) / 60;
        if (saved < minutes - 1) {
            visit.wrong("a lever promised " + minutes + " min and brought " + saved + ": " + m.group(1));
        }
    }

    private static int number(String digits) {
        return digits == null ? 0 : Integer.parseInt(digits);
    }
}
