package app.kemdro.web.parts.typed;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** A press that takes something back carries its fields in one, so that no field of its page is there twice; here they become fields again. */
@Component
@Order(1)
class TakeBackFilter extends OncePerRequestFilter {
    private final Typed typed;

    TakeBackFilter(Typed typed) {
        this.typed = typed;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !request.getMethod().equals("POST")
                || WithFields.bringsFiles(request)
                || request.getParameter(TakeBack.PRESS) == null;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Map<String, String[]> fields = new LinkedHashMap<>(request.getParameterMap());
        typed.read(request.getParameter(TakeBack.PRESS))
                .forEach((name, values) -> fields.put(name, values.toArray(String[]::new)));
        chain.doFilter(new WithFields(request, fields), response);
    }
}
