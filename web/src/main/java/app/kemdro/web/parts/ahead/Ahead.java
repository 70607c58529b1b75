package app.kemdro.web.parts.ahead;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.core.annotation.Order;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerExceptionResolver;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Presses that are only worked out ahead. While somebody points at a button, the plan that its press would bring is made and kept for a
 * while, so that the press finds it there. Nothing is changed, stored or said: the answer is empty.
 */
@Configuration
@Order(Ordered.HIGHEST_PRECEDENCE)
public class Ahead implements WebMvcConfigurer, HandlerInterceptor, HandlerExceptionResolver {
    /** By this header a script asks for it. */
    public static final String HEADER = "X-Ahead";

    private static final ThreadLocal<Boolean> ASKED = ThreadLocal.withInitial(() -> false);

    /** Marks presses that do nothing but change one job; of all others nothing is worked out ahead. */
    @Retention(RetentionPolicy.RUNTIME)
    @Target({ElementType.TYPE, ElementType.METHOD})
    public @interface Plannable {}

    /** All there was to work out is worked out: the press goes no further. */
    public static class Enough extends RuntimeException {
        private static final long serialVersionUID = 1L;

        public Enough() {
            super("worked out ahead", null, false, false);
        }
    }

    /** Whether what is being done now must not change anything. */
    public static boolean isAsked() {
        return ASKED.get();
    }

    /** Whether this request asks for it. */
    public static boolean isAsked(HttpServletRequest request) {
        return request.getHeader(HEADER) != null;
    }

    /** Whether a script asked and is answered with a room, which it swaps in; what tells of a mishap is shown whole. */
    public static boolean isRoom(HttpServletRequest request, HttpServletResponse response, ModelAndView answer) {
        String view = answer.getViewName();
        return request.getHeader("X-Live") != null
                && response.getStatus() < HttpServletResponse.SC_BAD_REQUEST
                && view != null
                && !view.startsWith("redirect:");
    }

    /**
     * It is the first to be asked whether a press may go on, so that nobody writes down what was not done, and the first to see what came
     * of it.
     */
    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this).order(Integer.MIN_VALUE);
        registry.addInterceptor(new Unsaid()).order(Integer.MAX_VALUE);
    }

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        boolean asked = isAsked(request);
        if (asked && !(handler instanceof HandlerMethod method && isPlannable(method))) {
            response.setStatus(HttpServletResponse.SC_NO_CONTENT);
            return false;
        }
        ASKED.set(asked);
        return true;
    }

    private static boolean isPlannable(HandlerMethod method) {
        return method.hasMethodAnnotation(Plannable.class)
                || AnnotatedElementUtils.hasAnnotation(method.getBeanType(), Plannable.class);
    }

    /** Whatever ended it, enough being known or the press being refused: it says so when it is pressed, and not yet. */
    @Override
    @Nullable
    public ModelAndView resolveException(
            HttpServletRequest request, HttpServletResponse response, @Nullable Object handler, Exception ended) {
        if (!isAsked()) {
            return null;
        }
        response.setStatus(HttpServletResponse.SC_NO_CONTENT);
        return new ModelAndView();
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable Exception failed) {
        ASKED.remove();
    }

    /** The same of a press that goes elsewhere; the room of one that stays is kept. */
    private static final class Unsaid implements HandlerInterceptor {
        @Override
        public void postHandle(
                HttpServletRequest request,
                HttpServletResponse response,
                Object handler,
                @Nullable ModelAndView answer) {
            if (isAsked() && answer != null && !isRoom(request, response, answer)) {
                answer.clear();
                response.setStatus(HttpServletResponse.SC_NO_CONTENT);
            }
        }
    }
}
