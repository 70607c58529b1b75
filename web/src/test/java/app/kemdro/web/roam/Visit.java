package app.kemdro.web.roam;

import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.core.plan.Plan;
import app.kemdro.web.records.job.Job;
import java.nio.charset.StandardCharsets;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import org.springframework.mock.web.MockHttpServletResponse;

/** Somebody at the screens of one job: asks and presses as a browser does, and remembers the last of it for who reads a fault. */
final class Visit {
    private static final int REMEMBERED = 12;

    private final Roamed on;
    private final SplittableRandom dice;
    private final Draw draw;
    private final Deque<String> last = new ArrayDeque<>();
    private long id;

    Visit(Roamed on, SplittableRandom dice) {
        this.on = on;
        this.dice = dice;
        this.draw = new Draw(on.trade(), dice);
    }

    Roamed on() {
        return on;
    }

    SplittableRandom dice() {
        return dice;
    }

    Draw draw() {
        return draw;
    }

    long id() {
        return id;
    }

    /** From now on it is about this job. */
    void turnTo(long job) {
        id = job;
    }

    MockHttpServletResponse heard(String what, MockHttpServletResponse answer) {
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

    String body(MockHttpServletResponse answer) {
        String text = new String(answer.getContentAsByteArray(), StandardCharsets.UTF_8);
        if (text.contains("Kemdro stumbled")) {
            wrong("a page says that Kemdro stumbled");
        }
        return text;
    }

    /** What an address answers, whatever that is. */
    MockHttpServletResponse fetch(String path) {
        return heard(
                "GET " + path,
                on.mvc()
                        .get()
                        .uri(path)
                        .with(user("ines").roles("LEAD"))
                        .exchange()
                        .getResponse());
    }

    String get(String path) {
        return body(fetch(path));
    }

    void found(String path) {
        MockHttpServletResponse answer = fetch(path);
        if (answer.getStatus() >= 400) {
            wrong(path + " answers " + answer.getStatus());
        }
        body(answer);
    }

    MockHttpServletResponse post(String path, String... parameters) {
        var request = on.mvc().post().uri(path).with(csrf()).with(user("ines").roles("LEAD"));
        for (int k = 0; k < parameters.length; k += 2) {
            request.param(parameters[k], parameters[k + 1]);
        }
        MockHttpServletResponse answer = heard(
                "POST " + path + " " + List.of(parameters), request.exchange().getResponse());
        body(answer);
        return answer;
    }

    String at(String room) {
        return "/jobs/" + id + "/" + room;
    }

    void wrong(String what) {
        throw new AssertionError(what + "\n  after " + String.join("\n        ", last));
    }

    void none(List<String> wrongs, String when) {
        if (!wrongs.isEmpty()) {
            wrong(when + ": " + wrongs.subList(0, Math.min(4, wrongs.size())));
        }
    }

    Job job() {
        return on.jobs().get(id);
    }

    Optional<Plan> plan() {
        return on.plans().of(job()).plan();
    }

    boolean chance(int in) {
        return dice.nextInt(in) == 0;
    }
}
