package app.kemdro.web.performer;

/** Somebody was asked for who does not sit here. */
public final class NoSuchPerformer extends RuntimeException {
    private static final long serialVersionUID = 1L;

    NoSuchPerformer(long id) {
        super("Nobody of number " + id + " sits here.");
    }
}
