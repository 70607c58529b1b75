package app.kemdro.web.records.usual;

import app.kemdro.core.look.Brief.Breaks;
import app.kemdro.core.look.Brief.Room;
import app.kemdro.core.look.Brief.Skill;
import jakarta.persistence.CollectionTable;
import jakarta.persistence.ElementCollection;
import jakarta.persistence.Embeddable;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.FetchType;
import jakarta.persistence.Id;
import jakarta.persistence.JoinColumn;
import jakarta.persistence.OrderColumn;
import jakarta.persistence.Table;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** The usual house as stored; there is one. */
@Entity
@Table(name = "usual_house")
class UsualHouseRow {
    static final int ONLY = 1;

    @Id
    private int id = ONLY;

    private LocalTime callHour = LocalTime.NOON;
    private double temperature;
    private double humidity;
    private int dryers;
    private boolean atSensor;
    private int costumeMinutes;
    private int benchDays;
    private int breakEvery;
    private int breakMinutes;
    private int mealMinutes;

    @ElementCollection(fetch = FetchType.EAGER)
    @CollectionTable(name = "usual_hands", joinColumns = @JoinColumn(name = "house_id"))
    @OrderColumn(name = "position")
    private List<HandsRow> hands = new ArrayList<>();

    protected UsualHouseRow() {}

    UsualHouseRow(UsualHouse usual) {
        callHour = usual.call();
        temperature = usual.room().temperatureC();
        humidity = usual.room().humidityPercent();
        dryers = usual.room().dryers();
        atSensor = usual.atSensor();
        costumeMinutes = usual.costumeMinutes();
        benchDays = usual.benchDays();
        breakEvery = usual.breaks().every();
        breakMinutes = usual.breaks().minutes();
        mealMinutes = usual.breaks().meal();
        usual.hands().forEach(h -> hands.add(new HandsRow(h.name(), h.skill(), h.from(), h.until())));
    }

    @Embeddable
    record HandsRow(
            String name,

            @Enumerated(EnumType.STRING) Skill skill,

            @Nullable LocalTime fromHour,
            @Nullable LocalTime untilHour) {}

    UsualHouse usual() {
        return new UsualHouse(
                callHour,
                new Room(temperature, humidity, dryers),
                atSensor,
                costumeMinutes,
                benchDays,
                new Breaks(breakEvery, breakMinutes, mealMinutes),
                hands.stream()
                        .map(h -> new UsualHouse.Hands(h.name(), h.skill(), h.fromHour(), h.untilHour()))
                        .toList());
    }
}
