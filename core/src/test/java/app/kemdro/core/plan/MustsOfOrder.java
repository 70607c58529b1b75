package app.kemdro.core.plan;

import app.kemdro.core.body.Body;
import app.kemdro.core.material.Material;
import app.kemdro.core.method.Trade;
import app.kemdro.core.schedule.ScheduledTask;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.BiPredicate;
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
    private static final Set<String> FACE = Set.of("face");
    private static final BiPredicate<PlannedStep, PlannedStep> ANYWHERE = (a, b) -> true;
    private static final Set<String> LAST =
            Set.of("gloss", "blood", "loose", "prop", "spray", "teeth", "nails", "lens-late", "wig", "worn");

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
        Predicate<PlannedStep> glue = s -> kind(s, "adhesive");
        Predicate<PlannedStep> latex = s -> kind(s, "latex");
        Predicate<PlannedStep> guards = s -> s.technique().gives().contains("hair-guarded")
                || s.technique().gives().contains("brow-blocked");
        Predicate<PlannedStep> form = slot(FORMS);
        Predicate<PlannedStep> colour = slot(COLOUR);
        before("O1", slot("prepare").and(on(HEAD)), glue.and(on(HEAD)), ANYWHERE);
        before(
                "O2",
                slot("hair"),
                slot("cap", "wig", "piece", "build", "rigid", "edge", "beard", "patch", "barrier")
                        .or(colour),
                this::touching);
        before(
                "O3",
                guards,
                glue.or(latex).and(slot("brow", "barrier", "hair", "cap").negate()),
                this::touching);
        before("O4", slot("cap"), form, this::touching);
        before("O5", slot("brow"), form.or(colour), this::touching);
        before("O7", slot("under-colour"), slot("piece"), this::touching);
        before("O9", form, slot("base"), MustsOfOrder::shared);
        before("O10", slot("edge"), slot("base", "shade", "wash", "mottle"), this::touching);
        Predicate<PlannedStep> face = on(FACE);
        before("O12", slot("hair-colour"), slot("lens", "lens-mid", "lens-late", "lashes"), ANYWHERE);
        if (way("hair-spray", "late")) {
            before(
                    "O12 late",
                    slot("base", "shade", "lids", "lips").and(on(Set.of("face", "neck", "chest", "arms"))),
                    slot("hair-colour"),
                    ANYWHERE);
        } else {
            before("O12 early", slot("hair-colour"), slot("lids", "lids-early"), ANYWHERE);
        }
        if (way("brows", "before")) {
            before("O5 before the cap", slot("brow"), slot("cap"), ANYWHERE);
        }
        if (way("brows", "after")) {
            before("O5 after the cap", slot("cap"), slot("brow"), ANYWHERE);
        }
        before(
                "O16",
                slot("base").and(on(Set.of("face", "neck"))),
                slot("texture").and(on(FACE)),
                ANYWHERE);
        before("O16b", slot("texture").and(on(FACE)), slot("lens-late", "lashes", "gloss", "blood"), ANYWHERE);
        before(
                "O17",
                slot("base", "shade", "mottle", "wash", "line", "ground", "underpaint", "correct")
                        .and(on(FACE)),
                slot("lids"),
                ANYWHERE);
        before(
                "T7",
                slot("picture", "shade", "line", "fine"),
                s -> s.technique().id().startsWith("vanish-backdrop"),
                (a, b) -> touching(a, b) && entry(a).noneMatch(z -> entry(b).anyMatch(z::equals)));
        before("O18", slot("base").and(on(FACE)), slot("lips"), ANYWHERE);
        before("O19", slot("lens", "lens-mid", "lens-late"), slot("lashes", "nails"), ANYWHERE);
        before("O19 first", slot("lens"), slot("base", "lids", "lids-early").and(face), ANYWHERE);
        before("O19 after base", slot("base").and(face), slot("lens-mid"), ANYWHERE);
        before("O19 before eyes", slot("lens-mid"), slot("lids", "lids-early"), ANYWHERE);
        before("O20", slot("lids", "lids-early"), slot("lashes"), ANYWHERE);
        before("O23", slot("costume"), slot("teeth", "nails"), ANYWHERE);
        before("O24", slot("teeth"), slot("blood").and(s -> onAny(s, "mouth")), ANYWHERE);
        before("O25", slot("nails"), colour.and(s -> onlyOn(s, "hands")), ANYWHERE);
        before(
                "O26",
                on(Set.of("head", "face"))
                        .and(slot(LAST).or(slot("check", "costume")).negate()),
                slot("costume"),
                ANYWHERE);
        Set<String> skin = Set.of("neck", "chest", "body", "arms", "legs");
        Predicate<PlannedStep> covered = s -> entry(s).anyMatch(plan.brief().costumeCovers()::contains);
        Predicate<PlannedStep> wholly =
                s -> entry(s).allMatch(z -> skin.contains(body.zone(z).region()));
        if (way("costume", "border")) {
            Set<String> creamsAndPowders = new HashSet<>(COLOUR);
            creamsAndPowders.removeAll(Set.of("lips", "new-brow", "lids-early", "lids", "reinforce"));
            before(
                    "O26 border",
                    slot("costume"),
                    slot(creamsAndPowders).and(wholly).and(covered.negate()),
                    ANYWHERE);
            before("O26 covered", slot("base", "shade").and(on(skin)).and(covered), slot("costume"), ANYWHERE);
            before("O26 forms", form.and(on(skin)), slot("costume"), ANYWHERE);
        } else {
            before("O26 skin", colour.and(on(skin)), slot("costume"), ANYWHERE);
        }
        before("O27", slot("wig", "spray", "hair-colour"), slot("gloss", "blood", "loose"), ANYWHERE);
        before(
                "T10",
                slot("base", "shade").and(on(FACE)),
                s -> s.technique().id().equals("hair-dust-water"),
                ANYWHERE);
        before(
                "O27 hat",
                slot("wig", "spray", "hair-colour", "base", "shade", "line", "fine", "texture", "lids")
                        .and(on(Set.of("head", "face"))),
                slot("worn"),
                ANYWHERE);
        fineHair(glue.or(latex));
        before("O28", slot("check").negate(), slot("check"), ANYWHERE);
    }

    /** [T20] Hair at the hairline, temples and nape beside glue or latex lies under something, or was guarded before. */
    private void fineHair(Predicate<PlannedStep> sticks) {
        if (plan.brief().performer().hair() == app.kemdro.core.look.Brief.Hair.NONE) {
            return;
        }
        boolean cap = plan.steps().stream().anyMatch(slot("cap"));
        for (String zone : List.of("hairline", "temple-left", "temple-right", "nape")) {
            Set<String> near = new HashSet<>(body.zone(zone).neighbours());
            near.add(zone);
            plan.steps().stream()
                    .filter(sticks.and(s -> s.zones().stream().anyMatch(near::contains)))
                    .filter(slot("piece", "build", "rigid", "edge", "beard", "patch"))
                    .mapToInt(s -> plan.schedule().of(s.id()).start())
                    .min()
                    .ifPresent(first -> {
                        boolean guarded = plan.steps().stream()
                                .filter(s -> s.zones().contains(zone))
                                .filter(s -> s.technique().gives().contains("hair-guarded"))
                                .anyMatch(s -> plan.schedule().of(s.id()).end() <= first);
                        if (!cap && !guarded) {
                            broken.add("T20: glue comes near the hair of " + zone);
                        }
                    });
        }
    }

    private boolean way(String school, String way) {
        return way.equals(plan.brief().allowed().schools().get(school));
    }

    /** Zones of all steps of the same part of an entry: face, neck, chest and limbs are parts of their own. */
    private Stream<String> entry(PlannedStep s) {
        return plan.steps().stream().filter(o -> part(o).equals(part(s))).flatMap(MustsOfOrder::zones);
    }

    private static String part(PlannedStep s) {
        return s.id().substring(0, s.id().indexOf('/'));
    }

    private static Predicate<PlannedStep> slot(String... slots) {
        return slot(Set.of(slots));
    }

    private static Predicate<PlannedStep> slot(Set<String> slots) {
        return s -> slots.contains(s.technique().slot());
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

    private void before(
            String must,
            Predicate<PlannedStep> first,
            Predicate<PlannedStep> second,
            BiPredicate<PlannedStep, PlannedStep> near) {
        Set<String> said = new HashSet<>();
        for (PlannedStep a : plan.steps()) {
            for (PlannedStep b : plan.steps()) {
                if (a.entryId().equals(b.entryId()) || !first.test(a) || !second.test(b) || !near.test(a, b)) {
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
