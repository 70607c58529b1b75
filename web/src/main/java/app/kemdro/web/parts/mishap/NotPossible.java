package app.kemdro.web.parts.mishap;

import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.Planning;
import app.kemdro.core.plan.Problem;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.ResponseStatus;

/** Something was asked of a run that cannot be, said so that a person can act on it. */
@ResponseStatus(HttpStatus.CONFLICT)
public class NotPossible extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public NotPossible(String message) {
        super(message);
    }

    /**
     * The plan that was made.
     *
     * @throws NotPossible where none could be, with the first reason and what to do
     */
    public static Plan unlessPlanned(Planning planning) {
        if (planning instanceof Planning.Done done) {
            return done.plan();
        }
        Problem first = ((Planning.Refused) planning).problems().get(0);
        throw new NotPossible(first.what() + " " + first.remedy());
    }
}
