package app.kemdro.web.records.performer;

import app.kemdro.web.parts.mishap.NotThere;

/** Somebody was asked for who does not sit here. */
public final class NoSuchPerformer extends NotThere {
    private static final long serialVersionUID = 1L;

    NoSuchPerformer(long id) {
        super("Nobody of number " + id + " sits here.");
    }
}
