package app.kemdro.web.records.keeping;

import app.kemdro.web.parts.disk.Disk;
import app.kemdro.web.parts.disk.Space;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import java.util.Optional;
import org.springframework.boot.health.contributor.AbstractHealthIndicator;
import org.springframework.boot.health.contributor.Health;
import org.springframework.stereotype.Component;

/** For whoever runs it: is there room, and how old is the latest backup. */
@Component
class KeepingHealth extends AbstractHealthIndicator {
    /** A night that was missed and a day of work behind it. */
    private static final Duration OLD = Duration.ofHours(48);

    private final Disk disk;
    private final Backups backups;
    private final Clock clock;

    KeepingHealth(Disk disk, Backups backups, Clock clock) {
        super("What is kept could not be looked at");
        this.disk = disk;
        this.backups = backups;
        this.clock = clock;
    }

    @Override
    protected void doHealthCheck(Health.Builder health) {
        Space space = disk.space();
        Optional<Instant> last = backups.kept().stream().map(Backup::at).findFirst();
        boolean old = last.isPresent() && last.get().isBefore(clock.instant().minus(OLD));
        health.withDetail("free bytes", space.free())
                .withDetail(
                        "keeps", space.keeps().name().toLowerCase(Locale.ROOT).replace('_', ' '))
                .withDetail("last backup", last.map(Instant::toString).orElse("none yet"));
        if (space.keeps().isLittle() || old || !backups.fault().isEmpty()) {
            health.down();
        } else {
            health.up();
        }
    }
}
