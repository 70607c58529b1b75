package app.kemdro.core.body;

import java.util.Locale;

/** The first letter of what is said, at the beginning of a sentence or within one. */
public final class Capitals {
    private Capitals() {}

    /** "Left cheek" of "left cheek". */
    public static String capital(String text) {
        return text.isEmpty() ? text : text.substring(0, 1).toUpperCase(Locale.ROOT) + text.substring(1);
    }

    /** "left cheek" of "Left cheek". */
    public static String low(String text) {
        return text.isEmpty() ? text : text.substring(0, 1).toLowerCase(Locale.ROOT) + text.substring(1);
    }
}
