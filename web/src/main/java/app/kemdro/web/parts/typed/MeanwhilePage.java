package app.kemdro.web.parts.typed;

import java.util.List;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.ResponseStatus;

/** Shows two changes of the same side by side, instead of the room the form was meant for. */
@ControllerAdvice
@Order(Ordered.HIGHEST_PRECEDENCE)
class MeanwhilePage {
    /** What is chosen where what stands now is to stay. */
    static final String NOW = "now";

    /**
     * A field that both changed.
     *
     * @param name the choice's name in the form
     */
    record Clash(String name, String called, String mine, String theirs) {}

    /**
     * What is shown.
     *
     * @param at where it is sent again
     * @param page where the form is opened
     * @param now what stands there, as text
     * @param mine both changes, with what was typed where they clash, as text
     */
    record Shown(String at, String page, String now, String mine, List<Clash> clashes) {}

    /** Two have changed the same. */
    static final class BothChanged extends RuntimeException {
        private static final long serialVersionUID = 1L;

        private final transient Shown shown;

        BothChanged(Shown shown) {
            super("Both changed the same");
            this.shown = shown;
        }
    }

    @ExceptionHandler(BothChanged.class)
    @ResponseStatus(HttpStatus.CONFLICT)
    String show(BothChanged both, Model model) {
        model.addAttribute("shown", both.shown);
        return "parts/meanwhile";
    }
}
