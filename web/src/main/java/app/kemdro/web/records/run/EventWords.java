package app.kemdro.web.records.run;

import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.run.RunEvent;
import java.util.HashMap;
import java.util.Map;
import java.util.function.BiFunction;
import org.springframework.stereotype.Component;

/** What happened, in words. */
@Component
public class EventWords {
    /** By kind, from an event and the step it is about in words. */
    private final Map<Class<? extends RunEvent>, BiFunction<RunEvent, String, String>> words = new HashMap<>();

    EventWords(Trade trade) {
        say(RunEvent.Begin.class, (e, step) -> "Sat down");
        say(RunEvent.Start.class, (e, step) -> "Begun: " + step);
        say(RunEvent.Finish.class, (e, step) -> "Done: " + step);
        say(RunEvent.Clear.class, (e, step) -> "Clear: " + step);
        say(RunEvent.NotYet.class, (e, step) -> "Not yet clear: " + step);
        say(RunEvent.Skip.class, (e, step) -> "Left out: " + step + (e.text().isEmpty() ? "" : ", " + e.text()));
        say(RunEvent.Add.class, (e, step) -> "More time for " + step);
        say(RunEvent.Break.class, (e, step) -> "A break began");
        say(RunEvent.Back.class, (e, step) -> "Back to work");
        say(RunEvent.Note.class, (e, step) -> e.text());
        say(RunEvent.Undo.class, (e, step) -> "Taken back");
        say(RunEvent.Dryer.class, (e, step) -> "The dryer: " + step);
        say(RunEvent.Redo.class, (e, step) -> "Once more: " + step);
        say(RunEvent.Trouble.class, (e, step) -> trade.repair(e.repair()).says() + ": " + step);
        say(RunEvent.School.class, (e, step) -> "A lever was pulled");
        say(RunEvent.Coats.class, (e, step) -> "A lever was pulled");
        say(RunEvent.Drop.class, (e, step) -> "A lever was pulled");
        say(
                RunEvent.Addition.class,
                (e, step) -> "Put on more: "
                        + (trade.has(e.technique())
                                ? trade.technique(e.technique()).name()
                                : "something") + ", "
                        + trade.body().say(trade.body().sorted(e.zones())));
        say(
                RunEvent.Strength.class,
                (e, step) -> "Something is done "
                        + switch (e.strength()) {
                            case LIGHT -> "more lightly";
                            case USUAL -> "as usual";
                            case HEAVY -> "more strongly";
                        });
        say(RunEvent.Join.class, (e, step) -> e.hands() + " joined");
        say(RunEvent.Leave.class, (e, step) -> e.hands() + " left");
        say(RunEvent.Room.class, (e, step) -> "The room changed");
        say(RunEvent.Away.class, (e, step) -> "The performer was called away");
        say(RunEvent.Reaction.class, (e, step) -> "Skin reacted: " + e.text());
        say(RunEvent.Used.class, (e, step) -> "Used: " + e.text());
        say(RunEvent.Drive.class, (e, step) -> "Another screen took over " + e.hands());
        say(RunEvent.Picture.class, (e, step) -> "A picture was taken");
        say(RunEvent.End.class, (e, step) -> "The day ended");
    }

    private <E extends RunEvent> void say(Class<E> kind, BiFunction<E, String, String> says) {
        words.put(kind, (e, step) -> says.apply(kind.cast(e), step));
    }

    /** Whether there are words for this. */
    boolean areThere(RunEvent e) {
        return words.containsKey(e.getClass());
    }

    /** What happened; the step it is about as this plan calls it. */
    public String of(RunEvent e, Plan plan) {
        String step = e instanceof RunEvent.AtStep at
                ? plan.steps().stream()
                        .filter(s -> s.id().equals(at.step()))
                        .findFirst()
                        .map(PlannedStep::titleWithPlace)
                        .orElse("")
                : "";
        return words.getOrDefault(e.getClass(), (x, s) -> "Something else happened")
                .apply(e, step);
    }
}
