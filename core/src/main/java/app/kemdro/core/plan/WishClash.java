package app.kemdro.core.plan;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.Wish;
import app.kemdro.core.method.Trade;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Which wishes stand in each other's way where a look can be planned without them. */
final class WishClash {
    private final Trade trade;
    private final Drafts drafts;

    WishClash(Trade trade, Drafts drafts) {
        this.trade = trade;
        this.drafts = drafts;
    }

    /**
     * The refusal that names the wishes which cannot all be kept; the one before where that has nothing to do with wishes.
     *
     * @param asWished plans a look with the wishes it has
     */
    Planning named(Planning.Refused refused, Look look, Brief brief, Function<Look, Planning> asWished) {
        return look.wishes().isEmpty()
                ? refused
                : clash(look, asWished)
                        .map(w -> clashing(w, look, brief, asWished))
                        .orElse(refused);
    }

    /**
     * The smallest set of wishes that cannot all be kept: each is left out in turn, and stays out where the rest still
     * cannot be kept without it.
     *
     * @return empty where it cannot be planned without any wish either
     */
    private static Optional<List<Wish>> clash(Look look, Function<Look, Planning> asWished) {
        if (!(asWished.apply(look.wishing(List.of())) instanceof Planning.Done)) {
            return Optional.empty();
        }
        List<Wish> clash = new ArrayList<>(look.wishes());
        for (Wish wish : look.wishes()) {
            List<Wish> without = clash.stream().filter(w -> !w.equals(wish)).toList();
            if (asWished.apply(look.wishing(without)) instanceof Planning.Refused) {
                clash.remove(wish);
            }
        }
        return Optional.of(clash);
    }

    private Planning clashing(List<Wish> clash, Look look, Brief brief, Function<Look, Planning> asWished) {
        Draft free = drafts.of(look.wishing(List.of()), brief);
        List<PlannedStep> steps = free.planned();
        String said = clash.stream()
                .map(w -> Wishes.say(w, look, steps, brief, trade))
                .collect(Collectors.joining("; "));
        String why = asWished.apply(look.wishing(clash)) instanceof Planning.Refused r
                ? " " + r.problems().get(0).what()
                : "";
        Problem problem = clash.size() == 1
                ? Problem.stop(
                        "This wish cannot be kept: " + said + "." + why,
                        "Drop it, or wish for another time or other hands.")
                : Problem.stop(
                        "These wishes cannot all be kept: " + said + "." + why, "Drop one of them; any one will do.");
        return new Planning.Refused(List.of(problem), clash);
    }
}
