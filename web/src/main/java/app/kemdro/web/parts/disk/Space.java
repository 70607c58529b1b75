package app.kemdro.web.parts.disk;

/**
 * How it stands with a disk.
 *
 * @param free room that is left, bytes
 * @param writable whether anything can be written at all
 */
public record Space(long free, boolean writable) {
    private static final long MB = 1_000_000;

    /** Below this it is said, while everything still goes on. */
    private static final long LOW = 500 * MB;

    /** Below this only what is pressed in the chair is still kept. */
    private static final long SCARCE = 64 * MB;

    /** Below this nothing is kept. */
    private static final long FULL = 4 * MB;

    /** What is still kept. */
    public enum Keeps {
        ALL,
        ALL_BUT_SAYS_SO,
        PRESSES,
        NOTHING;

        /** Whether not everything is. */
        public boolean isLittle() {
            return this == PRESSES || this == NOTHING;
        }
    }

    /** What is still kept with so much room. */
    public Keeps keeps() {
        if (!writable || free < FULL) {
            return Keeps.NOTHING;
        }
        if (free < SCARCE) {
            return Keeps.PRESSES;
        }
        return free < LOW ? Keeps.ALL_BUT_SAYS_SO : Keeps.ALL;
    }

    /** It in a sentence; empty where there is nothing to say. */
    public String says() {
        if (!writable) {
            return "The disk is write-protected: nothing can be kept until it can be written again.";
        }
        return switch (keeps()) {
            case ALL -> "";
            case ALL_BUT_SAYS_SO -> "Only " + size(free) + " are left on the disk. Make room before it is full.";
            case PRESSES ->
                "The disk is nearly full (" + size(free) + " left): only presses in the chair are still kept.";
            case NOTHING -> "The disk is full: nothing can be kept until there is room again.";
        };
    }

    /** What to do about it, in a sentence. */
    public String remedy() {
        return writable
                ? "Make room on the disk Kemdro lies on; it goes on by itself."
                : "See that the disk Kemdro lies on can be written again: its lock, its cable, the computer's own word on it; Kemdro goes on by itself.";
    }

    /** A number of bytes as people read it. */
    public static String size(long bytes) {
        if (bytes >= 10_000 * MB) {
            return Math.round(bytes / 1e9) + " GB";
        }
        return bytes >= MB ? Math.round(bytes / 1e6) + " MB" : Math.round(bytes / 1e3) + " kB";
    }
}
