package app.kemdro.web.parts.live;

import app.kemdro.web.parts.ahead.Ahead;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.jspecify.annotations.Nullable;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * What a script asks for and puts into the page that is open. Nothing is written that it does not put there: {@code swapped} says so to the
 * templates. And its forms bear no token of their own: each of them said it in a field, sixty of them in Look, and another one after every
 * press, so that no form was ever the same. The script sends the one that the page says in its head.
 */
@Component
final class LiveAnswers implements HandlerInterceptor, WebMvcConfigurer {
    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (request.getHeader("X-Live") != null) {
            // by this name forms ask for it; the page's head asks by another
            request.removeAttribute(CsrfToken.class.getName());
        }
        return true;
    }

    @Override
    public void postHandle(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable ModelAndView page) {
        if (page != null && Ahead.isRoom(request, response, page)) {
            page.addObject("swapped", true);
        }
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }
}
