package app.kemdro.core.plan;

import app.kemdro.core.body.Body;
import app.kemdro.core.material.Material;
import app.kemdro.core.method.Trade;
import app.kemdro.core.schedule.ScheduledTask;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;

/**
 * Reads a finished order as an artist would, by the slots, materials and zones of its techniques alone: nothing of rules.yaml, of
 * needs or of lags is asked. Common practice throughout; the numbers are those of the handbook's list of musts.
 */
final class MustsOfOrder {
    private static final Set<String> HEAD = Set.of("head", "face", "neck");
    private static final Set<String> COLOUR = Set.of(
            "ground",
            "underpaint",
            "correct",
            "base",
            "mottle",
            "wash",
            "shade",
            "dry-brush",
            "lids-early",
            "lips",
            "new-brow",
            "line",
            "set",
            "tint",
            "fine",
            "texture",
            "lids",
            "reinforce");
    private static final Set<String> FORMS = Set.of("piece", "build", "rigid", "patch", "edge", "beard");
    private static final Set<String> NOTHING_BITTEN = Set.of("teeth", "nails");
    private static final Set<String> LAST =
            Set.of("gloss", "blood", "loose", "prop", "spray", "teeth", "nails", "lens-late", "wig");

    private final Trade trade;
    private final Body body;
    private final Plan plan;
    private final List<String> broken = new ArrayList<>();

    private MustsOfOrder(Trade trade, Plan plan) {
        this.trade = trade;
        this.body = trade.body();
        this.plan = plan;
    }

    /** What is broken, in words with the number of the must. */
    static List<String> broken(Trade trade, Plan plan) {
        MustsOfOrder musts = new MustsOfOrder(trade, plan);
        musts.read();
        return musts.broken;
    }

    private void read() {
        before("O1", slot("prepare").and(on(HEAD)), s -> isGlue(s) && on(HEAD).test(s), false);
        before(
                "O2",
                slot("hair"),
                s -> Set.of("cap", "wig", "piece", "build", "rigid", "edge", "beard", "patch", "barrier")
                                .contains(s.technique().slot())
                        || COLOUR.contains(s.technique().slot()),
                true);
        before(
                "O3",
                s -> s.technique().gives().contains("hair-guarded")
                        || s.technique().gives().contains("brow-blocked"),
                s -> (isGlue(s) || isLatex(s))
                        && !Set.of("brow", "barrier", "hair", "cap")
                                .contains(s.technique().slot()),
                true);
        before("O4", slot("cap"), s -> FORMS.contains(s.technique().slot()), true);
        before(
                "O5",
                slot("brow"),
                s -> FORMS.contains(s.technique().slot())
                        || COLOUR.contains(s.technique().slot()),
                true);
        before("O7", slot("under-colour"), slot("piece"), true);
        before("O9", s -> FORMS.contains(s.technique().slot()), slot("base"), false, true);
        before(
                "O10",
                slot("edge"),
                s -> Set.of("base", "shade", "wash", "mottle")
                        .contains(s.technique().slot()),
                true);
        before(
                "O12",
                s -> s.technique().slot().equals("hair-colour"),
                s -> Set.of("lids", "lids-early", "lens", "lens-late", "lashes")
                        .contains(s.technique().slot()),
                false);
        before(
                "O16",
                slot("base").and(on(Set.of("face", "neck"))),
                slot("texture").and(on(Set.of("face"))),
                false);
        before(
                "O16b",
                s -> slot("texture").test(s) && on(Set.of("face")).test(s),
                s -> Set.of("lens-late", "lashes", "gloss", "blood")
                        .contains(s.technique().slot()),
                false);
        before(
                "O17",
                s -> Set.of("base", "shade", "mottle", "wash", "line", "ground", "underpaint", "correct")
                                .contains(s.technique().slot())
                        && on(Set.of("face")).test(s),
                slot("lids"),
                false);
        before("O18", slot("base").and(on(Set.of("face"))), slot("lips"), false);
        before(
                "O19",
                s -> Set.of("lens", "lens-late").contains(s.technique().slot()),
                slot("lashes").or(slot("nails")),
                false);
        before("O20", s -> Set.of("lids", "lids-early").contains(s.technique().slot()), slot("lashes"), false);
        before(
                "O23",
                slot("costume"),
                s -> NOTHING_BITTEN.contains(s.technique().slot()),
                false);
        before("O24", slot("teeth"), s -> slot("blood").test(s) && onAny(s, "mouth"), false);
        before("O25", slot("nails"), s -> COLOUR.contains(s.technique().slot()) && onlyOn(s, "hands"), false);
        before(
                "O26",
                s -> on(Set.of("head", "face")).test(s)
                        && !LAST.contains(s.technique().slot())
                        && !Set.of("check", "costume").contains(s.technique().slot()),
                slot("costume"),
                false);
        before(
                "O27",
                slot("wig").or(slot("spray")).or(slot("hair-colour")),
                s -> Set.of("gloss", "blood", "loose").contains(s.technique().slot()),
                false);
        before("O28", s -> !slot("check").test(s), slot("check"), false);
    }

