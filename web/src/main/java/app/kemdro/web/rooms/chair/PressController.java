package app.kemdro.web.rooms.chair;

import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.Stamp;
import app.kemdro.web.parts.mishap.NotPossible;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.rooms.chair.Announcer.Answer;
import java.security.Principal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseBody;
import tools.jackson.databind.node.ObjectNode;

/** What screens of the chair report. */
@Controller
class PressController {
    private final Runs runs;
    private final Announcer announcer;
    private final PressReader reader;

    PressController(Runs runs, Announcer announcer, PressReader reader) {
        this.runs = runs;
        this.announcer = announcer;
        this.reader = reader;
    }

    @PostMapping("/jobs/{id}/chair/events")
    @ResponseBody
    Answer report(@PathVariable long id, @RequestBody ObjectNode report, Principal who) {
        RunEvent event = reader.read(report, runs.running(id));
        try {
            return announcer.report(id, event, who.getName());
        } catch (NotPossible refusal) {
            if (PressReader.wasKept(report)) {
                leaveAside(id, event, refusal, who.getName());
            }
            throw refusal;
        }
    }

    /** What a device that was cut off had kept, and what can no longer be, is said to everybody. */
    private void leaveAside(long id, RunEvent event, NotPossible refusal, String account) {
        String said = "A press that was kept on a cut-off screen was left aside: " + refusal.getMessage();
        runs.open(id).ifPresent(run -> {
            Stamp stamp = new Stamp(event.id() + "-aside", runs.now(run), event.hands());
            announcer.report(id, new RunEvent.Note(stamp, said), account);
        });
    }
}
