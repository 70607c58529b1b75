package app.kemdro.core.safety;

import app.kemdro.core.datafile.DataNode;
import app.kemdro.core.material.Material;
import app.kemdro.core.safety.HealthRecord.PatchTest;
import app.kemdro.core.safety.HealthRecord.Result;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;

/** Patch tests: of everything that is patch-tested and comes near, one that is clear and old enough. */
final class PatchTests implements SafetyRule {
    private final Set<String> kinds;
    private final int hours;
    private final int better;

    PatchTests(DataNode rules) {
        DataNode test = rules.get("patch-test");
        this.kinds = Set.copyOf(test.words("kinds"));
        this.hours = (int) test.get("hours").number(1, 240);
        this.better = (int) test.get("better").number(1, 240);
    }

    /** Whether such a family is patch-tested. */
    boolean tests(Material material) {
        return kinds.contains(material.kind());
    }

    @Override
    public List<Finding> findings(SafetyCase of) {
        return needed(of).flatMap(m -> finding(m, of).stream()).toList();
    }

    /** What comes near and is patch-tested; what costs nothing is found everywhere, as warm water is. */
    Stream<Material> needed(SafetyCase of) {
        return of.used().stream().filter(m -> tests(m) && m.pricePer100g() > 0);
    }

    private Optional<Finding> finding(Material material, SafetyCase of) {
        List<PatchTest> tests = of.care().tests().stream()
                .filter(t -> t.family().equals(material.id()))
                .toList();
        List<PatchTest> clear =
                tests.stream().filter(t -> t.result() == Result.CLEAR).toList();
        LocalDateTime latest = of.plan().chairIn().minusHours(hours);
        Predicate<PatchTest> inTime = t -> !t.put().isAfter(latest);
        String name = material.name();
        String key = Safety.PATCH + material.id();
        if (tests.stream().anyMatch(t -> t.result() == Result.REACTED)) {
            return Optional.of(Finding.block(
                    key,
                    "Skin reacted to the patch test of " + name + ".",
                    "Choose another family: Kit, do without.",
                    false));
        }
        if (clear.stream().anyMatch(inTime)) {
            return Optional.empty();
        }
        if (tests.isEmpty()) {
            return Optional.of(Finding.warn(
                    key,
                    "No patch test of " + name + ".",
                    of.now().isAfter(latest)
                            ? "It is too late for " + hours
                                    + " hours before the chair: use what was tested before, or move the chair."
                            : "Put one on by " + Finding.moment(latest) + ", better a day sooner."));
        }
        if (clear.isEmpty() && tests.stream().anyMatch(inTime)) {
            return Optional.of(Finding.warn(
                    key,
                    "The patch test of " + name + " has not been read yet.",
                    "Look at it after " + hours + " and " + better + " hours and write down what you see."));
        }
        return Optional.of(Finding.warn(
                key,
                "The patch test of " + name + " is too fresh: less than " + hours + " hours before the chair.",
                "Skin may still react; look again before it goes on, or move the chair."));
    }
}
