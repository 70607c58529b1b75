package app.kemdro.web.records.sample;

import app.kemdro.core.body.Body;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Allowed;
import app.kemdro.core.look.Brief.Breaks;
import app.kemdro.core.look.Brief.Brows;
import app.kemdro.core.look.Brief.Hair;
import app.kemdro.core.look.Brief.Hands;
import app.kemdro.core.look.Brief.Performer;
import app.kemdro.core.look.Brief.Purpose;
import app.kemdro.core.look.Brief.Room;
import app.kemdro.core.look.Brief.Seen;
import app.kemdro.core.look.Brief.Skill;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.web.records.job.Job;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/** "Cold Casting": an invented production about a shut-down bell foundry, and jobs from it, not stored yet. */
public final class ColdCasting {
    private static final String PRODUCTION = "Cold Casting";

    private static final Set<String> COLLAR = Set.copyOf(Body.standard().named("dressed"));

    private ColdCasting() {}

    /** Orrin Vask: cap, blocked brows, four crusts, patina, soot, neck and hands. */
    public static Job founder(String title, LocalDateTime call) {
        Job job = new Job(
                title,
                PRODUCTION,
                "The bell-founder whom the metal never quite left: bronze crust over brow and cheek, green patina in the "
                        + "creases, soot around the eyes, dull cracked metal hands, no hair, no brows.",
                new Brief(
                                call,
                                Optional.of(call.minusMinutes(165)),
                                new Performer(
                                        "Tomas Brandvik", 183, 84, 57, Set.of("resin-gum"), Brows.THICK, Hair.SHORT),
                                List.of(hands("Ines", Skill.LEAD, call), hands("Pell", Skill.ASSISTANT, call)),
                                new Room(21, 45, 1),
                                COLLAR,
                                12,
                                false,
                                new Purpose(Seen.CLOSE_CAMERA, 9, Set.of("brow-left", "brow-right", "crown"), false, 5),
                                Breaks.USUAL)
                        .allowing(new Allowed(Set.of(), 2)));
        job.setLook(new Look(List.of(
                on("hair-1", "hair-flat", 0, "crown", "hairline", "back-of-head"),
                on("cap-1", "cap-latex", 0, "crown", "hairline", "back-of-head"),
                on("cap-edge", "edge-latex", 3, "hairline"),
                on("brows-1", "brow-powder-last", 3, "brow-left", "brow-right"),
                on("crust-brow", "foam-piece", 0, "forehead"),
                on("crust-left", "foam-piece", 0, "cheek-left"),
                on("crust-right", "foam-piece", 0, "cheek-right"),
                on("crust-nose", "foam-piece", 0, "nose"),
                on("crust-edges", "edge-latex", 2, "forehead", "cheek-left", "cheek-right", "nose"),
                on("bronze-cap", "castor-ground", 0, "crown", "hairline", "back-of-head"),
                on("bronze-face", "castor-ground", 0, "forehead", "cheek-left", "cheek-right", "nose"),
                on(
                        "base-face",
                        "base-cream",
                        0,
                        "temple-left",
                        "temple-right",
                        "brow-left",
                        "brow-right",
                        "upper-lip",
                        "mouth",
                        "chin",
                        "jaw-left",
                        "jaw-right"),
                on("patina", "shade-highlight", 0, "forehead", "cheek-left", "cheek-right", "nose", "chin"),
                on("soot", "eye-soot", 0, "eye-left", "eye-right"),
                on("spatter-1", "spatter", 0, "crown", "forehead", "cheek-left", "cheek-right"),
                on(
                        "neck",
                        "finish-skin",
                        0,
                        "ear-left",
                        "ear-right",
                        "behind-ear-left",
                        "behind-ear-right",
                        "throat",
                        "nape"),
                on("metal-hands", "finish-skin", 0, "hand-left", "hand-right"))));
        return job;
    }

    /** Sprue, the apprentice: one long piece down the left side of the face. */
    public static Job apprentice(LocalDateTime call) {
        Job job = new Job(
                "Sprue",
                PRODUCTION,
                "An apprentice with wax running from temple to collar.",
                new Brief(
                                call,
                                Optional.empty(),
                                new Performer("Marit Oyelaran", 171, 63, 55, Set.of()),
                                List.of(hands("Pell", Skill.LEAD, call)),
                                new Room(21, 45, 1),
                                COLLAR,
                                10,
                                false)
                        .allowing(bare("brow-left", "brow-right", "eye-left", "eye-right")));
        job.setLook(new Look(List.of(
                on("run-1", "foam-piece-one-side", 0, "temple-left", "cheek-left", "jaw-left"),
                on("run-edges", "edge-latex", 2, "temple-left", "cheek-left", "jaw-left"),
                on(
                        "base",
                        "base-cream",
                        0,
                        "forehead",
                        "temple-left",
                        "temple-right",
                        "nose",
                        "cheek-left",
                        "cheek-right",
                        "upper-lip",
                        "mouth",
                        "chin",
                        "jaw-left",
                        "jaw-right"),
                on("wax-light", "shade-highlight", 0, "temple-left", "cheek-left", "jaw-left"),
                on("neck", "finish-skin", 0, "throat"))));
        return job;
    }

