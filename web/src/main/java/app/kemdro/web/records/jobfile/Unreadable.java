package app.kemdro.web.records.jobfile;

/** A file that cannot be taken in, with what is wrong, where, and what to do. */
public final class Unreadable extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public Unreadable(String message) {
        super(message);
    }
}
