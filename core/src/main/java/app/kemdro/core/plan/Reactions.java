package app.kemdro.core.plan;

import app.kemdro.core.body.Place;
import app.kemdro.core.material.Materials.Reaction;
import app.kemdro.core.method.StepTemplate;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Trade;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What a performer's reactions bar. */
public final class Reactions {
    private Reactions() {}

    /** Reactions of this performer that bar this technique on these zones, because one of its materials contains the cause. */
    public static List<Reaction> barring(
            Technique technique, Collection<String> zones, Set<String> reactsTo, Trade trade) {
        Set<Reaction> barring = new LinkedHashSet<>();
        for (StepTemplate step : technique.steps()) {
            Collection<String> on = step.zones().isEmpty() ? zones : step.zones();
            Set<Place> places = places(on, trade);
            Stream.of(step.material(), step.sets())
                    .filter(Objects::nonNull)
                    .flatMap(m -> trade.materials().family(m).contains().stream())
                    .filter(reactsTo::contains)
                    .map(trade.materials()::reaction)
                    .filter(r -> r.bars(places))
                    .forEach(barring::add);
        }
        // what is inside a piece touches skin as well
        technique.make().bench().stream()
                .flatMap(b -> Stream.ofNullable(b.material()))
                .flatMap(m -> trade.materials().family(m).contains().stream())
                .filter(reactsTo::contains)
                .map(trade.materials()::reaction)
                .filter(r -> r.bars(places(zones, trade)))
                .forEach(barring::add);
        return List.copyOf(barring);
    }

    private static Set<Place> places(Collection<String> zones, Trade trade) {
        return zones.stream().map(z -> trade.body().zone(z).place()).collect(Collectors.toSet());
    }
}
