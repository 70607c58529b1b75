package app.kemdro.web.records.account;

import app.kemdro.web.parts.live.Screens;
import java.util.Set;
import org.springframework.security.web.authentication.rememberme.PersistentTokenRepository;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;

/** Where an account is signed in: its sessions, its remembered devices and the screens that listen for it. All three end together. */
@Component
public class SignedIn {
    private final FindByIndexNameSessionRepository<? extends Session> sessions;
    private final PersistentTokenRepository devices;
    private final Screens screens;

    SignedIn(
            FindByIndexNameSessionRepository<? extends Session> sessions,
            PersistentTokenRepository devices,
            Screens screens) {
        this.sessions = sessions;
        this.devices = devices;
        this.screens = screens;
    }

    /** Ends every session, remembered device and listening screen of an account. */
    public void end(String account) {
        endBut(account, "");
    }

    /** The same but for the session somebody sits at. */
    public void endBut(String account, String session) {
        devices.removeUserTokens(account);
        Set<String> all = Set.copyOf(sessions.findByPrincipalName(account).keySet());
        all.stream().filter(id -> !id.equals(session)).forEach(id -> {
            sessions.deleteById(id);
            screens.endIn(id);
        });
    }
}
