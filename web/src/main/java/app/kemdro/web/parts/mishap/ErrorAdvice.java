package app.kemdro.web.parts.mishap;

import app.kemdro.web.parts.disk.DiskGuard;
import app.kemdro.web.parts.disk.DiskTrouble;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.orm.ObjectOptimisticLockingFailureException;
import org.springframework.transaction.TransactionException;
import org.springframework.ui.Model;
import org.springframework.validation.BindException;
import org.springframework.web.ErrorResponse;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.resource.NoResourceFoundException;

/** What goes wrong is said on a page of its own, in plain words and without a trace of the machinery. */
@ControllerAdvice
class ErrorAdvice {
    private static final Pattern JOB = Pattern.compile("/jobs/(\\d{1,18})/");
    private static final Logger LOG = LoggerFactory.getLogger(ErrorAdvice.class);

    @ExceptionHandler({NotThere.class, NoResourceFoundException.class})
    @ResponseStatus(HttpStatus.NOT_FOUND)
    String missing(Exception e, Model model) {
        return ErrorPage.say(
                model,
                "There is nothing here.",
                e instanceof NotThere ? e.getMessage() : "The address leads nowhere. Go back to the shelf.");
    }

    @ExceptionHandler(NotPossible.class)
    @ResponseStatus(HttpStatus.CONFLICT)
    String notPossible(NotPossible e, Model model, HttpServletRequest request) {
        Matcher job = JOB.matcher(request.getRequestURI());
        if (job.find()) {
            model.addAttribute("ofJob", job.group(1));
        }
        return ErrorPage.say(model, "Not now.", String.valueOf(e.getMessage()));
    }

    @ExceptionHandler({
        MethodArgumentTypeMismatchException.class,
        MissingServletRequestParameterException.class,
        HttpMessageNotReadableException.class
    })
    @ResponseStatus(HttpStatus.BAD_REQUEST)
    String unreadable(Exception e, Model model) {
        return ErrorPage.say(
                model,
                "That could not be read.",
                "Something in the request is missing or is not what it should be. Go back and try again; nothing was changed.");
    }

    @ExceptionHandler(MaxUploadSizeExceededException.class)
    @ResponseStatus(HttpStatus.CONTENT_TOO_LARGE)
    String tooLarge(Exception e, Model model) {
        return ErrorPage.say(model, ErrorPage.TOO_LARGE, ErrorPage.SMALLER);
    }

    @ExceptionHandler(ObjectOptimisticLockingFailureException.class)
    @ResponseStatus(HttpStatus.CONFLICT)
    String changedMeanwhile(Exception e, Model model) {
        return ErrorPage.say(
                model,
                "Somebody was quicker.",
                "The job was changed on another screen a moment ago. Go back, look at it, and change it again.");
    }

    /** A screen that listened has gone; there is nobody to tell. */
    @ExceptionHandler(AsyncRequestNotUsableException.class)
    void gone(AsyncRequestNotUsableException e) {
        LOG.debug("A screen has gone", e);
    }

    /** Nothing could be kept, or read: what stands before everything says so, and opens the database anew. */
    @ExceptionHandler({DataAccessException.class, TransactionException.class})
    @Nullable
    ModelAndView ofDisk(RuntimeException e, HttpServletResponse response) {
        if (DiskTrouble.is(e)) {
            response.setStatus(DiskGuard.STATUS);
            return null;
        }
        return unexpected(e);
    }

    /** What Spring itself refuses says with which status: a method, a kind of content or a part that does not belong there. */
    @ExceptionHandler(Exception.class)
    ModelAndView unexpected(Exception e) {
        if (e instanceof ErrorResponse refused && refused.getStatusCode().is4xxClientError()) {
            return page(
                    refused.getStatusCode(),
                    "That cannot be asked here.",
                    "The address is not made for such a request, or something in it is missing. Nothing was changed.");
        }
        if (e instanceof MultipartException || e instanceof BindException) {
            return page(
                    HttpStatus.BAD_REQUEST,
                    "That could not be read.",
                    "Something in the request is missing or is not what it should be. Go back and try again; nothing was changed.");
        }
        LOG.error("Unexpected", Unsaid.of(e));
        return page(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Kemdro stumbled.",
                "This should not happen. What was stored before is safe; go back and try again.");
    }

    private static ModelAndView page(HttpStatusCode status, String what, String todo) {
        ModelAndView page = new ModelAndView("parts/mishap", Map.of("what", what, "todo", todo));
        page.setStatus(status);
        return page;
    }
}