    private static Predicate<PlannedStep> slot(String slot) {
        return s -> s.technique().slot().equals(slot);
    }

    private Predicate<PlannedStep> on(Set<String> regions) {
        return s -> zones(s).anyMatch(z -> regions.contains(body.zone(z).region()));
    }

    private boolean onAny(PlannedStep s, String zone) {
        return zones(s).anyMatch(zone::equals);
    }

    private boolean onlyOn(PlannedStep s, String region) {
        return zones(s).findAny().isPresent()
                && zones(s).allMatch(z -> body.zone(z).region().equals(region));
    }

    private static Stream<String> zones(PlannedStep s) {
        return Stream.of(s.zones(), s.formZones()).flatMap(Collection::stream);
    }

    private static boolean isGlue(PlannedStep s) {
        return kind(s, "adhesive");
    }

    private static boolean isLatex(PlannedStep s) {
        return kind(s, "latex");
    }

    private static boolean kind(PlannedStep s, String kind) {
        return s.material().map(Material::kind).filter(kind::equals).isPresent();
    }

    private boolean touching(PlannedStep a, PlannedStep b) {
        return zones(a).anyMatch(x -> zones(b).anyMatch(y -> x.equals(y)
                || body.zone(x).neighbours().contains(y)
                || body.zone(y).neighbours().contains(x)));
    }

    private static boolean shared(PlannedStep a, PlannedStep b) {
        return zones(a).anyMatch(x -> zones(b).anyMatch(x::equals));
    }

    private void before(String must, Predicate<PlannedStep> first, Predicate<PlannedStep> second, boolean touching) {
        before(must, first, second, touching, false);
    }

    private void before(
            String must,
            Predicate<PlannedStep> first,
            Predicate<PlannedStep> second,
            boolean touching,
            boolean sameZone) {
        Set<String> said = new java.util.HashSet<>();
        for (PlannedStep a : plan.steps()) {
            for (PlannedStep b : plan.steps()) {
                if (a.entryId().equals(b.entryId())
                        || !first.test(a)
                        || !second.test(b)
                        || touching && !touching(a, b)
                        || sameZone && !shared(a, b)) {
                    continue;
                }
                ScheduledTask pa = plan.schedule().of(a.id());
                ScheduledTask pb = plan.schedule().of(b.id());
                if (pb.start() < pa.end() && said.add(a.entryId() + b.entryId())) {
                    broken.add("%s: %s (%s) ends %d min after %s (%s) begins"
                            .formatted(
                                    must,
                                    a.titleWithPlace(),
                                    a.technique().id(),
                                    (pa.end() - pb.start()) / 60,
                                    b.titleWithPlace(),
                                    b.technique().id()));
                }
            }
        }
    }
}
