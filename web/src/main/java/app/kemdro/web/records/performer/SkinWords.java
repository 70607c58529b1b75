package app.kemdro.web.records.performer;

import app.kemdro.core.safety.HealthRecord;
import app.kemdro.core.safety.HealthRecord.Result;
import app.kemdro.core.safety.HealthRecord.Skin;
import app.kemdro.core.safety.HealthRecord.SkinSeen;
import app.kemdro.web.parts.figure.FigureModel.Tint;

/** How skin and its tests are said and drawn. */
public final class SkinWords {
    private SkinWords() {}

    public static String word(Skin skin) {
        return switch (skin) {
            case FINE -> "fine";
            case RED -> "red";
            case BROKEN -> "broken";
        };
    }

    /** What came of a patch test. */
    public static String word(Result result) {
        return switch (result) {
            case OPEN -> "not read yet";
            case CLEAR -> "clear";
            case REACTED -> "skin reacted";
        };
    }

    /** What is known of the skin of a zone, as the figure shows it. */
    public static Tint tint(HealthRecord care, String zone) {
        SkinSeen last = care.lastSeen().get(zone);
        Skin skin = care.broken().contains(zone) ? Skin.BROKEN : last == null ? Skin.FINE : last.skin();
        return switch (skin) {
            case FINE -> Tint.NONE;
            case RED -> new Tint("need", word(skin));
            case BROKEN -> new Tint("fail", word(skin));
        };
    }
}
