package app.kemdro.web.rooms.floor;

import app.kemdro.web.parts.live.Screens;
import app.kemdro.web.records.floor.FloorLink;
import app.kemdro.web.records.floor.FloorLinks;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.job.Jobs;
import app.kemdro.web.rooms.Rooms;
import java.util.Arrays;
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
    private final Jobs jobs;
    private final FloorLinks links;
    private final Floor floor;
    private final Screens screens;
    private final Rooms rooms;

    FloorController(Jobs jobs, FloorLinks links, Floor floor, Screens screens, Rooms rooms) {
        this.jobs = jobs;
        this.links = links;
        this.floor = floor;
        this.screens = screens;
        this.rooms = rooms;
    }

    @GetMapping("/jobs/{id}/floor")
    String room(@PathVariable long id, Model model) {
        rooms.open(model, jobs.get(id), "floor");
        model.addAttribute("links", links.of(id));
        return "rooms/floor/floor";
    }

    @PostMapping("/jobs/{id}/floor")
    String make(@PathVariable long id, @RequestParam(defaultValue = "false") boolean names, RedirectAttributes after) {
        jobs.get(id);
        if (!links.make(id, names)) {
            after.addFlashAttribute(
                    Rooms.CHANGE, FloorLinks.MOST + " addresses are open already. Take one back first.");
        }
        return "redirect:/jobs/" + id + "/floor";
    }

    @PostMapping("/jobs/{id}/floor/revoke")
    String revoke(@PathVariable long id, @RequestParam String secret) {
        if (links.revoke(id, secret)) {
            screens.end(floor.channel(id));
        }
        return "redirect:/jobs/" + id + "/floor";
    }

    /** The board: no account, nothing but when. */
    @GetMapping("/board/{secret}")
    String board(@PathVariable String secret, Model model) {
        Optional<FloorLink> link = links.behind(secret);
        link.ifPresent(l -> {
            Job job = jobs.get(l.jobId());
            String who = job.brief().performer().name();
            model.addAttribute("title", l.names() ? job.title() + " on " + who : initials(who));
            model.addAttribute("board", floor.now(l.jobId()));
            model.addAttribute("secret", secret);
        });
        return link.isPresent() ? "rooms/floor/board" : "rooms/floor/closed";
    }

    @GetMapping(path = "/board/{secret}/stream", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    ResponseEntity<SseEmitter> stream(@PathVariable String secret) {
        return links.behind(secret)
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
