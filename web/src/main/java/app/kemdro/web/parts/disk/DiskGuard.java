package app.kemdro.web.parts.disk;

import app.kemdro.web.parts.assets.Shipped;
import com.zaxxer.hikari.HikariDataSource;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import javax.sql.DataSource;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Refuses to keep what there is no room for, before anything of it is touched, and says so in plain words where a disk has failed
 * nonetheless. Stands before everything that asks the database, who is signed in included.
 */
@Component
@Order(Ordered.HIGHEST_PRECEDENCE)
public class DiskGuard extends OncePerRequestFilter {
    /** Insufficient storage. */
    public static final int STATUS = 507;

    private static final Set<String> ASKING = Set.of("GET", "HEAD", "OPTIONS");

    /** Small, and needed most: presses of a run or a strike, and coming in and going out. */
    private static final Pattern SMALL = Pattern.compile(
            "/jobs/\\d+/chair/(begin|events|would|pedal|pace)|/jobs/\\d+/strike/(begin|press)|/sign-in|/sign-out");

    private static final String NOTHING_CHANGED = " Nothing was changed.";

    private final ObjectProvider<Disk> disk;
    private final ObjectProvider<DataSource> database;

    DiskGuard(ObjectProvider<Disk> disk, ObjectProvider<DataSource> database) {
        this.disk = disk;
        this.database = database;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String path = request.getServletPath();
        Optional<String> refusal = Shipped.is(request)
                ? Optional.empty()
                : refusal(disk.getObject().space(), ASKING.contains(request.getMethod()), path);
        if (refusal.isPresent()) {
            say(request, response, refusal.get());
            return;
        }
        try {
            chain.doFilter(request, response);
        } catch (ServletException | IOException | RuntimeException e) {
            if (!DiskTrouble.is(e)) {
                throw e;
            }
            response.setStatus(STATUS);
        }
        if (response.getStatus() == STATUS) {
            disk.getObject().hasFailed();
            afresh();
            if (!response.isCommitted()) {
                response.reset();
                say(request, response, why());
            }
        }
    }

    /**
     * Why something is not even tried; empty where it is.
     *
     * @param asks whether it only asks how something stands: that goes on where the disk is full, but a database that cannot be written
     *     cannot be opened, and to wait for it would help nobody
     */
    static Optional<String> refusal(Space space, boolean asks, String path) {
        if (asks) {
            return space.writable() ? Optional.empty() : Optional.of(space.says());
        }
        boolean kept = switch (space.keeps()) {
            case ALL, ALL_BUT_SAYS_SO -> true;
            case PRESSES -> SMALL.matcher(path).matches();
            case NOTHING -> false;
        };
        return kept ? Optional.empty() : Optional.of(space.says() + NOTHING_CHANGED);
    }

    /** Why the disk has just failed, as far as it can be told. */
    private String why() {
        String says = disk.getObject().says();
        return says.isEmpty() ? "The disk failed for a moment. Try again; what was acknowledged is kept." : says;
    }

    /** Throws every connection away: the database has closed itself, and the next connection opens it anew. */
    private void afresh() {
        if (database.getIfAvailable() instanceof HikariDataSource pool && pool.getHikariPoolMXBean() != null) {
            pool.getHikariPoolMXBean().softEvictConnections();
        }
    }

    private void say(HttpServletRequest request, HttpServletResponse response, String why) throws IOException {
        response.setStatus(STATUS);
        response.setCharacterEncoding(StandardCharsets.UTF_8.name());
        response.setHeader("Cache-Control", "no-store");
        String accepts = String.valueOf(request.getHeader("Accept"));
        if (accepts.contains("text/html")) {
            response.setContentType("text/html");
            response.getWriter()
                    .write(new ClassPathResource("templates/parts/disk.html")
                            .getContentAsString(StandardCharsets.UTF_8)
                            .replace("WHY", why)
                            .replace("REMEDY", disk.getObject().space().remedy()));
        } else {
            // scripts show it as it stands
            response.setContentType("application/json");
            response.getWriter().write("{\"wrong\":\"" + why + "\"}");
        }
    }
}
