package app.kemdro.web.parts.mishap;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.RequestMapping;

/** What the container itself refuses, as forbidden pages, in plain words. */
@Controller
class ErrorPage implements ErrorController {
    static final String TOO_LARGE = "The file is too large.";
    static final String SMALLER =
            "A file is at most 16 MB, all of them together 24 MB; make pictures smaller first. Nothing was taken.";

    @RequestMapping("/error")
    String error(HttpServletRequest request, Model model) {
        Object status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        int code = status instanceof Integer number ? number : 0;
        if (code == HttpStatus.FORBIDDEN.value()) {
            return say(
                    model,
                    "Not for this account.",
                    "Hands see the jobs in whose brief they stand; a lead writes them in. Or the page was open too long: sign in again.");
        }
        return code == HttpStatus.CONTENT_TOO_LARGE.value()
                ? say(model, TOO_LARGE, SMALLER)
                : say(
                        model,
                        "There is nothing here.",
                        "The address leads nowhere, or the request was cut short. Go back to the shelf.");
    }

    /** A page that says what is wrong and what to do. */
    static String say(Model model, String what, String todo) {
        model.addAttribute("what", what);
        model.addAttribute("todo", todo);
        return "parts/mishap";
    }
}
