package app.kemdro.web.performer;

import app.kemdro.core.safety.Care;
import app.kemdro.core.safety.Care.Skin;
import app.kemdro.core.safety.Care.SkinSeen;
import app.kemdro.web.figure.FigureModel.Tint;

/** How skin is said and drawn. */
public final class SkinWords {
    private SkinWords() {}

    public static String word(Skin skin) {
        return switch (skin) {
            case FINE -> "fine";
            case RED -> "red";
            case BROKEN -> "broken";
        };
    }

    /** What is known of the skin of a zone, as the figure shows it. */
    public static Tint tint(Care care, String zone) {
        SkinSeen last = care.lastSeen().get(zone);
        Skin skin = care.broken().contains(zone) ? Skin.BROKEN : last == null ? Skin.FINE : last.skin();
        return switch (skin) {
            case FINE -> Tint.NONE;
            case RED -> new Tint("need", word(skin));
            case BROKEN -> new Tint("fail", word(skin));
        };
    }
}
