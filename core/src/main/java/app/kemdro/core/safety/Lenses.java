package app.kemdro.core.safety;

import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.method.Role;
import app.kemdro.core.plan.Plan;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;

/** For how long lenses are worn. */
final class Lenses implements SafetyRule {
    private final DataNode rules;

    Lenses(DataNode rules) {
        this.rules = rules;
    }

    @Override
    public List<Finding> findings(SafetyCase of) {
        List<Finding> all = new ArrayList<>();
        Plan plan = of.plan();
        HealthRecord care = of.care();
        plan.steps().stream()
                .filter(s -> s.technique().is(Role.IN_THE_EYE))
                .findFirst()
                .ifPresent(s -> {
                    int limit = care.lensHours() > 0
                            ? care.lensHours()
                            : (int) rules.get("lens-hours").number(1, 24);
                    LocalDateTime in = plan.clock(plan.schedule().of(s.id()).start());
                    LocalDateTime out =
                            plan.brief().call().plusHours(plan.brief().purpose().lastsHours());
                    long worn = Duration.between(in, out).toMinutes();
                    if (care.lensHours() == 0) {
                        all.add(Finding.warn(
                                "lens fitted",
                                "Nobody has said for how long these lenses were fitted.",
                                "Ask whoever fitted them and write it down; own pair, prescribed."));
                    }
                    if (worn > limit * 60L) {
                        all.add(Finding.warn(
                                "lens hours",
                                "Lenses would be worn for %.1f hours; %d is the most.".formatted(worn / 60.0, limit),
                                "Put them in later, take them out between, or shorten the day."));
                    }
                });
        return all;
    }
}
