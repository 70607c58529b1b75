package app.kemdro.web.parts.habit;

import app.kemdro.core.hour.Wall;
import app.kemdro.web.parts.assets.Shipped;
import app.kemdro.web.parts.typed.WithFields;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/** Says who reads the answer, and takes what was typed in their units into those in which Kemdro reckons, before anything else sees it. */
@Component
@Order(0)
class HabitFilter extends OncePerRequestFilter {
    /** Filters are made before everything else; what they need of the house is asked for when somebody comes. */
    private final ObjectProvider<Readers> readers;

    private final Clock clock;

    HabitFilter(ObjectProvider<Readers> readers, Clock clock) {
        this.readers = readers;
        this.clock = clock;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return Shipped.is(request);
    }

    /** A page that says what went wrong is read as well. */
    @Override
    protected boolean shouldNotFilterErrorDispatch() {
        return false;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String account = request.getRemoteUser();
        Reader.set(readers.getObject().of(account));
        try {
            chain.doFilter(isMeasured(request) ? kept(request, LocalDate.now(clock)) : request, response);
        } finally {
            Reader.clear();
            Wall.clear();
        }
    }

    /** Whether it has fields with units. Files come without, and are too large to be read before it is known who sends them where. */
    private static boolean isMeasured(HttpServletRequest request) {
        return !WithFields.bringsFiles(request)
                && request.getParameterMap().keySet().stream().anyMatch(n -> n.endsWith(FieldUnit.END));
    }

    /** The request with its fields as they are reckoned. */
    private static HttpServletRequest kept(HttpServletRequest request, LocalDate today) {
        Map<String, String[]> all = request.getParameterMap();
        Map<String, String[]> kept = new LinkedHashMap<>();
        all.forEach((name, values) -> {
            String[] form = all.get(name + FieldUnit.END);
            if (form != null) {
                kept.put(
                        name,
                        Arrays.stream(values)
                                .map(v -> FieldUnit.kept(v, form[0], today))
                                .toArray(String[]::new));
            } else if (!name.endsWith(FieldUnit.END)) {
                kept.put(name, values);
            }
        });
        return new WithFields(request, kept);
    }
}
