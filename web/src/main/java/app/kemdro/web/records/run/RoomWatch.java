package app.kemdro.web.records.run;

import app.kemdro.core.look.Brief.Room;
import app.kemdro.core.run.RunEvent;
import app.kemdro.core.run.Stamp;
import app.kemdro.web.parts.live.Background;
import app.kemdro.web.parts.mishap.Unsaid;
import app.kemdro.web.parts.sensor.Reading;
import app.kemdro.web.parts.sensor.RoomSensor;
import app.kemdro.web.records.job.Jobs;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;

/** Lets runs that are held where the house measures the air know when it is no longer what they count with. */
@Component
public class RoomWatch implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(RoomWatch.class);
    private static final int EVERY_SECONDS = 15;

    /** Smaller changes move no clock by a minute (judgement). */
    private static final double DEGREES = 1.5;

    private static final double PERCENT = 6;

    private final RoomSensor sensor;
    private final Runs runs;
    private final Jobs jobs;
    private final Reports reports;
    private final Standings standings;
    private final ScheduledExecutorService watch = Background.thread("room-watch");

    public RoomWatch(RoomSensor sensor, Runs runs, Standings standings, Reports reports, Jobs jobs) {
        this.jobs = jobs;
        this.sensor = sensor;
        this.runs = runs;
        this.reports = reports;
        this.standings = standings;
        watch.scheduleWithFixedDelay(this::look, EVERY_SECONDS, EVERY_SECONDS, TimeUnit.SECONDS);
    }

    /** Reports the room to every run that counts with another one. */
    public void look() {
        try {
            sensor.now()
                    .ifPresent(reading -> runs.atWork().stream()
                            .filter(r -> jobs.get(r.jobId()).atSensor())
                            .forEach(r -> compare(r, reading)));
        } catch (RuntimeException e) {
            LOG.warn("The room could not be compared with what a run counts with", Unsaid.of(e));
        }
    }

    private void compare(Run run, Reading reading) {
        Room room = standings.of(run).plan().brief().room();
        boolean other = Math.abs(room.temperatureC() - reading.temperatureC()) >= DEGREES
                || Math.abs(room.humidityPercent() - reading.humidityPercent()) >= PERCENT;
        if (other) {
            Room now = new Room(
                    Math.max(5, Math.min(45, Math.round(reading.temperatureC() * 2) / 2.0)),
                    Math.max(5, Math.min(98, Math.round(reading.humidityPercent()))),
                    room.dryers());
            Stamp stamp = new Stamp("room-" + reading.at().toEpochMilli(), runs.now(run), "");
            reports.take(run.jobId(), new RunEvent.Room(stamp, now), "room sensor");
        }
    }

    @Override
    public void destroy() {
        watch.shutdownNow();
    }
}
