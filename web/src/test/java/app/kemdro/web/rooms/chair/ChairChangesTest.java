package app.kemdro.web.rooms.chair;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.StepState.Status;
import app.kemdro.core.schedule.ScheduledTask;
import app.kemdro.web.parts.sensor.Reading;
import app.kemdro.web.parts.sensor.RoomSensor;
import app.kemdro.web.records.run.RoomWatch;
import java.time.Duration;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** What is decided in the chair changes the rest of the plan, and every screen says so. */
class ChairChangesTest extends Seated {
    @Test
    void troubleBringsItsRepairIntoTheOrderAndSaysSo() throws Exception {
        carryOut(Duration.ofMinutes(40));
        String troubles = get("troubles");
        Matcher lifted = Pattern.compile("\"id\":\"lifted-edge\".*?\"step\":\"([^\"]+)\"")
                .matcher(troubles);
        assertThat(lifted.find()).as(troubles).isTrue();
        int steps = now().plan().steps().size();
        Said said = press("TROUBLE", lifted.group(1), "Ines", "lifted-edge");
        assertThat(said.status()).isEqualTo(200);
        assertThat(said.body()).contains("comes in at");
        assertThat(now().plan().steps()).hasSize(steps + 4);
        press("UNDO", "", "Ines", "");
        assertThat(now().plan().steps()).hasSize(steps);
        assertThat(press("TROUBLE", lifted.group(1), "Ines", "popped-brow").body())
                .contains("does not happen to");
    }

    @Test
    void leversComeWhenTheCallIsInDangerAndArePulledByWhatTheySay() throws Exception {
        ScheduledTask first = next("Ines");
        press("START", first.task(), "Ines", "");
        press("tablet", "ADD", first.task(), "Ines", "", 3600, 0);
        int late = now().schedule().ready();
        String helps = get("levers");
        assertThat(helps).contains("\"says\"").contains("\"acts\"");
        Matcher drop =
                Pattern.compile("\"type\":\"DROP\",\"step\":\"([^\"]+)\"").matcher(helps);
        if (drop.find()) {
            assertThat(press("DROP", drop.group(1), "Ines", "no time").status()).isEqualTo(200);
            assertThat(now().schedule().ready()).isLessThan(late);
        }
        assertThat(press("JOIN", "", "Marit", "LEAD").status()).isEqualTo(200);
        assertThat(now().schedule().ready()).isLessThan(late);
        assertThat(press("DROP", first.task().substring(0, 4), "Ines", "").status())
                .isEqualTo(409);
    }

    @Test
    void aReactionStopsEverythingAndIsKept() throws Exception {
        ScheduledTask first = next("Ines");
        press("START", first.task(), "Ines", "");
        String view = press("REACTION", "", "Ines", "left cheek burns").body();
        assertThat(view).contains("\"pauseWhy\":\"reaction\"");
        assertThat(now().state().step(first.task()).status()).isEqualTo(Status.WAITING);
        assertThat(press("START", first.task(), "Ines", "").body()).contains("End it first");
        assertThat(get("off")).contains("Mouth, nose and eyes first");
    }

    @Test
    void theRoomIsTakenOverWhenItIsAnotherOne() throws Exception {
        double before = now().plan().network().tasks().stream()
                .mapToInt(t -> t.modes().get(0).settled())
                .sum();
        assertThat(press("ROOM", "", "", "26.0;80;1").status()).isEqualTo(200);
        assertThat(now().plan().network().tasks().stream()
                        .mapToInt(t -> t.modes().get(0).settled())
                        .sum())
                .isGreaterThan((int) (before * 1.15));
        assertThat(get("state")).contains("26 °C, 80 %");
    }

    @Test
    void theSensorIsFollowedWhenTheRoomChangesAndNotBefore() {
        RoomSensor sensor = mock(RoomSensor.class);
        RoomWatch watch = new RoomWatch(sensor, runs, standings, reports, jobs);
        var counted = now().plan().brief().room();
        when(sensor.now())
                .thenReturn(Optional.of(
                        new Reading(clock.instant(), counted.temperatureC() + 1, counted.humidityPercent() - 4)));
        watch.look();
        assertThat(now().plan().brief().room()).isEqualTo(counted);
        when(sensor.now()).thenReturn(Optional.of(new Reading(clock.instant(), 26.1, 80.4)));
        watch.look();
        assertThat(now().plan().brief().room())
                .as("nobody said that it is done where the sensor is")
                .isEqualTo(counted);
        jobs.change(job.id(), j -> j.atSensor(true));
        watch.look();
        watch.look();
        watch.destroy();
        assertThat(now().plan().brief().room().humidityPercent()).isEqualTo(80);
        assertThat(now().state().events())
                .filteredOn(RunEvent.Room.class::isInstance)
                .hasSize(1);
    }

    /** Whoever reports trouble and takes back what came before it can still end the run. */
    @Test
    void troubleTakenBackStepByStepLeavesARunThatEnds() throws Exception {
        carryOut(Duration.ofMinutes(40));
        Matcher any = Pattern.compile("\"id\":\"([a-z-]+)\"[^\\]]*?\"step\":\"([^\"]+)\"")
                .matcher(get("troubles"));
        assertThat(any.find()).isTrue();
        assertThat(press("TROUBLE", any.group(2), "Pell", any.group(1)).status())
                .isEqualTo(200);
        for (int k = 0; k < 6; k++) {
            assertThat(press("UNDO", "", "Ines", "").status()).isIn(200, 409);
        }
        assertThat(press("JOIN", "", "Marit", "LEAD").status()).isEqualTo(200);
        assertThat(press("ROOM", "", "", "24.0;50;1").status()).isEqualTo(200);
        assertThat(press("END", "", "Ines", "").status()).isEqualTo(200);
    }

    /** Rules of the house on what lies on the body: what is begun is not done another way. */
    @Test
    void whatLiesOnTheBodyIsNotChangedToAnotherSchool() throws Exception {
        ScheduledTask first = next("Ines");
        String entry = now().plan().step(first.task()).entryId();
        press("START", first.task(), "Ines", "");
        assertThat(press("SCHOOL", entry, "Ines", "cap-plastic").status()).isEqualTo(409);
        for (int minutes = 0; minutes < 60; minutes += 20) {
            assertThat(mvc.get()
                            .uri("/jobs/" + job.id() + "/chair/levers")
                            .with(user("ines").roles("LEAD")))
                    .hasStatus(200);
            carryOut(Duration.ofMinutes(20));
        }
    }
}
