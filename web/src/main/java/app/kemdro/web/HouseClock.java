package app.kemdro.web;

import app.kemdro.core.hour.Wall;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;

/** The clock on the house's wall. */
class HouseClock extends Clock {
    @Override
    public ZoneId getZone() {
        return Wall.zone();
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return Clock.system(zone);
    }

    @Override
    public Instant instant() {
        return Instant.now();
    }
}
