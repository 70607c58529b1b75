package app.kemdro.web.records.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.kemdro.core.look.Brief;
import app.kemdro.core.look.Brief.Skill;
import app.kemdro.core.look.LookEntry;
import app.kemdro.core.method.Trade;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.Stamp;
import java.time.LocalDateTime;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What is written down is read as it was, in today's form and in every form before. */
class EventFormatTest {
    private static final JsonMapper MAPPER = new JsonMapper();
    private static final EventFormat FORMAT = new EventFormat(MAPPER);
    private static final Stamp STAMP = new Stamp("press-0001", LocalDateTime.of(2026, 3, 1, 5, 0), "Ines", "tablet");

    /** One of every kind. */
    static List<RunEvent> all() {
        return List.of(
                new RunEvent.Begin(STAMP),
                new RunEvent.Start(STAMP, "brows/coat#1", 1, true),
                new RunEvent.Finish(STAMP, "brows/coat#1"),
                new RunEvent.Clear(STAMP, "brows/coat#1"),
                new RunEvent.NotYet(STAMP, "brows/coat#1", 90),
                new RunEvent.Skip(STAMP, "brows/coat#1", "no time; “really”"),
                new RunEvent.Add(STAMP, "brows/coat#1", 120),
                new RunEvent.Break(STAMP),
                new RunEvent.Back(STAMP),
                new RunEvent.Note(STAMP, "third coat paid for itself"),
                new RunEvent.Undo(STAMP, "press-0000"),
                new RunEvent.Dryer(STAMP, "brows/coat#1"),
                new RunEvent.Redo(STAMP, "brows/coat#1"),
                new RunEvent.Trouble(STAMP, "nose/press", "lifted-edge", List.of("cheek-left", "nose")),
                new RunEvent.School(STAMP, "brows", "brow-wax"),
                new RunEvent.Coats(STAMP, "brows", 3),
                new RunEvent.Drop(STAMP, "spatter", "no time"),
                new RunEvent.Addition(
                        STAMP,
                        "false-ears",
                        List.of("ear-left", "ear-right"),
                        0,
                        List.of(new LookEntry("added-1", "false-ears", List.of("ear-left", "ear-right"), 0)
                                .above("base"))),
                new RunEvent.Strength(STAMP, "spatter", LookEntry.Strength.HEAVY),
                new RunEvent.Join(STAMP, Skill.ASSISTANT),
                new RunEvent.Leave(STAMP),
                new RunEvent.Room(STAMP, new Brief.Room(21.5, 45, 1)),
                new RunEvent.Away(STAMP, 900),
                new RunEvent.Reaction(STAMP, "left cheek burns"),
                new RunEvent.Used(STAMP, "acrylic adhesive 6 g"),
                new RunEvent.Drive(STAMP, "tablet"),
                new RunEvent.Picture(STAMP, "picture-1"),
                new RunEvent.End(STAMP));
    }

    @ParameterizedTest
    @MethodSource("all")
    void readsWhatItWrote(RunEvent event) {
        String kept = FORMAT.text(FORMAT.fields(event));
        assertThat(FORMAT.stored(EventFormat.kind(event), EventFormat.VERSION, STAMP, kept))
                .isEqualTo(event);
        ObjectNode sent = FORMAT.whole(event);
        assertThat(FORMAT.read(sent.get("type").asString(), sent.get("version").asInt(), STAMP, sent))
                .isEqualTo(event);
    }

    @Test
    void everyKindHasWords() {
        EventWords words = new EventWords(Trade.standard());
        assertThat(all()).allMatch(words::areThere);
        assertThat(all().stream().map(RunEvent::getClass).distinct().count()).isEqualTo(EventFormat.kinds());
    }

    /** Kinds as they stand in houses that are in use: one that is called otherwise is read no more. */
    @Test
    void kindsKeepTheirNames() {
        assertThat(all().stream().map(EventFormat::kind).collect(Collectors.joining(" ")))
                .isEqualTo(
                        "BEGIN START FINISH CLEAR NOT_YET SKIP ADD BREAK BACK NOTE UNDO DRYER REDO TROUBLE SCHOOL COATS"
                                + " DROP ADDITION STRENGTH JOIN LEAVE ROOM AWAY REACTION USED DRIVE PICTURE END");
    }

    /** Fields as they stand in houses that are in use. Another name needs a step in {@link EventUpcasts}, and a line there. */
    @Test
    void fieldsKeepTheirNames() {
        assertThat(all().stream()
                        .map(e -> FORMAT.fields(e).propertyNames().stream().collect(Collectors.joining(" ")))
                        .filter(names -> !names.isEmpty())
                        .collect(Collectors.joining("; ")))
                .isEqualTo("step mode sure; step; step; step seconds; step text; step seconds; text; event; step; step;"
                        + " step repair zones; entry technique; entry coats; entry reason; technique zones items entries; entry strength; skill; room; seconds; text;"
                        + " text; driver; picture");
    }

    @Test
    void theFirstFormSaidEverythingInFourFields() {
        assertThat(Told.event(STAMP, "TROUBLE", "nose/press", 0, "lifted-edge@cheek-left,nose"))
                .isEqualTo(new RunEvent.Trouble(STAMP, "nose/press", "lifted-edge", List.of("cheek-left", "nose")));
        assertThat(Told.event(STAMP, "TROUBLE", "nose/press", 0, "lifted-edge"))
                .isEqualTo(new RunEvent.Trouble(STAMP, "nose/press", "lifted-edge", List.of()));
        assertThat(Told.event(STAMP, "ROOM", "", 0, "21.5;45.0;1"))
                .isEqualTo(new RunEvent.Room(STAMP, new Brief.Room(21.5, 45, 1)));
        assertThat(Told.event(STAMP, "COATS", "brows", 3, "")).isEqualTo(new RunEvent.Coats(STAMP, "brows", 3));
        assertThat(Told.event(STAMP, "JOIN", "", 0, "LEAD")).isEqualTo(new RunEvent.Join(STAMP, Skill.LEAD));
        assertThat(Told.event(STAMP, "START", "nose/press", 0, "sure"))
                .isEqualTo(new RunEvent.Start(STAMP, "nose/press", 0, true));
    }

    @Test
    void whatCannotBeReadSaysWhichField() {
        assertThatThrownBy(() -> Told.event(STAMP, "JOIN", "", 0, "BOSS"))
                .hasMessage("“skill” of the report could not be read. Say one of LEAD, ASSISTANT, TRAINEE.");
        assertThatThrownBy(() -> Told.event(STAMP, "ROOM", "", 0, "hot"))
                .hasMessage("“room” of the report could not be read.");
        assertThatThrownBy(() -> Told.event(STAMP, "DANCE", "", 0, ""))
                .hasMessage("The report does not say what happened.");
        ObjectNode nowhere = MAPPER.createObjectNode().put("step", "nose/press").put("repair", "lifted-edge");
        nowhere.putArray("zones").addNull();
        assertThatThrownBy(() -> FORMAT.read("TROUBLE", EventFormat.VERSION, STAMP, nowhere))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessage("The report could not be read.");
        ObjectNode seconds = MAPPER.createObjectNode().put("seconds", "a while");
        assertThatThrownBy(() -> FORMAT.read("AWAY", EventFormat.VERSION, STAMP, seconds))
                .hasMessage("“seconds” of the report could not be read.");
    }
}
