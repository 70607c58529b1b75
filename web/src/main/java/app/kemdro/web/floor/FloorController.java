package app.kemdro.web.floor;

import app.kemdro.web.chair.Floor;
import app.kemdro.web.job.Job;
import app.kemdro.web.job.Jobs;
import app.kemdro.web.live.Screens;
import app.kemdro.web.room.Rooms;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The floor room, where addresses are made and taken back, and the board that stands behind each. */
@Controller
class FloorController {
    private static final int SECRET_BYTES = 16;
    private static final int MOST = 8;

    private final Jobs jobs;
    private final FloorLinks links;
    private final Floor floor;
    private final Screens screens;
    private final Rooms rooms;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    FloorController(Jobs jobs, FloorLinks links, Floor floor, Screens screens, Rooms rooms, Clock clock) {
        this.jobs = jobs;
        this.links = links;
        this.floor = floor;
        this.screens = screens;
        this.rooms = rooms;
        this.clock = clock;
    }

    @GetMapping("/jobs/{id}/floor")
    String room(@PathVariable long id, Model model) {
        rooms.open(model, jobs.get(id), "floor");
        model.addAttribute("links", links.findAllByJobIdAndRevokedAtIsNullOrderById(id));
        return "floor/floor";
    }

    @PostMapping("/jobs/{id}/floor")
    String make(@PathVariable long id, @RequestParam(defaultValue = "false") boolean names, RedirectAttributes after) {
        jobs.get(id);
        if (links.findAllByJobIdAndRevokedAtIsNullOrderById(id).size() >= MOST) {
            after.addFlashAttribute(Rooms.CHANGE, MOST + " addresses are open already. Take one back first.");
        } else {
            byte[] secret = new byte[SECRET_BYTES];
            random.nextBytes(secret);
            links.saveAndFlush(new FloorLink(id, HexFormat.of().formatHex(secret), names, LocalDateTime.now(clock)));
        }
        return "redirect:/jobs/" + id + "/floor";
    }

    @PostMapping("/jobs/{id}/floor/revoke")
    String revoke(@PathVariable long id, @RequestParam String secret) {
        links.findBySecret(secret).filter(l -> l.jobId() == id).ifPresent(l -> {
            l.revoke(LocalDateTime.now(clock));
            links.saveAndFlush(l);
            screens.end(floor.channel(id));
        });
        return "redirect:/jobs/" + id + "/floor";
    }

    private Optional<FloorLink> open(String secret) {
        return links.findBySecret(secret).filter(FloorLink::isOpen);
    }

    /** The board: no account, nothing but when. */
    @GetMapping("/board/{secret}")
    String board(@PathVariable String secret, Model model) {
        Optional<FloorLink> link = open(secret);
        link.ifPresent(l -> {
            Job job = jobs.get(l.jobId());
            String who = job.brief().performer().name();
            model.addAttribute("title", l.names() ? job.title() + " on " + who : initials(who));
            model.addAttribute("board", floor.now(l.jobId()));
            model.addAttribute("secret", secret);
        });
        return link.isPresent() ? "floor/board" : "floor/closed";
    }

    @GetMapping(path = "/board/{secret}/stream", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    ResponseEntity<SseEmitter> stream(@PathVariable String secret) {
        return open(secret)
                .map(l -> ResponseEntity.ok(screens.listen(floor.channel(l.jobId()), floor.now(l.jobId()))))
                .orElseGet(() -> ResponseEntity.status(HttpStatus.GONE).build());
    }

    private static String initials(String name) {
        return Arrays.stream(name.split("\\s+"))
                .filter(w -> !w.isEmpty())
                .map(w -> w.substring(0, 1) + ".")
                .collect(Collectors.joining(" "));
    }
}
