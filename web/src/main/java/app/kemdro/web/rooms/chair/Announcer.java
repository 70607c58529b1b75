package app.kemdro.web.rooms.chair;

import app.kemdro.core.method.Trade;
import app.kemdro.core.run.RunEvent;
import app.kemdro.web.parts.json.Json;
import app.kemdro.web.parts.live.Screens;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.run.Follower;
import app.kemdro.web.records.run.Reports;
import app.kemdro.web.records.run.Run;
import app.kemdro.web.records.run.RunNow;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.run.Standings;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.ArrayList;
import java.util.List;
import org.springframework.stereotype.Component;

/** Tells every screen of the chair how the run stands. */
@Component
class Announcer implements Follower {
    private final Runs runs;
    private final Reports reports;
    private final Screens screens;
    private final Json json;
    private final Standings standings;
    private final Trade trade;

    /** What was said of a report to everybody is said to whoever pressed as well, and worked out once. */
    private final Cache<RunNow, Answer> answers =
            Caffeine.newBuilder().weakKeys().build();

    Announcer(Runs runs, Standings standings, Reports reports, Screens screens, Json json, Trade trade) {
        this.trade = trade;
        this.runs = runs;
        this.reports = reports;
        this.standings = standings;
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

    @Override
    public String name() {
        return "screens";
    }

    @Override
    public boolean follows(RunEvent event, Run run) {
        return true;
    }

    @Override
    public void follow(RunNow now, String press) {
        screens.tell(channel(now.run().jobId()), "now", json.text(answer(now, press)));
    }

    private Answer answer(RunNow standing, String press) {
        return answers.get(standing, s -> workedOut(s, press));
    }

    private Answer workedOut(RunNow standing, String press) {
        ChairView view = ChairView.of(standing, runs.now(standing.run()), trade);
        String said =
                said(Math.round((standing.schedule().ready() - standing.readyBefore()) / 60.0), view, standing.moves());
        return new Answer(view, said, press);
    }

    /** Tells every screen how it stands, though nothing was reported. */
    void again(long jobId) {
        runs.open(jobId).ifPresent(run -> {
            RunNow standing = standings.of(run);
            screens.tell(
                    channel(jobId), "now", json.text(new Answer(ChairView.of(standing, runs.now(run), trade), "", "")));
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
