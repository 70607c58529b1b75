package app.kemdro.web.rooms;

import app.kemdro.core.hour.Wall;
import app.kemdro.core.look.Wish;
import app.kemdro.core.plan.Plan;
import app.kemdro.web.parts.json.Json;
import app.kemdro.web.parts.live.ShownAhead;
import app.kemdro.web.parts.ribbon.Ribbon;
import app.kemdro.web.parts.typed.SaysMeanwhile;
import app.kemdro.web.parts.words.Words;
import app.kemdro.web.records.job.Job;
import app.kemdro.web.records.plan.PlannedAhead;
import app.kemdro.web.records.plan.Plans;
import app.kemdro.web.records.plan.Plans.Answer;
import app.kemdro.web.records.run.Runs;
import app.kemdro.web.records.search.Searches;
import app.kemdro.web.records.shelf.InRoom;
import app.kemdro.web.records.shelf.Shelf;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** Opens a room of a job: the header, the ribbon and the sentence under it are the same everywhere. */
@Component
public class Rooms {
    /** Under this name a room is told what the last change did; it is said before the plan's own sentence. */
    public static final String CHANGE = SaysMeanwhile.CHANGE;

    /** With more letters than these, what only has to be seen to stands in the header as a number. */
    private static final int LETTERS = 60;

    /** The longest that somebody sits before the call. */
    private static final int NIGHT_HOURS = 14;

    /** Whether somebody has changed a job since the page was made that carries what was meant then; a page that carries none is not asked. */
    public static boolean isOverdue(String had, Job job) {
        return !had.isEmpty() && !had.equals(job.meant());
    }

    /** Said where a press was meant for what stood there before. */
    public static final String CHANGED_MEANWHILE =
            "This was changed on another screen meanwhile, and stands as you see it now. Nothing of yours was done; press again if you still mean it.";

    /** Rooms that show an order settling. */
    private static final Set<String> SETTLING = Set.of("brief", "look", "order");

    private final Plans plans;
    private final Json json;
    private final Searches searches;
    private final Shelf shelf;
    private final Runs runs;
    private final Cache<Answer, Strip> strips = Caffeine.newBuilder().weakKeys().build();

    /** A ribbon as it is sent, with hours of this zone. */
    private record Strip(ZoneId zone, String json) {}

    /**
     * The ribbon of a plan. What its wishes cost may become known later, and is said then.
     *
     * @param json as it is sent; drawn when it is written, which a room that was written ahead is no more
     */
    private record Drawn(Supplier<String> json, ZoneId zone, Answer of) implements ShownAhead.Said {
        @Override
        public Object shown() {
            return List.of(zone, of);
        }

        @Override
        public String toString() {
            return json.get();
        }
    }

    /**
     * Whether a room follows a search that may change its order. One that is written ahead does: by the press a search may have begun, and
     * where none has, it is told so.
     */
    record Settles(boolean follows) implements ShownAhead.Said {
        @Override
        public Object shown() {
            return "";
        }
    }

    Rooms(Plans plans, Searches searches, Shelf shelf, Runs runs, Json json) {
        this.runs = runs;
        this.plans = plans;
        this.shelf = shelf;
        this.searches = searches;
        this.json = json;
    }

    /** Fills what every room shows and returns the plan if there is one. */
    public Optional<Plan> open(Model model, Job job, String room) {
        Answer answer = plans.of(job);
        Optional<Plan> plan = answer.plan();
        model.addAttribute("job", job);
        model.addAttribute("room", room);
        LocalDateTime call = job.brief().call();
        Wall.line()
                .flatMap(line -> line.changes(call.minusHours(NIGHT_HOURS), call))
                .ifPresent(says -> model.addAttribute("clocks", says));
        model.addAttribute("problems", answer.problems());
        model.addAttribute("ribbon", new Drawn(() -> ribbon(answer, call), Wall.zone(), answer));
        model.addAttribute("says", plan.map(p -> says(p)).orElse("No plan yet."));
        model.addAttribute(
                "saysAlso",
                plan.flatMap(p -> answer.confidence().map(c -> Words.nineOfTen(p, c)))
                        .orElse(""));
        List<InRoom> ways = shelf.inTheWay(job, answer);
        model.addAttribute("inTheWay", ways.stream().collect(Collectors.toMap(InRoom::room, Function.identity())));
        model.addAttribute(
                "next", runs.wereSeenThrough() ? null : Next.after(room).orElse(null));
        model.addAttribute(
                "tight", ways.stream().mapToInt(w -> w.says().length()).sum() > LETTERS);
        model.addAttribute(
                "settles",
                new Settles(SETTLING.contains(room)
                        && (job.isSupposed() || searches.state(job).looking())));
        model.addAttribute("found", searches.found(job));
        return plan;
    }

    @EventListener
    void ahead(PlannedAhead would) {
        ribbon(would.answer(), would.job().brief().call());
    }

    /** Drawn once for each plan and what its wishes cost, and again where the house has moved to another zone of time. */
    private String ribbon(Answer answer, LocalDateTime call) {
        Strip known = strips.getIfPresent(answer);
        if (known == null || !known.zone().equals(Wall.zone())) {
            Optional<Map<Wish, Integer>> costs = answer.wishes().known();
            Ribbon drawn = answer.plan()
                    .map(p -> Ribbon.of(p, answer.confidence().orElse(null))
                            .holding(p, answer.look().wishes(), costs.orElse(Map.of())))
                    .orElseGet(() -> Ribbon.empty(call));
            known = new Strip(Wall.zone(), json.text(drawn));
            if (costs.isPresent()) {
                strips.put(answer, known);
            }
        }
        return known.json();
    }

    private static String says(Plan plan) {
        return "Ready " + Words.ready(plan.ready()) + ", " + Words.inHand(Words.minutesInHand(plan)) + ".";
    }
}
