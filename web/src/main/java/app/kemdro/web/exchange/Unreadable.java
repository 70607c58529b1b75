package app.kemdro.web.exchange;

/** A file that cannot be taken in, with what is wrong, where, and what to do. */
final class Unreadable extends RuntimeException {
    private static final long serialVersionUID = 1L;

    Unreadable(String message) {
        super(message);
    }
}
