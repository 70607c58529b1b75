package app.kemdro.web.records.floor;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Makes the floor's addresses, finds what is behind one, and takes them back. */
@Service
public class FloorLinks {
    /** So many may be open for one job. */
    public static final int MOST = 8;

    private static final int SECRET_BYTES = 16;

    private final FloorLinkRepository links;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    FloorLinks(FloorLinkRepository links, Clock clock) {
        this.links = links;
        this.clock = clock;
    }

    /** Addresses of a job that have not been taken back. */
    public List<FloorLink> of(long jobId) {
        return links.findAllByJobIdAndRevokedAtIsNullOrderById(jobId);
    }

    /** What is behind an address; empty where there is nothing or it was taken back. */
    public Optional<FloorLink> behind(String secret) {
        return links.findBySecret(secret).filter(FloorLink::isOpen);
    }

    /**
     * Makes one more.
     *
     * @param names whether character and performer are named there
     * @return whether it was made; not where {@link #MOST} are open
     */
    public boolean make(long jobId, boolean names) {
        if (of(jobId).size() >= MOST) {
            return false;
        }
        byte[] secret = new byte[SECRET_BYTES];
        random.nextBytes(secret);
        links.saveAndFlush(new FloorLink(jobId, HexFormat.of().formatHex(secret), names, LocalDateTime.now(clock)));
        return true;
    }

    /** Takes an address of this job back, and says whether it was one. */
    public boolean revoke(long jobId, String secret) {
        Optional<FloorLink> link = links.findBySecret(secret).filter(l -> l.jobId() == jobId);
        link.ifPresent(l -> {
            l.revoke(LocalDateTime.now(clock));
            links.saveAndFlush(l);
        });
        return link.isPresent();
    }
}
