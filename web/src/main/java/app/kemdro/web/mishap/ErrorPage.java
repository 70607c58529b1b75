package app.kemdro.web.mishap;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.RequestMapping;

/** What the container itself refuses, as forbidden pages, in plain words. */
@Controller
class ErrorPage implements ErrorController {

    @RequestMapping("/error")
    String error(HttpServletRequest request, Model model) {
        Object status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        boolean forbidden = Integer.valueOf(403).equals(status);
        model.addAttribute("what", forbidden ? "Not for this account." : "There is nothing here.");
        model.addAttribute(
                "todo",
                forbidden
                        ? "Your account may not do this, or the page was open too long. Sign in again or ask a lead."
                        : "The address leads nowhere, or the request was cut short. Go back to the shelf.");
        return "mishap";
    }
}
