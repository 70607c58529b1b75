package app.kemdro.core.run;

import static app.kemdro.core.plan.Samples.assistant;
import static app.kemdro.core.plan.Samples.brief;
import static app.kemdro.core.plan.Samples.entry;
import static app.kemdro.core.plan.Samples.lead;
import static app.kemdro.core.plan.Samples.look;
import static app.kemdro.core.plan.Samples.planned;
import static org.assertj.core.api.Assertions.assertThat;

import app.kemdro.core.material.MaterialRole;
import app.kemdro.core.plan.Plan;
import app.kemdro.core.plan.PlannedStep;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import org.junit.jupiter.api.Test;

/** Which films are shown, how each stands, and which is looked at first. */
class FilmsTest {
    private static final Plan PIECES = planned(
            look(entry("silicone-silicone", "cheek-left"), entry("silicone-silicone", "cheek-right")),
            brief(lead("Ines"), assistant("Pell")));

    private final List<RunEvent> events = new ArrayList<>();

    private void report(int second, Function<Stamp, RunEvent> event) {
        events.add(event.apply(new Stamp("e" + events.size(), PIECES.clock(second), "Ines")));
    }

    private void done(PlannedStep step, int from, int to) {
        int mode = PIECES.schedule().of(step.id()).mode();
        report(from, s -> new RunEvent.Start(s, step.id(), mode, false));
        report(to, s -> new RunEvent.Finish(s, step.id()));
    }

    private List<LiveFilm> films(int second) {
        return new Chair(PIECES, RunState.of(events)).films(PIECES.clock(second));
    }

    private static PlannedStep glue(String zone) {
        return PIECES.steps().stream()
                .filter(s -> s.zones().contains(zone) && s.drying().isPresent())
                .filter(s -> s.material().map(m -> m.is(MaterialRole.GLUE)).orElse(false))
                .findFirst()
                .orElseThrow();
    }

    /** Wet, then grabbing, then closed; the glue of each cheek by itself, the one that is clear first coming first. */
    @Test
    void eachFilmHasItsOwnClock() {
        PlannedStep left = glue("cheek-left");
        PlannedStep right = glue("cheek-right");
        done(left, 100, 160);
        done(right, 90, 150);
        List<LiveFilm> films = films(161);
        assertThat(films).extracting(f -> f.step().id()).containsExactly(right.id(), left.id());
        LiveFilm film = films.get(1);
        assertThat(film.zones()).containsExactly("cheek-left");
        assertThat(film.laid()).isEqualTo(PIECES.clock(160));
        assertThat(film.at(PIECES.clock(160))).isEqualTo(LiveFilm.State.WET);
        LocalDateTime tacky = film.tacky();
        assertThat(tacky).isNotNull().isAfter(PIECES.clock(160));
        assertThat(film.at(tacky.minusSeconds(1))).isEqualTo(LiveFilm.State.WET);
        assertThat(film.at(tacky)).as("it closes within two minutes").isEqualTo(LiveFilm.State.CLOSING);
        LocalDateTime closes = film.closes();
        assertThat(closes).isNotNull().isAfter(tacky);
        assertThat(film.at(closes.minusSeconds(1))).isEqualTo(LiveFilm.State.CLOSING);
        assertThat(film.at(closes)).isEqualTo(LiveFilm.State.DRY);
        assertThat(film.confirmed()).isFalse();
    }

    /** Who looked says when; "not yet" only puts it off. */
    @Test
    void whoeverLookedIsBelieved() {
        PlannedStep left = glue("cheek-left");
        done(left, 100, 160);
        LocalDateTime clear = films(161).get(0).clear();
        report(170, s -> new RunEvent.NotYet(s, left.id(), 30));
        assertThat(films(171).get(0).clear())
                .as("sooner than it is thought anyway")
                .isEqualTo(clear);
        report(180, s -> new RunEvent.NotYet(s, left.id(), 7200));
        assertThat(films(181).get(0).clear())
                .as("a minute at least, and two hours more")
                .isEqualTo(PIECES.clock(170 + 60 + 7200));
        report(200, s -> new RunEvent.Clear(s, left.id()));
        LiveFilm looked = films(201).get(0);
        assertThat(looked.clear()).isEqualTo(PIECES.clock(200));
        assertThat(looked.confirmed()).isTrue();
        assertThat(looked.at(PIECES.clock(201))).isEqualTo(LiveFilm.State.DRY);
    }

    /** What is clear stands behind what is still to be looked at, though it was clear first. */
    @Test
    void whatIsClearComesLast() {
        PlannedStep left = glue("cheek-left");
        PlannedStep right = glue("cheek-right");
        done(right, 30, 90);
        done(left, 100, 160);
        report(161, s -> new RunEvent.Clear(s, right.id()));
        assertThat(films(170)).extracting(f -> f.step().id()).containsExactly(left.id(), right.id());
    }

    /** Once something is begun on it it is nobody's clock any more; what lay there before, or lies elsewhere, changes nothing. */
    @Test
    void whatIsWorkedOverIsNoFilm() {
        PlannedStep left = glue("cheek-left");
        PlannedStep press = next(left);
        done(left, 100, 160);
        report(200, s -> new RunEvent.Start(s, press.id()));
        assertThat(films(201)).isEmpty();
        events.clear();
        done(left, 100, 160);
        report(160, s -> new RunEvent.Start(s, press.id()));
        assertThat(films(201))
                .as("begun in the same second, and it comes after it")
                .isEmpty();
        events.clear();
        report(90, s -> new RunEvent.Start(s, press.id()));
        done(left, 100, 160);
        assertThat(films(201)).as("begun before it was laid").hasSize(1);
    }

    private static PlannedStep next(PlannedStep film) {
        String to = PIECES.network().lags().stream()
                .filter(l -> l.from().equals(film.id())
                        && PIECES.step(l.to()).zones().containsAll(film.zones()))
                .findFirst()
                .orElseThrow()
                .to();
        return PIECES.step(to);
    }

    /** Alcohol on skin is gone once it has dried: nobody looks at it. */
    @Test
    void whatCleansIsNotLookedAtOnceItIsDry() {
        PlannedStep wipe = PIECES.steps().stream()
                .filter(s -> s.drying().isPresent()
                        && s.material().map(m -> m.is(MaterialRole.CLEANS)).orElse(false))
                .findFirst()
                .orElseThrow();
        done(wipe, 0, 60);
        List<LiveFilm> wet = films(61);
        assertThat(wet).hasSize(1);
        int clear = (int) Duration.between(PIECES.chairIn(), wet.get(0).clear()).getSeconds();
        assertThat(films(clear)).isEmpty();
    }
}
