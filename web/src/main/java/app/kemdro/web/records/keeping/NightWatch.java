package app.kemdro.web.records.keeping;

import app.kemdro.web.parts.disk.Disk;
import app.kemdro.web.parts.live.Background;
import app.kemdro.web.parts.mishap.NotPossible;
import app.kemdro.web.parts.mishap.Unsaid;
import app.kemdro.web.records.deed.Deed.About;
import app.kemdro.web.records.deed.Deeds;
import app.kemdro.web.records.run.Runs;
import java.time.Clock;
import java.time.Instant;
import java.util.Optional;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Makes backups by itself: each night, and at the end of each run. Also holds the disk's reserve. */
@Component
class NightWatch implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(NightWatch.class);
    private static final String NOBODY = "Kemdro";

    /** The first minutes after a start belong to whoever has started it. */
    private static final long FIRST_SECONDS = 300;

    private static final long EVERY_SECONDS = 60;

    private final Backups backups;
    private final Runs runs;
    private final Deeds deeds;
    private final Disk disk;
    private final Clock clock;
    private final boolean wanted;
    private final ScheduledExecutorService watch = Background.thread("night-watch", Thread.MIN_PRIORITY);
    private Optional<Instant> failed = Optional.empty();

    NightWatch(
            Backups backups,
            Runs runs,
            Deeds deeds,
            Disk disk,
            Clock clock,
            @Value("${kemdro.backups.wanted}") boolean wanted) {
        this.backups = backups;
        this.runs = runs;
        this.deeds = deeds;
        this.disk = disk;
        this.clock = clock;
        this.wanted = wanted;
    }

    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        if (wanted) {
            disk.reserve();
            watch.scheduleWithFixedDelay(this::look, FIRST_SECONDS, EVERY_SECONDS, TimeUnit.SECONDS);
        }
    }

    /** Makes a backup where one is due. One that failed is tried again after an hour. */
    void look() {
        try {
            disk.reserve();
            Instant now = clock.instant();
            if (failed.isPresent() && now.isBefore(failed.get().plusSeconds(3600))) {
                return;
            }
            Optional<Instant> last = backups.kept().stream().map(Backup::at).findFirst();
            Optional<Instant> ended =
                    runs.lastEnd().map(end -> end.atZone(clock.getZone()).toInstant());
            Due.at(now, clock.getZone(), last, ended, !runs.atWork().isEmpty()).ifPresent(this::make);
        } catch (RuntimeException e) {
            LOG.warn("It could not be looked whether a backup is due", Unsaid.of(e));
        }
    }

    private void make(Backup.Why why) {
        try {
            Backups.Made made = backups.make(why);
            failed = Optional.empty();
            deeds.did(About.BACKUP, NOBODY, "made a backup " + why.says() + " and read it back: " + made.says());
        } catch (NotPossible e) {
            failed = Optional.of(clock.instant());
            deeds.did(About.BACKUP, NOBODY, String.valueOf(e.getMessage()));
        }
    }

    @Override
    public void destroy() {
        watch.shutdownNow();
    }
}
