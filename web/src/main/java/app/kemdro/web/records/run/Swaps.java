package app.kemdro.web.records.run;

import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.plan.Reactions;
import app.kemdro.core.run.Chair;
import app.kemdro.core.run.RunLevers;
import app.kemdro.core.run.StepState.Status;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.plan.Plans;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** When a product is missing: other schools for what has not begun, each planned again and its layers looked at. */
@Component
public class Swaps {
    private final Trade trade;
    private final Plans plans;

    Swaps(Trade trade, Plans plans) {
        this.trade = trade;
        this.plans = plans;
    }

    /** Another way of doing something, what it does to the minutes, and what would not hold with it. */
    record School(String id, String name, String minutes, String verdict) {}

    /** What could be done another way. */
    public record Swap(String entry, String title, String where, List<School> schools) {}

    public List<Swap> of(RunNow s, LocalDateTime now) {
        List<Swap> swaps = new ArrayList<>();
        for (LookEntry entry : s.changes().look().entries()) {
            boolean begun = s.plan().steps().stream()
                    .filter(step -> step.entryId().equals(entry.id()))
                    .anyMatch(step -> s.state().step(step.id()).status() != Status.WAITING);
            if (begun) {
                continue;
            }
            Technique technique = trade.technique(entry.techniqueId());
            List<School> schools = trade.schoolsBeside(technique, entry.zones()).stream()
                    .filter(t -> Reactions.barring(
                                    t,
                                    entry.zones(),
                                    s.plan().brief().performer().reactsTo(),
                                    trade)
                            .isEmpty())
                    .map(t -> school(t, entry, s, now))
                    .flatMap(Optional::stream)
                    .toList();
            if (!schools.isEmpty()) {
                swaps.add(new Swap(entry.id(), technique.name(), trade.body().say(entry.zones()), schools));
            }
        }
        return swaps;
    }

    private Optional<School> school(Technique t, LookEntry entry, RunNow s, LocalDateTime now) {
        Look other = s.changes().look().changing(entry.id(), e -> e.by(t.id()));
        Planning planning = plans.live()
                .underWay(
                        other,
                        s.changes().brief(),
                        s.plan().chairIn(),
                        s.changes().extras(),
                        s.schedule());
        if (!(planning instanceof Planning.Done done)
                || !RunLevers.keepsWhatHasBegun(done.plan(), s.plan(), s.state())
                || done.plan().troubles() > s.plan().troubles()) {
            return Optional.empty();
        }
        Chair.Again again = new Chair(done.plan(), s.state()).planAgain(plans.live(), s.schedule(), now);
        return again.trouble().isEmpty()
                ? Optional.of(new School(
                        t.id(),
                        t.name(),
                        Words.change(Math.round(
                                (again.schedule().ready() - s.schedule().ready()) / 60.0)),
                        ""))
                : Optional.empty();
    }
}
