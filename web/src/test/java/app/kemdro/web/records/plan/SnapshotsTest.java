package app.kemdro.web.records.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Look;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.look.Wish;
import app.kemdro.core.schedule.Rest;
import app.kemdro.core.schedule.Schedule;
import app.kemdro.core.schedule.ScheduledTask;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

/** What was kept as it was is read as it was. */
class SnapshotsTest {
    private static final JsonMapper MAPPER = new JsonMapper();
    private static final Snapshots SNAPSHOTS = new Snapshots(MAPPER);
    private static final Schedule SCHEDULE = new Schedule(
            List.of(new ScheduledTask("brows/coat#1", "Ines", 1, 0, 180, 300, 900, 480, 0)),
            List.of(new Rest(600, 1500)),
            1500,
            1400);

    @Test
    void readsWhatItWrote() {
        assertThat(SNAPSHOTS.schedule(SNAPSHOTS.write(SCHEDULE))).isEqualTo(SCHEDULE);
    }

    /** The first form had nothing around it. */
    @Test
    void readsTheFirstForm() {
        assertThat(SNAPSHOTS.schedule(MAPPER.writeValueAsString(SCHEDULE))).isEqualTo(SCHEDULE);
    }

    @Test
    void refusesWhatANewerOneKept() {
        assertThatThrownBy(() -> SNAPSHOTS.look("{\"form\":99,\"kept\":{}}")).hasMessageContaining("newer Kemdro");
    }

    /** Names as they stand in houses that are in use. Another one needs a higher form, and to be lifted in Snapshots. */
    @Test
    void theirComponentsKeepTheirNames() {
        assertThat(Stream.of(
                                Look.class,
                                LookEntry.class,
                                Wish.class,
                                Brief.class,
                                Brief.Performer.class,
                                Brief.Hands.class,
                                Brief.Room.class,
                                Brief.Purpose.class,
                                Brief.Breaks.class,
                                Brief.Allowed.class,
                                Schedule.class,
                                ScheduledTask.class,
                                Rest.class)
                        .map(SnapshotsTest::names)
                        .toList())
                .containsExactly(
                        "Look: entries wishes",
                        "LookEntry: id techniqueId zones coats items strength coverage over",
                        "Wish: kind step to minutes",
                        "Brief: call chairIn performer crew room costumeCovers costumeMinutes selfApplied purpose breaks"
                                + " own allowed",
                        "Performer: name heightCm weightKg headCm reactsTo brows hair fineHair",
                        "Hands: name skill from until factor",
                        "Room: temperatureC humidityPercent dryers",
                        "Purpose: seen lastsHours mustVanish moneyShort benchDays",
                        "Breaks: every minutes meal",
                        "Allowed: bare minutes schools",
                        "Schedule: placed rests ready leastReady",
                        "ScheduledTask: task worker helper mode start end usable closes settled missed",
                        "Rest: start end");
    }

    private static String names(Class<?> record) {
        return record.getSimpleName() + ": "
                + Arrays.stream(record.getRecordComponents())
                        .map(RecordComponent::getName)
                        .collect(Collectors.joining(" "));
    }
}
