package app.kemdro.web.roam;

import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jsoup.nodes.Entities;
import org.springframework.mock.web.MockHttpServletResponse;

/** What comes after the chair: its book, the strike, the skin. */
final class AfterwardsLife {
    private static final Pattern BUTTON = Pattern.compile(
            "name=\"press\" value=\"([^\"]*)\"><input type=\"hidden\" name=\"type\" value=\"([A-Z_]*)\">"
                    + "(?:<input type=\"hidden\" name=\"hands\" value=\"([^\"]*)\">)?"
                    + "(?:<input type=\"hidden\" name=\"step\" value=\"([^\"]*)\">)?");

    private final Visit visit;

    AfterwardsLife(Visit visit) {
        this.visit = visit;
    }

    void live() {
        boolean held = !visit.on().runs().of(visit.id()).isEmpty();
        for (String room :
                List.of("book", "continuity.pdf", "export.json", "steps.csv", "book/times", "strike", "chair")) {
            visit.found(visit.at(room));
        }
        if (held) {
            visit.found(visit.at("chair/review"));
            strike();
        }
        if (visit.chance(4)) {
            visit.post(visit.at("book/again"));
        }
    }

    private void strike() {
        visit.post(visit.at("strike/begin"));
        int count = 0;
        for (int k = 0; k < 160; k++) {
            MockHttpServletResponse answer = visit.fetch(visit.at("strike/live"));
            if (answer.getStatus() != 200) {
                break;
            }
            List<String[]> buttons = new ArrayList<>();
            Matcher m = BUTTON.matcher(visit.body(answer));
            while (m.find()) {
                buttons.add(new String[] {m.group(1), m.group(2), m.group(3), m.group(4)});
            }
            List<String[]> forth = buttons.stream()
                    .filter(b -> Set.of("START", "FINISH", "CLEAR").contains(b[1]))
                    .toList();
            String[] b = visit.chance(7) || forth.isEmpty()
                    ? visit.draw().one(buttons)
                    : visit.draw().one(forth);
            if (b[1].equals("END") && !visit.chance(10) || b[1].equals("NOTE")) {
                visit.on().clock().pass(Duration.ofMinutes(2));
                continue;
            }
            press(b);
            count++;
            visit.on().clock().pass(Duration.ofSeconds(20 + visit.dice().nextInt(200)));
        }
        visit.on().count("strikes");
        visit.found(visit.at("strike/skin"));
        visit.found(visit.at("strike"));
        visit.post(visit.at("strike/skin"), "zone", "cheek-left", "skin", "RED", "text", "a little");
        if (count == 0) {
            visit.on().count("strikes of nothing");
        }
    }

    private void press(String[] b) {
        List<String> parameters = new ArrayList<>(List.of("press", Entities.unescape(b[0]), "type", b[1]));
        if (b[2] != null) {
            parameters.addAll(List.of("hands", Entities.unescape(b[2])));
        }
        if (b[3] != null) {
            parameters.addAll(List.of("step", Entities.unescape(b[3])));
        }
        var answer = visit.on()
                .mvc()
                .post()
                .uri(visit.at("strike/press"))
                .with(csrf())
                .with(user("ines").roles("LEAD"));
        for (int k = 0; k < parameters.size(); k += 2) {
            answer.param(parameters.get(k), parameters.get(k + 1));
        }
        visit.heard("PRESS " + parameters, answer.exchange().getResponse());
    }
}
