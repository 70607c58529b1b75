package app.kemdro.solver;

import com.sun.jna.Library;
import com.sun.jna.Native;
import com.sun.jna.Platform;

/** Searches give way to whoever presses something. */
public final class Courtesy {
    /** "This thread", and the last in line, as setpriority(2) understands them. */
    private static final int THREAD = 0;

    private static final int SELF = 0;
    private static final int LAST = 19;
    private static final int BEHIND = 10;

    private Courtesy() {}

    private interface System extends Library {
        int setpriority(int which, int who, int nice);
    }

    /**
     * Lets this thread, and all that it begins from now on, work only where nobody else wants to. Java's own priorities do nothing on
     * Linux; where this is not Linux, or it may not be done, the thread stays as it is.
     *
     * @return whether it steps back now
     */
    public static boolean stepBack() {
        return nice(LAST);
    }

    /**
     * Lets this thread, and all that it begins from now on, work behind whoever presses something and before what steps back; for what
     * somebody waits for, but not with a hand on the mouse.
     *
     * @return whether it lets others pass now
     */
    public static boolean letPass() {
        return nice(BEHIND);
    }

    private static boolean nice(int nice) {
        if (!Platform.isLinux()) {
            return false;
        }
        try {
            return Native.load("c", System.class).setpriority(THREAD, SELF, nice) == 0;
        } catch (UnsatisfiedLinkError e) {
            return false;
        }
    }
}
