package app.kemdro.web.parts.disk;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * The disk the house lies on. A file of a few megabytes is held in reserve, so that there is still room for what is small, as who is
 * signed in and what is pressed in the chair, when something else has filled the disk.
 */
@Component
public class Disk {
    static final String RESERVE = "kemdro.reserve";
    static final String TRIED = "kemdro.tried";
    private static final String DATA = "kemdro.mv.db";
    private static final int RESERVED = 16_000_000;

    /** The reserve is put aside again only where so much is left besides. */
    private static final long PLENTY = 100_000_000;

    private static final Logger LOG = LoggerFactory.getLogger(Disk.class);

    private final Path home;
    private volatile Space said = new Space(Long.MAX_VALUE, true);

    /** Whether something could not be written; then it is tried before anybody is told that it can. */
    private volatile boolean suspect;

    Disk(@Value("${kemdro.home}") Path home) {
        this.home = home.toAbsolutePath();
    }

    /** How it stands now. */
    public Space space() {
        Space space = measured();
        if (space.writable() && space.keeps().isLittle() && giveReserve()) {
            space = measured();
        }
        tell(space);
        return space;
    }

    /** Something could not be written though it seemed that it could, as where the system has taken the right to write away. */
    public void hasFailed() {
        suspect = true;
    }

    /** It in a sentence for every page; empty where there is nothing to say. */
    public String says() {
        return space().says();
    }

    /** What everything the house holds takes, neither backups nor the reserve counted, bytes. */
    public long taken() {
        return home.resolve(DATA).toFile().length();
    }

    /** The folder the house lies in. */
    public Path home() {
        return home;
    }

    private Space measured() {
        Path data = home.resolve(DATA);
        try {
            Path there = Files.exists(data) ? data : standing(home);
            Space space = new Space(Files.getFileStore(there).getUsableSpace(), Files.isWritable(there));
            // where there is no room nothing can be tried either
            return space.keeps() == Space.Keeps.NOTHING || isWritten() ? space : new Space(space.free(), false);
        } catch (IOException e) {
            LOG.warn("The disk could not be measured: {}", e.getMessage());
            return new Space(0, false);
        }
    }

    /** Whether a disk that has failed can be written again: as soon as it was, nothing more is tried. */
    private boolean isWritten() {
        if (!suspect) {
            return true;
        }
        Path tried = home.resolve(TRIED);
        try {
            Files.write(
                    tried, new byte[1], StandardOpenOption.CREATE, StandardOpenOption.SYNC, StandardOpenOption.WRITE);
            Files.delete(tried);
            suspect = false;
        } catch (IOException e) {
            LOG.debug("The disk cannot be written", e);
        }
        return !suspect;
    }

    /** The folder, or what would hold it. */
    private static Path standing(Path folder) {
        Path there = folder;
        while (!Files.exists(there) && there.getParent() != null) {
            there = there.getParent();
        }
        return there;
    }

    /** Puts the reserve aside where there is plenty of room; otherwise another time. */
    public void reserve() {
        Path file = home.resolve(RESERVE);
        if (Files.exists(file) || measured().free() < PLENTY) {
            return;
        }
        try {
            // written and not only made long: a file of holes would reserve nothing
            Files.write(file, new byte[RESERVED]);
        } catch (IOException e) {
            giveReserve();
        }
    }

    private boolean giveReserve() {
        try {
            return Files.deleteIfExists(home.resolve(RESERVE));
        } catch (IOException e) {
            return false;
        }
    }

    /** Says it in the log once, and once when it is over. */
    private void tell(Space space) {
        if (space.keeps() != said.keeps() || space.writable() != said.writable()) {
            said = space;
            LOG.warn("{}", space.says().isEmpty() ? "There is room on the disk again." : space.says());
        }
    }
}
