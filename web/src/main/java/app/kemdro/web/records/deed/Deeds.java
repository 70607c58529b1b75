package app.kemdro.web.records.deed;

import app.kemdro.web.records.deed.Deed.About;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.context.SecurityContextHolder;
import org.springframework.stereotype.Service;

/** The record of who did what to accounts, health, blocks and backups. */
@Service
public class Deeds {
    private static final int LONGEST = 500;
    private static final int NAME = 80;
    private static final Logger LOG = LoggerFactory.getLogger(Deeds.class);

    private final DeedRepository repository;
    private final Clock clock;

    Deeds(DeedRepository repository, Clock clock) {
        this.repository = repository;
        this.clock = clock;
    }

    /** Whoever is signed in here did this. */
    public void did(About about, String what) {
        Authentication who = SecurityContextHolder.getContext().getAuthentication();
        did(about, who == null ? "nobody" : who.getName(), what);
    }

    /** Somebody did this. */
    public void did(About about, String who, String what) {
        LocalDateTime now = LocalDateTime.now(clock).truncatedTo(ChronoUnit.SECONDS);
        repository.save(new Deed(now, about, cut(who, NAME), cut(what, LONGEST)));
        if (about == About.ACCOUNT) {
            LOG.info("{}: {}", who, what);
        }
    }

    private static String cut(String text, int most) {
        String line = text.replaceAll("\\p{Cntrl}+", " ");
        return line.substring(0, Math.min(most, line.length()));
    }

    /** The latest of one kind or of all, the last first. */
    public List<Deed> latest(Optional<About> about) {
        return about.map(repository::findTop200ByAboutOrderByIdDesc).orElseGet(repository::findTop200ByOrderByIdDesc);
    }
}
