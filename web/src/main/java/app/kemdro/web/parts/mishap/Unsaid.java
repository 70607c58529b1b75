package app.kemdro.web.parts.mishap;

import app.kemdro.web.parts.disk.DiskTrouble;
import org.jspecify.annotations.Nullable;

/**
 * An error as it may stand in a log: of which kind and where, but not in its own words, which can name what was being stored, and so
 * what is known of somebody's health. What the machinery itself says of a wrong program keeps its words.
 */
public final class Unsaid extends Exception {
    private static final long serialVersionUID = 1L;

    private Unsaid(String kind, @Nullable Throwable cause) {
        super(kind, cause, false, true);
    }

    /** The error without its words. Errors of the disk name no values and are told apart by others. */
    public static Throwable of(Throwable failed) {
        return DiskTrouble.is(failed) ? failed : without(failed);
    }

    private static Throwable without(Throwable failed) {
        Throwable cause = failed.getCause();
        Unsaid said = new Unsaid(says(failed), cause == null || cause == failed ? null : without(cause));
        said.setStackTrace(failed.getStackTrace());
        return said;
    }

    private static String says(Throwable failed) {
        boolean ofTheMachine = failed instanceof NullPointerException || failed instanceof IndexOutOfBoundsException;
        return failed.getClass().getName() + (ofTheMachine ? ": " + failed.getMessage() : "");
    }
}
