package app.kemdro.web.parts.words;

import app.kemdro.core.plan.PlannedStep;
import app.kemdro.core.plan.Sharing;
import app.kemdro.core.schedule.ScheduledTask;

/** Who does which part of a step. */
public final class Shares {
    private Shares() {}

    /** "Ines", "Ines with Pell" where one holds for the other, "Ines left, Pell right" where each does a part. */
    public static String hands(PlannedStep step, ScheduledTask placed) {
        if (placed.helper() == null || step.sharing().isEmpty()) {
            return Words.hands(placed);
        }
        Sharing parts = step.sharing().get();
        return "%s %s, %s %s".formatted(placed.worker(), parts.first(), placed.helper(), parts.second());
    }

    /** "Pell helps", or which part is whose; empty where one does it alone. */
    public static String help(PlannedStep step, ScheduledTask placed) {
        if (placed.helper() == null) {
            return "";
        }
        return step.sharing().isEmpty() ? placed.helper() + " helps" : hands(step, placed);
    }
}
