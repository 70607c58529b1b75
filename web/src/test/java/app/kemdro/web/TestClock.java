package app.kemdro.web;

import app.kemdro.core.hour.Wall;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;

/** A clock that stands still until it is moved. */
public final class TestClock extends Clock {
    private Instant now =
            LocalDateTime.of(2026, 12, 2, 19, 40).atZone(Wall.zone()).toInstant();

    public void pass(Duration time) {
        now = now.plus(time);
    }

    public void set(LocalDateTime time) {
        now = time.atZone(Wall.zone()).toInstant();
    }

    @Override
    public ZoneId getZone() {
        return Wall.zone();
    }

    @Override
    public Clock withZone(ZoneId other) {
        return this;
    }

    @Override
    public Instant instant() {
        return now;
    }
}
