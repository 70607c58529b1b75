package app.kemdro.web.roam;

import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.core.plan.Problem;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.plan.Plans;
import java.nio.charset.StandardCharsets;
import java.util.SplittableRandom;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.mock.web.MockMultipartFile;

/**
 * One drawn job, lived from its file to the skin afterwards through the addresses that screens use, with a question after every
 * answer: is anything of it untrue?
 */
final class Life {
    private final Visit visit;

    Life(Roamed on, SplittableRandom dice) {
        this.visit = new Visit(on, dice);
    }

    void live(String file) throws Exception {
        visit.turnTo(take(file));
        Questions questions = new Questions(visit);
        new LookLife(visit, questions).live();
        new OrderLife(visit, questions).live();
        new RoomsLife(visit).live();
        thereAndBack();
        new ChairLife(visit).live();
        new AfterwardsLife(visit).live();
        visit.post(visit.at("remove"));
        visit.found("/shelf");
    }

    private long take(String file) {
        MockHttpServletResponse answer = visit.heard(
                "POST /import",
                visit.on()
                        .mvc()
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
            visit.wrong("the file is refused: " + text(visit.body(answer), "class=\"stop\"|role=\"alert\""));
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

    private void thereAndBack() {
        String file = visit.get(visit.at("health.json"));
        long first = visit.id();
        Job before = visit.job();
        Plans.Answer planned = visit.on().plans().of(before);
        visit.turnTo(take(file.replace("\"Performer ", "\"Copy of performer ")));
        Job after = visit.job();
        if (!after.look().equals(before.look())) {
            visit.wrong("the look that comes in is not the one that went out");
        }
        Plans.Answer then = visit.on().plans().of(after);
        if (planned.plan().isPresent() != then.plan().isPresent()) {
            Problem none = (planned.plan().isPresent() ? then : planned)
                    .problems().stream()
                            .filter(Problem::stops)
                            .reduce((a, b) -> b)
                            .orElseThrow();
            // where nobody said that there is none, the next look may find one
            if (!none.what().contains("as far as was found")) {
                visit.wrong("one has a plan and its copy has none: " + none.what());
            }
            return;
        }
        if (planned.plan().isPresent()) {
            int was = planned.plan().get().schedule().ready();
            int is = then.plan().orElseThrow().schedule().ready();
            boolean same =
                    planned.look().entries().size() == then.look().entries().size();
            if (same && is > was) {
                visit.wrong("ready after " + was + " s, and its copy after " + is + " s; left out "
                        + planned.plan().get().left()
                        + " and " + then.plan().orElseThrow().left() + ", aside "
                        + (before.look().entries().size()
                                - planned.look().entries().size()) + " and "
                        + (after.look().entries().size() - then.look().entries().size()) + ", wishes "
                        + before.look().wishes().size());
            }
        }
        visit.post(visit.at("remove"));
        visit.turnTo(first);
    }
}
