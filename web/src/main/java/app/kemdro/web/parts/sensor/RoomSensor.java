package app.kemdro.web.parts.sensor;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicReference;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** Listens to the room's sensor, where one is set, and keeps what it said last. */
@Component
public class RoomSensor implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(RoomSensor.class);
    private static final Duration STALE = Duration.ofSeconds(90);
    private static final int AGAIN_MS = 5000;
    private static final int LONGEST_LINE = 120;

    private final Clock clock;
    private final AtomicReference<Optional<Heard>> last = new AtomicReference<>(Optional.empty());
    private volatile boolean on = true;

    private record Heard(Reading reading, java.time.Instant at) {}

    RoomSensor(@Value("${kemdro.sensor:}") String address, Clock clock) {
        this.clock = clock;
        if (!address.isBlank()) {
            listen(address.strip());
        }
    }

    /** What the sensor said last; empty where there is none, or where it has been silent for a while. */
    public Optional<Reading> now() {
        return last.get()
                .filter(h -> Duration.between(h.at(), clock.instant()).compareTo(STALE) < 0)
                .map(Heard::reading);
    }

    /** Takes a line as it was heard. */
    void hear(String line) {
        Reading.of(line).ifPresent(r -> last.set(Optional.of(new Heard(r, clock.instant()))));
    }

    /** Listens at host:port, and again and again when the line drops. */
    final void listen(String address) {
        int colon = address.lastIndexOf(':');
        if (colon < 1 || !address.substring(colon + 1).matches("\\d{1,5}")) {
            LOG.warn("kemdro.sensor is '{}'; write it as host:port", address);
            return;
        }
        String host = address.substring(0, colon);
        int port = Integer.parseInt(address.substring(colon + 1));
        Thread thread = new Thread(() -> keepListening(host, port), "room-sensor");
        thread.setDaemon(true);
        thread.start();
    }

    private void keepListening(String host, int port) {
        while (on) {
            try (Socket socket = new Socket()) {
                socket.connect(new InetSocketAddress(host, port), AGAIN_MS);
                socket.setSoTimeout((int) STALE.toMillis());
                BufferedReader lines = new BufferedReader(
                        new InputStreamReader(socket.getInputStream(), StandardCharsets.US_ASCII), LONGEST_LINE);
                String line = lines.readLine();
                while (on && line != null) {
                    hear(line);
                    line = lines.readLine();
                }
            } catch (IOException silent) {
                LOG.debug("The room sensor is silent: {}", silent.getMessage());
            }
            pause();
        }
    }

    private void pause() {
        try {
            Thread.sleep(on ? AGAIN_MS : 0);
        } catch (InterruptedException e) {
            on = false;
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public void destroy() {
        on = false;
    }
}
