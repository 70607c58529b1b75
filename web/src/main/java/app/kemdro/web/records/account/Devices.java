package app.kemdro.web.records.account;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.security.core.Authentication;
import org.springframework.security.web.authentication.rememberme.PersistentTokenBasedRememberMeServices;
import org.springframework.security.web.authentication.rememberme.PersistentTokenRepository;
import org.springframework.stereotype.Component;

/** Devices that are remembered for thirty days. Signing out forgets the one at which somebody signs out, and no other. */
@Component
public class Devices extends PersistentTokenBasedRememberMeServices {
    private static final Duration REMEMBERED = Duration.ofDays(30);

    private final JdbcClient database;

    Devices(Accounts accounts, PersistentTokenRepository tokens, JdbcClient database) {
        super(UUID.randomUUID().toString(), accounts, tokens);
        this.database = database;
        setParameter("remember");
        setCookieName("kemdro-device");
        setTokenValiditySeconds((int) REMEMBERED.toSeconds());
    }

    @Override
    public void logout(HttpServletRequest request, HttpServletResponse response, @Nullable Authentication who) {
        String cookie = extractRememberMeCookie(request);
        cancelCookie(request, response);
        if (cookie != null) {
            database.sql("delete from persistent_logins where series = ?")
                    .param(series(cookie))
                    .update();
        }
    }

    /** What names the device; one that cannot be read names none. */
    private String series(String cookie) {
        try {
            return decodeCookie(cookie)[0];
        } catch (RuntimeException unreadable) {
            return "";
        }
    }
}
