package app.kemdro.web.rooms.look;

import app.kemdro.core.body.Capitals;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.Trade;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Says what taking back the last change of a look would do. */
final class TakeBack {
    private static final int MOST = 2;

    private TakeBack() {}

    /** "Take back: barrier lotion, chin" where that was laid; "Bring back: …" where it was taken off; "As before: …" where it is done otherwise. */
    static String says(Look now, Look before, Trade trade) {
        List<String> laid = new ArrayList<>();
        List<String> gone = new ArrayList<>();
        List<String> other = new ArrayList<>();
        for (LookEntry e : now.entries()) {
            Optional<LookEntry> was = before.entry(e.id());
            if (was.isEmpty()) {
                laid.add(said(e, trade));
            } else if (!was.get().equals(e)) {
                other.add(said(was.get(), trade));
            }
        }
        before.entries().stream().filter(e -> now.entry(e.id()).isEmpty()).forEach(e -> gone.add(said(e, trade)));
        List<String> parts = new ArrayList<>();
        part(parts, "take back ", laid);
        part(parts, "bring back ", gone);
        part(parts, "as before: ", other);
        return parts.isEmpty() ? "Take the last change back" : Capitals.capital(String.join("; ", parts));
    }

    private static void part(List<String> parts, String what, List<String> entries) {
        if (!entries.isEmpty()) {
            int more = entries.size() - MOST;
            parts.add(what
                    + String.join(" and ", entries.subList(0, Math.min(MOST, entries.size())))
                    + (more > 0 ? " and " + more + " more" : ""));
        }
    }

    private static String said(LookEntry e, Trade trade) {
        String name =
                trade.has(e.techniqueId()) ? trade.technique(e.techniqueId()).name() : e.techniqueId();
        return "“" + name + "”, " + trade.body().say(e.zones());
    }
}
