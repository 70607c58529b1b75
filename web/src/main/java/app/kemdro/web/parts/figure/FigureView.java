package app.kemdro.web.parts.figure;

import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** Sides from which the figure is seen. */
public enum FigureView {
    FRONT("front"),
    LEFT("left"),
    RIGHT("right"),
    BACK("back"),
    THREE_QUARTER("three-quarter"),
    HANDS("hands"),
    BODY("body"),
    BODY_BACK("body from behind"),
    MOUTH("mouth");

    private final String says;

    FigureView(String says) {
        this.says = says;
    }

    public String says() {
        return says;
    }

    /** As drawings and addresses call it: "body-back". */
    public String key() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** The view of this key; empty where there is none. */
    public static Optional<FigureView> of(String key) {
        return Stream.of(values()).filter(v -> v.key().equals(key)).findFirst();
    }
}
