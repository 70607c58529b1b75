package app.kemdro.web.rooms.chair;

import app.kemdro.core.run.RunEvent;
import app.kemdro.web.parts.json.Json;
import app.kemdro.web.parts.live.Screens;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.run.Moved;
import app.kemdro.web.records.run.Reports;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Runs.Standing;
import java.util.ArrayList;
import java.util.List;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Tells every screen of the chair how the run stands. */
@Component
class Announcer {
    private final Runs runs;
    private final Reports reports;
    private final Screens screens;
    private final Json json;

    Announcer(Runs runs, Reports reports, Screens screens, Json json) {
        this.runs = runs;
        this.reports = reports;
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

    /** Takes in a report; every screen hears of it, this one by the answer as well. */
    Answer report(long jobId, RunEvent event, String account) {
        return answer(reports.take(jobId, event, account), event.id());
    }

    @EventListener
    void tell(Moved moved) {
        screens.tell(channel(moved.jobId()), "now", json.text(answer(moved.standing(), moved.press())));
    }

    private Answer answer(Standing standing, String press) {
        ChairView view = ChairView.of(standing, runs.now(standing.run()));
        String said =
                said(Math.round((standing.schedule().ready() - standing.readyBefore()) / 60.0), view, standing.moves());
        return new Answer(view, said, press);
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
