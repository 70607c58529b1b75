package app.kemdro.web.parts.ribbon;

import app.kemdro.core.plan.PlannedStep;

/** Very short names of steps, for narrow places. */
public final class Labels {
    private Labels() {}

    /** One or two words: the step's name up to the first comma or small word, with its coat. */
    public static String brief(PlannedStep step) {
        String name = step.template().name();
        String cut = name.split(", | and | with | of | to | from | into | round | at | the ")[0];
        String[] words = cut.split(" ");
        String label = words.length > 3 ? words[0] + " " + words[1] : cut;
        return step.coat() > 0 ? label + " " + step.coat() : label;
    }
}
