package app.kemdro.web.records.account;

import app.kemdro.web.parts.live.Background;
import app.kemdro.web.parts.live.Screens;
import app.kemdro.web.parts.mishap.Unsaid;
import java.util.Set;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.security.web.authentication.rememberme.PersistentTokenRepository;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;

/** Where an account is signed in: its sessions, its remembered devices and the screens that listen for it. All three end together. */
@Component
public class SignedIn implements DisposableBean {
    private static final int LOOK_EVERY = 60;
    private static final Logger LOG = LoggerFactory.getLogger(SignedIn.class);

    private final FindByIndexNameSessionRepository<? extends Session> sessions;
    private final PersistentTokenRepository devices;
    private final Screens screens;
    private final ScheduledExecutorService beside = Background.thread("sessions");

    SignedIn(
            FindByIndexNameSessionRepository<? extends Session> sessions,
            PersistentTokenRepository devices,
            Screens screens) {
        this.sessions = sessions;
        this.devices = devices;
        this.screens = screens;
        beside.scheduleWithFixedDelay(this::endWhatIsOver, LOOK_EVERY, LOOK_EVERY, TimeUnit.SECONDS);
    }

    /** A session that ends by its time tells nobody: screens that listen in it end with it. */
    public void endWhatIsOver() {
        try {
            screens.sessions().stream()
                    .filter(id -> sessions.findById(id) == null)
                    .forEach(screens::endIn);
        } catch (RuntimeException e) {
            LOG.warn("Which sessions are over could not be looked up", Unsaid.of(e));
        }
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

    @Override
    public void destroy() {
        beside.shutdownNow();
    }
}
