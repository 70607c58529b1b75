package app.kemdro.core.safety;

import app.kemdro.core.look.Look;
import app.kemdro.core.material.Material;
import app.kemdro.core.method.Trade;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.strike.Removal;
import java.time.LocalDateTime;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * What rules of safety look at.
 *
 * @param agreed ids of what the performer has agreed to
 * @param used materials that come near the performer: laid, set, inside what is made for them, and what takes it off
 */
record SafetyCase(
        Plan plan,
        Look look,
        Removal removal,
        HealthRecord care,
        Set<String> agreed,
        LocalDateTime now,
        Collection<Material> used) {
    static SafetyCase of(
            Trade trade,
            Plan plan,
            Look look,
            Removal removal,
            HealthRecord care,
            Set<String> agreed,
            LocalDateTime now) {
        return new SafetyCase(
                plan,
                look,
                removal,
                care,
                agreed,
                now,
                used(trade, plan, removal).values());
    }

    private static Map<String, Material> used(Trade trade, Plan plan, Removal removal) {
        Map<String, Material> used = new LinkedHashMap<>();
        for (PlannedStep step : plan.steps()) {
            Stream.of(step.material(), step.form()).flatMap(Optional::stream).forEach(m -> used.put(m.id(), m));
            step.technique().make().bench().stream()
                    .flatMap(b -> Stream.ofNullable(b.material()))
                    .map(trade.materials()::family)
                    .filter(m -> !m.places().isEmpty())
                    .forEach(m -> used.put(m.id(), m));
        }
        removal.steps().stream().flatMap(s -> s.remover().stream()).forEach(m -> used.put(m.id(), m));
        return used;
    }
}
