package app.kemdro.core.plan;

import app.kemdro.core.body.Capitals;
import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Hands;
import app.kemdro.core.look.Brief.Room;
import app.kemdro.core.look.Brief.Skill;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.Role;
import app.kemdro.core.method.Technique;
import app.kemdro.core.method.Technique.Effect;
import app.kemdro.core.method.Trade;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** What would buy time: every measure is planned again, and ranked by the minutes it really saves. */
public final class Levers {
    /** Less than this is not worth a word, seconds. */
    private static final int WORTH = 60;

    private static final int MOST_HANDS = 3;
    private static final int TRIED_TOGETHER = 4;

    private final Trade trade;
    private final LookPlanner planner;

    /** Plans with this planner; a rough one will do, because rough plans are compared with rough ones. */
    public Levers(Trade trade, LookPlanner planner) {
        this.trade = trade;
        this.planner = planner;
    }

    /**
     * A measure.
     *
     * @param says what is done, as on the button
     * @param saved seconds by which all is ready sooner
     * @param euros what it costs more, or saves where it is negative, a day
     * @param risk what may go wrong with it, empty where nothing special may
     */
    public record Lever(String says, int saved, double euros, String risk, Look look, Brief brief) {
        /** The same, saving as much as a better plan says. */
        public Lever saving(int seconds) {
            return new Lever(says, seconds, euros, risk, look, brief);
        }
    }

    /**
     * A change that may save time.
     *
     * @param says what is done, as on the button
     * @param risk what may go wrong with it, empty where nothing special may
     */
    public record Measure(String says, String risk, Look look, Brief brief) {
        /** Two measures said as one, for what both make of a look and a brief. */
        public static Measure both(String one, String oneRisk, String other, String otherRisk, Look look, Brief brief) {
            return new Measure(one + ", and " + Capitals.low(other), (oneRisk + " " + otherRisk).strip(), look, brief);
        }
    }

    /** Measures that save time, the most saving first; then pairs of the best of them. */
    public List<Lever> of(Look look, Brief brief) {
        Optional<Plan> now = plan(look, brief);
        if (now.isEmpty()) {
            return List.of();
        }
        List<Lever> levers = new ArrayList<>();
        for (Measure measure : measures(look, brief)) {
            weigh(measure, now.get()).ifPresent(levers::add);
        }
        levers.sort(Comparator.comparingInt(Lever::saved).reversed());
        return List.copyOf(levers);
    }

    /** Pairs of the best measures that save more together than either alone. */
    public List<Lever> pairs(List<Lever> levers, Look look, Brief brief) {
        Optional<Plan> now = plan(look, brief);
        List<Lever> pairs = new ArrayList<>();
        List<Lever> best = levers.subList(0, Math.min(TRIED_TOGETHER, levers.size()));
        for (int a = 0; a < best.size() && now.isPresent(); a++) {
            for (int b = a + 1; b < best.size(); b++) {
                Lever one = best.get(a);
                Lever other = best.get(b);
                both(one, other, look, brief)
                        .flatMap(m -> weigh(m, now.get()))
                        .filter(p -> p.saved() > Math.max(one.saved(), other.saved()) + WORTH)
                        .ifPresent(pairs::add);
            }
        }
        pairs.sort(Comparator.comparingInt(Lever::saved).reversed());
        return List.copyOf(pairs);
    }

    /** Two measures that change different things. */
    private static Optional<Measure> both(Lever one, Lever other, Look look, Brief brief) {
        boolean looks = !one.look().equals(look) && !other.look().equals(look);
        boolean briefs = !one.brief().equals(brief) && !other.brief().equals(brief);
        if (briefs) {
            return Optional.empty();
        }
        Look joined =
                looks ? joined(look, one.look(), other.look()) : one.look().equals(look) ? other.look() : one.look();
        return Optional.of(Measure.both(
                one.says(),
                one.risk(),
                other.says(),
                other.risk(),
                joined,
                one.brief().equals(brief) ? other.brief() : one.brief()));
    }

    /** Both changes of a look, entry by entry. */
    private static Look joined(Look look, Look one, Look other) {
        List<LookEntry> entries = new ArrayList<>();
        for (LookEntry entry : look.entries()) {
            Optional<LookEntry> a = one.entry(entry.id());
            Optional<LookEntry> b = other.entry(entry.id());
            if (a.isPresent() && b.isPresent()) {
                entries.add(a.get().equals(entry) ? b.get() : a.get());
            }
        }
        return look.with(entries);
    }

    private Optional<Plan> plan(Look look, Brief brief) {
        return planner.plan(look, brief) instanceof Planning.Done done ? Optional.of(done.plan()) : Optional.empty();
    }

