package app.kemdro.web.job;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.ResponseStatus;

/** A job was asked for that is not on the shelf. */
@ResponseStatus(HttpStatus.NOT_FOUND)
public final class NoSuchJob extends RuntimeException {
    private static final long serialVersionUID = 1L;

    NoSuchJob(long id) {
        super("No job " + id + " stands on the shelf.");
    }
}
