package app.kemdro.web.chair;

/** What is reported can be, but is asked about first: whoever means it says so. */
final class Asked extends NotPossible {
    private static final long serialVersionUID = 1L;

    Asked(String question) {
        super(question);
    }
}
