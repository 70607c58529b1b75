package app.kemdro.web.parts.mishap;

/** Something was asked for that is not here, said so that a person can act on it. */
public abstract class NotThere extends RuntimeException {
    private static final long serialVersionUID = 1L;

    protected NotThere(String message) {
        super(message);
    }
}
