package app.kemdro.web.rooms.door;

import app.kemdro.web.records.account.Accounts;
import app.kemdro.web.records.account.Throttle;
import app.kemdro.web.records.deed.Deed.About;
import app.kemdro.web.records.deed.Deeds;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.security.core.AuthenticationException;
import org.springframework.security.web.authentication.AuthenticationFailureHandler;
import org.springframework.web.filter.OncePerRequestFilter;

/** Lets nobody try passwords faster than a person who has forgotten theirs. */
public class SignInGuard extends OncePerRequestFilter implements AuthenticationFailureHandler {
    private static final int NAME = 40;

    private final Throttle throttle;
    private final Deeds deeds;

    /** Counts with this throttle, and writes down what is locked. */
    public SignInGuard(Throttle throttle, Deeds deeds) {
        this.throttle = throttle;
        this.deeds = deeds;
    }

    @Override
    protected boolean shouldNotFilter(HttpServletRequest request) {
        return !"POST".equals(request.getMethod()) || !"/sign-in".equals(request.getServletPath());
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long seconds = throttle.seconds(name(request), request.getRemoteAddr());
        if (seconds > 0) {
            response.sendRedirect("/sign-in?wait=" + seconds);
        } else {
            chain.doFilter(request, response);
        }
    }

    @Override
    public void onAuthenticationFailure(
            HttpServletRequest request, HttpServletResponse response, AuthenticationException wrong)
            throws IOException {
        String name = name(request);
        throttle.wrong(name, request.getRemoteAddr());
        long seconds = throttle.seconds(name, request.getRemoteAddr());
        if (seconds > 0) {
            deeds.did(
                    About.ACCOUNT,
                    name,
                    "too many wrong passwords from " + request.getRemoteAddr() + "; locked for " + seconds + " s");
        }
        response.sendRedirect(seconds > 0 ? "/sign-in?wait=" + seconds : "/sign-in?error");
    }

    /** Whoever signed in is no longer counted. */
    public void signedIn(HttpServletRequest request) {
        throttle.right(name(request));
    }

    private static String name(HttpServletRequest request) {
        String typed = request.getParameter("username");
        String name = typed == null ? "" : Accounts.key(typed);
        return name.substring(0, Math.min(NAME, name.length()));
    }
}
