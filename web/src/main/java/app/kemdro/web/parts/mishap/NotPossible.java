package app.kemdro.web.parts.mishap;

import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.ResponseStatus;

/** Something was asked of a run that cannot be, said so that a person can act on it. */
@ResponseStatus(HttpStatus.CONFLICT)
public class NotPossible extends RuntimeException {
    private static final long serialVersionUID = 1L;

    public NotPossible(String message) {
        super(message);
    }
}
