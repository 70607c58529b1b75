package app.kemdro.core.plan;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Hands;
import app.kemdro.core.look.Brief.Performer;
import app.kemdro.core.look.Brief.Room;
import app.kemdro.core.look.Brief.Skill;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.Trade;
import app.kemdro.core.schedule.Planner;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Looks and briefs that several tests begin from; invented people. */
public final class Samples {
    public static final Trade TRADE = Trade.standard();
    public static final LookPlanner PLANNER = new LookPlanner(TRADE, Planner.trying(200));
    public static final LocalDateTime CALL = LocalDateTime.of(2026, 12, 3, 7, 45);

    private Samples() {}

    public static Hands lead(String name) {
        return new Hands(name, Skill.LEAD, CALL.minusHours(12), CALL.plusHours(12));
    }

    public static Hands assistant(String name) {
        return new Hands(name, Skill.ASSISTANT, CALL.minusHours(12), CALL.plusHours(12));
    }

    public static Brief brief(Hands... crew) {
        return new Brief(
                CALL,
                Optional.empty(),
                new Performer("Tomas", 0, 0, 0, Set.of()),
                List.of(crew),
                new Room(22, 45, 1),
                Set.of("chest", "shoulder-left", "shoulder-right", "upper-back"),
                0,
                false);
    }

    public static Look look(LookEntry... entries) {
        return new Look(List.of(entries));
    }

    public static LookEntry entry(String technique, String... zones) {
        return new LookEntry(technique + "-" + String.join("-", zones), technique, List.of(zones), 0);
    }

    /** The full cap routine of the handbook, with its base colour, on a performer with hair. */
    public static Look fullCap() {
        return look(
                entry("hair-flat", "crown"),
                entry("cap-latex", "crown"),
                entry("edge-latex", "hairline"),
                entry("base-cream", "crown", "hairline", "back-of-head", "forehead", "temple-left", "temple-right"));
    }

    /** The bell-founder: cap, blocked brows, four crusts, patina, soot, neck and hands. */
    public static Look bellFounder() {
        List<LookEntry> entries = new ArrayList<>(List.of(
                entry("hair-flat", "crown"),
                entry("cap-latex", "crown"),
                entry("edge-latex", "hairline"),
                entry("brow-powder-last", "brow-left", "brow-right"),
                entry("foam-piece", "forehead"),
                entry("foam-piece", "cheek-left"),
                entry("foam-piece", "cheek-right"),
                entry("foam-piece", "nose"),
                new LookEntry("edges", "edge-latex", List.of("forehead", "cheek-left", "cheek-right", "nose"), 2),
                entry(
                        "castor-ground",
                        "crown",
                        "hairline",
                        "back-of-head",
                        "forehead",
                        "cheek-left",
                        "cheek-right",
                        "nose"),
                entry(
                        "base-cream",
                        "temple-left",
                        "temple-right",
                        "upper-lip",
                        "mouth",
                        "chin",
                        "jaw-left",
                        "jaw-right"),
                entry("shade-highlight", "forehead", "cheek-left", "cheek-right", "nose", "chin"),
                entry("eye-soot", "eye-left", "eye-right"),
                entry("spatter", "crown", "forehead", "cheek-left", "cheek-right"),
                entry("finish-skin", "ear-left", "ear-right", "throat", "nape"),
                entry("finish-skin", "hand-left", "hand-right")));
        return new Look(entries);
    }

    /** The plan, or a failure that lists what stands in the way. */
    public static Plan planned(Look look, Brief brief) {
        Planning planning = PLANNER.plan(look, brief);
        if (planning instanceof Planning.Refused refused) {
            throw new AssertionError(refused.problems().toString());
        }
        return ((Planning.Done) planning).plan();
    }
}
