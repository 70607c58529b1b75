package app.kemdro.web.rooms.safety;

import app.kemdro.web.records.performer.HealthLooks;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Keeps who opened a room of a job that says something of the performer's health. */
@Configuration
class Watch implements WebMvcConfigurer, HandlerInterceptor {
    /** Rooms and files that name reactions, tests or skin. */
    private static final String[] PLACES = {
        "brief", "look", "kit", "safety", "safety.pdf", "strike/skin", "health.json", "book", "continuity.pdf"
    };

    private final HealthLooks looks;

    Watch(HealthLooks looks) {
        this.looks = looks;
    }

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        for (String place : PLACES) {
            registry.addInterceptor(this).addPathPatterns("/jobs/{id}/" + place);
        }
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable Exception failed) {
        Principal who = request.getUserPrincipal();
        boolean shown = request.getMethod().equals("GET") && response.getStatus() == HttpServletResponse.SC_OK;
        if (who != null
                && shown
                && request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE) instanceof Map<?, ?> path) {
            String uri = request.getRequestURI();
            try {
                long job = Long.parseLong(String.valueOf(path.get("id")));
                looks.lookedAtJob(job, who.getName(), uri.substring(uri.lastIndexOf('/') + 1));
            } catch (NumberFormatException e) {
                return; // nobody's health was shown
            }
        }
    }
}
