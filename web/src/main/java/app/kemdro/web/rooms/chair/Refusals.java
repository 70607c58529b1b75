package app.kemdro.web.rooms.chair;

import app.kemdro.web.parts.mishap.NotPossible;
import app.kemdro.web.records.run.Asked;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;

/** Refusals as the screens of the chair understand them. */
@Order(Ordered.HIGHEST_PRECEDENCE)
@RestControllerAdvice(
        assignableTypes = {ChairController.class, PressController.class, HelpController.class, MoreController.class})
class Refusals {
    /**
     * Why a report was refused.
     *
     * @param ask whether it may be reported again by whoever means it
     */
    record Refusal(String wrong, boolean ask) {}

    @ExceptionHandler(NotPossible.class)
    ResponseEntity<Refusal> refuse(NotPossible refusal) {
        return ResponseEntity.status(HttpStatus.CONFLICT)
                .body(new Refusal(refusal.getMessage(), refusal instanceof Asked));
    }
}
