package app.kemdro.core.plan;

/** A film that this room never lets dry; the message is the material's name. */
final class NeverDry extends RuntimeException {
    private static final long serialVersionUID = 1L;

    NeverDry(String material) {
        super(material);
    }
}
