package app.kemdro.web.chair;

import app.kemdro.core.run.RunEvent;
import app.kemdro.web.chair.Runs.Standing;
import app.kemdro.web.live.Screens;
import app.kemdro.web.plans.Words;
import app.kemdro.web.room.Json;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** Takes in what is reported, and tells every screen that shows the run. */
@Component
public class Announcer {
    private final Runs runs;
    private final Screens screens;
    private final Json json;

    Announcer(Runs runs, Screens screens, Json json) {
        this.runs = runs;
        this.screens = screens;
        this.json = json;
    }

    /**
     * What came of it: where the run stands, and what the report changed in words.
     *
     * @param press the id of the report, empty where there was none
     */
    record Answer(ChairView view, String said, String press) {}

    static String channel(long jobId) {
        return "chair " + jobId;
    }

    static String floor(long jobId) {
        return "floor " + jobId;
    }

    /** Takes in a report. */
    Answer report(long jobId, RunEvent event, String account) {
        Standing standing = runs.report(jobId, event, account);
        ChairView view = ChairView.of(standing, runs.now(standing.run()));
        String said =
                said(Math.round((standing.schedule().ready() - standing.readyBefore()) / 60.0), view, standing.moves());
        Answer answer = new Answer(view, said, event.id());
        screens.tell(channel(jobId), "now", json.text(answer));
        if (screens.anybody(floor(jobId))) {
            screens.tell(floor(jobId), "now", json.text(FloorView.of(standing, runs.now(standing.run()))));
        }
        return answer;
    }

    /** Ends a run from elsewhere; every screen hears of it. */
    public void end(Run run, String press, String account) {
        report(run.jobId(), new RunEvent(press, runs.now(run), "", RunEvent.Type.END, "", 0, 0, ""), account);
    }

    /** Tells every screen how it stands, though nothing was reported. */
    void again(long jobId) {
        runs.open(jobId).ifPresent(run -> {
            Standing standing = runs.standing(run);
            screens.tell(channel(jobId), "now", json.text(new Answer(ChairView.of(standing, runs.now(run)), "", "")));
        });
    }

    private static String said(long minutes, ChairView view, List<String> moves) {
        List<String> parts = new ArrayList<>();
        if (minutes != 0) {
            parts.add(Words.change(minutes) + ": ready " + view.readyText() + ", " + view.inHandText() + ".");
        }
        moves.forEach(m -> parts.add(m + "."));
        return String.join(" ", parts);
    }
}