    /** Own ears, nape and hands, and what more is named. */
    private static Allowed bare(String... more) {
        Set<String> zones = new TreeSet<>(List.of(more));
        zones.addAll(List.of(
                "ear-left", "ear-right", "behind-ear-left", "behind-ear-right", "nape", "hand-left", "hand-right"));
        return new Allowed(zones, 0);
    }

    /** The Night Shift: soot, quickly. */
    public static Job nightShift(LocalDateTime call) {
        Job job = new Job(
                "The Night Shift, first founder",
                PRODUCTION,
                "One of eleven soot-marked founders: the face they will all be matched to.",
                new Brief(
                                call,
                                Optional.empty(),
                                new Performer("First of eleven", 0, 0, 0, Set.of()),
                                List.of(hands("Ines", Skill.LEAD, call)),
                                new Room(21, 45, 1),
                                COLLAR,
                                0,
                                false)
                        .allowing(bare("brow-left", "brow-right", "upper-lip", "mouth")));
        job.setLook(new Look(List.of(
                on(
                        "soot",
                        "base-water",
                        0,
                        "forehead",
                        "temple-left",
                        "temple-right",
                        "nose",
                        "cheek-left",
                        "cheek-right",
                        "chin",
                        "jaw-left",
                        "jaw-right",
                        "throat"),
                on("lids", "eye-soot", 0, "eye-left", "eye-right"),
                on("marks", "spatter", 0, "forehead", "cheek-left", "cheek-right", "throat"))));
        return job;
    }

    /** Cinder, who keeps the fire: no glue but for one burn, colour straight on skin, and a hat last of all. */
    public static Job stoker(LocalDateTime call) {
        Job job = new Job(
                "Cinder",
                PRODUCTION,
                "The stoker who has not slept since the fire went out: ash in his hair, a burn on the cheek, ten days of beard, a bell "
                        + "drawn small on the other cheek, bad teeth, and a hat that he never takes off.",
                new Brief(
                                call,
                                Optional.empty(),
                                new Performer(
                                        "Davin Orrel",
                                        176,
                                        72,
                                        57,
                                        Set.of(),
                                        Brows.MEDIUM,
                                        Hair.SHORT,
                                        Set.of("beard")),
                                List.of(hands("Pell", Skill.LEAD, call)),
                                new Room(21, 45, 1),
                                COLLAR,
                                10,
                                false)
                        .allowing(bare()));
        job.setLook(new Look(List.of(
                on("hair", "hair-away", 0, "crown", "hairline", "back-of-head"),
                on("ash", "hair-dust-water", 0, "crown", "hairline", "back-of-head"),
                on("teeth", "teeth-bought", 0, "teeth-upper"),
                on("burn", "ready-small", 0, "cheek-left"),
                on("burn-edges", "edge-latex", 2, "cheek-left"),
                on("brows", "brow-own", 0, "brow-left", "brow-right"),
                on(
                        "base",
                        "base-cream-thinned",
                        0,
                        "forehead",
                        "temple-left",
                        "temple-right",
                        "nose",
                        "cheek-left",
                        "cheek-right",
                        "upper-lip",
                        "mouth",
                        "chin",
                        "jaw-left",
                        "jaw-right",
                        "throat"),
                on("no-sleep", "bruise", 0, "eye-left", "eye-right"),
                on("rims", "waterline", 0, "eye-left", "eye-right"),
                on("stubble", "beard-shadow", 0, "upper-lip", "chin", "jaw-left", "jaw-right"),
                on("bell", "picture-figure", 0, "cheek-right").covering(20),
                on("mud", "mud-streaks", 0, "forehead", "cheek-left", "throat"),
                on("sweat", "gel-late", 0, "nose"),
                on("hat", "worn-hat", 0, "crown", "hairline", "back-of-head"))));
        return job;
    }

    private static LookEntry on(String id, String technique, int coats, String... zones) {
        return new LookEntry(id, technique, List.of(zones), coats);
    }

    private static Hands hands(String name, Skill skill, LocalDateTime call) {
        return new Hands(
                name, skill, call.toLocalDate().atTime(4, 0), call.toLocalDate().atTime(20, 0));
    }
}
