package app.kemdro.web.rooms.house;

import app.kemdro.web.parts.disk.Disk;
import app.kemdro.web.parts.disk.Space;
import app.kemdro.web.parts.mishap.NotPossible;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.keeping.Backup;
import app.kemdro.web.records.keeping.Backup.Why;
import app.kemdro.web.records.keeping.Backups;
import app.kemdro.web.rooms.Rooms;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** How the house is kept: room on the disk, backups, how many of them. */
@Controller
class KeepingController {
    private static final String BACK = "redirect:/house/keeping";
    private static final int MOST = 365;
    private static final Logger LOG = LoggerFactory.getLogger(KeepingController.class);

    private final Backups backups;
    private final Disk disk;
    private final Clock clock;

    KeepingController(Backups backups, Disk disk, Clock clock) {
        this.backups = backups;
        this.disk = disk;
        this.clock = clock;
    }

    /** A backup in a line. */
    record Line(String name, String when, String why, String size) {}

    @GetMapping("/house/keeping")
    String keeping(Model model) {
        List<Backup> kept = backups.kept();
        Space space = disk.space();
        model.addAttribute("free", Space.size(space.free()));
        model.addAttribute("taken", Space.size(disk.taken()));
        model.addAttribute("home", disk.home());
        model.addAttribute("folder", backups.folder());
        model.addAttribute("fault", backups.fault());
        model.addAttribute("latest", kept.isEmpty() ? "" : ago(kept.get(0).at()));
        model.addAttribute("lines", kept.stream().map(this::line).toList());
        model.addAttribute(
                "size", Space.size(kept.stream().mapToLong(Backup::bytes).sum()));
        if (!model.containsAttribute("most")) {
            model.addAttribute("most", Integer.toString(backups.most()));
        }
        return "rooms/house/keeping";
    }

    @PostMapping("/house/keeping/backup")
    String backup(RedirectAttributes after) {
        try {
            after.addFlashAttribute(
                    Rooms.CHANGE,
                    "Made, and read back whole: " + backups.make(Why.ASKED).says() + ".");
        } catch (NotPossible failed) {
            LOG.debug("The page says why, as long as no other one has been made", failed);
        }
        return BACK;
    }

    @PostMapping("/house/keeping/most")
    String most(@RequestParam String most, RedirectAttributes after) {
        if (most.strip().matches("[1-9]\\d{0,2}") && Integer.parseInt(most.strip()) <= MOST) {
            backups.most(Integer.parseInt(most.strip()));
            after.addFlashAttribute(Rooms.CHANGE, "The latest " + most.strip() + " are kept from now on.");
        } else {
            after.addFlashAttribute("most", most);
            after.addFlashAttribute("wrong", "How many are kept is a number from 1 to " + MOST + ", such as 14.");
        }
        return BACK;
    }

    @GetMapping("/house/keeping/{name}")
    ResponseEntity<Resource> file(@PathVariable String name) {
        Backup backup = backups.find(name)
                .orElseThrow(() -> new NotPossible("There is no such backup any more. Go back to House, keeping."));
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_OCTET_STREAM)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + backup.name() + "\"")
                .body(new FileSystemResource(backup.file()));
    }

    private Line line(Backup backup) {
        return new Line(
                backup.name(),
                Words.moment(LocalDateTime.ofInstant(backup.at(), clock.getZone())),
                backup.why().says(),
                Space.size(backup.bytes()));
    }

    private String ago(Instant at) {
        long minutes = Math.max(0, Duration.between(at, clock.instant()).toMinutes());
        if (minutes < 1) {
            return "just now";
        }
        long days = minutes / Duration.ofDays(1).toMinutes();
        return (days > 1 ? days + " days" : Words.span(minutes)) + " ago";
    }
}