    private Optional<Lever> weigh(Measure measure, Plan now) {
        return plan(measure.look(), measure.brief())
                .filter(p -> now.schedule().ready() - p.schedule().ready() >= WORTH)
                // no minutes are worth another boundary that does not hold
                .filter(p -> p.troubles() <= now.troubles())
                .map(p -> new Lever(
                        measure.says(),
                        now.schedule().ready() - p.schedule().ready(),
                        dearer(p, now),
                        measure.risk(),
                        measure.look(),
                        measure.brief()));
    }

    /** By how much this plan costs more than another, €; negative where it costs less. */
    public double dearer(Plan plan, Plan other) {
        return Costs.euros(plan.steps(), plan.brief().performer(), trade)
                - Costs.euros(other.steps(), other.brief().performer(), trade);
    }

    /** Every change that may save time, whether it does or not. */
    public List<Measure> measures(Look look, Brief brief) {
        List<Measure> all = new ArrayList<>();
        all.addAll(hands(look, brief));
        all.addAll(dryer(look, brief));
        for (LookEntry entry : look.entries()) {
            Technique technique = trade.technique(entry.techniqueId());
            all.addAll(schools(look, brief, entry, technique));
            all.addAll(fewer(look, brief, entry, technique));
            all.addAll(without(look, brief, entry, technique));
        }
        return all;
    }

    private static List<Measure> hands(Look look, Brief brief) {
        if (brief.crew().size() >= MOST_HANDS) {
            return List.of();
        }
        Hands first = brief.crew().get(0);
        List<Hands> crew = new ArrayList<>(brief.crew());
        crew.add(new Hands("Another pair of hands", Skill.ASSISTANT, first.from(), first.until()));
        return List.of(new Measure(
                "Another pair of hands", "Two at one face must agree on who leads.", look, brief.with(crew)));
    }

    private static List<Measure> dryer(Look look, Brief brief) {
        Room room = brief.room();
        if (room.dryers() > 0 && room.dryers() >= brief.crew().size()) {
            return List.of();
        }
        return List.of(new Measure(
                room.dryers() == 0 ? "A hand dryer on cool" : "Another hand dryer on cool",
                "Never on warm at a face or a cap.",
                look,
                brief.in(new Room(room.temperatureC(), room.humidityPercent(), room.dryers() + 1))));
    }

    private List<Measure> schools(Look look, Brief brief, LookEntry entry, Technique technique) {
        return trade.schoolsBeside(technique, entry.zones()).stream()
                .filter(t -> fits(t, entry, brief))
                .filter(t -> Reactions.barring(
                                t, entry.zones(), brief.performer().reactsTo(), trade)
                        .isEmpty())
                .map(t -> new Measure(
                        t.name() + " instead of " + Capitals.low(technique.name()) + ", "
                                + trade.body().say(entry.zones()),
                        risk(t),
                        look.changing(entry.id(), e -> e.by(t.id())),
                        brief))
                .toList();
    }

    /** A school that is poor for what this job is saves nothing that anybody wants. */
    private boolean fits(Technique school, LookEntry entry, Brief brief) {
        return Facts.of(brief, entry.zones(), false, trade).stream()
                .noneMatch(school.profile().poorFor()::contains);
    }

    private static String risk(Technique t) {
        String unseen = t.profile().neverFilmed();
        return (t.profile().risk() + (unseen.isEmpty() ? "" : " Never filmed: " + Capitals.low(unseen))).strip();
    }

    private List<Measure> fewer(Look look, Brief brief, LookEntry entry, Technique technique) {
        int coats = entry.coats() == 0 ? technique.coats().usual() : entry.coats();
        if (coats <= technique.coats().least()) {
            return List.of();
        }
        return List.of(new Measure(
                "One " + singular(technique.coats().word()) + " less of " + Capitals.low(technique.name()) + ", "
                        + trade.body().say(entry.zones()),
                "A thinner build shows or lifts sooner.",
                look.changing(entry.id(), e -> e.coated(coats - 1)),
                brief));
    }

    private static String singular(String word) {
        return word.endsWith("s") ? word.substring(0, word.length() - 1) : word;
    }

    /** What only breaks up or finishes a surface can be left out. */
    private List<Measure> without(Look look, Brief brief, LookEntry entry, Technique technique) {
        boolean optional = technique.effect() == Effect.TEXTURE || technique.effect() == Effect.FINISH;
        boolean needed = technique.is(Role.BLENDS_EDGES) || look.entries().size() < 2;
        if (!optional || needed) {
            return List.of();
        }
        return List.of(new Measure(
                "Without " + Capitals.low(technique.name()) + ", "
                        + trade.body().say(entry.zones()),
                "The character loses it.",
                look.without(entry.id()),
                brief));
    }
}
