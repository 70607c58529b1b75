package app.kemdro.web.parts.live;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * The forms of a room that a script swaps in bear no token of their own: each of them said it in a field, sixty of them in Look, and another
 * one after every press, so that no form was ever the same. The script sends the one that the page says in its head.
 */
@Component
final class LiveForms implements HandlerInterceptor, WebMvcConfigurer {
    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (request.getHeader("X-Live") != null) {
            // by this name forms ask for it; the page's head asks by another
            request.removeAttribute(CsrfToken.class.getName());
        }
        return true;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        registry.addInterceptor(this);
    }
}
