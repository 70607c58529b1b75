package app.kemdro.core.datafile;

/** A trade file that cannot be trusted; the message names file, line and reason. */
public final class BrokenFile extends RuntimeException {
    private static final long serialVersionUID = 1L;

    BrokenFile(String file, int line, String reason) {
        super("%s, line %d: %s".formatted(file, line, reason));
    }
}
