package app.kemdro.web.rooms.people;

import app.kemdro.web.records.deed.Deed.About;
import app.kemdro.web.records.deed.Deeds;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.security.Principal;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.HandlerMapping;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/**
 * Writes down who changed what is known of somebody's health, lifted a block or took a backup. Jobs and people stand in it by their
 * number, so that forgetting somebody forgets them here as well.
 */
@Configuration
class Witness implements WebMvcConfigurer, HandlerInterceptor {
    private static final Map<String, Told> DEEDS = new LinkedHashMap<>();

    static {
        DEEDS.put("POST /jobs/{id}/safety", new Told(About.HEALTH, "changed care on job %s"));
        DEEDS.put("POST /jobs/{id}/safety/reactions", new Told(About.HEALTH, "wrote a reaction down on job %s"));
        DEEDS.put("POST /jobs/{id}/safety/reactions/remove", new Told(About.HEALTH, "took a reaction out on job %s"));
        DEEDS.put("POST /jobs/{id}/safety/consent", new Told(About.HEALTH, "changed what was agreed to on job %s"));
        DEEDS.put("POST /jobs/{id}/safety/tests", new Told(About.HEALTH, "wrote a patch test down on job %s"));
        DEEDS.put("POST /jobs/{id}/safety/tests/remove", new Told(About.HEALTH, "took a patch test out on job %s"));
        DEEDS.put("POST /people/{id}/forget-health", new Told(About.HEALTH, "forgot the health of person %s"));
        DEEDS.put("POST /people/{id}/forget", new Told(About.HEALTH, "forgot person %s"));
        DEEDS.put("POST /jobs/{id}/safety/lift", new Told(About.BLOCK, "lifted a block on job %s"));
        DEEDS.put("POST /house/keeping/backup", new Told(About.BACKUP, "made a backup of the whole house"));
        DEEDS.put("GET /house/keeping/{name}", new Told(About.BACKUP, "took a copy of a backup of the whole house"));
    }

    private final Deeds deeds;

    Witness(Deeds deeds) {
        this.deeds = deeds;
    }

    private record Told(About about, String says) {}

    @Override
    public void addInterceptors(InterceptorRegistry registry) {
        DEEDS.keySet().stream()
                .map(place -> place.substring(place.indexOf(' ') + 1))
                .distinct()
                .forEach(place -> registry.addInterceptor(this).addPathPatterns(place));
    }

    @Override
    public void afterCompletion(
            HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable Exception failed) {
        Told told = DEEDS.get(
                request.getMethod() + " " + request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE));
        Principal who = request.getUserPrincipal();
        if (told != null && who != null && response.getStatus() < HttpServletResponse.SC_BAD_REQUEST) {
            Object path = request.getAttribute(HandlerMapping.URI_TEMPLATE_VARIABLES_ATTRIBUTE);
            String id = path instanceof Map<?, ?> values ? String.valueOf(values.get("id")) : "";
            deeds.did(told.about(), who.getName(), told.says().formatted(id));
        }
    }
}
