package app.kemdro.web.figure;

import app.kemdro.core.plan.PlannedStep;

/** Which layer a step leaves on the skin, as it is drawn in the cut and in the order. */
public final class Stratum {
    private static final String PIECE = "piece";
    private static final String CAP = "cap";

    private Stratum() {}

    /** The kind of layer: a piece, a cap, or its material's own; empty where it leaves none. */
    public static String of(PlannedStep step) {
        String slot = step.technique().slot();
        if (isBody(step)) {
            return slot;
        }
        if (slot.equals("prepare")) {
            return "";
        }
        return step.material()
                .map(m -> switch (m.kind()) {
                    case "cleaner" -> "";
                    case "paint" -> slot.equals("ground") ? "grease" : m.id();
                    default -> m.kind();
                })
                .orElse("");
    }

    /** Whether it sets a body of its own, a piece or a cap, rather than laying a coat. */
    public static boolean isBody(PlannedStep step) {
        String slot = step.technique().slot();
        String id = step.template().id();
        return slot.equals(PIECE) && id.equals("press") || slot.equals(CAP) && id.equals("fit");
    }
}
