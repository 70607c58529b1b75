package app.kemdro.core.plan;

import app.kemdro.core.body.Body;
import app.kemdro.core.body.Capitals;
import app.kemdro.core.method.Strata;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Composition.Entry;
import java.util.ArrayList;
import java.util.List;

/** What may lie on one zone at once: one technique of a kind, or several side by side on fields of their own. */
final class Beside {
    private static final int WHOLE = 100;

    private final Body body;
    private final Strata strata;

    Beside(Trade trade) {
        this.body = trade.body();
        this.strata = trade.strata();
    }

    /** Whether both take a share of the same zones, side by side: two fields of one kind of work. */
    static boolean are(Entry a, Entry b, Strata strata) {
        return a != b
                && a.technique().slot().equals(b.technique().slot())
                && !strata.level(a.technique().slot()).many()
                && a.asked().coverage() + b.asked().coverage() <= WHOLE
                && a.zones().stream().anyMatch(b.zones()::contains)
                && a.addition().equals(b.addition())
                && !a.isOver(b)
                && !b.isOver(a);
    }

    /** What cannot lie on one zone together; where nothing excludes another, what is more than there is. */
    List<Problem> problems(List<Entry> entries) {
        List<Problem> problems = new ArrayList<>();
        for (int i = 0; i < entries.size(); i++) {
            for (int j = i + 1; j < entries.size(); j++) {
                exclusion(entries.get(i), entries.get(j), problems);
            }
        }
        if (problems.isEmpty()) {
            noMoreThanAll(entries, problems);
        }
        return problems;
    }

    /** Two techniques of one kind, or two schools of one thing, cannot both lie on a zone. */
    private void exclusion(Entry a, Entry b, List<Problem> problems) {
        List<String> both = a.zones().stream().filter(b.zones()::contains).toList();
        if (!both.isEmpty() && excludes(a, b)) {
            String has = body.say(both) + (both.size() > 1 ? " have " : " has ");
            String what = a.technique().id().equals(b.technique().id())
                    ? has + "\"" + a.technique().name() + "\" twice."
                    : has + "both \"" + a.technique().name() + "\" and \""
                            + b.technique().name() + "\": one excludes the other.";
            problems.add(Problem.stop(Capitals.capital(what), "Take one of them off.", both, List.of(a.id(), b.id())));
        }
    }

    private boolean excludes(Entry a, Entry b) {
        // what comes in later lies over what is there
        if (!a.addition().equals(b.addition())) {
            return false;
        }
        if (a.technique().between() || b.technique().between() || a.isOver(b) || b.isOver(a) || are(a, b, strata)) {
            return false;
        }
        boolean many = strata.level(a.technique().slot()).many()
                && strata.level(b.technique().slot()).many();
        return a.technique().slot().equals(b.technique().slot())
                        && !(many && !a.technique().equals(b.technique()))
                || a.technique().family().equals(b.technique().family()) && !many;
    }

    /** Fields that lie side by side take no more of a zone than there is. */
    private void noMoreThanAll(List<Entry> entries, List<Problem> problems) {
        for (Entry entry : entries) {
            List<Entry> fields =
                    entries.stream().filter(e -> are(entry, e, strata)).toList();
            for (String zone : entry.zones()) {
                List<Entry> here =
                        fields.stream().filter(e -> e.zones().contains(zone)).toList();
                int taken = entry.asked().coverage()
                        + here.stream().mapToInt(e -> e.asked().coverage()).sum();
                if (taken > WHOLE && problems.isEmpty()) {
                    List<String> ids = new ArrayList<>(List.of(entry.id()));
                    here.forEach(e -> ids.add(e.id()));
                    problems.add(Problem.stop(
                            "%s: its fields side by side take %d %% of it."
                                    .formatted(Capitals.capital(body.say(List.of(zone))), taken),
                            "Make one of them smaller, or take one off.",
                            List.of(zone),
                            ids));
                }
            }
        }
    }
}
