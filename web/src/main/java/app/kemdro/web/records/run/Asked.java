package app.kemdro.web.records.run;

import app.kemdro.web.parts.mishap.NotPossible;

/** What is reported can be, but is asked about first: whoever means it says so. */
public final class Asked extends NotPossible {
    private static final long serialVersionUID = 1L;

    Asked(String question) {
        super(question);
    }
}
